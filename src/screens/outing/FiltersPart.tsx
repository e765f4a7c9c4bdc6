'use client';

import type { ReactNode } from 'react';
import type { WorkedCamera, WorkedDay } from '@/core/day/workedDay';
import { FILTER_CHANGE_LOSS } from '@/core/day/filterChanges';
import type { Outing, OutingDay } from '@/core/records/outing';
import { trimmed } from '@/core/units/format';
import { CARD_KEYS } from '@/words/card';
import { presetsText, filterChangeText } from '@/words/outingText';
import { clockText } from '@/words/lightText';
import Link from 'next/link';
import { usePreference } from '../data/repository';
import { outingUrl } from '../routes';
import type { DayAtWork } from '../data/workedDay';
import { namedSetups } from '../data/setups';
import { SettingStrip } from '../ui/SettingStrip';
import styles from './outing.module.css';

const PRESET_KEYS = CARD_KEYS.filter((key) => key !== 'filter');

/** When a filter is changed and what one change fewer would cost; which set-ups are stored, and whom they serve. */
export function FiltersPart({
  outing,
  day,
  worked,
}: {
  outing: Outing;
  day: OutingDay;
  worked: DayAtWork;
}): ReactNode {
  const { cameras, sheet } = worked.day;
  if (!sheet) return <p className="quiet">Working the day out…</p>;
  if (cameras.length === 0) return <p className="quiet">No shot on this day yet.</p>;
  return (
    <div className={styles.panel}>
      <p className="quiet">
        Filters are changed only at breaks and only on cameras in reach. A change counts{' '}
        {trimmed(FILTER_CHANGE_LOSS, 2)}; 1 is what a viewer just notices.
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
          <h3>Filter changes</h3>
          {filterChanges.length === 0 ? (
            <p>
              None all day{filterChangePlan ? '.' : ': pinned filters leave no way without a break between.'}
            </p>
          ) : (
            <ul className={styles.lines}>
              {filterChanges.map((filterChange) => {
                const part = worked.part(filterChange.partId);
                return (
                  <li key={filterChange.partId}>
                    <span className="numerals">
                      {clockText(filterChange.window.fromMs, outing.zone)}–
                      {clockText(filterChange.window.toMs, outing.zone)}
                    </span>{' '}
                    {filterChangeText(
                      profile.name,
                      filterChange.from,
                      filterChange.to,
                      part?.brief.filters ?? [],
                      notation,
                    )}
                    , for {part?.name}
                  </li>
                );
              })}
            </ul>
          )}
          {filterChangePlan && filterChangePlan.prices.length > 1 && (
            <table className={styles.sheet}>
              <caption>What each change is worth</caption>
              <thead>
                <tr>
                  <th scope="col">Changes</th>
                  <th scope="col">Loss of the day</th>
                  <th scope="col">One fewer costs</th>
                </tr>
              </thead>
              <tbody className="numerals">
                {filterChangePlan.prices.map((price, at) => {
                  const fewer = filterChangePlan.prices[at - 1];
                  return (
                    <tr key={price.changes} data-chosen={price.changes === filterChangePlan.chosen.changes}>
                      <th scope="row">
                        {price.changes}
                        {price.changes === filterChangePlan.chosen.changes ? ' (planned)' : ''}
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
          <h3>Set-ups stored in it</h3>
          <p>{presetsText(sheet.presetChoice, presets.length, profile.presetSlots)}</p>
          <ol className={styles.setups}>
            {setups.map(({ slot, name, preset }) => (
              <li key={slot}>
                <div className={styles.panelHead}>
                  <b className="numerals">
                    {slot} {name}
                  </b>
                  <span className="quiet">
                    {preset.partIds.map((id) => worked.part(id)?.name ?? '').join(', ')}
                    {preset.intervalSeconds === null
                      ? ''
                      : `, a picture every ${trimmed(preset.intervalSeconds, 1)} s`}
                  </span>
                  <Link href={outingUrl('/carry', outing.id, day.id, { codes: profile.id })} prefetch={false}>
                    Code
                  </Link>
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
