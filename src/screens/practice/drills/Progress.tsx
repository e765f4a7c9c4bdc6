'use client';

import * as messages from '@/language/practice/drills';
import { Chart, Legend, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import type { ChartData, ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { Scatter } from 'react-chartjs-2';
import type { Tried } from '@/core/records/practised';
import { tenths } from '@/core/units/format';
import { CHART_FACE, useChartInk } from '../../bench/panels/chartParts';
import { runningMiddle } from './middle';
import styles from './drills.module.css';

Chart.register(PointElement, LineElement, LinearScale, Legend, Tooltip);

const LAST = 10;
/** The chart shows so many, the newest. */
const SHOWN = 200;
/** Fewer make no line. */
const FEWEST = 5;

/** What every drill lost over the best, and the middle of the last ten. */
export function Progress({ tried }: { tried: readonly Tried[] }): ReactNode {
  const ink = useChartInk();
  const first = Math.max(0, tried.length - SHOWN);
  const losses = useMemo(() => tried.slice(first).map(({ loss }) => loss), [tried, first]);
  const middles = useMemo(() => runningMiddle(losses, LAST), [losses]);
  const data = useMemo<ChartData<'scatter'>>(() => {
    const points = (values: readonly number[]): { x: number; y: number }[] =>
      values.map((y, at) => ({ x: first + at + 1, y }));
    return {
      datasets: [
        {
          label: messages.each,
          data: points(losses),
          backgroundColor: ink.text,
          pointRadius: 3,
        },
        {
          label: messages.middle,
          data: points(middles),
          showLine: true,
          borderColor: ink.worked,
          backgroundColor: ink.worked,
          borderWidth: 2,
          pointRadius: 0,
        },
      ],
    };
  }, [losses, middles, first, ink]);
  const options = useMemo<ChartOptions<'scatter'>>(
    () => ({
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      font: { family: CHART_FACE },
      plugins: {
        legend: { position: 'bottom', labels: { color: ink.text, boxWidth: 14, boxHeight: 12 } },
        tooltip: { callbacks: { label: ({ parsed }) => tenths(parsed.y ?? 0) } },
      },
      scales: {
        x: {
          ticks: { color: ink.text, precision: 0 },
          grid: { display: false },
          title: { display: true, text: messages.axisDrill, color: ink.text },
        },
        y: {
          min: 0,
          ticks: { color: ink.text },
          grid: { color: ink.rule },
          title: { display: true, text: messages.axisLoss, color: ink.text },
        },
      },
    }),
    [ink],
  );
  return (
    <section aria-labelledby="progress-title" className={styles.progress}>
      <h2 id="progress-title">{messages.progress}</h2>
      {tried.length < FEWEST ? (
        <p className="quiet">{messages.fewYet({ left: FEWEST - tried.length })}</p>
      ) : (
        <>
          <p className="quiet">{messages.progressLead}</p>
          <div className={styles.chart}>
            <Scatter
              data={data}
              options={options}
              role="img"
              aria-label={messages.chart({ heard: losses.slice(-LAST).map(tenths).join(', ') })}
            />
          </div>
        </>
      )}
    </section>
  );
}
