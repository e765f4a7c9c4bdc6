'use client';

import * as messages from '@/language/lost';
import { useState } from 'react';
import type { ReactNode } from 'react';
import type { Backup } from '@/core/records/backup';
import { backupTexts } from '@/core/records/backupTexts';
import { putBack } from '@/store/openRepository';
import { countsOf } from '@/store/wholeStore';
import { whyText } from '@/words/whyText';
import { download } from '../files/download';
import { countsText } from '../files/exported';

/** The data was taken away under the page: what the page still holds of it is offered. */
export function Lost({ held }: { held: Backup }): ReactNode {
  const [failed, setFailed] = useState<string | null>(null);
  const counts = countsOf(held);
  const reload = (): void => window.location.reload();
  const isEmpty = Object.values(counts).every((count) => count === 0);
  return (
    <>
      <h1>{messages.lostTitle}</h1>
      <p>{isEmpty ? messages.lostNothing : messages.lostText({ counts: countsText(counts) })}</p>
      {failed !== null && <p>{messages.notPutBack({ why: failed })}</p>}
      <p style={{ display: 'flex', flexWrap: 'wrap', gap: 12 }}>
        {!isEmpty && (
          <>
            <button
              type="button"
              onClick={() => {
                putBack(held).then(reload, (error: unknown) => setFailed(whyText(error)));
              }}
            >
              {messages.putBack}
            </button>
            <button
              type="button"
              onClick={() => {
                backupTexts(held).forEach((text, at) =>
                  download(`lynxeye-${held.exportedAt.slice(0, 10)}-${at + 1}.json`, text),
                );
              }}
            >
              {messages.saveWhatIsHeld}
            </button>
          </>
        )}
        <button type="button" onClick={reload}>
          {messages.loadAnew}
        </button>
      </p>
    </>
  );
}
