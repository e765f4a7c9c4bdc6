import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShot } from '../../bench/anyShot';
import { samples, seeded } from '../../testing/samples';
import { modesOf } from '@/core/camera/modeTable';
import { briefOf } from '@/core/brief/brief';
import type { Brief } from '@/core/brief/brief';
import { solve } from '@/core/answer/solve';
import type { Solution } from '@/core/answer/solve';
import type { Answer } from '@/core/records/answerFile';
import { emptyShot } from '@/core/records/emptyShot';
import { ShotSchema } from '@/core/records/shot';
import { answerInWords } from './answer';

/** An answer in words beside the figures that another hand reads off the brief, the camera and the settings. */
interface Told {
  brief: Brief;
  solution: Solution;
  answer: Answer;
  /** Every sentence of tiles and cards. */
  sentences: string[];
}

const shots = fc
  .sample(anyShot(), { numRuns: samples(2000), seed: seeded(20261202) })
  .map((input) => ShotSchema.parse(input));

const all: Told[] = shots.flatMap((shot) => {
  const { brief, assumed } = briefOf(shot);
  const outcome = solve(brief);
  if (!outcome.solved) return [];
  const answer = answerInWords(outcome.solution, assumed);
  const texts = [
    ...answer.why.map(({ text }) => text),
    ...answer.warnings.flatMap(({ text, helps = [] }) => [text, ...helps]),
  ];
  return [
    {
      brief,
      solution: outcome.solution,
      answer,
      sentences: texts.flatMap((text) => text.split(/(?<=[.!?]) /)),
    },
  ];
});

const texts = ({ answer }: Told): string[] => [
  ...answer.why.flatMap(({ text, steps }) => [text, ...steps]),
  ...answer.warnings.flatMap(({ text, helps = [] }) => [text, ...helps]),
];
const why = ({ answer }: Told, setting: string): string =>
  answer.why
    .filter((one) => one.setting === setting)
    .map(({ text, steps }) => [text, ...steps].join(' '))
    .join(' ');
const warned = ({ answer }: Told, code: string): string =>
  answer.warnings
    .filter((one) => one.code === code)
    .map(({ text, helps = [] }) => [text, ...helps].join(' '))
    .join(' ');
const says =
  (words: RegExp) =>
  (told: Told): boolean =>
    texts(told).some((text) => words.test(text));

/** The widest lens that this camera films with under the pins, and the strongest hold. */
const reach = ({ brief: { camera, pins } }: Told): { widestDeg: number; mostSwingDeg: number } => {
  const modes = modesOf(camera).filter(
    ({ frameRate, stabilization, view, colours }) =>
      (pins.frameRate === undefined || frameRate === pins.frameRate) &&
      (pins.stabilization === undefined || stabilization === pins.stabilization) &&
      (pins.view === undefined || view.id === pins.view.id) &&
      (pins.colour === undefined || colours.includes(pins.colour)),
  );
  return {
    widestDeg: Math.max(...modes.map(({ view }) => view.horizontalDeg)),
    mostSwingDeg: Math.max(...modes.map(({ swingDeg }) => swingDeg)),
  };
};

/** Each kind of contradiction that was once read, as what would show it. */
const NEVER: Readonly<Record<string, (told: Told) => boolean>> = {
  'exposes for one end without its price': says(/Expose for the (dark|bright) end: [^;]*\.$/),
  'exposes for one end and leaves nothing out': says(/Expose for the (dark|bright) end: leaves nothing out/),
  'finds a view too narrow that is wider than what is wanted': (told) => {
    // What is cut to its shape shows less than its lens; both are told then.
    const [, wanted] = /^(?!.*filmed).*want[s]? (\d+)°/.exec(why(told, 'view')) ?? [];
    return [...why(told, 'view').matchAll(/(\d+)°[^;.]*? (?:costs )?[\d.]+ more, for view too narrow/g)].some(
      ([, shown]) => Number(shown) > Number(wanted ?? Infinity) + 1,
    );
  },
  'offers a wider view at the widest': (told) =>
    /A wider view/.test(warned(told, 'viewNarrow') + warned(told, 'margin')) &&
    reach(told).widestDeg <= told.solution.candidate.mode.view.horizontalDeg + 0.5,
  'offers a stronger hold where there is none, or to a school that wants none': (told) =>
    /stronger hold/.test(warned(told, 'margin')) &&
    (told.brief.look.school === 'film' ||
      told.brief.look.school === 'post' ||
      reach(told).mostSwingDeg <= told.solution.candidate.mode.swingDeg),
  'offers a longer shutter that would be white': (told) => {
    const { candidate, space } = told.solution;
    const [, over] = /(?:1\/)([\d.]+) s or longer at the bright end/.exec(warned(told, 'strobing')) ?? [];
    if (over === undefined) return false;
    const { fNumber, guardStops, baseIso } = candidate.colour.sensor;
    const strongest =
      told.brief.camera.takesFilters === false ? 0 : Math.max(...space.filters.map(({ stops }) => stops));
    const iso = told.brief.pins.iso?.min ?? baseIso;
    const bears = Math.log2(fNumber ** 2 * Number(over)) - Math.log2(iso / 100) + strongest + guardStops;
    return space.light.evMax > bears + 0.5;
  },
  'speaks of lamps where the light has none': (told) =>
    told.solution.space.light.pulseHz === null && says(/Lamps pulse|under the lamps|lamps’ pulse/i)(told),
  'speaks of a bright sky': says(/bright sky/i),
  'takes nothing by no filter and the last by the guard': says(/No filter takes any, the last/),
  'has room to re-frame in no room': (told) => {
    const [, ratio] = /([\d.]+)× the delivered width, to straighten/.exec(why(told, 'resolution')) ?? [];
    return ratio !== undefined && Number(ratio) < 1.2;
  },
  'tells other bits a pixel than division gives': (told) => {
    const { bitRateMbps, resolution, frameRate } = told.answer.settings;
    const [, bits] = /([\d.]+) bits a pixel/.exec(why(told, 'bitRateMbps')) ?? [];
    return (
      Math.abs(Number(bits) - (bitRateMbps * 1e6) / (resolution.width * resolution.height * frameRate)) >
      0.006
    );
  },
  'says AVC bits': says(/AVC bits/),
  'does not fit what fits': (told) => {
    const [, fills] = /(?:subject is cut|little room)[^%]*?(\d+) % of/.exec(warned(told, 'viewNarrow')) ?? [];
    return /subject is cut/.test(warned(told, 'viewNarrow')) && Number(fills) <= 100;
  },
  'calls a pole a helmet': (told) => told.brief.mount.kind !== 'helmet' && says(/on a helmet can snag/)(told),
  'counts one stop as several': says(/\b(?<![\d.])1 stops\b/),
  'lets a light stand without its unit': says(
    /(?:dark|bright) end at [−\d]|is [−\d.]+\. At f|camera wants [−\d.]+\.|asks? for [−\d.]+ EV/,
  ),
  'runs on past what a card holds': ({ sentences }) => sentences.some((sentence) => sentence.length > 140),
  'sets beside the answer what is better': ({ answer }) =>
    answer.alternatives.some(
      ({ score, label }) => !label.startsWith('without') && score < answer.score - 1e-6,
    ),
  'sets beside the answer what is the same': ({ answer }) =>
    answer.alternatives.some(
      ({ gains, costs, label }) =>
        !label.startsWith('without') && /^nothing/.test(gains) && /^nothing/.test(costs),
    ),
  'locks a white balance that no lamp or sky of the light has': ({ answer, brief, solution }) => {
    const { whiteBalance } = answer.settings;
    const { warmK, coolK } = solution.space.workings.lightColour;
    return (
      whiteBalance !== 'auto' &&
      brief.pins.whiteBalance === undefined &&
      (whiteBalance < warmK - 250 || whiteBalance > coolK + 250)
    );
  },
};

describe('the words of random answers', () => {
  for (const [kind, shows] of Object.entries(NEVER))
    it(`never: ${kind}`, () => {
      const found = all.filter(shows);
      expect(
        found
          .slice(0, 2)
          .map((told) =>
            JSON.stringify([
              texts(told),
              told.answer.alternatives.map(({ label, score }) => [label, score]),
              told.answer.score,
            ]),
          ),
        `${found.length} of ${all.length}`,
      ).toEqual([]);
    });
});

describe('the clock of a light', () => {
  it('is that of its own offset where no zone is named', () => {
    const { brief, assumed } = briefOf({
      ...emptyShot('Towards the sun'),
      light: {
        kind: 'sun',
        lat: 61.5,
        lon: 9.5,
        from: '2026-06-20T20:00:00+02:00',
        to: '2026-06-20T20:40:00+02:00',
        headingsDeg: [290],
      },
    });
    const outcome = solve(brief);
    if (!outcome.solved) throw new Error('no answer');
    const flare = answerInWords(outcome.solution, assumed).warnings.find(
      ({ code }) => code === 'flare',
    )!.text;
    expect(flare).toMatch(/20:\d\d/);
    expect(flare).not.toMatch(/UTC|18:/);
  });
});
