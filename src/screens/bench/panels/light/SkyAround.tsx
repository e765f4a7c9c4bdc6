'use client';

import * as messages from '@/language/bench/light';
import { Button } from 'antd';
import { scaleLinear } from 'd3-scale';
import { useRef, useState } from 'react';
import type { KeyboardEvent, PointerEvent, ReactNode } from 'react';
import { horizonAltitudeDeg } from '@/core/light/sun/horizon';
import { sunPosition } from '@/core/light/sun/position';
import type { SunLight } from '@/core/light/sun/sunLight';
import { without } from '@/core/units/without';
import { aimAt } from '@/core/answer/sunInShot';
import type { Solution } from '@/core/answer/solve';
import { trimmed } from '@/core/units/format';
import { dayAt, wholeHours } from '@/formats/clock';
import { clockText, headingText } from '@/words/lightText';
import type { ShotEditing } from '../../../data/useShotEditing';
import { useWidth } from '../../../ui/useWidth';
import styles from './sky.module.css';
import { HorizonChoice } from './HorizonChoice';
import { changingSun, ordered, withCorner, zoneOf } from './sunEditing';
import { SunFigures } from './SunFigures';

const HEIGHT = 230;
const TOP_DEG = 75;
const BOTTOM_DEG = -12;

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
  const [dragged, setDragged] = useState<'heading' | number | null>(null);
  const zone = zoneOf(light);
  const middle = (Date.parse(light.from) + Date.parse(light.to)) / 2;
  const sun = sunPosition(light, middle);
  const x = scaleLinear([0, 360], [8, Math.max(9, width - 8)]);
  const y = scaleLinear([BOTTOM_DEG, TOP_DEG], [HEIGHT - 22, 10]);
  const day = dayAt(middle, zone);
  const way = Array.from({ length: 289 }, (_, at) =>
    sunPosition(light, day.fromMs + ((day.toMs - day.fromMs) * at) / 288),
  )
    .filter(({ apparentAltitudeDeg }) => apparentAltitudeDeg > BOTTOM_DEG)
    .sort((a, b) => a.azimuthDeg - b.azimuthDeg);
  const horizon = light.horizon && ordered(light.horizon);
  const heading = light.headingsDeg?.length === 1 ? (light.headingsDeg[0] ?? null) : null;
  const { mode } = solution.candidate;
  const aim = aimAt(solution.space.brief, mode, middle);

  const setHorizon = (label: string, next: SunLight['horizon']): void =>
    editing.commit(
      label,
      changingSun((old) => (next ? { ...old, horizon: next } : without(old, 'horizon'))),
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
  const place = (event: PointerEvent): { azimuthDeg: number; altitudeDeg: number } => {
    const box = frame.current?.getBoundingClientRect();
    return {
      azimuthDeg: x.invert(event.clientX - (box?.left ?? 0)),
      altitudeDeg: y.invert(event.clientY - (box?.top ?? 0)),
    };
  };
  const grip = (what: 'heading' | number, move: (event: PointerEvent) => void) => ({
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      setDragged(what);
    },
    onPointerMove: (event: PointerEvent<SVGGElement>) => {
      if (dragged === what) move(event);
    },
    onPointerUp: () => {
      setDragged(null);
      editing.commit(what === 'heading' ? messages.turnTheCamera : messages.drawTheHorizon);
    },
    onPointerCancel: () => setDragged(null),
  });
  const cornerKeys = (event: KeyboardEvent, at: number): void => {
    const point = horizon?.points[at];
    if (!horizon || !point) return;
    const step = event.shiftKey ? 5 : 1;
    const [right, up] = {
      ArrowRight: [step, 0],
      ArrowLeft: [-step, 0],
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
    }[event.key] ?? [0, 0];
    if (right || up) moveCorner(at, point.azimuthDeg + (right ?? 0), point.altitudeDeg + (up ?? 0));
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
        {heading === null ? (
          <Button
            onClick={() =>
              editing.commit(
                messages.sayWhereTheCameraLooksWord,
                changingSun((old) => ({ ...old, headingsDeg: [Math.round((sun.azimuthDeg + 90) % 360)] })),
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
                changingSun((old) => without(old, 'headingsDeg')),
              )
            }
          >
            {messages.letItLookAnywhere}
          </Button>
        )}
      </div>
      <div ref={frame} className={styles.sky}>
        {width > 0 && (
          <svg width={width} height={HEIGHT} role="group" aria-label={messages.theSkyAllRoundFrom}>
            <g aria-hidden>
              {aim && (
                <rect
                  x={x(aim.headingDeg - aim.horizontalDeg / 2)}
                  width={x(aim.horizontalDeg) - x(0)}
                  y={y(-aim.pitchDeg + aim.verticalDeg / 2)}
                  height={y(0) - y(aim.verticalDeg)}
                  className={styles.frame}
                />
              )}
              <polyline
                points={way.map((one) => `${x(one.azimuthDeg)},${y(one.apparentAltitudeDeg)}`).join(' ')}
                className={styles.way}
              />
              {wholeHours(day, zone).map((hour) => {
                const there = sunPosition(light, hour);
                if (there.apparentAltitudeDeg < 0) return null;
                return (
                  <g
                    key={hour}
                    transform={`translate(${x(there.azimuthDeg)},${y(there.apparentAltitudeDeg)})`}
                  >
                    <line y1={-4} y2={4} className={styles.tick} />
                    <text y={-8} textAnchor="middle" className={styles.number}>
                      {clockText(hour, zone).slice(0, 2)}
                    </text>
                  </g>
                );
              })}
              {horizon && <path d={wallPath(horizon, x, y)} className={styles.wall} />}
              <line x1={x(0)} x2={x(360)} y1={y(0)} y2={y(0)} className={styles.level} />
              {[0, 45, 90, 135, 180, 225, 270, 315, 360].map((azimuth) => (
                <text
                  key={azimuth}
                  x={x(azimuth)}
                  y={HEIGHT - 6}
                  textAnchor={azimuth === 0 ? 'start' : azimuth === 360 ? 'end' : 'middle'}
                  className={styles.number}
                >
                  {headingText(azimuth).split(' ')[0]}
                </text>
              ))}
              {sun.apparentAltitudeDeg > BOTTOM_DEG && (
                <g transform={`translate(${x(sun.azimuthDeg)},${y(sun.apparentAltitudeDeg)})`}>
                  <circle r={7} className={styles.sun} />
                </g>
              )}
            </g>
            {heading !== null && (
              <g
                {...grip('heading', (event) => setHeading(place(event).azimuthDeg))}
                role="slider"
                tabIndex={0}
                className={styles.grip}
                aria-label={messages.whereTheCameraLooks}
                aria-valuemin={0}
                aria-valuemax={359}
                aria-valuenow={heading}
                aria-valuetext={headingText(heading)}
                onKeyDown={(event) => {
                  const by = { ArrowRight: 5, ArrowUp: 5, ArrowLeft: -5, ArrowDown: -5 }[event.key];
                  if (by === undefined) return;
                  event.preventDefault();
                  setHeading(heading + by * (event.shiftKey ? 9 : 1));
                }}
              >
                <rect x={x(heading) - 22} y={y(0) - 22} width={44} height={44} fill="transparent" />
                <path d={`M${x(heading)},${y(0) - 12}l9,12l-9,12l-9,-12z`} className={styles.aim} />
              </g>
            )}
            {horizon?.points.map((point, at) => (
              <g
                key={at}
                {...grip(at, (event) => {
                  const to = place(event);
                  moveCorner(at, to.azimuthDeg, to.altitudeDeg);
                })}
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

/** The outline of what stands around, down to the level. */
function wallPath(
  horizon: NonNullable<SunLight['horizon']>,
  x: (deg: number) => number,
  y: (deg: number) => number,
): string {
  const tops = Array.from({ length: 181 }, (_, at) => at * 2).map(
    (azimuth) =>
      `${x(azimuth).toFixed(1)},${y(Math.min(TOP_DEG, horizonAltitudeDeg(horizon, azimuth))).toFixed(1)}`,
  );
  return `M${x(0)},${y(0)}L${tops.join('L')}L${x(360)},${y(0)}Z`;
}
