import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../../demo/makeDemo';
import { briefOf } from '@/core/brief/brief';
import { evRangeOf } from '@/core/light/lightRange';
import { emptyShot } from '@/core/records/emptyShot';
import { readShot } from '@/core/records/shot';
import type { Shot } from '@/core/records/shot';
import { sentenceOf } from './words';
import type { Word } from './wordControls';

type Editable = Exclude<Word, { kind: 'link' }>;
const wordsOf = (shot: Shot): Editable[] =>
  sentenceOf(briefOf(shot).brief)
    .flat()
    .filter((stretch): stretch is Editable => typeof stretch !== 'string' && stretch.kind !== 'link');
const find = (shot: Shot, id: string): Editable => wordsOf(shot).find((word) => word.id === id)!;
const given = (shot: Shot, id: string, value: string | number | null): Shot => {
  const word = find(shot, id);
  const { brief } = briefOf(shot);
  return word.kind === 'choice'
    ? word.set(shot, value === null ? null : String(value), brief)
    : word.set(shot, value === null ? null : Number(value), brief);
};

const LIGHTS: NonNullable<Shot['light']>[] = [
  { kind: 'scene', from: 'openSun', to: 'lightWood' },
  { kind: 'range', evMin: 9, evMax: 12 },
  { kind: 'lux', luxMin: 500, luxMax: 9000 },
  {
    kind: 'reading',
    fNumber: 2.8,
    shutterSeconds: 0.002,
    iso: 100,
    filterStops: 0,
    darkerStops: 2,
    brighterStops: 0,
  },
  {
    kind: 'sun',
    lat: 46.62,
    lon: 12.3,
    from: '2026-10-03T12:40:00+02:00',
    to: '2026-10-03T13:10:00+02:00',
    shade: ['open', 'gorge', 'denseWood'],
  },
  {
    kind: 'readings',
    readings: [{ lux: 800, where: 'hut' }, { lux: 20_000 }],
    darkerStops: 0,
    brighterStops: 0,
  },
];

describe('the words of the sentence', () => {
  it('show the brief, and every value they offer makes a valid shot that shows it again', () => {
    for (const light of LIGHTS)
      for (const base of [emptyShot('x'), makeDemo().shots[0]!.shot]) {
        const shot: Shot = { ...base, light };
        for (const word of wordsOf(shot)) {
          if (word.id === 'subject' || word.id === 'lightKind') continue;
          const values =
            word.kind === 'choice'
              ? word.options.map(({ value }) => value)
              : [word.min, (word.min + word.max) / 2.3, word.max];
          for (const value of values) {
            const after = given(shot, word.id, value);
            expect(readShot(after), `${word.id} = ${value}`).toMatchObject({ ok: true });
            const shown = find(after, word.id).value(briefOf(after).brief);
            // Shown to a tenth, whole numbers whole: within a fiftieth, or a tenth of a unit.
            if (typeof value === 'number')
              expect(Math.abs(Number(shown) - value), `${word.id} = ${value}`).toBeLessThanOrEqual(
                Math.max(0.06, Math.abs(value) * 0.02, word.kind === 'number' && word.min < 0.01 ? 1 : 0),
              );
            else expect(shown, word.id).toBe(value);
          }
        }
      }
  });

  it('given back leave no trace in the shot', () => {
    const shot = emptyShot('x');
    for (const id of [
      'slowdown',
      'screen',
      'deliver',
      'school',
      'kind',
      'travelMps',
      'isoCeiling',
      'archetype',
      'tiltDeg',
    ]) {
      const word = find(shot, id);
      const value = word.kind === 'choice' ? word.options[1]!.value : word.min;
      const set = given(shot, id, value);
      expect(set, id).not.toEqual(shot);
      expect(given(set, id, null), id).toEqual(shot);
    }
  });

  it('tell the same light another way', () => {
    for (const light of LIGHTS) {
      const shot: Shot = { ...emptyShot('x'), light };
      const before = evRangeOf(light);
      for (const kind of ['range', 'lux', 'reading', 'readings']) {
        const after = evRangeOf(briefOf(given(shot, 'lightKind', kind)).brief.light);
        expect(after.evMin, `${light.kind} as ${kind}`).toBeCloseTo(before.evMin, 0);
        expect(after.evMax, `${light.kind} as ${kind}`).toBeCloseTo(before.evMax, 0);
      }
    }
  });

  it('bring a subject in with its usual size, and let it go', () => {
    const shot = emptyShot('x');
    const withSubject = given(shot, 'subject', 'one');
    expect(briefOf(withSubject).brief.motion.subject).toEqual({
      speedMps: 3,
      distanceM: 4,
      sizeM: 1.8,
      sideM: 0,
    });
    const nearer = given(withSubject, 'distanceM', 2);
    expect(nearer.motion?.subject).toEqual({ distanceM: 2 });
    expect(given(nearer, 'subject', 'none')).toEqual(shot);
  });
});
