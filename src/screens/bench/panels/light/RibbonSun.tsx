import * as messages from '@/language/bench/light';
import type { ReactNode } from 'react';
import type { DaySpans } from '@/core/light/sun/day';
import { clockText } from '@/words/lightText';
import type { TimeAxis } from '../../../ui/timeAxis';
import { LAY } from './ribbonShape';
import styles from './ribbon.module.css';

/** The hatchings of the ribbon: low sun, the blue hour, where a filter nearly fits. */
export function RibbonPatterns(): ReactNode {
  return (
    <defs>
      <pattern id="ribbon-golden" width="5" height="5" patternUnits="userSpaceOnUse">
        <line x1="1" y1="0" x2="1" y2="5" className={styles.golden} />
      </pattern>
      <pattern id="ribbon-blue" width="6" height="6" patternUnits="userSpaceOnUse">
        <circle cx="2" cy="2" r="1" className={styles.blue} />
      </pattern>
      <pattern
        id="ribbon-near"
        width="5"
        height="5"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <line x1="0" y1="0" x2="0" y2="5" className={styles.nearLine} />
      </pattern>
    </defs>
  );
}

/** When the sun is low, and when it reaches the place over its horizon. */
export function RibbonSun({
  spans,
  axis: { between },
  zone,
  left,
}: {
  spans: DaySpans;
  axis: TimeAxis;
  zone: string;
  left: number;
}): ReactNode {
  return (
    <>
      {[
        ...spans.golden.map((span) => ({ span, kind: 'golden' })),
        ...spans.blue.map((span) => ({ span, kind: 'blue' })),
      ].map(({ span, kind }) => (
        <rect
          key={`${kind}${span.fromMs}`}
          {...between(span)}
          y={LAY.plotTop}
          height={LAY.plotBottom - LAY.plotTop}
          fill={`url(#ribbon-${kind})`}
        />
      ))}
      {spans.golden.map((span) => (
        <text
          key={span.fromMs}
          x={between(span).x + between(span).width / 2}
          y={LAY.plotTop - 6}
          textAnchor="middle"
          className={styles.word}
        >
          {between(span).width > 38 ? messages.golden : ''}
        </text>
      ))}
      {spans.reached && (
        <g>
          <text x={left - 8} y={LAY.sun + 9} textAnchor="end" className={styles.word}>
            {messages.sun}
          </text>
          {spans.reached.map((span) => (
            <g key={span.fromMs}>
              <rect {...between(span)} y={LAY.sun} height={10} className={styles.sun} />
              <text x={between(span).x - 6} y={LAY.sun + 10} textAnchor="end" className={styles.word}>
                {clockText(span.fromMs, zone)}
              </text>
              <text x={between(span).x + between(span).width + 6} y={LAY.sun + 10} className={styles.word}>
                {clockText(span.toMs, zone)}
              </text>
            </g>
          ))}
        </g>
      )}
    </>
  );
}
