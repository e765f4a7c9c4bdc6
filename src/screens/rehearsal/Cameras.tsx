'use client';

import * as messages from '@/language/rehearsal';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useRef } from 'react';
import type { ReactNode } from 'react';
import type { WorkedDay } from '@/core/day/workedDay';
import type { Fan } from '@/core/rehearse/fan';
import type { Rehearsal } from '@/core/rehearse/rehearse';
import { trimmed } from '@/core/units/format';
import { HourLines, timeAxis } from '../ui/timeAxis';
import { useWidth } from '../ui/useWidth';
import styles from './rehearsal.module.css';
import { pct } from './told';

/** What each camera has left of cards and cells over the day, and how warm it gets, in nine of ten days. */
export function Cameras({
  report,
  day,
  zone,
}: {
  report: Rehearsal;
  day: WorkedDay;
  zone: string;
}): ReactNode {
  return (
    <section aria-labelledby="left-title">
      <h2 id="left-title">{messages.cameras}</h2>
      <ul className={styles.cameras}>
        {report.cameras.map(({ id, card, power, hottestC, bands }) => {
          const camera = day.camera(id)?.profile;
          if (!camera) return null;
          const { shutdownC } = camera.heat;
          const lanes = [
            { of: messages.cardLeft, fans: bands.card, ends: [0, 1], text: leftText(card) },
            { of: messages.powerLeft, fans: bands.power, ends: [0, 1], text: leftText(power) },
            {
              of: messages.hottest,
              fans: bands.celsius,
              ends: [Math.min(0, ...bands.celsius.map(({ low }) => low)), shutdownC + 5],
              limit: shutdownC,
              text: warmText(hottestC),
            },
          ];
          return (
            <li key={id}>
              <h3>{camera.name}</h3>
              <div className={styles.lanes}>
                {lanes.map((lane) => (
                  <Lane key={lane.of} {...lane} atMs={bands.atMs} camera={camera.name} zone={zone} />
                ))}
              </div>
            </li>
          );
        })}
      </ul>
      <p className="quiet">{messages.bandsKey}</p>
    </section>
  );
}

function leftText({ low, middle, high }: Fan): string {
  return messages.leftIs({ middle: pct(middle), low: pct(low), high: pct(high) });
}

function warmText({ low, middle, high }: Fan): string {
  return messages.warmIs({ middle: trimmed(middle, 0), low: trimmed(low, 0), high: trimmed(high, 0) });
}

const HEIGHT = 64;
/** Room at either side for half a time, so that the first and the last are whole. */
const LAY = { left: 20, right: 20, top: 4, foot: 18 };
function Lane({
  of,
  fans,
  ends,
  limit,
  text,
  atMs,
  camera,
  zone,
}: {
  of: string;
  fans: readonly Fan[];
  /** Bottom and top of the drawing. */
  ends: readonly number[];
  /** Above it the camera is off. */
  limit?: number;
  text: string;
  atMs: readonly number[];
  camera: string;
  zone: string;
}): ReactNode {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const shown = { fromMs: atMs[0] ?? 0, toMs: atMs.at(-1) ?? 0 };
  const axis = timeAxis(shown, { left: LAY.left, right: width - LAY.right }, frame);
  const y = scaleLinear(ends, [HEIGHT - LAY.foot, LAY.top]).clamp(true);
  const x = (_: Fan, at: number): number => axis.x(atMs[at] ?? 0);
  const band = area<Fan>(
    x,
    ({ low }) => y(low),
    ({ high }) => y(high),
  )([...fans]);
  const middle = line<Fan>(x, (fan) => y(fan.middle))([...fans]);
  return (
    <div className={styles.band}>
      <span>
        {of} <span className="numerals">{text}</span>
      </span>
      <div ref={frame}>
        {width > 0 && (
          <svg width={width} height={HEIGHT} role="img" aria-label={messages.overDay({ camera, of, text })}>
            <HourLines axis={axis} zone={zone} from={LAY.top} to={HEIGHT - LAY.foot} labelY={HEIGHT - 4} />
            <path className={styles.often} d={band ?? ''} />
            <path className={styles.middle} d={middle ?? ''} />
            {limit !== undefined && (
              <line
                className={styles.limit}
                x1={LAY.left}
                x2={width - LAY.right}
                y1={y(limit)}
                y2={y(limit)}
              />
            )}
          </svg>
        )}
      </div>
    </div>
  );
}
