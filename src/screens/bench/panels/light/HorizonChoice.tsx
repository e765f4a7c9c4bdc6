'use client';

import * as messages from '@/language/bench/light';
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
        {messages.nothingStandsAround}
        <Button onClick={() => onSet(messages.standInAValley, HORIZONS.valley)}>{messages.aValley}</Button>
        <Button onClick={() => onSet(messages.standAmongTrees, HORIZONS.trees)}>{messages.trees}</Button>
        <Button disabled={!gorge} onClick={() => gorge && onSet(messages.standInAGorge, gorge)}>
          {messages.aGorgeSunFrom}
        </Button>
        <input
          type="time"
          aria-label={messages.sunComesAt}
          value={hours.comes}
          onChange={(event) => setHours({ ...hours, comes: event.target.value })}
        />
        {messages.toWord}
        <input
          type="time"
          aria-label={messages.sunGoesAt}
          value={hours.goes}
          onChange={(event) => setHours({ ...hours, goes: event.target.value })}
        />
      </span>
    );
  return (
    <span className={styles.choice}>
      {messages.whileTheSunIsBehind}
      <Select
        aria-label={messages.shadeBehindTheHorizon}
        value={horizon.behind}
        popupMatchSelectWidth={false}
        options={SHADES.filter((shade) => shade !== 'open').map((value) => ({
          value,
          label: SHADE_LABEL[value],
        }))}
        onSelect={(behind: Shade) => onSet(messages.changeTheShadeOfThe, { ...horizon, behind })}
      />
      <Button onClick={() => onSet(messages.addACornerToThe, withMoreCorners(horizon))}>
        {messages.moreCorners}
      </Button>
      <Button type="text" onClick={() => onSet(messages.clearTheHorizon, undefined)}>
        {messages.clearIt}
      </Button>
    </span>
  );
}
