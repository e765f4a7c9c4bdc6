import * as messages from '@/language/outing';
import type { ReactNode } from 'react';
import type { Schedule } from '@/core/day/schedule';
import { spanText } from '@/words/lightText';
import { fitted } from '../../ui/fitted';
import { LAY, WORD } from './dayShape';
import styles from './ribbon.module.css';

/** A break or a way, as a bar under the cameras' lanes. */
export function PauseBlock({
  pause,
  left,
  wide,
  top,
  zone,
  chosen,
  handlers,
}: {
  pause: Schedule['pauses'][number];
  left: number;
  wide: number;
  top: number;
  zone: string;
  chosen: boolean;
  handlers: object;
}): ReactNode {
  const kind = pause.kind === 'break' ? messages.breakWord : messages.travel;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${kind}: ${pause.name}, ${spanText(pause.fromMs, pause.toMs, zone)}`}
      aria-pressed={chosen}
      className={styles.pause}
      {...handlers}
    >
      <rect
        x={left}
        width={wide}
        y={top + 2}
        height={LAY.pauses - 6}
        className={styles.pauseBar}
        data-kind={pause.kind}
      />
      <text x={left + 4} y={top + 15} className={styles.word}>
        {fitted(pause.name, wide - 8, WORD)}
      </text>
    </g>
  );
}
