'use client';

import * as messages from '@/language/bench/preview';
import { Button } from 'antd';
import { Pause, Play, StepBack, StepForward } from 'lucide-react';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { PointerEvent, ReactNode } from 'react';
import { Card } from './card';
import { pictureAt } from './useFilms';
import type { Film, Films } from './useFilms';
import styles from './preview.module.css';
import { drawStage, readColours } from './stage';
import type { Backs, StageView } from './stage';
import { useReducedMotion } from './useReducedMotion';

/** The stage and its transport: both films in step at the rate of the timeline, or frozen and stepped by frame. */
export function Player({
  films,
  names,
  view,
  shape,
  timelineFps,
  onDivide,
  onLoupe,
  onPlace,
  byCard = false,
}: {
  films: Films;
  names: readonly string[];
  view: StageView;
  /** Height over width of one picture. */
  shape: number;
  timelineFps: number;
  onDivide: (share: number) => void;
  onLoupe: (place: { x: number; y: number }) => void;
  /** The place shown when it stands still. */
  onPlace: (place: number) => void;
  /** Drawn live on the graphics card, where there is one. */
  byCard?: boolean;
}): ReactNode {
  const canvas = useRef<HTMLCanvasElement>(null);
  const backs = useRef<Backs | null>(null);
  const range = useRef<HTMLInputElement>(null);
  const told = useRef<HTMLOutputElement>(null);
  const place = useRef(0);
  const cards = useRef<(Card | null)[]>([]);
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
    const live = films.films.map((film, side) => {
      const frame = film.reel.captured[film.reel.shown[place.current] ?? 0];
      const card = byCard ? cards.current[side] : undefined;
      return card && frame ? card.draw(frame, Math.round(wide), Math.round(wide * shape)) : null;
    });
    drawStage(at, backs.current, pictures, view, readColours(), live);
    if (range.current) range.current.value = String(place.current);
    if (told.current)
      told.current.textContent = messages.currentOfPlaces({ current: place.current + 1, places });
  }, [films, view, places, shape, byCard]);

  const takes = films.films;
  useEffect(() => {
    if (!byCard) return;
    const made = takes.map(({ take }) => Card.of(take));
    cards.current = made;
    return () => {
      cards.current = [];
      for (const card of made) card?.close();
    };
    // A card is made for a take, not for each picture of it that comes.
  }, [byCard, takes]);

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
  const pointed = (event: PointerEvent<HTMLCanvasElement>): { x: number; y: number } => {
    const box = event.currentTarget.getBoundingClientRect();
    return { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
  };
  const drag = (event: PointerEvent<HTMLCanvasElement>): void => {
    const { x, y } = pointed(event);
    if (view.loupe) {
      const within = view.layout === 'divide' ? x : (2 * x) % 1;
      onLoupe({ x: clamp(within), y: clamp(y) });
    } else if (view.layout === 'divide' && event.buttons > 0) onDivide(clamp(x));
  };
  const sides = view.layout === 'sideBySide' && films.films.length > 1 ? 2 : 1;
  return (
    <div className={styles.player}>
      <canvas
        ref={canvas}
        className={styles.stage}
        style={{ aspectRatio: `${sides} / ${shape}` }}
        role="img"
        aria-label={messages.simulatedPicture({ names: names.join(messages.beside) })}
        data-divide={view.layout === 'divide' && !view.loupe}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          drag(event);
        }}
        onPointerMove={drag}
      />
      <div className={styles.names} aria-hidden>
        {names.map((name, side) => (
          <span key={side}>
            <b>{side === 0 ? 'A' : 'B'}</b> {name}
          </span>
        ))}
      </div>
      <div className={styles.transport}>
        <Button
          aria-label={playing ? messages.freeze : messages.play}
          icon={playing ? <Pause size={18} aria-hidden /> : <Play size={18} aria-hidden />}
          onClick={() => {
            if (playing) onPlace(place.current);
            setWants(!playing);
          }}
        />
        <Button
          aria-label={messages.oneFrameBack}
          icon={<StepBack size={18} aria-hidden />}
          onClick={() => stand(place.current - 1)}
        />
        <Button
          aria-label={messages.oneFrameOn}
          icon={<StepForward size={18} aria-hidden />}
          onClick={() => stand(place.current + 1)}
        />
        <input
          ref={range}
          type="range"
          className={styles.range}
          min={0}
          max={places - 1}
          defaultValue={0}
          aria-label={messages.frameOfTheFilm}
          onChange={(event) => stand(Number(event.target.value))}
        />
        <output ref={told} className="numerals" aria-live="off" />
      </div>
    </div>
  );
}

function clamp(share: number): number {
  return Math.min(1, Math.max(0, share));
}
