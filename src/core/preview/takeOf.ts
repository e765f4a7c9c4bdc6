import type { Scenery } from '../vocabulary/activities';
import { habitsOf } from '../vocabulary/mounts';
import { shakeBandsOf } from '../motion/shakeSpectrum';
import type { Candidate } from '../search/candidate';
import { deliveredFrame, tiltHeldDeg } from '../loss/frame';
import { bitRate } from '../loss/terms/bitRate';
import { settingsOf } from '../search/settingsOf';
import { movementOf } from '../loss/movement';
import type { Space } from '../search/space';
import { sceneFor } from './scene';
import type { LightMoment, PreviewTake } from './take';

/** How a take is to be looked at. */
interface TakeWish {
  /** Played this much slower than life. */
  slowdown: number;
  moment: LightMoment;
  filmSeconds: number;
  /** The place drawn; left out, the one that fits the activity. */
  scene?: Scenery;
  seed?: number;
}

/** Light, EV100, below which a place with lamps is drawn indoors. */
const INDOORS_BELOW_EV = 9;
/** Softness for each octave of bits or pixels short (start). */
const SOFT_PER_OCTAVE = 0.4;

/** The take of one candidate: the very figures the solver judged it by. */
export function takeOf(space: Space, candidate: Candidate, wish: TakeWish): PreviewTake {
  const { brief, light } = space;
  const { mode, shutter, filter, iso, encoding } = candidate;
  const { sensor } = candidate.colour;
  const { mount, motion, playback } = brief;
  const habits = habitsOf(mount.kind, mount.place);
  const frame = deliveredFrame(brief, mode, space.school.steadiedInEdit);
  const righted = space.school.steadiedInEdit ? 180 : tiltHeldDeg(mode);
  const short = Math.max(0, Math.log2(playback.deliver.width / frame.widthPx));
  const lamplit = light.pulseHz !== null && light.evMax < INDOORS_BELOW_EV;
  return {
    lens: {
      horizontalDeg: frame.horizontalDeg,
      projection: mode.view.fromSphere ? 'straight' : mode.view.projection,
    },
    shape: playback.deliver.height / playback.deliver.width,
    scene: wish.scene ?? sceneFor(mount.activity, mount.kind, lamplit),
    movement: movementOf(brief),
    turning: 'toAndFro',
    turnAxis: 'yaw',
    join: null,
    heightM: habits.heightM,
    shake: {
      rmsDegPerS: motion.shakeDegPerSRms,
      bands: shakeBandsOf(mount.kind, mount.activity),
      seed: wish.seed ?? 1,
    },
    heldDeg: frame.swingDeg,
    rollHeldDeg: Math.max(frame.swingDeg, righted),
    tiltDeg: mount.tiltDeg,
    tiltLeftDeg: Math.abs(mount.tiltDeg) <= righted ? 0 : mount.tiltDeg,
    subject: motion.subject,
    gear: habits.inTheWay,
    captureFps: mode.frameRate,
    timelineFps: playback.timelineFps,
    slowdown: wish.slowdown,
    filmSeconds: wish.filmSeconds,
    exposure: {
      fNumberLog: sensor.fNumberLog,
      filterStops: filter.stops,
      isoMinLog: iso.minLog,
      isoSpanStops: iso.spanStops,
      longestLog: shutter.longestLog,
      shutterSpanStops: shutter.spanStops,
      baseLog: sensor.baseLog,
      noiseStops: sensor.noiseStops,
      guardStops: sensor.guardStops,
      // What fills the frame is what the meter is led by: a picture of it is right under the offset that puts that right.
      offsetStops: offsetLeft(space, candidate),
    },
    light: { evMin: light.evMin, evMax: light.evMax, moment: wish.moment, pulseHz: light.pulseHz },
    softness: Math.min(0.9, SOFT_PER_OCTAVE * (bitRate.loss({ brief, mode, encoding }) + short)),
  };
}

function offsetLeft(space: Space, candidate: Candidate): number {
  return settingsOf(space, candidate).exposureOffsetStops - space.workings.picture.meterStops;
}
