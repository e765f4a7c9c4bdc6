'use client';

import { Button } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import type { Filter } from '@/core/filters/kit';
import { measuredStops } from '@/core/filters/measure';
import type { WallReading } from '@/core/filters/measure';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { NumberField } from '../ui/Fields';
import styles from './kit.module.css';

type Fixed = Exclude<Filter, { kind: 'variable' }>;

/** Two readings of one wall, without and with the filter, tell what it really takes. */
export function MeasureFilter({ filter, put }: { filter: Fixed; put: (next: Filter) => void }): ReactNode {
  const [without, setWithout] = useState<WallReading>({ fNumber: 2.8, shutterSeconds: 1 / 1600, iso: 100 });
  const [withIt, setWithIt] = useState<WallReading>({
    fNumber: 2.8,
    shutterSeconds: 2 ** filter.stops / 1600,
    iso: 100,
  });
  const { stops, odd } = measuredStops(without, withIt, filter.stops);
  return (
    <details className={styles.measure}>
      <summary>Measure it with two readings</summary>
      <ol>
        <li>
          Film an evenly lit wall or a clear patch of sky that fills the frame, camera on automatic, nothing
          moved between the two readings.
        </li>
        <li>
          Without the filter the camera shows:
          <ReadingFields reading={without} onChange={setWithout} name="without" />
        </li>
        <li>
          With it:
          <ReadingFields reading={withIt} onChange={setWithIt} name="with" />
        </li>
      </ol>
      <p role="status">
        {odd === 'brighter'
          ? 'With the filter the wall reads brighter than without: the two readings are exchanged, or the light changed.'
          : `It takes ${trimmed(stops, 2)} stops; its label says ${trimmed(filter.stops, 2)}${
              odd === 'farFromLabel'
                ? ': so far off that a reading is likelier wrong. Read both again'
                : `, ${tenths(Math.abs(stops - filter.stops))} ${stops > filter.stops ? 'more' : 'less'} than that`
            }.`}
      </p>
      <Button
        disabled={odd === 'brighter'}
        onClick={() => put({ ...filter, measuredStops: Math.round(stops * 100) / 100 })}
      >
        Keep {trimmed(stops, 2)} stops as measured
      </Button>
    </details>
  );
}

function ReadingFields({
  reading,
  onChange,
  name,
}: {
  reading: WallReading;
  onChange: (reading: WallReading) => void;
  name: string;
}): ReactNode {
  return (
    <span className={styles.measureFields}>
      <NumberField
        label={`Shutter ${name}, 1 over`}
        min={0.1}
        max={100_000}
        step={10}
        value={Number(shutterFraction(reading.shutterSeconds).replace('1/', ''))}
        onCommit={(over) => over !== undefined && onChange({ ...reading, shutterSeconds: 1 / over })}
      />
      <NumberField
        label={`ISO ${name}`}
        min={6}
        max={409_600}
        step={100}
        value={reading.iso}
        onCommit={(iso) => iso !== undefined && onChange({ ...reading, iso })}
      />
      <NumberField
        label={`f-number ${name}`}
        min={0.7}
        max={64}
        step={0.1}
        value={reading.fNumber}
        onCommit={(fNumber) => fNumber !== undefined && onChange({ ...reading, fNumber })}
      />
    </span>
  );
}
