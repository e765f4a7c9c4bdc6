import { describe, expect, it } from 'vitest';
import type { ShotInput } from '@/core/records/shot';
import { ShotSchema } from '@/core/records/shot';
import { answerShot } from './answer';

/** Each way in which pins can ask for what cannot be: the path named, the words, and that each way out works. */
const CASES: [what: string, shot: Omit<ShotInput, 'kind' | 'version'>, path: string, words: RegExp][] = [
  [
    'an unknown view',
    { pins: { view: { id: 'backwards' } } },
    'pins.view.id',
    /has no view "backwards"; it has widest, wide/,
  ],
  [
    'a shutter longer than a frame',
    { pins: { shutterSeconds: 1 / 25, frameRate: 60 } },
    'pins.shutterSeconds',
    /1\/25 s does not fit into a frame at 60 fps/,
  ],
  [
    'a shutter the camera lacks',
    { pins: { shutterSeconds: 1 / 16000 } },
    'pins.shutterSeconds',
    /shorter than the 1\/8000 s/,
  ],
  [
    'an angle against the time',
    { pins: { shutterSeconds: 1 / 50, shutterAngleDeg: 90, frameRate: 25 } },
    'pins.shutterAngleDeg',
    /do not agree/,
  ],
  [
    'a filter left at home',
    { filters: [], pins: { filter: { ids: ['nd8'] } } },
    'pins.filter.ids',
    /is not in the kit; it holds no filters/,
  ],
  [
    'a filter at stops it has not',
    { pins: { filter: { ids: ['nd8'], stops: 5 } } },
    'pins.filter.stops',
    /cannot be set to 5 stops/,
  ],
  ['an ISO over the ceiling', { pins: { iso: { min: 100, max: 3200 } } }, 'pins.iso', /outside 100–800/],
  [
    'a ceiling under the base',
    { limits: { isoCeiling: 50 } },
    'limits.isoCeiling',
    /below this camera's base ISO 100/,
  ],
  [
    'a floor above the longest',
    { pins: { shutterFloorSeconds: 1 / 30, shutterSeconds: 1 / 60 } },
    'pins.shutterFloorSeconds',
    /not below the longest/,
  ],
  ['a bit rate it has not', { pins: { bitRateMbps: 77 } }, 'pins.bitRateMbps', /no mode with 77 Mbit\/s/],
];

describe('a refusal', () => {
  for (const [what, shot, path, words] of CASES)
    it(`names ${what}, its place and a way out that works`, () => {
      const refused = answerShot(ShotSchema.parse({ kind: 'lynxeye/shot', version: 3, ...shot }));
      if (refused.kind !== 'lynxeye/refusal') throw new Error('it was answered');
      expect(refused.reasons[0]?.path).toBe(path);
      expect(refused.reasons[0]?.text).toMatch(words);
      expect(refused.nearest.length).toBeGreaterThan(0);
      for (const { pins, isoCeiling, label } of refused.nearest) {
        const limits = isoCeiling === undefined ? shot.limits : { isoCeiling };
        const taken = ShotSchema.parse({ kind: 'lynxeye/shot', version: 3, ...shot, pins, limits });
        expect(answerShot(taken).kind, label).toBe('lynxeye/answer');
      }
    });
});
