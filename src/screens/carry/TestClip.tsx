'use client';

import * as messages from '@/language/carry';
import { Button, Progress } from 'antd';
import { Film, FolderOpen } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import { testVerdict } from '@/core/inspect/testClip';
import type { TestVerdict } from '@/core/inspect/testClip';
import type { Pictures } from '@/core/records/clipReport';
import type { Pins, Settings } from '@/core/records/settings';
import { faultText } from '@/words/faultText';
import { FINDING_LABEL } from '@/words/findingLabel';
import { findingText, unreadText } from '@/words/findingText';
import type { Filmed } from '@/words/findingText';
import { lookAtClip } from '@/workers/clips';
import { CLIP_FILES } from '../files/clipFiles';
import { pickAnyFile, pickFilmed } from '../files/pickFile';
import styles from './testClip.module.css';
import { whyText } from '@/words/whyText';

type State =
  | { is: 'idle' }
  | { is: 'looking'; share: number; stop: () => void }
  | { is: 'refused'; why: string }
  | {
      is: 'told';
      verdict: TestVerdict;
      unread: string | null;
      pictures: Pictures | null;
      picture: string | null;
      standIn: boolean;
    };

/**
 * A few seconds filmed before the run and looked at on the spot: go, or change this. The clip is of the camera itself,
 * copied over, or of this device held where the camera will be. Nothing of it is kept.
 */
export function TestClip({
  brief,
  settings,
  onTake,
}: {
  brief: Brief;
  settings: Settings;
  /** Takes a change into the shot. */
  onTake: (change: Pins) => void;
}): ReactNode {
  const [state, setState] = useState<State>({ is: 'idle' });
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => () => stop.current(), []);
  const look = async (file: File, standIn: boolean): Promise<void> => {
    const wanted = { brief, settings, recordSeconds: null, trouble: [] };
    const under = lookAtClip({ file, beside: null, known: null }, file.name, 'test', wanted, (share) =>
      setState((before) => (before.is === 'looking' ? { ...before, share } : before)),
    );
    stop.current = under.stop;
    setState({ is: 'looking', share: 0, stop: under.stop });
    try {
      const read = await under.done;
      if (read === null) setState({ is: 'idle' });
      else if (!read.ok) setState({ is: 'refused', why: read.faults.map(faultText).join('; ') });
      else {
        const { measured, frames } = read.value;
        setState({
          is: 'told',
          verdict: testVerdict(measured, brief.mount, standIn),
          unread: unreadText(measured),
          pictures: measured.pictures,
          picture: frames[Math.floor(frames.length / 2)]?.jpeg ?? null,
          standIn,
        });
      }
    } catch (error) {
      setState({ is: 'refused', why: whyText(error) });
    }
  };
  return (
    <section aria-label={messages.testClip({ camera: brief.camera.name })} className={styles.test}>
      {state.is === 'looking' ? (
        <div className={styles.presses}>
          <Progress percent={Math.round(100 * state.share)} size="small" aria-label={messages.lookingAtIt} />
          <Button size="large" onClick={state.stop}>
            {messages.stop}
          </Button>
        </div>
      ) : (
        <div className={styles.presses}>
          <Button
            size="large"
            icon={<FolderOpen size={18} aria-hidden />}
            onClick={() => pickAnyFile(CLIP_FILES, (file) => void look(file, false))}
          >
            {messages.lookAtATestClip}
          </Button>
          <Button
            size="large"
            type="text"
            icon={<Film size={18} aria-hidden />}
            onClick={() => pickFilmed((file) => void look(file, true))}
          >
            {messages.filmOneWithThis}
          </Button>
        </div>
      )}
      <div role="status">
        {state.is === 'told' && (
          <Told {...state} filmed={{ settings, filters: brief.filters }} onTake={onTake} />
        )}
      </div>
      {state.is === 'refused' && (
        <p role="alert" className={styles.refused}>
          {state.why}
        </p>
      )}
    </section>
  );
}

function Told({
  verdict: { change, blocked, go },
  unread,
  picture,
  standIn,
  pictures,
  filmed,
  onTake,
}: Extract<State, { is: 'told' }> & {
  filmed: Filmed;
  onTake: (change: Pins) => void;
}): ReactNode {
  if (unread !== null) return <p className={styles.refused}>{unread}</p>;
  return (
    <div className={styles.told}>
      {picture !== null && (
        // A picture of the person's own, at hand already.
        <img src={picture} alt="" width={128} />
      )}
      <div>
        <b className={go ? styles.go : styles.change}>{go ? messages.go : messages.changeThis}</b>
        {standIn && <p className="quiet">{messages.ofThePlaceAlone}</p>}
        <ul>
          {blocked && (
            <li>
              <b>{messages.blocked}</b> {messages.blockedText}
            </li>
          )}
          {change.map(({ change: pins, ...found }) => (
            <li key={found.code}>
              {findingText({ ...found, change: pins }, pictures, filmed)}
              {pins && !standsAlready(pins, filmed.settings) && (
                <Button
                  onClick={() => onTake(pins)}
                  aria-label={messages.putTheChangeAgainst({ finding: FINDING_LABEL[found.code] })}
                >
                  {messages.putOnTheCard}
                </Button>
              )}
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}

/** The card says so already: the camera was set otherwise. */
function standsAlready(pins: Pins, settings: Settings): boolean {
  return (Object.keys(pins) as (keyof Pins)[]).every(
    (key) => JSON.stringify(pins[key]) === JSON.stringify(settings[key]),
  );
}
