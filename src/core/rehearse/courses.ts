import type { CameraProfile } from '../camera/profile';
import { fanBy } from './fan';
import type { Fan } from './fan';
import type { PlannedPart } from './plan';

/** Cards and cells, shares left, and warmth, °C, over the clock in nine of ten days. */
export interface BandsOverDay {
  atMs: readonly number[];
  card: readonly Fan[];
  power: readonly Fan[];
  celsius: readonly Fan[];
}

/** Instants of a day that are looked at. */
const INSTANTS = 73;
/** A day that runs late is followed for so long after its plan ends. */
const AFTER_MS = 3_600_000;
/** What is counted together: half a percent, half a degree. */
const SHARE = { from: 0, step: 0.005, steps: 201 };
const CELSIUS = { from: -40, step: 0.5, steps: 321 };

/** Over all parts of a day, whichever camera they are of, so that cameras can be laid one above the other. */
export function coursesOf(parts: readonly PlannedPart[], { heat }: Pick<CameraProfile, 'heat'>): Courses {
  const fromMs = Math.min(...parts.map(({ part }) => part.fromMs));
  const toMs = Math.max(...parts.map(({ part }) => part.toMs)) + AFTER_MS;
  return new Courses(
    Array.from({ length: INSTANTS }, (_, at) => fromMs + (at * (toMs - fromMs)) / (INSTANTS - 1)),
    heat.tauMinutes,
  );
}

/** Corners of the cooling after the last shot, in time constants. */
const COOLING = [0.25, 0.5, 1, 1.5, 2, 3, 5];

/** A course that goes on after the last shot: the camera cools to what it had when the day began. */
function cooling(course: Warmth, tauMinutes: number): Warmth {
  const [first, last] = [course[0], course.at(-1)];
  if (!first || !last) return course;
  const above = last.celsius - first.celsius;
  return [
    ...course,
    ...COOLING.map((taus) => ({
      atMs: last.atMs + taus * tauMinutes * 60_000,
      celsius: first.celsius + above * Math.exp(-taus),
    })),
  ];
}

type Warmth = readonly { atMs: number; celsius: number }[];

/** Courses of many days, counted by steps at each instant: ten thousand days take no more room than ten. */
export class Courses {
  private readonly card: Counts<'share'>;
  private readonly power: Counts<'share'>;
  private readonly celsius: Counts<'celsius'>;

  constructor(
    private readonly atMs: readonly number[],
    private readonly tauMinutes: number,
  ) {
    this.card = new Counts(atMs, SHARE, 'share');
    this.power = new Counts(atMs, SHARE, 'share');
    this.celsius = new Counts(atMs, CELSIUS, 'celsius');
  }

  add(
    card: readonly { atMs: number; share: number }[],
    power: readonly { atMs: number; share: number }[],
    heat: Warmth,
  ): void {
    this.card.add(card);
    this.power.add(power);
    this.celsius.add(cooling(heat, this.tauMinutes));
  }

  report(): BandsOverDay {
    return {
      atMs: this.atMs,
      card: this.card.fans(),
      power: this.power.fans(),
      celsius: this.celsius.fans(),
    };
  }
}

interface Steps {
  from: number;
  step: number;
  steps: number;
}

class Counts<K extends string> {
  private readonly counts: Uint32Array;
  private days = 0;

  constructor(
    private readonly atMs: readonly number[],
    private readonly by: Steps,
    private readonly key: K,
  ) {
    this.counts = new Uint32Array(atMs.length * by.steps);
  }

  /** A course told at its corners, straight between them and as it was before the first and after the last. */
  add(course: readonly ({ atMs: number } & Record<K, number>)[]): void {
    const { atMs, key, counts } = this;
    const { from, step, steps } = this.by;
    let before = course[0];
    if (!before) return;
    let next = 0;
    for (let at = 0; at < atMs.length; at++) {
      const now = atMs[at] ?? 0;
      let after = course[next];
      while (after && after.atMs <= now) {
        before = after;
        next += 1;
        after = course[next];
      }
      let value: number = before[key];
      if (after && after.atMs > before.atMs && now > before.atMs)
        value += ((now - before.atMs) / (after.atMs - before.atMs)) * (after[key] - value);
      const place = Math.min(steps - 1, Math.max(0, Math.round((value - from) / step)));
      counts[at * steps + place] = (counts[at * steps + place] ?? 0) + 1;
    }
    this.days += 1;
  }

  fans(): Fan[] {
    const { from, step, steps } = this.by;
    return this.atMs.map((_, at) =>
      fanBy((share) => {
        const wanted = Math.round(share * (this.days - 1)) + 1;
        let [below, place] = [this.counts[at * steps] ?? 0, 0];
        while (below < wanted && place < steps - 1) {
          place += 1;
          below += this.counts[at * steps + place] ?? 0;
        }
        return from + place * step;
      }),
    );
  }
}
