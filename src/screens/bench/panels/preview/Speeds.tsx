'use client';

import { Button } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import type { Settings } from '@/core/records/settings';
import { without } from '@/core/units/without';
import { rampOf } from '@/core/playback/speeds';
import type { MotionSheet } from '@/core/compare/motionSheet';
import { trimmed } from '@/core/units/format';
import { speedText } from '@/words/motionText';
import { NumberField } from '../../../ui/Fields';
import type { ShotEditing } from '../../../data/useShotEditing';
import styles from './preview.module.css';

/** Speeds that one clip is played at, each judged; and a ramp between two of them. */
export function Speeds({
  sheet,
  settings,
  brief,
  editing,
}: {
  sheet: MotionSheet;
  settings: Settings;
  brief: Brief;
  editing: ShotEditing;
}): ReactNode {
  const { timelineFps, slowdown, alsoSlowdowns } = brief.playback;
  const [more, setMore] = useState(4);
  const [ramp, setRamp] = useState({ from: 1, to: Math.max(2, slowdown), seconds: 1.5 });
  const figures = rampOf(settings.frameRate, timelineFps, ramp.from, ramp.to, ramp.seconds);
  const all = [slowdown, ...alsoSlowdowns];
  const setAll = (speeds: readonly number[]): void =>
    editing.commit('change the speeds it is played at', (shot) => {
      const slowest = Math.max(...speeds);
      const others = speeds.filter((one) => one !== slowest);
      const playback = without({ ...shot.playback, slowdown: slowest }, 'alsoSlowdowns');
      return { ...shot, playback: others.length === 0 ? playback : { ...playback, alsoSlowdowns: others } };
    });
  return (
    <div className={styles.columns}>
      <div className={styles.side}>
        <h3>Speeds it is played at</h3>
        <ul className={styles.speeds}>
          {sheet.speeds.map((speed) => (
            <li key={speed.slowdown}>
              {speedText(speed)}{' '}
              {all.length > 1 && (
                <Button
                  type="text"
                  aria-label={`Drop the speed ${trimmed(speed.slowdown, 2)}×`}
                  onClick={() => setAll(all.filter((one) => one !== speed.slowdown))}
                >
                  drop
                </Button>
              )}
            </li>
          ))}
        </ul>
        <div className={styles.fields}>
          <NumberField
            label="Played slower by"
            unit="×"
            value={more}
            min={0.02}
            max={64}
            step={0.5}
            onCommit={(value) => setMore(value ?? 1)}
          />
          <Button disabled={all.includes(more) || all.length > 4} onClick={() => setAll([...all, more])}>
            Judge this speed too
          </Button>
        </div>
      </div>
      <div className={styles.side}>
        <h3>A ramp of speed</h3>
        <div className={styles.fields}>
          <NumberField
            label="From"
            unit="×"
            value={ramp.from}
            min={0.02}
            max={64}
            step={0.5}
            onCommit={(from = 1) => setRamp((old) => ({ ...old, from }))}
          />
          <NumberField
            label="To"
            unit="×"
            value={ramp.to}
            min={0.02}
            max={64}
            step={0.5}
            onCommit={(to = 1) => setRamp((old) => ({ ...old, to }))}
          />
          <NumberField
            label="Over"
            unit="s of film"
            value={ramp.seconds}
            min={0.1}
            max={60}
            step={0.5}
            onCommit={(seconds = 1) => setRamp((old) => ({ ...old, seconds }))}
          />
        </div>
        <p role="status">
          {trimmed(settings.frameRate, 3)} fps shows a new frame each time down to{' '}
          <b>{trimmed(figures.smoothToSlowdown, 2)}×</b> slower:{' '}
          {figures.smoothShare >= 1
            ? 'the whole ramp is smooth.'
            : `${trimmed(100 * figures.smoothShare, 0)} % of the ramp is smooth, then frames repeat. Ramp to ${trimmed(figures.smoothToSlowdown, 2)}×, or film faster.`}{' '}
          It takes {trimmed(figures.actionSeconds, 2)} s of action.
        </p>
      </div>
    </div>
  );
}
