import { start } from '../units/estimate';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShot } from '../../../bench/anyShot';
import { briefOf } from '../brief/brief';
import type { Brief } from '../brief/brief';
import { ShotSchema } from '../records/shot';
import { exposureOf, lossOf, yieldedIn } from '../search/candidate';
import type { Candidate } from '../search/candidate';
import { search } from '../search/search';
import { settingsOf } from '../search/settingsOf';
import { spaceFor } from '../search/space';
import type { Space } from '../search/space';
import type { WishCode } from '../loss/wishes';
import { sampling } from '../../../testing/samples';

/** Shots from moonlight to snow, every school, grade, bag and archetype; pins dropped, so that the solver is alone. */
const briefs: Brief[] = fc
  .sample(anyShot(), sampling(3000, 20261127))
  .map((input) => ({ ...briefOf(ShotSchema.parse({ ...input, pins: {} })).brief, pins: {} }));

interface Solved {
  space: Space;
  candidate: Candidate;
  score: number;
}

function solved(brief: Brief): Solved | null {
  const made = spaceFor(brief);
  const found = made.ok ? search(made.space) : null;
  return made.ok && found ? { space: made.space, ...found } : null;
}

const everyNth = (nth: number): Brief[] => briefs.filter((_, at) => at % nth === 0);

describe('answers to random briefs', () => {
  it('are bettered by no single pin of a value that is offered', () => {
    for (const [at, brief] of everyNth(3).entries()) {
      const own = solved(brief);
      const other = solved(briefs[(at * 7 + 1) % briefs.length]!);
      if (!own || !other) continue;
      const values = settingsOf(other.space, other.candidate);
      const one = (['frameRate', 'resolution', 'stabilization', 'colour', 'iso', 'shutterMode'] as const)[
        at % 6
      ]!;
      const held = solved({ ...brief, pins: { [one]: values[one] } });
      if (held) expect(held.score, `brief ${at} held to ${one}`).toBeGreaterThanOrEqual(own.score - 1e-9);
    }
  });

  it('nail no exposure outside its window where a running shutter would hold the light', () => {
    let fixed = 0;
    const out: string[] = [];
    for (const brief of everyNth(2)) {
      const own = solved(brief);
      if (!own || own.candidate.shutter.spanStops > 0) continue;
      fixed++;
      const now = exposureOf(own.space, own.candidate);
      if (now.overStops <= 0.35 && now.underStops <= 0.7) continue;
      const running = solved({ ...brief, pins: { shutterMode: 'auto' } });
      const then = running && exposureOf(running.space, running.candidate);
      if (then && then.overStops <= 0.05 && then.underStops <= 0.05) out.push(JSON.stringify(brief.light));
    }
    expect(fixed).toBeGreaterThan(10);
    expect(out).toEqual([]);
  });

  it('are no worse with more filters or a higher ceiling', () => {
    for (const brief of everyNth(3)) {
      const own = solved(brief);
      const richer = solved({
        ...brief,
        filters: [...brief.filters, { id: 'more', kind: 'nd', stops: 3 }],
        limits: { ...brief.limits, isoCeiling: brief.limits.isoCeiling * 2 },
      });
      if (own) expect(richer?.score, JSON.stringify(brief.light)).toBeLessThanOrEqual(own.score + 1e-9);
    }
  });

  /** A stop dark, or white past the guard, while one wish less would halve it: only where the stated prices say so. */
  it('do not destroy the picture for a wish that costs less than the picture', () => {
    const listed: string[] = [];
    for (const brief of briefs) {
      const own = solved(brief);
      if (!own) continue;
      const missed = missedBy(own);
      if (missed <= 1) continue;
      for (const wish of Object.keys(own.space.school.wishes) as WishCode[]) {
        const freed = solvedWithout(own.space, wish);
        if (!freed || missedBy(freed) >= missed / 2) continue;
        // Judged by the whole school, it costs more: the price of the wish and what else it loses.
        const judged = freed.score + priceOf(own.space, freed.candidate, wish);
        expect(judged, `${brief.look.school} keeps ${wish}`).toBeGreaterThanOrEqual(own.score - 1e-9);
        listed.push(
          `${brief.look.school} ${wish}: ${missed.toFixed(1)} stops out, ${(judged - own.score).toFixed(2)} dearer`,
        );
      }
    }
    expect(listed.length, listed.slice(0, 20).join('\n')).toBeLessThan(briefs.length * 0.05);
  });
});

function missedBy({ space, candidate }: Solved): number {
  const { overStops, underStops } = exposureOf(space, candidate);
  return Math.max(underStops, overStops - candidate.colour.sensor.guardStops);
}

function solvedWithout(space: Space, wish: WishCode): Solved | null {
  const held = space.school.wishes[wish];
  if (!held) return null;
  const wishes = { ...space.school.wishes, [wish]: { ...held, price: start(0, 'yields') } };
  const freed = { ...space, school: { ...space.school, wishes } };
  const found = search(freed);
  return found && { space: freed, ...found };
}

function priceOf(space: Space, candidate: Candidate, wish: WishCode): number {
  return yieldedIn(space, candidate).find((one) => one.wish === wish)?.price ?? 0;
}

describe('a full set of losses', () => {
  it('holds no NaN and nothing below zero on any of them', () => {
    for (const brief of everyNth(6)) {
      const own = solved(brief);
      if (own)
        for (const [term, loss] of Object.entries(lossOf(own.space, own.candidate)))
          expect(loss, term).toBeGreaterThanOrEqual(0);
    }
  });
});
