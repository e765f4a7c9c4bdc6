'use client';

import * as messages from '@/language/bench/rule';
import { scaleLinear } from 'd3-scale';
import { useRef, useState } from 'react';
import type { KeyboardEvent, PointerEvent, ReactNode } from 'react';
import { filterSettings } from '@/core/filters/kit';
import type { Solution } from '@/core/answer/solve';
import { clamp } from '@/core/units/stops';
import { shutterFraction, tenths } from '@/core/units/format';
import { evText, filterText } from '@/words/settingText';
import { usePreference } from '../../data/repository';
import type { ShotEditing } from '../../data/useShotEditing';
import { useWidth } from '../../ui/useWidth';
import styles from './rule.module.css';
import { HandleMark, Notches, Out, SafeMarks } from './ruleParts';
import { BRACKET, bracketPath, LIGHT, NOTCHES } from './ruleShape';
import { handleEv, isoLadder, moveHandle, shoulderEv, steppedEv } from './ruleMoves';
import type { Handle } from './ruleMoves';

/**
 * The stop rule: light and camera on one scale in stops. The run's light lies as a band, the camera's window as a
 * bracket over it; what sticks out is hatched and named. Each handle is dragged, or nudged with the arrow keys.
 */
const HEIGHT = 196;
const SIDE = 18;
/** Stops shown beyond whatever reaches furthest. */
const MARGIN = 1.4;
/** Usual width of a letter in the window, pixels. */
const LETTER = 7.4;

interface Drag {
  handle: Handle;
  /** Where the handle stood and where the pointer took it, EV. */
  fromEv: number;
  grabEv: number;
  domain: [number, number];
}

export function StopRule({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  const { space, candidate, exposure, settings } = solution;
  const { brief, light } = space;
  const { sensor } = candidate.colour;
  const [notation] = usePreference('filterNotation');
  const [drag, setDrag] = useState<Drag | null>(null);
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);

  const running = candidate.shutter.spanStops > 0;
  const shoulder = shoulderEv(solution);
  const domain: [number, number] = drag?.domain ?? [
    Math.floor(Math.min(light.evMin, exposure.windowEvMin) - MARGIN),
    Math.ceil(Math.max(light.evMax, shoulder + sensor.guardStops) + MARGIN),
  ];
  const x = scaleLinear(domain, [SIDE, Math.max(SIDE + 1, width - SIDE)]);
  const bound = (ev: number): number => x(clamp(ev, domain[0], domain[1]));
  const kit = filterSettings(brief.filters);

  const evAt = (event: PointerEvent): number =>
    x.invert(event.clientX - (frame.current?.getBoundingClientRect().left ?? 0));
  const grip = (handle: Handle) => ({
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      setDrag({ handle, fromEv: handleEv(solution, handle), grabEv: evAt(event), domain });
    },
    onPointerMove: (event: PointerEvent<SVGGElement>) => {
      if (drag?.handle !== handle) return;
      const { label, change } = moveHandle(solution, handle, drag.fromEv + evAt(event) - drag.grabEv);
      editing.preview(label, change);
    },
    onPointerUp: () => {
      setDrag(null);
      editing.commit(messages.moveAHandleOfThe);
    },
    onPointerCancel: () => setDrag(null),
    onKeyDown: (event: KeyboardEvent<SVGGElement>) => {
      const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
      if (way === undefined) return;
      event.preventDefault();
      const { label, change } = moveHandle(
        solution,
        handle,
        steppedEv(solution, handle, way * (event.shiftKey ? 3 : 1)),
      );
      editing.preview(label, change);
    },
  });

  const faded = 2 * light.spreadStops;
  const filterName = filterText(settings.filter, brief.filters, notation);
  const dark = exposure.underStops > 0.05;
  const white = exposure.overStops > 0.05;
  const left = bound(exposure.windowEvMin);
  const right = bound(running ? domain[1] : exposure.windowEvMax);
  const guardRight = bound(exposure.windowEvMax + sensor.guardStops);

  // The window's name stands beside the shutter's handle, on the side with more room.
  const handle = bound(shoulder);
  const written =
    handle - left > width - handle
      ? { at: handle - 14, anchor: 'end' as const }
      : { at: handle + 14, anchor: 'start' as const };
  const glass = filterName === 'none' ? messages.noFilter : filterName;
  const whole = messages.sAndShorter({
    glass,
    shutterSeconds: shutterFraction(settings.shutterSeconds),
    running,
  });
  const fits = Math.max(handle - left, width - handle) - 20 > whole.length * LETTER;

  return (
    <div ref={frame} className={styles.rule}>
      {width > 0 && (
        <svg width={width} height={HEIGHT} role="group" aria-label={messages.stopRuleTheLightAnd}>
          <defs>
            <pattern
              id="hatch-out"
              width="6"
              height="6"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <line x1="0" y1="0" x2="0" y2="6" stroke="#7a2200" strokeWidth="3" />
            </pattern>
            {(['dark', 'bright'] as const).map((end) => (
              <linearGradient
                key={end}
                id={`fade-${end}`}
                x1={end === 'dark' ? 1 : 0}
                x2={end === 'dark' ? 0 : 1}
              >
                <stop offset="0" className={styles.fade} stopOpacity="0.6" />
                <stop offset="1" className={styles.fade} stopOpacity="0" />
              </linearGradient>
            ))}
          </defs>
          <g aria-hidden>
            {x.ticks(Math.min(domain[1] - domain[0], Math.floor(width / 44))).map((ev) => (
              <g key={ev} transform={`translate(${x(ev)},0)`}>
                <line y1={20} y2={NOTCHES - 10} stroke="var(--rule)" />
                <text y={14} textAnchor="middle" className={styles.ruleNumber}>
                  {evText(ev).replace('.0', '')}
                </text>
              </g>
            ))}
            <text x={2} y={34} className={styles.ruleWord}>
              {messages.unitEv}
            </text>
          </g>

          <rect
            className={styles.lightBand}
            x={bound(light.evMin)}
            y={LIGHT.top}
            width={Math.max(2, bound(light.evMax) - bound(light.evMin))}
            height={LIGHT.height}
          />
          {/* How far either end may lie off: two standard deviations, fading. */}
          <rect
            x={bound(light.evMin - faded)}
            y={LIGHT.top}
            width={bound(light.evMin) - bound(light.evMin - faded)}
            height={LIGHT.height}
            fill="url(#fade-dark)"
          />
          <rect
            x={bound(light.evMax)}
            y={LIGHT.top}
            width={bound(light.evMax + faded) - bound(light.evMax)}
            height={LIGHT.height}
            fill="url(#fade-bright)"
          />
          {dark && <Out from={bound(light.evMin)} to={bound(Math.min(light.evMax, exposure.windowEvMin))} />}
          {white && <Out from={bound(Math.max(light.evMin, exposure.windowEvMax))} to={bound(light.evMax)} />}
          <text
            x={bound(light.evMin)}
            y={LIGHT.top - 6}
            className={styles.ruleWord}
            textAnchor={bound(light.evMin) < 90 ? 'start' : 'middle'}
          >
            {messages.darkest({ evMin: evText(light.evMin) })}
          </text>
          {light.evMax - light.evMin > 0.3 && x(light.evMax) - x(light.evMin) > 150 && (
            <text
              x={bound(light.evMax)}
              y={LIGHT.top - 6}
              className={styles.ruleWord}
              textAnchor={bound(light.evMax) > width - 90 ? 'end' : 'middle'}
            >
              {messages.brightest({ evMax: evText(light.evMax) })}
            </text>
          )}

          <g
            {...grip('filter')}
            role="slider"
            tabIndex={0}
            className={styles.grip}
            aria-label={messages.filterSlidesTheWindow}
            aria-valuemin={kit[0]?.stops ?? 0}
            aria-valuemax={kit.at(-1)?.stops ?? 0}
            aria-valuenow={settings.filter.stops}
            aria-valuetext={messages.windowFromTo({
              filterName,
              windowEvMin: evText(exposure.windowEvMin),
              windowEvMax: evText(exposure.windowEvMax),
            })}
          >
            <rect
              x={left}
              y={BRACKET.top}
              width={Math.max(4, right - left)}
              height={BRACKET.height}
              className={styles.window}
            />
            <path className={styles.bracket} d={bracketPath(left, right, running)} />
            {!running && (
              <path
                className={styles.guard}
                d={`M${right},${BRACKET.top + BRACKET.height - 6}H${guardRight}M${guardRight},${BRACKET.top + BRACKET.height - 12}v12`}
              />
            )}
            <text
              x={written.at}
              y={BRACKET.top + 23}
              textAnchor={written.anchor}
              className={styles.ruleValue}
            >
              {fits ? whole : glass}
            </text>
          </g>
          <HandleMark
            grip={grip('ceiling')}
            x={left}
            top={BRACKET.top - 4}
            height={BRACKET.height + 8}
            label={messages.isoCeilingStretchesTheWindow}
            text={messages.iso({ max: settings.iso.max })}
            now={settings.iso.max}
            min={sensor.baseIso}
            max={isoLadder(brief).at(-1) ?? settings.iso.max}
          />
          <HandleMark
            grip={grip('shutter')}
            x={bound(shoulder)}
            top={BRACKET.top - 4}
            height={BRACKET.height + 8}
            label={messages.shutterShiftsTheWindow}
            text={messages.shutterSeconds({ shutterSeconds: shutterFraction(settings.shutterSeconds) })}
            now={Math.round(1 / settings.shutterSeconds)}
            min={1}
            max={Math.round(1 / brief.camera.shutter.shortestSeconds)}
          />
          <HandleMark
            grip={grip('evMin')}
            x={bound(light.evMin)}
            top={LIGHT.top}
            height={LIGHT.height}
            label={messages.darkestLightOfTheRun}
            text={messages.evMin({ evMin: evText(light.evMin) })}
            now={light.evMin}
            min={-10}
            max={light.evMax}
          />
          <HandleMark
            grip={grip('evMax')}
            x={bound(light.evMax)}
            top={LIGHT.top}
            height={LIGHT.height}
            label={messages.brightestLightOfTheRun}
            text={messages.evMax({ evMax: evText(light.evMax) })}
            now={light.evMax}
            min={light.evMin}
            max={24}
          />

          <SafeMarks solution={solution} x={x} width={width} />
          <Notches solution={solution} x={x} width={width} side={SIDE} notation={notation} />
        </svg>
      )}
      <p className={styles.ruleSays} role="status">
        {dark && (
          <span className={styles.warning}>
            {messages.theDarkEndStaysStops({ underStops: tenths(exposure.underStops) })}
          </span>
        )}
        {white && (
          <span className={exposure.overStops > sensor.guardStops ? styles.warning : undefined}>
            {messages.theBrightEndStandsStops({
              overStops: tenths(exposure.overStops),
              isOverStops: exposure.overStops > sensor.guardStops,
            })}
          </span>
        )}
        {!dark && !white && <span>{messages.theWindowHoldsAllOf}</span>}
        <span className="quiet">
          {messages.windowToLightTo({
            windowEvMin: evText(exposure.windowEvMin),
            windowEvMax: evText(exposure.windowEvMax),
            evMin: evText(light.evMin),
            evMax: evText(light.evMax),
          })}
        </span>
      </p>
    </div>
  );
}
