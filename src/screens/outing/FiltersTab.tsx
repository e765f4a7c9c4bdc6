'use client';

import * as messages from '@/language/outing';
import { Button } from 'antd';
import { Phrase } from '../ui/Phrase';
import type { ReactNode } from 'react';
import type { WorkedCamera, WorkedDay } from '@/core/day/workedDay';
import { FILTER_CHANGE_LOSS } from '@/core/day/filterChanges';
import type { Outing, OutingDay } from '@/core/records/outing';
import { trimmed } from '@/core/units/format';
import { CARD_KEYS } from '@/words/cardKeys';
import { presetsText, filterChangeText } from '@/words/outingText';
import { clockText } from '@/words/lightText';
import { dayPartName } from '@/words/shotName';
import Link from 'next/link';
import { keepAsSetup } from '../data/keeping';
import { usePreference } from '../data/repository';
import { outingUrl } from '../routes';
import type { DayAtWork } from '../data/workedDay';
import { namedSetups } from '../data/setups';
import { SettingStrip } from '../ui/SettingStrip';
import styles from './outing.module.css';

const PRESET_KEYS = CARD_KEYS.filter((key) => key !== 'filter');

/** When a filter is changed and what one change fewer would cost; which set-ups are stored, and whom they serve. */
export function FiltersTab({
  outing,
  day,
  worked,
}: {
  outing: Outing;
  day: OutingDay;
  worked: DayAtWork;
}): ReactNode {
  const { cameras, sheet } = worked.day;
  if (!sheet) return <p className="quiet">{messages.workingTheDayOut}</p>;
  if (cameras.length === 0) return <p className="quiet">{messages.noShotOnThisDay}</p>;
  return (
    <div className={styles.panel}>
      <p className="quiet">
        {messages.filtersAreChangedOnlyAt({ filterChangeLoss: trimmed(FILTER_CHANGE_LOSS, 2) })}
      </p>
      {cameras.map((camera) => (
        <CameraFilters key={camera.id} camera={camera} outing={outing} day={day} worked={worked.day} />
      ))}
    </div>
  );
}

function CameraFilters({
  camera: { profile, sheet },
  outing,
  day,
  worked,
}: {
  camera: WorkedCamera;
  outing: Outing;
  day: OutingDay;
  worked: WorkedDay;
}): ReactNode {
  const [notation] = usePreference('filterNotation');
  if (!sheet) return null;
  const { filterChangePlan, presets, filterChanges } = sheet;
  const setups = namedSetups(sheet, worked);
  return (
    <section aria-labelledby={`filters-${profile.id}`} className={styles.camera}>
      <h2 id={`filters-${profile.id}`}>{profile.name}</h2>
      <div className={styles.halves}>
        <div className={styles.panel}>
          <h3>{messages.filterChanges}</h3>
          {filterChanges.length === 0 ? (
            <p>{messages.noneAllDay({ planned: filterChangePlan !== null })}</p>
          ) : (
            <ul className={styles.lines}>
              {filterChanges.map((filterChange) => {
                const part = worked.part(filterChange.partId);
                return (
                  <li key={filterChange.partId}>
                    <Phrase
                      of={messages.forWord({
                        profile: filterChangeText(
                          profile.name,
                          filterChange.from,
                          filterChange.to,
                          part?.brief.filters ?? [],
                          notation,
                        ),
                      })}
                      parts={[
                        <span className="numerals">
                          {clockText(filterChange.window.fromMs, outing.zone)}–
                          {clockText(filterChange.window.toMs, outing.zone)}
                        </span>,
                        dayPartName(part),
                      ]}
                    />
                  </li>
                );
              })}
            </ul>
          )}
          {filterChangePlan && filterChangePlan.prices.length > 1 && (
            <table className={styles.sheet}>
              <caption>{messages.whatEachChangeIsWorth}</caption>
              <thead>
                <tr>
                  <th scope="col">{messages.changes}</th>
                  <th scope="col">{messages.lossOfTheDay}</th>
                  <th scope="col">{messages.oneFewerCosts}</th>
                </tr>
              </thead>
              <tbody className="numerals">
                {filterChangePlan.prices.map((price, at) => {
                  const fewer = filterChangePlan.prices[at - 1];
                  return (
                    <tr key={price.changes} data-chosen={price.changes === filterChangePlan.chosen.changes}>
                      <th scope="row">
                        {price.changes}
                        {price.changes === filterChangePlan.chosen.changes ? messages.planned : ''}
                      </th>
                      <td>{trimmed(price.loss, 2)}</td>
                      <td>{fewer ? trimmed(fewer.loss - price.loss, 2) : ''}</td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          )}
        </div>
        <div className={styles.panel}>
          <h3>{messages.setUpsStoredInIt}</h3>
          <p>{presetsText(sheet.presetChoice, presets.length, profile.presetSlots)}</p>
          <ol className={styles.setups}>
            {setups.map(({ slot, name, preset }) => (
              <li key={slot}>
                <div className={styles.panelHead}>
                  <b className="numerals">
                    {slot} {name}
                  </b>
                  <span className="quiet">
                    {preset.partIds.map((id) => dayPartName(worked.part(id))).join(', ')}
                    {preset.intervalSeconds === null
                      ? ''
                      : messages.aPictureEveryS({ intervalSeconds: trimmed(preset.intervalSeconds, 1) })}
                  </span>
                  <Link href={outingUrl('/carry', outing.id, day.id, { codes: profile.id })} prefetch={false}>
                    {messages.code}
                  </Link>
                  <Button
                    aria-label={messages.keepSetUp({ name })}
                    onClick={() => keepAsSetup({ ...preset, profile, name })}
                  >
                    {messages.keep}
                  </Button>
                </div>
                <SettingStrip
                  keys={PRESET_KEYS}
                  settings={preset.settings}
                  kit={worked.part(preset.partIds[0] ?? '')?.brief.filters ?? []}
                />
              </li>
            ))}
          </ol>
        </div>
      </div>
    </section>
  );
}
