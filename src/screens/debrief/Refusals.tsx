'use client';

import * as messages from '@/language/debrief';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { useClipFiles } from './clipFiles';
import styles from './debrief.module.css';

/** Files that could not be taken, each with why and the way out, and files on their way in. */
export function Refusals(): ReactNode {
  const refused = useClipFiles((state) => state.refused);
  const opening = useClipFiles((state) => state.opening);
  return (
    <>
      <p role="status" className={styles.opening}>
        {opening ? messages.openingClips({ count: opening.left }) : ''}
      </p>
      {opening && (
        <div>
          <Button onClick={opening.stop}>{messages.stopOpening}</Button>
        </div>
      )}
      {refused.length > 0 && (
        <div role="alert" className={styles.refused}>
          <ul>
            {refused.map(({ name, why }, at) => (
              <li key={`${name} ${at}`}>
                <b>{name}</b>: {why}
              </li>
            ))}
          </ul>
          <Button size="large" onClick={() => useClipFiles.setState({ refused: [] })}>
            {messages.readThat}
          </Button>
        </div>
      )}
    </>
  );
}
