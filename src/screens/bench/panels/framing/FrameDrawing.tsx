'use client';

import * as messages from '@/language/bench/framing';
import { useRef } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import { habitsOf } from '@/core/vocabulary/mounts';
import { standsAt } from '@/core/optics/framing';
import type { Brief } from '@/core/brief/brief';
import type { FramedView } from '@/core/compare/framed';
import { trimmed } from '@/core/units/format';
import { viewLabel } from '@/words/labels';
import { framePath, groundPaths, horizonPath, obstructionPath, subjectPath } from './drawing';
import type { FramingMoves } from './moves';
import { arrowStep } from '../../../ui/arrowKeys';
import { pointIn, usePointerDrag } from '../../../ui/usePointerDrag';
import styles from './framing.module.css';

/** The drawing is at most this high, pixels; an upright frame is narrower for it. */
const MOST_HEIGHT = 440;

/** The picture through the lens. The wider of two views fills the drawing; the other's edge lies in it. */
export function FrameDrawing({
  brief,
  here,
  beside,
  moves,
}: {
  brief: Brief;
  here: FramedView;
  beside: FramedView | null;
  moves: FramingMoves;
}): ReactNode {
  const svg = useRef<SVGSVGElement>(null);
  const outer = beside && beside.shape.lens.horizontalDeg > here.shape.lens.horizontalDeg ? beside : here;
  const inner = beside === null ? null : outer === here ? beside : here;
  const { shape } = outer;
  const tall = shape.heightPx / shape.widthPx;
  const habits = habitsOf(brief.mount.kind, brief.mount.place);
  const { subject } = here;

  const { grip } = usePointerDrag<{ what: 'subject' | 'pitch'; pitchDeg: number }, { x: number; y: number }>(
    (event) => {
      const point = pointIn(svg.current, event);
      return (
        point && {
          x: (point.x / point.width) * 2 - 1,
          y: ((point.y / point.height) * 2 - 1) * tall,
        }
      );
    },
    {
      pull: ({ held, from, to }) => {
        if (held.what === 'pitch') {
          moves.pitch(held.pitchDeg - ((to.y - from.y) / tall) * (outer.verticalDeg / 2));
          return;
        }
        const stands = standsAt(shape, to, subject.distanceM);
        if (stands) moves.subject(stands);
      },
      drop: () => moves.done(),
    },
  );
  const { pitchDeg } = brief.mount;
  const step = (event: KeyboardEvent, what: 'subject' | 'pitch'): void => {
    const step = arrowStep(event, 5);
    if (!step) return;
    const way = step.across - step.up;
    if (what === 'pitch') moves.pitch(pitchDeg + way);
    else moves.subject({ sideM: subject.sideM + (way * subject.distanceM) / 20 });
  };

  return (
    <figure className={styles.frame}>
      <svg
        ref={svg}
        style={{ maxWidth: MOST_HEIGHT / tall }}
        viewBox={`-1 ${-tall} 2 ${2 * tall}`}
        role="group"
        aria-label={messages.theFrameOf({ camera: here.camera.name, viewId: viewLabel(here.viewId) })}
      >
        <rect x={-1} y={-tall} width={2} height={2 * tall} className={styles.sky} />
        <g className={styles.ground} aria-hidden>
          {groundPaths(shape, habits.heightM).map((path, index) => (
            <path key={index} d={path} />
          ))}
        </g>
        <g
          role="slider"
          tabIndex={0}
          className={styles.horizon}
          aria-label={messages.cameraLooksDownBy}
          aria-orientation="vertical"
          aria-valuenow={brief.mount.pitchDeg}
          aria-valuemin={-90}
          aria-valuemax={90}
          aria-valuetext={messages.belowTheHorizon({ pitchDeg: trimmed(brief.mount.pitchDeg, 0) })}
          {...grip({ what: 'pitch', pitchDeg })}
          onKeyDown={(event) => step(event, 'pitch')}
        >
          <path d={horizonPath(shape)} className={styles.grab} />
          <path d={horizonPath(shape)} />
        </g>
        <g
          role="slider"
          tabIndex={0}
          className={styles.subject}
          data-mine={brief.motion.subject !== null}
          aria-label={messages.subjectInTheFrameTo}
          aria-valuenow={subject.sideM}
          aria-valuemin={-10_000}
          aria-valuemax={10_000}
          aria-valuetext={sideText(subject.sideM)}
          {...grip({ what: 'subject', pitchDeg })}
          onKeyDown={(event) => step(event, 'subject')}
        >
          <path d={subjectPath(shape, subject)} />
        </g>
        <g className={styles.inTheWay} aria-hidden>
          {habits.inTheWay.map((thing, index) => (
            <path key={index} d={obstructionPath(shape, thing)} />
          ))}
        </g>
        {inner && (
          <path
            d={framePath(shape, inner.shape)}
            className={inner === here ? styles.edgeHere : styles.edgeOther}
          />
        )}
        <rect
          x={-1}
          y={-tall}
          width={2}
          height={2 * tall}
          className={outer === here ? styles.edgeHere : styles.edgeOther}
        />
      </svg>
      <figcaption className="quiet">
        {messages.throughTheLensAcrossUpright({
          horizontalDeg: trimmed(here.shape.lens.horizontalDeg, 0),
          verticalDeg: trimmed(here.verticalDeg, 0),
          inner: inner
            ? messages.dashed({ camera: beside?.camera.name ?? '', viewId: viewLabel(beside?.viewId ?? '') })
            : '',
        })}
      </figcaption>
    </figure>
  );
}

export function sideText(sideM: number): string {
  if (Math.abs(sideM) < 0.005) return messages.straightAhead;
  return messages.mToTheRight({ sideM: trimmed(Math.abs(sideM), 2), hasSideM: sideM > 0 });
}
