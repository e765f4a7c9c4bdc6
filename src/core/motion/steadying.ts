import { shakeSwingDeg } from './shake';
import type { ShakeTurn } from './shakeSpectrum';

/** What electronic steadying can and cannot take up. Angles in degrees, to either side. */

/**
 * Share of the time, 0…1, for which the swing goes past what a margin holds: the picture lurches then. The swing is taken
 * as normal in each of two directions, its peak being twice its rms: past `m` with chance `erfc(m / σ√2)` in each.
 */
export function overrunShare(shakeDegPerSRms: number, heldDeg: number): number {
  const rms = shakeSwingDeg(shakeDegPerSRms) / 2 / Math.SQRT2;
  if (rms === 0) return 0;
  const inside = 1 - complementaryError(heldDeg / (rms * Math.SQRT2));
  return 1 - inside * inside;
}

/** The turn that steadying leaves in the picture at an instant: what goes past its margin. */
export function leftAfter(turn: ShakeTurn, heldDeg: number, rollHeldDeg: number): ShakeTurn {
  return {
    yawDeg: beyond(turn.yawDeg, heldDeg),
    pitchDeg: beyond(turn.pitchDeg, heldDeg),
    rollDeg: beyond(turn.rollDeg, rollHeldDeg),
  };
}

function beyond(value: number, held: number): number {
  return Math.sign(value) * Math.max(0, Math.abs(value) - held);
}

/** erfc for x ≥ 0. Abramowitz & Stegun 7.1.26, within 1.5e−7. */
function complementaryError(x: number): number {
  const t = 1 / (1 + 0.3275911 * x);
  const poly =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  return poly * Math.exp(-x * x);
}
