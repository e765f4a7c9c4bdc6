'use client';

import * as messages from '@/language/bench/tradeOff';
import { Chart, Filler, Legend, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import type { ChartData } from 'chart.js';
import { useEffect, useMemo, useRef } from 'react';
import type { PointerEvent, ReactNode } from 'react';
import { Line } from 'react-chartjs-2';
import type { ShutterPlace } from '@/core/compare/tradeOff';
import { item } from '@/core/units/items';
import { shutterFraction, tenths } from '@/core/units/format';
import { lossLayers, useChartInk } from '../chartParts';
import { pointIn, usePointerDrag } from '../../../ui/usePointerDrag';
import { marksPlugin, optionsOf } from './shutterDrawing';
import type { ChartMark } from './shutterDrawing';
import styles from './tradeOff.module.css';

Chart.register(Filler, Legend, LinearScale, LineElement, PointElement, Tooltip);

/** Loss stacked by term over the shutter, short to the left; the hand drags the shutter along it. */
export function ShutterChart({
  places,
  marks,
  at,
  auto,
  onMove,
  onDone,
}: {
  places: readonly ShutterPlace[];
  marks: readonly ChartMark[];
  at: number;
  auto: boolean;
  onMove: (to: number) => void;
  onDone: () => void;
}): ReactNode {
  const ink = useChartInk();
  const chart = useRef<Chart<'line'> | null>(null);
  const xs = useMemo(() => places.map(({ seconds }) => Math.log2(seconds)), [places]);

  const data = useMemo<ChartData<'line', { x: number; y: number }[]>>(
    () => ({
      datasets: lossLayers(places.map(({ loss }) => loss)).map(({ label, values, fill, hue }, index) => ({
        label,
        data: values.map((y, place) => ({ x: item(xs, place), y })),
        fill: index === 0 ? 'origin' : '-1',
        backgroundColor: fill,
        borderColor: hue,
        borderWidth: 1.5,
        pointRadius: 0,
        pointHitRadius: 0,
      })),
    }),
    [places, xs],
  );

  const laid = useRef({ marks, xs, at, auto, ink });
  useEffect(() => {
    laid.current = { marks, xs, at, auto, ink };
    chart.current?.update('none');
  }, [marks, xs, at, auto, ink]);
  const plugin = useMemo(() => marksPlugin(() => laid.current), []);

  const options = useMemo(
    () => optionsOf(ink, xs, Math.max(...places.map(({ score }) => score))),
    [ink, xs, places],
  );

  const nearest = (event: PointerEvent): number | null => {
    const x = chart.current?.scales.x;
    const point = pointIn(chart.current?.canvas ?? null, event);
    const value = point && x?.getValueForPixel(point.x);
    if (value === null || value === undefined) return null;
    const far = (index: number): number => Math.abs(item(xs, index) - value);
    return xs.reduce((best, _, index) => (far(index) < far(best) ? index : best), 0);
  };
  const move = (to: number | null): void => {
    if (to !== null && to !== at) onMove(to);
  };
  const { grip } = usePointerDrag<null, number>(nearest, { pull: ({ to }) => move(to), drop: onDone });
  const held = grip(null);
  const here = item(places, at);
  return (
    <div
      className={styles.chart}
      {...held}
      onPointerDown={(event) => {
        held.onPointerDown(event);
        move(nearest(event));
      }}
    >
      <Line
        ref={(made) => {
          chart.current = made ?? null;
        }}
        data={data}
        options={options}
        plugins={[plugin]}
        role="img"
        aria-label={messages.lossOverTheShutterAt({
          seconds: shutterFraction(here.seconds),
          score: tenths(here.score),
          seconds2: shutterFraction(item(places, 0).seconds),
          score2: tenths(item(places, 0).score),
          seconds3: shutterFraction(item(places, places.length - 1).seconds),
          score3: tenths(item(places, places.length - 1).score),
        })}
      />
    </div>
  );
}
