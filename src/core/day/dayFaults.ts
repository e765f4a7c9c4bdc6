import type { Pins } from '../records/settings';
import { outsOf } from './daySheet';
import type { RunOut, PartSheet } from './daySheet';
import type { WorkedCamera, WorkedDay } from './workedDay';
import type { ReasonPage } from '../vocabulary/reasonPages';

/** Everything that a day does not manage, each with what it takes to tell it and to put it right. */
export type DayFault =
  /** A camera still films one part when another begins. */
  | { what: 'clash'; cameraId: string; partId: string; withId: string; atMs: number; freeMs: number }
  /** An entry whose shot is no longer kept. */
  | { what: 'missing'; entryId: string }
  /** No setting keeps the pins of a part. */
  | { what: 'noAnswer'; partId: string }
  /** Pinned filters ask for a change where the camera cannot be touched. */
  | { what: 'filterRun'; cameraId: string }
  | { what: 'out'; out: RunOut }
  | { what: 'slowCard'; cameraId: string; card: string; writesMBps: number; keepsMBps: number }
  /** Light lost at either end; `instead`: the filter it would take, were the day not to hold another. */
  | { what: 'light'; partId: string; overStops: number; underStops: number; instead: Pins | null }
  /** More set-ups than the camera stores. */
  | { what: 'setups'; cameraId: string }
  /** It warns of heat, and goes on. */
  | { what: 'hot'; cameraId: string; atMs: number };

/** On which page each is reasoned. `null`: nothing that was reasoned, but something that is gone. */
export function pageOfDayFault(fault: DayFault): ReasonPage | null {
  switch (fault.what) {
    case 'missing':
      return null;
    case 'noAnswer':
      return 'schools';
    case 'clash':
    case 'filterRun':
    case 'setups':
      return 'cameras';
    case 'slowCard':
      return 'card';
    case 'light':
      return 'light';
    case 'hot':
      return 'power';
    case 'out':
      return fault.out.what === 'card' ? 'card' : 'power';
  }
}

/** Less than this lost at an end is not worth a word, stops. */
export const NOTICED_STOPS = 0.3;

export function isExposed({ overStops, underStops }: Pick<PartSheet, 'overStops' | 'underStops'>): boolean {
  return overStops < NOTICED_STOPS && underStops < NOTICED_STOPS;
}

/**
 * The worst first: what cannot be filmed at all, then what ends too soon, then light lost by its stops, then what asks for
 * care; among equals the earliest. Empty: every shot is exposed, every camera lasts, and nothing is hot.
 */
export function dayFaultsOf(day: WorkedDay): DayFault[] {
  const found = [
    ...day.missing.map((entryId): Found => ({ rank: 0, atMs: 0, fault: { what: 'missing', entryId } })),
    ...day.cameras.flatMap(cameraFaults),
    ...day.parts.flatMap(({ id, fromMs, answer }): Found[] => {
      if (!answer) return [];
      if (!answer.carried) return [{ rank: 1, atMs: fromMs, fault: { what: 'noAnswer', partId: id } }];
      if (isExposed(answer)) return [];
      const { overStops, underStops, held } = answer;
      return [
        {
          rank: 4 - Math.min(0.99, Math.max(overStops, underStops) / 10),
          atMs: fromMs,
          fault: {
            what: 'light',
            partId: id,
            overStops,
            underStops,
            instead: held?.filter ? { filter: { ids: [...held.alone.filter.ids] } } : null,
          },
        },
      ];
    }),
  ];
  return found.sort((a, b) => a.rank - b.rank || a.atMs - b.atMs).map(({ fault }) => fault);
}

interface Found {
  /** Lower is worse. */
  rank: number;
  atMs: number;
  fault: DayFault;
}

function cameraFaults({ id: cameraId, sheet, parts }: WorkedCamera): Found[] {
  if (!sheet) return [];
  const { budget, filterChangePlan, presetChoice } = sheet;
  const startMs = parts[0]?.fromMs ?? 0;
  const answered = parts.some(({ answer }) => answer?.own);
  const warn = budget.heat.out ? null : budget.heat.warn;
  return [
    ...budget.clashes.map(({ partId, withId, atMs }): Found => {
      const freeMs = parts.find(({ id }) => id === withId)?.toMs ?? atMs;
      return { rank: 0, atMs, fault: { what: 'clash', cameraId, partId, withId, atMs, freeMs } };
    }),
    ...(answered && filterChangePlan === null
      ? [{ rank: 2, atMs: startMs, fault: { what: 'filterRun', cameraId } as const }]
      : []),
    ...outsOf(budget).map((out): Found => ({ rank: 3, atMs: out.atMs, fault: { what: 'out', out } })),
    ...budget.slow.map(({ name: card, writesMBps, keepsMBps }): Found => ({
      rank: 3,
      atMs: startMs,
      fault: { what: 'slowCard', cameraId, card, writesMBps, keepsMBps },
    })),
    ...(answered && presetChoice === null && sheet.presets.length > 0
      ? [{ rank: 5, atMs: startMs, fault: { what: 'setups', cameraId } as const }]
      : []),
    ...(warn
      ? [{ rank: 6, atMs: warn.atMs, fault: { what: 'hot', cameraId, atMs: warn.atMs } as const }]
      : []),
  ];
}
