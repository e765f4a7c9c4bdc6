import { describe, expect, it } from 'vitest';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import { briefOf } from '../brief/brief';
import { READY_SCHOOLS } from '../vocabulary/schools';
import type { ShotInput } from '../records/shot';
import { readShot } from '../records/shot';
import { FILE_VERSION } from '../schema/versions';
import { EVEN_WEIGHTS } from './table';
import { schoolOf, schoolsFor } from './schools';

/** A dusk on which every stop is grain, smear or shade. */
function dusk(look: ShotInput['look']): { solution: Solution; assumed: string[] } {
  const read = readShot({
    kind: 'lynxeye/shot',
    version: FILE_VERSION,
    look,
    mount: { kind: 'handlebar', ground: 'rough', activity: 'riding' },
    light: { kind: 'range', evMin: 4, evMax: 6 },
    filters: [],
    limits: { lamps: 'none', isoCeiling: 6400 },
  });
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  const { brief, assumed } = briefOf(read.value);
  const outcome = solve(brief);
  if (!outcome.solved) throw new Error('no answer');
  return { solution: outcome.solution, assumed: assumed.map(({ path }) => path) };
}

describe("a person's own school", () => {
  it('is offered where a shot brings one or is filmed to it, and nowhere else', () => {
    expect(schoolsFor({ school: 'film', mine: null })).toEqual(READY_SCHOOLS);
    expect(schoolsFor({ school: 'film', mine: { noise: 2 } })).toEqual([...READY_SCHOOLS, 'mine']);
    expect(schoolsFor({ school: 'mine', mine: null })).toEqual([...READY_SCHOOLS, 'mine']);
    const ways = ({ schools }: Solution): unknown[] =>
      schools.flatMap(({ way }) => (way.code === 'school' ? [way.school] : []));
    expect(ways(dusk({ school: 'weigh' }).solution)).not.toContain('mine');
    expect(ways(dusk({ school: 'weigh', mine: { noise: 3 } }).solution)).toContain('mine');
    expect(ways(dusk({ school: 'mine', mine: { noise: 3 } }).solution)).toEqual([...READY_SCHOOLS]);
  });

  it('weighs what it names and evenly what it does not, and wishes only that the light is kept', () => {
    const mine = { noise: 3, smear: 0.5 };
    const school = schoolOf({ school: 'mine', mine });
    expect(school.weights).toEqual({ ...EVEN_WEIGHTS, ...mine });
    expect(Object.keys(school.wishes)).toEqual(['lightKept']);
    expect(schoolOf({ school: 'mine', mine })).toBe(school);
    expect(schoolOf({ school: 'mine', mine }, 'crisp').id).toBe('crisp');
  });

  it('answers with less of what it minds more', () => {
    const bears = dusk({ school: 'mine', mine: { noise: 0.1 } }).solution;
    const minds = dusk({ school: 'mine', mine: { noise: 10 } }).solution;
    expect(minds.loss.noise).toBeLessThan(bears.loss.noise);
    expect(minds.loss.under + minds.loss.smear).toBeGreaterThan(bears.loss.under + bears.loss.smear);
  });

  it('that nobody fitted weighs evenly, as *weigh it* does, and says that it was assumed', () => {
    const even = dusk({ school: 'weigh' }).solution;
    const { solution, assumed } = dusk({ school: 'mine' });
    expect(solution.settings).toEqual(even.settings);
    expect(assumed).toContain('look.mine');
  });
});
