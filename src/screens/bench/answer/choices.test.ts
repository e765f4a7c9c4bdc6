import { ARCHETYPE_IDS } from '@/core/camera/archetypes';
import { describe, expect, it } from 'vitest';
import { briefOf } from '@/core/brief/brief';
import { emptyShot } from '@/core/records/emptyShot';
import { solve } from '@/core/answer/solve';
import { CARD_KEYS, SECOND_ROW_KEYS } from '@/words/cardKeys';
import { choicesFor, pinCost } from './choices';
import { pinnedTo, pinsHolding, released } from './pins';

describe('the choices of a tile', () => {
  for (const archetype of ARCHETYPE_IDS)
    it(`hold the current value once, and each alone is kept or refused, on ${archetype}`, () => {
      const shot = { ...emptyShot('x'), camera: { archetype } };
      const { brief } = briefOf(shot);
      const outcome = solve(brief);
      if (!outcome.solved) throw new Error('no answer');
      const { settings } = outcome.solution;
      for (const key of [...CARD_KEYS, ...SECOND_ROW_KEYS]) {
        const choices = choicesFor(key, brief, settings, 'factor');
        expect(
          choices.filter(({ current }) => current),
          key,
        ).toHaveLength(1);
        expect(new Set(choices.map(({ label }) => label)).size, key).toBe(choices.length);
        for (const { pins, label } of choices) {
          const taken = solve({ ...brief, pins });
          if (taken.solved) expect(taken.solution.settings, `${key}: ${label}`).toMatchObject(pins);
          else expect(taken.refusal.nearest.length, `${key}: ${label}`).toBeGreaterThan(0);
        }
      }
    });

  it('are held and let go without leaving anything behind', () => {
    const shot = emptyShot('x');
    const outcome = solve(briefOf(shot).brief);
    if (!outcome.solved) throw new Error('no answer');
    for (const key of CARD_KEYS) {
      const held = pinnedTo(shot, key, pinsHolding(key, outcome.solution.settings));
      const again = solve(briefOf(held).brief);
      expect(again.solved && again.solution.settings, key).toEqual(outcome.solution.settings);
      expect(released(held, key), key).toEqual(shot);
    }
  });

  it('cost nothing where the solver would go anyway, and something elsewhere', () => {
    const { brief } = briefOf({ ...emptyShot('x'), pins: { frameRate: 30 } });
    const outcome = solve(brief);
    if (!outcome.solved) throw new Error('no answer');
    expect(pinCost('frameRate', brief, outcome.solution.score)).toBeGreaterThan(0.3);
    const free = { ...brief, pins: { frameRate: 25 } };
    const easy = solve(free);
    expect(easy.solved && pinCost('frameRate', free, easy.solution.score)).toBeCloseTo(0, 9);
  });
});
