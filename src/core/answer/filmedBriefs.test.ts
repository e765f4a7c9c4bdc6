import { describe, expect, it } from 'vitest';
import { READY_SCHOOLS } from '../vocabulary/schools';
import { schoolIdOf } from '../loss/filmedBriefs';
import { FILMED_BRIEFS } from '../loss/filmedBriefs';
import type { AsFilmed } from '../loss/filmedBriefs';
import { briefOfNamed } from '../loss/tenShots';
import { solve } from './solve';
import type { Solution } from './solve';

/** How many of the sixty are answered as they are filmed. It only ever grows. */
const SIGNED = 56;

const within = (value: number, [least, most]: readonly [number, number]): boolean =>
  value >= least - 1e-9 && value <= most + 1e-9;

/** What of an answer a practised filmer would set otherwise; nothing: it is signed. */
function struck(as: AsFilmed, { settings, exposure, space }: Solution): string[] {
  const { filter, iso, whiteBalance } = settings;
  const longest = settings.shutterSeconds;
  const shortest =
    settings.shutterMode === 'fixed'
      ? longest
      : (settings.shutterFloorSeconds ?? space.brief.camera.shutter.shortestSeconds);
  const floats = Math.log2(longest / shortest) + Math.log2(iso.max / iso.min);
  const { kelvin, shutter } = as;
  const colour =
    kelvin === undefined ||
    (whiteBalance === 'auto'
      ? kelvin === 'auto' || as.orAuto === true
      : kelvin !== 'auto' && within(whiteBalance, kelvin));
  const said: [string, boolean][] = [
    [`${settings.frameRate} fps`, as.fps.includes(settings.frameRate)],
    [
      `1/${Math.round(1 / longest)}…1/${Math.round(1 / shortest)} s`,
      !shutter || (shortest <= 1.001 / shutter[0] && longest >= 0.999 / shutter[1]),
    ],
    [`floats by ${floats.toFixed(1)}`, within(floats, [as.floats?.atLeast ?? 0, as.floats?.atMost ?? 99])],
    [`glass of ${filter.stops}`, !as.glass || within(filter.stops, as.glass)],
    [`ISO to ${iso.max}`, !as.isoTo || within(iso.max, as.isoTo)],
    [settings.stabilization, !as.hold || as.hold.includes(settings.stabilization)],
    [`white balance ${whiteBalance}`, colour],
    [`over by ${exposure.overStops.toFixed(2)}`, exposure.overStops <= (as.over ?? 0.35)],
    [`under by ${exposure.underStops.toFixed(2)}`, exposure.underStops <= (as.under ?? 0.7)],
  ];
  return said.filter(([, fits]) => !fits).map(([what]) => what);
}

describe('briefs as they are filmed', () => {
  it('are sixty, a third of them with an empty bag, under every school', () => {
    expect(FILMED_BRIEFS).toHaveLength(60);
    expect(new Set(FILMED_BRIEFS.map(({ name }) => name)).size).toBe(60);
    expect(FILMED_BRIEFS.filter(({ shot }) => shot.filters?.length === 0).length).toBeGreaterThanOrEqual(20);
    expect(new Set(FILMED_BRIEFS.map(schoolIdOf))).toEqual(new Set(READY_SCHOOLS));
  });

  it('are answered so, but for those that are told here', () => {
    const notSigned = FILMED_BRIEFS.flatMap((one) => {
      const outcome = solve(briefOfNamed(one, schoolIdOf(one)));
      const what = outcome.solved ? struck(one.as, outcome.solution) : ['refused'];
      return what.length > 0 ? [`${one.name}: ${what.join(', ')}`] : [];
    });
    expect(FILMED_BRIEFS.length - notSigned.length, notSigned.join('\n')).toBeGreaterThanOrEqual(SIGNED);
  });
});
