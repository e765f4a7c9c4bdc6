import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { lapseSolution } from '../answer/lapseSolution';
import { solve } from '../answer/solve';
import { briefOf } from '../brief/brief';
import { emptyShot } from '../records/emptyShot';
import { filmedPlainly, isTimeLapse, keptAsLoop, keptAsTimeLapse } from '../records/filmedAs';
import { readShot } from '../records/shot';
import type { Shot } from '../records/shot';
import { lapseOf } from './lapseAnswer';

const plain: Shot = { ...emptyShot('Ferns'), pins: { whiteBalance: 5600 } };

describe('what a shot is kept as', () => {
  it('is pinned, passes the file, and goes back to plain video with all other pins', () => {
    const lapse = keptAsTimeLapse(plain, { intervalSeconds: 4 });
    expect(lapse.pins).toEqual({ whiteBalance: 5600, recording: 'timeLapse' });
    expect(keptAsTimeLapse(plain, { moving: true }).pins?.recording).toBe('movingTimeLapse');
    const loop = keptAsLoop(lapse, { minutes: 10 });
    expect(loop).not.toHaveProperty('timeLapse');
    for (const shot of [lapse, loop]) {
      expect(readShot(shot)).toMatchObject({ ok: true });
      expect(filmedPlainly(shot)).toEqual(plain);
    }
    expect(filmedPlainly(keptAsTimeLapse(emptyShot('One'), {}))).toEqual(emptyShot('One'));
  });

  it('is a time-lapse by its pin, or in an older file by telling one', () => {
    expect(isTimeLapse(plain)).toBe(false);
    expect(isTimeLapse({ timeLapse: { change: 'mist' } })).toBe(true);
    expect(isTimeLapse({ pins: { recording: 'movingTimeLapse' } })).toBe(true);
    expect(isTimeLapse({ timeLapse: {}, pins: { recording: 'video' } })).toBe(false);
    const moving = briefOf({ ...plain, pins: { recording: 'movingTimeLapse' } }).brief;
    expect(moving.timeLapse.moving).toBe(true);
  });

  it('as a loop is solved in a mode that records loops', () => {
    const outcome = solve(briefOf(keptAsLoop(plain, { minutes: 5 })).brief);
    expect(outcome.solved && outcome.solution.settings.recording).toBe('loop');
  });
});

describe('a time-lapse as an answer', () => {
  const { shot } = makeDemo().shots.find(({ shot: one }) => one.timeLapse !== undefined)!;
  const { brief } = briefOf(shot);
  const lapse = lapseOf(brief)!;

  it('sets the camera as its plan says, and wears a pinned filter', () => {
    expect(lapse.settings).toMatchObject({
      recording: 'timeLapse',
      shutterSeconds: lapse.plan.shutterSeconds,
      iso: { min: lapse.plan.iso.min, max: lapse.plan.iso.max },
    });
    const [, , third] = brief.filters;
    const pinned = lapseOf({ ...brief, pins: { filter: { ids: [third!.id] } } })!;
    expect(pinned.settings.filter.ids).toEqual([third!.id]);
    expect(pinned.loss).toBeGreaterThanOrEqual(lapse.loss);
  });

  it('is drawn with the window of its own shutter, filter and ISO', () => {
    const { exposure, settings, space } = lapseSolution(brief, lapse)!;
    expect(settings).toBe(lapse.settings);
    expect(space.brief).toBe(brief);
    const over = space.light.evMax - exposure.windowEvMax;
    expect(Math.max(0, over)).toBeCloseTo(lapse.plan.overStops, 6);
  });

  it('is none on a camera that records none', () => {
    const camera = {
      ...brief.camera,
      rules: brief.camera.rules.map((rule) => ({ ...rule, recordings: ['video' as const] })),
    };
    expect(lapseOf({ ...brief, camera })).toBeNull();
  });
});
