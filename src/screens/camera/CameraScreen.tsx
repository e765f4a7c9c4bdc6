'use client';

import * as messages from '@/language/camera';
import { workingsOf } from '@/core/search/workings';
import { Phrase } from '../ui/Phrase';
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
import type { OutingDay } from '@/core/records/outing';
import { END_LABEL } from '@/words/cameraTalk';
import { durationText } from '@/words/settingText';
import { dayPartName } from '@/words/shotName';
import { trimmed } from '@/core/units/format';
import { ChoiceField, NumberField } from '../ui/Fields';
import { Empty } from '../ui/Empty';
import { openDayOf, useOutings } from '../data/outings';
import { useShots } from '../data/repository';
import { outingUrl, useOutingAddress } from '../routes';
import { useWorkedDay } from '../data/workedDay';
import type { OpenDay } from '../data/workedDay';
import styles from './camera.module.css';
import { CodeReader } from './CodeReader';
import { SmallScreen } from './SmallScreen';
import { useCameraSimulator } from './useCameraSimulator';

/** A camera that is none: it reads codes and runs as the plan says a real one would, in fast motion. */
export function CameraScreen(): ReactNode {
  const outings = useOutings();
  const { outingId, dayId } = useOutingAddress();
  const shots = useShots();
  if (!outings || !shots) return null;
  const open = openDayOf(outings, outingId, dayId);
  if (!open) return <Empty title={messages.noOutingToStandIn} text={messages.theStandInCameraFilms} />;
  return <OpenCamera key={`${open.outing.id} ${open.day.id}`} shots={shots} {...open} />;
}

const SPEEDS = ['1', '10', '60', '300'] as const;

function OpenCamera(open: OpenDay): ReactNode {
  const { outing, day } = open;
  const worked = useWorkedDay(open);
  const { cameras } = worked.day;
  const query = useSearchParams();
  const wanted = query.get('camera');
  const [chosen, setChosen] = useState<string | null>(null);
  const camera = cameras.find(({ id }) => id === (chosen ?? wanted)) ?? cameras[0];
  if (!camera) return <Empty title={messages.noCameraOnThisDay} text={messages.addAShotToThe} />;
  return (
    <div className={styles.place}>
      <header className={styles.head}>
        <h1>{messages.standInCamera}</h1>
        <Link href={outingUrl('/carry', outing.id, day.id)}>{messages.backToTheCards}</Link>
      </header>
      <p className="quiet">{messages.aSimulationThatShipsWith({ profile: camera.profile.name })}</p>
      <ChoiceField
        label={messages.standsInFor}
        value={camera.id}
        options={cameras.map(({ id, profile }) => ({ value: id, label: profile.name }))}
        onCommit={setChosen}
      />
      <Running
        key={camera.id}
        camera={camera}
        day={day}
        dayFromMs={worked.day.fromMs}
        shownCode={camera.id === wanted ? query.get('code') : null}
      />
    </div>
  );
}

function Running({
  camera: { profile: camera, parts: own, gear },
  day,
  dayFromMs,
  shownCode,
}: {
  camera: WorkedCamera;
  day: OutingDay;
  dayFromMs: number;
  shownCode: string | null;
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
    meterStops: part ? workingsOf(part.brief).picture.meterStops : 0,
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
    shownCode,
    log: keep && part ? { shotId: part.shotId, part: part.part, settings: carried?.settings ?? null } : null,
  });
  const { state } = simulator;
  const table = modesOf(camera).length;
  return (
    <div className={styles.columns}>
      <section aria-label={messages.standIn({ camera: camera.name })} className={styles.panel}>
        <SmallScreen state={state} />
        <div className={styles.buttons}>
          <Button type="primary" size="large" disabled={!state.setup} onClick={simulator.press}>
            {state.running ? messages.stop : messages.start}
          </Button>
          <Button size="large" onClick={simulator.fresh} disabled={state.running !== null}>
            {messages.freshCardAndCell}
          </Button>
        </div>
        <div className={styles.fields}>
          <ChoiceField
            label={messages.films}
            value={part?.id ?? ''}
            options={own.map((one) => ({ value: one.id, label: dayPartName(one) }))}
            onCommit={setPartId}
          />
          <ChoiceField
            label={messages.timeRuns}
            value={speed}
            options={SPEEDS.map((value) => ({
              value,
              label: value === '1' ? messages.asItIs : messages.timesFaster({ value }),
            }))}
            onCommit={setSpeed}
          />
          <NumberField
            label={messages.air}
            unit={messages.unitCelsius}
            value={Math.round(world.airC * 10) / 10}
            min={-40}
            max={60}
            onCommit={(value) => setAir(value ?? null)}
          />
          <NumberField
            label={messages.airPastIt}
            unit="m/s"
            value={world.airSpeedMps}
            min={0}
            max={100}
            onCommit={(value) => setWind(value ?? null)}
          />
        </div>
        <Checkbox checked={keep} onChange={({ target }) => setKeep(target.checked)}>
          {messages.writeItsClipsToThe}
        </Checkbox>
      </section>
      <section aria-labelledby="read-title" className={styles.panel}>
        <h2 id="read-title">{messages.readACode}</h2>
        <CodeReader onText={simulator.read} busy={state.running !== null} />
        <p role="status" className={simulator.said?.ok === false ? styles.amiss : undefined}>
          {simulator.said?.text ?? messages.waitsForACodeIt({ table })}
        </p>
        <h2>{messages.clipsOnItsCard}</h2>
        {state.clips.length === 0 ? (
          <p className="quiet">{messages.noneYet}</p>
        ) : (
          <ul className={styles.clips}>
            {[...state.clips].reverse().map((clip) => (
              <li key={clip.file}>
                <Phrase
                  of={messages.gbIn1File({
                    seconds: durationText(clip.seconds),
                    gigabytes: trimmed(clip.gigabytes, 2),
                    chapters: clip.chapters,
                    end: END_LABEL[clip.end],
                  })}
                  parts={[
                    <b className="numerals">{clip.file}</b>,
                    clip.worstOverStops > 0.1 &&
                      messages.upToStopsTooBright({ worstOverStops: trimmed(clip.worstOverStops, 1) }),
                    clip.worstUnderStops > 0.1 &&
                      messages.upToStopsTooDark({ worstUnderStops: trimmed(clip.worstUnderStops, 1) }),
                  ]}
                />
              </li>
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}
