'use client';

import * as messages from '@/language/kit';
import { START_METHODS } from '@/core/vocabulary/modes';
import type { StartMethod } from '@/core/vocabulary/modes';
import { Checkbox } from 'antd';
import type { ReactNode } from 'react';
import { modePowerW, modesOf } from '@/core/camera/modeTable';
import { takesFilters } from '@/core/filters/bag';
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
    messages.fNumberPlain,
    '',
    [0.7, 32, 0.1],
    (p) => p.fNumber,
    (p, fNumber) => ({ ...p, fNumber }),
  ),
  figure(
    messages.focalLength,
    messages.unitMm,
    [0.5, 100, 0.1],
    (p) => p.focalMm,
    (p, focalMm) => ({ ...p, focalMm }),
  ),
  figure(
    messages.blurCircle,
    messages.unitMm,
    [0.0005, 0.05, 0.0005],
    (p) => p.blurCircleMm,
    (p, blurCircleMm) => ({ ...p, blurCircleMm }),
  ),
  figure(
    messages.nearLimit,
    'm',
    [0, 10, 0.05],
    (p) => p.nearLimitM,
    (p, nearLimitM) => ({ ...p, nearLimitM }),
  ),
  figure(
    messages.sensorAcross,
    messages.unitPx,
    [320, 20000, 16],
    (p) => p.sensor?.widthPx,
    (p, widthPx) => ({ ...p, sensor: { heightPx: Math.round((widthPx * 3) / 4), ...p.sensor, widthPx } }),
  ),
  figure(
    messages.baseISO,
    '',
    [25, 102400, 50],
    (p) => p.iso.standard.base,
    (p, base) => ({ ...p, iso: { ...p.iso, standard: { ...p.iso.standard, base } } }),
  ),
  figure(
    messages.highestISO,
    '',
    [25, 409600, 100],
    (p) => p.iso.standard.max,
    (p, max) => ({ ...p, iso: { ...p.iso, standard: { ...p.iso.standard, max } } }),
  ),
  figure(
    messages.baseISOInLog,
    '',
    [25, 102400, 50],
    (p) => p.iso.log?.base,
    (p, base) => ({ ...p, iso: { ...p.iso, log: { max: p.iso.standard.max, ...p.iso.log, base } } }),
  ),
  figure(
    messages.noiseAgainstAUsualCamera,
    messages.unitStops,
    [-4, 4, 0.5],
    (p) => p.noiseStops,
    (p, noiseStops) => ({ ...p, noiseStops }),
  ),
  figure(
    messages.shortestShutter1Over,
    's',
    [10, 1000000, 1000],
    (p) => Math.round(1 / p.shutter.shortestSeconds),
    (p, over) => ({ ...p, shutter: { ...p.shutter, shortestSeconds: 1 / over } }),
  ),
  figure(
    messages.readout,
    messages.unitMs,
    [0.1, 100, 0.5],
    (p) => (p.readoutSeconds === undefined ? undefined : p.readoutSeconds * 1000),
    (p, ms) => ({ ...p, readoutSeconds: ms / 1000 }),
  ),
  figure(
    messages.presetSlots,
    '',
    [0, 20, 1],
    (p) => p.presetSlots,
    (p, presetSlots) => ({ ...p, presetSlots }),
  ),
  figure(
    messages.sealedTo,
    'm',
    [0, 200, 1],
    (p) => p.sealedToM,
    (p, sealedToM) => ({ ...p, sealedToM }),
  ),
  figure(
    messages.weight,
    'g',
    [5, 5000, 5],
    (p) => p.weightG,
    (p, weightG) => ({ ...p, weightG }),
  ),
  figure(
    messages.powerBase,
    'W',
    [0.1, 50, 0.1],
    (p) => p.power.baseW,
    (p, baseW) => ({ ...p, power: { ...p.power, baseW } }),
  ),
  figure(
    messages.powerPerGigapixelASecond,
    'W',
    [0, 50, 0.1],
    (p) => p.power.perGigapixelPerSecondW,
    (p, perGigapixelPerSecondW) => ({ ...p, power: { ...p.power, perGigapixelPerSecondW } }),
  ),
  figure(
    messages.highDynamicRangeAdds,
    messages.unitStops,
    [0, 4, 0.5],
    (p) => p.hdrGuardStops,
    (p, hdrGuardStops) => ({ ...p, hdrGuardStops }),
  ),
  figure(
    messages.lowLightPriorityNoise,
    messages.unitStops,
    [-4, 0, 0.5],
    (p) => p.lowLightNoiseStops,
    (p, lowLightNoiseStops) => ({ ...p, lowLightNoiseStops }),
  ),
  figure(
    messages.warnsAt,
    '°C',
    [0, 150, 1],
    (p) => p.heat.warnC,
    (p, warnC) => ({ ...p, heat: { ...p.heat, warnC } }),
  ),
  figure(
    messages.screenOffAt,
    '°C',
    [0, 150, 1],
    (p) => p.heat.screenOffC,
    (p, screenOffC) => ({ ...p, heat: { ...p.heat, screenOffC } }),
  ),
  figure(
    messages.shutsDownAt,
    '°C',
    [0, 150, 1],
    (p) => p.heat.shutdownC,
    (p, shutdownC) => ({ ...p, heat: { ...p.heat, shutdownC } }),
  ),
  figure(
    messages.chapter,
    messages.unitGb,
    [0.1, 1000, 1],
    (p) => p.chapter.gigabytes,
    (p, gigabytes) => ({ ...p, chapter: { ...p.chapter, gigabytes } }),
  ),
];

const WHOLE = new Set([
  messages.sensorAcross,
  messages.baseISO,
  messages.highestISO,
  messages.baseISOInLog,
  messages.presetSlots,
]);

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
          {...(value(profile) === undefined ? { placeholder: messages.notKnown } : {})}
          onCommit={(given) => {
            if (given !== undefined)
              edit(messages.change({ what: label.toLowerCase() }), (one) =>
                put(one, WHOLE.has(label) ? Math.round(given) : given),
              );
          }}
        />
      ))}
      <ChoiceField
        label={messages.focus}
        value={profile.focus.kind}
        options={[
          { value: 'fixed', label: messages.fixedSharpFromM({ hyper: trimmed(hyper / 2, 2) }) },
          { value: 'auto', label: messages.automatic },
        ]}
        onCommit={(kind) => edit(messages.changeTheFocus, (one) => ({ ...one, focus: { kind } }))}
      />
      <ListField
        label={messages.startsBy}
        values={profile.start}
        options={START_METHODS.map((value) => ({ value, label: START_LABEL[value] }))}
        onCommit={(start) =>
          edit(messages.changeHowItStarts, (one) => ({ ...one, start: start as StartMethod[] }))
        }
      />
      <div>
        <Checkbox
          checked={profile.shutter.auto}
          onChange={(event) =>
            edit(messages.changeTheShutter, (one) => ({
              ...one,
              shutter: { ...one.shutter, auto: event.target.checked },
            }))
          }
        >
          {messages.automaticShutter}
        </Checkbox>
        <Checkbox
          checked={takesFilters(profile)}
          onChange={(event) =>
            edit(messages.changeWhatGoesBeforeIt, (one) => ({ ...one, takesFilters: event.target.checked }))
          }
        >
          {messages.takesFilters}
        </Checkbox>
        {(['front', 'back'] as const).map((side) => (
          <Checkbox
            key={side}
            checked={profile.screens[side]}
            onChange={(event) =>
              edit(messages.changeTheScreens, (one) => ({
                ...one,
                screens: { ...one.screens, [side]: event.target.checked },
              }))
            }
          >
            {messages.screenSide[side]}
          </Checkbox>
        ))}
      </div>
      <p className={styles.worked}>
        {messages.drawsWInItsLightest({
          min: trimmed(Math.min(...draws), 1),
          max: trimmed(Math.max(...draws), 1),
        })}
      </p>
    </>
  );
}
