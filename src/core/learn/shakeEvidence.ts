import { shakeFloorSeconds, usualShakeDegPerSRms } from '../motion/shake';
import type { Evidence, Part } from './evidence';
import { ERRORS } from './figures';
import { LIMITS } from '../inspect/limits';
import type { FilmedTake } from './takes';

/** Movement that fewer of the pictures tell is not taken for a measure. */
const SURE_FROM = 0.4;

/**
 * What a take says of the shake of its mount: how its picture moved where nothing held it still, how its sharpness pulsed
 * where something did, and at which shutter it was or was not smeared. log2 of deg/s.
 */
export function shakeEvidence({
  id,
  date,
  brief,
  settings,
  pictures,
  rawShake,
  verdicts,
}: FilmedTake): Evidence[] {
  const { kind, place, ground, activity } = brief.mount;
  const usual = usualShakeDegPerSRms(kind, ground, activity, { place, travelMps: brief.motion.travelMps });
  if (usual <= 0) return [];
  const of: Part[] = [{ figure: { of: 'shake', mount: kind, activity, ground }, usual, times: 1 }];
  const day = { date, kind: 'shake' as const };
  const is = (degPerSRms: number, error: number): Evidence[] =>
    degPerSRms > 0 ? [{ id, of, says: 'is', at: Math.log2(degPerSRms / usual), error, day }] : [];
  const movement = pictures?.movement;
  if (
    settings.stabilization === 'off' &&
    movement?.shakeDegPerSRms !== undefined &&
    movement.confidence >= SURE_FROM &&
    (movement.strongestHz ?? 0) >= LIMITS.shakeFromHz.value
  )
    return is(movement.shakeDegPerSRms, ERRORS.movement.value);
  if (rawShake) return is(rawShake.degPerSRms, Math.hypot(rawShake.spread, ERRORS.movement.value));
  const view = brief.camera.views.find((one) => one.id === settings.view.id);
  if (!verdicts || !view) return [];
  // The shake at which this shutter stands at its floor: the floor falls as the shake grows.
  const { shutterSeconds, view: seen } = settings;
  const limit = shakeFloorSeconds(1, seen.horizontalDeg, view.projection) / shutterSeconds;
  return [
    {
      id,
      of,
      says: verdicts.has('smear') ? 'above' : 'below',
      at: Math.log2(limit / usual),
      error: ERRORS.smear.value,
      day,
    },
  ];
}
