import { scaleLinear } from 'd3-scale';
import type { ScaleLinear } from 'd3-scale';
import type { Schedule } from '@/core/day/schedule';
import type { WorkedPart } from '@/core/day/workedDay';
import { evRangeOf } from '@/core/light/lightRange';
import type { SunLight } from '@/core/light/sun/sunLight';
import type { SunLightAt } from '@/core/light/sun/sunLight';
import { omit } from '@/core/units/omit';
import type { Lettering } from '../../ui/fitted';

/** Where things stand on the day's ribbon, CSS pixels. */
export const LAY = { left: 92, right: 20, axis: 20, light: 86, lane: 52, pauses: 24, gap: 8 } as const;
/** What words on the ribbon are set in. */
export const WORD: Lettering = { size: 12 };
export const BOLD: Lettering = { size: 12, weight: 650 };
export const FILTER: Lettering = { size: 11, weight: 650 };
export const LANE: Lettering = { size: 14, weight: 650, family: 'text' };
const MINUTE_MS = 60_000;

/** The stretch of the day in which something happens, with half an hour to either side. */
export function busyStretch(day: Pick<Schedule, 'fromMs' | 'toMs' | 'parts' | 'pauses'>): {
  fromMs: number;
  toMs: number;
} {
  const all = [...day.parts, ...day.pauses];
  return {
    fromMs: Math.max(day.fromMs, Math.min(...all.map(({ fromMs }) => fromMs)) - 30 * MINUTE_MS),
    toMs: Math.min(day.toMs, Math.max(...all.map(({ toMs }) => toMs)) + 30 * MINUTE_MS),
  };
}

/** The scale of light: from under the darkest shot to over the brightest hour. */
export function lightScale(
  samples: readonly SunLightAt[],
  parts: readonly WorkedPart[],
): ScaleLinear<number, number> {
  const ranges = parts.map((part) => evRangeOf(part.brief.light));
  const top = Math.ceil(
    Math.max(8, ...samples.map(({ evHigh }) => evHigh), ...ranges.map(({ evMax }) => evMax)) + 0.3,
  );
  const bottom = Math.floor(Math.min(...ranges.map(({ evMin }) => evMin)) - 1);
  return scaleLinear([bottom, top], [LAY.axis + LAY.light, LAY.axis + 4]).clamp(true);
}

/** The light in the open where the day is, whatever way a shot looks; with its horizon where a shot tells one. */
export function openSunOf(parts: readonly WorkedPart[]): SunLight | null {
  const suns = parts.flatMap(({ shot }) => (shot.light?.kind === 'sun' ? [shot.light] : []));
  const sun = suns.find(({ horizon }) => horizon !== undefined) ?? suns[0];
  if (!sun) return null;
  return { ...omit(sun, 'headingsDeg'), shade: ['open'] };
}

/** A block narrower than this shows its words beside it, pixels. */
const WORDS_FROM = 46;
/** Room beside a block from which its words stand there, pixels. */
const ROOM_FROM = 70;
/** What words before a block may take at most, and what is left free round words, pixels. */
const MOST_BEFORE = 110;
const FREE = 4;

/** Where the words of a block stand: from or up to a place, and how much room they have; pixels. */
export interface BlockWords {
  at: number;
  anchor: 'start' | 'end';
  room: number;
}

/**
 * Words of one camera's blocks, in order: in a block, beside one too narrow for them up to the next, or before the last
 * where the ribbon ends; never over those of another. `width`: of the ribbon.
 */
export function blockWords(blocks: readonly { left: number; wide: number }[], width: number): BlockWords[] {
  const words = blocks.map(({ left, wide }, at): BlockWords => {
    const end = blocks[at + 1]?.left ?? width;
    const from = wide >= WORDS_FROM ? left + 5 : left + wide + FREE;
    return { at: from, anchor: 'start', room: Math.max(0, end - from - FREE) };
  });
  const [lastBlock, last] = [blocks.at(-1), words.at(-1)];
  if (!lastBlock || !last || lastBlock.wide >= WORDS_FROM || last.room >= ROOM_FROM) return words;
  const [blockBefore, before] = [blocks.at(-2), words.at(-2)];
  const gap = lastBlock.left - (blockBefore ? blockBefore.left + blockBefore.wide : 0) - 2 * FREE;
  // Both stand between the last two blocks: each gets half, unless the one before has room in its own.
  const room = Math.max(0, Math.min(MOST_BEFORE, gap / 2));
  if (before) before.room = Math.max(0, lastBlock.left - FREE - room - 2 * FREE - before.at);
  words[words.length - 1] = { at: lastBlock.left - FREE, anchor: 'end', room };
  return words;
}
