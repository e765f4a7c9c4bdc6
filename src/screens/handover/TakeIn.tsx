'use client';

import * as messages from '@/language/handover';
import { Button } from 'antd';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { receiving } from '@/workers/codes';
import { useActions } from '../shell/actions';
import { Foot } from '../ui/Foot';
import { LiveCamera } from '../ui/LiveCamera';
import { useHandedIn } from './useHandedIn';
import shared from '../ui/narrowPlace.module.css';
import styles from './handover.module.css';

/** As often as the other screen shows a new code, and again in between, milliseconds. */
const LOOK_MS = 40;

/** Why nothing was read of what was shared. */
const UNREAD: Readonly<Record<string, string>> = {
  none: messages.sharedTooEarly,
  foreign: messages.sharedByAPage,
  tooMuch: messages.sharedTooMuch,
};

/** What stands in for a code until the first is seen. */
type Seen = { known: number; blocks: number } | 'nothing' | 'other' | 'torn' | 'damaged' | 'whole';

/** What comes from another device: its codes before this camera, or a file. */
export function TakeIn(): ReactNode {
  const { takeHandedIn, importFile } = useActions();
  const unread = UNREAD[useSearchParams().get('shared') ?? ''];
  useHandedIn();
  const [looking, setLooking] = useState(false);
  const [refused, setRefused] = useState(false);
  const [seen, setSeen] = useState<Seen>('nothing');
  /** Codes of another parcel than the one begun were seen since. */
  const [another, setAnother] = useState(false);
  const look = async (picture: ImageData): Promise<void> => {
    const taken = await receiving.take(picture);
    if (!taken) return;
    if (taken.is === 'another') setAnother(true);
    else if (taken.is === 'part') setSeen(taken);
    else if (taken.is === 'whole') {
      setSeen('whole');
      setAnother(false);
      setLooking(false);
      takeHandedIn([{ name: messages.theCodes, content: taken.text }]);
    }
    // What came stays in sight when a stray code, or half of one, comes by.
    else setSeen((was) => (typeof was === 'object' && taken.is !== 'damaged' ? was : taken.is));
  };
  const begin = (): void => {
    void receiving.begin();
    setSeen('nothing');
    setAnother(false);
    setRefused(false);
    setLooking(!looking);
  };
  return (
    <div className={shared.part}>
      <section className={styles.moving} aria-label={messages.fromCodes}>
        <p>{messages.fromCodesText}</p>
        {looking && (
          <LiveCamera
            everyMs={LOOK_MS}
            onPicture={look}
            onFail={() => {
              setLooking(false);
              setRefused(true);
            }}
          />
        )}
        {(looking || seen !== 'nothing') && <SeenText seen={seen} />}
        {looking && another && (
          <p role="status">
            {messages.anotherParcel}{' '}
            <Button
              size="small"
              onClick={() => {
                void receiving.takeAnother();
                setAnother(false);
                setSeen('nothing');
              }}
            >
              {messages.takeAnother}
            </Button>
          </p>
        )}
        {refused && <p role="alert">{messages.noCamera}</p>}
        <Foot>
          <Button type="primary" size="large" onClick={begin} aria-pressed={looking}>
            {looking ? messages.stopLooking : messages.lookWithThisCamera}
          </Button>
        </Foot>
      </section>
      <section className={styles.ways} aria-label={messages.fromAFile}>
        <h2>{messages.fromAFile}</h2>
        {unread && <p role="alert">{unread}</p>}
        <p className="quiet">{messages.fromAFileText}</p>
        <Button onClick={importFile}>{messages.pickAFile}</Button>
      </section>
    </div>
  );
}

function SeenText({ seen }: { seen: Seen }): ReactNode {
  if (typeof seen === 'string') return <p role="status">{messages.seen[seen]}</p>;
  const { known, blocks } = seen;
  return (
    <div className={styles.progress}>
      <progress value={known} max={blocks} aria-label={messages.howMuchCame} />
      <p role="status">{messages.partsOf({ known, blocks })}</p>
    </div>
  );
}
