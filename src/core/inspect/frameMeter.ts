import type { Rotation } from '../records/clipReport';
import { BlockedMeter } from './blocked';
import { brightnessOf } from './exposure';
import type { Brightness } from './exposure';
import { rowGains, summed } from './flicker';
import type { Summed } from './flicker';
import { grainOf } from './grain';
import type { Grain } from './grain';
import { horizonOf } from './horizon';
import type { HorizonLine } from './horizon';
import { movedBetween, readied } from './movement';
import type { Moved, Readied } from './movement';
import { differenceOf, reduced, turned } from './plane';
import type { CodedLuma } from './plane';
import { blurOf, zonesOf } from './sharpness';
import type { Zones } from './sharpness';

/** All that is kept of one picture. */
export interface FrameMeasured extends Brightness {
  atSeconds: number;
  /** `null`: nothing in it to be sharp. */
  blur: number | null;
  /** Against the picture before, `null` for the first of a stretch. */
  since: {
    difference: number;
    /** `null`: could not be told. */
    moved: Moved | null;
    gains: Float32Array;
  } | null;
  /** Looked for every so often: `undefined` where it was not, `null` where there is none. */
  horizon?: HorizonLine | null;
  grain?: Grain;
  zones?: Zones;
}

/** Horizon, grain and where it is soft change slowly: this often they are looked for, seconds. */
const NOW_AND_THEN_SECONDS = 0.4;

/**
 * Measures the pictures of one clip as they come, keeping no more than the one before. `cut()` begins a new stretch: the
 * next picture does not follow the last.
 */
export class FrameMeter {
  /** Width of the planes that shifts are told in, pixels. */
  planeWidth = 0;
  private before: { plane: Readied; sums: Summed } | null = null;
  private lookedAt = -Infinity;
  private readonly covered = new BlockedMeter();

  constructor(private readonly rotationDeg: Rotation = 0) {}

  cut(): void {
    this.before = null;
    this.lookedAt = -Infinity;
    this.covered.cut();
  }

  /** Per cent of the view that something in front of the lens takes; `null`: it could not be told. */
  get blockedPct(): number | null {
    return this.covered.result();
  }

  measure(coded: CodedLuma, atSeconds: number): FrameMeasured {
    const plane = turned(reduced(coded), this.rotationDeg);
    this.planeWidth = plane.width;
    this.covered.add(plane);
    const ready = readied(plane);
    const sums = summed(plane);
    const { before } = this;
    const [old] = before?.plane.levels ?? [];
    const moved = before && movedBetween(before.plane, ready);
    const since = before && {
      difference: old ? differenceOf(old, plane) : 0,
      moved,
      gains: rowGains(before.sums, sums, moved),
    };
    this.before = { plane: ready, sums };
    const measured = { ...brightnessOf(coded), atSeconds, blur: blurOf(plane), since };
    if (atSeconds - this.lookedAt < NOW_AND_THEN_SECONDS) return measured;
    this.lookedAt = atSeconds;
    return { ...measured, horizon: horizonOf(plane), grain: grainOf(coded), zones: zonesOf(plane) };
  }
}
