import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { fromKitText } from '@/words/kitRemedyText';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import { briefOf } from '../brief/brief';
import { ShotSchema } from '../records/shot';
import type { ShotInput } from '../records/shot';
import { FILE_VERSION } from '../schema/versions';
import { fromKit } from './fromKit';

const solved = (shot: Omit<ShotInput, 'kind' | 'version'>): Solution => {
  const outcome = solve(
    briefOf(ShotSchema.parse({ kind: 'lynxeye/shot', version: FILE_VERSION, ...shot })).brief,
  );
  if (!outcome.solved) throw new Error('no answer');
  return outcome.solution;
};
const noon = { kind: 'range', evMin: 14.5, evMax: 15.5 } as const;
const nd32 = { id: 'nd32', kind: 'nd', stops: 5 } as const;

describe('what filters of the kit would film it better', () => {
  it('names the filter left at home, with what the shot then loses', () => {
    const bare = solved({ look: { school: 'film' }, mount: { kind: 'tripod' }, light: noon, filters: [] });
    const [remedy] = fromKit(bare, [nd32]);
    const filtered = solved({
      look: { school: 'film' },
      mount: { kind: 'tripod' },
      light: noon,
      filters: [nd32],
    });
    expect(remedy?.score).toBeCloseTo(filtered.score, 9);
    expect(fromKitText(remedy!, bare.score)).toMatch(/^ND32: loss \d\.\d instead of \d+\.\d; less: /);
  });

  it('is silent where nothing is wrong, and never tells what helps less than just noticeably', () => {
    const kit = makeDemo().kit.map(({ thing }) => thing);
    const owned = kit.flatMap((thing) => (thing.what === 'filter' ? [thing.filter] : []));
    for (const { shot } of makeDemo().shots.filter(({ shot: { timeLapse } }) => timeLapse === undefined)) {
      const now = solved(shot);
      for (const { score, gains } of fromKit(now, owned)) {
        expect(score).toBeLessThan(now.score - 0.5);
        expect(gains.length).toBeGreaterThan(0);
      }
    }
    expect(fromKit(solved({ mount: { kind: 'tripod' }, light: noon }), owned)).toEqual([]);
  });
});
