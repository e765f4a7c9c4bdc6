import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solve } from '../answer/solve';
import { briefOf } from '../brief/brief';
import { emptyShot } from '../records/emptyShot';
import { cameraFromFive, unanswered, USUAL_SIZES, USUAL_VIEWS } from './fiveQuestions';
import type { FiveAnswers } from './fiveQuestions';
import { modesOf } from './modeTable';
import { CameraProfileSchema } from './profile';
import { tableFindingsOf } from './tableFindings';
import { sampling } from '../../../testing/samples';

const some = <T>(all: readonly T[], least = 1): fc.Arbitrary<T[]> =>
  fc.subarray([...all], { minLength: least });
const anyAnswers: fc.Arbitrary<FiveAnswers> = fc.record({
  sizes: some(USUAL_SIZES),
  views: some(USUAL_VIEWS),
  holds: some(['standard', 'strong', 'levelHold', 'rollHold'] as const, 0),
  codecs: some([
    { codec: 'avc', tenBit: false, bitRateMbps: 60 },
    { codec: 'hevc', tenBit: true, bitRateMbps: 100 },
  ] as const),
});

describe('a camera from five questions', () => {
  it('is a whole camera, whatever is answered, and films', () => {
    fc.assert(
      fc.property(anyAnswers, (answers) => {
        const profile = cameraFromFive('own', 'Wren', answers);
        expect(CameraProfileSchema.safeParse(profile)).toMatchObject({ success: true });
        expect(solve(briefOf({ ...emptyShot('One'), camera: { profile } }).brief).solved).toBe(true);
        const odd = tableFindingsOf(profile).filter(
          ({ code }) => code !== 'cropLeavesLittle' && code !== 'gap',
        );
        // A full-roll hold of a 240 fps camera is a wish; all else that is described is offered.
        expect(odd).toEqual([]);
      }),
      sampling(40),
    );
  });

  it('offers each size as fast as was said, and no horizon hold above 60', () => {
    const profile = cameraFromFive('own', 'Wren', {
      sizes: [USUAL_SIZES[2]!, { ...USUAL_SIZES[4]!, fastestFps: 120 }],
      views: [USUAL_VIEWS[1]!],
      holds: ['strong', 'levelHold'],
      codecs: [{ codec: 'avc', tenBit: false, bitRateMbps: 60 }],
    });
    const fastest = (width: number, hold: string): number =>
      Math.max(
        ...modesOf(profile)
          .filter((mode) => mode.resolution.width === width && mode.stabilization === hold)
          .map(({ frameRate }) => frameRate),
      );
    expect([fastest(3840, 'off'), fastest(1920, 'strong'), fastest(1920, 'levelHold')]).toEqual([
      60, 120, 60,
    ]);
    expect(modesOf(profile).every(({ colours }) => colours.join() === 'standard')).toBe(true);
  });

  it('says what has no answer yet', () => {
    expect(unanswered({ sizes: [], views: [...USUAL_VIEWS], holds: [], codecs: [] })).toEqual([
      'sizes',
      'codecs',
    ]);
  });
});
