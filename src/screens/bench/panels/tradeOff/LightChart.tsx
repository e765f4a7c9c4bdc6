'use client';

import * as messages from '@/language/bench/tradeOff';
import { Chart, Legend, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import type { ChartData, ChartOptions, Plugin } from 'chart.js';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { Line } from 'react-chartjs-2';
import type { Filter, FilterSetting } from '@/core/filters/kit';
import type { LightRange } from '@/core/light/lightRange';
import type { FilterOverLight, LightTradeOff } from '@/core/compare/tradeOff';
import { tenths } from '@/core/units/format';
import { evText, filterText } from '@/words/settingText';
import { CHART_FACE, hueOf, useChartInk } from '../chartParts';
import styles from './tradeOff.module.css';

Chart.register(Legend, LinearScale, LineElement, PointElement, Tooltip);

/** Lines that share a chart are told apart by their dashes as well. */
const DASHES = [[], [6, 3], [2, 3], [10, 3, 2, 3]];
/** More lines than this are no longer told apart: every other one is left out, never the chosen one. */
const MOST = 8;

/** Loss of the exposure over the light, one line a filter: where a line is low, that filter holds. */
export function LightChart({
  tradeOff: { evs, filters },
  light,
  chosen,
  kit,
}: {
  tradeOff: LightTradeOff;
  light: LightRange;
  chosen: FilterSetting;
  kit: readonly Filter[];
}): ReactNode {
  const ink = useChartInk();
  const shown = useMemo(() => thinned(filters, chosen), [filters, chosen]);
  const data = useMemo<ChartData<'line', { x: number; y: number }[]>>(
    () => ({
      datasets: shown.map(({ filter, loss }, index) => ({
        label: filterText(filter, kit),
        data: loss.map((y, at) => ({ x: evs[at] ?? 0, y })),
        borderColor: filter === chosen || sameFilter(filter, chosen) ? ink.mine : hueOf(index),
        borderWidth: sameFilter(filter, chosen) ? 4 : 1.8,
        borderDash: DASHES[index % DASHES.length] ?? [],
        pointRadius: 0,
      })),
    }),
    [shown, evs, kit, chosen, ink.mine],
  );
  const band = useMemo<Plugin<'line'>>(
    () => ({
      id: 'lightBand',
      beforeDatasetsDraw: ({ ctx, chartArea, scales }) => {
        const x = scales.x;
        if (!x) return;
        const from = x.getPixelForValue(light.evMin);
        const to = x.getPixelForValue(light.evMax);
        ctx.save();
        ctx.fillStyle = '#e0b23c55';
        ctx.fillRect(from, chartArea.top, Math.max(3, to - from), chartArea.bottom - chartArea.top);
        ctx.restore();
      },
    }),
    [light],
  );
  const options = useMemo<ChartOptions<'line'>>(
    () => ({
      animation: false,
      parsing: false,
      responsive: true,
      maintainAspectRatio: false,
      font: { family: CHART_FACE },
      plugins: {
        legend: {
          position: 'bottom',
          labels: { color: ink.text, boxWidth: 30, boxHeight: 2, font: { size: 12 } },
        },
        tooltip: { enabled: false },
      },
      scales: {
        x: {
          type: 'linear',
          min: evs[0] ?? 0,
          max: evs.at(-1) ?? 1,
          ticks: { color: ink.text, stepSize: 1 },
          grid: { color: ink.rule },
          title: { display: true, text: messages.lightEV100, color: ink.text },
        },
        y: {
          min: 0,
          max: 6,
          ticks: { color: ink.text },
          grid: { color: ink.rule },
          title: { display: true, text: messages.lossOfTheExposure, color: ink.text },
        },
      },
    }),
    [ink, evs],
  );
  const told = shown.map(({ filter, windowEvMin, windowEvMax }) =>
    messages.holdsTo({
      filter: filterText(filter, kit),
      windowEvMin: evText(windowEvMin),
      windowEvMax: evText(windowEvMax),
    }),
  );
  return (
    <div className={styles.chart}>
      <Line
        // A chart keeps the plugins it was made with: another light is another chart.
        key={`${light.evMin} ${light.evMax}`}
        data={data}
        options={options}
        plugins={[band]}
        role="img"
        aria-label={messages.whatEachFilterGivesFrom({
          tenths: tenths(evs[0] ?? 0),
          evs: tenths(evs.at(-1) ?? 0),
          told: told.join('; '),
        })}
      />
    </div>
  );
}

function sameFilter(a: FilterSetting, b: FilterSetting): boolean {
  return a.stops === b.stops && a.ids.join() === b.ids.join();
}

function thinned(filters: readonly FilterOverLight[], chosen: FilterSetting): FilterOverLight[] {
  // Settings of a variable filter stand between the fixed ones: its ends are enough.
  const plain = filters.filter(({ filter }) => sameFilter(filter, chosen) || filter.ids.length <= 1);
  const every = Math.max(1, Math.ceil(plain.length / MOST));
  return plain.filter(({ filter }, at) => at % every === 0 || sameFilter(filter, chosen));
}
