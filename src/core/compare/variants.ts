import type { Stabilization } from '../vocabulary/modes';
import type { SchoolId } from '../vocabulary/schools';
import { modesOf } from '../camera/modeTable';
import type { Brief } from '../brief/brief';
import type { Pins, Settings } from '../records/settings';
import { nearlyEqual } from '../units/stops';
import type { Alternative } from '../answer/alternatives';
import { judgedBy } from '../search/judged';
import type { Judged } from '../search/judged';
import type { Solution } from '../answer/solve';

/** What an answer may be looked at beside: its alternatives, and itself with one thing set otherwise. */
export type Variant =
  | { code: 'alternative'; alternative: Alternative }
  | { code: 'angle'; degrees: number }
  | { code: 'shutter'; seconds: number }
  | { code: 'frameRate'; fps: number }
  | { code: 'stabilization'; stabilization: Stabilization }
  | { code: 'noFilter' };

const ANGLES = [180, 90];
/** The short shutter that many take for a steadied picture, seconds. */
const SHORT_SECONDS = 1 / 200;

export function variantsOf({ settings, alternatives, space }: Solution): Variant[] {
  const variants: Variant[] = alternatives.map((alternative) => ({ code: 'alternative', alternative }));
  for (const degrees of ANGLES)
    if (settings.shutterMode === 'auto' || !nearlyEqual(settings.shutterAngleDeg, degrees))
      variants.push({ code: 'angle', degrees });
  if (settings.shutterMode === 'auto' || !nearlyEqual(settings.shutterSeconds, SHORT_SECONDS))
    variants.push({ code: 'shutter', seconds: SHORT_SECONDS });
  const video = modesOf(space.brief.camera).filter(({ recording }) => recording === 'video');
  for (const fps of [...new Set(video.map(({ frameRate }) => frameRate))].sort((a, b) => a - b))
    if (fps !== settings.frameRate) variants.push({ code: 'frameRate', fps });
  for (const stabilization of ['off', 'strong'] as const)
    if (
      settings.stabilization !== stabilization &&
      video.some((mode) => mode.stabilization === stabilization)
    )
      variants.push({ code: 'stabilization', stabilization });
  if (settings.filter.ids.length > 0) variants.push({ code: 'noFilter' });
  return variants;
}

/** A variant solved: one thing held as it says, what must give way for it chosen anew. `null` where the camera cannot. */
export function solveVariant({ space, settings }: Solution, variant: Variant): Judged | null {
  const { brief, school } = space;
  if (variant.code === 'alternative') {
    const { way, settings: its } = variant.alternative;
    const schoolId: SchoolId = way.code === 'school' ? way.school : school.id;
    return judgedBy(space, { ...brief, pins: pinsOf(its) }, schoolId);
  }
  const held = heldBy(variant, brief, settings);
  // The rest stays as it is where it can; the exposure always follows.
  const close = judgedBy(space, { ...brief, pins: held.close }, school.id);
  return close ?? judgedBy(space, { ...brief, pins: held.loose }, school.id);
}

function heldBy(
  variant: Exclude<Variant, { code: 'alternative' }>,
  brief: Brief,
  settings: Settings,
): { close: Pins; loose: Pins } {
  const { frameRate, resolution, view, stabilization, colour, recording } = settings;
  const frame: Pins = { resolution, stabilization, colour, recording, view: { ...view } };
  const shutter: Pins =
    settings.shutterMode === 'auto'
      ? { shutterMode: 'auto', shutterSeconds: settings.shutterSeconds }
      : { shutterMode: 'fixed', shutterSeconds: settings.shutterSeconds };
  switch (variant.code) {
    case 'angle': {
      const only: Pins = { frameRate, shutterMode: 'fixed', shutterAngleDeg: variant.degrees };
      return { close: { ...frame, ...only }, loose: { ...brief.pins, ...only } };
    }
    case 'shutter': {
      const only: Pins = { frameRate, shutterMode: 'fixed', shutterSeconds: variant.seconds };
      return { close: { ...frame, ...only }, loose: only };
    }
    case 'frameRate': {
      // The same look of the shutter: its angle stays, not its time.
      const angle: Pins =
        settings.shutterMode === 'auto'
          ? { shutterMode: 'auto' }
          : { shutterMode: 'fixed', shutterAngleDeg: settings.shutterAngleDeg };
      return {
        close: { colour, stabilization, frameRate: variant.fps, ...angle },
        loose: { frameRate: variant.fps },
      };
    }
    case 'stabilization':
      return {
        close: { frameRate, ...shutter, resolution, colour, stabilization: variant.stabilization },
        loose: { frameRate, stabilization: variant.stabilization },
      };
    case 'noFilter':
      return {
        close: { ...frame, frameRate, filter: { ids: [] } },
        loose: { frameRate, filter: { ids: [] } },
      };
  }
}

/** Every setting held as it is. */
export function pinsOf(settings: Settings): Pins {
  const { shutterFloorSeconds, filter, view, ...rest } = settings;
  const held: Pins = { ...rest, filter: { ...filter }, view: { ...view } };
  // The angle says the same as the time and may differ from it in the last digit.
  delete held.shutterAngleDeg;
  return shutterFloorSeconds === undefined ? held : { ...held, shutterFloorSeconds };
}
