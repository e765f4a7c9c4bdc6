import * as messages from '@/language/bench/brief';
import { evRangeOf } from '@/core/light/lightRange';
import { luxOfEv } from '@/core/light/face';
import { LAMPS } from '@/core/light/lamps';
import type { DryLight } from '@/core/light/lightSchema';
import { SCENE_NAMES } from '@/core/vocabulary/scenes';
import type { SceneName } from '@/core/vocabulary/scenes';
import { WATERS } from '@/core/vocabulary/waters';
import type { Water } from '@/core/vocabulary/waters';
import type { Brief } from '@/core/brief/brief';
import type { Light, Shot } from '@/core/records/shot';
import { omit } from '@/core/units/omit';
import { trimmed } from '@/core/units/format';
import { SCENE_LABEL, WATER_LABEL } from '@/words/labels';
import { LAMPS_LABEL, lightText } from '@/words/lightText';
import { besideOf, darkShare, lampKind, surroundings } from './besideWords';
import { sunWords } from './sunWords';
import { number, options, withKey } from './wordControls';
import type { SentencePart, Word } from './wordControls';

/** How the run's light is told, and the limits beside it. */
export function lightSentence(brief: Brief, sunHere?: (shot: Shot) => Shot): SentencePart[] {
  const kind: Word = {
    id: 'lightKind',
    name: messages.lightToldBy,
    path: 'light',
    kind: 'choice',
    options: Object.entries(LIGHT_KINDS).map(([value, label]) => ({ value, label })),
    value: (b) => b.light.kind,
    set: (shot, value, b) => {
      if (value === 'sun') return sunHere ? sunHere(shot) : shot;
      const others = omit(shot, 'light');
      return value === null
        ? others
        : { ...others, light: { ...besideOf(b.light), ...lightOfKind(value, b) } };
    },
    ...(sunHere || brief.light.kind === 'sun' ? {} : { opens: { sun: 'light' } }),
  };
  return [
    messages.lightBy,
    kind,
    ...lightWords(brief.light),
    ...(isOneLight(brief.light) ? [] : [messages.nearTheDarkEndFor, darkShare]),
    messages.frameFullOf,
    surroundings,
    messages.isoUpTo,
    {
      ...number(
        'isoCeiling',
        messages.isoCeiling,
        'limits',
        '',
        [25, 409_600, 100],
        (b) => b.limits.isoCeiling,
      ),
      set: (shot: Shot, value: unknown) =>
        withKey(shot, 'limits', 'isoCeiling', typeof value === 'number' ? Math.round(value) : null),
    },
    messages.lampsAre,
    lampKind,
    messages.litBy,
    {
      id: 'lamps',
      name: messages.lamps,
      path: 'limits.lamps',
      kind: 'choice',
      options: options(LAMPS, LAMPS_LABEL),
      value: (b) => b.limits.lamps,
      set: (shot, value) => withKey(shot, 'limits', 'lamps', value),
    },
    ...(brief.limits.lamps === 'screen'
      ? [
          messages.pulsingAt,
          number(
            'screenHz',
            messages.screenPulse,
            'limits',
            messages.unitHz,
            [20, 20_000, 10],
            (b) => b.limits.screenHz,
          ),
        ]
      : []),
    messages.mains,
    {
      id: 'mainsHz',
      name: messages.mainsTitle,
      path: 'limits.mainsHz',
      kind: 'choice',
      options: ['50', '60'].map((value) => ({ value, label: messages.value({ value }) })),
      value: (b) => String(b.limits.mainsHz),
      set: (shot, value) => withKey(shot, 'limits', 'mainsHz', value === null ? null : Number(value)),
    },
    messages.recording,
    {
      id: 'recordSeconds',
      name: messages.recordingTitle,
      path: 'limits.recordSeconds',
      kind: 'number',
      unit: messages.min,
      min: 0.1,
      max: 10_080,
      step: 5,
      value: (b) => Number(trimmed(b.limits.recordSeconds / 60, 1)),
      set: (shot, value) => withKey(shot, 'limits', 'recordSeconds', value === null ? null : value * 60),
    },
    messages.onA,
    number('cardGb', messages.card, 'limits', 'GB', [1, 16_384, 32], (b) => b.limits.cardGb),
    messages.cardEnd,
  ];
}

function lightWords(light: Light): SentencePart[] {
  switch (light.kind) {
    case 'sun':
      return sunWords(light);
    case 'readings':
      return [
        messages.alongTheRun,
        {
          id: 'readings',
          name: messages.readings,
          path: 'light',
          kind: 'link',
          panel: 'readings',
          text: (b) => lightText(b.light),
        },
      ];
    case 'scene':
      return [
        messages.from,
        lightWord('lightFrom', messages.lightFrom, 'from'),
        messages.to,
        lightWord('lightTo', messages.lightTo, 'to'),
      ];
    case 'underwater':
      return [
        messages.at,
        waterWord('depthM', messages.depth, [0, 100, 1]),
        messages.deepIn,
        {
          id: 'water',
          name: messages.water,
          path: 'light.water',
          kind: 'choice',
          options: options(WATERS, WATER_LABEL),
          value: (b) => (b.light.kind === 'underwater' ? b.light.water : 'lake'),
          set: (shot, value, { light: now }) =>
            now.kind === 'underwater'
              ? { ...shot, light: { ...now, water: value === null ? 'lake' : (value as Water) } }
              : shot,
        },
        messages.filmedFrom,
        waterWord('distanceM', messages.distanceInWater, [0.1, 50, 0.5]),
        messages.underLightOf,
        surfaceWord,
      ];
    case 'range':
      return [
        messages.from,
        rangeWord('evMin', messages.darkest),
        messages.to,
        rangeWord('evMax', messages.brightest),
      ];
    case 'lux':
      return [
        messages.from,
        luxWord('luxMin', messages.darkest),
        messages.to,
        luxWord('luxMax', messages.brightest),
      ];
    case 'reading':
      return [
        messages.atF,
        readingWord('fNumber', messages.readingFNumber, '', [0.7, 64, 0.1]),
        ', 1/',
        readingWord(
          'shutterSeconds',
          messages.readingShutter1Over,
          messages.unitSeconds,
          [0.001, 1_000_000, 10],
          (l) => Math.round(1 / l.shutterSeconds),
          (v) => 1 / v,
        ),
        messages.iso,
        readingWord('iso', messages.readingISO, '', [6, 409_600, 100], undefined, Math.round),
        messages.behind,
        readingWord('filterStops', messages.readingFilter, messages.stops, [0, 20, 1]),
        messages.darkerBy,
        readingWord('darkerStops', messages.darkerByTitle, messages.stops, [0, 20, 0.5]),
        messages.brighterBy,
        readingWord('brighterStops', messages.brighterByTitle, messages.stops, [0, 20, 0.5]),
      ];
  }
}

/** A light without a dark end to be near to. */
function isOneLight(light: Light): boolean {
  const { evMin, evMax } = evRangeOf(light);
  return evMax - evMin < 1;
}

function lightWord(id: string, name: string, of: 'from' | 'to'): Word {
  return {
    id,
    name,
    path: 'light',
    kind: 'choice',
    options: options(SCENE_NAMES, SCENE_LABEL),
    value: ({ light }) => (light.kind === 'scene' ? light[of] : 'openSun'),
    set: (shot, value, { light }) => {
      const others = omit(shot, 'light');
      if (value === null || light.kind !== 'scene') return others;
      const { kind, from, to } = light;
      return { ...others, light: { ...besideOf(light), kind, from, to, [of]: value } };
    },
  };
}

function rangeWord(id: 'evMin' | 'evMax', name: string): Word {
  return {
    id,
    name,
    path: `light.${id}`,
    kind: 'number',
    unit: messages.unitEv,
    min: -10,
    max: 24,
    step: 0.5,
    value: ({ light }) => (light.kind === 'range' ? light[id] : 0),
    set: (shot, value, { light }) => {
      if (value === null || light.kind !== 'range') return shot;
      const evMin = id === 'evMin' ? value : Math.min(light.evMin, value);
      const evMax = id === 'evMax' ? value : Math.max(light.evMax, value);
      return { ...shot, light: { ...besideOf(light), kind: 'range', evMin, evMax } };
    },
  };
}

const luxWord = (id: 'luxMin' | 'luxMax', name: string): Word => ({
  id,
  name,
  path: `light.${id}`,
  kind: 'number',
  unit: messages.lux,
  min: 0.01,
  max: 1_000_000,
  step: 1000,
  value: ({ light }) => (light.kind === 'lux' ? light[id] : 0),
  set: (shot, value, { light }) => {
    if (value === null || light.kind !== 'lux') return shot;
    const luxMin = id === 'luxMin' ? value : Math.min(light.luxMin, value);
    const luxMax = id === 'luxMax' ? value : Math.max(light.luxMax, value);
    return { ...shot, light: { ...besideOf(light), kind: 'lux', luxMin, luxMax } };
  },
});

/** Depth and distance under water, metres. */
function waterWord(
  id: 'depthM' | 'distanceM',
  name: string,
  [min, max, step]: [number, number, number],
): Word {
  return {
    id,
    name,
    path: `light.${id}`,
    kind: 'number',
    unit: messages.unitMetres,
    min,
    max,
    step,
    value: ({ light }) => (light.kind === 'underwater' ? light[id] : 0),
    set: (shot, value, { light }) =>
      light.kind === 'underwater'
        ? { ...shot, light: { ...light, [id]: value ?? (id === 'depthM' ? 3 : 1) } }
        : shot,
  };
}

/** The light at the surface, as a named scene; told another way it stays so until one is taken. */
const surfaceWord: Word = {
  id: 'surface',
  name: messages.surfaceLight,
  path: 'light.surface',
  kind: 'choice',
  options: options(SCENE_NAMES, SCENE_LABEL),
  value: ({ light }) =>
    light.kind === 'underwater' && light.surface.kind === 'scene' ? light.surface.to : 'openSun',
  set: (shot, value, { light }) => {
    if (light.kind !== 'underwater') return shot;
    const scene = value === null ? 'openSun' : (value as SceneName);
    return { ...shot, light: { ...light, surface: { kind: 'scene', from: scene, to: scene } } };
  },
};

type Reading = Extract<Light, { kind: 'reading' }>;

const readingWord = (
  id: Exclude<keyof Reading, 'kind' | 'lamps' | 'darkShare'>,
  name: string,
  unit: string,
  [min, max, step]: readonly [number, number, number],
  read: (light: Reading) => number = (light) => light[id],
  write: (value: number) => number = (value) => value,
): Word => ({
  id,
  name,
  path: `light.${id}`,
  kind: 'number',
  unit,
  min,
  max,
  step,
  value: ({ light }) => (light.kind === 'reading' ? read(light) : 0),
  set: (shot, value, { light }) =>
    value === null || light.kind !== 'reading' ? shot : { ...shot, light: { ...light, [id]: write(value) } },
});

const LIGHT_KINDS = {
  scene: messages.namedScenes,
  sun: messages.theSun,
  range: messages.aRangeInEV,
  reading: messages.aCameraReading,
  readings: messages.severalReadings,
  lux: messages.aMeterInLux,
  underwater: messages.underWater,
} as const;

function withoutBeside(light: DryLight): DryLight {
  return omit(omit(light, 'lamps'), 'darkShare') as DryLight;
}

/** Turning to another way of telling the light keeps the light: the new words start from the same range. */
function lightOfKind(kind: string, brief: Brief): Light {
  const { evMin, evMax } = evRangeOf(brief.light);
  const tenth = (value: number): number => Math.min(24, Math.max(-10, Math.round(value * 10) / 10));
  switch (kind) {
    case 'range':
      return { kind, evMin: tenth(evMin), evMax: tenth(evMax) };
    case 'lux':
      return { kind, luxMin: Math.round(2.5 * 2 ** evMin), luxMax: Math.round(2.5 * 2 ** evMax) };
    case 'reading': {
      const { fNumber } = brief.camera;
      const shutterSeconds = Math.min(1, fNumber ** 2 / 2 ** evMax);
      return {
        kind,
        fNumber,
        shutterSeconds,
        iso: 100,
        filterStops: 0,
        darkerStops: tenth(evMax - evMin),
        brighterStops: 0,
      };
    }
    case 'readings':
      return {
        kind,
        readings: [evMin, evMax].map((ev) => ({ lux: Math.max(0.001, Math.round(luxOfEv(ev))) })),
        darkerStops: 0,
        brighterStops: 0,
      };
    case 'underwater':
      return {
        kind,
        depthM: 3,
        water: 'lake',
        surface: brief.light.kind === 'underwater' ? brief.light.surface : withoutBeside(brief.light),
        distanceM: 1,
      };
    default:
      return { kind: 'scene', from: 'openShade', to: 'openSun' };
  }
}
