import type { Mode } from '@/core/camera/modeTable';
import type { FilterSetting } from '@/core/filters/kit';
import { expose } from '@/core/loss/exposure';
import type { IsoWindow, ShutterSetting } from '@/core/loss/exposure';
import { deliveredFrame } from '@/core/loss/frame';
import {
  EXPOSURE_TERMS,
  FILE_TERMS,
  FRAME_TERMS,
  MOTION_TERMS,
  RATE_TERMS,
  weighedSum,
} from '@/core/loss/table';
import {
  anglePrice,
  darkNailedPrice,
  filterPrice,
  heldPrice,
  isoMaxPrice,
  isoSpanPrice,
  runningPrice,
  shakeFloorPrice,
  stabilizationPrice,
  whiteNailedPrice,
} from '@/core/loss/wishes';
import { encodingsKept } from '@/core/search/allowedModes';
import type { Candidate } from '@/core/search/candidate';
import { figuresOf } from '@/core/search/candidate';
import type { ColourSpace, Space } from '@/core/search/space';

interface Exposed {
  filter: FilterSetting;
  iso: IsoWindow;
  loss: number;
  brightLog: number;
  darkLog: number;
}

/** What of an exposure is best beside one view held in one way. */
interface Beside {
  exposed: Exposed;
  loss: number;
}

/**
 * The least score by looking at every candidate: no bounds, no order that helps. `remember` keeps what an exposure loses
 * beside one view from one mode to the next; without it all of that is worked out for every mode and encoding. `null` when
 * the space is empty.
 */
export function exhaustiveSearch(
  space: Space,
  remember = true,
): { candidate: Candidate; score: number; seen: number } | null {
  const { brief, demands, school } = space;
  const { weights, steadiedInEdit } = school;
  const exposures = new Map<string, Exposed[]>();
  const views = new Map<string, Beside>();
  let best: { candidate: Candidate; score: number } | null = null;
  let seen = 0;
  for (const mode of space.modes) {
    const { frameRate, motionGroup, stabilization } = mode;
    const frame = deliveredFrame(brief, mode, steadiedInEdit);
    const ofMode =
      weighedSum(RATE_TERMS, weights, { brief, frameRate }) +
      weighedSum(FRAME_TERMS, weights, { brief, demands, mode, frame, steadiedInEdit });
    for (const encoding of encodingsKept(brief, mode)) {
      const ofFile = ofMode + weighedSum(FILE_TERMS, weights, { brief, mode, encoding });
      for (const colour of space.colours) {
        if (!mode.colours.includes(colour.id)) continue;
        for (const shutter of space.shutters.get(frameRate) ?? []) {
          const of = `${colour.id} ${shutter.longestSeconds} ${shutter.spanStops}`;
          const exposed = kept(remember, exposures, of, () => exposedUnder(space, colour, shutter));
          seen += exposed.length;
          const view = kept(remember, views, `${motionGroup} ${stabilization} ${of}`, () =>
            besideView(space, mode, shutter, exposed),
          );
          const score = ofFile + colour.loss + view.loss;
          if (best !== null && score >= best.score) continue;
          const { filter, iso } = view.exposed;
          best = { candidate: { mode, encoding, colour, shutter, filter, iso }, score };
        }
      }
    }
  }
  return best && { ...best, seen };
}

function kept<T>(remember: boolean, known: Map<string, T>, key: string, work: () => T): T {
  if (!remember) return work();
  let value = known.get(key);
  if (value === undefined) known.set(key, (value = work()));
  return value;
}

function exposedUnder(
  { light, filters, school }: Space,
  colour: ColourSpace,
  shutter: ShutterSetting,
): Exposed[] {
  const { sensor } = colour;
  const { weights, wishes } = school;
  const windows = shutter.spanStops > 0 ? colour.autoIsoWindows : colour.isoWindows;
  return filters.flatMap((filter) =>
    windows.map((iso) => {
      const exposure = expose(sensor, light, shutter, filter.stops, iso);
      const facts = { sensor, light, shutter, filter, iso, exposure };
      const loss =
        weighedSum(EXPOSURE_TERMS, weights, facts) +
        whiteNailedPrice(wishes, facts) +
        darkNailedPrice(wishes, facts) +
        filterPrice(wishes, filter) +
        isoSpanPrice(wishes, iso) +
        isoMaxPrice(wishes, iso);
      return { filter, iso, loss, brightLog: exposure.brightLog, darkLog: exposure.darkLog };
    }),
  );
}

function besideView(space: Space, mode: Mode, shutter: ShutterSetting, all: readonly Exposed[]): Beside {
  const { weights, wishes, aim } = space.school;
  const figures = figuresOf(space, mode);
  const { longestLog } = shutter;
  const wished =
    stabilizationPrice(wishes, space.demands, mode.stabilization) +
    heldPrice(wishes, shutter) +
    anglePrice(wishes, figures, shutter) +
    shakeFloorPrice(wishes, figures, longestLog);
  let best: Beside | null = null;
  for (const exposed of all) {
    const { brightLog, darkLog } = exposed;
    const loss =
      wished +
      runningPrice(wishes, figures, shutter, exposed) +
      exposed.loss +
      weighedSum(MOTION_TERMS, weights, {
        figures,
        aim,
        brightLog,
        darkLog,
        darkWeight: space.light.darkWeight,
        longestLog,
      });
    if (best === null || loss < best.loss) best = { exposed, loss };
  }
  if (best === null) throw new Error('a shutter without a single exposure');
  return best;
}
