'use client';

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
import { options, withKey } from '../../brief/wordParts';

const RATES = [24, 25, 30, 50, 60, 100, 120];

/** What the lamps' pulse leaves in the film, which shutters are free of it, and what each costs. */
const SEEN_AS: Record<PulseSeen['seen'], string> = {
  steady: 'steady',
  bands: 'standing bands',
  pulsing: 'seen',
  shimmer: 'fast shimmer',
};

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
      <h2 id="flicker-title">Lamps that pulse</h2>
      <div className={styles.fields}>
        <ChoiceField
          label="Lit by"
          value={limits.lamps}
          options={options(LAMPS, LAMPS_LABEL)}
          onCommit={(value) =>
            editing.commit('say what lamps there are', (shot) => withKey(shot, 'limits', 'lamps', value))
          }
        />
        <ChoiceField
          label="Mains"
          value={String(limits.mainsHz)}
          options={['50', '60'].map((value) => ({ value, label: `${value} Hz` }))}
          onCommit={(value) =>
            editing.commit('change the mains', (shot) => withKey(shot, 'limits', 'mainsHz', Number(value)))
          }
        />
        <NumberField
          label="Screen pulses at"
          unit="Hz"
          min={20}
          max={20_000}
          step={10}
          value={limits.screenHz}
          onCommit={(value) =>
            editing.commit('change the pulse of the screen', (shot) =>
              withKey(shot, 'limits', 'screenHz', value ?? null),
            )
          }
        />
      </div>
      <p className={styles.verdict}>
        {light.pulseHz === null
          ? `No lamp counts in this light. If one did, pulsing at ${trimmed(pulse, 0)} Hz, ${shutterFraction(settings.shutterSeconds)} s would keep ${trimmed(left, 0)} % of it.`
          : left < 0.5
            ? `The light pulses at ${trimmed(pulse, 0)} Hz; ${shutterFraction(settings.shutterSeconds)} s keeps none of it.`
            : `The light pulses at ${trimmed(pulse, 0)} Hz; ${shutterFraction(settings.shutterSeconds)} s keeps ${trimmed(left, 0)} % of it.`}
      </p>
      <table className={styles.tries}>
        <caption>
          Shutters free of the pulse at {trimmed(settings.frameRate, 2)} fps, and what each costs
        </caption>
        <tbody>
          {safe.map((one) => {
            const on = Math.abs(one.seconds - settings.shutterSeconds) < 1e-9;
            return (
              <tr key={one.seconds} data-chosen={on}>
                <th scope="row" className="numerals">
                  {shutterFraction(one.seconds)} s, {trimmed(one.angleDeg, 0)}°
                </th>
                <td>
                  {on
                    ? 'the answer'
                    : `${one.costs.length > 0 ? `costs ${changes(one.costs)}` : 'costs nothing'}${one.gains.length > 0 ? `; spares ${changes(one.gains)}` : ''}`}
                </td>
                <td>
                  {!on && (
                    <Button
                      aria-label={`Take ${shutterFraction(one.seconds)} s`}
                      onClick={() =>
                        editing.commit('take a flicker-safe shutter', (shot) =>
                          pinnedTo(shot, 'shutterSeconds', {
                            shutterSeconds: one.seconds,
                            shutterMode: 'fixed',
                          }),
                        )
                      }
                    >
                      Take
                    </Button>
                  )}
                </td>
              </tr>
            );
          })}
          {safe.length === 0 && (
            <tr>
              <td>None fits into a frame at this rate: a lower frame rate is the cure.</td>
            </tr>
          )}
        </tbody>
      </table>
      <table className={styles.tries}>
        <caption>Every frame rate of this camera under {trimmed(pulse, 0)} Hz</caption>
        <thead>
          <tr>
            <th scope="col">Frame rate</th>
            <th scope="col">Beat as played</th>
            <th scope="col">Left at 180°</th>
            <th scope="col">Safe shutters</th>
            <th scope="col">Bands</th>
          </tr>
        </thead>
        <tbody>
          {rates.map((rate) => (
            <tr key={rate.frameRate} className="numerals">
              <th scope="row">{rate.frameRate} fps</th>
              <td>
                {trimmed(rate.beatHz, 1)} Hz, {SEEN_AS[rate.seen]}
              </td>
              <td>{trimmed(rate.residualAt180 * 100, 0)} %</td>
              <td>
                {rate.safe.length === 0
                  ? 'none'
                  : rate.safe.map((one) => `${shutterFraction(one)} s`).join(', ')}
              </td>
              <td>{rate.bands === null ? 'readout not known' : trimmed(rate.bands, 1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
