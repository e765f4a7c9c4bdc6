import * as messages from '@/language/outing';
import { line } from 'd3-shape';
import type { ReactNode } from 'react';
import { outsOf } from '@/core/day/daySheet';
import type { WorkedCamera } from '@/core/day/workedDay';
import { clockText } from '@/words/lightText';
import { levelText, RESOURCE_LABEL } from '@/words/outingText';
import { fitted } from '../../ui/fitted';
import { WORD } from './dayShape';
import drawing from '../../ui/timeDrawing.module.css';
import styles from './ribbon.module.css';

const ROW = 42;

export function levelsHeight(cameras: number): number {
  return cameras * ROW + 4;
}

/** What each camera has left, running down over the day: card solid, power dashed, heat dotted and rising. */
export function Levels({
  cameras,
  scale,
  left,
  right,
  top,
  zone,
}: {
  cameras: readonly WorkedCamera[];
  scale: (ms: number) => number;
  left: number;
  right: number;
  top: number;
  zone: string;
}): ReactNode {
  return (
    <g role="group" aria-label={messages.levelsOverTheDay}>
      {cameras.map(({ id, profile, sheet }, row) => {
        if (!sheet) return null;
        const { budget } = sheet;
        const y0 = top + row * ROW + ROW - 6;
        const rise = ROW - 12;
        const { card, power, heat } = budget;
        const share = line<{ atMs: number; share: number }>(
          ({ atMs }) => scale(atMs),
          (one) => y0 - rise * Math.max(0, Math.min(1, one.share)),
        );
        const ends = <T extends { atMs: number }>(course: readonly T[]): T[] => {
          const [first, last] = [course[0], course.at(-1)];
          return first && last ? [first, ...course, last] : [];
        };
        const coolest = Math.min(0, ...heat.course.map(({ celsius }) => celsius));
        const limit = profile.heat.shutdownC;
        const warm = line<{ atMs: number; celsius: number }>(
          ({ atMs }) => scale(atMs),
          ({ celsius }) => y0 - (rise * (celsius - coolest)) / (limit - coolest),
        );
        const words = levelText(budget);
        const outs = outsOf(budget);
        const told = outs.map(({ what, atMs }) =>
          messages.outAt({ what: RESOURCE_LABEL[what], atMs: clockText(atMs, zone) }),
        );
        return (
          <g
            key={id}
            role="img"
            aria-label={messages.cardPowerHeat({
              profile: profile.name,
              card: words.card,
              power: words.power,
              heat: words.heat,
              count: told.length > 0 ? `; ${told.join(', ')}` : '',
            })}
          >
            <text x={8} y={y0 - rise / 2 + 4} className={styles.word}>
              {fitted(profile.name, left - 14, WORD)}
              <title>{profile.name}</title>
            </text>
            <line x1={left} x2={right} y1={y0} y2={y0} className={drawing.hair} />
            <line x1={left} x2={right} y1={y0 - rise} y2={y0 - rise} className={styles.limit} />
            <path d={share(ends(card.course)) ?? ''} className={styles.card} />
            <path d={share(ends(power.course)) ?? ''} className={styles.power} />
            <path d={warm(heat.course.slice()) ?? ''} className={styles.heat} />
            {outs.map(({ what, atMs }) => (
              <g key={what} className={styles.out}>
                <path d={`M${scale(atMs) - 5},${y0 - 5}l10,10m0,-10l-10,10`} />
                <text x={scale(atMs) + 8} y={y0 - 4}>
                  {RESOURCE_LABEL[what]} {clockText(atMs, zone)}
                </text>
              </g>
            ))}
            <text x={right} y={y0 - rise / 2 + 4} textAnchor="end" className={styles.levelWord}>
              {fitted(`${words.card} · ${words.power} · ${words.heat}`, right - left - 8, WORD)}
            </text>
          </g>
        );
      })}
    </g>
  );
}
