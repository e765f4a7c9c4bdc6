'use client';

import * as messages from '@/language/bench/light';
import type { ReactNode } from 'react';
import { reasonsOf } from '@/core/answer/reasons';
import type { Solution } from '@/core/answer/solve';
import { PAGE_OF_SETTING } from '@/core/records/settings';
import type { SettingKey } from '@/core/records/settings';
import { SCHOOL_LABEL, SETTING_LABEL } from '@/words/labels';
import { reasonText } from '@/words/reasons/reasonText';
import { tellingOf } from '@/words/reasons/telling';
import { settingText } from '@/words/settingText';
import { WhyLink } from '../../../ui/WhyLink';
import styles from './light.module.css';

const KEYS = ['iso', 'exposureOffsetStops', 'colour', 'whiteBalance'] as const satisfies SettingKey[];

/** ISO, exposure offset, colour and white balance: why, and what each school would do. */
export function SecondRow({ solution }: { solution: Solution }): ReactNode {
  const { space, settings } = solution;
  const { brief } = space;
  const kit = brief.filters;
  const reasons = reasonsOf(solution);
  const schools = [
    { id: space.school.id, settings },
    ...solution.alternatives.flatMap(({ way, settings: theirs }) =>
      way.code === 'school' ? [{ id: way.school, settings: theirs }] : [],
    ),
  ];
  return (
    <section aria-labelledby="advice-title" className={styles.section}>
      <h2 id="advice-title">{messages.whatElseTheLightDecides}</h2>
      <dl className={styles.advice}>
        {KEYS.map((key) => {
          const reason = reasons.find(({ setting }) => setting === key);
          if (!reason) return null;
          const { text, steps } = reasonText(reason, tellingOf(brief));
          return (
            <div key={key}>
              <dt>
                {SETTING_LABEL[key]} <b className="numerals">{settingText(key, settings, kit)}</b>
              </dt>
              <dd>
                {text} <span className="quiet">{steps.join(' ')}</span>{' '}
                <WhyLink page={PAGE_OF_SETTING[key]} />
              </dd>
            </div>
          );
        })}
      </dl>
      <table className={styles.tries}>
        <caption className="unseen">{messages.whatEachSchoolSets}</caption>
        <thead>
          <tr>
            <th scope="col">{messages.school}</th>
            {KEYS.map((key) => (
              <th scope="col" key={key}>
                {SETTING_LABEL[key]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {schools.map((school, at) => (
            <tr key={school.id} data-chosen={at === 0}>
              <th scope="row">{SCHOOL_LABEL[school.id]}</th>
              {KEYS.map((key) => (
                <td key={key} className="numerals">
                  {settingText(key, school.settings, kit)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className={styles.small}>
        {messages.lockedThisLightWantsK({ space: space.workings.lightColour.lockK })}
      </p>
    </section>
  );
}
