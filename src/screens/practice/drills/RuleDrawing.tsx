'use client';

import * as messages from '@/language/practice/drills';
import { scaleLinear } from 'd3-scale';
import { useRef } from 'react';
import type { ReactNode } from 'react';
import type { Drill, DrillChoice } from '@/core/drill/drill';
import { item } from '@/core/units/items';
import { clamp } from '@/core/units/stops';
import { drillAnswerText } from '@/words/drillText';
import { evText } from '@/words/settingText';
import { RuleLight } from '../../bench/rule/RuleLight';
import { BRACKET, bracketPath } from '../../bench/rule/ruleShape';
import { usePreference } from '../../data/repository';
import { useWidth } from '../../ui/useWidth';
import styles from './drills.module.css';

const SIDE = 18;
const HEIGHT = BRACKET.top + BRACKET.height + 38;
const MARGIN = 1;

interface Held {
  name: string;
  window: NonNullable<DrillChoice['window']>;
  best: boolean;
}

/** The stop rule of a drill: the light, and over it what camera and filter hold; once answered, the answer's and the best. */
export function RuleDrawing({ drill, chosen }: { drill: Drill; chosen: DrillChoice | null }): ReactNode {
  const [notation] = usePreference('filterNotation');
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const { light, choices } = drill;
  const named = ({ answer }: DrillChoice): string => drillAnswerText(answer, drill, notation);
  const best = item(choices, drill.best);
  const held = heldOf(drill, chosen, best, named);
  const all = choices.flatMap(({ window }) => window ?? []);
  const domain: [number, number] = [
    Math.floor(Math.min(light.evMin, ...all.map(({ windowEvMin }) => windowEvMin)) - MARGIN),
    Math.ceil(Math.max(light.evMax, ...all.map(({ windowEvMax }) => windowEvMax)) + MARGIN),
  ];
  const x = scaleLinear(domain, [SIDE, Math.max(SIDE + 1, width - SIDE)]);
  const bound = (ev: number): number => x(clamp(ev, domain[0], domain[1]));
  const says = held
    .map(({ name, window }) =>
      messages.ruleHolds({ name, from: evText(window.windowEvMin), to: evText(window.windowEvMax) }),
    )
    .join(' ');
  return (
    <div ref={frame}>
      {width > 0 && (
        <svg width={width} height={HEIGHT} role="img" aria-label={messages.rule({ says })}>
          <RuleLight
            light={light}
            exposure={chosen?.window ?? NOTHING_OUT}
            x={x}
            bound={bound}
            width={width}
          />
          {held.map(({ name, window, best: isBest }) => {
            const left = bound(window.windowEvMin);
            const right = Math.max(left + 4, bound(window.windowEvMax));
            const middle = (left + right) / 2;
            return (
              <g key={name} className={isBest ? styles.bestWindow : styles.window}>
                <path d={bracketPath(left, right, false)} />
                <text
                  x={clamp(middle, 60, width - 60)}
                  y={BRACKET.top + BRACKET.height + (isBest ? 32 : 17)}
                  textAnchor="middle"
                >
                  {name}
                </text>
              </g>
            );
          })}
        </svg>
      )}
    </div>
  );
}

const NOTHING_OUT = { windowEvMin: 0, windowEvMax: 0, underStops: 0, overStops: 0 };

/** Before an answer what the camera holds by itself, after it what it would have held and what it should. */
function heldOf(
  { given, choices }: Drill,
  chosen: DrillChoice | null,
  best: DrillChoice,
  named: (choice: DrillChoice) => string,
): Held[] {
  if (chosen)
    return [chosen, ...(chosen === best ? [] : [best])].flatMap((one) =>
      one.window ? [{ name: named(one), window: one.window, best: one === best }] : [],
    );
  const strength = given.kind === 'stops' ? given.settings.filter.stops : 0;
  const shown = choices.find(({ answer }) => 'filter' in answer && answer.filter.stops === strength);
  if (!shown?.window) return [];
  return [
    {
      name: given.kind === 'stops' ? messages.unchanged : messages.noGlass,
      window: shown.window,
      best: false,
    },
  ];
}
