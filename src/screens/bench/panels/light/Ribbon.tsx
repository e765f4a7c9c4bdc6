'use client';

import * as messages from '@/language/bench/light';
import { scaleLinear } from 'd3-scale';
import { useMemo, useRef, useState } from 'react';
import type { KeyboardEvent, PointerEvent, ReactNode } from 'react';
import { filterSettings } from '@/core/filters/kit';
import { lanesOf } from '@/core/filters/filterPlan';
import type { FilterLane } from '@/core/filters/filterPlan';
import { trimmed } from '@/core/units/format';
import { dayLightOf } from '@/core/light/sun/day';
import type { Span } from '@/core/light/sun/day';
import type { SunLight } from '@/core/light/sun/sunLight';
import type { Solution } from '@/core/answer/solve';
import { dayAt, wholeHours } from '@/formats/clock';
import { clockText, spanText } from '@/words/lightText';
import { evText, filterText } from '@/words/settingText';
import { usePreference } from '../../../data/repository';
import type { ShotEditing } from '../../../data/useShotEditing';
import { useWidth } from '../../../ui/useWidth';
import { bandPath, holdingWindow, labelRoom, LAY, planSamples, shownSpan } from './ribbonShape';
import { FilterLanes } from './FilterLanes';
import styles from './ribbon.module.css';
import { changingSun, shiftedBy, startingAt, zoneOf } from './sunEditing';

const NUDGE_MS = 5 * 60_000;

/**
 * The ribbon of one day at one place: the light over the clock, when the sun is low or hidden, the hours in which each
 * filter keeps the light inside the window of the setting at hand, and the shot as a block to be moved in time.
 */
export function Ribbon({
  light,
  solution,
  editing,
}: {
  light: SunLight;
  solution: Solution;
  editing: ShotEditing;
}): ReactNode {
  const [notation] = usePreference('filterNotation');
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const [drag, setDrag] = useState<{ grabMs: number; fromMs: number } | null>(null);
  const zone = zoneOf(light);
  const fromMs = Date.parse(light.from);
  const toMs = Date.parse(light.to);
  const { fromMs: dayFrom } = dayAt(fromMs, zone);
  const day = useMemo(() => dayAt(dayFrom, zone), [dayFrom, zone]);
  const told = useMemo(() => dayLightOf(light, day), [light, day]);
  const shown = shownSpan(day, told.spans, { fromMs, toMs });

  const bare = holdingWindow(solution);
  const { brief } = solution.space;
  const filters = useMemo(() => filterSettings(brief.filters), [brief.filters]);
  const lanes = useMemo(() => lanesOf(planSamples(told.samples), filters, bare), [told, filters, bare]);

  const name = (ids: readonly string[], stops: number): string =>
    filterText({ ids, stops }, brief.filters, notation);

  const laneName = ({ ids, stops: [least = 0, ...more] }: FilterLane): string => {
    const most = more.at(-1);
    return most === undefined ? name(ids, least) : `${name(ids, least)}–${trimmed(most, 1)}`;
  };

  const left = labelRoom(lanes.map(laneName));
  const x = scaleLinear([shown.fromMs, shown.toMs], [left, Math.max(left + 1, width - LAY.right)]);
  const inside = told.samples.filter(({ atMs }) => atMs >= shown.fromMs && atMs <= shown.toMs);
  const evTop = Math.ceil(Math.max(12, ...inside.map(({ evHigh, errorStops }) => evHigh + errorStops)) + 0.2);
  // Night is cut off where neither this shot nor its window reaches.
  const evBottom = Math.max(
    Math.floor(Math.min(solution.space.light.evMin, solution.exposure.windowEvMin) - 2.5),
    Math.floor(Math.min(8, ...inside.map(({ evLow, errorStops }) => evLow - errorStops))),
  );
  const y = scaleLinear([evBottom, evTop], [LAY.plotBottom, LAY.plotTop]).clamp(true);
  const { windowEvMin } = solution.exposure;
  const windowEvMax = solution.exposure.windowEvMax + solution.candidate.colour.sensor.guardStops;
  const height = LAY.lanes + lanes.length * LAY.lane + 26;
  const between = (span: Span): { x: number; width: number } => {
    const left = Math.max(span.fromMs, shown.fromMs);
    const right = Math.min(span.toMs, shown.toMs);
    return { x: x(left), width: Math.max(0, x(right) - x(left)) };
  };

  const move = (to: number): void => {
    const start = Math.min(
      day.toMs - (toMs - fromMs),
      Math.max(day.fromMs, Math.round(to / NUDGE_MS) * NUDGE_MS),
    );
    if (start !== fromMs) editing.preview(messages.moveTheShotInTime, changingSun(startingAt(start)));
  };
  const at = (event: PointerEvent): number =>
    x.invert(event.clientX - (frame.current?.getBoundingClientRect().left ?? 0));
  const keys = (event: KeyboardEvent): void => {
    const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (way === undefined) return;
    event.preventDefault();
    const steps = way * (event.shiftKey ? 6 : 1);
    editing.preview(messages.moveTheShotInTime, changingSun(shiftedBy(steps, NUDGE_MS, day)));
  };
  const block = between({ fromMs, toMs });
  const hours = wholeHours(shown, zone);
  const every = Math.max(1, Math.ceil((hours.length * 40) / Math.max(1, width - left)));
  return (
    <div ref={frame} className={styles.ribbon}>
      {width > 0 && (
        <svg width={width} height={height} role="group" aria-label={messages.ribbonTheLightOfThe}>
          <defs>
            <pattern id="ribbon-golden" width="5" height="5" patternUnits="userSpaceOnUse">
              <line x1="1" y1="0" x2="1" y2="5" className={styles.golden} />
            </pattern>
            <pattern id="ribbon-blue" width="6" height="6" patternUnits="userSpaceOnUse">
              <circle cx="2" cy="2" r="1" className={styles.blue} />
            </pattern>
            <pattern
              id="ribbon-near"
              width="5"
              height="5"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <line x1="0" y1="0" x2="0" y2="5" className={styles.nearLine} />
            </pattern>
          </defs>
          <g aria-hidden>
            {[
              ...told.spans.golden.map((span) => ({ span, kind: 'golden' })),
              ...told.spans.blue.map((span) => ({ span, kind: 'blue' })),
            ].map(({ span, kind }) => (
              <rect
                key={`${kind}${span.fromMs}`}
                {...between(span)}
                y={LAY.plotTop}
                height={LAY.plotBottom - LAY.plotTop}
                fill={`url(#ribbon-${kind})`}
              />
            ))}
            {told.spans.golden.map((span) => (
              <text
                key={span.fromMs}
                x={between(span).x + between(span).width / 2}
                y={LAY.plotTop - 6}
                textAnchor="middle"
                className={styles.word}
              >
                {between(span).width > 38 ? messages.golden : ''}
              </text>
            ))}
            {y.ticks(Math.min(evTop - evBottom, 8)).map((ev) => (
              <g key={ev} transform={`translate(0,${y(ev)})`}>
                <line x1={left} x2={width - LAY.right} className={styles.hair} />
                <text x={left - 8} dy="0.35em" textAnchor="end" className={styles.number}>
                  {evText(ev).replace('.0', '')}
                </text>
              </g>
            ))}
            <text x={4} y={LAY.plotTop - 6} className={styles.word}>
              {messages.unitEv}
            </text>
            <path
              d={bandPath(
                inside.map((s) => ({
                  x: x(s.atMs),
                  low: y(s.evLow - s.errorStops),
                  high: y(s.evHigh + s.errorStops),
                })),
              )}
              className={styles.unsure}
            />
            <path
              d={bandPath(inside.map((s) => ({ x: x(s.atMs), low: y(s.evMin), high: y(s.evMax) })))}
              className={styles.light}
            />
            <rect
              x={left}
              width={Math.max(0, width - left - LAY.right)}
              y={y(windowEvMax)}
              height={Math.max(0, y(windowEvMin) - y(windowEvMax))}
              className={styles.window}
            />
            <text x={left + 6} y={y(windowEvMax) + 15} className={styles.onPlot}>
              {width < 600 ? messages.window : messages.windowOfTheSetting},{' '}
              {name(solution.settings.filter.ids, solution.settings.filter.stops)}
            </text>
            {told.spans.reached && (
              <g>
                <text x={left - 8} y={LAY.sun + 9} textAnchor="end" className={styles.word}>
                  {messages.sun}
                </text>
                {told.spans.reached.map((span) => (
                  <g key={span.fromMs}>
                    <rect {...between(span)} y={LAY.sun} height={10} className={styles.sun} />
                    <text x={between(span).x - 6} y={LAY.sun + 10} textAnchor="end" className={styles.word}>
                      {clockText(span.fromMs, zone)}
                    </text>
                    <text
                      x={between(span).x + between(span).width + 6}
                      y={LAY.sun + 10}
                      className={styles.word}
                    >
                      {clockText(span.toMs, zone)}
                    </text>
                  </g>
                ))}
              </g>
            )}
            <FilterLanes
              lanes={lanes}
              chosen={solution.settings.filter.ids}
              left={left}
              right={width - LAY.right}
              nameOf={laneName}
              between={between}
            />
            {hours.map((hour, index) => (
              <g key={hour} transform={`translate(${x(hour)},0)`}>
                <line y1={LAY.plotBottom} y2={height - 20} className={styles.hair} />
                {index % every === 0 && (
                  <text y={height - 6} textAnchor="middle" className={styles.number}>
                    {clockText(hour, zone).slice(0, 5)}
                  </text>
                )}
              </g>
            ))}
          </g>
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
              evMin: evText(solution.space.light.evMin),
              evMax: evText(solution.space.light.evMax),
            })}
            onKeyDown={keys}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              setDrag({ grabMs: at(event), fromMs });
            }}
            onPointerMove={(event) => {
              if (drag) move(drag.fromMs + at(event) - drag.grabMs);
            }}
            onPointerUp={() => {
              setDrag(null);
              editing.commit(messages.moveTheShotInTime);
            }}
            onPointerCancel={() => setDrag(null)}
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
        </svg>
      )}
    </div>
  );
}
