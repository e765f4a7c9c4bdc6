'use client';

import { USUAL_CELL } from '@/core/camera/power';
import { Button, Checkbox } from 'antd';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { airAtC, sunOnCameraC } from '@/core/day/heat';
import { airSpeedMps } from '@/core/day/schedule';
import type { WorkedCamera } from '@/core/day/workedDay';
import { evRangeOf } from '@/core/light/lightRange';
import { modesOf } from '@/core/camera/modeTable';
import type { Outing, OutingDay } from '@/core/records/outing';
import { END_LABEL } from '@/words/cameraTalk';
import { durationText } from '@/words/settingText';
import { trimmed } from '@/core/units/format';
import { ChoiceField, NumberField } from '../ui/Fields';
import { Empty } from '../ui/Empty';
import { openDayOf, useOutings } from '../data/outings';
import { outingUrl, useOutingAddress } from '../routes';
import { useWorkedDay } from '../data/workedDay';
import styles from './camera.module.css';
import { CodeReader } from './CodeReader';
import { SmallScreen } from './SmallScreen';
import { useCameraSimulator } from './useCameraSimulator';

/** A camera that is none: it reads codes and runs as the plan says a real one would, in fast motion. */
export function CameraScreen(): ReactNode {
  const outings = useOutings();
  const { outingId, dayId } = useOutingAddress();
  if (!outings) return null;
  const open = openDayOf(outings, outingId, dayId);
  if (!open)
    return (
      <Empty
        title="No outing to stand in for"
        text="The stand-in camera films the shots of an outing. Begin one, or load the made-up one."
      />
    );
  return <OpenCamera key={`${open.outing.id} ${open.day.id}`} {...open} />;
}

const SPEEDS = ['1', '10', '60', '300'] as const;

function OpenCamera({ outing, day }: { outing: Outing; day: OutingDay }): ReactNode {
  const worked = useWorkedDay(outing, day.id);
  const { cameras } = worked.day;
  const wanted = useSearchParams().get('camera');
  const [chosen, setChosen] = useState<string | null>(null);
  const camera = cameras.find(({ id }) => id === (chosen ?? wanted)) ?? cameras[0];
  if (!camera)
    return (
      <Empty title="No camera on this day" text="Add a shot to the day first: its camera stands in here." />
    );
  return (
    <div className={styles.place}>
      <header className={styles.head}>
        <h1>Stand-in camera</h1>
        <Link href={outingUrl('/carry', outing.id, day.id)}>Back to the cards</Link>
      </header>
      <p className="quiet">
        A simulation that ships with the app, in place of a real camera: it knows the mode table of{' '}
        {camera.profile.name}, fills a card, empties a cell, warms and exposes by the laws the plan uses.
      </p>
      <ChoiceField
        label="Stands in for"
        value={camera.id}
        options={cameras.map(({ id, profile }) => ({ value: id, label: profile.name }))}
        onCommit={setChosen}
      />
      <Running key={camera.id} camera={camera} day={day} dayFromMs={worked.day.fromMs} />
    </div>
  );
}

function Running({
  camera: { profile: camera, parts: own, gear },
  day,
  dayFromMs,
}: {
  camera: WorkedCamera;
  day: OutingDay;
  dayFromMs: number;
}): ReactNode {
  const [partId, setPartId] = useState(own[0]?.id ?? '');
  const part = own.find(({ id }) => id === partId) ?? own[0];
  const carried = part?.answer?.carried ?? null;
  const airC = part ? airAtC(day.air, (part.fromMs - dayFromMs) / 3_600_000) : 15;
  const [air, setAir] = useState<number | null>(null);
  const [wind, setWind] = useState<number | null>(null);
  const [keep, setKeep] = useState(true);
  const [speed, setSpeed] = useState<(typeof SPEEDS)[number]>('60');
  const light = part ? evRangeOf(part.brief.light) : { evMin: 12, evMax: 12 };
  const world = {
    airC: air ?? airC,
    sunC: sunOnCameraC(light.evMax),
    airSpeedMps: wind ?? (part ? airSpeedMps(part.brief) : 0),
    filterStops: carried?.settings.filter.stops ?? 0,
    ...light,
  };
  const simulator = useCameraSimulator({
    camera,
    gear: {
      capacityGb: gear?.cards[0]?.capacityGb ?? part?.brief.limits.cardGb ?? 64,
      ...(gear?.cells ?? USUAL_CELL),
    },
    world,
    speed: Number(speed),
    log: keep && part ? { shotId: part.shotId, part: part.part, settings: carried?.settings ?? null } : null,
  });
  const { state } = simulator;
  const table = modesOf(camera).length;
  return (
    <div className={styles.columns}>
      <section aria-label={`${camera.name}, stand-in`} className={styles.panel}>
        <SmallScreen state={state} />
        <div className={styles.buttons}>
          <Button type="primary" size="large" disabled={!state.setup} onClick={simulator.press}>
            {state.running ? 'Stop' : 'Start'}
          </Button>
          <Button size="large" onClick={simulator.fresh} disabled={state.running !== null}>
            Fresh card and cell
          </Button>
        </div>
        <div className={styles.fields}>
          <ChoiceField
            label="Films"
            value={part?.id ?? ''}
            options={own.map(({ id, name }) => ({ value: id, label: name }))}
            onCommit={setPartId}
          />
          <ChoiceField
            label="Time runs"
            value={speed}
            options={SPEEDS.map((value) => ({
              value,
              label: value === '1' ? 'as it is' : `${value} times faster`,
            }))}
            onCommit={setSpeed}
          />
          <NumberField
            label="Air"
            unit="°C"
            value={Math.round(world.airC * 10) / 10}
            min={-40}
            max={60}
            onCommit={(value) => setAir(value ?? null)}
          />
          <NumberField
            label="Air past it"
            unit="m/s"
            value={world.airSpeedMps}
            min={0}
            max={100}
            onCommit={(value) => setWind(value ?? null)}
          />
        </div>
        <Checkbox checked={keep} onChange={({ target }) => setKeep(target.checked)}>
          Write its clips to the log
        </Checkbox>
      </section>
      <section aria-labelledby="read-title" className={styles.panel}>
        <h2 id="read-title">Read a code</h2>
        <CodeReader onText={simulator.read} busy={state.running !== null} />
        <p role="status" className={simulator.said?.ok === false ? styles.amiss : undefined}>
          {simulator.said?.text ?? `Waits for a code. It knows ${table} modes.`}
        </p>
        <h2>Clips on its card</h2>
        {state.clips.length === 0 ? (
          <p className="quiet">None yet.</p>
        ) : (
          <ul className={styles.clips}>
            {[...state.clips].reverse().map((clip) => (
              <li key={clip.file}>
                <b className="numerals">{clip.file}</b> {durationText(clip.seconds)},{' '}
                {trimmed(clip.gigabytes, 2)} GB in {clip.chapters === 1 ? '1 file' : `${clip.chapters} files`}
                , {END_LABEL[clip.end]}
                {clip.worstOverStops > 0.1 && `; up to ${trimmed(clip.worstOverStops, 1)} stops too bright`}
                {clip.worstUnderStops > 0.1 && `; up to ${trimmed(clip.worstUnderStops, 1)} stops too dark`}
              </li>
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}
