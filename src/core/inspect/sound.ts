import type { Sound } from '../records/clipReport';
import { hann, powerAt, powerOfTwoFrom, spectrumOf } from './fourier';
import { meanOf, quantileOf } from './series';

/** Levels of a sound track in dB of full scale; a share in per cent. */

/** One window of the track. */
export interface SoundMoment {
  atSeconds: number;
  levelDb: number;
  lowDb: number;
  /** Share of the energy below 100 Hz, 0…1. */
  lowShare: number;
}

const WINDOW_SECONDS = 0.15;
const LOW_HZ = 100;
/** A sample this near full scale, so many in a row, is cut off: a loud tone only touches it. */
const FULL = 0.994;
const IN_A_ROW = 3;
const SILENT_DB = -60;
const QUIETEST_DB = -120;
/** Wind: most of the energy is low, and it comes in gusts. Source: Nelke & Vary 2014, fig. 1 and sec. 3 (energy below 100 Hz). */
const WINDY_SHARE = 0.6;
const WINDY_DB = -50;
const GUSTS_DB = 4;

/** Takes a track piece by piece and keeps a figure for each window, whatever its length. Channels are averaged. */
export class SoundMeter {
  readonly moments: SoundMoment[] = [];
  private readonly window: Float64Array;
  private readonly shape: Float64Array;
  private readonly size: number;
  private filled = 0;
  private run = 0;
  private clipped = 0;
  private samples = 0;
  private leftOutSeconds = 0;
  private peak = 0;
  private energy = 0;
  private lowEnergy = 0;
  private allEnergy = 0;

  constructor(private readonly rate: number) {
    const length = Math.max(64, Math.round(WINDOW_SECONDS * rate));
    this.window = new Float64Array(length);
    this.shape = hann(length);
    this.size = powerOfTwoFrom(length);
  }

  /** Samples of each channel, −1…1, all of one length; and when the first of them sounds, where some were left out. */
  add(channels: readonly Float32Array[], fromSeconds?: number): void {
    const count = channels[0]?.length ?? 0;
    if (fromSeconds !== undefined && Math.abs(fromSeconds - this.heardSeconds()) > WINDOW_SECONDS) {
      this.leftOutSeconds += fromSeconds - this.heardSeconds();
      this.filled = 0;
    }
    for (let at = 0; at < count; at++) {
      let [sum, loudest] = [0, 0];
      for (const channel of channels) {
        const value = channel[at] ?? 0;
        sum += value;
        loudest = Math.max(loudest, Math.abs(value));
      }
      const mono = sum / channels.length;
      if (loudest >= FULL) {
        this.run++;
        if (this.run === IN_A_ROW) this.clipped += IN_A_ROW;
        else if (this.run > IN_A_ROW) this.clipped++;
      } else this.run = 0;
      this.peak = Math.max(this.peak, loudest);
      this.energy += mono * mono;
      this.samples++;
      this.window[this.filled++] = mono;
      if (this.filled === this.window.length) this.close();
    }
  }

  private heardSeconds(): number {
    return this.leftOutSeconds + this.samples / this.rate;
  }

  private close(): void {
    const { window, shape, size, rate } = this;
    const spectrum = spectrumOf(
      window.map((value, at) => value * (shape[at] ?? 0)),
      rate,
      size,
    );
    let [low, all, square] = [0, 0, 0];
    // A steady offset is no sound.
    const first = Math.ceil(10 / spectrum.perLine);
    for (let line = first; line <= size / 2; line++) {
      const power = powerAt(spectrum, line);
      all += power;
      if (line * spectrum.perLine < LOW_HZ) low += power;
    }
    for (const value of window) square += value * value;
    const level = decibels(square / window.length);
    const lowShare = all > 0 ? low / all : 0;
    this.lowEnergy += low;
    this.allEnergy += all;
    const atSeconds = this.heardSeconds() - window.length / 2 / rate;
    this.moments.push({ atSeconds, levelDb: level, lowDb: level + decibels(lowShare), lowShare });
    this.filled = 0;
  }

  /** `null`: shorter than one window. */
  result(): Sound | null {
    const { moments, samples } = this;
    if (moments.length === 0) return null;
    const lows = moments.map(({ lowDb }) => Math.max(QUIETEST_DB, lowDb));
    const gustsDb = quantileOf(lows, 0.9) - quantileOf(lows, 0.1);
    const shareOf = (is: (moment: SoundMoment) => boolean): number =>
      100 * meanOf(moments.map((moment) => (is(moment) ? 1 : 0)));
    return {
      levelDb: decibels(this.energy / samples),
      peakDb: decibels(this.peak ** 2),
      clippedPct: (100 * this.clipped) / samples,
      belowHundredPct: this.allEnergy > 0 ? (100 * this.lowEnergy) / this.allEnergy : 0,
      gustsDb,
      windPct:
        gustsDb < GUSTS_DB
          ? 0
          : shareOf(({ lowShare, levelDb }) => lowShare > WINDY_SHARE && levelDb > WINDY_DB),
      silentPct: shareOf(({ levelDb }) => levelDb < SILENT_DB),
    };
  }
}

function decibels(power: number): number {
  return 10 * Math.log10(Math.max(10 ** (QUIETEST_DB / 10), power));
}
