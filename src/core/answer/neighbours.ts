import type { Mode } from '../camera/modeTable';
import { wearable } from '../filters/bag';
import { stopsRange } from '../filters/kit';
import type { Brief } from '../brief/brief';
import type { Stabilization } from '../vocabulary/modes';
import type { Pins, Settings } from '../records/settings';
import { nearlyEqual, THIRD_STOP_SHUTTERS } from '../units/stops';
import { changesFrom, judgedBy } from '../search/judged';
import type { TermChange } from '../search/judged';
import { settingsOf } from '../search/settingsOf';
import { underPins } from '../search/workings';
import type { Solution } from './solve';

/**
 * Why a value and not the next: the same shot with the next value to either side, solved again. What is held beside it is
 * what the person sees beside it; the rest is chosen anew.
 */
export interface Neighbour {
  way: 'lower' | 'higher' | 'other';
  settings: Settings;
  /** The hold that suits it best, where that is another than the answer's. */
  hold: Stabilization | null;
  /** Against the answer, on its own scale; never less than nothing for a value that was free. */
  by: number;
  gains: TermChange[];
  costs: TermChange[];
}

export type NeighbourSetting =
  | 'frameRate'
  | 'shutterSeconds'
  | 'filter'
  | 'iso'
  | 'resolution'
  | 'view'
  | 'stabilization';

/** The next values to either side of one setting, as far as the camera and the bag have them; none for a pinned one. */
export function neighboursOf(solution: Solution, setting: NeighbourSetting): Neighbour[] {
  const { space, settings, loss, score } = solution;
  const { brief } = space;
  if (heldByPins(brief, setting)) return [];
  return nextValues(solution, setting).flatMap(({ way, pins }): Neighbour[] => {
    const judged = judgedBy(space, underPins(brief, { ...brief.pins, ...pins }), space.school.id);
    if (!judged) return [];
    const theirs = settingsOf(judged.space, judged.candidate);
    return [
      {
        way,
        settings: { ...settings, ...theirs },
        hold: theirs.stabilization === settings.stabilization ? null : theirs.stabilization,
        by: judged.score - score,
        ...changesFrom(space, loss, judged.loss),
      },
    ];
  });
}

function heldByPins({ pins }: Brief, setting: NeighbourSetting): boolean {
  if (setting === 'shutterSeconds')
    return pins.shutterSeconds !== undefined || pins.shutterAngleDeg !== undefined;
  return pins[setting] !== undefined;
}

interface Next {
  way: Neighbour['way'];
  pins: Pins;
}

function nextValues({ space, candidate, settings }: Solution, setting: NeighbourSetting): Next[] {
  const { brief } = space;
  const { frameRate, shutterSeconds, shutterMode, resolution, view, stabilization, filter, iso } = settings;
  const frame: Pins = { frameRate, resolution, view, stabilization };
  switch (setting) {
    case 'frameRate':
      return around(ratesOf(space.modes), frameRate).map(({ way, value }) => ({
        way,
        pins: { frameRate: value },
      }));
    case 'shutterSeconds':
      return around(
        THIRD_STOP_SHUTTERS.filter(
          (seconds) =>
            seconds * frameRate <= 1 + 1e-9 && seconds >= brief.camera.shutter.shortestSeconds * (1 - 1e-9),
        ),
        shutterSeconds,
      ).map(({ way, value }) => ({ way, pins: { ...frame, shutterSeconds: value, shutterMode } }));
    case 'filter':
      return around(
        [0, ...wearable(brief).flatMap((one) => (one.kind === 'nd' ? [stopsRange(one).max] : []))],
        filter.stops,
      ).map(({ way, value }) => {
        const glass = wearable(brief).find((one) => one.kind === 'nd' && stopsRange(one).max === value);
        return {
          way,
          pins: {
            ...frame,
            shutterSeconds,
            shutterMode,
            filter: { ids: glass ? [glass.id] : [], stops: value },
          },
        };
      });
    case 'iso':
      return around(
        brief.camera.iso.steps.filter((step) => step >= iso.min && step <= brief.limits.isoCeiling),
        iso.max,
      ).map(({ way, value }) => ({
        way,
        pins: { ...frame, shutterSeconds, shutterMode, filter, iso: { min: iso.min, max: value } },
      }));
    case 'resolution': {
      const sizes = new Map(space.modes.map((mode) => [mode.resolution.width, mode.resolution]));
      return around([...sizes.keys()], resolution.width).flatMap(({ way, value }) => {
        const size = sizes.get(value);
        return size ? [{ way, pins: { resolution: { width: size.width, height: size.height } } }] : [];
      });
    }
    case 'view': {
      // By the lens, whatever hold suits it best: a hold's crop is no other lens.
      const angles = new Map(brief.camera.views.map((lens) => [lens.horizontalDeg, lens.id]));
      const own = brief.camera.views.find(({ id }) => id === view.id);
      return around([...angles.keys()], own?.horizontalDeg ?? view.horizontalDeg).flatMap(
        ({ way, value }) => {
          const id = angles.get(value);
          return id === undefined || id === view.id ? [] : [{ way, pins: { view: { id } } }];
        },
      );
    }
    case 'stabilization':
      return [...new Set(space.modes.map((mode) => mode.stabilization))]
        .filter((other) => other !== candidate.mode.stabilization)
        .map((other) => ({ way: 'other', pins: { stabilization: other } }));
  }
}

function ratesOf(modes: readonly Mode[]): number[] {
  return [...new Set(modes.map(({ frameRate }) => frameRate))];
}

/** The nearest value on either side. */
function around(values: readonly number[], at: number): { way: 'lower' | 'higher'; value: number }[] {
  const below = values.filter((value) => value < at && !nearlyEqual(value, at));
  const above = values.filter((value) => value > at && !nearlyEqual(value, at));
  return [
    ...(below.length > 0 ? [{ way: 'lower' as const, value: Math.max(...below) }] : []),
    ...(above.length > 0 ? [{ way: 'higher' as const, value: Math.min(...above) }] : []),
  ];
}

/** A setting without which this camera would film larger, and how large: what forces a smaller size. */
export interface ForcedBy {
  setting: 'stabilization' | 'frameRate' | 'view';
  widthPx: number;
}

/** Loss of size from which more pixels are wanted: some of the reserve for straightening is missing. */
const WANTING = 0.01;

/** Of size: the one other setting that, given up, would give more pixels across at the same of all else. */
export function sizeForcedBy({ space, candidate, loss }: Solution): ForcedBy | null {
  if (loss.resolution < WANTING || space.brief.pins.resolution) return null;
  const { mode } = candidate;
  const same: Record<ForcedBy['setting'], (other: Mode) => boolean> = {
    stabilization: (other) => other.stabilization === mode.stabilization,
    frameRate: (other) => nearlyEqual(other.frameRate, mode.frameRate),
    view: (other) => other.view.id === mode.view.id,
  };
  const settings = ['stabilization', 'frameRate', 'view'] as const;
  const larger = space.modes.filter(({ resolution }) => resolution.width > mode.resolution.width);
  // Larger with everything else as it is: then nothing forces it.
  if (larger.some((other) => settings.every((key) => same[key](other)))) return null;
  for (const setting of settings) {
    const without = larger.filter((other) => settings.every((key) => key === setting || same[key](other)));
    if (without.length > 0)
      return { setting, widthPx: Math.max(...without.map(({ resolution }) => resolution.width)) };
  }
  return null;
}
