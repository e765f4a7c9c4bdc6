'use client';

import * as messages from '@/language/instrument';
import { Button } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { shakeRecorded } from '@/core/instrument/shake';
import type { Held, Rate, ShakeRecorded } from '@/core/instrument/shake';
import type { KitItem } from '@/core/records/kitItem';
import type { MeasuredBy } from '@/core/records/measured';
import type { ShotRecord } from '@/core/records/shotRecord';
import { trimmed } from '@/core/units/format';
import { readRates, writeRates } from '@/formats/rates/rates';
import { measuredText } from '@/words/measuredText';
import { faultsInWords } from '@/words/faultText';
import { download } from '../files/download';
import { fileName } from '../files/fileName';
import { pickAnyFile } from '../files/pickFile';
import { ChoiceField } from '../ui/Fields';
import { Foot } from '../ui/Foot';
import { useToast } from '../ui/toast';
import { useWakeLock } from '../ui/useWakeLock';
import { NoSensor } from './NoSensor';
import { RateDrawing } from './RateDrawing';
import type { Target } from './targets';
import { useKeep } from './useKeep';
import { useMotion } from './useMotion';
import { usualShakeOf } from './usualShake';
import shared from '../ui/narrowPlace.module.css';
import styles from './instrument.module.css';

const LENGTHS = [20, 40, 60] as const;
/** To put the phone where it rides, seconds. */
const AWAY_SECONDS = 5;
/** Drawn anew so often, milliseconds. */
const SHOWN_MS = 120;

/** A recording that is done: its rates, and where they are from. */
interface Recorded {
  rates: readonly Rate[];
  by: MeasuredBy;
}

/** How the phone rides: waiting to be put away, recording, or not. */
type Run = { is: 'idle' } | { is: 'away'; left: number } | { is: 'recording'; seconds: number };

/** The shake of a mount: the phone rides along, or a sheet of rates is read. */
export function ShakeTab({
  target,
  shots,
  kit,
}: {
  target: Target;
  shots: readonly ShotRecord[];
  kit: readonly KitItem[];
}): ReactNode {
  const [length, setLength] = useState<number>(LENGTHS[1]);
  const [held, setHeld] = useState<Held>('anyWay');
  const [recorded, setRecorded] = useState<Recorded | null>(null);
  const recorder = useRecorder(length, (rates) => setRecorded({ rates, by: 'phone' }));
  const { run, shown, state } = recorder;
  const { complain } = useToast();
  const keep = useKeep(target);
  const read = useMemo(() => (recorded ? shakeRecorded(recorded.rates, held) : null), [recorded, held]);
  const fromSheet = (file: File): void => {
    void file.text().then((text) => {
      const read = readRates(text);
      if (read.ok) setRecorded({ rates: read.value, by: 'sheet' });
      else {
        const [first] = faultsInWords(read.faults);
        complain(
          messages.sheetNotTaken({ name: file.name, fault: `${first?.path ?? ''}: ${first?.text ?? ''}` }),
        );
      }
    });
  };
  return (
    <section className={shared.part} aria-label={messages.shake}>
      <p className="quiet">{messages.shakeHow}</p>
      {run.is === 'idle' ? (
        <div className={styles.choices}>
          <ChoiceField
            label={messages.howLong}
            value={String(length)}
            options={LENGTHS.map((value) => ({
              value: String(value),
              label: messages.secondsLong({ value }),
            }))}
            onCommit={(value) => setLength(Number(value))}
          />
          <ChoiceField
            label={messages.howHeld}
            value={held}
            options={(['anyWay', 'asTheLens'] as const).map((value) => ({
              value,
              label: messages.held[value],
            }))}
            onCommit={setHeld}
          />
        </div>
      ) : (
        <p role="status" className={styles.count}>
          {run.is === 'away'
            ? messages.putItAway({ left: run.left })
            : messages.recordingFor({ seconds: Math.floor(run.seconds), of: length })}
        </p>
      )}
      {run.is === 'recording' && <RateDrawing rates={shown} />}
      <NoSensor state={state} />
      {recorded && read && run.is === 'idle' && (
        <Result rates={recorded.rates} read={read} usual={usualShakeOf(target, shots, kit)} />
      )}
      {run.is === 'idle' && (
        <div className={styles.press}>
          <Button onClick={() => pickAnyFile('.csv,.txt,text/csv', fromSheet)}>{messages.fromASheet}</Button>
          {recorded && (
            <Button
              onClick={() =>
                download(`${fileName(target.label)}-rates.csv`, writeRates(recorded.rates), 'text/csv')
              }
            >
              {messages.saveTheSheet}
            </Button>
          )}
        </div>
      )}
      <Foot>
        {recorded && read?.ok && run.is === 'idle' && (
          <Button
            type="primary"
            size="large"
            onClick={() => keep({ is: 'shake', ...read.shake }, recorded.by)}
          >
            {messages.keepShake({ shake: trimmed(read.shake.degPerSRms, 1) })}
          </Button>
        )}
        <Button
          type={recorded ? 'default' : 'primary'}
          size="large"
          loading={state === 'asking'}
          onClick={() => {
            setRecorded(null);
            if (run.is === 'idle') recorder.begin();
            else recorder.end();
          }}
        >
          {run.is === 'idle' ? (recorded ? messages.recordAgain : messages.record) : messages.stop}
        </Button>
      </Foot>
    </section>
  );
}

/** Counts down, records for so long, and gives what came. */
function useRecorder(
  seconds: number,
  onDone: (rates: readonly Rate[]) => void,
): {
  run: Run;
  shown: readonly Rate[];
  state: ReturnType<typeof useMotion>['state'];
  begin: () => void;
  end: () => void;
} {
  const wake = useWakeLock();
  const rates = useRef<Rate[]>([]);
  const began = useRef<number | null>(null);
  const goes = useRef(false);
  const shownAt = useRef(0);
  const [run, setRun] = useState<Run>({ is: 'idle' });
  const [shown, setShown] = useState<readonly Rate[]>([]);
  const end = (): void => {
    goes.current = false;
    motion.stop();
    wake.turn(false);
    setRun({ is: 'idle' });
    buzz();
    if (rates.current.length > 0) onDone(rates.current);
  };
  const motion = useMotion(({ atMs, rate }) => {
    // The last readings come after the end.
    if (!rate || !goes.current) return;
    began.current ??= atMs;
    const gone = (atMs - began.current) / 1000;
    if (gone < AWAY_SECONDS) {
      setRun({ is: 'away', left: Math.ceil(AWAY_SECONDS - gone) });
      return;
    }
    const atSeconds = gone - AWAY_SECONDS;
    if (rates.current.length === 0) buzz();
    rates.current.push({ atSeconds, ...rate });
    if (atSeconds >= seconds) end();
    else if (atMs - shownAt.current >= SHOWN_MS) {
      shownAt.current = atMs;
      setRun({ is: 'recording', seconds: atSeconds });
      setShown([...rates.current]);
    }
  });
  const { state } = motion;
  const { turn } = wake;
  useEffect(() => {
    if (state === 'absent' || state === 'refused') turn(false);
  }, [state, turn]);
  const begin = (): void => {
    goes.current = true;
    rates.current = [];
    began.current = null;
    setShown([]);
    wake.turn(true);
    motion.start();
  };
  return { run, shown, state, begin, end };
}

/** Felt where the phone cannot be seen. */
function buzz(): void {
  if ('vibrate' in navigator) navigator.vibrate(150);
}

function Result({
  rates,
  read,
  usual,
}: {
  rates: readonly Rate[];
  read: ReturnType<typeof shakeRecorded>;
  usual: number | null;
}): ReactNode {
  if (!read.ok) return <p role="alert">{unmeasuredText(read)}</p>;
  const { shake } = read;
  return (
    <div className={styles.result}>
      <RateDrawing rates={rates} />
      <p className={styles.figure}>{measuredText({ is: 'shake', ...shake })}</p>
      <p className="quiet">{resultText(shake, usual)}</p>
    </div>
  );
}

function resultText({ seconds, perSecond }: ShakeRecorded, usual: number | null): string {
  const of = messages.resultOf({ seconds: trimmed(seconds, 0), perSecond: trimmed(perSecond, 0) });
  return usual === null ? of : `${of} ${messages.usualIs({ usual: trimmed(usual, 1) })}`;
}

function unmeasuredText(read: Extract<ReturnType<typeof shakeRecorded>, { ok: false }>): string {
  switch (read.why) {
    case 'tooShort':
      return messages.tooShort({ seconds: trimmed(read.seconds, 0), atLeast: read.atLeast });
    case 'tooFew':
      return messages.tooFew({ perSecond: trimmed(read.perSecond, 0), atLeast: read.atLeast });
    case 'gap':
      return messages.gap({ at: trimmed(read.atSeconds, 1), seconds: trimmed(read.seconds, 1) });
  }
}
