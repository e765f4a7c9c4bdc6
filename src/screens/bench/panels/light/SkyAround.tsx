'use client';

import * as messages from '@/language/bench/light';
import { Button } from 'antd';
import { scaleLinear } from 'd3-scale';
import { useRef } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import { sunPosition } from '@/core/light/sun/position';
import type { SunLight } from '@/core/light/sun/sunLight';
import { omit } from '@/core/units/omit';
import type { Solution } from '@/core/answer/solve';
import { trimmed } from '@/core/units/format';
import { headingText } from '@/words/lightText';
import type { ShotEditing } from '../../../data/useShotEditing';
import { useWidth } from '../../../ui/useWidth';
import styles from './sky.module.css';
import { arrowStep, sliderStep } from '../../../ui/arrowKeys';
import { pointIn, usePointerDrag } from '../../../ui/usePointerDrag';
import { BOTTOM_DEG, HEIGHT, SkyBackdrop, TOP_DEG } from './SkyBackdrop';
import { HorizonChoice } from './HorizonChoice';
import { changingSun, ordered, withCorner } from './sunEditing';
import { SunFigures } from './SunFigures';

/** All round the place: the sun's way over the day, what stands in it, and where the camera looks. */
export function SkyAround({
  light,
  solution,
  editing,
}: {
  light: SunLight;
  solution: Solution;
  editing: ShotEditing;
}): ReactNode {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const middle = (Date.parse(light.from) + Date.parse(light.to)) / 2;
  const sun = sunPosition(light, middle);
  const x = scaleLinear([0, 360], [8, Math.max(9, width - 8)]);
  const y = scaleLinear([BOTTOM_DEG, TOP_DEG], [HEIGHT - 22, 10]);
  const horizon = light.horizon && ordered(light.horizon);
  const heading = light.headingsDeg?.length === 1 ? (light.headingsDeg[0] ?? null) : null;
  const setHorizon = (label: string, next: SunLight['horizon']): void =>
    editing.commit(
      label,
      changingSun((old) => (next ? { ...old, horizon: next } : omit(old, 'horizon'))),
    );
  const moveCorner = (at: number, azimuthDeg: number, altitudeDeg: number): void =>
    editing.preview(
      messages.drawTheHorizon,
      changingSun((old) =>
        old.horizon
          ? { ...old, horizon: withCorner(ordered(old.horizon), at, azimuthDeg, altitudeDeg) }
          : old,
      ),
    );
  const setHeading = (to: number): void =>
    editing.preview(
      messages.turnTheCamera,
      changingSun((old) => ({ ...old, headingsDeg: [((Math.round(to) % 360) + 360) % 360] })),
    );
  const { grip } = usePointerDrag<'heading' | number, { azimuthDeg: number; altitudeDeg: number }>(
    (event) => {
      const point = pointIn(frame.current, event);
      return point && { azimuthDeg: x.invert(point.x), altitudeDeg: y.invert(point.y) };
    },
    {
      pull: ({ held, to }) => {
        if (held === 'heading') setHeading(to.azimuthDeg);
        else moveCorner(held, to.azimuthDeg, to.altitudeDeg);
      },
      drop: ({ held }) =>
        editing.commit(held === 'heading' ? messages.turnTheCamera : messages.drawTheHorizon),
    },
  );
  const cornerKeys = (event: KeyboardEvent, at: number): void => {
    const point = horizon?.points[at];
    if (!horizon || !point) return;
    const step = arrowStep(event, 5);
    if (step) moveCorner(at, point.azimuthDeg + step.across, point.altitudeDeg + step.up);
    else if (event.key === 'Delete' && horizon.points.length > 1)
      setHorizon(messages.takeACornerOfThe, {
        ...horizon,
        points: horizon.points.filter((_, index) => index !== at),
      });
    else return;
    event.preventDefault();
  };

  return (
    <section aria-labelledby="sky-title" className={styles.section}>
      <div className={styles.head}>
        <h2 id="sky-title">{messages.allRoundThePlace}</h2>
        <HorizonChoice light={light} onSet={setHorizon} />
        <HeadingChoice light={light} heading={heading} sunDeg={sun.azimuthDeg} editing={editing} />
      </div>
      <div ref={frame} className={styles.sky}>
        {width > 0 && (
          <svg width={width} height={HEIGHT} role="group" aria-label={messages.theSkyAllRoundFrom}>
            <SkyBackdrop light={light} solution={solution} middle={middle} x={x} y={y} />
            {heading !== null && (
              <g
                {...grip('heading')}
                role="slider"
                tabIndex={0}
                className={styles.grip}
                aria-label={messages.whereTheCameraLooks}
                aria-valuemin={0}
                aria-valuemax={359}
                aria-valuenow={heading}
                aria-valuetext={headingText(heading)}
                onKeyDown={(event) => {
                  const step = sliderStep(event, 9);
                  if (step !== null) setHeading(heading + step * 5);
                }}
              >
                <rect x={x(heading) - 22} y={y(0) - 22} width={44} height={44} fill="transparent" />
                <path d={`M${x(heading)},${y(0) - 12}l9,12l-9,12l-9,-12z`} className={styles.aim} />
              </g>
            )}
            {horizon?.points.map((point, at) => (
              <g
                key={at}
                {...grip(at)}
                role="slider"
                tabIndex={0}
                className={styles.grip}
                aria-label={messages.cornerOfTheHorizon({ at: at + 1 })}
                aria-valuemin={0}
                aria-valuemax={89}
                aria-valuenow={Math.round(point.altitudeDeg)}
                aria-valuetext={messages.highAt({
                  altitudeDeg: trimmed(point.altitudeDeg, 0),
                  azimuthDeg: headingText(point.azimuthDeg),
                })}
                onKeyDown={(event) => cornerKeys(event, at)}
              >
                <rect
                  x={x(point.azimuthDeg) - 14}
                  y={y(point.altitudeDeg) - 14}
                  width={28}
                  height={28}
                  fill="transparent"
                />
                <rect
                  x={x(point.azimuthDeg) - 5}
                  y={y(point.altitudeDeg) - 5}
                  width={10}
                  height={10}
                  className={styles.corner}
                />
              </g>
            ))}
          </svg>
        )}
      </div>
      <SunFigures light={light} solution={solution} middle={middle} />
    </section>
  );
}

/** Says where the camera looks, or lets it look anywhere. */
function HeadingChoice({
  light,
  heading,
  sunDeg,
  editing,
}: {
  light: SunLight;
  heading: number | null;
  /** Where the sun stands in the middle of the run, degrees from north. */
  sunDeg: number;
  editing: ShotEditing;
}): ReactNode {
  return heading === null ? (
    <Button
      onClick={() =>
        editing.commit(
          messages.sayWhereTheCameraLooksWord,
          changingSun((old) => ({ ...old, headingsDeg: [Math.round((sunDeg + 90) % 360)] })),
        )
      }
    >
      {light.headingsDeg
        ? messages.looksWaysMakeItOne({ count: light.headingsDeg.length })
        : messages.sayWhereTheCameraLooksTitle}
    </Button>
  ) : (
    <Button
      type="text"
      onClick={() =>
        editing.commit(
          messages.lookAnywhere,
          changingSun((old) => omit(old, 'headingsDeg')),
        )
      }
    >
      {messages.letItLookAnywhere}
    </Button>
  );
}
