import { describe, expect, it } from 'vitest';
import { briefOf } from '@/core/brief/brief';
import { ShotSchema } from '@/core/records/shot';
import type { Shot, ShotInput } from '@/core/records/shot';
import { solve } from '@/core/answer/solve';
import type { Solution } from '@/core/answer/solve';
import { handleEv, moveHandle, notchEv, shoulderEv, steppedEv } from './ruleMoves';
import type { Handle } from './ruleMoves';

const shot = (rest: Omit<ShotInput, 'kind' | 'version'>): Shot =>
  ShotSchema.parse({ kind: 'lynxeye/shot', version: 3, ...rest });
const solved = (of: Shot): Solution => {
  const outcome = solve(briefOf(of).brief);
  if (!outcome.solved) throw new Error(outcome.refusal.obstacle.code);
  return outcome.solution;
};
const moved = (of: Shot, handle: Handle, ev: number): Solution =>
  solved(moveHandle(solved(of), handle, ev).change(of));
const stepped = (of: Shot, handle: Handle, steps: number): Solution =>
  moved(of, handle, steppedEv(solved(of), handle, steps));

const fixed = shot({
  mount: { kind: 'helmet', ground: 'rough' },
  light: { kind: 'range', evMin: 11, evMax: 15 },
  pins: { shutterSeconds: 1 / 50, filter: { ids: ['nd32'] } },
});

describe('the handles of the stop rule', () => {
  it('carry the window to where the filter is dragged, the shutter held', () => {
    const before = solved(fixed);
    for (const [id, stops] of [
      ['nd64', 6],
      ['nd8', 3],
    ] as const) {
      const after = moved(fixed, 'filter', notchEv(before, stops) + 0.2);
      expect(after.settings.filter.ids).toEqual([id]);
      expect(after.settings.shutterSeconds).toBe(1 / 50);
      expect(shoulderEv(after)).toBeCloseTo(notchEv(before, stops), 9);
    }
  });

  it('pin only what they move, and leave the rest to be worked out', () => {
    const free = shot({ mount: { kind: 'helmet' }, light: { kind: 'range', evMin: 11, evMax: 15 } });
    const pins = (handle: Handle, steps: number): string[] => {
      const now = solved(free);
      const { change } = moveHandle(now, handle, steppedEv(now, handle, steps));
      return Object.keys(change(free).pins ?? {}).sort();
    };
    expect(pins('filter', 1)).toEqual(['filter']);
    expect(pins('shutter', 1)).toEqual(['shutterMode', 'shutterSeconds']);
    expect(pins('ceiling', 1)).toEqual([]);
  });

  it('step through every strength in the bag, each once, there and back, and stand at its ends', () => {
    const bag = shot({
      ...fixed,
      filters: [
        { id: 'nd8', kind: 'nd', stops: 3 },
        { id: 'nd16', kind: 'nd', stops: 4 },
        { id: 'variable', kind: 'variable', stopsMin: 2, stopsMax: 5 },
        { id: 'nd64', kind: 'nd', stops: 6 },
      ],
      pins: { shutterSeconds: 1 / 50, filter: { ids: [] } },
    });
    const walk = (from: Shot, steps: number): { seen: number[]; last: Shot } => {
      const seen: number[] = [];
      let last = from;
      for (let at = 0; at < 12; at += 1) {
        const now = solved(last);
        seen.push(now.settings.filter.stops);
        last = moveHandle(now, 'filter', steppedEv(now, 'filter', steps)).change(last);
      }
      return { seen, last };
    };
    const up = walk(bag, 1);
    const strengths = [...new Set(up.seen)];
    expect(strengths).toEqual([...strengths].sort((a, b) => a - b));
    expect([strengths[0], strengths.at(-1)]).toEqual([0, 6]);
    expect(strengths).toEqual(expect.arrayContaining([3, 4, 5]));
    // Once up and at the end it stays: no strength is a place where it sticks.
    expect(up.seen.filter((stops) => stops !== 6)).toHaveLength(strengths.length - 1);
    const down = walk(up.last, -1);
    expect([...new Set(down.seen)]).toEqual([...strengths].reverse());
  });

  it('carry it with the shutter, the filter held, a third of a stop a step', () => {
    const before = solved(fixed);
    const after = stepped(fixed, 'shutter', 1);
    expect(after.settings.shutterSeconds).toBeCloseTo(1 / 60, 9);
    expect(after.settings.filter.ids).toEqual(['nd32']);
    expect(shoulderEv(after) - shoulderEv(before)).toBeCloseTo(Math.log2(60 / 50), 9);
    expect(stepped(fixed, 'shutter', 3).settings.shutterSeconds).toBeCloseTo(1 / 100, 9);
    expect(stepped(fixed, 'shutter', -99).settings.shutterSeconds).toBeLessThanOrEqual(1 / 25);
  });

  it('stretch it with the ISO ceiling, a stop a step, never under base', () => {
    const before = solved(fixed);
    const less = stepped(fixed, 'ceiling', 1);
    expect(less.space.brief.limits.isoCeiling).toBe(400);
    expect(handleEv(less, 'ceiling')).toBeCloseTo(handleEv(before, 'ceiling') + 1, 9);
    expect(moved(fixed, 'ceiling', 99).space.brief.limits.isoCeiling).toBe(100);
    expect(moved(fixed, 'ceiling', -99).space.brief.limits.isoCeiling).toBe(6400);
  });

  it('move the ends of the light, which never cross', () => {
    expect(moved(fixed, 'evMax', 13.26).space.light).toMatchObject({ evMin: 11, evMax: 13.3 });
    expect(moved(fixed, 'evMax', 3).space.light).toMatchObject({ evMin: 11, evMax: 11 });
    expect(moved(fixed, 'evMin', 19).space.light).toMatchObject({ evMin: 15, evMax: 15 });
    expect(stepped(fixed, 'evMin', -3).space.light.evMin).toBe(10);
  });

  it('keep a running shutter running', () => {
    const running = shot({ ...fixed, pins: { shutterMode: 'auto', filter: { ids: ['nd8'] } } });
    const after = stepped(running, 'shutter', 2);
    expect(after.settings.shutterMode).toBe('auto');
    expect(shoulderEv(after)).toBeGreaterThan(shoulderEv(solved(running)));
  });
});
