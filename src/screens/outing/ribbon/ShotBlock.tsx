import * as messages from '@/language/outing';
import type { ReactNode } from 'react';
import type { WorkedPart } from '@/core/day/workedDay';
import { spanText } from '@/words/lightText';
import { isExposed } from '@/core/day/dayFaults';
import { holdsText } from '@/words/outingText';
import { settingText } from '@/words/settingText';
import type { FilterNotation } from '@/words/settingText';
import { dayPartName } from '@/words/shotName';
import { fitted } from '../../ui/fitted';
import { BOLD, LAY, WORD } from './dayShape';
import type { BlockWords } from './dayShape';
import styles from './ribbon.module.css';

/** What one camera films, as a block in its lane; its words stand in it, beside it, or before it where the ribbon ends. */
export function ShotBlock({
  part,
  words,
  left,
  scale,
  top,
  zone,
  notation,
  chosen,
  handlers,
}: {
  part: WorkedPart;
  words: BlockWords;
  left: number;
  scale: (ms: number) => number;
  top: number;
  zone: string;
  notation: FilterNotation;
  chosen: boolean;
  handlers: object;
}): ReactNode {
  const wide = Math.max(6, scale(part.toMs) - left);
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
      <g textAnchor={words.anchor}>
        <text x={words.at} y={top + 17} className={styles.shotWord}>
          {fitted(dayPartName(part), words.room, BOLD)}
        </text>
        <text x={words.at} y={top + 31} className={styles.word}>
          {fitted((light === null || kept ? short : [light, ...short]).join(' · '), words.room, WORD)}
        </text>
      </g>
    </g>
  );
}
