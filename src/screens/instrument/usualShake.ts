import { briefOf } from '@/core/brief/brief';
import { usualShakeDegPerSRms } from '@/core/motion/shake';
import type { KitItem } from '@/core/records/kitItem';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { Target } from './targets';

/** What the mount of a target usually shakes, deg/s rms; `null` where nothing says how it is used. */
export function usualShakeOf(
  { of }: Target,
  shots: readonly ShotRecord[],
  kit: readonly KitItem[],
): number | null {
  if ('shotId' in of) {
    const shot = shots.find(({ id }) => id === of.shotId)?.shot;
    if (!shot) return null;
    const { mount, motion } = briefOf(shot).brief;
    const { kind, ground, activity, place } = mount;
    return usualShakeDegPerSRms(kind, ground, activity, { place, travelMps: motion.travelMps });
  }
  const thing = kit.find(({ id }) => id === of.kitId)?.thing;
  if (thing?.what !== 'mount') return null;
  return usualShakeDegPerSRms(thing.kind, 'mixed', 'riding', { place: thing.place });
}
