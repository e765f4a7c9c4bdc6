import type { Brief } from '../brief/brief';
import { start } from '../units/estimate';
import type { Activity } from '../vocabulary/activities';

/** What to do about the sound of a shot in which somebody is to be heard; metres a second. */
export type SoundAdvice =
  /** Slowed, speech is none. */
  | { code: 'slowed'; slowdown: number }
  /** Air past the microphone: travel and wind together. */
  | { code: 'wind'; streamMps: number; travelMps: number; windMps: number }
  /** More than a cover takes: the voice is taken elsewhere. */
  | { code: 'outside'; streamMps: number }
  | { code: 'windows' }
  /** Behind a seal little is heard. */
  | { code: 'opening' }
  | { code: 'slate' };

export const SOUND_LIMITS = {
  coverFromMps: start(3, 'from a light breeze on wind lies over speech on a bare microphone'),
  outsideFromMps: start(9, 'from a fresh breeze on it comes through foam and fur as well'),
};

/** What is done on or in water goes behind a seal. */
const WET: readonly Activity[] = ['paddling', 'surfing'];

/** In the order in which it is done; nothing where no speech is wanted, or the recording has no sound. */
export function soundAdvice({ sound, motion, mount, pins, playback }: Brief): SoundAdvice[] {
  const lapse = pins.recording === 'timeLapse' || pins.recording === 'movingTimeLapse';
  if (!sound.speech || lapse) return [];
  const advice: SoundAdvice[] = [];
  const { slowdown } = playback;
  if (slowdown > 1) advice.push({ code: 'slowed', slowdown });
  if (WET.includes(mount.activity)) advice.push({ code: 'opening' });
  if (mount.kind === 'vehicleInside') advice.push({ code: 'windows' });
  else {
    const { travelMps } = motion;
    const { windMps } = sound;
    // Into the wind: nobody can choose which way it comes.
    const streamMps = travelMps + windMps;
    if (streamMps >= SOUND_LIMITS.coverFromMps.value)
      advice.push({ code: 'wind', streamMps, travelMps, windMps });
    // What is recorded elsewhere is laid under the picture by a clap; one camera that hears for itself needs none.
    if (streamMps >= SOUND_LIMITS.outsideFromMps.value)
      advice.push({ code: 'outside', streamMps }, { code: 'slate' });
  }
  return advice;
}
