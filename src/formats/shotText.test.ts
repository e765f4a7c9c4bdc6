import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShot } from '../../bench/anyShot';
import { noRecords } from '@/core/records/kinds';
import { makeDemo } from '../../demo/makeDemo';
import { briefOf } from '@/core/brief/brief';
import { ShotSchema } from '@/core/records/shot';
import { answerShot } from '@/words/answer';
import { readIncoming } from './incoming';
import { shotToText } from './shotText';
import { sampling } from '../../testing/samples';

describe('shots as text', () => {
  it('come back as they were, from text and from JSON', async () => {
    await fc.assert(
      fc.asyncProperty(anyShot(), async (input) => {
        // Through JSON first, which knows no −0.
        const shot = ShotSchema.parse(JSON.parse(JSON.stringify(input)));
        const answer = answerShot(shot);
        const text = shotToText(
          shot,
          answer.kind === 'lynxeye/answer' ? answer.settings : null,
          briefOf(shot).brief.filters,
        );
        for (const form of [text, JSON.stringify(shot), `${text}\n\n  `])
          expect(await readIncoming(form)).toMatchObject({
            ok: true,
            taking: { kind: 'shots', shots: [shot] },
          });
      }),
      sampling(150, 5),
    );
  });

  it('reads several at once, and of a broken list the sound ones', async () => {
    const shots = makeDemo().shots.map(({ shot }) => shot);
    expect(await readIncoming(JSON.stringify(shots))).toMatchObject({ ok: true, taking: { shots } });
    expect(await readIncoming(JSON.stringify([...shots, { ...shots[0], name: 7 }]))).toEqual({
      ok: false,
      faults: [
        { path: `[${shots.length}].name`, problem: { code: 'type', expected: 'string', got: 'number' } },
      ],
      sound: { kind: 'shots', shots },
      faulty: [`shot ${shots.length + 1}`],
    });
  });

  it('says what a text is not, and never throws', async () => {
    expect(await readIncoming('hello')).toMatchObject({ ok: false });
    expect(await readIncoming('{"kind":"lynxeye/backup","version":1}')).toMatchObject({ ok: false });
    await fc.assert(
      fc.asyncProperty(
        fc.oneof(fc.string(), fc.json()),
        async (text) => typeof (await readIncoming(text)).ok === 'boolean',
      ),
    );
  });

  it('names a record that stands twice in a backup', async () => {
    const { shots, log } = makeDemo();
    const backup = {
      kind: 'lynxeye/backup',
      version: 3,
      exportedAt: '2026-10-03T10:00:00Z',
      shots: [...shots, shots[2]],
      log,
    };
    expect(await readIncoming(JSON.stringify(backup))).toEqual({
      ok: false,
      faults: [{ path: `shots[${shots.length}].id`, problem: { code: 'standsTwice', id: 'demo-03' } }],
      sound: { kind: 'records', records: { ...noRecords(), shots, log } },
      faulty: ['Bow camera looking back'],
    });
  });
});
