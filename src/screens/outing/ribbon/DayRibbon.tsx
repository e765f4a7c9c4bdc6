'use client';

import * as messages from '@/language/outing';
import { useRef } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import { minutesOf } from '@/core/records/entries';
import type { OutingDay } from '@/core/records/outing';
import { usePreference } from '../../data/repository';
import { acrossStep } from '../../ui/arrowKeys';
import { item } from '@/core/units/items';
import { fitted } from '../../ui/fitted';
import { Phrase } from '../../ui/Phrase';
import { timeAxis } from '../../ui/timeAxis';
import { usePointerDrag } from '../../ui/usePointerDrag';
import { useWidth } from '../../ui/useWidth';
import type { DayEditing } from '../useDayEditing';
import { DayLight, Patterns } from './DayLight';
import { blockWords, busyStretch, LANE, LAY } from './dayShape';
import { FilterRun } from './FilterRun';
import { Levels, levelsHeight } from './Levels';
import { PauseBlock } from './PauseBlock';
import drawing from '../../ui/timeDrawing.module.css';
import type { OpenOuting } from '../openOuting';
import styles from './ribbon.module.css';
import { ShotBlock } from './ShotBlock';

/** By what an entry is moved, minutes. */
const NUDGE = 5;
const MINUTE_MS = 60_000;

/**
 * The day as one band over the clock: the light, what each camera films, when hands are free, which filter is worn when,
 * and card, power and heat running down below. Blocks are moved by hand or by arrow keys.
 */
export function DayRibbon(
  props: OpenOuting & {
    chosen: string | null;
    onChoose: (entryId: string) => void;
  },
): ReactNode {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const { parts, pauses } = props.worked.day;
  const empty = parts.length + pauses.length === 0;
  // The frame is measured from the start, also while there is nothing to draw in it.
  return (
    <div ref={frame} className={drawing.ribbon} data-working={props.worked.working}>
      {empty && <p className="quiet">{messages.nothingOnThisDayYetTitle}</p>}
      {!empty && width > 0 && <Drawing {...props} frame={frame} width={width} />}
      {!empty && (
        <p className={styles.legend} aria-hidden>
          <Phrase
            of={messages.belowCardPowerLeftHeat}
            parts={[
              <span className={styles.cardKey} />,
              <span className={styles.powerKey} />,
              <span className={styles.heatKey} />,
            ]}
          />
        </p>
      )}
    </div>
  );
}

function Drawing({
  outing,
  day,
  worked: { day: schedule },
  editing,
  chosen,
  onChoose,
  frame,
  width,
}: Parameters<typeof DayRibbon>[0] & {
  frame: { current: HTMLDivElement | null };
  width: number;
}): ReactNode {
  const [notation] = usePreference('filterNotation');
  const { cameras, sheet } = schedule;
  const axis = timeAxis(busyStretch(schedule), { left: LAY.left, right: width - LAY.right }, frame);
  const { x } = axis;
  const lanes = { top: LAY.axis + LAY.light + LAY.gap, bottom: 0 };
  lanes.bottom = lanes.top + cameras.length * LAY.lane;
  const levelsTop = lanes.bottom + LAY.pauses;
  const height = levelsTop + (sheet ? levelsHeight(cameras.length) : 0) + 6;
  const { by, handlers } = useMoving({ day, editing, onChoose, at: axis.at });
  return (
    <svg width={width} height={height} role="group" aria-label={messages.ribbonOfTheDay}>
      <Patterns />
      <DayLight schedule={schedule} axis={axis} zone={outing.zone} by={by} lanes={lanes} height={height} />
      {cameras.map((camera, lane) => {
        const top = lanes.top + lane * LAY.lane;
        const { name } = camera.profile;
        const blocks = camera.parts.map((part) => {
          const left = x(part.fromMs + by(part.entryId));
          return { left, wide: Math.max(6, x(part.toMs + by(part.entryId)) - left) };
        });
        const words = blockWords(blocks, width);
        return (
          <g key={camera.id} role="group" aria-label={name}>
            <text x={8} y={top + 22} className={drawing.lane}>
              {fitted(name, LAY.left - 14, LANE)}
              <title>{name}</title>
            </text>
            <line x1={0} x2={width} y1={top + LAY.lane} y2={top + LAY.lane} className={drawing.hair} />
            {camera.parts.map((part, at) => (
              <ShotBlock
                key={part.id}
                part={part}
                words={item(words, at)}
                left={item(blocks, at).left}
                scale={(ms) => x(ms + by(part.entryId))}
                top={top}
                zone={outing.zone}
                notation={notation}
                chosen={chosen === part.entryId}
                handlers={handlers(part.entryId)}
              />
            ))}
            {sheet && <FilterRun camera={camera} scale={x} top={top + LAY.lane - 13} notation={notation} />}
          </g>
        );
      })}
      {schedule.pauses.map((pause) => (
        <PauseBlock
          key={pause.id}
          pause={pause}
          left={x(pause.fromMs + by(pause.id))}
          wide={Math.max(6, x(pause.toMs) - x(pause.fromMs))}
          top={lanes.bottom}
          zone={outing.zone}
          chosen={chosen === pause.id}
          handlers={handlers(pause.id)}
        />
      ))}
      {sheet && (
        <Levels
          cameras={cameras}
          scale={x}
          left={LAY.left}
          right={width - LAY.right}
          top={levelsTop}
          zone={outing.zone}
        />
      )}
    </svg>
  );
}

/** Entries are pulled along the axis, or nudged by arrow keys; a press chooses one. */
function useMoving({
  day,
  editing,
  onChoose,
  at,
}: {
  day: OutingDay;
  editing: DayEditing;
  onChoose: (entryId: string) => void;
  at: Parameters<typeof usePointerDrag<string, number>>[0];
}): { by: (entryId: string) => number; handlers: (entryId: string) => object } {
  const minutesBy = ({ from, to }: { from: number; to: number }): number =>
    Math.round((to - from) / MINUTE_MS / NUDGE) * NUDGE;
  const move = (entryId: string, byMin: number): void => {
    const entry = day.entries.find(({ id }) => id === entryId);
    if (entry) void editing.moveTo(entryId, minutesOf(entry.at) + byMin);
  };
  const { drag, grip } = usePointerDrag<string, number>(at, {
    drop: ({ held, ...pulled }) => {
      const byMin = minutesBy(pulled);
      if (byMin === 0) onChoose(held);
      else move(held, byMin);
    },
    cancel: () => undefined,
  });
  const keys = (event: KeyboardEvent, entryId: string): void => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onChoose(entryId);
      return;
    }
    const step = acrossStep(event, 6);
    if (step !== null) move(entryId, step * NUDGE);
  };
  return {
    by: (entryId) => (drag?.held === entryId ? minutesBy(drag) * MINUTE_MS : 0),
    handlers: (entryId) => ({
      ...grip(entryId),
      onKeyDown: (event: KeyboardEvent) => keys(event, entryId),
    }),
  };
}
