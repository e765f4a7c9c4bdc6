'use client';

import * as messages from '@/language/bench/preview';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { TONE_STOPS, tonesOf } from '@/core/preview/judge';
import type { Picture } from '@/core/preview/develop';
import { trimmed } from '@/core/units/format';
import styles from './preview.module.css';

const W = 320;
const H = 64;

/** How the tones of a picture spread, in stops below white, with what is lost at either end. */
export function Tones({ name, picture }: { name: string; picture: Picture }): ReactNode {
  const tones = useMemo(() => tonesOf(picture), [picture]);
  const most = Math.max(...tones.bins, 0.02);
  const wide = W / tones.bins.length;
  const lost = messages.burntOutCrushed({
    whiteShare: trimmed(100 * tones.whiteShare, 1),
    blackShare: trimmed(100 * tones.blackShare, 1),
  });
  return (
    <figure className={styles.tones}>
      <svg viewBox={`0 0 ${W} ${H + 14}`} role="img" aria-label={messages.tonesOf({ name, lost })}>
        {tones.bins.map((share, at) => (
          <rect
            key={at}
            x={at * wide + 0.5}
            width={wide - 1}
            y={H - (H * share) / most}
            height={(H * share) / most}
            className={styles.tone}
          />
        ))}
        <line x1={0} x2={W} y1={H} y2={H} className={styles.rule} />
        {[-6, -4, -2].map((stop) => (
          <text key={stop} x={((stop + TONE_STOPS) / TONE_STOPS) * W} y={H + 12} textAnchor="middle">
            −{-stop}
          </text>
        ))}
        <text x={W} y={H + 12} textAnchor="end">
          {messages.white}
        </text>
      </svg>
      <figcaption>
        <b>{name}</b> {lost}
      </figcaption>
    </figure>
  );
}
