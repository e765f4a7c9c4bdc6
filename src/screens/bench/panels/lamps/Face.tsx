'use client';

import { Select } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import {
  faceEvWith,
  faceLight,
  FACE_UNDER_BY_STOPS,
  luxAt,
  luxOfEv,
  reachM,
  WHITE_ABOVE_GREY_STOPS,
} from '@/core/light/face';
import type { Lamp } from '@/core/light/face';
import type { Solution } from '@/core/answer/solve';
import { tenths, trimmed } from '@/core/units/format';
import { evText } from '@/words/settingText';
import { NumberField } from '../../../ui/Fields';
import styles from '../light/light.module.css';

/** Lamps as one finds them on labels (start); the beam's full angle. */
const LAMPS: Record<string, { label: string; lamp: Lamp }> = {
  camp: { label: 'small camp lamp, 250 lm all round', lamp: { lumen: 250, beamDeg: 300 } },
  head: { label: 'head torch, 400 lm in 50°', lamp: { lumen: 400, beamDeg: 50 } },
  panel: { label: 'small panel, 500 lm in 110°', lamp: { lumen: 500, beamDeg: 110 } },
  bike: { label: 'bicycle light, 1000 lm in 30°', lamp: { lumen: 1000, beamDeg: 30 } },
};

/** What light a face needs against its background, which lamp gives it, or what exposing for one costs the other. */
export function Face({ solution }: { solution: Solution }): ReactNode {
  const { light } = solution.space;
  const [given, setGiven] = useState<{ faceEv?: number; backEv?: number; gap: number; distanceM: number }>({
    gap: FACE_UNDER_BY_STOPS,
    distanceM: 0.7,
  });
  const [lampId, setLampId] = useState('panel');
  const faceEv = given.faceEv ?? round(light.evMin);
  const backEv = given.backEv ?? round(light.evMax);
  const lamp = LAMPS[lampId]?.lamp ?? { lumen: 500, beamDeg: 110 };
  const told = faceLight(faceEv, backEv, given.gap);
  const reach = reachM(lamp, told.missingLux);
  const lit = faceEvWith(faceEv, lamp, given.distanceM);
  return (
    <section aria-labelledby="face-title" className={styles.section}>
      <h2 id="face-title">A face against the light</h2>
      <div className={styles.fields}>
        <NumberField
          label="Light on the face"
          unit="EV"
          min={-6}
          max={18}
          step={0.5}
          value={faceEv}
          onCommit={(value) => value !== undefined && setGiven({ ...given, faceEv: value })}
        />
        <NumberField
          label="Background"
          unit="EV"
          min={-6}
          max={18}
          step={0.5}
          value={backEv}
          onCommit={(value) => value !== undefined && setGiven({ ...given, backEv: value })}
        />
        <NumberField
          label="The face may lie under it by"
          unit="stops"
          min={0}
          max={6}
          step={0.5}
          value={given.gap}
          onCommit={(value) => value !== undefined && setGiven({ ...given, gap: value })}
        />
        <div className={styles.field}>
          <label htmlFor="face-lamp">Lamp</label>
          <Select
            id="face-lamp"
            aria-label="Lamp"
            value={lampId}
            popupMatchSelectWidth={false}
            options={Object.entries(LAMPS).map(([value, { label }]) => ({ value, label }))}
            onSelect={setLampId}
          />
        </div>
        <NumberField
          label="Lamp to face"
          unit="m"
          min={0.1}
          max={20}
          step={0.1}
          value={given.distanceM}
          onCommit={(value) => value !== undefined && setGiven({ ...given, distanceM: value })}
        />
      </div>
      <p className={styles.verdict}>
        {told.missingLux === 0
          ? `The face is within ${tenths(given.gap)} stops of its background: no lamp is needed.`
          : `The face lies ${tenths(told.gapStops)} stops under its background. It needs ${lux(told.neededLux)} in all, ${lux(told.missingLux)} more than it has: this lamp gives that from ${trimmed(reach, 2)} m.`}
      </p>
      <ul className={styles.stretches}>
        <li>
          At {trimmed(given.distanceM, 1)} m the lamp adds {lux(luxAt(lamp, given.distanceM))} to the{' '}
          {lux(luxOfEv(faceEv))} there: EV {evText(lit)}, {tenths(Math.max(0, backEv - lit))} stops under the
          background.
        </li>
        {told.gapStops > 0.05 && (
          <>
            <li>
              Exposed for the face without a lamp, the background stands {tenths(told.backgroundOverStops)}{' '}
              stops over: white sky from about{' '}
              {tenths(WHITE_ABOVE_GREY_STOPS + solution.candidate.colour.sensor.guardStops)} on.
            </li>
            <li>Exposed for the background, the face stays {tenths(told.faceUnderStops)} stops dark.</li>
          </>
        )}
      </ul>
      <p className={styles.small}>
        Lamp light falls with the square of the distance; labels tell lumen for fresh cells. Never blind
        others on the way, and when driving leave lamp and camera alone.
      </p>
    </section>
  );
}

const round = (ev: number): number => Math.round(ev * 10) / 10;

function lux(value: number): string {
  return `${trimmed(value, value < 10 ? 1 : 0)} lux`;
}
