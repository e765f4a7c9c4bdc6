import type { Memo } from '../day/partWork';
import type { Settings } from '../records/settings';
import { item } from '../units/items';
import { chanceOf } from './chance';
import type { Chance } from './chance';
import { coursesOf } from './courses';
import type { BandsOverDay, Courses } from './courses';
import { simulateDay } from './day';
import { SeededRandom } from '../units/seededRandom';
import { driversOf } from './drivers';
import type { Driver } from './drivers';
import { fanOf } from './fan';
import { cloudAt } from './filmed';
import type { Fan } from './fan';
import { FAILURES, UNCERTAIN_INPUTS } from './simulated';
import type { Failure, UncertainInput, SimulatedDay, SimulatedPart } from './simulated';
import { otherOptions } from './otherOptions';
import type { Plan, PlannedPart } from './plan';
import { readingBefore } from './reading';
import type { ReadingWorth } from './reading';
import type { Unknowns } from './unknowns';
import { outcomeOn } from './filmingOption';
import type { FilmingOption } from './filmingOption';

/** What so many drawn days come to. */
export interface Rehearsal {
  draws: number;
  seed: number;
  everythingLasts: Chance;
  lossMean: number;
  lossWorstTenth: number;
  /** A day of the worst tenth, by its number: the one in its middle. */
  badDay: number;
  shots: readonly RehearsedShot[];
  cameras: readonly RehearsedCamera[];
}

/** What a camera has left in the evening, shares, how warm it got, °C, and all three over the clock. */
interface RehearsedCamera {
  id: string;
  card: Fan;
  power: Fan;
  hottestC: Fan;
  bands: BandsOverDay;
}

export interface RehearsedShot {
  /** Of the part. */
  id: string;
  chances: Readonly<Record<Failure, Chance>>;
  /** That any of them happens. */
  fails: Chance;
  lossMean: number;
  lossWorstTenth: number;
  drivers: readonly Driver[];
  /** Its light at the dark end and at the bright one, EV100. */
  light: { evMin: Fan; evMax: Fan };
}

/** What one could set otherwise for a shot, and what a reading before it is worth. */
export interface Picks {
  /** Of the part. */
  id: string;
  /** The settings of least mean loss, where they are not those of the plan. */
  robust: Robust | null;
  reading: ReadingWorth;
}

export interface Robust {
  settings: Settings;
  lossMean: number;
  /** What it saves on the mean against the plan, slips and what runs out aside. */
  saves: number;
  /** What it loses more than the plan on a day that is as likely. */
  onLikelyDay: number;
}

const HOURS = 25;
/** Of two ways lived through on the same days, this many standard errors make one the better. */
const SURE_BY = 2;
/** A pick that saves less than this is not worth another setting. */
const LEAST_SAVING = 0.02;

/** Days of one plan, lived through one after the other, as many as there is time for. */
export class Rehearsing {
  private readonly tallies: readonly Tally[];
  private readonly losses: number[] = [];
  private lasting = 0;
  private readonly cameras = new Map<string, CameraTally>();

  constructor(
    readonly plan: Plan,
    private readonly unknowns: Unknowns,
    private readonly seed: number,
  ) {
    this.tallies = plan.parts.map((planned) => new Tally(planned));
  }

  get draws(): number {
    return this.losses.length;
  }

  /** One day of the seed by its number, to be looked at. */
  day(number: number): SimulatedDay {
    return simulateDay(this.plan, new SeededRandom(this.seed, number), this.unknowns);
  }

  /**
   * What its cloud leaves of the light, hour by hour of that date, in spreads of the forecast: below 0 is darker than
   * foretold. `null`: no shot of the day is lit by a sky that may turn out otherwise.
   */
  clouds(number: number): number[] | null {
    const may = this.plan.parts.some(({ light }) => light.cloudStops.some((stops) => stops > 0));
    if (!may || this.unknowns.cloudTimes === 0) return null;
    const drawn = new SeededRandom(this.seed, number);
    return Array.from({ length: HOURS }, (_, hour) => this.unknowns.cloudTimes * cloudAt(drawn, hour));
  }

  run(more: number): void {
    for (let left = more; left > 0; left--) {
      const simulated = this.day(this.draws);
      simulated.parts.forEach((part, at) => item(this.tallies, at).add(part));
      this.losses.push(simulated.loss);
      if (simulated.everythingLasts) this.lasting += 1;
      for (const { cameraId, card, power, heat } of simulated.budgets) {
        const its = this.cameras.get(cameraId) ?? {
          card: [],
          power: [],
          hottestC: [],
          courses: this.coursesOf(cameraId),
        };
        this.cameras.set(cameraId, its);
        its.card.push(card.out ? 0 : (card.course.at(-1)?.share ?? 1));
        its.power.push(power.out ? 0 : (power.course.at(-1)?.share ?? 1));
        its.hottestC.push(heat.hottestC);
        its.courses.add(card.course, power.course, heat.course);
      }
    }
  }

  private coursesOf(cameraId: string): Courses {
    const { parts } = this.plan;
    const own = parts.find(({ part }) => part.camera.id === cameraId);
    return coursesOf(parts, (own ?? item(parts, 0)).part.camera);
  }

  report(): Rehearsal {
    const { losses, draws, seed } = this;
    const worst = losses.map((loss, at) => ({ loss, at })).sort((a, b) => b.loss - a.loss || a.at - b.at);
    return {
      draws,
      seed,
      everythingLasts: chanceOf(this.lasting, draws),
      lossMean: meanOf(losses),
      lossWorstTenth: worstTenthOf(losses),
      badDay: worst[Math.floor(draws / 20)]?.at ?? 0,
      shots: this.tallies.map((tally) => tally.report()),
      cameras: [...this.cameras].map(([id, { card, power, hottestC, courses }]) => ({
        id,
        card: fanOf(card),
        power: fanOf(power),
        hottestC: fanOf(hottestC),
        bands: courses.report(),
      })),
    };
  }

  /** `memo`: that of the day, for ways that it was asked already. */
  picks(memo: Memo = new Map()): Picks[] {
    return [...this.eachPick(memo)];
  }

  /** The same one after the other. */
  *eachPick(memo: Memo): Generator<Picks, undefined> {
    for (const tally of this.tallies) yield tally.picks(this.plan, memo, this.unknowns);
  }
}

interface CameraTally {
  card: number[];
  power: number[];
  hottestC: number[];
  courses: Courses;
}

/** All days of one shot. */
class Tally {
  private readonly counts = Object.fromEntries(FAILURES.map((code) => [code, 0])) as Record<Failure, number>;
  private failures = 0;
  private readonly losses: number[] = [];
  private readonly inputs = Object.fromEntries(
    UNCERTAIN_INPUTS.map((input) => [input, [] as number[]]),
  ) as Record<UncertainInput, number[]>;
  private readonly lights: { evMin: number; evMax: number }[] = [];

  constructor(private readonly planned: PlannedPart) {}

  add({ failed, loss, inputs, evMin, evMax }: SimulatedPart): void {
    for (const code of failed) this.counts[code] += 1;
    if (failed.size > 0) this.failures += 1;
    this.losses.push(loss);
    for (const input of UNCERTAIN_INPUTS) this.inputs[input].push(inputs[input]);
    this.lights.push({ evMin, evMax });
  }

  report(): RehearsedShot {
    const { planned, losses, counts } = this;
    const draws = losses.length;
    return {
      id: planned.part.id,
      chances: Object.fromEntries(FAILURES.map((code) => [code, chanceOf(counts[code], draws)])) as Record<
        Failure,
        Chance
      >,
      fails: chanceOf(this.failures, draws),
      lossMean: meanOf(losses),
      lossWorstTenth: worstTenthOf(losses),
      drivers: driversOf(losses, this.inputs),
      light: {
        evMin: fanOf(this.lights.map(({ evMin }) => evMin)),
        evMax: fanOf(this.lights.map(({ evMax }) => evMax)),
      },
    };
  }

  picks(plan: Plan, memo: Memo, unknowns: Unknowns): Picks {
    const { part, option } = this.planned;
    const others = otherOptions(this.planned, plan, memo);
    return {
      id: part.id,
      robust: option && this.robust(option, others),
      reading: readingBefore(this.planned, others, unknowns),
    };
  }

  /** Every way on the same days; what slips and what runs out is the same for all. */
  private robust(option: FilmingOption, others: readonly FilmingOption[]): Robust | null {
    const nominal = this.livedAs(option);
    const { light } = this.planned;
    const likely = { evMin: item(light.evMin, 0), evMax: item(light.evMax, 0), shake: 0, speed: 0 };
    let best: Robust | null = null;
    for (const other of others) {
      const saved = this.livedAs(other).map((loss, at) => (nominal[at] ?? 0) - loss);
      const saves = meanOf(saved);
      const error = Math.sqrt(meanOf(saved.map((one) => (one - saves) ** 2)) / Math.max(1, saved.length));
      if (saves < LEAST_SAVING || saves < SURE_BY * error || saves <= (best?.saves ?? 0)) continue;
      best = {
        settings: other.settings,
        lossMean: meanOf(nominal) - saves,
        onLikelyDay: outcomeOn(other, likely).loss - outcomeOn(option, likely).loss,
        saves,
      };
    }
    return best;
  }

  private livedAs(option: FilmingOption): number[] {
    return this.lights.map(
      (light, at) =>
        outcomeOn(option, {
          ...light,
          shake: this.inputs.shake[at] ?? 0,
          speed: this.inputs.speed[at] ?? 0,
        }).loss,
    );
  }
}

function meanOf(values: readonly number[]): number {
  return values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Mean of the worst tenth, at least of the worst. */
function worstTenthOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => b - a);
  return meanOf(sorted.slice(0, Math.max(1, Math.round(values.length / 10))));
}
