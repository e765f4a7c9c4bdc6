import * as messages from '@/language/rehearsal';
import { Button } from 'antd';
import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import type { ReactNode } from 'react';
import type { WorkedDay, WorkedPart } from '@/core/day/workedDay';
import { PAGE_OF_FAILURE } from '@/core/rehearse/simulated';
import { windowOfSettings } from '@/core/records/settingsWindow';
import type { Chance } from '@/core/rehearse/chance';
import { FAILURES } from '@/core/rehearse/simulated';
import type { Failure } from '@/core/rehearse/simulated';
import type { Rehearsal, RehearsedShot } from '@/core/rehearse/rehearse';
import { tenths } from '@/core/units/format';
import { dayPartName } from '@/words/shotName';
import { WhyLink } from '../ui/WhyLink';
import styles from './rehearsal.module.css';
import { chancePct, failureText, pct, rangeText } from './told';

/** Rows shown of a long day, and so many more at each press. */
const ROWS = 20;

/** Each shot of the day: how often what goes wrong, out of ten dots; its light against its window; and what drives it. */
export function Chances({ report, day }: { report: Rehearsal; day: WorkedDay }): ReactNode {
  const shown = FAILURES.filter(
    (code) => code === 'over' || code === 'under' || report.shots.some(({ chances }) => chances[code].p > 0),
  );
  const [most, setMost] = useState(ROWS);
  const left = report.shots.length - most;
  return (
    <section aria-labelledby="chances-title">
      <h2 id="chances-title">{messages.chances}</h2>
      <div className={styles.wide} tabIndex={0} role="group" aria-labelledby="chances-title">
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">{messages.shot}</th>
              {shown.map((code) => (
                <th key={code} scope="col">
                  <WhyLink page={PAGE_OF_FAILURE[code]}>{failureText(code)}</WhyLink>
                </th>
              ))}
              <th scope="col">{messages.light}</th>
              <th scope="col">{messages.loss}</th>
            </tr>
          </thead>
          <tbody>
            {report.shots.slice(0, most).map((shot) => {
              const part = day.part(shot.id);
              return part ? <Row key={shot.id} shot={shot} part={part} shown={shown} /> : null;
            })}
          </tbody>
        </table>
      </div>
      {left > 0 && (
        <Button onClick={() => setMost(most + ROWS)}>
          {messages.showMore({ count: Math.min(ROWS, left) })}
        </Button>
      )}
      <p className="quiet">{messages.fanKey}</p>
    </section>
  );
}

function Row({
  shot,
  part,
  shown,
}: {
  shot: RehearsedShot;
  part: WorkedPart;
  shown: readonly Failure[];
}): ReactNode {
  const name = dayPartName(part);
  const drivers = shot.drivers
    .slice(0, 3)
    .map(({ input, share }) => messages.share({ input: messages.input[input], share: pct(share) }));
  return (
    <tr>
      <th scope="row">
        {name}
        <span className={styles.drivers}>
          {drivers.length > 0 && messages.drivenBy({ what: drivers.join(', ') })}
        </span>
      </th>
      {shown.map((code) => (
        <td key={code}>
          <Dots chance={shot.chances[code]} label={{ shot: name, failure: failureText(code) }} />
        </td>
      ))}
      <td>
        <LightFan shot={shot} part={part} name={name} />
      </td>
      <td className="numerals">
        <b>{tenths(shot.lossMean)}</b>
        <span className={styles.drivers}>{messages.worst({ worst: tenths(shot.lossWorstTenth) })}</span>
      </td>
    </tr>
  );
}

const DOT = 9;
const GAP = 3;
const PER_ROW = 5;

const AT = Array.from({ length: 10 }, (_, at) => ({
  x: (at % PER_ROW) * (DOT + GAP) + DOT / 2,
  y: Math.floor(at / PER_ROW) * (DOT + GAP) + DOT / 2 + 1,
}));
const RINGS = AT.map((place) => circlePath(place, DOT / 2 - 0.5)).join('');

/** The tenths of a chance, the last of them as full as its share. A day has hundreds: each is one path, not ten circles. */
function dotsPath(p: number): string {
  return AT.map((place, at) => {
    const full = Math.min(1, Math.max(0, 10 * p - at));
    return full > 0 ? circlePath(place, (DOT / 2) * Math.sqrt(full)) : '';
  }).join('');
}

function circlePath({ x, y }: { x: number; y: number }, r: number): string {
  return `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
}

/** A chance as ten dots, the last of them as full as its share; its interval under it. */
function Dots({ chance, label }: { chance: Chance; label: { shot: string; failure: string } }): ReactNode {
  const { p, low, high } = chance;
  if (p === 0) return <span className="quiet">{messages.none}</span>;
  const step = DOT + GAP;
  return (
    <span className={styles.dots} data-often={p >= 0.5}>
      <svg
        width={PER_ROW * step}
        height={2 * step}
        role="img"
        aria-label={messages.cell({ ...label, p: chancePct(chance), low: pct(low), high: pct(high) })}
      >
        <path className={styles.ring} d={RINGS} />
        <path className={styles.dot} d={dotsPath(p)} />
      </svg>
      <span className="numerals">
        {chancePct(chance)}
        <span className={styles.drivers}>{rangeText(chance)}</span>
      </span>
    </span>
  );
}

const FAN = { width: 150, height: 30 };

/** The light in nine of ten days over the window of the settings: what sticks out goes white, or dark. */
function LightFan({ shot, part, name }: { shot: RehearsedShot; part: WorkedPart; name: string }): ReactNode {
  const settings = part.answer?.carried?.settings;
  if (!settings || part.answer?.carried?.intervalSeconds != null) return null;
  const { evMin, evMax } = shot.light;
  const { evMin: foot, evMax: top } = windowOfSettings(settings, part.camera.fNumber);
  const ends = [Math.min(evMin.low, foot) - 0.5, Math.max(evMax.high, top) + 0.5];
  const x = scaleLinear(ends, [0, FAN.width]);
  const text = messages.fan({
    shot: name,
    low: tenths(evMin.low),
    high: tenths(evMax.high),
    from: tenths(foot),
    to: tenths(top),
  });
  return (
    <svg width={FAN.width} height={FAN.height} role="img" aria-label={text}>
      <rect
        className={styles.often}
        x={x(evMin.low)}
        width={x(evMax.high) - x(evMin.low)}
        y={8}
        height={14}
      />
      <rect
        className={styles.likely}
        x={x(evMin.middle)}
        width={Math.max(1, x(evMax.middle) - x(evMin.middle))}
        y={11}
        height={8}
      />
      <path className={styles.window} d={`M${x(foot)} 4 V26 M${x(foot)} 26 H${x(top)} M${x(top)} 26 V4`} />
    </svg>
  );
}
