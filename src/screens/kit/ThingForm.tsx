'use client';

import * as messages from '@/language/kit';
import { MOUNT_KINDS } from '@/core/vocabulary/mounts';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { habitsOf, placesOf } from '@/core/vocabulary/mounts';
import { usualShakeDegPerSRms } from '@/core/motion/shake';
import type { KitItem, Thing } from '@/core/records/kitItem';
import { rebased } from '@/core/records/rebased';
import { omit } from '@/core/units/omit';
import { trimmed } from '@/core/units/format';
import { MOUNT_LABEL, PLACE_LABEL } from '@/words/labels';
import { followsFrom } from '@/words/thingText';
import type { PlainThing } from '@/words/thingText';
import { ChoiceField, NumberField, TextField } from '../ui/Fields';
import { useRepository } from '../data/repository';
import { ownZone } from '@/formats/today';
import { measuredSource, measuredText } from '@/words/measuredText';
import { useMeasured } from '../data/measured';
import { instrumentUrl } from '../routes';
import { FilterFigures } from './FilterFigures';
import styles from './kit.module.css';
import { MeasureFilter } from './MeasureFilter';

/** Writes a thing as it now is; rejects when it was not written. */
type Put = (next: PlainThing) => Promise<void>;

/** A thing that is not a camera: its few figures, each with what follows from it. */
export function ThingForm({ item, thing }: { item: KitItem; thing: PlainThing }): ReactNode {
  const repository = useRepository();
  const put = (next: PlainThing): Promise<void> => {
    const change = rebased<Thing>(thing, next);
    return (
      repository?.changeKit(item.id, messages.change({ what: next.name }), (one) => ({
        ...one,
        thing: change(one.thing),
      })) ?? Promise.resolve()
    );
  };
  return (
    <>
      <h2 className={styles.name}>{thing.name}</h2>
      <div className={styles.fields}>
        <TextField
          label={messages.name}
          value={thing.name}
          maxLength={80}
          onCommit={(name) => put({ ...thing, name })}
        />
        <Figures thing={thing} put={put} />
        <TextField
          label={messages.note}
          value={item.note}
          maxLength={2000}
          onCommit={(note) =>
            repository?.changeKit(item.id, messages.noteOn({ thing: thing.name }), (one) => ({
              ...one,
              note,
            }))
          }
        />
      </div>
      {thing.what === 'mount' && <MeasuredMount kitId={item.id} />}
      {thing.what === 'filter' && thing.filter.kind !== 'variable' && (
        <MeasureFilter filter={thing.filter} put={(filter) => void put({ ...thing, filter })} />
      )}
      <Follows thing={thing} />
    </>
  );
}

function Figures({ thing, put }: { thing: PlainThing; put: Put }): ReactNode {
  switch (thing.what) {
    case 'filter':
      return <FilterFigures filter={thing.filter} put={(filter) => void put({ ...thing, filter })} />;
    case 'card':
    case 'cell':
    case 'bank':
      return FIGURES[thing.what].map(({ key, label, unit, min, max, step }) => (
        <NumberField
          key={key}
          label={label}
          unit={unit}
          min={min}
          max={max}
          step={step}
          value={figureOf(thing, key)}
          onCommit={(value) => {
            // The schema has the last word on what is kept.
            if (value === undefined) return;
            return put({ ...thing, [key]: key === 'count' ? Math.round(value) : value });
          }}
        />
      ));
    case 'mount':
      return <MountFigures thing={thing} put={put} />;
  }
}

/** Things that are nothing but figures. */
type Counted = Extract<PlainThing, { what: 'card' | 'cell' | 'bank' }>;

interface Figure {
  key: string;
  label: string;
  unit: string;
  min: number;
  max: number;
  step: number;
}

const figure = (
  key: string,
  label: string,
  unit: string,
  [min, max, step]: readonly [number, number, number],
): Figure => ({ key, label, unit, min, max, step });

/** Bounds repeat the schema's. */
const FIGURES: Record<Counted['what'], readonly Figure[]> = {
  card: [
    figure('capacityGb', messages.capacity, messages.unitGb, [1, 16_384, 1]),
    figure('writeMBps', messages.sustainedWriting, 'MB/s', [1, 5000, 1]),
  ],
  cell: [
    figure('ampereHours', messages.charge, messages.unitAh, [0.05, 100, 0.1]),
    figure('volts', messages.voltage, messages.unitVolt, [1, 60, 0.05]),
    figure('count', messages.howMany, '', [1, 50, 1]),
  ],
  bank: [figure('ampereHours', messages.charge, messages.unitAh, [0.1, 200, 0.5])],
};

function figureOf(thing: Counted, key: string): number {
  return Number(Object.entries(thing).find(([name]) => name === key)?.[1]);
}

/** Where the figures of a mount are from that were measured, and the way to measure them. */
function MeasuredMount({ kitId }: { kitId: string }): ReactNode {
  const measured = useMeasured({ kitId });
  const last = (['shake', 'level'] as const).flatMap(
    (is) => measured.find(({ figure }) => figure.is === is) ?? [],
  );
  return (
    <>
      {last.map((one) => (
        <p key={one.id}>
          {measuredText(one.figure)} <span className="quiet">{measuredSource(one, ownZone())}</span>
        </p>
      ))}
      <Link href={instrumentUrl({ kitId })}>{messages.measureIt}</Link>
    </>
  );
}

type Mounted = Extract<Thing, { what: 'mount' }>;

function MountFigures({ thing, put }: { thing: Mounted; put: Put }): ReactNode {
  const usual = habitsOf(thing.kind, thing.place);
  const places = placesOf(thing.kind);
  const set = (key: 'shakeDegPerSRms' | 'tiltDeg' | 'pitchDeg', value: number | undefined): Promise<void> => {
    const kept = omit(thing, key);
    return put(value === undefined ? kept : { ...kept, [key]: value });
  };
  return (
    <>
      <ChoiceField
        label={messages.kind}
        value={thing.kind}
        options={MOUNT_KINDS.map((value) => ({ value, label: MOUNT_LABEL[value] }))}
        onCommit={(kind) => put({ what: 'mount', name: thing.name, kind })}
      />
      {places.length > 0 && (
        <ChoiceField
          label={messages.whereOnIt}
          value={thing.place ?? places[0] ?? 'front'}
          options={places.map((value) => ({ value, label: PLACE_LABEL[value] }))}
          onCommit={(place) => put({ ...thing, place })}
        />
      )}
      <NumberField
        label={messages.shakeMeasured}
        unit={messages.sRms}
        value={thing.shakeDegPerSRms}
        min={0}
        max={1000}
        placeholder={messages.usualKind({
          kind: trimmed(usualShakeDegPerSRms(thing.kind, 'mixed', 'riding', { place: thing.place }), 1),
        })}
        onCommit={(v) => set('shakeDegPerSRms', v)}
      />
      <NumberField
        label={messages.offLevelBy}
        unit="°"
        value={thing.tiltDeg}
        min={-180}
        max={180}
        placeholder={messages.level}
        onCommit={(v) => set('tiltDeg', v)}
      />
      <NumberField
        label={messages.looksDownBy}
        unit="°"
        value={thing.pitchDeg}
        min={-90}
        max={90}
        placeholder={messages.usualPitchDeg({ pitchDeg: usual.pitchDeg })}
        onCommit={(v) => set('pitchDeg', v)}
      />
    </>
  );
}

/** What follows from the figures. */
function Follows({ thing }: { thing: PlainThing }): ReactNode {
  const lines = followsFrom(thing);
  return (
    <ul className={styles.follows}>
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}
