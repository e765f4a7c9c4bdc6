'use client';

import * as messages from '@/language/carry/day';
import { Phrase } from '../../ui/Phrase';
import { Button, Select } from 'antd';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { storable, writeSetup } from '@/formats/code/setupCode';
import { isoIn } from '@/formats/clock';
import { CARD_KEYS } from '@/words/cardKeys';
import { CodeDrawing } from '../../ui/CodeDrawing';
import { outingUrl } from '../../routes';
import { useWorkedDay } from '../../data/workedDay';
import type { OpenDay } from '../../data/workedDay';
import { namedSetups } from '../../data/setups';
import { SettingStrip } from '../../ui/SettingStrip';
import { useToast } from '../../ui/toast';
import styles from './day.module.css';

/** The code is written anew this often, so that the clock in it is right; slowly enough to be read, milliseconds. */
const CLOCK_MS = 4000;
const STARTS = [0, 5, 10, 30, 60] as const;

/** The day's set-ups as codes, one filling the screen at a time, to be held before the camera. */
export function Codes({ cameraId, ...open }: OpenDay & { cameraId: string }): ReactNode {
  const { outing, day } = open;
  const worked = useWorkedDay(open);
  const router = useRouter();
  const { say } = useToast();
  const code = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState(0);
  const [startAfter, setStartAfter] = useState<number>(0);
  const [nowMs, setNowMs] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), CLOCK_MS);
    return () => clearInterval(timer);
  }, []);
  const { day: whole } = worked;
  const all = whole.cameras.flatMap(({ id, sheet }) =>
    sheet && (cameraId === 'all' || id === cameraId)
      ? namedSetups(sheet, whole).map((setup) => ({ ...setup, cameraId: id }))
      : [],
  );
  const shown = all[Math.min(at, all.length - 1)];
  const go = (by: number): void => setAt((was) => Math.max(0, Math.min(all.length - 1, was + by)));
  useHotkeys('right', () => go(1));
  useHotkeys('left', () => go(-1));
  const back = (
    <Link href={outingUrl('/carry', outing.id, day.id)} className={styles.back}>
      {messages.backToTheCards}
    </Link>
  );
  const title = <h1 className="unseen">{outing.name}</h1>;
  if (!whole.sheet)
    return (
      <>
        {title}
        <p className="quiet">{messages.workingTheDayOut}</p>
      </>
    );
  if (!shown)
    return (
      <div className={styles.day}>
        {title}
        {back}
        <p>{messages.noCameraOfThisDay}</p>
      </div>
    );
  const camera = whole.camera(shown.cameraId)?.profile;
  const { preset } = shown;
  const text = writeSetup({
    name: shown.name,
    cameraId: shown.cameraId,
    settings: storable(preset.settings),
    intervalSeconds: preset.intervalSeconds,
    clock: isoIn(nowMs, outing.zone),
    startAfterSeconds: startAfter === 0 ? null : startAfter,
  });
  const kit = whole.part(preset.partIds[0] ?? '')?.brief.filters ?? [];
  return (
    <article className={styles.codes} aria-label={`${camera?.name ?? ''} ${shown.name}`}>
      {back}
      <header className={styles.head}>
        <Button
          aria-label={messages.previousCode}
          disabled={at === 0}
          onClick={() => go(-1)}
          icon={<ChevronLeft size={26} aria-hidden />}
        />
        <h1>
          <Phrase
            of={messages.slot({ slot: shown.slot })}
            parts={[camera?.name, <span className="numerals">{shown.name}</span>]}
          />
        </h1>
        <Button
          aria-label={messages.nextCode}
          disabled={at >= all.length - 1}
          onClick={() => go(1)}
          icon={<ChevronRight size={26} aria-hidden />}
        />
      </header>
      <div className={styles.code} ref={code}>
        <CodeDrawing
          content={text}
          label={messages.codeOfFor({ shown: shown.name, camera: camera?.name ?? '' })}
        />
      </div>
      <SettingStrip keys={CARD_KEYS.filter((key) => key !== 'filter')} settings={preset.settings} kit={kit} />
      <div className={styles.codeTools}>
        <label>
          {messages.startsByItself}
          <Select
            aria-label={messages.startsByItselfTitle}
            value={startAfter}
            options={STARTS.map((seconds) => ({
              value: seconds,
              label: seconds === 0 ? messages.no : messages.sAfterReading({ seconds }),
            }))}
            onSelect={setStartAfter}
          />
        </label>
        <Button
          onClick={() => {
            const filled = code.current?.requestFullscreen();
            filled?.catch(() => say(messages.thisBrowserDoesNotFill));
          }}
        >
          {messages.fillTheScreen}
        </Button>
        <Button
          onClick={() =>
            void navigator.clipboard.writeText(text).then(() => say(messages.copiedTheTextOfThis))
          }
        >
          {messages.copyItsText}
        </Button>
        <Button
          onClick={() =>
            // It stands with this very code before it, its clock and its start with it.
            router.push(outingUrl('/camera', outing.id, day.id, { camera: shown.cameraId, code: text }))
          }
        >
          {messages.tryItOnTheStand}
        </Button>
      </div>
      {camera && !camera.start.includes('code') && (
        <p role="status">{messages.itselfReadsNoCodesStore({ camera: camera.name })}</p>
      )}
      <p className="quiet">{messages.theCodeCarriesTheSet}</p>
    </article>
  );
}
