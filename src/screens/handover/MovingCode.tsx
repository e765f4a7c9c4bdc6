'use client';

import * as messages from '@/language/handover';
import { Button, Select } from 'antd';
import { Pause, Play } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { CODES_PER_SECOND } from '@/formats/handover/crossing';
import type { Sending } from '@/formats/handover/crossing';
import { NUMBERS } from '@/formats/handover/frame';
import { CodeDrawing } from '../ui/CodeDrawing';
import { Foot } from '../ui/Foot';
import { useToast } from '../ui/toast';
import { useWakeLock } from '../ui/useWakeLock';
import styles from './handover.module.css';

/** A parcel as a moving row of codes, to be held before the camera of the other device; it stands still until it is begun. */
export function MovingCode({ sent, label }: { sent: Sending; label: string }): ReactNode {
  const { say } = useToast();
  const wake = useWakeLock();
  const code = useRef<HTMLDivElement>(null);
  const [runs, setRuns] = useState(false);
  const [perSecond, setPerSecond] = useState<number>(CODES_PER_SECOND[0]);
  const [number, setNumber] = useState(0);
  useEffect(() => {
    if (!runs) return;
    const timer = setInterval(() => setNumber((was) => (was + 1) % NUMBERS), 1000 / perSecond);
    return () => clearInterval(timer);
  }, [runs, perSecond]);
  return (
    <section className={styles.moving} aria-label={messages.asCodes}>
      <Foot>
        <Button
          type="primary"
          size="large"
          icon={runs ? <Pause size={18} aria-hidden /> : <Play size={18} aria-hidden />}
          onClick={() => {
            setRuns(!runs);
            wake.turn(!runs);
          }}
        >
          {runs ? messages.stopTheCodes : messages.showTheCodes}
        </Button>
        <Select
          aria-label={messages.howFast}
          value={perSecond}
          options={CODES_PER_SECOND.map((value) => ({ value, label: messages.perSecond({ value }) }))}
          onSelect={setPerSecond}
        />
        <Button
          onClick={() => {
            const filled = code.current?.requestFullscreen();
            filled?.catch(() => say(messages.doesNotFill));
          }}
        >
          {messages.fillTheScreen}
        </Button>
      </Foot>
      <div className={styles.code} ref={code} data-number={number}>
        <CodeDrawing content={sent.code(number)} label={messages.codeOf({ number: number + 1, label })} />
      </div>
      <p className="quiet">{messages.flickers}</p>
    </section>
  );
}
