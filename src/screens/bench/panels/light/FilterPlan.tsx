'use client';

import * as messages from '@/language/bench/light';
import { Button } from 'antd';
import { useDeferredValue, useMemo } from 'react';
import type { ReactNode } from 'react';
import { filterPlanOf } from '@/core/filters/filterPlan';
import { wearable } from '@/core/filters/bag';
import { filterSettings } from '@/core/filters/kit';
import { instantsOf, sunLightAt } from '@/core/light/sun/sunLight';
import type { SunLight } from '@/core/light/sun/sunLight';
import { filterTries, runOrHold } from '@/core/compare/filterChoice';
import { bagWords } from '@/core/compare/bagWorth';
import type { FilterTry } from '@/core/compare/filterChoice';
import type { Solution } from '@/core/answer/solve';
import { tenths } from '@/core/units/format';
import { bagText, marginText, runOrHoldText, tryAgainst, tryEnds, tryText } from '@/words/filterChoiceText';
import { clockText } from '@/words/lightText';
import { filterText } from '@/words/settingText';
import { NOTATION_LABEL } from '@/words/labels';
import { usePreference } from '../../../data/repository';
import type { ShotEditing } from '../../../data/useShotEditing';
import { pinnedTo } from '../../answer/pins';
import styles from './light.module.css';
import { holdingWindow, planSamples } from './ribbonShape';
import { zoneOf } from '@/formats/placed';

/** Rows shown at first: the best, and the answer wherever it stands. */
const MOST_TRIES = 8;

/** Which filter holds from when to when, and what each filter gives with a held and with a running shutter. */
export function FilterPlan({
  light,
  solution,
  editing,
}: {
  light: SunLight | null;
  solution: Solution;
  editing: ShotEditing;
}): ReactNode {
  const [notation] = usePreference('filterNotation');
  const calm = useDeferredValue(solution);
  const { space, candidate, loss } = calm;
  const kit = wearable(space.brief);
  const tries = useMemo(() => filterTries(space, candidate, loss), [space, candidate, loss]);
  const choice = runOrHold(tries, kit);
  const bag = bagWords(space.brief, candidate.mode, tries);
  const shown = tries.filter((one, at) => at < MOST_TRIES || one.chosen);
  const take = (one: FilterTry): void =>
    editing.commit(messages.takeAFilter, (shot) =>
      pinnedTo(
        pinnedTo(shot, 'filter', { filter: { ids: [...one.filter.ids], stops: one.filter.stops } }),
        'shutterSeconds',
        {
          shutterMode: one.shutterMode,
        },
      ),
    );
  return (
    <section aria-labelledby="plan-title" className={styles.section}>
      <h2 id="plan-title">{messages.theFilterForThisLight}</h2>
      {light && <Stretches light={light} solution={calm} />}
      {choice &&
        runOrHoldText(choice, kit).map((sentence) => (
          <p key={sentence} className={styles.verdict}>
            {sentence}
          </p>
        ))}
      {bag.map((word) => (
        <p key={word.id} className={styles.verdict}>
          {bagText(word, kit)}
        </p>
      ))}
      <table className={styles.tries}>
        <caption className="unseen">{messages.everyFilterWithTheShutter}</caption>
        <thead>
          <tr>
            <th scope="col">{messages.filterAndShutter}</th>
            <th scope="col">{messages.loss}</th>
            <th scope="col">{messages.atBothEndsOfThe}</th>
            <th scope="col">{messages.againstTheAnswer}</th>
            <th scope="col">
              <span className="unseen">{messages.takeIt}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map((one) => {
            const name = tryText(one, kit, notation);
            return (
              <tr key={name} data-chosen={one.chosen}>
                <th scope="row">{name}</th>
                <td className="numerals">{tenths(one.score)}</td>
                <td>{tryEnds(one)}</td>
                <td>{tryAgainst(one)}</td>
                <td>
                  {!one.chosen && (
                    <Button onClick={() => take(one)} aria-label={messages.takeName({ name })}>
                      {messages.take}
                    </Button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {tries.length > shown.length && (
        <p className={styles.small}>{messages.moreWithGreaterLoss({ count: tries.length - shown.length })}</p>
      )}
      <p className={styles.small}>
        {messages.writtenAsTheMenuChanges({ notation: NOTATION_LABEL[notation], noCount: kit.length === 0 })}
      </p>
    </section>
  );

  function Stretches({ light: sun, solution: at }: { light: SunLight; solution: Solution }): ReactNode {
    const zone = zoneOf(sun);
    const samples = instantsOf(Date.parse(sun.from), Date.parse(sun.to)).map((ms) => sunLightAt(sun, ms));
    const plan = filterPlanOf(
      planSamples(samples),
      filterSettings(kit),
      holdingWindow(at),
      at.candidate.filter,
    );
    return (
      <ul className={styles.stretches}>
        {plan.map((stretch) => (
          <li key={stretch.fromMs}>
            <b className="numerals">
              {clockText(stretch.fromMs, zone)}–{clockText(stretch.toMs, zone)}
            </b>{' '}
            <b>
              {stretch.filter.ids.length === 0
                ? messages.noFilter
                : filterText(stretch.filter, kit, notation)}
            </b>{' '}
            {Math.min(stretch.marginBrightStops, stretch.marginDarkStops) >= -0.05
              ? messages.keepsAllOfTheLight
              : messages.missesLeastWithThisSetting}
            : {marginText(stretch)}.
          </li>
        ))}
      </ul>
    );
  }
}
