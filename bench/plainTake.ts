import type { Lens } from '@/core/optics/projection';
import type { PreviewTake } from '@/core/preview/take';

export const LENS: Lens = { horizontalDeg: 90, projection: 'curved' };
/** A camera that stands still. Proper at EV 12: f/2.8, 1/100 s, four stops of filter, ISO 100 ± what is asked. */
export const PLAIN: PreviewTake = {
  lens: LENS,
  shape: 9 / 16,
  scene: 'gorge',
  movement: {
    travelMps: 0,
    sideDistanceM: 1.5,
    pitchDeg: 0,
    backwards: false,
    turnDegPerS: 0,
    rollDegPerS: 0,
  },
  turning: 'oneWay',
  turnAxis: 'yaw',
  join: null,
  heightM: 1.5,
  shake: { rmsDegPerS: 0, bands: [{ lowHz: 1, highHz: 4, share: 1 }], seed: 1 },
  heldDeg: 0,
  rollHeldDeg: 0,
  tiltDeg: 0,
  tiltLeftDeg: 0,
  subject: null,
  gear: [],
  captureFps: 25,
  timelineFps: 25,
  slowdown: 1,
  filmSeconds: 2,
  exposure: {
    fNumberLog: 2 * Math.log2(2.8),
    filterStops: 0,
    isoMinLog: 0,
    isoSpanStops: 0,
    longestLog: Math.log2(1 / 100),
    shutterSpanStops: 0,
    baseLog: 0,
    noiseStops: -20,
    guardStops: 0,
    offsetStops: 0,
  },
  light: { evMin: 9.61471, evMax: 9.61471, moment: 'dark', pulseHz: null },
  softness: 0,
};
