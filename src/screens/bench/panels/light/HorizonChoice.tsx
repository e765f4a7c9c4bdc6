'use client';

import { SHADES } from '@/core/vocabulary/outdoors';
import type { Shade } from '@/core/vocabulary/outdoors';
import { Button, Select } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import type { SunLight } from '@/core/light/sun/sunLight';
import { SHADE_LABEL } from '@/words/lightText';
import styles from './sky.module.css';
import { gorgeBetween, HORIZONS, withMoreCorners } from './sunEditing';

/** What stands around the place: something usual to start drawing from, its shade, more corners, or nothing. */
export function HorizonChoice({
  light,
  onSet,
}: {
  light: SunLight;
  onSet: (label: string, horizon: SunLight['horizon']) => void;
}): ReactNode {
  const { horizon } = light;
  const [hours, setHours] = useState({ comes: '11:00', goes: '15:00' });
  const gorge = gorgeBetween(light, hours.comes, hours.goes);
  if (!horizon)
    return (
      <span className={styles.choice}>
        Nothing stands around.
        <Button onClick={() => onSet('stand in a valley', HORIZONS.valley)}>A valley</Button>
        <Button onClick={() => onSet('stand among trees', HORIZONS.trees)}>Trees</Button>
        <Button disabled={!gorge} onClick={() => gorge && onSet('stand in a gorge', gorge)}>
          A gorge, sun from
        </Button>
        <input
          type="time"
          aria-label="Sun comes at"
          value={hours.comes}
          onChange={(event) => setHours({ ...hours, comes: event.target.value })}
        />
        to
        <input
          type="time"
          aria-label="Sun goes at"
          value={hours.goes}
          onChange={(event) => setHours({ ...hours, goes: event.target.value })}
        />
      </span>
    );
  return (
    <span className={styles.choice}>
      While the sun is behind it:
      <Select
        aria-label="Shade behind the horizon"
        value={horizon.behind}
        popupMatchSelectWidth={false}
        options={SHADES.filter((shade) => shade !== 'open').map((value) => ({
          value,
          label: SHADE_LABEL[value],
        }))}
        onSelect={(behind: Shade) => onSet('change the shade of the horizon', { ...horizon, behind })}
      />
      <Button onClick={() => onSet('add a corner to the horizon', withMoreCorners(horizon))}>
        More corners
      </Button>
      <Button type="text" onClick={() => onSet('clear the horizon', undefined)}>
        Clear it
      </Button>
    </span>
  );
}
