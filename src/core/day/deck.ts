import type { OutingDay } from '../records/outing';
import type { Act } from './levels';
import type { FilterSwap } from './daySheet';
import type { WorkedDay, WorkedPart } from './workedDay';

/** The day as cards in order: what is done before it, each shot, and between them what hands do at the cameras. */
export type DeckCard =
  | { kind: 'before'; id: 'before' }
  | {
      kind: 'shot';
      id: string;
      fromMs: number;
      parts: readonly WorkedPart[];
      done: 'recorded' | 'skipped' | null;
    }
  /** Under the name of the break; `null` between two shots. */
  | { kind: 'tasks'; id: string; fromMs: number; toMs: number; name: string | null; tasks: readonly Task[] }
  | { kind: 'after'; id: 'after' };

/** A thing to do at a camera; its id is ticked when done. */
export type Task = { id: string; cameraId: string } & (
  | { what: 'filterChange'; filterChange: FilterSwap }
  | { what: 'act'; act: Act }
  /** The light is read before this part. */
  | { what: 'reading'; partId: string }
);

interface TimedTask {
  fromMs: number;
  task: Task;
}

export function deckOf(entries: OutingDay['entries'], day: WorkedDay): DeckCard[] {
  const shots = entries.flatMap((entry): DeckCard[] => {
    if (entry.what !== 'shot') return [];
    const parts = day.partsOf(entry.id);
    const [first] = parts;
    return first
      ? [{ kind: 'shot', id: entry.id, fromMs: first.fromMs, parts, done: entry.done?.how ?? null }]
      : [];
  });
  const cards = [...shots, ...taskCards(entries, day)].sort((a, b) => startOf(a) - startOf(b));
  return [{ kind: 'before', id: 'before' }, ...cards, { kind: 'after', id: 'after' }];
}

function startOf(card: DeckCard): number {
  return 'fromMs' in card ? card.fromMs : 0;
}

/** When the light is read, and before which part: the main camera's. */
export function readingsInDay(
  entries: OutingDay['entries'],
  day: WorkedDay,
): { entryId: string; fromMs: number; part: WorkedPart }[] {
  return entries.flatMap((entry) => {
    const [part] = entry.what === 'shot' && entry.reading ? day.partsOf(entry.id) : [];
    if (!part || entry.what !== 'shot' || !entry.reading) return [];
    return [{ entryId: entry.id, fromMs: part.fromMs - entry.reading.minutesBefore * 60_000, part }];
  });
}

/** What falls into one break stands on one card. */
function taskCards(entries: OutingDay['entries'], day: WorkedDay): DeckCard[] {
  const readings = readingsInDay(entries, day).map(({ entryId, fromMs, part }): TimedTask => ({
    fromMs,
    task: { id: `reading:${entryId}`, cameraId: part.camera.id, what: 'reading', partId: part.id },
  }));
  const timed = (day.sheet?.cameras ?? []).flatMap(({ cameraId, filterChanges, budget }): TimedTask[] => [
    ...filterChanges.map((filterChange) => ({
      fromMs: filterChange.window.fromMs,
      task: { id: `swap:${filterChange.partId}`, cameraId, what: 'filterChange' as const, filterChange },
    })),
    ...budget.acts.map((act) => ({
      fromMs: act.atMs,
      task: { id: `${act.what}:${cameraId}:${act.atMs}`, cameraId, what: 'act' as const, act },
    })),
  ]);
  const cards = new Map<string, Extract<DeckCard, { kind: 'tasks' }>>();
  for (const { fromMs, task } of [...readings, ...timed].sort((a, b) => a.fromMs - b.fromMs)) {
    const pause = day.pauses.find((one) => one.kind === 'break' && one.fromMs <= fromMs && fromMs < one.toMs);
    const id = pause?.id ?? `gap-${fromMs}`;
    const card = cards.get(id);
    cards.set(id, {
      kind: 'tasks',
      id,
      fromMs: pause?.fromMs ?? fromMs,
      toMs: pause?.toMs ?? fromMs,
      name: pause?.name ?? null,
      tasks: [...(card?.tasks ?? []), task],
    });
  }
  return [...cards.values()];
}

/** The card to begin with: the first that is not done; the last when all are. */
export function nextCard(deck: readonly DeckCard[], ticked: ReadonlySet<string>): number {
  const at = deck.findIndex(
    (card) =>
      (card.kind === 'shot' && card.done === null) ||
      (card.kind === 'tasks' && card.tasks.some(({ id }) => !ticked.has(id)) && !laterDone(deck, card)),
  );
  if (at < 0) return deck.length - 1;
  const begun = deck.some((card) => card.kind === 'shot' && card.done !== null);
  return begun || at > 1 ? at : 0;
}

/** Tasks of a break that lies behind a shot already done are not asked for again. */
function laterDone(deck: readonly DeckCard[], card: DeckCard): boolean {
  return deck.slice(deck.indexOf(card)).some((one) => one.kind === 'shot' && one.done !== null);
}
