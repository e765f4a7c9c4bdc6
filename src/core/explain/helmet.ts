import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import { briefOf } from '../brief/brief';
import { ShotSchema } from '../records/shot';
import { FILE_VERSION } from '../schema/versions';
import { once } from '../units/once';

/** The ride that the page on steadiness tells of: a helmet over rough ground in the sun, held by the camera, with a few filters. */
export const helmetRide: () => Solution = once(() => {
  const shot = ShotSchema.parse({
    kind: 'lynxeye/shot',
    version: FILE_VERSION,
    mount: { kind: 'helmet', activity: 'riding', ground: 'rough' },
    light: { kind: 'scene', from: 'openSun', to: 'openShade' },
    filters: [2, 3, 4].map((stops) => ({ id: `nd-${String(stops)}`, kind: 'nd', stops })),
  });
  const outcome = solve(briefOf(shot).brief);
  if (!outcome.solved) throw new Error('the ride that is told of has no answer');
  return outcome.solution;
});
