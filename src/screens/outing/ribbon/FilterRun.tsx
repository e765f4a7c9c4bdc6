import * as messages from '@/language/outing';
import type { ReactNode } from 'react';
import type { WorkedCamera } from '@/core/day/workedDay';
import type { FilterNotation } from '@/words/settingText';
import { wornText } from '@/words/settingText';
import { fitted } from '../../ui/fitted';
import { FILTER } from './dayShape';
import styles from './ribbon.module.css';

/** Along the foot of a camera's lane: which filter it wears from when to when, with a notch where it is changed. */
export function FilterRun({
  camera: { parts, sheet },
  scale,
  top,
  notation,
}: {
  camera: WorkedCamera;
  scale: (ms: number) => number;
  top: number;
  notation: FilterNotation;
}): ReactNode {
  const runs: { fromMs: number; toMs: number; text: string; key: string }[] = [];
  const filterChanges = new Map(
    sheet?.filterChanges.map((filterChange) => [filterChange.partId, filterChange]),
  );
  for (const part of parts) {
    const filter = part.answer?.carried?.settings.filter;
    if (!filter) continue;
    const key = filter.ids.join('+');
    const before = runs.at(-1);
    if (before?.key === key) {
      before.toMs = part.toMs;
      continue;
    }
    const filterChange = filterChanges.get(part.id);
    const text = filter.ids.length === 0 ? messages.bare : wornText(filter.ids, part.brief.filters, notation);
    const fromMs = filterChange ? (filterChange.window.fromMs + filterChange.window.toMs) / 2 : part.fromMs;
    if (before) before.toMs = fromMs;
    runs.push({ fromMs, toMs: part.toMs, text, key });
  }
  return (
    <g aria-hidden>
      {runs.map(({ fromMs, toMs, text }, at) => {
        const left = scale(fromMs) + (at > 0 ? 8 : 2);
        const next = runs[at + 1];
        const room = next ? scale(next.fromMs) - left - 8 : Infinity;
        return (
          <g key={fromMs}>
            <line x1={scale(fromMs)} x2={scale(toMs)} y1={top} y2={top} className={styles.worn} />
            {at > 0 && <path d={`M${scale(fromMs) - 5},${top - 6}h10l-5,8z`} className={styles.swap} />}
            <text x={left} y={top + 11} className={styles.filter}>
              {fitted(text, room, FILTER)}
            </text>
          </g>
        );
      })}
    </g>
  );
}
