'use client';

import * as messages from '@/language/log';
import Link from 'next/link';
import type { ReactNode } from 'react';
import type { Clip } from '@/core/records/clip';
import { clipMeasures } from '@/words/clipMeasures';
import { FINDING_LABEL } from '@/words/findingLabel';
import { durationText } from '@/words/settingText';
import { clockText } from '@/words/lightText';
import { outingUrl } from '../routes';
import styles from './log.module.css';

/** The clips of a recording, each with what was measured and found, and the way to it. */
export function CameBack({ clips, zone }: { clips: readonly Clip[]; zone: string }): ReactNode {
  return (
    <ul aria-label={messages.cameBack} className={styles.clips}>
      {clips.map((clip) => {
        const { id, outingId, dayId, startAt, frames, measured } = clip;
        const [first] = frames;
        const { file, container, findings } = measured;
        return (
          <li key={id}>
            {first && (
              // A picture of the person's own, at hand already.
              <img src={first.jpeg} alt="" width={64} height={36} />
            )}
            <Link href={outingUrl('/debrief', outingId, dayId, { clip: id })}>{file.name}</Link>
            <span className="numerals quiet">
              {startAt !== null && `${clockText(Date.parse(startAt), zone)}, `}
              {durationText(container.durationSeconds)}
            </span>
            {findings.length > 0 ? (
              <b className={styles.found}>{findings.map(({ code }) => FINDING_LABEL[code]).join(', ')}</b>
            ) : (
              <span>{clip.looked === 'file' ? messages.notLookedAt : messages.nothingAgainstIt}</span>
            )}
            <span className="numerals">{clipMeasures(clip)}</span>
          </li>
        );
      })}
    </ul>
  );
}
