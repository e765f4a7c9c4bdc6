'use client';

import * as messages from '@/language/location';
import { Select } from 'antd';
import { useId, useMemo } from 'react';
import type { ReactNode } from 'react';
import { allZones } from '@/formats/clock';
import { zoneText } from '@/words/lightText';
import styles from './place.module.css';

/** The clock by which times are told, with its distance from UTC at an instant. */
export function ZoneField({
  zone,
  atMs,
  onChoose,
}: {
  zone: string;
  atMs: number;
  onChoose: (zone: string) => void;
}): ReactNode {
  const id = useId();
  const zones = useMemo(() => allZones().map((value) => ({ value, label: value })), []);
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{messages.clock}</label>
      <Select
        id={id}
        aria-label={messages.clockOfThePlace}
        showSearch={{ optionFilterProp: 'label' }}
        popupMatchSelectWidth={false}
        value={zone}
        options={zones}
        labelRender={() => zoneText(zone, atMs)}
        onSelect={onChoose}
      />
    </div>
  );
}
