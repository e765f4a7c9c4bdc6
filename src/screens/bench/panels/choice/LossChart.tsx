'use client';

import * as messages from '@/language/bench/choice';
import { BarElement, CategoryScale, Chart, Legend, LinearScale, Tooltip } from 'chart.js';
import type { ChartData, ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { Bar } from 'react-chartjs-2';
import { TERMS } from '@/core/loss/table';
import type { Term } from '@/core/loss/table';
import { tenths } from '@/core/units/format';
import { CHART_FACE, lossLayers, useChartInk } from '../chartParts';

Chart.register(BarElement, CategoryScale, LinearScale, Legend, Tooltip);

export interface LossRow {
  label: string;
  /** Weighted loss by term. */
  loss: Record<Term, number>;
}

/** Loss by term for each school, stacked: what each way of filming costs on this shot, and by what. */
export function LossChart({ rows }: { rows: readonly LossRow[] }): ReactNode {
  const ink = useChartInk();
  const data = useMemo(() => stacked(rows), [rows]);
  const options = useMemo<ChartOptions<'bar'>>(
    () => ({
      indexAxis: 'y',
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      font: { family: CHART_FACE },
      plugins: {
        legend: {
          position: 'bottom',
          labels: { color: ink.text, boxWidth: 14, boxHeight: 12, font: { size: 12 } },
        },
        tooltip: {
          callbacks: { label: ({ dataset, raw }) => `${dataset.label ?? ''} ${tenths(Number(raw))}` },
        },
      },
      scales: {
        x: {
          stacked: true,
          ticks: { color: ink.text },
          grid: { color: ink.rule },
          title: { display: true, text: messages.loss1IsJustNoticeable, color: ink.text },
        },
        y: { stacked: true, ticks: { color: ink.text, font: { size: 13 } }, grid: { display: false } },
      },
    }),
    [ink],
  );
  const heard = rows.map(
    ({ label, loss }) => `${label} ${tenths(TERMS.reduce((sum, term) => sum + loss[term], 0))}`,
  );
  return (
    <div style={{ height: 56 + rows.length * 34 + 60 }}>
      <Bar
        data={data}
        options={options}
        role="img"
        aria-label={messages.lossBySchool({ heard: heard.join(', ') })}
      />
    </div>
  );
}

function stacked(rows: readonly LossRow[]): ChartData<'bar'> {
  const sets = lossLayers(rows.map(({ loss }) => loss)).map(({ label, values, fill, hue }) => ({
    label,
    data: values,
    backgroundColor: fill,
    borderColor: hue,
    borderWidth: 1,
  }));
  return { labels: rows.map(({ label }) => label), datasets: sets };
}
