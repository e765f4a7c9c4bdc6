'use client';

import * as messages from '@/language/bench/tradeOff';
import { Chart, Filler, Legend, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import type { ChartData, ChartOptions, Plugin } from 'chart.js';
import { useEffect, useMemo, useRef } from 'react';
import type { PointerEvent, ReactNode } from 'react';
import { Line } from 'react-chartjs-2';
import type { ShutterMark, ShutterPlace } from '@/core/compare/tradeOff';
import { item } from '@/core/units/items';
import { shutterFraction, tenths } from '@/core/units/format';
import { CHART_FACE, lossLayers, useChartInk } from '../chartParts';
import styles from './tradeOff.module.css';

Chart.register(Filler, Legend, LinearScale, LineElement, PointElement, Tooltip);

export interface ChartMark {
  seconds: number;
  code: ShutterMark['what']['code'];
  text: string;
}

/** How each kind of mark is ruled, so that it is known without its colour. */
const DASHES: Record<ChartMark['code'], number[]> = {
  angle: [],
  shakeFloor: [8, 4],
  flickerSafe: [2, 3],
  filter: [1, 6],
};
const LETTER: Record<ChartMark['code'], string> = messages.letter;

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
  const dragging = useRef(false);
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

  // A chart keeps the plugins it was made with: this one reads what it draws when it draws.
  const laid = useRef({ marks, xs, at, auto, ink });
  useEffect(() => {
    laid.current = { marks, xs, at, auto, ink };
    chart.current?.update('none');
  }, [marks, xs, at, auto, ink]);
  const plugin = useMemo<Plugin<'line'>>(
    () => ({
      id: 'shutterMarks',
      afterDatasetsDraw: ({ ctx, chartArea, scales }) => {
        const x = scales.x;
        if (!x) return;
        const { marks, xs, at, auto, ink } = laid.current;
        ctx.save();
        ctx.font = `12px ${getComputedStyle(document.documentElement).getPropertyValue('--text')}`;
        ctx.textAlign = 'center';
        let lastLabel = -Infinity;
        for (const mark of [...marks].sort((a, b) => a.seconds - b.seconds)) {
          const px = x.getPixelForValue(Math.log2(mark.seconds));
          ctx.strokeStyle = ink.text;
          ctx.lineWidth = mark.code === 'angle' ? 1.5 : 1;
          ctx.setLineDash(DASHES[mark.code]);
          ctx.beginPath();
          ctx.moveTo(px, chartArea.top);
          ctx.lineTo(px, chartArea.bottom);
          ctx.stroke();
          if (mark.code === 'filter' || px - lastLabel < 34) continue;
          ctx.fillStyle = ink.text;
          ctx.fillText(LETTER[mark.code], px, chartArea.top - 5);
          lastLabel = px;
        }
        const here = x.getPixelForValue(item(xs, at));
        ctx.setLineDash(auto ? [5, 5] : []);
        ctx.strokeStyle = ink.mine;
        ctx.fillStyle = ink.mine;
        ctx.lineWidth = 3;
        ctx.beginPath();
        ctx.moveTo(here, chartArea.top);
        ctx.lineTo(here, chartArea.bottom);
        ctx.stroke();
        ctx.beginPath();
        ctx.moveTo(here - 9, chartArea.bottom + 13);
        ctx.lineTo(here + 9, chartArea.bottom + 13);
        ctx.lineTo(here, chartArea.bottom);
        ctx.fill();
        ctx.restore();
      },
    }),
    [],
  );

  const options = useMemo<ChartOptions<'line'>>(
    () => ({
      animation: false,
      parsing: false,
      responsive: true,
      maintainAspectRatio: false,
      events: [],
      font: { family: CHART_FACE },
      layout: { padding: { top: 16, right: 18 } },
      plugins: {
        legend: {
          position: 'bottom',
          labels: { color: ink.text, boxWidth: 14, boxHeight: 12, font: { size: 12 } },
        },
        tooltip: { enabled: false },
      },
      scales: {
        x: {
          type: 'linear',
          min: Math.min(...xs),
          max: Math.max(...xs),
          ticks: {
            color: ink.text,
            stepSize: 1,
            callback: (value) => shutterFraction(2 ** Number(value)),
          },
          afterBuildTicks: (axis) => {
            // Whole stops from the longest shutter down, as the stop rule counts.
            axis.ticks = wholeStops(axis.min, axis.max).map((value) => ({ value }));
          },
          grid: { color: ink.rule },
          title: { display: true, text: messages.shutterSeconds, color: ink.text },
        },
        y: {
          stacked: true,
          min: 0,
          suggestedMax: 4,
          max: Math.min(16, Math.ceil(Math.max(...places.map(({ score }) => score)))),
          ticks: { color: ink.text },
          grid: { color: ink.rule },
          title: { display: true, text: messages.loss1IsJustNoticeable, color: ink.text },
        },
      },
    }),
    [ink, xs, places],
  );

  const pointed = (event: PointerEvent<HTMLDivElement>): void => {
    const x = chart.current?.scales.x;
    const box = chart.current?.canvas.getBoundingClientRect();
    if (!x || !box) return;
    const value = x.getValueForPixel(event.clientX - box.left) ?? 0;
    let best = 0;
    xs.forEach((one, index) => {
      if (Math.abs(one - value) < Math.abs(item(xs, best) - value)) best = index;
    });
    if (best !== at) onMove(best);
  };
  const here = item(places, at);
  return (
    <div
      className={styles.chart}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        dragging.current = true;
        pointed(event);
      }}
      onPointerMove={(event) => {
        if (dragging.current) pointed(event);
      }}
      onPointerUp={() => {
        dragging.current = false;
        onDone();
      }}
      onPointerCancel={() => {
        dragging.current = false;
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

function wholeStops(min: number, max: number): number[] {
  const stops: number[] = [];
  for (let value = max; value >= min - 1e-9; value--) stops.push(value);
  return stops;
}
