import { cadenceOf } from '../playback/cadence';

/**
 * Lamps pulse: on the mains at twice its frequency, screens and drone lights at their own. How much of the pulse an
 * exposure keeps, how fast the frame rate lets it be seen, and which shutters are free of it. Pulse rates in Hz.
 */

/** Lamps on mains of f Hz pulse at 2f: the filament, tube or cheap driver follows power, not voltage. */
export function pulseHzOfMains(mainsHz: number): number {
  return 2 * mainsHz;
}

/**
 * The share of the lamp's pulse left in an exposure, 0…1: `|sin(π·p·t) / (π·p·t)|` for a pulse of p Hz.
 * Zero at whole multiples of 1/p. Source: Fourier transform of a box of length t at p.
 */
export function flickerResidual(pulseHz: number, shutterSeconds: number): number {
  const phase = Math.PI * pulseHz * shutterSeconds;
  return phase === 0 ? 1 : Math.abs(Math.sin(phase) / phase);
}

/** The beat in Hz at which the pulse shows up in the frames, by aliasing at their rate. 0 is a steady level. */
export function flickerBeatHz(pulseHz: number, fps: number): number {
  return Math.abs(pulseHz - Math.round(pulseHz / fps) * fps);
}

/** Bands across one frame while a sensor reads it out line by line: `p · readout`. */
export function flickerBands(pulseHz: number, readoutSeconds: number): number {
  return pulseHz * readoutSeconds;
}

/** The shutters in seconds, longest first, that keep nothing of the pulse and fit into one frame. */
export function flickerSafeShutters(pulseHz: number, fps: number): number[] {
  const period = 1 / pulseHz;
  const whole = Math.floor(1 / fps / period + 1e-9);
  return Array.from({ length: whole }, (_, index) => (whole - index) * period);
}

/** A beat between these, Hz of the film, is seen as pulsing: below, the level creeps; above, it shimmers. */
export const BEAT_SEEN_HZ = [0.2, 15] as const;
/** From here on to the end of what pulses the eye bears it least (de Lange 1958, Kelly 1961: the peak of flicker sensitivity). */
export const WORST_BEAT_FROM_HZ = 8;
/** Bands from which a line-by-line readout shows a steady pulse as standing stripes (start). */
const BANDS_SEEN_FROM = 0.5;

/** How a pulse is seen in the film as it is played. */
export interface PulseSeen {
  pulseHz: number;
  /** Hz of the film. */
  beatHz: number;
  seen: 'steady' | 'bands' | 'pulsing' | 'flashing' | 'shimmer';
  /** Stripes across the picture, `null` where the readout is not known. */
  bands: number | null;
}

/**
 * The pulse as played. What the capture makes of it is picked from once more for the frames that are shown: a level that
 * stands from captured frame to frame stands in the film, whatever is left out. Slow motion plays the action slower, and the
 * beat with it. Where frames repeat, what is captured is what is shown.
 */
export function pulseSeen(
  pulseHz: number,
  captureFps: number,
  { timelineFps, slowdown }: { timelineFps: number; slowdown: number },
  readoutSeconds: number | undefined,
): PulseSeen {
  const { shownFps } = cadenceOf(captureFps, timelineFps, slowdown);
  const beatHz = flickerBeatHz(flickerBeatHz(pulseHz, captureFps), shownFps) / slowdown;
  const bands = readoutSeconds === undefined ? null : flickerBands(pulseHz, readoutSeconds);
  const [slowest, fastest] = BEAT_SEEN_HZ;
  const steady = bands !== null && bands >= BANDS_SEEN_FROM ? 'bands' : 'steady';
  return {
    pulseHz,
    beatHz,
    seen: beatHz < slowest ? steady : beatHz > fastest ? 'shimmer' : pulsingAt(beatHz),
    bands,
  };
}

function pulsingAt(beatHz: number): 'pulsing' | 'flashing' {
  return beatHz < WORST_BEAT_FROM_HZ ? 'pulsing' : 'flashing';
}

/** Times of slow motion that are tried in place of one under which lamps beat. */
const OTHER_SLOWDOWNS = [1, 2, 4, 8, 16];

/**
 * How else the same camera could play an action that beats: the nearest slowdown at which some rate captures every frame
 * shown and the pulse stands still; `null` where there is none. Rates in frames a second.
 */
export function steadySlowdown(
  pulseHz: number,
  rates: readonly number[],
  { timelineFps, slowdown }: { timelineFps: number; slowdown: number },
): { slowdown: number; captureFps: number } | null {
  const far = (one: number): number => Math.abs(Math.log2(one / slowdown));
  for (const times of OTHER_SLOWDOWNS.filter((one) => one !== slowdown).sort((a, b) => far(a) - far(b))) {
    const captureFps = rates.find((fps) => {
      const { repeats, uneven } = cadenceOf(fps, timelineFps, times);
      const { beatHz } = pulseSeen(pulseHz, fps, { timelineFps, slowdown: times }, undefined);
      return !repeats && !uneven && beatHz < BEAT_SEEN_HZ[0];
    });
    if (captureFps !== undefined) return { slowdown: times, captureFps };
  }
  return null;
}
