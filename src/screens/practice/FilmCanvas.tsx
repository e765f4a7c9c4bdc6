'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { pictureAt } from '../bench/panels/preview/useFilms';
import type { Film } from '../bench/panels/preview/useFilms';

/** The frame of the timeline that is shown, going on by itself while it plays. */
export function useFilmPlace(films: readonly Film[], plays: boolean, timelineFps: number): number {
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

/** One film, one picture at a time. */
export function FilmCanvas({
  film,
  place,
  shape,
}: {
  film: Film | undefined;
  place: number;
  /** Height over width. */
  shape: number;
}): ReactNode {
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
