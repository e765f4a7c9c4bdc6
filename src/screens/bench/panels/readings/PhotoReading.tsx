'use client';

import * as messages from '@/language/bench/readings';
import { Phrase } from '../../../ui/Phrase';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { evOfReading } from '@/core/light/readings';
import type { PictureTone } from '@/core/light/readings';
import type { Solution } from '@/core/answer/solve';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { instantOf } from '@/formats/clock';
import { atPlace, hourFromNoon, lightBySun } from '@/formats/placed';
import { todayIn } from '@/formats/today';
import type { PhotoFacts, PhotoRead } from '@/formats/photo/readPhoto';
import { askFiles } from '@/workers/files';
import type { PhotoJob } from '@/workers/files';
import { placeText } from '@/words/lightText';
import { NumberField } from '../../../ui/Fields';
import type { ShotEditing } from '../../../data/useShotEditing';
import { changingSun, startingAt } from '../light/sunEditing';
import { useInDay } from '../../../data/inDay';
import { loadPlaces, zoneAt } from '../../../location/usePlaces';
import { FileReading } from './FileReading';
import { adding, readingOfPhoto } from './readingEditing';
import styles from './readings.module.css';
import { useFileJob } from './useFileJob';

/** A file larger than this is no photograph of a small camera, bytes. */
const MOST_BYTES = 250_000_000;

/** A photograph that takes longer is given up. */
const MOST_SECONDS = 5;

async function readFile(file: File): Promise<PhotoJob> {
  if (file.size > MOST_BYTES)
    throw new Error(
      messages.mbIsMoreThanThe({ count: trimmed(file.size / 1e6, 0), mostBytes: MOST_BYTES / 1e6 }),
    );
  return askFiles((worker) => worker.readPhoto(file), { mostSeconds: MOST_SECONDS });
}

/** A photograph dropped in: what light it saw, and how far its picture came out from that. */
export function PhotoReading({
  file,
  solution,
  editing,
  onClose,
}: {
  file: File;
  solution: Solution;
  editing: ShotEditing;
  onClose: () => void;
}): ReactNode {
  const job = useFileJob(file, readFile);
  return (
    <FileReading title={file.name} job={job} onClose={onClose}>
      {({ read, tone }) =>
        read.ok ? (
          <Facts facts={read.facts} tone={tone} name={file.name} solution={solution} editing={editing} />
        ) : (
          <div role="alert" className={styles.fault}>
            <p>{messages.nothingWasChanged({ read: faultText(read) })}</p>
            {tone && <p>{toneText(tone)}</p>}
          </div>
        )
      }
    </FileReading>
  );
}

function faultText({ fault, missing }: Extract<PhotoRead, { ok: false }>): string {
  return {
    noExif: messages.thisPictureCarriesNoExposure,
    incomplete: messages.itsExposureDataLacksThe({ missing: missing.join(messages.andThe) }),
    broken: messages.thisIsNoPhotographThat,
  }[fault];
}

function toneText({ offStops, clippedShare, blackShare }: PictureTone): string {
  const way =
    Math.abs(offStops) < 0.15
      ? messages.aboutMidGrey
      : messages.stopsAboveMidGrey({ offStops: tenths(Math.abs(offStops)), hasOffStops: offStops > 0 });
  return messages.thePictureCameOutOn({
    way,
    clippedShare: trimmed(clippedShare * 100, 1),
    blackShare: trimmed(blackShare * 100, 1),
  });
}

function Facts({
  facts,
  tone,
  name,
  solution,
  editing,
}: {
  facts: PhotoFacts;
  tone: PictureTone | null;
  name: string;
  solution: Solution;
  editing: ShotEditing;
}): ReactNode {
  const [filterStops, setFilterStops] = useState(0);
  const [counted, setCounted] = useState(false);
  const reading = readingOfPhoto(facts, filterStops, counted ? (tone?.offStops ?? 0) : 0, name);
  const ev = evOfReading(reading);
  const inDay = useInDay();
  const outing = inDay?.standing.outing;
  const span = inDay?.worked.day.partsOf(inDay.standing.entry.id)[0];
  const takePlace = async (): Promise<void> => {
    if (!facts.place) return;
    const zone = await zoneAt(facts.place);
    const near = await loadPlaces().then(
      (places) => places.nearest(facts.place ?? { lat: 0, lon: 0 }),
      () => null,
    );
    const [date = '', time = ''] = facts.takenAt?.split('T') ?? [];
    const atMs = facts.takenOffset
      ? Date.parse(`${date}T${time}${facts.takenOffset}`)
      : instantOf(date, time, zone);
    const place = { ...facts.place, zone, name: null, country: near?.country ?? null };
    if (span && outing) {
      // In a plan the hour is that of the day.
      editing.commit(messages.filmWhereThePhotographWas, (shot) =>
        lightBySun(shot, { ...place, zone: outing.zone }, span),
      );
      return;
    }
    editing.commit(messages.filmWhereThePhotographWas, (shot) => {
      const when = hourFromNoon(todayIn(zone, Date.now()), zone);
      const there = shot.light?.kind === 'sun' ? atPlace(place)(shot) : lightBySun(shot, place, when);
      return atMs === null ? there : changingSun(startingAt(atMs))(there);
    });
  };
  return (
    <>
      <p>
        <Phrase
          of={messages.fSISOItSaw({
            fNumber: trimmed(facts.fNumber, 1),
            shutterSeconds: shutterFraction(facts.shutterSeconds),
            iso: facts.iso,
            offsetStops:
              facts.offsetStops === 0 ? '' : messages.offset({ offsetStops: tenths(facts.offsetStops) }),
            tone: tone ? toneText(tone) : messages.thisBrowserCannotDecodeThe,
          })}
          parts={[<b className={styles.ev}>{messages.ev({ ev: ev.toFixed(2) })}</b>]}
        />
      </p>
      <div className={styles.fields}>
        <NumberField
          label={messages.filterThatWasOn}
          unit={messages.stops}
          min={0}
          max={20}
          step={0.5}
          value={filterStops}
          onCommit={(value) => setFilterStops(value ?? 0)}
        />
        {tone && (
          <Checkbox checked={counted} onChange={(event) => setCounted(event.target.checked)}>
            {messages.countInHowThePicture({ offStops: tenths(tone.offStops) })}
          </Checkbox>
        )}
        <Button
          type="primary"
          onClick={() => editing.commit(messages.addAPhotographsReading, adding(reading))}
        >
          {messages.addAsAReading}
        </Button>
        {facts.place && (
          <Button onClick={() => void takePlace()}>
            {messages.takeItsPlaceAndTime({
              takenAt: facts.takenAt !== null && !span,
              place: placeText(facts.place),
            })}
          </Button>
        )}
      </div>
      <p className={styles.small}>
        {messages.countThePictureInWhere({
          takenAt: facts.takenAt
            ? messages.takenByTheCamerasOwn({ takenAt: facts.takenAt.replace('T', ' ') })
            : '',
          isSun: solution.space.brief.light.kind === 'sun',
        })}
      </p>
    </>
  );
}
