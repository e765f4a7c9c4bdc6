'use client';

import * as messages from '@/language/outing';
import { Button } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import type { Outing, OutingDay } from '@/core/records/outing';
import { outingAt, outingOnClock } from '@/formats/placed';
import type { OutingChange } from '@/formats/placed';
import { wallClock } from '@/formats/clock';
import { placeText, zoneText } from '@/words/lightText';
import { useRepository } from '../data/repository';
import { ChoiceField } from '../ui/Fields';
import { PlaceField } from '../location/PlaceField';
import { ZoneField } from '../location/ZoneField';
import styles from './outing.module.css';

/** Where the outing is, and the clock and mains that follow from it; asked for until somebody says. */
export function OutingWhere({ outing, day }: { outing: Outing; day: OutingDay }): ReactNode {
  const repository = useRepository();
  const [opened, setOpened] = useState(false);
  const { place, zone, mainsHz } = outing;
  const atMs = wallClock(zone)(day.date, '12:00');
  const write = (label: string, change: (before: Outing) => OutingChange): void => {
    const { shots } = change(outing);
    void repository?.changeOuting(outing.id, label, (before) => change(before).outing, shots);
  };
  const open = opened || !place;
  return (
    <div className={styles.where} data-open={open}>
      <p>
        {place ? (
          <>
            {place.name ?? placeText(place)}, {zoneText(zone, atMs)}
            {mainsHz === undefined ? '' : messages.mainsOf({ mainsHz })}
          </>
        ) : (
          <span className={styles.amiss}>{messages.noPlaceYet({ zone: zoneText(zone, atMs) })}</span>
        )}
        {place && (
          <Button type="link" aria-expanded={open} onClick={() => setOpened(!opened)}>
            {opened ? messages.closePlace : messages.changePlace}
          </Button>
        )}
      </p>
      {open && (
        <div className={styles.fields}>
          <PlaceField
            value={place ? { place, name: place.name ?? null, country: place.country ?? null } : null}
            onChoose={(chosen) => write(messages.sayWhereItIs, (before) => outingAt(before, chosen))}
          />
          <ZoneField
            zone={zone}
            atMs={atMs}
            onChoose={(chosen) => write(messages.readAnotherClock, (before) => outingOnClock(before, chosen))}
          />
          <ChoiceField
            label={messages.mains}
            value={String(mainsHz ?? 50)}
            options={['50', '60'].map((value) => ({ value, label: messages.hertz({ value }) }))}
            onCommit={(value) =>
              write(messages.changeTheMains, (before) => ({
                outing: { ...before, mainsHz: value === '60' ? 60 : 50 },
                shots: new Map(),
              }))
            }
          />
        </div>
      )}
    </div>
  );
}
