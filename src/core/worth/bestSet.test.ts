import { describe, expect, it } from 'vitest';
import { SeededRandom, named } from '../units/seededRandom';
import { bestSet, priceOf, savedBy } from './bestSet';
import type { BestSet, Priced, Unit } from './bestSet';

/** Every set there is, one after the other. */
function exhaustive(things: readonly Priced[], units: readonly Unit[], budget: number): BestSet {
  let best: BestSet = { things: 0, saves: 0, price: 0 };
  for (let set = 1; set < 1 << things.length; set++) {
    const price = priceOf(things, set);
    const saves = savedBy(units, set);
    if (price > budget) continue;
    if (saves > best.saves + 1e-9 || (Math.abs(saves - best.saves) <= 1e-9 && price < best.price))
      best = { things: set, saves, price };
  }
  return best;
}

/** Things at whole prices, some of them free, and units whose ways need one to three of them. */
function drawCase(at: number): { things: Priced[]; units: Unit[]; budget: number } {
  const drawn = new SeededRandom(16, at);
  const whole = (name: string, most: number): number => Math.floor(drawn.even(named(name)) * (most + 1));
  const things = Array.from({ length: 1 + whole('things', 11) }, (_, one) => ({
    price: whole(`price ${one}`, 90),
  }));
  const units = Array.from({ length: 1 + whole('units', 7) }, (_, unit) => ({
    loss: 6 * drawn.even(named(`loss ${unit}`)),
    ways: Array.from({ length: whole(`ways ${unit}`, 8) }, (__, way) => ({
      needs: Array.from(
        { length: 1 + whole(`needs ${unit} ${way}`, 2) },
        (___, need) => 1 << whole(`need ${unit} ${way} ${need}`, things.length - 1),
      ).reduce((bits, bit) => bits | bit, 0),
      loss: 6 * drawn.even(named(`way ${unit} ${way}`)),
    })),
  }));
  return { things, units, budget: whole('budget', 250) };
}

describe('the best set under a budget', () => {
  it('saves what the best of all sets saves, for no more, in three hundred drawn cases', () => {
    let some = 0;
    for (let at = 0; at < 300; at++) {
      const { things, units, budget } = drawCase(at);
      const found = bestSet(things, units, budget);
      const plain = exhaustive(things, units, budget);
      expect(found.saves, `case ${at}`).toBeCloseTo(plain.saves, 9);
      expect(found.price, `case ${at}`).toBeCloseTo(plain.price, 9);
      expect(savedBy(units, found.things)).toBeCloseTo(found.saves, 9);
      expect(priceOf(things, found.things)).toBeLessThanOrEqual(budget);
      if (found.things !== 0) some++;
    }
    expect(some).toBeGreaterThan(200);
  });

  it('takes two things that only help together, and neither alone', () => {
    const things = [{ price: 40 }, { price: 50 }];
    const units = [{ loss: 3, ways: [{ needs: 0b11, loss: 0 }] }];
    expect(bestSet(things, units, 90)).toEqual({ things: 0b11, saves: 3, price: 90 });
    expect(bestSet(things, units, 89)).toEqual({ things: 0, saves: 0, price: 0 });
  });

  it('takes nothing that no money buys, whatever the budget', () => {
    const units = [{ loss: 2, ways: [{ needs: 1, loss: 0 }] }];
    expect(bestSet([{ price: Infinity }], units, Infinity)).toEqual({ things: 0, saves: 0, price: 0 });
  });

  it('leaves out what saves nothing, and what another saves already', () => {
    const things = [{ price: 5 }, { price: 5 }, { price: 1 }];
    const units = [
      {
        loss: 2,
        ways: [
          { needs: 1, loss: 1 },
          { needs: 2, loss: 1 },
        ],
      },
    ];
    expect(bestSet(things, units, 100)).toMatchObject({ saves: 1, price: 5 });
  });

  it('refuses more things than it can name', () => {
    expect(() =>
      bestSet(
        Array.from({ length: 31 }, () => ({ price: 1 })),
        [],
        5,
      ),
    ).toThrow(RangeError);
  });
});
