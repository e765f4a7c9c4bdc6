'use client';

import { Input, InputNumber, Select } from 'antd';
import { useId } from 'react';
import type { ReactNode } from 'react';
import { namedText, useTyped, useTypedText } from './useTyped';
import type { Commit } from './useTyped';
import styles from './ui.module.css';

/**
 * Labelled fields that commit when left or on Enter, so that each change is one step of undo. What could not be written
 * stays in the field, with the reason under it.
 */
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
  onCommit: Commit<number | undefined>;
}): ReactNode {
  const id = useId();
  const { typed, now, type, leave, give, refused } = useTyped<number | null>();
  const commit = (): void => {
    const last = now();
    if (last === undefined) return;
    if (last === null && (placeholder === undefined || value === undefined)) leave();
    else if (last === value) leave();
    else give(() => onCommit(last ?? undefined));
  };
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      {/* Left is heard around the library's field, which rights what was typed when it is left. */}
      <span onBlur={commit}>
        <InputNumber
          id={id}
          inputMode={min < 0 ? 'text' : 'decimal'}
          value={typed === undefined ? (value ?? null) : typed}
          min={min}
          max={max}
          step={step}
          {...(placeholder === undefined ? {} : { placeholder })}
          {...(refused === null ? {} : { status: 'error' as const })}
          onChange={type}
          onPressEnter={commit}
        />
        {unit !== '' && <span className={styles.unit}> {unit}</span>}
      </span>
      <Refused why={refused} />
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
  onCommit: Commit<string>;
}): ReactNode {
  const id = useId();
  const { value: shown, status, onType, onLeave, refused } = useTypedText(value, namedText, onCommit);
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        value={shown}
        maxLength={maxLength}
        status={status}
        onChange={(event) => onType(event.target.value)}
        onBlur={onLeave}
        onPressEnter={onLeave}
      />
      <Refused why={refused} />
    </div>
  );
}

/** A date ("2026-10-03") or a time of the clock ("10:10"), taken when the field is left: not at every key. */
export function ClockField({
  label,
  kind,
  value,
  onCommit,
}: {
  label: string;
  kind: 'date' | 'time';
  value: string;
  onCommit: Commit<string>;
}): ReactNode {
  const id = useId();
  // A half-typed one is empty to the page: it goes back to what it was.
  const {
    value: shown,
    status,
    onType,
    onLeave,
    refused,
  } = useTypedText(value, (typed) => (CLOCK[kind].test(typed) ? typed : null), onCommit);
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        type={kind}
        value={shown}
        {...(kind === 'date' ? { min: '1900-01-01', max: '2199-12-31' } : {})}
        status={status}
        onChange={(event) => onType(event.target.value)}
        onBlur={onLeave}
        onPressEnter={onLeave}
      />
      <Refused why={refused} />
    </div>
  );
}

const CLOCK = { date: /^(19|20|21)\d\d-\d\d-\d\d$/, time: /^\d\d:\d\d$/ } as const;

/** Why what stands in the field was not written. */
export function Refused({ why }: { why: string | null }): ReactNode {
  if (why === null) return null;
  return (
    <p role="alert" className={styles.refused}>
      {why}
    </p>
  );
}

/** A list of more than these is found in by typing as well. */
const SEARCHED_FROM = 7;

export function ChoiceField<T extends string>({
  label,
  value,
  options,
  onCommit,
}: {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onCommit: Commit<T>;
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
        {...(options.length > SEARCHED_FROM ? { showSearch: { optionFilterProp: 'label' } } : {})}
        options={[...options]}
        onSelect={(chosen) => void onCommit(chosen as T)}
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
  onCommit: Commit<string[]>;
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
          if (mayBeEmpty || chosen.length > 0) void onCommit(chosen);
        }}
      />
    </div>
  );
}
