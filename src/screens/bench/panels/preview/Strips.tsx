'use client';

import * as messages from '@/language/bench/preview';
import { Phrase } from '../../../ui/Phrase';
import { memo, useEffect, useRef } from 'react';
import type { ReactNode } from 'react';
import { sharpnessPulse } from '@/core/preview/judge';
import type { Picture } from '@/core/preview/develop';
import { trimmed } from '@/core/units/format';
import styles from './preview.module.css';
import { pictureAt } from './useFilms';
import type { Film } from './useFilms';

/** Frames of the film side by side, so that smear and stutter are seen without playing: six from where it stands. */
const SHOWN = 6;

export const Strips = memo(function Strips({
  films,
  fine,
  names,
  place,
}: {
  films: readonly Film[];
  /** The films are filled in place: this says when to look again. */
  fine: boolean;
  names: readonly string[];
  place: number;
}): ReactNode {
  const most = Math.max(1e-6, ...films.flatMap(({ sharpness }) => sharpness));
  return (
    <div className={styles.strips} data-refined={fine}>
      <h3>{messages.frameByFrame}</h3>
      {films.map((film, side) => {
        const along = film.reel.shown.map((index) => film.sharpness[index] ?? 0);
        const pulse = 100 * sharpnessPulse(along);
        const again = repeats(film);
        return (
          <div key={side} className={styles.strips}>
            <p>
              <Phrase
                of={messages.sharpnessComesAndGoesBy({
                  pulse: trimmed(pulse, 1),
                  again:
                    again > 0 ? messages.ofFramesOnlyRepeatThe({ again, count: film.reel.shown.length }) : '',
                })}
                parts={[<b>{side === 0 ? 'A' : 'B'}</b>, names[side]]}
              />
            </p>
            <ol className={styles.strip}>
              {Array.from({ length: SHOWN }, (_, step) => {
                const at = (place + step) % film.reel.shown.length;
                const same = at > 0 && film.reel.shown[at] === film.reel.shown[at - 1];
                return (
                  <li key={step} data-again={same}>
                    <Still picture={pictureAt(film, at)} name={messages.frame({ at: at + 1 })} />
                    {at + 1}
                    {same ? messages.theSameAgain : ''}
                  </li>
                );
              })}
            </ol>
            <svg
              className={styles.pulse}
              viewBox={`0 0 ${Math.max(1, along.length - 1)} 1`}
              preserveAspectRatio="none"
              role="img"
              aria-label={messages.sharpnessOfAlongTheLoop({
                side: names[side] ?? '',
                pulse: trimmed(pulse, 1),
              })}
            >
              <line x1={0} x2={along.length} y1={1} y2={1} />
              <polyline points={along.map((value, at) => `${at},${1 - value / most}`).join(' ')} />
            </svg>
          </div>
        );
      })}
      <p className="quiet">{messages.theLineIsTheSharpness}</p>
    </div>
  );
});

function repeats({ reel: { shown } }: Film): number {
  return shown.filter((index, at) => at > 0 && shown[at - 1] === index).length;
}

function Still({ picture, name }: { picture: Picture | null; name: string }): ReactNode {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!canvas.current || !picture) return;
    canvas.current.width = picture.width;
    canvas.current.height = picture.height;
    canvas.current
      .getContext('2d')
      ?.putImageData(new ImageData(picture.rgba, picture.width, picture.height), 0, 0);
  }, [picture]);
  return <canvas ref={canvas} role="img" aria-label={name} />;
}
