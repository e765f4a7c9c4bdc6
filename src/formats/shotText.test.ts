import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShot } from '../../bench/anyShot';
import { makeDemo } from '../../demo/makeDemo';
import { briefOf } from '@/core/plan/defaults';
import { ShotSchema } from '@/core/plan/shot';
import { answerShot } from '@/words/answer';
import { readIncoming } from './incoming';
import { shotToText } from './shotText';

describe('shots as text', () => {
  it('come back as they were, from text and from JSON', () => {
    fc.assert(
      fc.property(anyShot(), (input) => {
        // Through JSON first, which knows no −0.
        const shot = ShotSchema.parse(JSON.parse(JSON.stringify(input)));
        const answer = answerShot(shot);
        const text = shotToText(
          shot,
          answer.kind === 'lynxeye/answer' ? answer : null,
          briefOf(shot).brief.filters,
        );
        for (const form of [text, JSON.stringify(shot), `${text}\n\n  `])
          expect(readIncoming(form)).toEqual({ ok: true, value: { kind: 'shots', shots: [shot] } });
      }),
      { numRuns: 150, seed: 5 },
    );
  });

  it('reads several at once, or none when one is broken', () => {
    const shots = makeDemo().shots.map(({ shot }) => shot);
    expect(readIncoming(JSON.stringify(shots))).toMatchObject({ ok: true, value: { shots } });
    expect(readIncoming(JSON.stringify([...shots, { ...shots[0], name: 7 }]))).toEqual({
      ok: false,
      faults: [{ path: '[13].name', text: 'expected string, got number' }],
    });
  });

  it('says what a text is not, and never throws', () => {
    expect(readIncoming('hello')).toMatchObject({ ok: false });
    expect(readIncoming('{"kind":"lynxeye/backup","version":1}')).toMatchObject({ ok: false });
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => typeof readIncoming(text).ok === 'boolean'),
    );
  });

  it('names a record that stands twice in a backup', () => {
    const { shots, log } = makeDemo();
    const backup = {
      kind: 'lynxeye/backup',
      version: 1,
      exportedAt: '2026-10-03T10:00:00Z',
      shots: [...shots, shots[2]],
      log,
    };
    expect(readIncoming(JSON.stringify(backup))).toEqual({
      ok: false,
      faults: [{ path: 'shots[13].id', text: '"demo-03" stands twice' }],
    });
  });
});
