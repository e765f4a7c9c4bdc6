import type { ReactNode } from 'react';
import { polarizerView } from '@/core/filters/polarizer';
import { ev100OfIlluminance } from '@/core/light/exposureValue';
import { beamShareOf, skyAt } from '@/core/light/sky';
import { litEv } from '@/core/light/sun/lit';
import { sunLightAt, USUAL_SUN } from '@/core/light/sun/sunLight';
import type { SunLight } from '@/core/light/sun/sunLight';
import type { Solution } from '@/core/answer/solve';
import { aimAt } from '@/core/answer/sunInShot';
import { trimmed } from '@/core/units/format';
import { polarizerText } from '@/words/filterChoiceText';
import { clockText, headingText } from '@/words/lightText';
import { evText } from '@/words/settingText';
import styles from './sky.module.css';
import { zoneOf } from './sunEditing';

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
  const aim = aimAt(solution.space.brief, solution.candidate.mode, middle);
  const sky = skyAt(light.sky ?? USUAL_SUN.sky, light.clouds, middle);
  const polarizer =
    aim &&
    daylight.sun.apparentAltitudeDeg > 0 &&
    polarizerView(daylight.sun, aim, beamShareOf(sky.likely), light.ground === 'water');
  const { sun, moon } = daylight;
  return (
    <div className={styles.figures}>
      <p>
        At {clockText(middle, zone)} the sun stands{' '}
        <b className="numerals">{trimmed(sun.apparentAltitudeDeg, 1)}°</b>{' '}
        {sun.apparentAltitudeDeg >= 0 ? 'high' : 'below the horizon'} in{' '}
        <b className="numerals">{headingText(sun.azimuthDeg)}</b>
        {here.reached
          ? ' and reaches the place'
          : sun.apparentAltitudeDeg > 0
            ? ' behind what stands around'
            : ''}
        . Level ground{' '}
        <b className="numerals">{trimmed(daylight.horizontalLux, daylight.horizontalLux < 10 ? 3 : 0)} lux</b>
        , <b className="numerals">EV {evText(ev100OfIlluminance(daylight.horizontalLux))}</b>;{' '}
        {trimmed(daylight.diffuseShare * 100, 0)} % of it from the sky.
      </p>
      <p>
        A scene with the sun behind the camera{' '}
        <b className="numerals">EV {evText(litEv(daylight, 'front'))}</b>, from the side{' '}
        <b className="numerals">{evText(litEv(daylight, 'side'))}</b>, against it{' '}
        <b className="numerals">{evText(litEv(daylight, 'back'))}</b>, before shade and ground. Real skies
        differ by about {trimmed(here.errorStops, 1)} stops either way
        {sun.altitudeDeg < 0 ? ', twilight counted in' : ''}.
      </p>
      {moon && (
        <p>
          The moon is {trimmed(moon.litShare * 100, 0)} % lit and stands {trimmed(moon.altitudeDeg, 0)}°{' '}
          {moon.altitudeDeg >= 0 ? 'high' : 'below the horizon'}.
        </p>
      )}
      <p>
        <b>Polarizer.</b>{' '}
        {polarizer
          ? polarizerText(polarizer)
          : 'Say where the camera looks by day, and this tells whether a polarizer is worth its stops.'}
      </p>
      <p className={styles.small}>
        Sun after Meeus (within 0.05°), light after US Naval Observatory Circular 171, beam after IES RP-21.
        Never look at the sun through a lens.
      </p>
    </div>
  );
}
