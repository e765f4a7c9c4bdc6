'use client';

import * as messages from '@/language/bench/preview';
import { Button } from 'antd';
import { Pause, Play, StepBack, StepForward } from 'lucide-react';
import type { PointerEvent, ReactNode } from 'react';
import { pointIn } from '../../../ui/usePointerDrag';
import styles from './preview.module.css';
import { usePlaying } from './usePlaying';
import type { Staged } from './usePlaying';

/** The stage and its transport: both films in step at the rate of the timeline, or frozen and stepped by frame. */
export function Player({
  names,
  onDivide,
  onLoupe,
  ...staged
}: Staged & {
  names: readonly string[];
  onDivide: (share: number) => void;
  onLoupe: (place: { x: number; y: number }) => void;
}): ReactNode {
  const { canvas, range, told, playing, places, toggle, step, stand } = usePlaying(staged);
  const { films, view, shape } = staged;
  const drag = (event: PointerEvent): void => {
    const point = pointIn(event.currentTarget, event);
    if (!point) return;
    const [x, y] = [point.x / point.width, point.y / point.height];
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
          onClick={toggle}
        />
        <Button
          aria-label={messages.oneFrameBack}
          icon={<StepBack size={18} aria-hidden />}
          onClick={() => step(-1)}
        />
        <Button
          aria-label={messages.oneFrameOn}
          icon={<StepForward size={18} aria-hidden />}
          onClick={() => step(1)}
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
