import * as messages from '@/language/outing';
import type { ReactNode } from 'react';
import type { WorkedPart } from '@/core/day/workedDay';
import { spanText } from '@/words/lightText';
import { isExposed } from '@/core/day/dayFaults';
import { holdsText } from '@/words/outingText';
import { settingText } from '@/words/settingText';
import type { FilterNotation } from '@/words/settingText';
import { dayPartName } from '@/words/shotName';
import { clipped, LAY, LETTER } from './dayShape';
import styles from './ribbon.module.css';

/** A block narrower than this shows no words, pixels. */
const WORDS_FROM = 46;
/** Room beside a block from which its words stand there, pixels. */
const ROOM_FROM = 70;

/** What one camera films, as a block in its lane; its words stand in it, beside it, or before it where the ribbon ends. */
export function ShotBlock({
  part,
  room,
  isLast,
  left,
  scale,
  top,
  zone,
  notation,
  chosen,
  handlers,
}: {
  part: WorkedPart;
  /** From its left edge to the next block of the camera, pixels. */
  room: number;
  isLast: boolean;
  left: number;
  scale: (ms: number) => number;
  top: number;
  zone: string;
  notation: FilterNotation;
  chosen: boolean;
  handlers: object;
}): ReactNode {
  const wide = Math.max(6, scale(part.toMs) - left);
  // Words stand in the block, beside one too narrow for them, or before it where the ribbon ends.
  const inside = wide >= WORDS_FROM;
  const before = !inside && isLast && room - wide < ROOM_FROM;
  const wordsLeft = inside ? left + 5 : before ? left - 5 : left + wide + 4;
  const letters = before ? 14 : Math.floor((room - (wordsLeft - left) - 4) / LETTER);
  const own = part.answer;
  const settings = own?.carried?.settings;
  const short = settings
    ? (['frameRate', 'shutterSeconds', 'filter'] as const).map((key) =>
        settingText(key, settings, part.brief.filters, notation),
      )
    : [];
  const light = own?.carried ? holdsText(own) : null;
  const kept = own?.carried ? isExposed(own) : false;
  const told =
    own === null
      ? messages.beingWorkedOut
      : light === null
        ? messages.noAnswer
        : `${short.join(', ')}, ${light}`;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${dayPartName(part)}, ${spanText(part.fromMs, part.toMs, zone)}, ${told}`}
      aria-pressed={chosen}
      className={styles.block}
      data-amiss={own !== null && !kept}
      {...handlers}
    >
      <rect x={left - 6} width={wide + 12} y={top + 2} height={LAY.lane - 16} fill="transparent" />
      {part.stretches.map(({ fromMs, toMs }) => (
        <rect
          key={fromMs}
          x={scale(fromMs)}
          width={Math.max(4, scale(toMs) - scale(fromMs))}
          y={top + 4}
          height={LAY.lane - 20}
          className={styles.shot}
        />
      ))}
      {letters > 3 && (
        <g textAnchor={before ? 'end' : 'start'}>
          <text x={wordsLeft} y={top + 17} className={styles.shotWord}>
            {clipped(dayPartName(part), letters)}
          </text>
          <text x={wordsLeft} y={top + 31} className={styles.word}>
            {clipped((light === null || kept ? short : [light, ...short]).join(' · '), letters)}
          </text>
        </g>
      )}
    </g>
  );
}
