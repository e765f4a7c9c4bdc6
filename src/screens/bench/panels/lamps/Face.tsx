'use client';

import * as messages from '@/language/bench/lamps';
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
  camp: { label: messages.smallCampLamp250Lm, lamp: { lumen: 250, beamDeg: 300 } },
  head: { label: messages.headTorch400LmIn, lamp: { lumen: 400, beamDeg: 50 } },
  panel: { label: messages.smallPanel500LmIn, lamp: { lumen: 500, beamDeg: 110 } },
  bike: { label: messages.bicycleLight1000LmIn, lamp: { lumen: 1000, beamDeg: 30 } },
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
      <h2 id="face-title">{messages.aFaceAgainstTheLight}</h2>
      <div className={styles.fields}>
        <NumberField
          label={messages.lightOnTheFace}
          unit={messages.unitEv}
          min={-6}
          max={18}
          step={0.5}
          value={faceEv}
          onCommit={(value) => value !== undefined && setGiven({ ...given, faceEv: value })}
        />
        <NumberField
          label={messages.background}
          unit={messages.unitEv}
          min={-6}
          max={18}
          step={0.5}
          value={backEv}
          onCommit={(value) => value !== undefined && setGiven({ ...given, backEv: value })}
        />
        <NumberField
          label={messages.theFaceMayLieUnder}
          unit={messages.stops}
          min={0}
          max={6}
          step={0.5}
          value={given.gap}
          onCommit={(value) => value !== undefined && setGiven({ ...given, gap: value })}
        />
        <div className={styles.field}>
          <label htmlFor="face-lamp">{messages.lamp}</label>
          <Select
            id="face-lamp"
            aria-label={messages.lamp}
            value={lampId}
            popupMatchSelectWidth={false}
            options={Object.entries(LAMPS).map(([value, { label }]) => ({ value, label }))}
            onSelect={setLampId}
          />
        </div>
        <NumberField
          label={messages.lampToFace}
          unit={messages.unitMetres}
          min={0.1}
          max={20}
          step={0.1}
          value={given.distanceM}
          onCommit={(value) => value !== undefined && setGiven({ ...given, distanceM: value })}
        />
      </div>
      <p className={styles.verdict}>
        {told.missingLux === 0
          ? messages.theFaceIsWithinStops({ gap: tenths(given.gap) })
          : messages.theFaceLiesStopsUnder({
              gapStops: tenths(told.gapStops),
              neededLux: lux(told.neededLux),
              missingLux: lux(told.missingLux),
              reach: trimmed(reach, 2),
            })}
      </p>
      <ul className={styles.stretches}>
        <li>
          {messages.atMTheLampAdds({
            distanceM: trimmed(given.distanceM, 1),
            lamp: lux(luxAt(lamp, given.distanceM)),
            faceEv: lux(luxOfEv(faceEv)),
            lit: evText(lit),
            backEv: tenths(Math.max(0, backEv - lit)),
          })}
        </li>
        {told.gapStops > 0.05 && (
          <>
            <li>
              {messages.exposedForTheFaceWithout({
                backgroundOverStops: tenths(told.backgroundOverStops),
                whiteAboveGreyStops: tenths(
                  WHITE_ABOVE_GREY_STOPS + solution.candidate.colour.sensor.guardStops,
                ),
              })}
            </li>
            <li>{messages.exposedForTheBackgroundThe({ faceUnderStops: tenths(told.faceUnderStops) })}</li>
          </>
        )}
      </ul>
      <p className={styles.small}>{messages.lampLightFallsWithThe}</p>
    </section>
  );
}

const round = (ev: number): number => Math.round(ev * 10) / 10;

function lux(value: number): string {
  return messages.lux({ trimmed: trimmed(value, value < 10 ? 1 : 0) });
}
