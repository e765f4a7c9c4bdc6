import * as messages from '@/language/bench/tradeOff';
import type { ChartOptions, Plugin } from 'chart.js';
import type { ShutterMark } from '@/core/compare/tradeOff';
import { item } from '@/core/units/items';
import { shutterFraction } from '@/core/units/format';
import { CHART_FACE } from '../chartParts';
import type { ChartInk } from '../chartParts';

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

/** What is drawn over the layers: the marks of the shutter, and where it stands. `xs` are log2 of seconds. */
interface Laid {
  marks: readonly ChartMark[];
  xs: readonly number[];
  at: number;
  auto: boolean;
  ink: ChartInk;
}

/** A chart keeps the plugins it was made with: this one reads what it draws when it draws. */
export function marksPlugin(laid: () => Laid): Plugin<'line'> {
  return {
    id: 'shutterMarks',
    afterDatasetsDraw: ({ ctx, chartArea, scales }) => {
      const x = scales.x;
      if (!x) return;
      const { marks, xs, at, auto, ink } = laid();
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
  };
}

/** @param most the greatest loss that is drawn */
export function optionsOf(ink: ChartInk, xs: readonly number[], most: number): ChartOptions<'line'> {
  return {
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
        max: Math.min(16, Math.ceil(most)),
        ticks: { color: ink.text },
        grid: { color: ink.rule },
        title: { display: true, text: messages.loss1IsJustNoticeable, color: ink.text },
      },
    },
  };
}

function wholeStops(min: number, max: number): number[] {
  const stops: number[] = [];
  for (let value = max; value >= min - 1e-9; value--) stops.push(value);
  return stops;
}
