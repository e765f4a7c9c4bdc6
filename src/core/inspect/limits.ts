import { sourced, start } from '../units/estimate';
import { BEAT_SEEN_HZ } from '../light/flicker';
import { STROBING_STEP_PCT } from '../loss/movement';

/** From where on what is measured is told as a finding, each with its reason. Starting estimates of this chapter. */
export const LIMITS = {
  clippedPct: start(1, 'a hundredth of the picture white is a patch of sky or snow that nothing brings back'),
  crushedPct: start(
    5,
    'shade may close up at the edges; a twentieth of the picture is a place one wanted to see',
  ),
  darkStops: start(-3.5, 'a picture whose mean lies at one and a half per cent was filmed in the dark'),
  stepsPerMinute: start(3, 'one step of exposure at a gate is a gate; more is an exposure that hunts'),
  pulsingPct: start(6, 'sharpness that swings by so much is seen as a picture that breathes'),
  blurFollows: start(0.25, 'blur that goes with the speed of the picture is movement, not focus'),
  blur: start(0.55, 'half of the steps in the picture are gone: out of focus, or something on the lens'),
  sharpAround: start(0.42, 'what is around holds most of its steps: the lens is clean and the camera still'),
  shakePctWidthPerS: start(14, 'a swing of one per cent of the width to either side at two hertz'),
  shakeFromHz: start(0.8, 'what swings slower is a look to and fro'),
  repeatedPct: start(4, 'one repeat a second on 25 frames is felt as a hitch'),
  strobingStepPct: sourced(STROBING_STEP_PCT, 'as in the plan: longer steps may strobe'),
  shortAngleDeg: sourced(60, 'as in the plan: blur that fills a sixth of the step joins two pictures'),
  noiseDb: start(31, 'grain of three per cent of the range crawls on any screen'),
  tiltDeg: start(1.5, 'as in the plan: a horizon off by less is not seen without a ruler'),
  tiltConfidence: start(0.5, 'half of a line is a line'),
  flickerPct: start(2, 'light that swings by a fiftieth at a few hertz is just seen'),
  shimmerPct: start(6, `above ${BEAT_SEEN_HZ[1]} Hz the eye averages most of it away`),
  blocking: start(1.35, 'borders a third steeper than the rest show as tiles on plain water and sky'),
  blockingSeen: start(1.2, 'borders that stand out by less are those of the texture itself'),
  lengthShare: start(0.9, 'a clip a tenth short of what was planned ended before its time'),
  rateShare: start(0.01, 'a rate off by a hundredth is another rate; 59.94 for 60 is not'),
  blockedPct: start(12, 'an edge of a mount takes less; more is a finger, a strap or a turned camera'),
  blockedBesideGearPct: start(35, 'arms, bar or bow stand in this view anyway, and take up to a third of it'),
  bitRateShare: start(
    0.6,
    'little movement needs fewer bits; under three fifths the camera was set otherwise',
  ),
  windPct: start(15, 'wind over a sixth of the clip is most of what is heard'),
  clippedSoundPct: start(0.05, 'so many samples cut off crackle on every loud word'),
  silentPct: start(95, 'a track without sound'),
} as const;
