'use client';

import { START_METHODS } from '@/core/vocabulary/modes';
import type { StartMethod } from '@/core/vocabulary/modes';
import { Checkbox } from 'antd';
import type { ReactNode } from 'react';
import { modePowerW, modesOf } from '@/core/camera/modeTable';
import type { CameraProfile } from '@/core/camera/profile';
import { hyperfocalM } from '@/core/optics/focus';
import { trimmed } from '@/core/units/format';
import { START_LABEL } from '@/words/cameraText';
import { ChoiceField, ListField, NumberField } from '../ui/Fields';
import type { EditProfile } from './useProfileDraft';
import styles from './kit.module.css';

/** A number of the profile: where it stands, its bounds, and how it is put back. Bounds repeat the schema's. */
interface Figure {
  label: string;
  unit: string;
  min: number;
  max: number;
  step: number;
  value: (profile: CameraProfile) => number | undefined;
  put: (profile: CameraProfile, value: number) => CameraProfile;
}

const figure = (
  label: string,
  unit: string,
  [min, max, step]: readonly [number, number, number],
  value: Figure['value'],
  put: Figure['put'],
): Figure => ({ label, unit, min, max, step, value, put });

const FIGURES: readonly Figure[] = [
  figure(
    'f-number',
    '',
    [0.7, 32, 0.1],
    (p) => p.fNumber,
    (p, fNumber) => ({ ...p, fNumber }),
  ),
  figure(
    'Focal length',
    'mm',
    [0.5, 100, 0.1],
    (p) => p.focalMm,
    (p, focalMm) => ({ ...p, focalMm }),
  ),
  figure(
    'Blur circle',
    'mm',
    [0.0005, 0.05, 0.0005],
    (p) => p.blurCircleMm,
    (p, blurCircleMm) => ({ ...p, blurCircleMm }),
  ),
  figure(
    'Near limit',
    'm',
    [0, 10, 0.05],
    (p) => p.nearLimitM,
    (p, nearLimitM) => ({ ...p, nearLimitM }),
  ),
  figure(
    'Sensor across',
    'px',
    [320, 20000, 16],
    (p) => p.sensor?.widthPx,
    (p, widthPx) => ({ ...p, sensor: { heightPx: Math.round((widthPx * 3) / 4), ...p.sensor, widthPx } }),
  ),
  figure(
    'Base ISO',
    '',
    [25, 102400, 50],
    (p) => p.iso.standard.base,
    (p, base) => ({ ...p, iso: { ...p.iso, standard: { ...p.iso.standard, base } } }),
  ),
  figure(
    'Highest ISO',
    '',
    [25, 409600, 100],
    (p) => p.iso.standard.max,
    (p, max) => ({ ...p, iso: { ...p.iso, standard: { ...p.iso.standard, max } } }),
  ),
  figure(
    'Base ISO in log',
    '',
    [25, 102400, 50],
    (p) => p.iso.log?.base,
    (p, base) => ({ ...p, iso: { ...p.iso, log: { max: p.iso.standard.max, ...p.iso.log, base } } }),
  ),
  figure(
    'Noise against a usual camera',
    'stops',
    [-4, 4, 0.5],
    (p) => p.noiseStops,
    (p, noiseStops) => ({ ...p, noiseStops }),
  ),
  figure(
    'Shortest shutter, 1 over',
    's',
    [10, 1000000, 1000],
    (p) => Math.round(1 / p.shutter.shortestSeconds),
    (p, over) => ({ ...p, shutter: { ...p.shutter, shortestSeconds: 1 / over } }),
  ),
  figure(
    'Readout',
    'ms',
    [0.1, 100, 0.5],
    (p) => (p.readoutSeconds === undefined ? undefined : p.readoutSeconds * 1000),
    (p, ms) => ({ ...p, readoutSeconds: ms / 1000 }),
  ),
  figure(
    'Preset slots',
    '',
    [0, 20, 1],
    (p) => p.presetSlots,
    (p, presetSlots) => ({ ...p, presetSlots }),
  ),
  figure(
    'Sealed to',
    'm',
    [0, 200, 1],
    (p) => p.sealedToM,
    (p, sealedToM) => ({ ...p, sealedToM }),
  ),
  figure(
    'Weight',
    'g',
    [5, 5000, 5],
    (p) => p.weightG,
    (p, weightG) => ({ ...p, weightG }),
  ),
  figure(
    'Power, base',
    'W',
    [0.1, 50, 0.1],
    (p) => p.power.baseW,
    (p, baseW) => ({ ...p, power: { ...p.power, baseW } }),
  ),
  figure(
    'Power per gigapixel a second',
    'W',
    [0, 50, 0.1],
    (p) => p.power.perGigapixelPerSecondW,
    (p, perGigapixelPerSecondW) => ({ ...p, power: { ...p.power, perGigapixelPerSecondW } }),
  ),
  figure(
    'High dynamic range adds',
    'stops',
    [0, 4, 0.5],
    (p) => p.hdrGuardStops,
    (p, hdrGuardStops) => ({ ...p, hdrGuardStops }),
  ),
  figure(
    'Low-light priority, noise',
    'stops',
    [-4, 0, 0.5],
    (p) => p.lowLightNoiseStops,
    (p, lowLightNoiseStops) => ({ ...p, lowLightNoiseStops }),
  ),
  figure(
    'Warns at',
    '°C',
    [0, 150, 1],
    (p) => p.heat.warnC,
    (p, warnC) => ({ ...p, heat: { ...p.heat, warnC } }),
  ),
  figure(
    'Screen off at',
    '°C',
    [0, 150, 1],
    (p) => p.heat.screenOffC,
    (p, screenOffC) => ({ ...p, heat: { ...p.heat, screenOffC } }),
  ),
  figure(
    'Shuts down at',
    '°C',
    [0, 150, 1],
    (p) => p.heat.shutdownC,
    (p, shutdownC) => ({ ...p, heat: { ...p.heat, shutdownC } }),
  ),
  figure(
    'Chapter',
    'GB',
    [0.1, 1000, 1],
    (p) => p.chapter.gigabytes,
    (p, gigabytes) => ({ ...p, chapter: { ...p.chapter, gigabytes } }),
  ),
];

const WHOLE = new Set(['Sensor across', 'Base ISO', 'Highest ISO', 'Base ISO in log', 'Preset slots']);

/** The camera's own figures, each with its unit. */
export function CameraFacts({ profile, edit }: { profile: CameraProfile; edit: EditProfile }): ReactNode {
  const hyper = hyperfocalM(profile.focalMm, profile.fNumber, profile.blurCircleMm);
  const draws = modesOf(profile).map((mode) => modePowerW(profile, mode));
  return (
    <>
      {FIGURES.map(({ label, unit, min, max, step, value, put }) => (
        <NumberField
          key={label}
          label={label}
          unit={unit}
          min={min}
          max={max}
          step={step}
          value={value(profile)}
          {...(value(profile) === undefined ? { placeholder: 'not known' } : {})}
          onCommit={(given) => {
            if (given !== undefined)
              edit(`change ${label.toLowerCase()}`, (one) =>
                put(one, WHOLE.has(label) ? Math.round(given) : given),
              );
          }}
        />
      ))}
      <ChoiceField
        label="Focus"
        value={profile.focus.kind}
        options={[
          { value: 'fixed', label: `fixed, sharp from ${trimmed(hyper / 2, 2)} m` },
          { value: 'auto', label: 'automatic' },
        ]}
        onCommit={(kind) => edit('change the focus', (one) => ({ ...one, focus: { kind } }))}
      />
      <ListField
        label="Starts by"
        values={profile.start}
        options={START_METHODS.map((value) => ({ value, label: START_LABEL[value] }))}
        onCommit={(start) =>
          edit('change how it starts', (one) => ({ ...one, start: start as StartMethod[] }))
        }
      />
      <div>
        <Checkbox
          checked={profile.shutter.auto}
          onChange={(event) =>
            edit('change the shutter', (one) => ({
              ...one,
              shutter: { ...one.shutter, auto: event.target.checked },
            }))
          }
        >
          Automatic shutter
        </Checkbox>
        {(['front', 'back'] as const).map((side) => (
          <Checkbox
            key={side}
            checked={profile.screens[side]}
            onChange={(event) =>
              edit('change the screens', (one) => ({
                ...one,
                screens: { ...one.screens, [side]: event.target.checked },
              }))
            }
          >
            Screen at the {side}
          </Checkbox>
        ))}
      </div>
      <p className={styles.worked}>
        Draws {trimmed(Math.min(...draws), 1)} W in its lightest mode, {trimmed(Math.max(...draws), 1)} W in
        its heaviest.
      </p>
    </>
  );
}
