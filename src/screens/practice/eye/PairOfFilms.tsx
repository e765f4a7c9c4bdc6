'use client';

import * as messages from '@/language/practice';
import { Button } from 'antd';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { EyeQuestion } from '@/core/eye/question';
import type { Said } from '@/core/records/ownEye';
import { ACTIVITY_LABEL, MOUNT_LABEL } from '@/words/labels';
import { pictureAt, useFilms } from '../../bench/panels/preview/useFilms';
import type { Film } from '../../bench/panels/preview/useFilms';
import { useReducedMotion } from '../../ui/useReducedMotion';
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
  onSaid: (said: Said) => void;
}): ReactNode {
  const films = useFilms(question.takes, WIDTH);
  const { mount, playback } = question.shot;
  const calm = useReducedMotion();
  const [wants, setWants] = useState<boolean | null>(null);
  const playing = wants ?? !calm;
  const whole = films.wanted > 0 && films.drawn >= films.wanted;
  const place = usePlace(films.films, playing && whole, playback.timelineFps);
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
            <Canvas film={films.films[side]} place={place} shape={shape} />
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

/** The frame of the timeline that is shown, going on by itself while it plays. */
function usePlace(films: readonly Film[], plays: boolean, timelineFps: number): number {
  const [place, setPlace] = useState(0);
  const places = films[0]?.reel.shown.length ?? 1;
  useEffect(() => {
    if (!plays || places < 2) return undefined;
    const began = performance.now();
    let frame = 0;
    const tick = (): void => {
      setPlace(Math.floor(((performance.now() - began) * timelineFps) / 1000) % places);
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [plays, places, timelineFps]);
  return place;
}

function Canvas({ film, place, shape }: { film: Film | undefined; place: number; shape: number }): ReactNode {
  const canvas = useRef<HTMLCanvasElement>(null);
  const draw = useCallback(() => {
    const picture = film && pictureAt(film, place);
    const at = canvas.current;
    if (!picture || !at) return;
    if (at.width !== picture.width || at.height !== picture.height) {
      at.width = picture.width;
      at.height = picture.height;
    }
    at.getContext('2d')?.putImageData(new ImageData(picture.rgba, picture.width, picture.height), 0, 0);
  }, [film, place]);
  useEffect(draw);
  return <canvas ref={canvas} style={{ aspectRatio: `1 / ${shape}` }} aria-hidden />;
}
