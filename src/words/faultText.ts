import type { Amiss, Fault } from '@/core/schema/fault';
import { FILE_VERSION } from '@/core/schema/versions';
import { code as LOCALE } from '@/language/locale';
import * as messages from '@/language/words/fault';

/** "light.evMin: expected number, got string" */
export function faultText({ path, amiss }: Fault): string {
  const text = amissText(amiss);
  return path === '' ? text : `${path}: ${text}`;
}

/** Faults as they go out in JSON. */
export function faultsInWords(faults: readonly Fault[]): { path: string; text: string }[] {
  return faults.map(({ path, amiss }) => ({ path, text: amissText(amiss) }));
}

/** What is amiss, without its place. */
function amissText(amiss: Amiss): string {
  switch (amiss.code) {
    case 'worded':
      return amiss.text;
    case 'unknownKey':
    case 'noForm':
    case 'tooManyExposures':
      return messages.plain[amiss.code];
    case 'type':
      return messages.type({ expected: typeText(amiss.expected), got: typeText(amiss.got) });
    case 'oneOf':
      return messages.oneOf({ values: listed(amiss.values.map((one) => JSON.stringify(one))) });
    case 'bound': {
      const { bound, of } = amiss;
      return messages.bound[amiss.is]({ bound: `${bound}`, of });
    }
    case 'pattern':
      return messages.pattern({ pattern: amiss.pattern });
    case 'wanted':
      return amiss.what === 'noLaterVersion'
        ? messages.laterVersion({ version: String(amiss.got), upTo: FILE_VERSION })
        : messages.wanted[amiss.what];
    case 'atLeastKey':
      return messages.atLeastKey({ key: amiss.key });
    case 'standsTwice':
    case 'filterTwice':
    case 'describedTwice':
    case 'noIsoRange':
    case 'shotNotInFile':
      return messages.named[amiss.code]({ id: amiss.id });
    case 'notDescribed':
      return messages.notDescribed({ id: amiss.id, under: amiss.under });
    case 'shortestShutter':
      return messages.shortestShutter({ part: 2 * amiss.fastestFps });
    case 'mountPlace':
      return amiss.places.length === 0
        ? messages.noMountPlaces({ kind: amiss.kind })
        : messages.mountPlaces({ places: amiss.places.join(messages.or) });
    case 'tooManyModes':
      return messages.tooManyModes({
        counts: amiss.counts.map((count) => count.toLocaleString(LOCALE)).join(messages.and),
      });
    case 'withinHours':
      return messages.withinHours({ hours: amiss.hours });
  }
}

function listed(values: readonly string[]): string {
  return values.length === 1 ? values.join('') : messages.among({ values: values.join(', ') });
}

/** What is no word of ours is a word of JSON. */
function typeText(type: string): string {
  return type in messages.typeName ? messages.typeName[type as keyof typeof messages.typeName] : type;
}
