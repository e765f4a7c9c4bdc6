'use client';

import * as messages from '@/language/start';
import { Button, Select } from 'antd';
import type { RefSelectProps } from 'antd';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { USUAL_FILTERS } from '@/core/brief/usual';
import { CARD_KEYS } from '@/words/cardKeys';
import { useRepository } from '../data/repository';
import type { PlacePath } from '../routes';
import { placeUrl } from '../routes';
import { SettingStrip } from '../ui/SettingStrip';
import { FIRST_BRIEF, LIGHT_OPTIONS, PLAYBACK_OPTIONS, RIDE_OPTIONS, shotOfQuick } from './quick';
import type { QuickBrief } from './quick';
import { startedWith } from '@/core/records/ownKit';
import { useOwnKit } from '../data/kit';
import { useShortAnswer } from './useShortAnswer';
import styles from './start.module.css';

/** An answer in three words. Choosing a word moves on to the next, and the last one to "keep and carry". */
export function QuickBriefForm({ focusFirst }: { focusFirst: boolean }): ReactNode {
  const repository = useRepository();
  const router = useRouter();
  const [brief, setBrief] = useState<QuickBrief>(FIRST_BRIEF);
  const own = useOwnKit();
  const shot = useMemo(() => startedWith(shotOfQuick(brief), own), [brief, own]);
  const answer = useShortAnswer(shot);
  const ride = useRef<RefSelectProps>(null);
  const light = useRef<RefSelectProps>(null);
  const playback = useRef<RefSelectProps>(null);
  const carry = useRef<HTMLButtonElement>(null);

  useEffect(() => {
    if (focusFirst) ride.current?.focus();
  }, [focusFirst]);

  const keep = (path: PlacePath): void => {
    void repository?.addShot(shot, messages.keepANewShot).then((id) => {
      router.push(placeUrl(path, id));
    });
  };
  const then = (next: () => void): void => {
    // After the list has closed and given the focus back.
    setTimeout(next, 0);
  };
  return (
    <section className={styles.quick} aria-labelledby="quick-title">
      <h1 id="quick-title">{messages.aShotInThreeWords}</h1>
      <div className={styles.sentence}>
        <span>{messages.filming}</span>
        <Select
          ref={ride}
          aria-label={messages.theRide}
          showSearch={{ optionFilterProp: 'label' }}
          popupMatchSelectWidth={false}
          value={brief.ride}
          options={RIDE_OPTIONS}
          onSelect={(value) => {
            setBrief({ ...brief, ride: value });
            then(() => light.current?.focus());
          }}
        />
        <span>{messages.inWord}</span>
        <Select
          ref={light}
          aria-label={messages.theLight}
          showSearch={{ optionFilterProp: 'label' }}
          popupMatchSelectWidth={false}
          value={brief.light}
          options={LIGHT_OPTIONS}
          onSelect={(value) => {
            setBrief({ ...brief, light: value });
            then(() => playback.current?.focus());
          }}
        />
        <span>{messages.watched}</span>
        <Select
          ref={playback}
          aria-label={messages.thePlayback}
          showSearch={{ optionFilterProp: 'label' }}
          popupMatchSelectWidth={false}
          value={brief.playback}
          options={PLAYBACK_OPTIONS}
          onSelect={(value) => {
            setBrief({ ...brief, playback: value });
            then(() => carry.current?.focus());
          }}
        />
      </div>
      <div aria-live="polite" className={styles.answer}>
        {answer !== null &&
          ('settings' in answer ? (
            <>
              <SettingStrip keys={CARD_KEYS} settings={answer.settings} kit={shot.filters ?? USUAL_FILTERS} />
              <p className={styles.reason}>
                {answer.whyFilter}{' '}
                {answer.caution !== undefined && <span className={styles.warning}>{answer.caution}</span>}
              </p>
            </>
          ) : (
            <p className={styles.warning}>{answer.refused}</p>
          ))}
      </div>
      <div className={styles.actions}>
        <Button ref={carry} type="primary" onClick={() => keep('/carry')}>
          {messages.keepAndCarry}
        </Button>
        <Button onClick={() => keep('/bench')}>{messages.keepAndOpenOnThe}</Button>
        <span className="quiet">{messages.everythingNotSaidTakesIts}</span>
      </div>
    </section>
  );
}
