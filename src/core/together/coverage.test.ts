import { ACTIVITIES, ROLES } from '../vocabulary/activities';
import { describe, expect, it } from 'vitest';
import { matchSheetOf } from './matchSheet';
import { emptyShot } from '../records/emptyShot';
import { briefOf } from '../brief/brief';
import { readShot } from '../records/shot';
import type { Shot } from '../records/shot';
import { coverageOf } from './coverage';
import type { Suggestion } from './coverage';
import { solve } from '../answer/solve';

const covered = (shot: Shot): Suggestion[] => {
  const outcome = solve(briefOf(shot).brief);
  if (!outcome.solved) throw new Error('no answer');
  return coverageOf(shot, outcome.solution);
};
const shotOf = (activity: (typeof ACTIVITIES)[number]): Shot => ({
  ...emptyShot('Action'),
  mount: { kind: 'helmet', ground: 'mixed', activity },
  light: { kind: 'range', evMin: 12, evMax: 14 },
});

describe('angles on one action', () => {
  it.each(ACTIVITIES)(
    '%s: four roles, each a valid shot with an answer in the same frame-rate family',
    (activity) => {
      const shot = shotOf(activity);
      const suggestions = covered(shot);
      expect(suggestions.map(({ role }) => role)).toEqual([...ROLES]);
      const outcome = solve(briefOf(shot).brief);
      if (!outcome.solved) throw new Error('no answer');
      for (const { shot: made, solution, role } of suggestions) {
        expect(readShot(JSON.parse(JSON.stringify(made))).ok, role).toBe(true);
        const match = matchSheetOf(
          [outcome.solution.settings, solution.settings],
          briefOf(shot).brief.playback,
        );
        expect(match.find(({ what }) => what === 'family')?.same, role).toBe(true);
        expect(match.find(({ what }) => what === 'colour')?.same, role).toBe(true);
      }
    },
  );

  it('the near one flows faster than the same from further away, and its fast distance gives that pace', () => {
    for (const activity of ['paddling', 'riding', 'driving'] as const) {
      const near = covered(shotOf(activity)).find(({ role }) => role === 'near')!;
      expect(near.worstPctPerS, activity).toBeGreaterThan(near.farPctPerS);
      const moved = covered(shotOf(activity)).find(({ role }) => role === 'near')!;
      expect(moved.fastWithinM!).toBeGreaterThan(0);
    }
  });

  it('a camera that stands does not travel, and shows the person passing', () => {
    const around = covered(shotOf('paddling')).find(({ role }) => role === 'surroundings')!;
    expect(around.shot.motion?.travelMps).toBe(0);
    expect(around.fastWithinM).toBeNull();
    expect(around.subjectPctPerS).toBeGreaterThan(0);
  });
});
