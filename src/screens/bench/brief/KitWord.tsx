'use client';

import * as messages from '@/language/bench/brief';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import { takesFilters } from '@/core/filters/bag';
import type { Filter } from '@/core/filters/kit';
import type { ShotEditing } from '../../data/useShotEditing';
import { filterName } from '@/words/settingText';
import styles from './sentence.module.css';

/** Filters that can be ticked into the kit of a shot; a file may bring others, which stay listed. */
const KNOWN: readonly Filter[] = [
  { id: 'nd2', kind: 'nd', stops: 1 },
  { id: 'nd4', kind: 'nd', stops: 2 },
  { id: 'nd8', kind: 'nd', stops: 3 },
  { id: 'nd16', kind: 'nd', stops: 4 },
  { id: 'nd32', kind: 'nd', stops: 5 },
  { id: 'nd64', kind: 'nd', stops: 6 },
  { id: 'nd1000', kind: 'nd', stops: 9.97 },
  { id: 'polarizer', kind: 'polarizer', stops: 1.5 },
  { id: 'variable', kind: 'variable', stopsMin: 2, stopsMax: 5 },
  { id: 'haze', kind: 'haze', stops: 0.2 },
  { id: 'cover', kind: 'cover', stops: 0.1 },
];

/** The last words of the sentence: which filters are in the bag. */
export function KitWord({
  brief,
  owned,
  usual,
  editing,
}: {
  brief: Brief;
  owned: readonly Filter[];
  usual: boolean;
  editing: ShotEditing;
}): ReactNode {
  if (!takesFilters(brief.camera)) return <span>{messages.nothingGoesBefore}</span>;
  // As they are kept: what is answered with may carry figures of the person's own.
  const inBag = editing.shot.filters ?? brief.filters;
  const listed = [...new Map([...KNOWN, ...owned, ...inBag].map((filter) => [filter.id, filter])).values()];
  return (
    <>
      <span>{messages.inTheBag}</span>
      <span className={`${styles.word ?? ''} ${(usual ? styles.usual : styles.mine) ?? ''}`}>
        <Select
          mode="multiple"
          aria-label={messages.filtersInTheBagUsual({ usual })}
          variant="borderless"
          {...(brief.filters.length === 0 && styles.emptyBag ? { className: styles.emptyBag } : {})}
          popupMatchSelectWidth={false}
          suffix={<span />}
          placeholder={messages.noFilters}
          maxTagPlaceholder=""
          value={brief.filters.map(({ id }) => id)}
          options={listed.map((filter) => ({ value: filter.id, label: filterName(filter) }))}
          tagRender={({ label, value }) => (
            <span>
              {label}
              {value === brief.filters.at(-1)?.id ? '\u00a0' : ',\u00a0'}
            </span>
          )}
          onChange={(ids: string[]) =>
            editing.commit(messages.changeTheFiltersInThe, (shot) => ({
              ...shot,
              filters: listed.filter(({ id }) => ids.includes(id)),
            }))
          }
        />
      </span>
    </>
  );
}
