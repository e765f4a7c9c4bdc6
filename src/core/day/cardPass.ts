import { usableGb, WRITE_SHARE } from '../camera/card';
import type { Gear } from '../records/outing';
import type { Act, Chapter, Cut, ResourceLevel } from './levels';
import { seconds, untilNextChance } from './stretches';
import type { Stretch } from './stretches';

/** How a camera's cards fill over the day, changed where it can be touched; adds what hands do and the files they hold. */
export function cardPass(
  stretches: readonly Stretch[],
  cards: Gear['cards'],
  acts: Act[],
  chapters: Chapter[],
): ResourceLevel {
  const room = (at: number): number => usableGb(cards[at]?.capacityGb ?? 0) * 1e9;
  const total = cards.reduce((sum, _, at) => sum + room(at), 0);
  const course: { atMs: number; share: number }[] = [];
  let spares = cards.map((_, at) => at).slice(1);
  let card = 0;
  let left = room(0);
  let out: Cut | null = null;
  let full = false;
  stretches.forEach((stretch, at) => {
    if (stretch.first || stretch.chance) {
      // Until the next chance this card must do; another goes in where this would not.
      const need = untilNextChance(stretches, at, bytesOf);
      const next = full || need > left ? betterCard(spares, room, need, full ? 0 : left) : undefined;
      if (next !== undefined) {
        spares = spares.filter((one) => one !== next);
        card = next;
        left = room(card);
        full = false;
        acts.push({
          what: 'card',
          atMs: stretch.chance?.fromMs ?? stretch.fromMs,
          to: card,
          name: cards[card]?.name ?? '',
        });
      }
    }
    const share = (): number =>
      total > 0 ? (left + spares.reduce((sum, spare) => sum + room(spare), 0)) / total : 0;
    course.push({ atMs: stretch.fromMs, share: share() });
    const need = bytesOf(stretch);
    const fits = Math.min(need, left);
    const runs =
      need > left && !full ? (left / stretch.load.bytesPerSecond) * 1000 : stretch.toMs - stretch.fromMs;
    if (need > left + 1 && !out) out = { atMs: stretch.fromMs + (full ? 0 : runs), partId: stretch.part.id };
    if (!full) chapters.push(...chaptersOf(stretch, card, Math.min(stretch.toMs, stretch.fromMs + runs)));
    if (need > left + 1) full = true;
    left = Math.max(0, left - fits);
    course.push({ atMs: Math.min(stretch.toMs, stretch.fromMs + runs), share: share() });
  });
  return {
    course,
    out,
    needs: stretches.reduce((sum, one) => sum + bytesOf(one), 0) / 1e9,
    has: total / 1e9,
  };
}

/** The first spare that holds what is needed, else the roomiest that holds more than is left; `undefined`: none. */
function betterCard(
  spares: readonly number[],
  room: (at: number) => number,
  need: number,
  left: number,
): number | undefined {
  const roomier = spares.filter((at) => room(at) > left);
  return roomier.find((at) => room(at) >= need) ?? roomier.sort((a, b) => room(b) - room(a))[0];
}

function bytesOf(stretch: Stretch): number {
  const bytes = seconds(stretch) * stretch.load.bytesPerSecond;
  return Math.min(bytes, stretch.load.mostBytes ?? bytes);
}

function chaptersOf({ part, load, fromMs }: Stretch, card: number, toMs: number): Chapter[] {
  const list: Chapter[] = [];
  const stepMs = load.chapterSeconds * 1000;
  for (let at = fromMs; at < toMs - 1 && list.length < 2000; at += stepMs) {
    const end = Math.min(toMs, at + stepMs);
    list.push({
      partId: part.id,
      card,
      fromMs: at,
      toMs: end,
      gigabytes: ((end - at) / 1000) * (load.bytesPerSecond / 1e9),
    });
  }
  return list;
}

/** A card that is too slow for what is written, with what it would have to keep. */
export interface SlowCard {
  name: string;
  writesMBps: number;
  keepsMBps: number;
  partId: string;
}

export function slowCards(stretches: readonly Stretch[], cards: Gear['cards']): SlowCard[] {
  return cards.flatMap(({ name, writeMBps }) => {
    const hardest = stretches.reduce<Stretch | null>(
      (most, one) => (most && most.load.writesMBps >= one.load.writesMBps ? most : one),
      null,
    );
    const keepsMBps = writeMBps * WRITE_SHARE;
    if (!hardest || hardest.load.writesMBps <= keepsMBps) return [];
    return [{ name, writesMBps: hardest.load.writesMBps, keepsMBps, partId: hardest.part.id }];
  });
}
