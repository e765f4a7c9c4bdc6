'use client';

import * as messages from '@/language/practice';
import { Button } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { EyeQuestion } from '@/core/eye/question';
import type { EyeChoice } from '@/core/records/ownEye';
import { ACTIVITY_LABEL, MOUNT_LABEL } from '@/words/labels';
import { useFilms } from '../../bench/panels/preview/useFilms';
import { useReducedMotion } from '../../ui/useMediaQuery';
import { FilmCanvas, useFilmPlace } from '../FilmCanvas';
import styles from './eye.module.css';

const NAMES = ['A', 'B'] as const;
const WIDTH = 640;

/** Two short films of one shot, in step; each is its own button. */
export function PairOfFilms({
  question,
  enabled,
  onSaid,
}: {
  question: EyeQuestion;
  enabled: boolean;
  onSaid: (said: EyeChoice) => void;
}): ReactNode {
  const films = useFilms(question.takes, WIDTH);
  const { mount, playback } = question.shot;
  const calm = useReducedMotion();
  const [wants, setWants] = useState<boolean | null>(null);
  const playing = wants ?? !calm;
  const whole = films.wanted > 0 && films.drawn >= films.wanted;
  const place = useFilmPlace(films.films, playing && whole, playback.timelineFps);
  useHotkeys('a, left', () => onSaid('first'), { enabled });
  useHotkeys('b, right', () => onSaid('second'), { enabled });
  useHotkeys('c', () => onSaid('neither'), { enabled });
  const shape = playback.deliver.height / playback.deliver.width;
  return (
    <>
      <p>
        {messages.sameShot({
          mount: MOUNT_LABEL[mount.kind],
          activity: ACTIVITY_LABEL[mount.activity],
          slowed: playback.slowdown === 1 ? '' : messages.slowedBy({ times: playback.slowdown }),
        })}
      </p>
      <div className={styles.films}>
        {NAMES.map((name, side) => (
          <button
            key={name}
            type="button"
            className={styles.film}
            disabled={!enabled}
            aria-label={messages.better({ name })}
            onClick={() => onSaid(side === 0 ? 'first' : 'second')}
          >
            <FilmCanvas film={films.films[side]} place={place} shape={shape} />
            <span className={styles.name} aria-hidden>
              <b>{name}</b> {messages.thisIsBetter}
            </span>
          </button>
        ))}
      </div>
      <div className={styles.presses}>
        <Button size="large" disabled={!enabled} onClick={() => onSaid('neither')}>
          {messages.cannotTell}
        </Button>
        <Button size="large" onClick={() => setWants(!playing)}>
          {playing ? messages.freeze : messages.play}
        </Button>
        <span className="quiet" role="status">
          {films.failed !== null
            ? messages.notDrawn({ why: films.failed })
            : whole
              ? ''
              : messages.drawing({ drawn: films.drawn, wanted: films.wanted })}
        </span>
      </div>
    </>
  );
}
