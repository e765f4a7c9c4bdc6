import * as messages from '@/language/bench/rule';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { tenths } from '@/core/units/format';
import { evText } from '@/words/settingText';
import { Meaning } from '../../ui/Meaning';
import styles from './rule.module.css';
import { SEEN } from './ruleShape';

/** The rule in words: what the window holds, and what stays outside it. */
export function RuleSays({ solution }: { solution: Solution }): ReactNode {
  const { space, candidate, exposure } = solution;
  const { light } = space;
  const { guardStops } = candidate.colour.sensor;
  const dark = exposure.underStops > SEEN;
  const white = exposure.overStops > SEEN;
  return (
    <div className={styles.ruleSays}>
      <p role="status">
        {dark && (
          <span className={styles.warning}>
            {messages.theDarkEndStaysStops({ underStops: tenths(exposure.underStops) })}
          </span>
        )}
        {white && (
          <span className={exposure.overStops > guardStops ? styles.warning : undefined}>
            {messages.theBrightEndStandsStops({
              overStops: tenths(exposure.overStops),
              isOverStops: exposure.overStops > guardStops,
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
      <p className={styles.words}>
        {(['window', 'highlightGuard', 'ev'] as const).map((word) => (
          <Meaning key={word} word={word} solution={solution} />
        ))}
      </p>
    </div>
  );
}
