'use client';

import * as messages from '@/language/bench/preview';
import { Phrase } from '../../../ui/Phrase';
import { Button } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import type { Settings } from '@/core/records/settings';
import { omit } from '@/core/units/omit';
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
    editing.commit(messages.changeTheSpeedsItIs, (shot) => {
      const slowest = Math.max(...speeds);
      const others = speeds.filter((one) => one !== slowest);
      const playback = omit({ ...shot.playback, slowdown: slowest }, 'alsoSlowdowns');
      return { ...shot, playback: others.length === 0 ? playback : { ...playback, alsoSlowdowns: others } };
    });
  return (
    <div className={styles.columns}>
      <div className={styles.side}>
        <h3>{messages.speedsItIsPlayedAt}</h3>
        <ul className={styles.speeds}>
          {sheet.speeds.map((speed) => (
            <li key={speed.slowdown}>
              {speedText(speed)}{' '}
              {all.length > 1 && (
                <Button
                  type="text"
                  aria-label={messages.dropTheSpeed({ slowdown: trimmed(speed.slowdown, 2) })}
                  onClick={() => setAll(all.filter((one) => one !== speed.slowdown))}
                >
                  {messages.drop}
                </Button>
              )}
            </li>
          ))}
        </ul>
        <div className={styles.fields}>
          <NumberField
            label={messages.playedSlowerBy}
            unit="×"
            value={more}
            min={0.02}
            max={64}
            step={0.5}
            onCommit={(value) => setMore(value ?? 1)}
          />
          <Button disabled={all.includes(more) || all.length > 4} onClick={() => setAll([...all, more])}>
            {messages.judgeThisSpeedToo}
          </Button>
        </div>
      </div>
      <div className={styles.side}>
        <h3>{messages.aRampOfSpeed}</h3>
        <div className={styles.fields}>
          <NumberField
            label={messages.from}
            unit="×"
            value={ramp.from}
            min={0.02}
            max={64}
            step={0.5}
            onCommit={(from = 1) => setRamp((old) => ({ ...old, from }))}
          />
          <NumberField
            label={messages.to}
            unit="×"
            value={ramp.to}
            min={0.02}
            max={64}
            step={0.5}
            onCommit={(to = 1) => setRamp((old) => ({ ...old, to }))}
          />
          <NumberField
            label={messages.over}
            unit={messages.sOfFilm}
            value={ramp.seconds}
            min={0.1}
            max={60}
            step={0.5}
            onCommit={(seconds = 1) => setRamp((old) => ({ ...old, seconds }))}
          />
        </div>
        <p role="status">
          <Phrase
            of={messages.fpsShowsANewFrame({
              frameRate: trimmed(settings.frameRate, 3),
              smoothShare:
                figures.smoothShare >= 1
                  ? messages.theWholeRampIsSmooth
                  : messages.ofTheRampIsSmooth({
                      smoothShare: trimmed(100 * figures.smoothShare, 0),
                      smoothToSlowdown: trimmed(figures.smoothToSlowdown, 2),
                    }),
              actionSeconds: trimmed(figures.actionSeconds, 2),
            })}
            parts={[<b>{trimmed(figures.smoothToSlowdown, 2)}×</b>]}
          />
        </p>
      </div>
    </div>
  );
}
