'use client';

import * as messages from '@/language/outing';
import { Phrase } from '../ui/Phrase';
import { scaleLinear } from 'd3-scale';
import { useMemo, useRef, useState } from 'react';
import type { KeyboardEvent, PointerEvent, ReactNode } from 'react';
import type { WorkedPart } from '@/core/day/workedDay';
import { evRangeOf } from '@/core/light/lightRange';
import { dayLightOf } from '@/core/light/sun/day';
import type { SunLight } from '@/core/light/sun/sunLight';
import { minutesOf } from '@/core/records/entries';
import type { Outing, OutingDay } from '@/core/records/outing';
import { without } from '@/core/units/without';
import { wholeHours } from '@/formats/clock';
import { clockText, spanText } from '@/words/lightText';
import { settingText } from '@/words/settingText';
import type { FilterNotation } from '@/words/settingText';
import { holds, holdsText } from '@/words/outingText';
import { bandPath } from '../bench/panels/light/ribbonShape';
import { usePreference } from '../data/repository';
import type { DayAtWork } from '../data/workedDay';
import { useWidth } from '../ui/useWidth';
import { FilterRun } from './FilterRun';
import { Levels, levelsHeight } from './Levels';
import { cutTo } from '../ui/cutTo';
import styles from './ribbon.module.css';
import type { DayEditing } from './useDayEditing';

/** Where things stand on the day's ribbon, CSS pixels. */
const LAY = { left: 92, right: 20, axis: 20, light: 86, lane: 52, pauses: 24 } as const;
const NUDGE = 5;
const MINUTE_MS = 60_000;
/** A block narrower than this shows no words, pixels. */
const WORDS_FROM = 46;
/** Room beside a block from which its words stand there, pixels. */
const ROOM_FROM = 70;
const LETTER = 6.6;

/**
 * The day as one band over the clock: the light, what each camera films, when hands are free, which filter is worn when,
 * and card, power and heat running down below. Blocks are moved by hand or by arrow keys.
 */
export function DayRibbon({
  outing,
  day,
  worked,
  editing,
  chosen,
  onChoose,
}: {
  outing: Outing;
  day: OutingDay;
  worked: DayAtWork;
  editing: DayEditing;
  chosen: string | null;
  onChoose: (entryId: string) => void;
}): ReactNode {
  const { day: schedule } = worked;
  const { cameras, sheet } = schedule;
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const [notation] = usePreference('filterNotation');
  const [drag, setDrag] = useState<{ entryId: string; grabMs: number; byMin: number } | null>(null);
  const light = useMemo(() => {
    const sun = openSunOf(schedule.parts);
    return sun ? dayLightOf(sun, { fromMs: schedule.fromMs, toMs: schedule.toMs }) : null;
  }, [schedule]);
  const all = [...schedule.parts, ...schedule.pauses];
  // The frame is measured from the start, also while there is nothing to draw in it.
  if (all.length === 0)
    return (
      <div ref={frame} className={styles.ribbon}>
        <p className="quiet">{messages.nothingOnThisDayYetTitle}</p>
      </div>
    );
  const shown = {
    fromMs: Math.max(schedule.fromMs, Math.min(...all.map(({ fromMs }) => fromMs)) - 30 * MINUTE_MS),
    toMs: Math.min(schedule.toMs, Math.max(...all.map(({ toMs }) => toMs)) + 30 * MINUTE_MS),
  };
  const x = scaleLinear([shown.fromMs, shown.toMs], [LAY.left, Math.max(LAY.left + 1, width - LAY.right)]);
  const lanesTop = LAY.axis + LAY.light + 8;
  const lanesBottom = lanesTop + cameras.length * LAY.lane;
  const levelsTop = lanesBottom + LAY.pauses;
  const height = levelsTop + (sheet ? levelsHeight(cameras.length) : 0) + 6;
  const samples = (light?.samples ?? []).filter(({ atMs }) => atMs >= shown.fromMs && atMs <= shown.toMs);
  const ranges = schedule.parts.map((part) => evRangeOf(part.brief.light));
  const evTop = Math.ceil(
    Math.max(8, ...samples.map(({ evHigh }) => evHigh), ...ranges.map(({ evMax }) => evMax)) + 0.3,
  );
  const evBottom = Math.floor(Math.min(...ranges.map(({ evMin }) => evMin)) - 1);
  const y = scaleLinear([evBottom, evTop], [LAY.axis + LAY.light, LAY.axis + 4]).clamp(true);
  const hours = wholeHours(shown, outing.zone);
  const every = Math.max(1, Math.ceil((hours.length * 46) / Math.max(1, width - LAY.left)));

  const atPointer = (event: PointerEvent): number =>
    x.invert(event.clientX - (frame.current?.getBoundingClientRect().left ?? 0));
  const grab = (event: PointerEvent<SVGGElement>, entryId: string): void => {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    setDrag({ entryId, grabMs: atPointer(event), byMin: 0 });
  };
  const pull = (event: PointerEvent): void => {
    if (!drag) return;
    const byMin = Math.round((atPointer(event) - drag.grabMs) / MINUTE_MS / NUDGE) * NUDGE;
    if (byMin !== drag.byMin) setDrag({ ...drag, byMin });
  };
  const drop = (): void => {
    if (!drag) return;
    const entry = day.entries.find(({ id }) => id === drag.entryId);
    setDrag(null);
    if (entry && drag.byMin !== 0) void editing.moveTo(entry.id, minutesOf(entry.at) + drag.byMin);
    else onChoose(drag.entryId);
  };
  const keys = (event: KeyboardEvent, entryId: string): void => {
    const entry = day.entries.find(({ id }) => id === entryId);
    if (!entry) return;
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onChoose(entryId);
      return;
    }
    const way = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (way === undefined) return;
    event.preventDefault();
    void editing.moveTo(entryId, minutesOf(entry.at) + way * NUDGE * (event.shiftKey ? 6 : 1));
  };
  const by = (entryId: string): number => (drag?.entryId === entryId ? drag.byMin * MINUTE_MS : 0);
  const handlers = (entryId: string): object => ({
    onPointerDown: (event: PointerEvent<SVGGElement>) => grab(event, entryId),
    onPointerMove: pull,
    onPointerUp: drop,
    onPointerCancel: () => setDrag(null),
    onKeyDown: (event: KeyboardEvent) => keys(event, entryId),
  });

  return (
    <div ref={frame} className={styles.ribbon} data-working={worked.working}>
      {width > 0 && (
        <svg width={width} height={height} role="group" aria-label={messages.ribbonOfTheDay}>
          <Patterns />
          <g aria-hidden>
            {light?.spans.golden.map((span) => (
              <rect
                key={span.fromMs}
                x={x(Math.max(span.fromMs, shown.fromMs))}
                width={Math.max(
                  0,
                  x(Math.min(span.toMs, shown.toMs)) - x(Math.max(span.fromMs, shown.fromMs)),
                )}
                y={LAY.axis}
                height={LAY.light}
                fill="url(#day-golden)"
              />
            ))}
            {schedule.pauses.map((pause) => (
              <rect
                key={pause.id}
                x={x(pause.fromMs + by(pause.id))}
                width={Math.max(2, x(pause.toMs) - x(pause.fromMs))}
                y={lanesTop}
                height={lanesBottom - lanesTop}
                fill={`url(#day-${pause.kind})`}
              />
            ))}
            {hours.map((hour, at) => (
              <g key={hour}>
                <line x1={x(hour)} x2={x(hour)} y1={LAY.axis} y2={height - 4} className={styles.hair} />
                {at % every === 0 && (
                  <text x={x(hour)} y={13} textAnchor="middle" className={styles.number}>
                    {clockText(hour, outing.zone)}
                  </text>
                )}
              </g>
            ))}
            {y.ticks(4).map((ev) => (
              <text key={ev} x={LAY.left - 8} y={y(ev) + 4} textAnchor="end" className={styles.number}>
                {messages.ev({ ev })}
              </text>
            ))}
            {light && (
              <>
                <path
                  d={bandPath(
                    samples.map(({ atMs, evLow, evHigh, errorStops }) => ({
                      x: x(atMs),
                      low: y(evLow - errorStops),
                      high: y(evHigh + errorStops),
                    })),
                  )}
                  className={styles.unsure}
                />
                <path
                  d={bandPath(
                    samples.map(({ atMs, evLow, evHigh }) => ({
                      x: x(atMs),
                      low: y(evLow),
                      high: y(evHigh),
                    })),
                  )}
                  className={styles.light}
                />
              </>
            )}
            {schedule.parts.map((part, at) => {
              const range = ranges[at];
              return range ? (
                <rect
                  key={part.id}
                  x={x(part.fromMs + by(part.entryId))}
                  width={Math.max(3, x(part.toMs) - x(part.fromMs))}
                  y={y(range.evMax)}
                  height={Math.max(3, y(range.evMin) - y(range.evMax))}
                  className={styles.shotLight}
                />
              ) : null;
            })}
          </g>
          {cameras.map((camera, lane) => {
            const top = lanesTop + lane * LAY.lane;
            const { name } = camera.profile;
            return (
              <g key={camera.id} role="group" aria-label={name}>
                <text x={8} y={top + 22} className={styles.lane}>
                  {cutTo(name, LAY.left - 8)}
                  <title>{name}</title>
                </text>
                <line x1={0} x2={width} y1={top + LAY.lane} y2={top + LAY.lane} className={styles.hair} />
                {camera.parts.map((part, at, own) => {
                  const next = own[at + 1];
                  return (
                    <Block
                      key={part.id}
                      part={part}
                      isLast={!next}
                      room={(next ? x(next.fromMs) : width) - x(part.fromMs)}
                      left={x(part.fromMs + by(part.entryId))}
                      scale={(ms) => x(ms + by(part.entryId))}
                      top={top}
                      zone={outing.zone}
                      notation={notation}
                      chosen={chosen === part.entryId}
                      handlers={handlers(part.entryId)}
                    />
                  );
                })}
                {sheet && (
                  <FilterRun
                    camera={camera}
                    scale={(ms) => x(ms)}
                    top={top + LAY.lane - 13}
                    notation={notation}
                  />
                )}
              </g>
            );
          })}
          {schedule.pauses.map((pause) => {
            const left = x(pause.fromMs + by(pause.id));
            const wide = Math.max(6, x(pause.toMs) - x(pause.fromMs));
            const letters = Math.floor(wide / LETTER);
            return (
              <g
                key={pause.id}
                role="button"
                tabIndex={0}
                aria-label={`${pause.kind === 'break' ? messages.breakWord : messages.travel}: ${pause.name}, ${spanText(pause.fromMs, pause.toMs, outing.zone)}`}
                aria-pressed={chosen === pause.id}
                className={styles.pause}
                {...handlers(pause.id)}
              >
                <rect
                  x={left}
                  width={wide}
                  y={lanesBottom + 2}
                  height={LAY.pauses - 6}
                  className={styles.pauseBar}
                  data-kind={pause.kind}
                />
                {letters > 3 && (
                  <text x={left + 4} y={lanesBottom + 15} className={styles.word}>
                    {pause.name.length > letters ? `${pause.name.slice(0, letters - 1)}…` : pause.name}
                  </text>
                )}
              </g>
            );
          })}
          {sheet && (
            <Levels
              cameras={cameras}
              scale={(ms) => x(ms)}
              left={LAY.left}
              right={width - LAY.right}
              top={levelsTop}
              zone={outing.zone}
            />
          )}
        </svg>
      )}
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
    </div>
  );
}

/** The light in the open where the day is, whatever way a shot looks; with its horizon where a shot tells one. */
function openSunOf(parts: readonly WorkedPart[]): SunLight | null {
  const suns = parts.flatMap(({ shot }) => (shot.light?.kind === 'sun' ? [shot.light] : []));
  const sun = suns.find(({ horizon }) => horizon !== undefined) ?? suns[0];
  if (!sun) return null;
  return { ...without(sun, 'headingsDeg'), shade: ['open'] };
}

function Patterns(): ReactNode {
  return (
    <defs>
      <pattern id="day-golden" width="5" height="5" patternUnits="userSpaceOnUse">
        <line x1="1" y1="0" x2="1" y2="5" className={styles.golden} />
      </pattern>
      <pattern id="day-break" width="7" height="7" patternUnits="userSpaceOnUse">
        <circle cx="2" cy="2" r="0.9" className={styles.dot} />
      </pattern>
      <pattern
        id="day-travel"
        width="8"
        height="8"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <line x1="0" y1="0" x2="0" y2="8" className={styles.golden} />
      </pattern>
    </defs>
  );
}

function Block({
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
  const kept = own?.carried ? holds(own) : false;
  const told =
    own === null
      ? messages.beingWorkedOut
      : light === null
        ? messages.noAnswer
        : `${short.join(', ')}, ${light}`;
  const clipped = (text: string): string =>
    text.length > letters ? `${text.slice(0, Math.max(0, letters - 1))}…` : text;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${part.name}, ${spanText(part.fromMs, part.toMs, zone)}, ${told}`}
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
            {clipped(part.name)}
          </text>
          <text x={wordsLeft} y={top + 31} className={styles.word}>
            {clipped((light === null || kept ? short : [light, ...short]).join(' · '))}
          </text>
        </g>
      )}
    </g>
  );
}
