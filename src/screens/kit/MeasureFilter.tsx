'use client';

import * as messages from '@/language/kit';
import { Phrase } from '../ui/Phrase';
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
      <summary>{messages.measureItWithTwoReadings}</summary>
      <ol>
        <li>{messages.filmAnEvenlyLitWall}</li>
        <li>
          <Phrase
            of={messages.withoutTheFilterTheCamera}
            parts={[<ReadingFields reading={without} onChange={setWithout} name={messages.without} />]}
          />
        </li>
        <li>
          <Phrase
            of={messages.withIt}
            parts={[<ReadingFields reading={withIt} onChange={setWithIt} name={messages.withWord} />]}
          />
        </li>
      </ol>
      <p role="status">
        {odd === 'brighter'
          ? messages.withTheFilterTheWall
          : messages.itTakesStopsItsLabel({
              stops: trimmed(stops, 2),
              stops2: trimmed(filter.stops, 2),
              odd:
                odd === 'farFromLabel'
                  ? messages.soFarOffThatA
                  : messages.moreThanThat({
                      stops: tenths(Math.abs(stops - filter.stops)),
                      isStops: stops > filter.stops,
                    }),
            })}
      </p>
      <Button
        disabled={odd === 'brighter'}
        onClick={() => put({ ...filter, measuredStops: Math.round(stops * 100) / 100 })}
      >
        {messages.keepStopsAsMeasured({ stops: trimmed(stops, 2) })}
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
        label={messages.shutter1Over({ name })}
        min={0.1}
        max={100_000}
        step={10}
        value={Number(shutterFraction(reading.shutterSeconds).replace('1/', ''))}
        onCommit={(over) => over !== undefined && onChange({ ...reading, shutterSeconds: 1 / over })}
      />
      <NumberField
        label={messages.iso({ name })}
        min={6}
        max={409_600}
        step={100}
        value={reading.iso}
        onCommit={(iso) => iso !== undefined && onChange({ ...reading, iso })}
      />
      <NumberField
        label={messages.fNumber({ name })}
        min={0.7}
        max={64}
        step={0.1}
        value={reading.fNumber}
        onCommit={(fNumber) => fNumber !== undefined && onChange({ ...reading, fNumber })}
      />
    </span>
  );
}
