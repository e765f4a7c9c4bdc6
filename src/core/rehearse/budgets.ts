import { cameraBudget } from '../day/budget';
import type { CameraBudget } from '../day/budget';
import type { CameraProfile } from '../camera/profile';
import { begunLater } from '../day/schedule';
import type { Schedule } from '../day/schedule';
import { named } from '../units/seededRandom';
import type { SeededRandom } from '../units/seededRandom';
import { spreadOr } from './filmed';
import type { Plan } from './plan';
import type { Unknowns } from './unknowns';

/** What one camera had left on a day that ran late, with another draw, other bits and other warmth than planned. */
export function budgetOf(
  camera: CameraProfile,
  { parts, gear }: Plan,
  delays: ReadonlyMap<string, number>,
  day: Pick<Schedule, 'pauses' | 'air' | 'fromMs'>,
  drawn: SeededRandom,
  unknowns: Unknowns,
): CameraBudget {
  const own = parts.filter(({ part }) => part.camera.id === camera.id);
  const [power, bits, heat] = [
    drawn.normal(named(`power ${camera.id}`)),
    drawn.normal(named(`bits ${camera.id}`)),
    drawn.normal(named(`heat ${camera.id}`)),
  ];
  const warmer = 2 ** (heat * spreadOr(unknowns.heat, own[0]?.heatSpread ?? null));
  const hot = { ...camera, heat: { ...camera.heat, stillAirKPerW: camera.heat.stillAirKPerW * warmer } };
  const recorded = own.map(({ part, answer, load, powerSpread, bitSpread }) => {
    const more = 2 ** (bits * spreadOr(unknowns.bitRate, bitSpread));
    return {
      part: begunLater(part, delays.get(part.entryId) ?? 0),
      answer,
      load: {
        ...load,
        powerW: load.powerW * 2 ** (power * spreadOr(unknowns.power, powerSpread)),
        bytesPerSecond: load.bytesPerSecond * more,
        writesMBps: load.writesMBps * more,
        chapterSeconds: load.chapterSeconds / more,
      },
    };
  });
  return cameraBudget(
    hot,
    recorded,
    day,
    gear.find(({ cameraId }) => cameraId === camera.id),
  );
}
