'use client';

import * as messages from '@/language/bench/lamps';
import { Button } from 'antd';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { modesOf } from '@/core/camera/modeTable';
import { flickerResidual, pulseHzOfMains } from '@/core/light/flicker';
import { LAMPS } from '@/core/light/lamps';
import type { PulseSeen } from '@/core/light/flicker';
import { ratesUnderPulse, safeShutters } from '@/core/compare/flickerTries';
import type { Solution } from '@/core/answer/solve';
import { shutterFraction, trimmed } from '@/core/units/format';
import { changes } from '@/words/changesText';
import { LAMPS_LABEL } from '@/words/lightText';
import { ChoiceField, NumberField } from '../../../ui/Fields';
import type { ShotEditing } from '../../../data/useShotEditing';
import styles from '../light/light.module.css';
import { pinnedTo } from '../../answer/pins';
import { options, withKey } from '../../brief/wordControls';

const RATES = [24, 25, 30, 50, 60, 100, 120];

/** What the lamps' pulse leaves in the film, which shutters are free of it, and what each costs. */
const SEEN_AS: Record<PulseSeen['seen'], string> = messages.seenAs;

export function Flicker({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  const { space, candidate, loss, settings } = solution;
  const { brief, light } = space;
  const { limits } = brief;
  const pulse =
    light.pulseHz ?? (limits.lamps === 'screen' ? limits.screenHz : pulseHzOfMains(limits.mainsHz));
  const rates = useMemo(() => {
    const offered = new Set(modesOf(brief.camera).map(({ frameRate }) => frameRate));
    return ratesUnderPulse(
      RATES.filter((rate) => offered.has(rate)),
      pulse,
      brief,
    );
  }, [brief, pulse]);
  const safe = useMemo(() => safeShutters(space, candidate, loss, pulse), [space, candidate, loss, pulse]);
  const left = flickerResidual(pulse, settings.shutterSeconds) * 100;
  return (
    <section aria-labelledby="flicker-title" className={styles.section}>
      <h2 id="flicker-title">{messages.lampsThatPulse}</h2>
      <div className={styles.fields}>
        <ChoiceField
          label={messages.litBy}
          value={limits.lamps}
          options={options(LAMPS, LAMPS_LABEL)}
          onCommit={(value) =>
            editing.commit(messages.sayWhatLampsThereAre, (shot) => withKey(shot, 'limits', 'lamps', value))
          }
        />
        <ChoiceField
          label={messages.mains}
          value={String(limits.mainsHz)}
          options={['50', '60'].map((value) => ({ value, label: messages.value({ value }) }))}
          onCommit={(value) =>
            editing.commit(messages.changeTheMains, (shot) =>
              withKey(shot, 'limits', 'mainsHz', Number(value)),
            )
          }
        />
        <NumberField
          label={messages.screenPulsesAt}
          unit={messages.unitHz}
          min={20}
          max={20_000}
          step={10}
          value={limits.screenHz}
          onCommit={(value) =>
            editing.commit(messages.changeThePulseOfThe, (shot) =>
              withKey(shot, 'limits', 'screenHz', value ?? null),
            )
          }
        />
      </div>
      <p className={styles.verdict}>
        {light.pulseHz === null
          ? messages.noLampCountsInThis({
              pulse: trimmed(pulse, 0),
              shutterSeconds: shutterFraction(settings.shutterSeconds),
              left: trimmed(left, 0),
            })
          : left < 0.5
            ? messages.theLightPulsesAtHz({
                pulse: trimmed(pulse, 0),
                shutterSeconds: shutterFraction(settings.shutterSeconds),
              })
            : messages.theLightPulsesAtHzPulse({
                pulse: trimmed(pulse, 0),
                shutterSeconds: shutterFraction(settings.shutterSeconds),
                left: trimmed(left, 0),
              })}
      </p>
      <table className={styles.tries}>
        <caption>{messages.shuttersFreeOfThePulse({ frameRate: trimmed(settings.frameRate, 2) })}</caption>
        <tbody>
          {safe.map((one) => {
            const on = Math.abs(one.seconds - settings.shutterSeconds) < 1e-9;
            return (
              <tr key={one.seconds} data-chosen={on}>
                <th scope="row" className="numerals">
                  {messages.secondsAndAngleDeg({
                    seconds: shutterFraction(one.seconds),
                    angleDeg: trimmed(one.angleDeg, 0),
                  })}
                </th>
                <td>
                  {on
                    ? messages.theAnswer
                    : `${one.costs.length > 0 ? messages.costs({ costs: changes(one.costs) }) : messages.costsNothing}${one.gains.length > 0 ? messages.spares({ gains: changes(one.gains) }) : ''}`}
                </td>
                <td>
                  {!on && (
                    <Button
                      aria-label={messages.takeS({ seconds: shutterFraction(one.seconds) })}
                      onClick={() =>
                        editing.commit(messages.takeAFlickerSafeShutter, (shot) =>
                          pinnedTo(shot, 'shutterSeconds', {
                            shutterSeconds: one.seconds,
                            shutterMode: 'fixed',
                          }),
                        )
                      }
                    >
                      {messages.take}
                    </Button>
                  )}
                </td>
              </tr>
            );
          })}
          {safe.length === 0 && (
            <tr>
              <td>{messages.noneFitsIntoAFrame}</td>
            </tr>
          )}
        </tbody>
      </table>
      <table className={styles.tries}>
        <caption>{messages.everyFrameRateOfThis({ pulse: trimmed(pulse, 0) })}</caption>
        <thead>
          <tr>
            <th scope="col">{messages.frameRate}</th>
            <th scope="col">{messages.beatAsPlayed}</th>
            <th scope="col">{messages.leftAt180}</th>
            <th scope="col">{messages.safeShutters}</th>
            <th scope="col">{messages.bands}</th>
          </tr>
        </thead>
        <tbody>
          {rates.map((rate) => (
            <tr key={rate.frameRate} className="numerals">
              <th scope="row">{messages.fps({ frameRate: rate.frameRate })}</th>
              <td>{messages.beatHzAndSeen({ beatHz: trimmed(rate.beatHz, 1), seen: SEEN_AS[rate.seen] })}</td>
              <td>{trimmed(rate.residualAt180 * 100, 0)} %</td>
              <td>
                {rate.safe.length === 0
                  ? messages.none
                  : rate.safe.map((one) => messages.unitSeconds({ one: shutterFraction(one) })).join(', ')}
              </td>
              <td>{rate.bands === null ? messages.readoutNotKnown : trimmed(rate.bands, 1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
