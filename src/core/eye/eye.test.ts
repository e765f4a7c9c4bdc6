import { beforeAll, describe, expect, it } from 'vitest';
import { TEN_SHOTS, briefOfNamed } from '../loss/tenShots';
import type { EyeAnswer, EyeChoice } from '../records/ownEye';
import { SeededRandom, named } from '../units/seededRandom';
import { item } from '../units/items';
import { SEEN_TERMS } from '../vocabulary/terms';
import { aheadOf, chancesOf, fit, PEOPLE } from './fit';
import { COURSE, isAtRandom, knownFrom, nextPair, readEye, TELLING } from './course';
import { looks } from './looks';
import { differencesByTerm, PAIR_LIMITS, pairsOf } from './pairs';
import type { EyePair } from './pairs';
import { samples, seeded } from '../../../testing/samples';

const PEOPLE_COUNT = samples(500);
/** What the mean of so many people may be off by. */
const SLACK = 0.2 / Math.sqrt(PEOPLE_COUNT);
const LONGER = (TELLING * 3) / 2;

/** Somebody with weights of their own, who chooses as people do. */
class Person {
  readonly truth: number[];
  private readonly drawn: SeededRandom;

  constructor(at: number) {
    this.drawn = new SeededRandom(seeded(20_261_129), at);
    this.truth = [
      ...SEEN_TERMS.map((term) => Math.log(PEOPLE.weightTimes.value) * this.drawn.normal(named(term))),
      Math.log(PEOPLE.sharp.value) + PEOPLE.sharpSpread.value * this.drawn.normal(named('sharp')),
    ];
  }

  says(differences: readonly number[], when: string): EyeChoice {
    const { first, second } = chancesOf(aheadOf(this.truth, differences));
    const at = this.drawn.even(named(when));
    return at < first ? 'first' : at < first + second ? 'second' : 'neither';
  }

  anyOf<T>(list: readonly T[], when: string): T {
    return item(list, Math.floor(this.drawn.even(named(when)) * list.length));
  }
}

function lookedAt(
  { differences, plain }: EyePair,
  turned: boolean,
  say: (differences: number[]) => EyeChoice,
): EyeAnswer {
  const shown = turned ? differences.map((by) => -by) : [...differences];
  return { differences: differencesByTerm(shown), said: say(shown), plain };
}

function course(
  pairs: readonly EyePair[],
  say: (differences: number[], at: number) => EyeChoice,
): EyeAnswer[] {
  const answers: EyeAnswer[] = [];
  while (answers.length < COURSE) {
    const next = nextPair(pairs, answers);
    if (!next) throw new Error('no pair is left');
    answers.push(lookedAt(next.pair, next.turned, (shown) => say(shown, answers.length)));
  }
  return answers;
}

let pairs: EyePair[];
/** Of other shots: nobody was asked about them. */
let fresh: EyePair[];
let people: { person: Person; answers: EyeAnswer[] }[];
beforeAll(() => {
  pairs = looks().flatMap(pairsOf);
  fresh = TEN_SHOTS.flatMap((shot) => pairsOf(briefOfNamed(shot, 'weigh'))).filter(({ plain }) => !plain);
  people = Array.from({ length: PEOPLE_COUNT }, (_, at) => {
    const person = new Person(at);
    return { person, answers: course(pairs, (shown, place) => person.says(shown, `say ${place}`)) };
  });
});

/** Share of a person's fresh choices that weights predict. */
function predicted(mean: readonly number[], person: Person): number {
  const said = fresh.map((pair, at) => ({ pair, said: person.says(pair.differences, `fresh ${at}`) }));
  const choices = said.filter((one) => one.said !== 'neither');
  const right = choices.filter(
    ({ pair, said: which }) => aheadOf(mean, pair.differences) > 0 === (which === 'first'),
  );
  return right.length / choices.length;
}

describe('pairs', () => {
  it('trade one thing that is seen for another, by what is noticed and no more than can be borne', () => {
    const telling = pairs.filter(({ plain }) => !plain);
    expect(telling.length).toBeGreaterThan(100);
    for (const { differences } of telling) {
      expect(differences.filter((by) => Math.abs(by) >= PAIR_LIMITS.part.value).length).toBe(2);
      const up = differences.filter((by) => by > 0).reduce((sum, by) => sum + by, 0);
      const down = -differences.filter((by) => by < 0).reduce((sum, by) => sum + by, 0);
      expect(Math.min(up, down)).toBeGreaterThanOrEqual(1);
      expect(Math.max(up, down)).toBeLessThanOrEqual(6);
    }
    for (const [at, term] of SEEN_TERMS.entries())
      expect(
        telling.filter(({ differences }) => Math.abs(differences[at] ?? 0) >= PAIR_LIMITS.part.value).length,
        term,
      ).toBeGreaterThan(0);
  });

  it('are better in nothing where they are plainly worse', () => {
    const plain = pairs.filter((one) => one.plain);
    expect(plain.length).toBeGreaterThan(10);
    for (const { differences } of plain) expect(Math.min(...differences)).toBeGreaterThanOrEqual(-0.02);
  });
});

describe('weights from answers', () => {
  it('stay even with nothing said, and answers in another order fit the same', () => {
    expect(readEye([]).weights.map(({ weight }) => weight)).toEqual(SEEN_TERMS.map(() => 1));
    const { answers } = item(people, 1);
    const turned = knownFrom([...answers].reverse());
    for (const [at, own] of knownFrom(answers).mean.entries()) expect(turned.mean[at]).toBeCloseTo(own, 5);
  });

  it('are a mode: no weight moved either way is likelier', () => {
    const answers = [3, -2, 1.5, -1].map((by, at) => ({
      differences: [by, -1, 0.5 * at],
      said: (['first', 'second', 'neither', 'first'] as const)[at]!,
    }));
    const { mean } = fit(3, answers);
    const likely = (at: readonly number[]): number =>
      answers.reduce(
        (sum, { differences, said }) => sum + Math.log(chancesOf(aheadOf(at, differences))[said]),
        0,
      ) -
      at.slice(0, 3).reduce((sum, own) => sum + (own / Math.log(2)) ** 2 / 2, 0) -
      ((item(at, 3) - Math.log(2)) / 0.4) ** 2 / 2;
    for (let term = 0; term < 4; term++)
      for (const by of [-0.02, 0.02])
        expect(likely(mean.map((own, at) => (at === term ? own + by : own)))).toBeLessThan(likely(mean));
  });

  it('say the same of a pair and of the pair turned round', () => {
    const one = fit(2, [{ differences: [2, -1], said: 'first' }]);
    const other = fit(2, [{ differences: [-2, 1], said: 'second' }]);
    for (const [at, own] of one.mean.entries()) expect(other.mean[at]).toBeCloseTo(own, 9);
  });
});

describe('many people', () => {
  it('choose as their fitted weights say, after twelve pairs, and chosen pairs need a third fewer than random ones', () => {
    const sums = { even: 0, chosen: 0, random: 0, knower: 0 };
    const even = fit(SEEN_TERMS.length, []).mean;
    for (const { person, answers } of people) {
      const drawn = Array.from({ length: LONGER }, (_, place) => {
        const pair = person.anyOf(
          pairs.filter(({ plain }) => !plain),
          `pair ${place}`,
        );
        return lookedAt(pair, false, (shown) => person.says(shown, `said ${place}`));
      });
      sums.even += predicted(even, person) / PEOPLE_COUNT;
      sums.chosen += predicted(knownFrom(answers).mean, person) / PEOPLE_COUNT;
      sums.random += predicted(knownFrom(drawn).mean, person) / PEOPLE_COUNT;
      sums.knower += predicted(person.truth, person) / PEOPLE_COUNT;
    }
    console.info(`predicted: ${JSON.stringify(sums)}`);
    expect(sums.chosen).toBeGreaterThanOrEqual(0.85 - SLACK);
    expect(sums.chosen).toBeGreaterThanOrEqual(sums.random - SLACK);
    expect(sums.knower).toBeGreaterThan(sums.chosen);
    expect(sums.even).toBeLessThan(0.75);
  });

  it('who answer by a coin are found, and others are not taken for them', () => {
    const found = { coins: 0, leavingOpen: 0, wronged: 0 };
    for (const [at, { person, answers }] of people.entries()) {
      const leavesOpen = at % 2 === 1;
      const hands: readonly EyeChoice[] = leavesOpen ? ['first', 'second', 'neither'] : ['first', 'second'];
      const tapped = course(pairs, (_, place) => person.anyOf(hands, `tap ${place}`));
      if (isAtRandom(readEye(tapped))) found[leavesOpen ? 'leavingOpen' : 'coins']++;
      if (isAtRandom(readEye(answers))) found.wronged++;
    }
    console.info(`at random: ${JSON.stringify(found)}`);
    expect(found.coins).toBeGreaterThanOrEqual((0.45 - SLACK) * PEOPLE_COUNT);
    expect(found.leavingOpen).toBeGreaterThanOrEqual((0.45 - SLACK) * PEOPLE_COUNT);
    expect(found.wronged).toBeLessThanOrEqual(0.05 * PEOPLE_COUNT + 1);
  });
});
