'use client';

import * as messages from '@/language/instrument';
import { Button } from 'antd';
import { useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { levelOf } from '@/core/instrument/level';
import type { Gravity, CameraLevel } from '@/core/instrument/level';
import { tenths } from '@/core/units/format';
import { NoSensor } from './NoSensor';
import type { Target } from './targets';
import { useKeep } from './useKeep';
import { useMotion } from './useMotion';
import { Foot } from '../ui/Foot';
import shared from '../ui/narrowPlace.module.css';
import styles from './instrument.module.css';

/** Readings of so long are taken together, milliseconds: a hand trembles faster. */
const TOGETHER_MS = 1000;
/** Shown so often, milliseconds. */
const SHOWN_MS = 100;
/** Less still than this, half a degree is not to be had. */
const UNSTEADY_DEG = 1.5;

/** Tilt and pitch of a mount or lens, by the phone held against it. */
export function LevelTab({ target }: { target: Target }): ReactNode {
  const keep = useKeep(target);
  const readings = useRef<{ atMs: number; gravity: Gravity }[]>([]);
  const shownAt = useRef(0);
  const [level, setLevel] = useState<CameraLevel | 'none' | null>(null);
  const motion = useMotion(({ atMs, gravity }) => {
    if (!gravity) return;
    readings.current.push({ atMs, gravity });
    readings.current = readings.current.filter((one) => atMs - one.atMs <= TOGETHER_MS);
    if (atMs - shownAt.current < SHOWN_MS) return;
    shownAt.current = atMs;
    setLevel(levelOf(readings.current.map((one) => one.gravity)) ?? 'none');
  });
  const running = motion.state === 'running';
  const told = running && level !== null && level !== 'none' ? level : null;
  const still = told !== null && told.unsteadyDeg <= UNSTEADY_DEG;
  return (
    <section className={shared.part} aria-label={messages.level}>
      <p className="quiet">{messages.levelHow}</p>
      {told ? <Horizon level={told} /> : null}
      {running && level === 'none' && <p role="status">{messages.heldFlat}</p>}
      {told && !still && <p role="status">{messages.holdStill({ unsteady: tenths(told.unsteadyDeg) })}</p>}
      <NoSensor state={motion.state} />
      <Foot>
        {told ? (
          <Button
            type="primary"
            size="large"
            disabled={!still}
            onClick={() => {
              keep({ is: 'level', ...told }, 'phone');
              motion.stop();
            }}
          >
            {messages.keepLevel({ tilt: tenths(told.tiltDeg), pitch: tenths(told.pitchDeg) })}
          </Button>
        ) : (
          <Button type="primary" size="large" loading={motion.state === 'asking'} onClick={motion.start}>
            {messages.beginLevel}
          </Button>
        )}
      </Foot>
    </section>
  );
}

/** Half of the drawing, and how far a degree of pitch moves the horizon in it. */
const HALF = 100;
const PER_DEG = 2;

function Horizon({ level: { tiltDeg, pitchDeg } }: { level: CameraLevel }): ReactNode {
  // Rolled clockwise, it sees the horizon turned the other way; looking down, it sees it higher.
  const rise = Math.max(-HALF, Math.min(HALF, pitchDeg * PER_DEG));
  return (
    <div className={styles.level}>
      <svg viewBox={`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF}`} aria-hidden>
        <circle r={HALF - 2} className={styles.rim} />
        <path d={`M${-HALF},0H${-HALF + 24}M${HALF - 24},0H${HALF}`} className={styles.mark} />
        <g transform={`rotate(${-tiltDeg}) translate(0 ${-rise})`}>
          <path d={`M${-HALF * 0.72},0H${HALF * 0.72}`} className={styles.horizon} />
        </g>
      </svg>
      <dl className="numerals">
        <dt>{messages.tilt}</dt>
        <dd>{messages.degrees({ value: tenths(tiltDeg) })}</dd>
        <dt>{messages.pitch}</dt>
        <dd>{messages.degrees({ value: tenths(pitchDeg) })}</dd>
      </dl>
    </div>
  );
}
