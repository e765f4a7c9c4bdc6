import * as messages from '@/language/bench/preview';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { RefObject } from 'react';
import { LiveDrawing } from './graphics';
import type { Film, Films } from './useFilms';
import { pictureAt } from './useFilms';
import { drawStage, readColours } from './stage';
import type { Backs, StageView } from './stage';
import { useReducedMotion } from '../../../ui/useMediaQuery';

/** What a stage is drawn from and played at. */
export interface Staged {
  films: Films;
  view: StageView;
  /** Height over width of one picture. */
  shape: number;
  timelineFps: number;
  /** The place shown when it stands still. */
  onPlace: (place: number) => void;
  /** Drawn live on the graphics card, where there is one. */
  live: boolean;
}

/** The parts of the player that are told directly at each frame, without drawing the screen anew. */
interface StageParts {
  canvas: RefObject<HTMLCanvasElement | null>;
  range: RefObject<HTMLInputElement | null>;
  told: RefObject<HTMLOutputElement | null>;
}

/** Plays the films in step at the rate of the timeline, or stands at one frame of them. */
export function usePlaying({ films, view, shape, timelineFps, onPlace, live }: Staged): StageParts & {
  playing: boolean;
  places: number;
  /** Plays on, or stands where it is. */
  toggle: () => void;
  /** Goes so many frames on. */
  step: (frames: number) => void;
  stand: (place: number) => void;
} {
  const canvas = useRef<HTMLCanvasElement>(null);
  const backs = useRef<Backs | null>(null);
  const range = useRef<HTMLInputElement>(null);
  const told = useRef<HTMLOutputElement>(null);
  const place = useRef(0);
  const drawings = useRef<(LiveDrawing | null)[]>([]);
  const calm = useReducedMotion();
  const [wants, setWants] = useState<boolean | null>(null);
  // Nothing moves by itself for a person who asked for less of it.
  const playing = wants ?? !calm;
  const [first] = films.films;
  const places = first?.reel.shown.length ?? 1;
  const whole = films.drawn >= films.wanted;

  const draw = useCallback(() => {
    const at = canvas.current;
    if (!at) return;
    backs.current ??= [document.createElement('canvas'), document.createElement('canvas')];
    const box = at.getBoundingClientRect();
    const sharp = Math.min(2, devicePixelRatio);
    const [width, height] = [Math.round(box.width * sharp), Math.round(box.height * sharp)];
    if (at.width !== width || at.height !== height) {
      at.width = width;
      at.height = height;
    }
    const pictures = films.films.map((film: Film) => pictureAt(film, place.current));
    const wide = view.layout === 'sideBySide' && films.films.length > 1 ? width / 2 : width;
    const drawnLive = films.films.map((film, side) => {
      const frame = film.reel.captured[film.reel.shown[place.current] ?? 0];
      const drawing = live ? drawings.current[side] : undefined;
      return drawing && frame ? drawing.draw(frame, Math.round(wide), Math.round(wide * shape)) : null;
    });
    drawStage(at, backs.current, pictures, view, readColours(), drawnLive);
    if (range.current) range.current.value = String(place.current);
    if (told.current)
      told.current.textContent = messages.currentOfPlaces({ current: place.current + 1, places });
  }, [films, view, places, shape, live]);

  const takes = films.films;
  useEffect(() => {
    if (!live) return;
    const made = takes.map(({ take }) => LiveDrawing.of(take));
    drawings.current = made;
    return () => {
      drawings.current = [];
      for (const drawing of made) drawing?.close();
    };
    // A drawing is made for a take, not for each picture of it that comes.
  }, [live, takes]);

  useEffect(() => {
    place.current = Math.min(place.current, Math.max(0, places - 1));
    draw();
  }, [draw, places]);

  useEffect(() => {
    // Half a loop would jump; and the first pass has better use for the machine.
    if (!playing || !whole || places < 2) return;
    const began = performance.now() - (1000 * place.current) / timelineFps;
    let frame = 0;
    const tick = (): void => {
      const now = Math.floor(((performance.now() - began) * timelineFps) / 1000) % places;
      if (now !== place.current) {
        place.current = now;
        draw();
      }
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [playing, whole, places, timelineFps, draw]);

  useEffect(() => {
    const again = (): void => draw();
    const observer = new ResizeObserver(again);
    if (canvas.current) observer.observe(canvas.current);
    return () => {
      observer.disconnect();
    };
  }, [draw]);

  const stand = (to: number): void => {
    setWants(false);
    place.current = (to + places) % places;
    onPlace(place.current);
    draw();
  };
  return {
    canvas,
    range,
    told,
    playing,
    places,
    toggle: () => {
      if (playing) onPlace(place.current);
      setWants(!playing);
    },
    step: (frames) => stand(place.current + frames),
    stand,
  };
}
