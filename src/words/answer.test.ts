import { makeDemo } from '../../demo/makeDemo';
import { pairCardLines } from './pairText';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShot } from '../../bench/anyShot';
import { modesOf } from '@/core/camera/modeTable';
import { AnswerSchema, RefusalSchema } from '@/core/records/answerFile';
import type { Answer } from '@/core/records/answerFile';
import { briefOf } from '@/core/brief/brief';
import { readShot, ShotSchema } from '@/core/records/shot';
import type { ShotInput } from '@/core/records/shot';
import { answerShot } from './answer';
import { sampling } from '../../testing/samples';

const answer = (input: Omit<ShotInput, 'kind' | 'version'>): Answer => {
  const read = readShot({ kind: 'lynxeye/shot', version: 3, ...input });
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  const given = answerShot(read.value);
  if (given.kind !== 'lynxeye/answer') throw new Error(JSON.stringify(given.reasons));
  return given;
};

describe('every answer', () => {
  it('keeps the promises of the open file', () => {
    fc.assert(
      fc.property(anyShot(), (input) => {
        const shot = ShotSchema.parse(input);
        const given = answerShot(shot);
        if (given.kind === 'lynxeye/refusal') {
          RefusalSchema.parse(given);
          expect(given.reasons.length).toBeGreaterThan(0);
          return;
        }
        AnswerSchema.parse(given);
        const { brief } = briefOf(shot);
        const { settings: s, exposure: e, fNumber } = given;
        const shortest = s.shutterMode === 'auto' ? s.shutterFloorSeconds! : s.shutterSeconds;
        const windowMax = Math.log2(fNumber ** 2 / shortest) - Math.log2(s.iso.min / 100) + s.filter.stops;
        const windowMin =
          Math.log2(fNumber ** 2 / s.shutterSeconds) - Math.log2(s.iso.max / 100) + s.filter.stops;
        expect(e.windowEvMax, 'windowEvMax').toBeCloseTo(windowMax, 9);
        expect(e.windowEvMin, 'windowEvMin').toBeCloseTo(windowMin, 9);
        expect(s.shutterAngleDeg, 'angle').toBeCloseTo(360 * s.frameRate * s.shutterSeconds, 9);
        expect(s.shutterSeconds, 'longer than a frame').toBeLessThanOrEqual((1 / s.frameRate) * (1 + 1e-9));
        expect(e.underStops, 'under').toBeCloseTo(Math.max(0, e.windowEvMin - e.evMin), 9);
        expect(e.overStops, 'over').toBeCloseTo(Math.max(0, e.evMax - e.windowEvMax), 9);
        const mode = modesOf(brief.camera).find(
          (one) =>
            one.frameRate === s.frameRate &&
            one.resolution.width === s.resolution.width &&
            one.resolution.height === s.resolution.height &&
            one.view.id === s.view.id &&
            one.stabilization === s.stabilization &&
            one.colours.includes(s.colour) &&
            one.encodings.some(
              ({ codec, bitRateMbps }) => codec === s.codec && bitRateMbps === s.bitRateMbps,
            ),
        );
        expect(mode, 'not in the mode table').toBeDefined();
        expect(s.iso.max, 'ceiling').toBeLessThanOrEqual(brief.limits.isoCeiling);
        for (const [key, value] of Object.entries(brief.pins))
          expect(s[key as keyof typeof s], `pin ${key}`).toEqual(
            typeof value === 'object' ? expect.objectContaining(value) : value,
          );
        expect(JSON.parse(JSON.stringify(given)), 'not plain JSON').toEqual(given);
      }),
      sampling(400, 7),
    );
  });

  it('solved again with its own settings as pins gives the same settings', () => {
    fc.assert(
      fc.property(anyShot(), (input) => {
        const shot = ShotSchema.parse({ ...input, pins: {} });
        const first = answerShot(shot);
        if (first.kind !== 'lynxeye/answer') return;
        const second = answerShot(ShotSchema.parse({ ...input, pins: first.settings }));
        expect(second).toMatchObject({ kind: 'lynxeye/answer', settings: first.settings });
      }),
      sampling(150, 8),
    );
  });

  it('never asks for a weaker filter in more light, with frame rate, shutter and ISO pinned', () => {
    fc.assert(
      fc.property(
        anyShot(['main', 'mini', 'phone']),
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.constantFrom(1 / 60, 1 / 100, 1 / 400),
        fc.constantFrom({ min: 100, max: 100 }, { min: 100, max: 800 }, { min: 200, max: 400 }),
        (input, evMin, span, more, shutterSeconds, iso) => {
          const stops = (by: number, wider: number): number | null => {
            const given = answerShot(
              ShotSchema.parse({
                ...input,
                light: { kind: 'range', evMin: evMin + by, evMax: evMin + span + by + wider },
                limits: { isoCeiling: 800 },
                pins: { frameRate: 50, shutterSeconds, iso },
              }),
            );
            return given.kind === 'lynxeye/answer' ? given.settings.filter.stops : null;
          };
          const before = stops(0, 0);
          if (before === null) return;
          expect(stops(more, 0), 'the whole run is brighter').toBeGreaterThanOrEqual(before);
          expect(stops(0, more), 'its bright end is brighter').toBeGreaterThanOrEqual(before);
        },
      ),
      sampling(300, 9),
    );
  });
});

describe('a rider on rough ground, helmet, from sun to light wood', () => {
  const rider = {
    playback: { timelineFps: 25 },
    mount: { kind: 'helmet', ground: 'rough' },
    light: { kind: 'scene', from: 'openSun', to: 'lightWood' },
    limits: { isoCeiling: 800 },
  } as const;
  const bySchool = (school: 'weigh' | 'film' | 'crisp' | 'middle' | 'post' | 'handsOff'): Answer =>
    answer({ ...rider, look: { school } });

  it('film: 180° behind the filter that covers the sun, warned of smear and of the wood', () => {
    const { settings, warnings } = bySchool('film');
    expect(settings).toMatchObject({ frameRate: 25, shutterSeconds: 1 / 50, shutterAngleDeg: 180 });
    expect(settings.filter.ids).toEqual(['nd64']);
    expect(settings.stabilization).toBe('off');
    expect(warnings.map(({ code }) => code)).toEqual(expect.arrayContaining(['smear', 'under']));
  });

  it('crisp: about 1/200 s or shorter', () => {
    expect(bySchool('crisp').settings.shutterSeconds).toBeLessThanOrEqual(1 / 190);
  });

  it('middle: a shutter between film and crisp', () => {
    const sunny = { ...rider, light: { kind: 'range', evMin: 14, evMax: 15 } } as const;
    const { settings } = answer({ ...sunny, look: { school: 'middle' } });
    const crisp = answer({ ...sunny, look: { school: 'crisp' } });
    expect(settings.shutterSeconds).toBeLessThan(1 / 50);
    expect(settings.shutterSeconds).toBeGreaterThan(crisp.settings.shutterSeconds);
  });

  it('post: nothing held in the camera', () => {
    expect(bySchool('post').settings.stabilization).toBe('off');
  });

  it('hands off: nothing on the lens, the shutter running', () => {
    expect(bySchool('handsOff').settings).toMatchObject({ filter: { ids: [] }, shutterMode: 'auto' });
  });

  it('weigh: says why, against the pure schools', () => {
    const steps = bySchool('weigh').why.find(({ setting }) => setting === 'shutterSeconds')?.steps ?? [];
    expect(steps.filter((step) => step.startsWith('Against '))).toHaveLength(3);
  });

  it('no alternative of weigh scores lower than it', () => {
    const weigh = bySchool('weigh');
    expect(weigh.alternatives.length).toBeGreaterThanOrEqual(3);
    for (const { label, score } of weigh.alternatives)
      expect(score, label).toBeGreaterThanOrEqual(weigh.score - 1e-9);
  });
});

describe('a tripod, 30 fps, slowed twice', () => {
  const tripod = {
    playback: { timelineFps: 30, slowdown: 2 },
    mount: { kind: 'tripod' },
    light: { kind: 'scene', from: 'overcast', to: 'overcast' },
  } as const;

  it('captures at least 60', () => {
    expect(answer(tripod).settings.frameRate).toBeGreaterThanOrEqual(60);
  });

  it('pinned to 30 it warns of stutter at 15 seen frames a second, and says what the pin costs', () => {
    const { warnings, alternatives, motion } = answer({ ...tripod, pins: { frameRate: 30 } });
    expect(motion.seenFps).toBe(15);
    expect(warnings.find(({ code }) => code === 'stutter')?.text).toContain('15 different frames a second');
    expect(alternatives.at(-1)).toMatchObject({ label: 'without your pin', settings: { frameRate: 60 } });
  });
});

describe('what cannot be', () => {
  it('full-roll hold in 4K60 is refused with the nearest that can', () => {
    const pins = {
      stabilization: 'rollHold',
      frameRate: 60,
      resolution: { width: 3840, height: 2160 },
    } as const;
    const refused = answerShot(ShotSchema.parse({ kind: 'lynxeye/shot', version: 3, pins }));
    if (refused.kind !== 'lynxeye/refusal') throw new Error('it was answered');
    expect(refused.reasons[0]?.text).toContain('full-roll hold only up to 2.7K at 60 fps');
    expect(refused.nearest.length).toBeGreaterThanOrEqual(2);
    for (const way of refused.nearest) {
      const again = answerShot(ShotSchema.parse({ kind: 'lynxeye/shot', version: 3, pins: way.pins }));
      expect(again, way.label).toMatchObject({ kind: 'lynxeye/answer', settings: way.settings });
    }
  });

  it('light wider than any window says what each end misses and what would help, with figures', () => {
    const { exposure, warnings } = answer({
      look: { school: 'film' },
      mount: { kind: 'tripod' },
      light: { kind: 'range', evMin: 7, evMax: 15 },
      pins: { shutterMode: 'fixed' },
    });
    expect(exposure.underStops + exposure.overStops).toBeGreaterThan(4);
    const wide = warnings.find(({ code }) => code === 'under');
    expect(wide?.text).toMatch(/\d\.\d stops below the window/);
    expect(wide?.helps?.length).toBeGreaterThanOrEqual(2);
    for (const remedy of wide?.helps ?? []) expect(remedy).toMatch(/leaves (nothing out|\d+\.\d stops)/);
  });

  it('a light from the sun wants a place and times that fit each other', () => {
    const faults = (light: object): string[] => {
      const read = readShot({ kind: 'lynxeye/shot', version: 3, light: { kind: 'sun', ...light } });
      return read.ok ? [] : read.faults.map(({ path }) => path);
    };
    expect(faults({})).toEqual(['light.lat', 'light.lon', 'light.from', 'light.to']);
    const run = { lat: 46.6, lon: 12.3, from: '2026-10-03T12:40:00+02:00', to: '2026-10-03T13:10:00+02:00' };
    expect(faults(run)).toEqual([]);
    expect(faults({ ...run, to: '2026-10-03T12:30:00+02:00' })).toEqual(['light.to']);
    expect(faults({ ...run, from: 'noon' })).toEqual(['light.from']);
    expect(faults({ ...run, zone: 'Nowhere/Here', lat: 91 })).toEqual(['light.lat', 'light.zone']);
  });
});

describe('a shot with two cameras', () => {
  it('is answered for both, with the match sheet, and keeps to the schema', () => {
    const given = answer({
      mount: { kind: 'helmet', activity: 'paddling' },
      light: { kind: 'range', evMin: 11, evMax: 13 },
      secondAngles: [
        { name: 'Bow', camera: { archetype: 'mini' }, mount: { kind: 'hull' }, pins: { frameRate: 30 } },
        {
          camera: { archetype: 'budget' },
          pins: { frameRate: 24, resolution: { width: 1280, height: 720 } },
        },
      ],
    });
    AnswerSchema.parse(given);
    expect(given.secondAngles?.map(({ name, answer: one }) => [name, one.kind])).toEqual([
      ['Bow', 'lynxeye/answer'],
      ['Angle 3', 'lynxeye/refusal'],
    ]);
    expect(given.match?.find(({ what }) => what === 'Frame-rate family')).toMatchObject({
      same: false,
      values: ['25 fps (25)', '30 fps (30)'],
    });
  });
});

describe('a pair of shots', () => {
  it('says on the card how the halves join, how fast to turn, and which hand', () => {
    const shot = makeDemo().shots.find(({ shot: one }) => one.pair)!.shot;
    expect(pairCardLines(shot)).toEqual([
      'Joins by whip: First half, then To the hut door.',
      expect.stringMatching(
        /^For a blur of 10 % at 1\/50 s, turn right at 5\d\d°\/s: a quarter turn in 0\.16 s, in both halves\.$/,
      ),
      'Camera in the right hand, in both halves.',
    ]);
    expect(pairCardLines({ kind: 'lynxeye/shot', version: 3 })).toEqual([]);
  });

  it('is answered for both halves, says whether they join and how fast to turn, and keeps to the schema', () => {
    const half = { mount: { kind: 'hand', activity: 'still' }, motion: { panDegPerS: 600 } } as const;
    const given = answer({
      ...half,
      look: { school: 'film' },
      light: { kind: 'range', evMin: 12, evMax: 12.4 },
      pair: { kind: 'whip', second: { name: 'Door', ...half, pins: { shutterSeconds: 1 / 400 } } },
    });
    AnswerSchema.parse(given);
    expect(given.secondHalf).toMatchObject({
      name: 'Door',
      answer: { kind: 'lynxeye/answer' },
      join: { joins: false },
    });
    const [first, second] = given.secondHalf!.join!.turnDegPerS;
    expect(second / first).toBeCloseTo(8, 1);
    expect(
      given.secondHalf!.join!.asks.find(({ text }) => text.startsWith('Shutter held at 180°')),
    ).toMatchObject({
      held: false,
      text: 'Shutter held at 180°: 180° and 23°',
    });
  });
});
