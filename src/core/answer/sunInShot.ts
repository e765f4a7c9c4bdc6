import type { Mode } from '../camera/modeTable';
import { sunInView } from '../light/sun/inFrame';
import type { CameraAim, SunInView } from '../light/sun/inFrame';
import { sunReaches } from '../light/sun/horizon';
import { sunPosition } from '../light/sun/position';
import { headingAt, instantsOf } from '../light/sun/sunLight';
import { verticalDeg } from '../optics/projection';
import type { Brief } from '../brief/brief';
import { last } from '../units/items';

/** Where a camera of this brief looks at an instant; `null` when nobody said which way. */
export function aimAt(brief: Brief, mode: Mode, atMs: number): CameraAim | null {
  if (brief.light.kind !== 'sun') return null;
  const headingDeg = headingAt(brief.light, atMs);
  if (headingDeg === null) return null;
  const { width, height } = mode.resolution;
  return {
    headingDeg,
    pitchDeg: brief.mount.pitchDeg,
    horizontalDeg: mode.view.horizontalDeg,
    verticalDeg: verticalDeg(mode.view, width, height),
  };
}

/** The sun in a shot: how long in the frame and just outside it, and the worst instant. */
export interface SunInShot {
  frameShare: number;
  outsideShare: number;
  firstMs: number;
  lastMs: number;
  worst: Exclude<SunInView, { where: 'away' }>;
}

/** `null` when the sun stays away from the frame, is hidden, or nobody said where the camera looks. */
export function sunInShot(brief: Brief, mode: Mode): SunInShot | null {
  const { light } = brief;
  if (light.kind !== 'sun' || !light.headingsDeg) return null;
  const seen = instantsOf(Date.parse(light.from), Date.parse(light.to)).map((atMs) => {
    const aim = aimAt(brief, mode, atMs);
    const sun = sunPosition(light, atMs);
    const view: SunInView = aim && sunReaches(light.horizon, sun) ? sunInView(sun, aim) : { where: 'away' };
    return { atMs, view };
  });
  const hits = seen.flatMap(({ atMs, view }) => (view.where === 'away' ? [] : [{ atMs, view }]));
  const first = hits[0];
  if (!first) return null;
  const inFrame = hits.filter(({ view }) => view.where === 'frame');
  return {
    frameShare: inFrame.length / seen.length,
    outsideShare: (hits.length - inFrame.length) / seen.length,
    firstMs: first.atMs,
    lastMs: last(hits).atMs,
    worst: (inFrame[0] ?? first).view,
  };
}
