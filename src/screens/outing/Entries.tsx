'use client';

import { shotName } from '@/words/shotName';
import * as messages from '@/language/outing';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import type { DragEndEvent } from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Input } from 'antd';
import { GripVertical } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { inOrder } from '@/core/records/entries';
import type { Outing, OutingDay, OutingEntry } from '@/core/records/outing';
import { durationText, settingText } from '@/words/settingText';
import type { FilterNotation } from '@/words/settingText';
import { isExposed } from '@/core/day/dayFaults';
import { holdsText } from '@/words/outingText';
import { usePreference } from '../data/repository';
import { outingUrl } from '../routes';
import type { DayAtWork } from '../data/workedDay';
import { VirtualList } from '../ui/VirtualList';
import type { RowProps } from '../ui/listProps';
import { AddEntry } from './AddEntry';
import { EntryEditor } from './EntryEditor';
import type { OpenOuting } from './openOuting';
import styles from './outing.module.css';

/** Height of a row on a laptop, pixels. */
const ROW_HEIGHT = 64;

const SHORT = ['frameRate', 'shutterSeconds', 'filter', 'iso', 'stabilization'] as const;

/** The day's entries in order; each can be dragged to another place, opened, and changed beside the list. */
export function Entries({
  outing,
  day,
  worked,
  editing,
  chosen,
  onChoose,
}: OpenOuting & {
  chosen: string | null;
  onChoose: (entryId: string | null) => void;
}): ReactNode {
  const [wanted, setWanted] = useState('');
  const [notation] = usePreference('filterNotation');
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const entries = inOrder(day.entries);
  const nameOf = (entry: OutingEntry): string =>
    entry.what === 'shot'
      ? worked.shots.has(entry.shotId)
        ? shotName(worked.shots.get(entry.shotId)?.shot)
        : messages.shotNoLongerKept
      : entry.name;
  const shown = entries.filter((entry) => nameOf(entry).toLowerCase().includes(wanted.toLowerCase()));
  const open = entries.find(({ id }) => id === chosen) ?? null;
  const end = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return;
    void editing.reorder(
      String(active.id),
      entries.findIndex(({ id }) => id === over.id),
    );
  };
  const named = (id: unknown): string => {
    const entry = entries.find((one) => one.id === id);
    return entry ? nameOf(entry) : '';
  };
  const accessibility = {
    screenReaderInstructions: {
      draggable: messages.spaceLiftsTheEntryThe,
    },
    announcements: {
      onDragStart: ({ active }: { active: { id: unknown } }) => messages.lifted({ id: named(active.id) }),
      onDragOver: ({ active, over }: { active: { id: unknown }; over: { id: unknown } | null }) =>
        over && over.id !== active.id
          ? messages.isAtThePlaceOf({ id: named(active.id), id2: named(over.id) })
          : undefined,
      onDragEnd: ({ active }: { active: { id: unknown } }) => messages.putDown({ id: named(active.id) }),
      onDragCancel: ({ active }: { active: { id: unknown } }) =>
        messages.leftWhereItWas({ id: named(active.id) }),
    },
  };
  return (
    <div className={styles.columns}>
      <section aria-labelledby="entries-title" className={styles.panel}>
        <div className={styles.panelHead}>
          <h2 id="entries-title">{messages.inOrder}</h2>
          {entries.length > 6 && (
            <Input
              className={styles.search ?? ''}
              placeholder={messages.findByName}
              aria-label={messages.findOnThisDayBy}
              allowClear
              value={wanted}
              onChange={(event) => setWanted(event.target.value)}
            />
          )}
        </div>
        <DndContext
          accessibility={accessibility}
          sensors={sensors}
          collisionDetection={closestCenter}
          onDragEnd={end}
        >
          <SortableContext items={shown.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
            <VirtualList
              items={shown}
              keyOf={({ id }) => id}
              rowHeight={ROW_HEIGHT}
              ordered
              {...(styles.entries ? { className: styles.entries } : {})}
            >
              {(entry, on) => (
                <Row
                  entry={entry}
                  name={nameOf(entry)}
                  outing={outing}
                  day={day}
                  worked={worked}
                  minutes={editing.lengthOf(entry)}
                  chosen={entry.id === chosen}
                  notation={notation}
                  onChoose={() => onChoose(entry.id === chosen ? null : entry.id)}
                  on={on}
                />
              )}
            </VirtualList>
          </SortableContext>
        </DndContext>
        {shown.length === 0 && (
          <p className="quiet">
            {entries.length === 0 ? messages.nothingOnThisDayYet : messages.nothingOfThatNameOn}
          </p>
        )}
        <AddEntry day={day} outing={outing} editing={editing} onAdded={onChoose} />
      </section>
      <section aria-label={messages.chosenOnThisDay} className={styles.panel}>
        {open ? (
          <EntryEditor
            key={open.id}
            entry={open}
            name={nameOf(open)}
            outing={outing}
            day={day}
            worked={worked}
            editing={editing}
            onGone={() => onChoose(null)}
          />
        ) : (
          <p className="quiet">{messages.chooseAnEntryHereOr}</p>
        )}
      </section>
    </div>
  );
}

function Row({
  entry,
  name,
  outing,
  day,
  worked,
  minutes,
  chosen,
  notation,
  onChoose,
  on,
}: {
  entry: OutingEntry;
  name: string;
  outing: Outing;
  day: OutingDay;
  worked: DayAtWork;
  minutes: number;
  chosen: boolean;
  notation: FilterNotation;
  onChoose: () => void;
  on: RowProps;
}): ReactNode {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({
    id: entry.id,
    attributes: { roleDescription: messages.sortable },
  });
  const parts = worked.day.partsOf(entry.id);
  return (
    <li
      {...on}
      ref={(element) => {
        setNodeRef(element);
        on.ref?.(element);
      }}
      style={{ transform: CSS.Translate.toString(transform), transition: transition ?? '' }}
      className={styles.entry}
      data-chosen={chosen}
      data-what={entry.what}
    >
      <button
        type="button"
        className={styles.grip}
        {...attributes}
        {...listeners}
        aria-label={messages.moveInTheOrder({ name })}
      >
        <GripVertical size={16} aria-hidden />
      </button>
      <span className="numerals">{entry.at}</span>
      <button type="button" className={styles.entryName} aria-pressed={chosen} onClick={onChoose}>
        {name}
        <span className="quiet">
          {' '}
          {entry.what === 'shot'
            ? durationText(minutes * 60)
            : messages.pauseOf({ isBreak: entry.what === 'break', lasts: durationText(minutes * 60) })}
        </span>
      </button>
      {entry.what === 'shot' && (
        <div className={styles.answers}>
          {parts.map((part) => {
            const own = part.answer;
            const settings = own?.carried?.settings;
            const extra = own?.own && own.carried ? own.carried.loss - own.own.loss : 0;
            return (
              <span key={part.id} className="numerals">
                <b>{part.camera.name}</b>{' '}
                {settings
                  ? SHORT.map((key) => settingText(key, settings, part.brief.filters, notation)).join(' · ')
                  : own
                    ? messages.noAnswerMendItOn
                    : '…'}
                {own?.carried && (
                  <span className={isExposed(own) ? 'quiet' : styles.amiss}> {holdsText(own)}</span>
                )}
                {extra > 0.15 && (
                  <span className={styles.amiss}>
                    {messages.costsForTheDaysSake({ extra: extra.toFixed(1) })}
                  </span>
                )}
              </span>
            );
          })}
          <Link
            href={outingUrl('/bench', outing.id, day.id, { shot: entry.shotId, entry: entry.id })}
            prefetch={false}
          >
            {messages.bench}
          </Link>
          {entry.done && <span className="quiet">{entry.done.how}</span>}
        </div>
      )}
    </li>
  );
}
