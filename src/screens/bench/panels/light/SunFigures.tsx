import * as messages from '@/language/bench/light';
import { Phrase } from '../../../ui/Phrase';
import type { ReactNode } from 'react';
import { ev100OfIlluminance } from '@/core/light/exposureValue';
import { litEv } from '@/core/light/sun/lit';
import { sunLightAt } from '@/core/light/sun/sunLight';
import type { SunLight } from '@/core/light/sun/sunLight';
import type { Solution } from '@/core/answer/solve';
import { polarizerIn } from '@/core/compare/bagWorth';
import { trimmed } from '@/core/units/format';
import { polarizerText } from '@/words/filterChoiceText';
import { clockText, headingText } from '@/words/lightText';
import { evText } from '@/words/settingText';
import styles from './sky.module.css';
import { zoneOf } from '@/formats/placed';

/** What the sun gives in the middle of the run, in words and figures. */
export function SunFigures({
  light,
  solution,
  middle,
}: {
  light: SunLight;
  solution: Solution;
  middle: number;
}): ReactNode {
  const here = sunLightAt(light, middle);
  const { daylight } = here;
  const zone = zoneOf(light);
  const { brief } = solution.space;
  const polarizer = polarizerIn(brief, solution.candidate.mode, middle);
  const { sun, moon } = daylight;
  return (
    <div className={styles.figures}>
      <p>
        <Phrase
          of={messages.atTheSunStandsHigh({
            middle: clockText(middle, zone),
            isApparentAltitudeDeg: sun.apparentAltitudeDeg >= 0,
            reached: here.reached
              ? messages.andReachesThePlace
              : sun.apparentAltitudeDeg > 0
                ? messages.behindWhatStandsAround
                : '',
            diffuseShare: trimmed(daylight.diffuseShare * 100, 0),
          })}
          parts={[
            <b className="numerals">{trimmed(sun.apparentAltitudeDeg, 1)}°</b>,
            <b className="numerals">{headingText(sun.azimuthDeg)}</b>,
            <b className="numerals">
              {messages.lux({
                horizontalLux: trimmed(daylight.horizontalLux, daylight.horizontalLux < 10 ? 3 : 0),
              })}
            </b>,
            <b className="numerals">
              {messages.horizontalLux({ horizontalLux: evText(ev100OfIlluminance(daylight.horizontalLux)) })}
            </b>,
          ]}
        />
      </p>
      <p>
        <Phrase
          of={messages.aSceneWithTheSun({
            errorStops: trimmed(here.errorStops, 1),
            isAltitudeDeg: sun.altitudeDeg < 0,
          })}
          parts={[
            <b className="numerals">{messages.daylight({ daylight: evText(litEv(daylight, 'front')) })}</b>,
            <b className="numerals">{evText(litEv(daylight, 'side'))}</b>,
            <b className="numerals">{evText(litEv(daylight, 'back'))}</b>,
          ]}
        />
      </p>
      {moon && (
        <p>
          {messages.theMoonIsLitAnd({
            litShare: trimmed(moon.litShare * 100, 0),
            altitudeDeg: trimmed(moon.altitudeDeg, 0),
            isAltitudeDeg: moon.altitudeDeg >= 0,
          })}
        </p>
      )}
      <p>
        <b>{messages.polarizer}</b> {polarizer ? polarizerText(polarizer) : messages.sayWhereTheCameraLooks}
      </p>
      <p className={styles.small}>{messages.sunAfterMeeusWithin0}</p>
    </div>
  );
}
