import * as messages from '@/language/bench/rule';
import type { ScaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import type { LightRange } from '@/core/light/lightRange';
import type { Exposure } from '@/core/loss/exposure';
import { evText } from '@/words/settingText';
import styles from './rule.module.css';
import { Out } from './ruleParts';
import { LIGHT, NOTCHES, SEEN } from './ruleShape';

/** The scale in EV, and on it the light of the run, with how far its ends may lie off and what sticks out of the window. */
export function RuleLight({
  light,
  exposure,
  x,
  bound,
  width,
}: {
  light: Pick<LightRange, 'evMin' | 'evMax' | 'spreadStops'>;
  /** What of it the camera holds. */
  exposure: Pick<Exposure, 'windowEvMin' | 'windowEvMax' | 'underStops' | 'overStops'>;
  x: ScaleLinear<number, number>;
  /** The scale, kept inside the drawing. */
  bound: (ev: number) => number;
  width: number;
}): ReactNode {
  const [low = 0, high = 0] = x.domain();
  const faded = 2 * light.spreadStops;
  return (
    <>
      <defs>
        <pattern
          id="hatch-out"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--warn)" strokeWidth="3" />
        </pattern>
        {(['dark', 'bright'] as const).map((end) => (
          <linearGradient
            key={end}
            id={`fade-${end}`}
            x1={end === 'dark' ? 1 : 0}
            x2={end === 'dark' ? 0 : 1}
          >
            <stop offset="0" className={styles.fade} stopOpacity="0.6" />
            <stop offset="1" className={styles.fade} stopOpacity="0" />
          </linearGradient>
        ))}
      </defs>
      <g aria-hidden>
        {x.ticks(Math.min(high - low, Math.floor(width / 44))).map((ev) => (
          <g key={ev} transform={`translate(${x(ev)},0)`}>
            <line y1={20} y2={NOTCHES - 10} stroke="var(--rule)" />
            <text y={14} textAnchor="middle" className={styles.ruleNumber}>
              {evText(ev).replace('.0', '')}
            </text>
          </g>
        ))}
        <text x={2} y={34} className={styles.ruleWord}>
          {messages.unitEv}
        </text>
      </g>

      <rect
        className={styles.lightBand}
        x={bound(light.evMin)}
        y={LIGHT.top}
        width={Math.max(2, bound(light.evMax) - bound(light.evMin))}
        height={LIGHT.height}
      />
      {/* How far either end may lie off: two standard deviations, fading. */}
      <rect
        x={bound(light.evMin - faded)}
        y={LIGHT.top}
        width={bound(light.evMin) - bound(light.evMin - faded)}
        height={LIGHT.height}
        fill="url(#fade-dark)"
      />
      <rect
        x={bound(light.evMax)}
        y={LIGHT.top}
        width={bound(light.evMax + faded) - bound(light.evMax)}
        height={LIGHT.height}
        fill="url(#fade-bright)"
      />
      {exposure.underStops > SEEN && (
        <Out from={bound(light.evMin)} to={bound(Math.min(light.evMax, exposure.windowEvMin))} />
      )}
      {exposure.overStops > SEEN && (
        <Out from={bound(Math.max(light.evMin, exposure.windowEvMax))} to={bound(light.evMax)} />
      )}
      <text
        x={bound(light.evMin)}
        y={LIGHT.top - 6}
        className={styles.ruleWord}
        textAnchor={bound(light.evMin) < 90 ? 'start' : 'middle'}
      >
        {messages.darkest({ evMin: evText(light.evMin) })}
      </text>
      {light.evMax - light.evMin > 0.3 && x(light.evMax) - x(light.evMin) > 150 && (
        <text
          x={bound(light.evMax)}
          y={LIGHT.top - 6}
          className={styles.ruleWord}
          textAnchor={bound(light.evMax) > width - 90 ? 'end' : 'middle'}
        >
          {messages.brightest({ evMax: evText(light.evMax) })}
        </text>
      )}
    </>
  );
}
