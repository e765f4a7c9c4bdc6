import * as messages from '@/language/carry';
import type { ReactNode } from 'react';
import { holdClock } from '@/core/answer/clock';
import type { Solution } from '@/core/answer/solve';
import type { Warning } from '@/core/answer/warnings';
import type { Brief } from '@/core/brief/brief';
import type { Filter } from '@/core/filters/kit';
import type { Settings } from '@/core/records/settings';
import type { LapseAnswer } from '@/core/timeLapse/lapseAnswer';
import { lapseWarnings } from '@/core/timeLapse/lapseWarnings';
import { clockOf } from '@/core/light/sun/clock';
import { isDueIn } from '@/core/motion/cautions';
import { CARD_KEYS, SECOND_ROW_KEYS } from '@/words/cardKeys';
import { SETTING_LABEL } from '@/words/labels';
import { lapseText, lapseWarningText } from '@/words/lapseText';
import { clockHoldsText } from '@/words/lightText';
import { durationText, evText, settingText } from '@/words/settingText';
import type { FilterNotation } from '@/words/settingText';
import { testClipText } from '@/words/testClip';
import { PAGE_OF_WARNING } from '@/core/vocabulary/warnings';
import { warningText } from '@/words/warningText';
import { Phrase } from '../ui/Phrase';
import { WhyLink } from '../ui/WhyLink';
import styles from './face.module.css';

/**
 * The one face of a card, wherever it is shown: all sixteen settings to be read at arm's length, how long they hold, what
 * will be seen to go wrong, and what the test clip is looked at for. A time-lapse has no solution: its plan is its own.
 */
export function CardFace({
  settings,
  solution,
  lapse = null,
  air,
  kit,
  notation,
}: {
  settings: Settings;
  solution: Solution | null;
  lapse?: { answer: LapseAnswer; brief: Brief } | null;
  /** The day's air, °C, where the card is one of a day. */
  air?: { highC: number };
  kit: readonly Filter[];
  notation: FilterNotation;
}): ReactNode {
  return (
    <>
      <dl className={`${styles.eight ?? ''} numerals`}>
        {CARD_KEYS.map((key) => (
          <div
            key={key}
            className={key === 'shutterSeconds' || key === 'filter' ? styles.loudest : undefined}
          >
            <dt>{SETTING_LABEL[key]}</dt>
            <dd>{settingText(key, settings, kit, notation)}</dd>
          </div>
        ))}
      </dl>
      <dl className={`${styles.second ?? ''} numerals`}>
        {SECOND_ROW_KEYS.map((key) => (
          <div key={key}>
            <dt>{SETTING_LABEL[key]}</dt>
            <dd>{settingText(key, settings, kit, notation)}</dd>
          </div>
        ))}
      </dl>
      {lapse && <Lapse {...lapse} air={air} />}
      {solution && <Foretold solution={solution} air={air} />}
    </>
  );
}

type Air = { highC: number } | undefined;

/** Of a time-lapse: how often, for how long, and what will be seen to go wrong. */
function Lapse({ answer, brief, air }: { answer: LapseAnswer; brief: Brief; air: Air }): ReactNode {
  return (
    <>
      <p className={styles.holds}>{lapseText(answer.plan, brief)}</p>
      <ul className={styles.warnings}>
        {lapseWarnings(brief, answer)
          .filter((one) => one.code !== 'safety' || !air || isDueIn(one.caution, air))
          .map((one) => {
            const text = lapseWarningText(one);
            return (
              <li key={text} className={one.severity === 'note' ? undefined : styles.grave}>
                {text}
              </li>
            );
          })}
      </ul>
    </>
  );
}

function Foretold({ solution, air }: { solution: Solution; air: Air }): ReactNode {
  const { holds, space } = solution;
  const { light } = space.brief;
  const clock = holdClock(solution);
  const { grave, safety } = toldOnCards(
    solution.warnings.filter((one) => one.code !== 'safety' || !air || isDueIn(one.caution, air)),
  );
  return (
    <>
      <p className={styles.holds}>
        <Phrase
          of={messages.holdsInLightFromTo({
            evMin: evText(holds.evMin),
            evMax: evText(holds.evMax),
            recordSeconds: durationText(holds.recordSeconds),
          })}
          parts={[light.kind === 'sun' && clock && <> {clockHoldsText(clock, clockOf(light))}</>]}
        />
      </p>
      {grave.length + safety.length > 0 && (
        <ul className={styles.warnings}>
          {grave.map(({ code, text }) => (
            <li key={text} className={styles.grave}>
              {text} <WhyLink page={PAGE_OF_WARNING[code]} />
            </li>
          ))}
          {safety.map(({ code, text }) => (
            <li key={text}>
              {text} <WhyLink page={PAGE_OF_WARNING[code]} />
            </li>
          ))}
        </ul>
      )}
      <section className={styles.testClip}>
        <h2>{messages.inTheTestClip}</h2>
        <ul>
          {testClipText(solution).map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      </section>
    </>
  );
}

/** What of the warnings a card has room for: all that is more than a note, and the cautions of the ride. */
function toldOnCards(
  warnings: readonly Warning[],
): Record<'grave' | 'safety', { code: Warning['code']; text: string }[]> {
  const told = (warning: Warning) => ({ code: warning.code, text: warningText(warning) });
  return {
    grave: warnings.filter(({ severity, code }) => severity !== 'note' && code !== 'safety').map(told),
    safety: warnings.filter(({ code }) => code === 'safety').map(told),
  };
}
