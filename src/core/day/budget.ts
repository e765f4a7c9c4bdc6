import type { CameraProfile } from '../camera/profile';
import type { Gear } from '../records/outing';
import { USUAL_WRITE_MBPS } from '../camera/card';
import { cardPass, slowCards } from './cardPass';
import type { SlowCard } from './cardPass';
import { heatPass } from './heatPass';
import type { Act, Chapter, HeatLevel, ResourceLevel } from './levels';
import { powerPass } from './powerPass';
import type { Schedule } from './schedule';
import { stretchesOf } from './stretches';
import type { Clash, Recorded } from './stretches';

/**
 * What one camera has left over a day: card, power and heat, each followed by itself, as if the other two held, so that
 * every limit is told and not only the first. Cards and cells are changed, and cells charged, only where the camera can
 * be touched. Bytes, watt hours, degrees Celsius; instants in milliseconds.
 */
export interface CameraBudget {
  cameraId: string;
  card: ResourceLevel;
  power: ResourceLevel;
  heat: HeatLevel;
  /** In the order of the day: what is done at the camera. */
  acts: readonly Act[];
  /** Cards that are too slow for what is written, with what they would have to keep. */
  slow: readonly SlowCard[];
  chapters: readonly Chapter[];
  /** Parts that begin before the one before them on this camera has ended; what overlaps is counted once. */
  clashes: readonly Clash[];
  /** What nobody told and was taken instead. */
  assumed: readonly ('card' | 'cell')[];
}

export function cameraBudget(
  camera: CameraProfile,
  recorded: readonly Recorded[],
  day: Pick<Schedule, 'pauses' | 'air' | 'fromMs'>,
  gear: Gear | undefined,
): CameraBudget {
  const { stretches, clashes } = stretchesOf(camera.id, recorded, day.pauses);
  const cards =
    gear && gear.cards.length > 0
      ? gear.cards
      : [
          {
            name: 'one card',
            capacityGb: Math.max(0, ...recorded.map(({ part }) => part.brief.limits.cardGb)),
            writeMBps: USUAL_WRITE_MBPS,
          },
        ];
  const acts: Act[] = [];
  const chapters: Chapter[] = [];
  const card = cardPass(stretches, cards, acts, chapters);
  const power = powerPass(stretches, gear, day, acts);
  return {
    cameraId: camera.id,
    card,
    power,
    heat: heatPass(camera, stretches, day),
    acts: acts.sort((a, b) => a.atMs - b.atMs),
    slow: slowCards(stretches, cards),
    chapters,
    clashes,
    assumed: [
      ...(gear && gear.cards.length > 0 ? [] : (['card'] as const)),
      ...(gear?.cells ? [] : (['cell'] as const)),
    ],
  };
}
