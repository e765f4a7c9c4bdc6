import type { Problem, Fault } from '@/core/schema/fault';
import { FILE_VERSION } from '@/core/schema/versions';
import { code as LOCALE } from '@/language/locale';
import * as messages from '@/language/words/fault';

/** "light.evMin: expected number, got string" */
export function faultText({ path, problem }: Fault): string {
  const text = problemText(problem);
  return path === '' ? text : `${path}: ${text}`;
}

/** Faults as they go out in JSON. */
export function faultsInWords(faults: readonly Fault[]): { path: string; text: string }[] {
  return faults.map(({ path, problem }) => ({ path, text: problemText(problem) }));
}

/** What is amiss, without its place. */
function problemText(problem: Problem): string {
  switch (problem.code) {
    case 'worded':
      return problem.text;
    case 'unknownKey':
    case 'noForm':
    case 'tooManyExposures':
      return messages.plain[problem.code];
    case 'type':
      return messages.type({ expected: typeText(problem.expected), got: typeText(problem.got) });
    case 'oneOf':
      return messages.oneOf({ values: listed(problem.values.map((one) => JSON.stringify(one))) });
    case 'bound': {
      const { bound, of } = problem;
      return messages.bound[problem.is]({ bound: `${bound}`, of });
    }
    case 'full':
      return messages.full({ most: problem.most });
    case 'pattern':
      return messages.pattern({ pattern: problem.pattern });
    case 'wanted':
      return problem.what === 'noLaterVersion'
        ? messages.laterVersion({ version: String(problem.got), upTo: FILE_VERSION })
        : messages.wanted[problem.what];
    case 'atLeastKey':
      return messages.atLeastKey({ key: problem.key });
    case 'standsTwice':
    case 'filterTwice':
    case 'describedTwice':
    case 'noIsoRange':
    case 'shotNotInFile':
      return messages.named[problem.code]({ id: problem.id });
    case 'notDescribed':
      return messages.notDescribed({ id: problem.id, under: problem.under });
    case 'shortestShutter':
      return messages.shortestShutter({ part: 2 * problem.fastestFps });
    case 'mountPlace':
      return problem.places.length === 0
        ? messages.noMountPlaces({ kind: problem.kind })
        : messages.mountPlaces({ places: problem.places.join(messages.or) });
    case 'tooManyModes':
      return messages.tooManyModes({
        counts: problem.counts.map((count) => count.toLocaleString(LOCALE)).join(messages.and),
      });
    case 'withinHours':
      return messages.withinHours({ hours: problem.hours });
  }
}

function listed(values: readonly string[]): string {
  return values.length === 1 ? values.join('') : messages.among({ values: values.join(', ') });
}

/** What is no word of ours is a word of JSON. */
function typeText(type: string): string {
  return type in messages.typeName ? messages.typeName[type as keyof typeof messages.typeName] : type;
}
