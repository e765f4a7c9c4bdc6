'use client';

import * as messages from '@/language/bench/rule';
import { scaleLinear } from 'd3-scale';
import { useRef } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { clamp } from '@/core/units/stops';
import { shutterFraction } from '@/core/units/format';
import { evText } from '@/words/settingText';
import { usePreference } from '../../data/repository';
import type { ShotEditing } from '../../data/useShotEditing';
import { sliderStep } from '../../ui/arrowKeys';
import { pointIn, usePointerDrag } from '../../ui/usePointerDrag';
import { useWidth } from '../../ui/useWidth';
import { RuleLight } from './RuleLight';
import { RuleSays } from './RuleSays';
import { RuleWindow } from './RuleWindow';
import styles from './rule.module.css';
import { HandleMark, Notches, SafeMarks } from './ruleParts';
import { BRACKET, LIGHT } from './ruleShape';
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
/** A handle, the answer as it was when it was taken, where the handle stood then, EV, and the scale. */
interface Held {
  handle: Handle;
  taken: Solution;
  ev: number;
  domain: [number, number];
}

export function StopRule({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  const { space, candidate, exposure, settings } = solution;
  const { brief, light } = space;
  const { sensor } = candidate.colour;
  const [notation] = usePreference('filterNotation');
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);

  const preview = (handle: Handle, ev: number, from = solution): void => {
    const { label, change } = moveHandle(from, handle, ev);
    editing.preview(label, change);
  };
  const { drag, grip: pulled } = usePointerDrag<Held, number>(
    (event) => {
      const point = pointIn(frame.current, event);
      return point && x.invert(point.x);
    },
    {
      pull: ({ held, from, to }) => preview(held.handle, held.ev + to - from, held.taken),
      drop: () => editing.commit(messages.moveAHandleOfThe),
    },
  );
  const shoulder = shoulderEv(solution);
  // The scale stands still while a handle is pulled.
  const domain: [number, number] = drag?.held.domain ?? [
    Math.floor(Math.min(light.evMin, exposure.windowEvMin) - MARGIN),
    Math.ceil(Math.max(light.evMax, shoulder + sensor.guardStops) + MARGIN),
  ];
  const x = scaleLinear(domain, [SIDE, Math.max(SIDE + 1, width - SIDE)]);
  const bound = (ev: number): number => x(clamp(ev, domain[0], domain[1]));
  const grip = (handle: Handle) => ({
    ...pulled({ handle, taken: solution, ev: handleEv(solution, handle), domain }),
    onKeyDown: (event: KeyboardEvent<SVGGElement>) => {
      const step = sliderStep(event, 3);
      if (step !== null) preview(handle, steppedEv(solution, handle, step));
    },
  });
  return (
    <div ref={frame} className={styles.rule}>
      {width > 0 && (
        <svg width={width} height={HEIGHT} role="group" aria-label={messages.stopRuleTheLightAnd}>
          <RuleLight light={light} exposure={exposure} x={x} bound={bound} width={width} />
          <RuleWindow solution={solution} bound={bound} width={width} grip={grip('filter')} />
          <HandleMark
            grip={grip('ceiling')}
            x={bound(exposure.windowEvMin)}
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
      <RuleSays solution={solution} />
    </div>
  );
}
