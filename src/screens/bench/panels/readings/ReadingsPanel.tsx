'use client';

import * as messages from '@/language/bench/readings';
import { Phrase } from '../../../ui/Phrase';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { evRangeOf } from '@/core/light/lightRange';
import { evOfReading } from '@/core/light/readings';
import type { Reading } from '@/core/light/readings';
import { trimmed } from '@/core/units/format';
import { evText } from '@/words/settingText';
import { NumberField, TextField } from '../../../ui/Fields';
import { useIncoming } from '../../../files/incoming';
import { pickFiles } from '../../../files/pickFile';
import type { ShotEditing } from '../../../data/useShotEditing';
import { PhotoReading } from './PhotoReading';
import { adding, changing, readingsOf, removing, usualLux, usualReading, widened } from './readingEditing';
import styles from './readings.module.css';
import { isTrackName, PHOTO_FILES, TRACK_FILES } from '../../../files/fileKinds';
import { TrackReading } from './TrackReading';

/** Light from readings, photographs and a track: whatever was measured rather than guessed. */
export function ReadingsPanel({
  solution,
  editing,
}: {
  solution: Solution;
  editing: ShotEditing;
}): ReactNode {
  const { brief } = solution.space;
  const { light } = brief;
  const told = readingsOf(light);
  const [files, setFiles] = useState<readonly File[]>([]);
  const open = (more: readonly File[]): void =>
    setFiles((before) => {
      const names = new Set(before.map(fileKey));
      return [...before, ...more.filter((file) => !names.has(fileKey(file)))];
    });
  const close = (file: File) => (): void => setFiles((before) => before.filter((one) => one !== file));
  const dropped = useIncoming((state) => state.files);
  const done = useIncoming((state) => state.done);
  // What was dropped anywhere on the page lands here once.
  useEffect(() => {
    if (dropped.length === 0) return;
    open(dropped);
    done();
  }, [dropped, done]);
  const range = evRangeOf(light);
  return (
    <div className={styles.panel}>
      <section aria-labelledby="readings-title" className={styles.section}>
        <div className={styles.head}>
          <h2 id="readings-title">{messages.readings}</h2>
          <Button
            onClick={() =>
              editing.commit(messages.addACameraReading, adding(usualReading(light, brief.camera.fNumber)))
            }
          >
            {messages.aCameraOnAutomatic}
          </Button>
          <Button onClick={() => editing.commit(messages.addAMeterReading, adding(usualLux(light)))}>
            {messages.aMeterInLux}
          </Button>
          <Button onClick={() => pickFiles(PHOTO_FILES, open)}>{messages.aPhotograph}</Button>
          <Button onClick={() => pickFiles(TRACK_FILES, open)}>{messages.aTrack}</Button>
        </div>
        <p className={styles.small}>{messages.photographsAndTracksAreRead}</p>
        {told ? (
          <>
            <ol className={styles.readings}>
              {told.readings.map((reading, at) => (
                <li key={at}>
                  <ReadingRow
                    reading={reading}
                    number={at + 1}
                    onChange={(label, change) => editing.commit(label, changing(at, change))}
                    onRemove={() => editing.commit(messages.takeAReadingAway, removing(at))}
                  />
                </li>
              ))}
            </ol>
            <div className={styles.fields}>
              <NumberField
                label={messages.theRunGetsDarkerBy}
                unit={messages.stops}
                min={0}
                max={20}
                step={0.5}
                value={told.darkerStops}
                onCommit={(value) =>
                  editing.commit(messages.widenTheReadings, widened({ darkerStops: value ?? 0 }))
                }
              />
              <NumberField
                label={messages.andBrighterBy}
                unit={messages.stops}
                min={0}
                max={20}
                step={0.5}
                value={told.brighterStops}
                onCommit={(value) =>
                  editing.commit(messages.widenTheReadings, widened({ brighterStops: value ?? 0 }))
                }
              />
              <p className={styles.range}>
                <Phrase
                  of={messages.lightToEV}
                  parts={[
                    <b className="numerals">{evText(range.evMin)}</b>,
                    <b className="numerals">{evText(range.evMax)}</b>,
                  ]}
                />
              </p>
            </div>
          </>
        ) : (
          <p>{messages.noReadingYetTheFirst}</p>
        )}
      </section>
      {files.map((file) =>
        isTrackName(file.name) ? (
          <TrackReading
            key={fileKey(file)}
            file={file}
            solution={solution}
            editing={editing}
            onClose={close(file)}
          />
        ) : (
          <PhotoReading
            key={fileKey(file)}
            file={file}
            solution={solution}
            editing={editing}
            onClose={close(file)}
          />
        ),
      )}
    </div>
  );
}

function fileKey(file: File): string {
  return `${file.name} ${file.size} ${file.lastModified}`;
}

function ReadingRow({
  reading,
  number,
  onChange,
  onRemove,
}: {
  reading: Reading;
  number: number;
  onChange: (label: string, change: (reading: Reading) => Reading) => void;
  onRemove: () => void;
}): ReactNode {
  const set =
    (part: object) =>
    (one: Reading): Reading => ({ ...one, ...part });
  return (
    <div className={styles.fields}>
      <TextField
        label={messages.where({ number })}
        value={reading.where ?? messages.place({ number })}
        maxLength={80}
        onCommit={(where) => onChange(messages.nameAReading, set({ where }))}
      />
      {'lux' in reading ? (
        <NumberField
          label={messages.illuminance}
          unit={messages.lux}
          min={0.0001}
          max={1_000_000}
          step={100}
          value={reading.lux}
          onCommit={(lux) => lux !== undefined && onChange(messages.changeAReading, set({ lux }))}
        />
      ) : (
        <>
          <NumberField
            label={messages.fNumber}
            min={0.7}
            max={64}
            step={0.1}
            value={reading.fNumber}
            onCommit={(fNumber) =>
              fNumber !== undefined && onChange(messages.changeAReading, set({ fNumber }))
            }
          />
          <NumberField
            label={messages.shutter1Over}
            min={0.001}
            max={1_000_000}
            step={10}
            value={Number(trimmed(1 / reading.shutterSeconds, reading.shutterSeconds > 0.02 ? 1 : 0))}
            onCommit={(over) =>
              over !== undefined && onChange(messages.changeAReading, set({ shutterSeconds: 1 / over }))
            }
          />
          <NumberField
            label={messages.iso}
            min={6}
            max={409_600}
            step={100}
            value={reading.iso}
            onCommit={(iso) =>
              iso !== undefined && onChange(messages.changeAReading, set({ iso: Math.round(iso) }))
            }
          />
          <NumberField
            label={messages.filterThatWasOn}
            unit={messages.stops}
            min={0}
            max={20}
            step={0.5}
            value={reading.filterStops}
            onCommit={(filterStops) =>
              filterStops !== undefined && onChange(messages.changeAReading, set({ filterStops }))
            }
          />
          <NumberField
            label={messages.pictureOffBy}
            unit={messages.stops}
            min={-10}
            max={10}
            step={0.1}
            value={reading.offStops}
            onCommit={(offStops) =>
              offStops !== undefined && onChange(messages.changeAReading, set({ offStops }))
            }
          />
        </>
      )}
      <p className={styles.range}>
        <Phrase
          of={messages.unitEv}
          parts={[<b className="numerals">{evOfReading(reading).toFixed(2)}</b>]}
        />
      </p>
      <Button type="text" onClick={onRemove} aria-label={messages.takeReadingAway({ number })}>
        {messages.takeAway}
      </Button>
    </div>
  );
}
