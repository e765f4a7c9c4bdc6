'use client';

import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { evOfReading } from '@/core/light/readings';
import type { PictureTone } from '@/core/light/readings';
import type { Solution } from '@/core/answer/solve';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { instantOf } from '@/formats/clock';
import type { PhotoFacts, PhotoRead } from '@/formats/photo/readPhoto';
import { askFiles } from '@/workers/files';
import type { PhotoJob } from '@/workers/files';
import { placeText } from '@/words/lightText';
import { NumberField } from '../../../ui/Fields';
import type { ShotEditing } from '../../../data/useShotEditing';
import { atPlace, changingSun, startingAt } from '../light/sunEditing';
import { loadPlaces, zoneAt } from '../light/usePlaces';
import { SUN_TO_START_FROM } from '../../brief/sunWords';
import { FileCard } from './FileCard';
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
      `${trimmed(file.size / 1e6, 0)} MB is more than the ${MOST_BYTES / 1e6} MB a photograph may have`,
    );
  return askFiles((worker) => worker.readPhoto(file), { mostSeconds: MOST_SECONDS });
}

/** A photograph dropped in: what light it saw, and how far its picture came out from that. */
export function PhotoCard({
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
    <FileCard title={file.name} job={job} onClose={onClose}>
      {({ read, tone }) =>
        read.ok ? (
          <Facts facts={read.facts} tone={tone} name={file.name} solution={solution} editing={editing} />
        ) : (
          <div role="alert" className={styles.fault}>
            <p>{faultText(read)} Nothing was changed.</p>
            {tone && <p>{toneText(tone)}</p>}
          </div>
        )
      }
    </FileCard>
  );
}

function faultText({ fault, missing }: Extract<PhotoRead, { ok: false }>): string {
  return {
    noExif:
      'This picture carries no exposure data (EXIF): sharing often strips it. Take the original from the camera’s card.',
    incomplete: `Its exposure data lacks the ${missing.join(' and the ')}. Give the reading by hand with what its maker says.`,
    broken:
      'This is no photograph that can be read, or it is damaged. JPEG, HEIC, PNG, TIFF and WebP can be.',
  }[fault];
}

function toneText({ offStops, clippedShare, blackShare }: PictureTone): string {
  const way =
    Math.abs(offStops) < 0.15
      ? 'about mid grey'
      : `${tenths(Math.abs(offStops))} stops ${offStops > 0 ? 'above' : 'below'} mid grey`;
  return `The picture came out ${way} on the whole; ${trimmed(clippedShare * 100, 1)} % of it is white, ${trimmed(blackShare * 100, 1)} % black.`;
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
    editing.commit('film where the photograph was taken', (shot) => {
      const sunny = shot.light?.kind === 'sun' ? shot : { ...shot, light: SUN_TO_START_FROM };
      const there = atPlace(place)(sunny);
      return atMs === null ? there : changingSun(startingAt(atMs))(there);
    });
  };
  return (
    <>
      <p>
        f/{trimmed(facts.fNumber, 1)}, {shutterFraction(facts.shutterSeconds)} s, ISO {facts.iso}
        {facts.offsetStops === 0 ? '' : `, offset ${tenths(facts.offsetStops)}`}: it saw{' '}
        <b className={styles.ev}>EV {ev.toFixed(2)}</b>.{' '}
        {tone
          ? toneText(tone)
          : 'This browser cannot decode the picture itself, so its brightness is not judged.'}
      </p>
      <div className={styles.fields}>
        <NumberField
          label="Filter that was on"
          unit="stops"
          min={0}
          max={20}
          step={0.5}
          value={filterStops}
          onCommit={(value) => setFilterStops(value ?? 0)}
        />
        {tone && (
          <Checkbox checked={counted} onChange={(event) => setCounted(event.target.checked)}>
            Count in how the picture came out ({tenths(tone.offStops)})
          </Checkbox>
        )}
        <Button type="primary" onClick={() => editing.commit('add a photograph’s reading', adding(reading))}>
          Add as a reading
        </Button>
        {facts.place && (
          <Button onClick={() => void takePlace()}>
            Take its place{facts.takenAt ? ' and time' : ''}: {placeText(facts.place)}
          </Button>
        )}
      </div>
      <p className={styles.small}>
        {facts.takenAt ? `Taken ${facts.takenAt.replace('T', ' ')} by the camera’s own clock. ` : ''}
        Count the picture in where it shows what the shot will; a picture full of snow is right to come out
        above mid grey.
        {solution.space.brief.light.kind === 'sun' ? ' Adding it replaces the light told by the sun.' : ''}
      </p>
    </>
  );
}
