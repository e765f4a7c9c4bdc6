'use client';

import * as messages from '@/language/bench/choice';
import { Phrase } from '../../../ui/Phrase';
import { Button } from 'antd';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { holdClock } from '@/core/answer/clock';
import type { Answer, RefusalFile } from '@/core/records/answerFile';
import type { Alternative } from '@/core/answer/alternatives';
import type { Solution } from '@/core/answer/solve';
import { clockOf } from '@/core/light/sun/clock';
import { omit } from '@/core/units/omit';
import { tenths, trimmed } from '@/core/units/format';
import { alternativeLabel, costsText, gainsText } from '@/words/alternativeText';
import { PAGE_OF_WARNING } from '@/core/vocabulary/warnings';
import { SETTING_LABEL } from '@/words/labels';
import { staysInsideText, clockHoldsText } from '@/words/lightText';
import { durationText, evText } from '@/words/settingText';
import type { ShotEditing } from '../../../data/useShotEditing';
import { Meaning } from '../../../ui/Meaning';
import { WhyLink } from '../../../ui/WhyLink';
import styles from '../../bench.module.css';
import { pinnedTo } from '../../answer/pins';

const MARK = { stop: messages.stop, caution: messages.caution, note: messages.note } as const;

export function Warnings({ answer }: { answer: Pick<Answer, 'warnings'> }): ReactNode {
  return (
    <section aria-labelledby="warnings-title" className={styles.findings}>
      <h2 id="warnings-title">{messages.whatWillBeSeen}</h2>
      {answer.warnings.length === 0 && <p>{messages.nothingToWarnOf}</p>}
      <ul>
        {answer.warnings.map((warning, index) => (
          <li key={index} data-severity={warning.severity}>
            <b>{MARK[warning.severity]}</b> {warning.text} <WhyLink page={PAGE_OF_WARNING[warning.code]} />
            {warning.helps && (
              <details>
                <summary>{messages.whatWouldHelp}</summary>
                <ul>
                  {warning.helps.map((remedy) => (
                    <li key={remedy}>{remedy}</li>
                  ))}
                </ul>
              </details>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

const FIRST = {
  light: messages.theLight,
  shake: messages.theShake,
  speed: messages.theSpeedOfWhatPasses,
  card: messages.theCard,
} as const;

export function HoldsPanel({ solution }: { solution: Solution }): ReactNode {
  const { holds, space } = solution;
  const { shakeDegPerSRms } = space.brief.motion;
  const clock = useMemo(() => holdClock(solution), [solution]);
  const zone = space.brief.light.kind === 'sun' ? clockOf(space.brief.light) : undefined;
  const unlimited = 100_000;
  return (
    <section aria-labelledby="holds-title" className={styles.findings}>
      <h2 id="holds-title">
        <Meaning word="holds" solution={solution}>
          {messages.howLongItHolds}
        </Meaning>
      </h2>
      <p>
        <Phrase
          of={messages.lightFromToShakeUp({
            lightChance: staysInsideText(holds.lightChance),
            shakeDegPerSRms:
              holds.shakeDegPerSRms < shakeDegPerSRms * 0.99
                ? messages.andItShakesMoreAlready({ shakeDegPerSRms: trimmed(shakeDegPerSRms, 0) })
                : messages.now({ shakeDegPerSRms: trimmed(shakeDegPerSRms, 0) }),
          })}
          parts={[
            <b className="numerals">{evText(holds.evMin)}</b>,
            <b className="numerals">{evText(holds.evMax)}</b>,
            <b className="numerals">
              {holds.shakeDegPerSRms < unlimited
                ? messages.shakeDegPerSRms({ shakeDegPerSRms: trimmed(holds.shakeDegPerSRms, 0) })
                : messages.any}
            </b>,
            <b className="numerals">
              {holds.crossingDegPerS < unlimited
                ? messages.crossingDegPerS({ crossingDegPerS: trimmed(holds.crossingDegPerS, 0) })
                : messages.anySpeed}
            </b>,
            <b className="numerals">{durationText(holds.recordSeconds)}</b>,
          ]}
        />
      </p>
      {clock && <p>{clockHoldsText(clock, zone)}</p>}
      <p>
        <Phrase of={messages.theFirstLimitIs} parts={[<b>{FIRST[holds.untilLimit]}</b>]} />
      </p>
    </section>
  );
}

/** Filter steps either way, and the best without pins; each can be taken with one press. */
export function Alternatives({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  const kit = solution.space.brief.filters;
  const listed = solution.alternatives.filter(({ way }) => way.code !== 'school');
  const take = ({ way, settings }: Alternative): void => {
    if (way.code === 'withoutPins') editing.commit(messages.letAllPinsGo, (shot) => omit(shot, 'pins'));
    else if (way.code === 'recording')
      editing.commit(messages.recordAnotherWay, (shot) =>
        pinnedTo(shot, 'recording', { recording: way.recording }),
      );
    else
      editing.commit(messages.takeAnotherFilter, (shot) =>
        pinnedTo(shot, 'filter', { filter: { ids: settings.filter.ids, stops: settings.filter.stops } }),
      );
  };
  if (listed.length === 0) return null;
  return (
    <section aria-labelledby="alternatives-title" className={styles.findings}>
      <h2 id="alternatives-title">{messages.aStepToEitherSide}</h2>
      <ul>
        {listed.map((alternative) => {
          const label = alternativeLabel(alternative, kit);
          return (
            <li key={label} className={styles.alternative}>
              <span>
                <b>{label}</b>, {tenths(alternative.score)}: {gainsText(alternative)};{' '}
                {costsText(alternative)}.
              </span>
              <Button onClick={() => take(alternative)} aria-label={messages.takeLabel({ label })}>
                {messages.take}
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

export function Reasons({ answer }: { answer: Answer }): ReactNode {
  return (
    <section aria-labelledby="reasons-title" className={styles.findings}>
      <h2 id="reasons-title">{messages.whyWithTheArithmetic}</h2>
      {answer.why.map((reason) => (
        <details key={reason.setting} className={styles.why}>
          <summary>
            <b>{SETTING_LABEL[reason.setting as keyof typeof SETTING_LABEL]}</b> {reason.text}
          </summary>
          <ul>
            {reason.steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ul>
        </details>
      ))}
    </section>
  );
}

/** Nothing can film this: why, and the nearest that can, each taken with one press. */
export function RefusalPanel({
  refusal,
  editing,
}: {
  refusal: RefusalFile;
  editing: ShotEditing;
}): ReactNode {
  return (
    <section role="alert" className={styles.refusal}>
      <h2>{messages.thatCannotBe}</h2>
      {refusal.reasons.map(({ path, text }) => (
        <p key={path}>{text.charAt(0).toUpperCase() + text.slice(1)}.</p>
      ))}
      <p>{messages.nearestThatWorks}</p>
      <div className={styles.ways}>
        {refusal.nearest.map((way) => (
          <Button
            key={way.label}
            onClick={() =>
              editing.commit(messages.takeWay({ way: way.label }), (shot) => ({
                ...omit(shot, 'pins'),
                ...(Object.keys(way.pins).length > 0 ? { pins: way.pins } : {}),
                ...(way.isoCeiling === undefined
                  ? {}
                  : { limits: { ...shot.limits, isoCeiling: way.isoCeiling } }),
              }))
            }
          >
            {way.label}
          </Button>
        ))}
      </div>
    </section>
  );
}
