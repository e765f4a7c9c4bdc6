import * as messages from '@/language/rehearsal';
import type { ReactNode } from 'react';
import type { WorkedDay } from '@/core/day/workedDay';
import type { Fan, Rehearsal } from '@/core/rehearse/rehearse';
import { trimmed } from '@/core/units/format';
import styles from './rehearsal.module.css';
import { pct } from './told';

/** What each camera has left of cards and cells in the evening, and how warm it got, in nine of ten days. */
export function Cameras({ report, day }: { report: Rehearsal; day: WorkedDay }): ReactNode {
  return (
    <section aria-labelledby="left-title">
      <h2 id="left-title">{messages.cameras}</h2>
      <ul className={styles.cameras}>
        {report.cameras.map(({ id, card, power, hottestC }) => {
          const camera = day.camera(id)?.profile;
          if (!camera) return null;
          const bands = [
            { of: messages.cardLeft, fan: card, most: 1, text: leftText(card) },
            { of: messages.powerLeft, fan: power, most: 1, text: leftText(power) },
            { of: messages.hottest, fan: hottestC, most: camera.heat.shutdownC, text: warmText(hottestC) },
          ];
          return (
            <li key={id}>
              <b>{camera.name}</b>
              {bands.map(({ of, fan, most, text }) => (
                <span key={of} className={styles.band}>
                  <span>{of}</span>
                  <Band fan={fan} most={most} label={messages.bandOf({ camera: camera.name, of, text })} />
                  <span className="numerals">{text}</span>
                </span>
              ))}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function leftText({ low, middle, high }: Fan): string {
  return messages.leftIs({ middle: pct(middle), low: pct(low), high: pct(high) });
}

function warmText({ low, middle, high }: Fan): string {
  return messages.warmIs({ middle: trimmed(middle, 0), low: trimmed(low, 0), high: trimmed(high, 0) });
}

const WIDTH = 140;

function Band({
  fan: { low, middle, high },
  most,
  label,
}: {
  fan: Fan;
  most: number;
  label: string;
}): ReactNode {
  const x = (value: number): number => (WIDTH * Math.min(most, Math.max(0, value))) / most;
  return (
    <svg width={WIDTH} height={16} role="img" aria-label={label}>
      <line className={styles.ground} x1={0} x2={WIDTH} y1={12} y2={12} />
      <rect className={styles.often} x={x(low)} width={Math.max(2, x(high) - x(low))} y={3} height={9} />
      <line className={styles.middle} x1={x(middle)} x2={x(middle)} y1={1} y2={14} />
    </svg>
  );
}
