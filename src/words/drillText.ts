import { AS_GOOD } from '@/core/drill/drill';
import type { Drill, DrillAnswer, DrillChoice } from '@/core/drill/drill';
import type { DrillKind } from '@/core/vocabulary/drills';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { item } from '@/core/units/items';
import * as messages from '@/language/words/drill';
import {
  ACTIVITY_LABEL,
  GROUND_LABEL,
  MOUNT_LABEL,
  SCHOOL_LABEL,
  STABILIZATION_LABEL,
  TERM_LABEL,
  viewLabel,
} from './labels';
import { capital, decapitalized } from './sentences';
import { durationText, evText, filterText, isoText } from './settingText';
import type { FilterNotation } from './settingText';

export const DRILL_LABEL: Record<DrillKind, string> = messages.kind;

/** "Helmet, riding, rough ground" */
export function drillShotText({ brief: { mount } }: Drill): string {
  return messages.of({
    mount: capital(MOUNT_LABEL[mount.kind]),
    activity: ACTIVITY_LABEL[mount.activity],
    ground:
      mount.kind === 'tripod' ? '' : messages.ground({ ground: decapitalized(GROUND_LABEL[mount.ground]) }),
  });
}

/** Where the shot is from; `null` where it was drawn. */
export function drillSourceText({ from, name }: Drill): string | null {
  if (from === 'drawn') return null;
  return from === 'miss'
    ? messages.fromMiss({ name: name ?? '' })
    : messages.fromPlanned({ name: name ?? '' });
}

export function drillQuestion({ given, light, brief }: Drill, notation: FilterNotation): string {
  const { playback, motion, filters } = brief;
  switch (given.kind) {
    case 'light':
      return messages.ask.light({
        shutter: shutterFraction(given.shutterSeconds),
        iso: given.iso,
        fNumber: trimmed(given.fNumber, 1),
      });
    case 'stops':
      return messages.ask.stops({
        shutter: shutterFraction(given.settings.shutterSeconds),
        filter: filterText(given.settings.filter, filters, notation),
        then: shutterFraction(given.thenSeconds),
      });
    case 'filter':
      return messages.ask.filter({
        light: lightText(light),
        shutter: shutterFraction(given.settings.shutterSeconds),
        iso: isoText(given.settings.iso),
      });
    case 'shutter':
      return messages.ask.shutter({ rate: messages.fps({ rate: trimmed(given.settings.frameRate, 3) }) });
    case 'rate':
      return messages.ask.rate({
        slowed: playback.slowdown === 1 ? messages.asFast : messages.slowed({ times: playback.slowdown }),
        timeline: trimmed(playback.timelineFps, 3),
      });
    case 'view':
      return messages.ask.view({
        subject: motion.subject
          ? messages.someoneAt({
              size: trimmed(motion.subject.sizeM, 1),
              distance: trimmed(motion.subject.distanceM, 1),
            })
          : messages.noOneAt,
        hold: decapitalized(STABILIZATION_LABEL[given.settings.stabilization]),
      });
    case 'lasts':
      return messages.ask.lasts({
        rate: trimmed(given.settings.bitRateMbps, 0),
        card: given.cardGb,
        cell: tenths(given.cellWh),
        power: tenths(given.powerW),
        air: trimmed(given.airC, 0).replace('-', '−'),
      });
    case 'school':
      return messages.ask.school;
  }
}

function lightText({ evMin, evMax }: Drill['light']): string {
  return evMin === evMax
    ? messages.evAt({ from: evText(evMin) })
    : messages.evFromTo({ from: evText(evMin), to: evText(evMax) });
}

export function drillAnswerText(answer: DrillAnswer, { brief }: Drill, notation: FilterNotation): string {
  if ('ev' in answer) return messages.ev({ ev: trimmed(answer.ev, 1) });
  if ('filter' in answer) return capital(filterText(answer.filter, brief.filters, notation));
  if ('shutterSeconds' in answer)
    return messages.seconds({ seconds: shutterFraction(answer.shutterSeconds) });
  if ('frameRate' in answer) return messages.fps({ rate: trimmed(answer.frameRate, 3) });
  if ('view' in answer) return `${viewLabel(answer.view.id)} ${trimmed(answer.view.horizontalDeg, 0)}°`;
  if ('minutes' in answer) return durationText(answer.minutes * 60);
  return SCHOOL_LABEL[answer.school];
}

/** What is told once an answer is given: what it is, how far off one was, and what would have come back. */
export function drillVerdict(drill: Drill, chosen: DrillChoice, notation: FilterNotation): string[] {
  const best = item(drill.choices, drill.best);
  const named = (choice: DrillChoice): string => drillAnswerText(choice.answer, drill, notation);
  if (chosen === best) return [messages.isIt({ best: named(best) })];
  const loss = trimmed(chosen.loss, 2);
  if (chosen.loss < AS_GOOD) return [messages.asGood({ best: named(best), loss })];
  return [
    messages.is({ best: named(best) }),
    messages.loses({ off: offText(chosen, named(chosen)), loss: tenths(chosen.loss) }),
    ...worseText(drill, chosen),
  ];
}

function offText({ answer, offStops }: DrillChoice, name: string): string {
  if (offStops === null) return messages.another({ answer: name });
  const way = wayOf(answer, offStops);
  if (way !== null) {
    const said = trimmed(Math.abs(offStops), 1);
    return messages.off({ answer: name, stops: Number(said), said, way });
  }
  return messages.factor({ answer: name, factor: trimmed(2 ** Math.abs(offStops), 1) });
}

/** `null` where octaves are no stops. */
function wayOf(answer: DrillAnswer, offStops: number): string | null {
  const way = messages.way;
  if ('ev' in answer) return offStops > 0 ? way.evMore : way.evLess;
  if ('filter' in answer) return offStops > 0 ? way.filterMore : way.filterLess;
  if ('shutterSeconds' in answer) return offStops > 0 ? way.shutterMore : way.shutterLess;
  return null;
}

/** So many of the terms that get worse are told. */
const MOST_TERMS = 2;

function worseText({ kind }: Drill, { offStops, worse }: DrillChoice): string[] {
  if (kind === 'lasts') return [(offStops ?? 0) > 0 ? messages.lastsToo : messages.lastsEarly];
  const terms = worse
    .slice(0, MOST_TERMS)
    .map(({ term, by }) => messages.term({ name: decapitalized(TERM_LABEL[term]), loss: tenths(by) }))
    .join(messages.and);
  if (terms === '') return [];
  return [kind === 'school' ? messages.worseSchool({ terms }) : messages.worse({ terms })];
}
