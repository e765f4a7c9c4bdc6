'use client';

import { useEffect, useState } from 'react';
import type { Picture } from '@/core/preview/develop';
import { reelOf } from '@/core/preview/take';
import type { Reel, PreviewTake } from '@/core/preview/take';
import { item } from '@/core/units/items';
import { Studio } from '@/workers/preview';
import { whyText } from '@/words/whyText';

/** A take's pictures as they come, by the index of the captured frame; a finer one takes the place of a coarser one. */
export interface Film {
  take: PreviewTake;
  reel: Reel;
  pictures: (Picture | null)[];
  /** Of each captured frame at the first size; 0 until it is drawn. */
  sharpness: number[];
}

export interface Films {
  films: Film[];
  /** Frames drawn at the first size, of all wanted; and whether the finer pass is done as well. */
  drawn: number;
  wanted: number;
  fine: boolean;
  failed: string | null;
  /** Milliseconds from the wish to the first picture and to the whole loop; `null` until then. */
  firstMs: number | null;
  loopMs: number | null;
}

/** A first look, the loop, and what the picture is refined to once it runs: pixels across. */
const FIRST = { width: 160, rays: 1 };
const LOOP_WIDTH = 320;
/** The screen is told of new pictures no more often than this, milliseconds. */
const TELL_EVERY = 250;

/** One studio for the page, opened with this part of it, so that its workers start while the answer is still drawn. */
const studio = typeof Worker === 'undefined' ? null : new Studio();

/** Has every worker up, with the surfaces of this take at hand, before anyone asks to see it. */
export function warmUp(take: PreviewTake): void {
  const frame = { number: 0, atSeconds: 0 };
  // One film for each worker: each draws a frame of its own.
  const films = Array.from({ length: studio?.workers ?? 0 }, () => ({
    take,
    width: 16,
    frames: [frame],
    rays: 1,
    onPicture: () => undefined,
  }));
  // Nobody waits for it: what fails now fails again, and is told, when a film is asked for.
  studio?.film(films).catch(() => undefined);
}

const NONE: Films = {
  films: [],
  drawn: 0,
  wanted: 0,
  fine: false,
  failed: null,
  firstMs: null,
  loopMs: null,
};

/** Draws these takes in workers: a first picture at once, then the loop, then the same loop finer. */
export function useFilms(takes: readonly PreviewTake[], fineWidth: number): Films {
  const [films, setFilms] = useState<Films>(NONE);

  useEffect(() => {
    if (!studio || takes.length === 0) return;
    const began = performance.now();
    const made = takes.map((take): Film => {
      const reel = reelOf(take);
      const { captured } = reel;
      return { take, reel, pictures: captured.map(() => null), sharpness: captured.map(() => 0) };
    });
    const now: Films = {
      ...NONE,
      films: made,
      wanted: made.reduce((sum, film) => sum + film.pictures.length, 0),
    };
    let live = true;
    let told = 0;
    const tell = (force = false): void => {
      const time = performance.now();
      if (!live || (!force && time - told < TELL_EVERY)) return;
      told = time;
      setFilms({ ...now });
    };
    const pass = (
      width: number,
      rays: number | undefined,
      only: number | null,
      counts: boolean,
    ): Promise<void> =>
      studio.film(
        made.map((film) => ({
          take: film.take,
          width,
          frames: only === null ? film.reel.captured : film.reel.captured.slice(0, only),
          ...(rays === undefined ? {} : { rays }),
          onPicture: (number, picture, sharpness) => {
            if (!live) return;
            const index = film.reel.captured.findIndex((frame) => frame.number === number);
            film.pictures[index] = picture;
            if (counts) {
              film.sharpness[index] = sharpness;
              now.drawn++;
            }
            const first = now.firstMs === null;
            now.firstMs ??= performance.now() - began;
            tell(first);
          },
        })),
      );
    const run = async (): Promise<void> => {
      await pass(FIRST.width, FIRST.rays, 1, false);
      tell(true);
      await pass(LOOP_WIDTH, undefined, null, true);
      now.loopMs = performance.now() - began;
      tell(true);
      if (fineWidth > LOOP_WIDTH) await pass(fineWidth, undefined, null, false);
      now.fine = true;
      tell(true);
    };
    run().catch((error: unknown) => {
      now.failed = whyText(error);
      tell(true);
    });
    return () => {
      live = false;
      studio.stop();
    };
  }, [takes, fineWidth]);
  return films;
}

/** The picture at a place of the timeline: the frame itself, or the nearest before it that is drawn. */
export function pictureAt({ reel, pictures }: Film, place: number): Picture | null {
  if (reel.shown.length === 0) return null;
  const index = item(reel.shown, place % reel.shown.length);
  for (let at = index; at >= 0; at--) {
    const picture = pictures[at];
    if (picture) return picture;
  }
  return null;
}

/** Several films one after the other, as one. */
export function joinedFilms(films: Films): Films {
  const [first] = films.films;
  if (!first) return films;
  const whole: Film = { take: first.take, reel: { captured: [], shown: [] }, pictures: [], sharpness: [] };
  const captured = [];
  const shown = [];
  for (const film of films.films) {
    const before = captured.length;
    captured.push(...film.reel.captured);
    shown.push(...film.reel.shown.map((index) => before + index));
    whole.pictures.push(...film.pictures);
    whole.sharpness.push(...film.sharpness);
  }
  return { ...films, films: [{ ...whole, reel: { captured, shown } }] };
}
