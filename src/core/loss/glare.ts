import type { FilterSetting } from '../filters/kit';
import { glareLeftAt, polarizerView } from '../filters/polarizer';
import { paneAt } from '../filters/mirrored';
import { beamShareOf, skyAt } from '../light/sky';
import { lampsIn } from '../light/lamps';
import type { LightRange } from '../light/lightRange';
import { sunPosition } from '../light/sun/position';
import { headingAt, USUAL_SUN } from '../light/sun/sunLight';
import { verticalDeg } from '../optics/projection';
import type { Brief } from '../brief/brief';
import { MOUNTS } from '../vocabulary/mounts';
import { start } from '../units/estimate';
import type { Filter } from '../filters/filterSchema';
import { skyShareOf, usualView } from './picture';

/** What mirrors in a frame, and what a polarizer leaves of it: losses, and shares 0…1. */
export interface Glare {
  /** Loss by what mirrors, without a polarizer and behind one that is turned to it, its side effects counted in. */
  bare: number;
  polarized: number;
  /** What mirrors most. */
  of: GlareOf | null;
  /** Share of that which a polarizer leaves. */
  left: number;
  /** The view is so wide that it would darken the sky unevenly. */
  uneven: boolean;
}

export type GlareOf = 'water' | 'leaves' | 'pane' | 'sky';

export const GLARE = {
  water: start(0.9, 'water that mirrors the sky hides what one went for; of a frame full of it'),
  leaves: start(0.35, 'wet leaves and grass shine white: colour is under it, and only after rain'),
  pane: start(
    3,
    'of the share that a pane throws back: a sixth of it lies over everything filmed through it',
  ),
  sky: start(0.25, 'a sky deepened by a polarizer is a gain, not a need'),
  turns: start(0.2, 'a filter that is worn turns with the head: what it clears comes and goes'),
  uneven: start(0.6, 'a dark patch in a wide sky is seen by everybody'),
};
/** Wider than that a clear sky is darkened unevenly, degrees across. */
const EVEN_WITHIN_DEG = 90;
/** Sky that is seen at all, share of the frame. */
const SKY_SEEN_SHARE = 0.1;
/** Nothing mirrors daylight below this, EV100. */
const DAYLIGHT_FROM_EV = 9;

const NONE: Glare = { bare: 0, polarized: 0, of: null, left: 1, uneven: false };

export function glareIn(brief: Brief, light: LightRange): Glare {
  const lens = usualView(brief);
  if (brief.light.kind === 'underwater') return NONE;
  if (!lens || light.evMax < DAYLIGHT_FROM_EV || lampsIn(brief.light) !== 'none') return NONE;
  const { mount, surroundings, playback } = brief;
  const { deliver } = playback;
  const skyShare = skyShareOf(brief, lens, deliver);
  const parts: { of: GlareOf; loss: number; left: number }[] = [];
  const below = 1 - skyShareOf({ ...brief, surroundings: 'water' }, lens, deliver);
  const tall = verticalDeg(lens, deliver.width, deliver.height);
  const left = leftBelow(mount.pitchDeg, tall);
  if (surroundings === 'water') parts.push({ of: 'water', loss: GLARE.water.value * below, left });
  if (surroundings === 'wood' || surroundings === 'grass')
    parts.push({ of: 'leaves', loss: WET_SHARE[surroundings] * GLARE.leaves.value * below, left });
  if (mount.glassDeg !== null) {
    const pane = paneAt(mount.glassDeg);
    parts.push({ of: 'pane', loss: GLARE.pane.value * pane.mirroredShare, left: pane.left });
  }
  const deepened = skyDeepened(brief, lens.horizontalDeg, tall);
  if (deepened) parts.push({ of: 'sky', loss: GLARE.sky.value * Math.sqrt(skyShare), left: 0 });
  const uneven = skyShare >= SKY_SEEN_SHARE && lens.horizontalDeg > EVEN_WITHIN_DEG && isBlue(brief, light);
  const bare = parts.reduce((sum, one) => sum + one.loss, 0);
  const most = parts.reduce<(typeof parts)[number] | null>(
    (best, one) => (best && best.loss >= one.loss ? best : one),
    null,
  );
  const worn = !MOUNTS[mount.kind].aimed;
  return {
    bare,
    polarized:
      parts.reduce((sum, one) => sum + one.loss * one.left, 0) +
      (worn ? GLARE.turns.value : 0) +
      (uneven ? GLARE.uneven.value : 0),
    of: most?.of ?? null,
    left: most?.left ?? 1,
    uneven,
  };
}

/** Leaves are wet now and then, grass hardly seen so (start). */
const WET_SHARE = { wood: 1, grass: 0.3 } as const;

/** The share of the mirrored light that is left on average over what of a frame looks down on it. */
function leftBelow(pitchDeg: number, tallDeg: number): number {
  const [from, to] = [Math.max(3, pitchDeg - tallDeg / 2), Math.min(85, pitchDeg + tallDeg / 2)];
  if (to <= from) return 1;
  const downs = Array.from({ length: 17 }, (_, at) => from + ((to - from) * at) / 16);
  return downs.reduce((sum, down) => sum + glareLeftAt(down), 0) / downs.length;
}

/** Only blue sky is polarized. */
function isBlue({ light }: Brief, { evMax }: LightRange): boolean {
  if (light.kind === 'sun') return (light.sky ?? USUAL_SUN.sky) === 'clear';
  if (light.kind === 'scene') return BLUE_SCENES.has(light.to) || BLUE_SCENES.has(light.from);
  return evMax >= 14.6;
}

const BLUE_SCENES: ReadonlySet<string> = new Set(['openSun', 'snowSun', 'openShade']);

/** Whether it darkens the sky evenly enough in the middle of the run; said only where sun and heading are told. */
function skyDeepened({ light, mount }: Brief, horizontalDeg: number, tallDeg: number): boolean {
  if (light.kind !== 'sun') return false;
  const middle = (Date.parse(light.from) + Date.parse(light.to)) / 2;
  const headingDeg = headingAt(light, middle);
  const sun = sunPosition(light, middle);
  if (headingDeg === null || sun.apparentAltitudeDeg <= 0 || horizontalDeg > EVEN_WITHIN_DEG) return false;
  const beam = beamShareOf(skyAt(light.sky ?? USUAL_SUN.sky, light.clouds, middle).likely);
  const aim = { headingDeg, pitchDeg: mount.pitchDeg, horizontalDeg, verticalDeg: tallDeg };
  return polarizerView(sun, aim, beam, false).verdict === 'sky';
}

/** The filters of a bag with what each leaves of the glare. */
export function withGlare(
  settings: readonly FilterSetting[],
  kit: readonly Filter[],
  { bare, polarized }: Glare,
): readonly FilterSetting[] {
  if (bare === 0 && polarized === 0) return settings;
  const polarizers = new Set(kit.filter(({ kind }) => kind === 'polarizer').map(({ id }) => id));
  return settings.map((one) => ({
    ...one,
    glare: one.ids.some((id) => polarizers.has(id)) ? polarized : bare,
  }));
}
