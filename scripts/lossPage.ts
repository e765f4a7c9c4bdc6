import type { Estimate } from '@/core/units/estimate';
import { READY_SCHOOLS } from '@/core/vocabulary/schools';
import type { SchoolWishes } from '@/core/vocabulary/schools';
import { schoolOf } from '@/core/loss/schools';
import type { School } from '@/core/loss/schools';
import { TERM_TABLE, TERMS } from '@/core/loss/table';
import { PRACTICE_CASES } from '@/core/loss/practice';
import { briefOfNamed, TEN_SHOTS } from '@/core/loss/tenShots';
import type { NamedShot } from '@/core/loss/tenShots';
import { exposureOf, yieldedIn } from '@/core/search/candidate';
import { search } from '@/core/search/search';
import { settingsOf } from '@/core/search/settingsOf';
import { spaceFor } from '@/core/search/space';
import { shutterFraction, trimmed } from '@/core/units/format';
import { SCHOOL_LABEL, TERM_LABEL } from '../src/words/labels';
import { filterText, isoText } from '../src/words/settingText';

/** The page `docs/loss.md`, written from the table of losses itself: `npm run losses`. */
export function lossPage(): string {
  return [
    HEAD,
    '## Terms',
    ...TERM_TABLE.map(termText),
    '## Schools',
    SCHOOLS_HEAD,
    ...READY_SCHOOLS.map((id) => schoolText(schoolOf({ school: id, mine: null }))),
    '## The schools on ten shots',
    TEN_HEAD,
    ...TEN_SHOTS.map(shotText),
    '## Cases of practice',
    CASES_HEAD,
    ...casesTexts(),
    FOOT,
  ].join('\n\n');
}

const HEAD = `# What a picture loses, and how a shot is solved

_Written by \`npm run losses\` from the table in \`src/core/loss\`; edit there._

A _candidate_ is a mode of the camera (resolution × frame rate × view × stabilization), an encoding, a colour, a shutter
(fixed or automatic), a filter of the kit and an ISO window. Pins and hard limits cut the space first (\`search/space.ts\`).
Each candidate left has a _loss_: the sum of the terms below, on one scale on which 1 is just noticeable to an ordinary
viewer. The answer is the candidate with the least, under the weights of the school and the prices of its wishes.

The light is a range with a spread (\`light/lightRange.ts\`): terms of the exposure are expected losses over it, in closed
form (\`units/expected.ts\`). Figures marked _start_ are starting estimates that the log may correct.`;

const SCHOOLS_HEAD = `A school is an aim for the shutter, weights, and wishes, each with the price its followers would pay to keep it. Nothing is a
wall: a wish yields where keeping it costs more, and the answer says so.`;

const TEN_HEAD = `The same shot by every school, in the bag and on the camera named. _Gives up_ lists the wishes that yield there.`;

const CASES_HEAD = `Pairs on which practice agrees, in \`src/core/loss/practice.ts\`: on this shot the first is better than the second, because of
the slopes named. A test solves both. Where two schools answer one shot apart, both stand here: the school decides.`;

function slopeLine([name, { value, because, start }]: [string, Estimate]): string {
  return `- \`${name}\` ${trimmed(value, 3)}${start ? ' (_start_)' : ''}: ${because}.`;
}

function termText(term: (typeof TERM_TABLE)[number]): string {
  return [
    `### ${TERM_LABEL[term.id]} (\`${term.id}\`)`,
    `${term.seen[0]?.toUpperCase() ?? ''}${term.seen.slice(1)}. Told by the ${term.owner}${term.noteFrom === null ? '' : `; a word from ${trimmed(term.noteFrom, 2)} on`}.`,
    `Loss: ${term.formula}.`,
    Object.entries(term.slopes).map(slopeLine).join('\n'),
  ].join('\n\n');
}

function schoolText({ id, aim, weights, wishes, steadiedInEdit }: School): string {
  const weighed = TERMS.filter((term) => weights[term] !== 1).map(
    (term) => `${TERM_LABEL[term]} × ${trimmed(weights[term], 2)}`,
  );
  const aims = `Aims at ${trimmed(aim.angleDeg, 0)}°${aim.orShakeFloor ? ' or the shake floor, whichever is shorter' : ''}${steadiedInEdit ? '; steadied in the edit' : ''}.`;
  const lines = (Object.keys(wishes) as (keyof SchoolWishes)[]).map((key) => {
    const wish = wishes[key];
    return wish
      ? `- ${wishText(key, wishes)}: ${trimmed(wish.price.value, 2)} (_start_), ${wish.price.because}.`
      : '';
  });
  return [
    `### ${SCHOOL_LABEL[id]}`,
    `${aims} ${weighed.length > 0 ? `Weighs ${weighed.join(', ')}.` : 'Weighs everything alike.'}`,
    ...(lines.length > 0 ? [lines.join('\n')] : []),
  ].join('\n\n');
}

function wishText(key: keyof SchoolWishes, wishes: SchoolWishes): string {
  switch (key) {
    case 'stabilization':
      return wishes.stabilization?.among.includes('off') ? 'stabilization off' : 'a steadied picture';
    case 'shutterMode':
      return `${wishes.shutterMode?.mode === 'auto' ? 'an automatic' : 'a fixed'} shutter`;
    case 'angle':
      return wishes.angle?.fromDeg === wishes.angle?.toDeg
        ? `exactly ${trimmed(wishes.angle?.fromDeg ?? 0, 0)}° of the frames shown`
        : `${trimmed(wishes.angle?.fromDeg ?? 0, 0)}° to ${trimmed(wishes.angle?.toDeg ?? 0, 0)}° of the frames shown`;
    case 'withinShakeFloor':
      return 'no longer than the shake floor';
    case 'lightKept':
      return 'light that a running shutter keeps';
    case 'noFilter':
      return 'no filter';
    case 'isoSpan':
      return `each stop of ISO window past ${trimmed(wishes.isoSpan?.stops ?? 0, 0)}`;
    case 'isoMax':
      return `each stop past ISO ${trimmed(wishes.isoMax?.iso ?? 0, 0)}`;
  }
}

function shotText(named: NamedShot): string {
  const rows = READY_SCHOOLS.map((school) => {
    const brief = briefOfNamed(named, school);
    const made = spaceFor(brief);
    const found = made.ok ? search(made.space) : null;
    if (!made.ok || !found) return `| ${SCHOOL_LABEL[school]} | no answer | | | | | |`;
    const { candidate, score } = found;
    const settings = settingsOf(made.space, candidate);
    const { overStops, underStops } = exposureOf(made.space, candidate);
    const gaveUp = yieldedIn(made.space, candidate).map(({ wish }) =>
      wishText(wish, schoolOf({ school, mine: null }).wishes),
    );
    const cells = [
      SCHOOL_LABEL[school],
      `${trimmed(settings.frameRate, 2)} fps, ${shutterFraction(settings.shutterSeconds)} s ${settings.shutterMode}`,
      filterText(settings.filter, brief.filters),
      `${isoText(settings.iso)} ${settings.colour}`,
      `${settings.resolution.width} ${settings.view.id}, ${settings.stabilization}`,
      `${trimmed(underStops, 1)} / ${trimmed(overStops, 1)}`,
      trimmed(score, 1),
      gaveUp.join(', '),
    ];
    return `| ${cells.join(' | ')} |`;
  });
  return [
    `### ${named.name}`,
    [
      '| school | rate, shutter | filter | ISO, colour | frame | stops dark / white | loss | gives up |',
      '| --- | --- | --- | --- | --- | --- | --- | --- |',
      ...rows,
    ].join('\n'),
  ].join('\n\n');
}

function casesTexts(): string[] {
  const rows = PRACTICE_CASES.map(
    ({ shot, school, better, worse, because, slopes }) =>
      `| ${shot} | ${SCHOOL_LABEL[school]} | ${pinsText(better)} | ${pinsText(worse)} | ${because} | ${slopes.join(', ')} |`,
  );
  return [
    [
      '| shot | school | better | worse | because | slopes |',
      '| --- | --- | --- | --- | --- | --- |',
      ...rows,
    ].join('\n'),
  ];
}

function pinsText(pins: object): string {
  return Object.entries(pins)
    .map(([key, value]) =>
      key === 'shutterSeconds' && typeof value === 'number'
        ? `${shutterFraction(value)} s`
        : `${key} ${typeof value === 'object' ? JSON.stringify(value).replace(/["{}]/g, '') : String(value)}`,
    )
    .join(', ');
}

const FOOT = `## Movement over the frame

How fast the picture moves is worked out over a grid of the whole frame (\`motion/motionMap.ts\`): surroundings passing at one
side distance all around the line of travel, seen along the camera's pitch, and the camera's own turning, through the lens's
projection. _Typical_ is what half the frame exceeds, _worst_ what a tenth of it does; a subject counts where it stands in
the frame.

## Why the search is exact and fast

    score = M(colour, mode, encoding) + S(motion group, shutter used) + E(colour, shutter, filter, ISO)

each with the prices of the wishes it alone breaks. Modes with the same frame rate, view after crop and steadiness blur alike,
so the best of each group stands for all. E knows nothing of the mode, so the best filter and ISO of each fixed shutter are
found once. S is never below zero, and never below its value under the kindest view of the frame rate; no ISO window loses
less than the widest, and none in uncertain light less than in light just as told. A plain search over every candidate lives
in \`bench/exhaustive.ts\`; property tests hold both to the same least loss.
`;
