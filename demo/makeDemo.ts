import { horizonFromTimes } from '@/core/light/sun/day';
import { noRecords } from '@/core/records/kinds';
import type { Records } from '@/core/records/kinds';
import type { KitItem, Thing } from '@/core/records/kitItem';
import type { SunLight } from '@/core/light/sun/sunLight';
import type { Filter } from '@/core/filters/kit';
import { once } from '@/core/units/once';
import { FILE_VERSION } from '@/core/schema/versions';
import {
  base,
  film,
  OTTER,
  OTTER_FILTERS,
  otter,
  PIKA,
  pika,
  ROOK,
  rook,
  scene,
  shotOf,
  SHREW,
  SHREW_FILTERS,
  shrew,
} from './cameras';
import type { DemoBrief } from './cameras';
import { demoOuting } from './demoOuting';
import { holmClips, holmLog, holmOuting, holmShots } from './holmLake';

/**
 * Two October days in the made-up Tarnholt Gorge, their shots and kit, and what came of an earlier winter day on Holm Lake. Times are fixed, so that the demo is the same everywhere.
 */
/** The gorge lets the sun down to its floor from 11:20 to 14:40 on that Saturday. */
const TARNHOLT = { lat: 46.62, lon: 12.3 };
const GORGE = horizonFromTimes(
  TARNHOLT,
  { fromMs: Date.parse('2026-10-03T11:20:00+02:00'), toMs: Date.parse('2026-10-03T14:40:00+02:00') },
  62,
  'gorge',
);
const sun = (day: 3 | 4, from: string, to: string, more: Partial<SunLight>): SunLight => ({
  kind: 'sun',
  ...TARNHOLT,
  place: 'Tarnholt Gorge',
  zone: 'Europe/Rome',
  country: 'IT',
  from: `2026-10-0${day}T${from}:00+02:00`,
  to: `2026-10-0${day}T${to}:00+02:00`,
  ...more,
});

/** From the paddle to the hut door in one turn: both halves filmed alike, so that they join. */
const whipHalf = {
  ...otter,
  mount: { kind: 'hand', ground: 'smooth', activity: 'still' },
  motion: { panDegPerS: 560 },
} as const satisfies DemoBrief;
const whip: DemoBrief = {
  ...whipHalf,
  filters: [...OTTER_FILTERS],
  look: { school: 'film' },
  light: scene('openShade', 'overcast'),
  limits: { ...base.limits, recordSeconds: 60 },
  pair: {
    kind: 'whip',
    turn: 'right',
    hand: 'right',
    second: { name: 'To the hut door', ...whipHalf, filters: [...OTTER_FILTERS] },
  },
};

const OUTING: [name: string, brief: DemoBrief][] = [
  [
    'Put-in talk',
    {
      ...otter,
      mount: { kind: 'hand', ground: 'smooth', activity: 'still' },
      motion: { subject: { speedMps: 0.2, distanceM: 0.7, sizeM: 0.4 } },
      sound: { speech: true, windMps: 2 },
      // The sun stands low behind the one who talks.
      light: sun(3, '08:50', '08:53', { headingsDeg: [125], ground: 'grass' }),
      limits: { ...base.limits, recordSeconds: 180 },
    },
  ],
  [
    'Upper gorge run',
    {
      ...otter,
      mount: { kind: 'helmet', ground: 'rough', activity: 'paddling', tiltDeg: 2 },
      motion: { travelMps: 4, nearestM: 1.2 },
      light: sun(3, '10:10', '10:35', { shade: ['open', 'gorge'] }),
      limits: { ...base.limits, recordSeconds: 1500 },
    },
  ],
  [
    'Bow camera looking back',
    {
      ...shrew,
      mount: { kind: 'hull', ground: 'rough', activity: 'paddling' },
      motion: { travelMps: 4, nearestM: 1, subject: { speedMps: 0.5, distanceM: 1.1, sizeM: 0.9 } },
      light: sun(3, '10:10', '10:35', { shade: ['open', 'gorge'] }),
      limits: { ...base.limits, recordSeconds: 1500, cardGb: 64 },
    },
  ],
  [
    'Weir drop',
    {
      ...pika,
      playback: { ...film, slowdown: 8 },
      mount: { kind: 'tripod', ground: 'smooth', activity: 'paddling' },
      motion: { subject: { speedMps: 5, distanceM: 7, sizeM: 2.6 } },
      light: scene('openSun', 'hazySun'),
      limits: { ...base.limits, recordSeconds: 60 },
    },
  ],
  [
    'Sun gate',
    {
      ...otter,
      mount: { kind: 'helmet', ground: 'rough', activity: 'paddling', tiltDeg: 2 },
      motion: { travelMps: 4, nearestM: 1.5 },
      light: sun(3, '12:40', '13:10', { shade: ['open', 'gorge'], ground: 'water', horizon: GORGE }),
      limits: { ...base.limits, recordSeconds: 1800 },
    },
  ],
  [
    'Pole over the pool',
    {
      ...rook,
      mount: { kind: 'pole', ground: 'smooth', activity: 'paddling' },
      light: scene('openSun', 'openShade'),
      limits: { ...base.limits, recordSeconds: 600 },
    },
  ],
  ['Whip pair', whip],
  [
    'Hut evening',
    {
      ...otter,
      mount: { kind: 'hand', ground: 'smooth', activity: 'still' },
      motion: { subject: { speedMps: 0.3, distanceM: 1.5, sizeM: 0.5 } },
      sound: { speech: true, windMps: 0 },
      light: scene('litRoom', 'litRoom'),
      limits: { ...base.limits, recordSeconds: 900 },
    },
  ],
  [
    'Mist over the river',
    {
      ...otter,
      look: { school: 'film', grade: 'full' },
      mount: { kind: 'tripod', ground: 'smooth', activity: 'still' },
      light: scene('afterSunset', 'heavyOvercast'),
      timeLapse: { change: 'mist' },
      limits: { ...base.limits, recordSeconds: 5400 },
    },
  ],
  [
    'Iron rungs',
    {
      ...otter,
      mount: { kind: 'helmet', ground: 'mixed', activity: 'climbing', tiltDeg: 6 },
      motion: { travelMps: 0.5, nearestM: 0.6 },
      light: sun(4, '09:30', '11:00', { sky: 'thin', ground: 'rock', shade: ['open', 'openShade'] }),
      limits: { ...base.limits, recordSeconds: 5400 },
      secondAngles: [
        {
          name: 'Chest',
          ...shrew,
          filters: [...SHREW_FILTERS],
          pins: { frameRate: 30 },
          mount: { kind: 'chest', ground: 'mixed', activity: 'climbing' },
          motion: { travelMps: 0.5, nearestM: 0.4 },
        },
      ],
    },
  ],
  [
    'Wire bridge',
    {
      ...rook,
      mount: { kind: 'backPole', ground: 'mixed', activity: 'walking' },
      light: scene('brightCloud', 'brightCloud'),
      limits: { ...base.limits, recordSeconds: 420 },
    },
  ],
  [
    'Summit look-around',
    {
      ...otter,
      mount: { kind: 'hand', ground: 'smooth', activity: 'walking' },
      motion: { panDegPerS: 35 },
      light: scene('brightCloud', 'hazySun'),
      limits: { ...base.limits, recordSeconds: 240 },
    },
  ],
  [
    'Tunnel descent',
    {
      ...otter,
      mount: { kind: 'helmet', ground: 'mixed', activity: 'climbing' },
      motion: { travelMps: 1, nearestM: 0.8 },
      light: { kind: 'range', evMin: 3.5, evMax: 13 },
      limits: { ...base.limits, recordSeconds: 1500, isoCeiling: 1600 },
    },
  ],
];

const AT = '2026-09-28T18:00:00Z';

const KIT: [id: string, thing: Thing, note?: string][] = [
  ['otter', { what: 'camera', profile: OTTER }],
  ['shrew', { what: 'camera', profile: SHREW }],
  ['rook', { what: 'camera', profile: ROOK }],
  ['pika', { what: 'camera', profile: PIKA }],
  ...OTTER_FILTERS.map((filter): [string, Thing] => [
    `filter-${filter.id}`,
    { what: 'filter', name: `${filterName(filter)} for Otter`, filter },
  ]),
  ...SHREW_FILTERS.map((filter): [string, Thing] => [
    `filter-${filter.id}`,
    { what: 'filter', name: `${filterName(filter)} for Shrew`, filter },
  ]),
  ['card-64', { what: 'card', name: 'Card 64 GB', capacityGb: 64, writeMBps: 30 }],
  ['card-128', { what: 'card', name: 'Card 128 GB', capacityGb: 128, writeMBps: 30 }],
  ['card-256', { what: 'card', name: 'Card 256 GB', capacityGb: 256, writeMBps: 60 }],
  ['cells', { what: 'cell', name: 'Otter cells', ampereHours: 1.72, volts: 3.85, count: 3 }],
  ['bank', { what: 'bank', name: 'Bank 5 Ah', ampereHours: 5 }],
  [
    'helmet',
    { what: 'mount', name: 'Kayak helmet, front', kind: 'helmet', place: 'front', tiltDeg: 2 },
    'Sits two degrees off; the strap pulls left.',
  ],
  ['bow', { what: 'mount', name: 'Bow suction', kind: 'hull' }],
  ['long-pole', { what: 'mount', name: 'Long pole', kind: 'pole', place: 'long' }],
];

function filterName(filter: Filter): string {
  if (filter.kind === 'variable') return `Variable ${filter.stopsMin}–${filter.stopsMax}`;
  return filter.kind === 'nd' ? `ND${2 ** filter.stops}` : 'Polarizer';
}

/** A person's records of their own: made once, and copied for whoever asks. */
export function makeDemo(): Records {
  return structuredClone(made());
}

const made = once((): Records => {
  const shots = OUTING.map(([name, brief], index) => ({
    id: `demo-${String(index + 1).padStart(2, '0')}`,
    createdAt: AT,
    updatedAt: new Date(Date.parse(AT) - index * 60_000).toISOString(),
    demo: true,
    shot: shotOf(name, brief),
    ticked: [],
  }));
  const kit = KIT.map(([id, thing, note = ''], index): KitItem => ({
    kind: 'lynxeye/kit-item' as const,
    version: FILE_VERSION,
    id: `demo-kit-${id}`,
    createdAt: AT,
    updatedAt: new Date(Date.parse(AT) - index * 60_000).toISOString(),
    demo: true,
    archived: false,
    note,
    thing,
  }));
  return {
    ...noRecords(),
    shots: [...shots, ...holmShots()],
    log: holmLog(),
    kit,
    outings: [demoOuting(AT), holmOuting()],
    clips: holmClips(),
  };
});
