'use client';

import { Input } from 'antd';
import { useId } from 'react';
import type { ReactNode } from 'react';
import styles from './log.module.css';

/** A date that may be left open. */
export function DateWish({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string | null;
  onChange: (value: string | null) => void;
}): ReactNode {
  const id = useId();
  return (
    <span className={styles.date}>
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        type="date"
        value={value ?? ''}
        onChange={(event) => onChange(event.target.value === '' ? null : event.target.value)}
      />
    </span>
  );
}
