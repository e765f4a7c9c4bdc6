'use client';

import { Input, InputNumber, Select } from 'antd';
import { useId, useState } from 'react';
import type { ReactNode } from 'react';
import styles from './parts.module.css';

/** Labelled fields that commit when left or on Enter, so that each change is one step of undo. */
export function NumberField({
  label,
  value,
  unit = '',
  min,
  max,
  step = 1,
  placeholder,
  onCommit,
}: {
  label: string;
  value: number | undefined;
  unit?: string;
  min: number;
  max: number;
  step?: number;
  /** What an empty field means; with it, a field may be emptied. */
  placeholder?: string;
  onCommit: (value: number | undefined) => void;
}): ReactNode {
  const id = useId();
  const [typed, setTyped] = useState<number | null | undefined>(undefined);
  const commit = (): void => {
    if (typed === undefined) return;
    setTyped(undefined);
    if (typed === null) {
      if (placeholder !== undefined && value !== undefined) onCommit(undefined);
    } else if (typed !== value) onCommit(typed);
  };
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <span>
        <InputNumber
          id={id}
          value={typed === undefined ? (value ?? null) : typed}
          min={min}
          max={max}
          step={step}
          {...(placeholder === undefined ? {} : { placeholder })}
          onChange={setTyped}
          onBlur={commit}
          onPressEnter={commit}
        />
        {unit !== '' && <span className={styles.unit}> {unit}</span>}
      </span>
    </div>
  );
}

export function TextField({
  label,
  value,
  maxLength,
  onCommit,
}: {
  label: string;
  value: string;
  maxLength: number;
  onCommit: (value: string) => void;
}): ReactNode {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const commit = (): void => {
    if (typed !== null && typed.trim() !== '' && typed !== value) onCommit(typed.trim());
    setTyped(null);
  };
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        value={typed ?? value}
        maxLength={maxLength}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onPressEnter={commit}
      />
    </div>
  );
}

export function ChoiceField<T extends string>({
  label,
  value,
  options,
  onCommit,
}: {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onCommit: (value: T) => void;
}): ReactNode {
  const id = useId();
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <Select
        id={id}
        aria-label={label}
        value={value}
        popupMatchSelectWidth={false}
        options={[...options]}
        onSelect={(chosen) => onCommit(chosen as T)}
      />
    </div>
  );
}

/** Several of a list; with `free`, also what is typed. An emptied list is only committed where it may be empty. */
export function ListField({
  label,
  values,
  options,
  free = false,
  mayBeEmpty = false,
  onCommit,
}: {
  label: string;
  values: readonly string[];
  options: readonly { value: string; label: string }[];
  free?: boolean;
  mayBeEmpty?: boolean;
  onCommit: (values: string[]) => void;
}): ReactNode {
  const id = useId();
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <Select
        id={id}
        aria-label={label}
        mode={free ? 'tags' : 'multiple'}
        popupMatchSelectWidth={false}
        value={[...values]}
        options={[...options]}
        tokenSeparators={[',', ' ']}
        onChange={(chosen: string[]) => {
          if (mayBeEmpty || chosen.length > 0) onCommit(chosen);
        }}
      />
    </div>
  );
}
