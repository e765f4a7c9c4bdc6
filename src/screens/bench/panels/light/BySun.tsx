'use client';

import * as messages from '@/language/bench/light';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import type { Light } from '@/core/records/shot';
import { todayIn } from '@/formats/today';
import { hourFromNoon, lightBySun } from '@/formats/placed';
import { lightText } from '@/words/lightText';
import type { ShotEditing } from '../../../data/useShotEditing';
import { PlaceField } from '../../../location/PlaceField';
import styles from './light.module.css';
import { useSunHere } from './useSunHere';

/** The way to a light told by the sun: the place of the outing, or a place that has to be said first. */
export function BySun({ light, editing }: { light: Light; editing: ShotEditing }): ReactNode {
  const here = useSunHere();
  return (
    <div className={styles.section}>
      <p>{messages.thisShotsLightIsTold({ light: lightText(light) })}</p>
      {here ? (
        <p>
          <Button onClick={() => editing.commit(messages.tellTheLightByThe, here.tell)}>
            {messages.tellItByTheSunAt({ place: here.name })}
          </Button>
        </p>
      ) : (
        <PlaceField
          value={null}
          label={messages.whereIsItFilmed}
          onChoose={(place) =>
            editing.commit(messages.tellTheLightByThe, (shot) =>
              lightBySun(shot, place, hourFromNoon(todayIn(place.zone, Date.now()), place.zone)),
            )
          }
        />
      )}
    </div>
  );
}
