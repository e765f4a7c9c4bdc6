'use client';

import * as messages from '@/language/bench/light';
import { scaleLinear } from 'd3-scale';
import { useMemo, useRef } from 'react';
import type { ReactNode } from 'react';
import { wearable } from '@/core/filters/bag';
import { filterSettings } from '@/core/filters/kit';
import { lanesOf } from '@/core/filters/filterPlan';
import type { FilterLane } from '@/core/filters/filterPlan';
import { trimmed } from '@/core/units/format';
import { dayLightOf } from '@/core/light/sun/day';
import type { SunLight } from '@/core/light/sun/sunLight';
import type { Solution } from '@/core/answer/solve';
import { dayAt } from '@/formats/clock';
import { evText, filterText } from '@/words/settingText';
import { usePreference } from '../../../data/repository';
import type { ShotEditing } from '../../../data/useShotEditing';
import { useWidth } from '../../../ui/useWidth';
import { bandPath } from '../../../ui/bandPath';
import { HourLines, timeAxis } from '../../../ui/timeAxis';
import { holdingWindow, labelRoom, LAY, planSamples, shownSpan } from './ribbonShape';
import { FilterLanes } from './FilterLanes';
import { RibbonPatterns, RibbonSun } from './RibbonSun';
import { ShotInTime } from './ShotInTime';
import drawing from '../../../ui/timeDrawing.module.css';
import styles from './ribbon.module.css';
import { zoneOf } from '@/formats/placed';

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
  const zone = zoneOf(light);
  const fromMs = Date.parse(light.from);
  const toMs = Date.parse(light.to);
  const { fromMs: dayFrom } = dayAt(fromMs, zone);
  const day = useMemo(() => dayAt(dayFrom, zone), [dayFrom, zone]);
  const told = useMemo(() => dayLightOf(light, day), [light, day]);
  const shown = shownSpan(day, told.spans, { fromMs, toMs });

  const bare = holdingWindow(solution);
  const { brief } = solution.space;
  const filters = useMemo(() => filterSettings(wearable(brief)), [brief]);
  const lanes = useMemo(() => lanesOf(planSamples(told.samples), filters, bare), [told, filters, bare]);

  const name = (ids: readonly string[], stops: number): string =>
    filterText({ ids, stops }, brief.filters, notation);

  const laneName = ({ ids, stops: [least = 0, ...more] }: FilterLane): string => {
    const most = more.at(-1);
    return most === undefined ? name(ids, least) : `${name(ids, least)}–${trimmed(most, 1)}`;
  };

  const left = labelRoom(lanes.map(laneName));
  const axis = timeAxis(shown, { left, right: width - LAY.right }, frame);
  const { x, between } = axis;
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
  return (
    <div ref={frame} className={styles.ribbon}>
      {width > 0 && (
        <svg width={width} height={height} role="group" aria-label={messages.ribbonTheLightOfThe}>
          <RibbonPatterns />
          <g aria-hidden>
            {y.ticks(Math.min(evTop - evBottom, 8)).map((ev) => (
              <g key={ev} transform={`translate(0,${y(ev)})`}>
                <line x1={left} x2={width - LAY.right} className={drawing.hair} />
                <text x={left - 8} dy="0.35em" textAnchor="end" className={drawing.number}>
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
            <RibbonSun spans={told.spans} axis={axis} zone={zone} left={left} />
            <FilterLanes
              lanes={lanes}
              chosen={solution.settings.filter.ids}
              left={left}
              right={width - LAY.right}
              nameOf={laneName}
              between={between}
            />
            <HourLines axis={axis} zone={zone} from={LAY.plotBottom} to={height - 20} labelY={height - 6} />
          </g>
          <ShotInTime
            light={light}
            evs={solution.space.light}
            day={day}
            axis={axis}
            height={height}
            editing={editing}
          />
        </svg>
      )}
    </div>
  );
}
