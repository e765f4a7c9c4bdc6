import * as messages from '@/language/bench/light';
import type { ReactNode } from 'react';
import type { Span } from '@/core/light/sun/day';
import type { SunLight } from '@/core/light/sun/sunLight';
import { clockText, spanText } from '@/words/lightText';
import { evText } from '@/words/settingText';
import type { ShotEditing } from '../../../data/useShotEditing';
import { sliderStep } from '../../../ui/arrowKeys';
import type { TimeAxis } from '../../../ui/timeAxis';
import { usePointerDrag } from '../../../ui/usePointerDrag';
import { LAY } from './ribbonShape';
import styles from './ribbon.module.css';
import { zoneOf } from '@/formats/placed';
import { changingSun, shiftedBy, startingAt } from './sunEditing';

const NUDGE_MS = 5 * 60_000;

/** The shot as a block on the clock, pulled or nudged to another time of its day. */
export function ShotInTime({
  light,
  evs,
  day,
  axis,
  height,
  editing,
}: {
  light: SunLight;
  /** What the shot crosses, EV. */
  evs: { evMin: number; evMax: number };
  day: Span;
  axis: TimeAxis;
  height: number;
  editing: ShotEditing;
}): ReactNode {
  const zone = zoneOf(light);
  const fromMs = Date.parse(light.from);
  const toMs = Date.parse(light.to);
  const block = axis.between({ fromMs, toMs });
  const move = (to: number): void => {
    const start = Math.min(
      day.toMs - (toMs - fromMs),
      Math.max(day.fromMs, Math.round(to / NUDGE_MS) * NUDGE_MS),
    );
    if (start !== fromMs) editing.preview(messages.moveTheShotInTime, changingSun(startingAt(start)));
  };
  // What is held is where the shot began when it was taken.
  const { grip } = usePointerDrag<number, number>(axis.at, {
    pull: ({ held, from, to }) => move(held + to - from),
    drop: () => editing.commit(messages.moveTheShotInTime),
  });
  return (
    <g
      role="slider"
      tabIndex={0}
      className={styles.block}
      aria-label={messages.theShotInTime}
      aria-valuemin={0}
      aria-valuemax={Math.round((day.toMs - day.fromMs) / 60_000)}
      aria-valuenow={Math.round((fromMs - day.fromMs) / 60_000)}
      aria-valuetext={messages.lightTo({
        fromMs: spanText(fromMs, toMs, zone),
        evMin: evText(evs.evMin),
        evMax: evText(evs.evMax),
      })}
      onKeyDown={(event) => {
        const step = sliderStep(event, 6);
        if (step !== null)
          editing.preview(messages.moveTheShotInTime, changingSun(shiftedBy(step, NUDGE_MS, day)));
      }}
      {...grip(fromMs)}
    >
      <rect
        x={block.x - Math.max(0, 22 - block.width / 2)}
        width={Math.max(44, block.width)}
        y={LAY.plotTop}
        height={height - LAY.plotTop - 20}
        fill="transparent"
      />
      <rect
        x={block.x}
        width={Math.max(3, block.width)}
        y={LAY.plotTop}
        height={height - LAY.plotTop - 22}
        className={styles.shot}
      />
      <rect
        x={block.x}
        width={Math.max(3, block.width)}
        y={LAY.plotTop - 3}
        height={5}
        className={styles.shotHead}
      />
      <text
        x={block.x + Math.max(3, block.width) / 2}
        y={LAY.plotTop - 8}
        textAnchor="middle"
        className={styles.shotWord}
      >
        {clockText(fromMs, zone)}–{clockText(toMs, zone)}
      </text>
    </g>
  );
}
