'use client';

import * as messages from '@/language/debrief';
import type { ReactNode } from 'react';
import type { ClipFrame } from '@/core/records/clip';
import type { Found } from '@/core/records/clipReport';
import { tenths } from '@/core/units/format';
import { FINDING_LABEL } from '@/words/findingLabel';
import styles from './debrief.module.css';

/** Pictures of the clip in order of time, its worst moments marked; the one under the pointer of the curves stands out. */
export function Strip({
  frames,
  findings,
  durationSeconds,
  atSeconds,
  onAt,
}: {
  frames: readonly ClipFrame[];
  findings: readonly Found[];
  durationSeconds: number;
  atSeconds: number | null;
  onAt: (seconds: number) => void;
}): ReactNode {
  const near = atSeconds === null ? null : nearestFrame(frames, atSeconds);
  return (
    <ol className={styles.strip} aria-label={messages.picturesOfTheClip}>
      {frames.map((frame) => {
        const worst = findings.filter(
          ({ atSeconds: at }) => at !== null && Math.abs(at - frame.atSeconds) < 0.05,
        );
        const label = messages.pictureAt({
          seconds: tenths(frame.atSeconds),
          total: tenths(durationSeconds),
        });
        return (
          <li key={frame.atSeconds} data-near={near === frame} data-worst={worst.length > 0}>
            <button type="button" aria-label={label} onClick={() => onAt(frame.atSeconds)}>
              <img src={frame.jpeg} alt="" />
              <span className="numerals">{messages.seconds({ seconds: tenths(frame.atSeconds) })}</span>
              {worst.length > 0 && (
                <b className={styles.worst}>{worst.map(({ code }) => FINDING_LABEL[code]).join(', ')}</b>
              )}
            </button>
          </li>
        );
      })}
    </ol>
  );
}

export function nearestFrame(frames: readonly ClipFrame[], atSeconds: number): ClipFrame | null {
  return frames.reduce<ClipFrame | null>(
    (best, frame) =>
      best && Math.abs(best.atSeconds - atSeconds) <= Math.abs(frame.atSeconds - atSeconds) ? best : frame,
    null,
  );
}
