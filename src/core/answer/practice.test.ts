import { READY_SCHOOLS } from '../vocabulary/schools';
import type { SchoolId } from '../vocabulary/schools';
import { describe, expect, it } from 'vitest';
import { PRACTICE_CASES, termOfSlope } from '../loss/practice';
import { schoolOf } from '../loss/schools';
import { TERM_TABLE } from '../loss/table';
import type { Loss } from '../loss/table';
import { briefOfNamed, TEN_SHOTS } from '../loss/tenShots';
import type { Pins } from '../records/settings';
import { lossOf } from '../search/candidate';
import { search } from '../search/search';
import { spaceFor } from '../search/space';

function under(name: string, school: SchoolId, pins: Pins): { score: number; loss: Loss } {
  const named = TEN_SHOTS.find((one) => one.name === name);
  if (!named) throw new Error(`no shot called ${name}`);
  const made = spaceFor(briefOfNamed(named, school, pins));
  const found = made.ok ? search(made.space) : null;
  if (!made.ok || !found) throw new Error(`${name}: no answer under ${JSON.stringify(pins)}`);
  return { score: found.score, loss: lossOf(made.space, found.candidate) };
}

describe('cases of practice', () => {
  it('are at least eighty, over every school and every shot', () => {
    expect(PRACTICE_CASES.length).toBeGreaterThanOrEqual(80);
    for (const school of READY_SCHOOLS)
      expect(
        PRACTICE_CASES.some((one) => one.school === school),
        school,
      ).toBe(true);
    for (const { name } of TEN_SHOTS)
      expect(
        PRACTICE_CASES.some(({ shot }) => shot === name),
        name,
      ).toBe(true);
  });

  it.each(PRACTICE_CASES.map((one, at) => [at, one.shot, one.school, one] as const))(
    '%i %s, %s',
    (_, __, ___, { shot, school, better, worse, because, slopes }) => {
      const good = under(shot, school, better);
      const bad = under(shot, school, worse);
      const told = `${because}: ${JSON.stringify(better)} ${good.score.toFixed(2)} against ${JSON.stringify(worse)} ${bad.score.toFixed(2)}`;
      expect(good.score, told).toBeLessThan(bad.score - 0.02);
      for (const slope of slopes) {
        const term = termOfSlope(slope);
        const name = slope.split('.')[1] ?? '';
        const known =
          term === 'wish'
            ? name in schoolOf({ school, mine: null }).wishes
            : name in (TERM_TABLE.find(({ id }) => id === term)?.slopes ?? {});
        expect(known, slope).toBe(true);
        expect(bad.loss[term], `${slope} does not settle it; ${told}`).toBeGreaterThan(good.loss[term]);
      }
    },
  );
});
