import type { Clip } from '@/core/records/clip';
import type { FindingCode } from '@/core/vocabulary/findings';
import type { LogEntry } from '@/core/records/logEntry';
import type { Verdict } from '@/core/vocabulary/verdicts';
import type { Outing, OutingEntry } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { FILE_VERSION } from '@/core/schema/versions';
import type { SampleClip } from '@/formats/clip/sample';
import { answerShot } from '@/words/answer';
import { base, otter, scene, shotOf, shrew, SHREW_FILTERS } from './cameras';
import type { DemoBrief } from './cameras';
import measuredClips from './holmClips.json';

/** The earlier, finished outing: skating on black ice in January, short takes that went right and wrong. */
const ID = 'demo-holm';
const DAY = 'holm-day';
const DATE = '2026-01-17';
const AT = '2026-01-17T18:00:00Z';
/** Each take passes in this time. */
const TAKE_SECONDS = 4;
const FULL_HD = { width: 1920, height: 1080 };

const take: DemoBrief = {
  ...otter,
  ...base,
  mount: { kind: 'chest', ground: 'smooth', activity: 'skating' },
  motion: { travelMps: 7, nearestM: 1 },
  light: scene('snowSun', 'hazySun'),
  limits: { ...base.limits, recordSeconds: TAKE_SECONDS },
  pins: { resolution: FULL_HD, frameRate: 25 },
};
const helmet: DemoBrief = { ...take, mount: { kind: 'helmet', ground: 'smooth', activity: 'skating' } };

interface Take {
  at: string;
  name: string;
  brief: DemoBrief;
  /** What was written in the log at once. */
  log?: { verdicts: Verdict[]; note: string };
  /** What each of its cameras filmed, and how it went. */
  clips: Omit<SampleClip, 'outingId' | 'dayId' | 'entryId' | 'part' | 'found'>[];
  /** What is to be found on its clips; left out, nothing. */
  found?: FindingCode[];
}

/** The clock of a camera, which nobody had set since the summer: Otter is ahead, Shrew behind. */
const AHEAD_SECONDS = { otter: 445, shrew: -192 } as const;
const clock = (camera: keyof typeof AHEAD_SECONDS, local: string): string =>
  new Date(Date.parse(`${DATE}T${local}+01:00`) + 1000 * AHEAD_SECONDS[camera]).toISOString();
let counted = 40;
const filmed = (
  camera: keyof typeof AHEAD_SECONDS,
  local: string,
  how: Partial<SampleClip['happened']> = {},
  heard: Partial<SampleClip['heard']> = {},
): Take['clips'][number] => {
  counted += 1;
  const letters = camera === 'otter' ? 'OTR' : 'SHR';
  return {
    name: `${letters}_00${counted}.MP4`,
    createdAt: clock(camera, local),
    happened: { seconds: TAKE_SECONDS, seed: counted, ...how },
    heard: { fromSeconds: 0, wind: 0, ...heard },
  };
};

const TAKES: Take[] = [
  {
    at: '11:05',
    name: 'Holm Lake, first lap',
    brief: {
      ...take,
      mount: { kind: 'wrist', ground: 'rough', activity: 'skating' },
      motion: { travelMps: 3, nearestM: 1, shakeDegPerSRms: 150 },
      look: { school: 'film' },
    },
    log: { verdicts: ['smear'], note: 'Pulsing on every stroke; 180° was too long for the wrist.' },
    found: ['smear'],
    clips: [filmed('otter', '11:05:20')],
  },
  {
    at: '11:25',
    name: 'Holm Lake, second lap',
    brief: {
      ...take,
      look: { school: 'crisp' },
      secondAngles: [
        {
          name: 'Pole, looking back',
          ...shrew,
          filters: [...SHREW_FILTERS],
          pins: { resolution: FULL_HD, frameRate: 25 },
          mount: { kind: 'pole', ground: 'smooth', activity: 'skating' },
          motion: { travelMps: 7, nearestM: 1.2 },
        },
      ],
    },
    log: { verdicts: ['good'], note: 'Steady. A touch of blur added in the edit.' },
    clips: [
      filmed('otter', '11:25:30', {}, { fromSeconds: 20 }),
      filmed('shrew', '11:25:31', {}, { fromSeconds: 21.4 }),
    ],
  },
  {
    at: '11:50',
    name: 'Holm Lake, into the sun',
    brief: { ...helmet, light: scene('hazySun', 'hazySun') },
    log: { verdicts: ['whiteSky'], note: 'The haze had gone; the filter was chosen at breakfast.' },
    found: ['over', 'wind'],
    clips: [filmed('otter', '11:50:10', { brighterStops: 3.9 }, { wind: 0.12 })],
  },
  {
    at: '12:20',
    name: 'Holm Lake, the turn, slowed',
    brief: {
      ...take,
      playback: { ...base.playback, slowdown: 2 },
      pins: { resolution: FULL_HD, frameRate: 50 },
    },
    found: ['stutter'],
    clips: [filmed('otter', '12:20:40', { everyNth: 2 })],
  },
  {
    at: '12:45',
    name: 'Holm Lake, along the reeds',
    brief: { ...helmet, pins: { ...take.pins, view: { id: 'straight' } } },
    found: ['tilt'],
    clips: [filmed('otter', '12:45:15', { slippedDeg: 6 })],
  },
  {
    at: '13:30',
    name: 'Holm Lake, warming hut',
    brief: {
      ...take,
      mount: { kind: 'hand', ground: 'smooth', activity: 'still' },
      motion: { subject: { speedMps: 0.3, distanceM: 1.5, sizeM: 0.5 } },
      light: scene('litRoom', 'litRoom'),
    },
    found: ['frameRate', 'flicker'],
    clips: [filmed('otter', '13:30:25', { frameRate: 30, shutterSeconds: 1 / 125 })],
  },
  {
    at: '14:20',
    name: 'Holm Lake, pole looking back',
    brief: {
      ...take,
      ...shrew,
      filters: [...SHREW_FILTERS],
      mount: { kind: 'pole', ground: 'smooth', activity: 'skating' },
      motion: { travelMps: 7, nearestM: 1.2 },
      limits: { ...base.limits, recordSeconds: 60 },
    },
    log: { verdicts: ['cutOff'], note: 'Stood in the wind at −14 °C for an hour, then went off at once.' },
    found: ['cutOff'],
    clips: [filmed('shrew', '14:20:35', { seconds: 3 })],
  },
];

const shotId = (index: number): string => `demo-skate-${index + 1}`;
const entryId = (index: number): string => `holm-${index + 1}`;

export function holmShots(): ShotRecord[] {
  return TAKES.map(({ name, brief }, index) => ({
    id: shotId(index),
    createdAt: AT,
    updatedAt: new Date(Date.parse(AT) - index * 60_000).toISOString(),
    demo: true,
    shot: shotOf(name, brief),
    ticked: [],
  }));
}

export function holmLog(): LogEntry[] {
  return TAKES.flatMap(({ at, name, brief, log }, index): LogEntry[] => {
    if (!log) return [];
    const shot = shotOf(name, brief);
    const answer = answerShot(shot);
    if (answer.kind !== 'lynxeye/answer') throw new Error(`the demo shot ${name} has no answer`);
    return [
      {
        kind: 'lynxeye/log-entry',
        version: FILE_VERSION,
        id: `demo-log-${index + 1}`,
        shotId: shotId(index),
        shotName: name,
        at: new Date(`${DATE}T${at}:00+01:00`).toISOString(),
        settings: answer.settings,
        shot,
        ...log,
        ...(log.verdicts.includes('cutOff') ? { cutReason: 'batteryFlat' } : {}),
      },
    ];
  });
}

export function holmOuting(): Outing {
  const free: OutingEntry[] = (
    [
      ['10:45', 15],
      ['11:12', 10],
      ['11:35', 12],
      ['12:00', 15],
      ['12:28', 12],
      ['13:10', 15],
      ['13:50', 20],
    ] as const
  ).map(([at, minutes], index) => ({
    what: 'break',
    id: `holm-break-${index + 1}`,
    name: index === 5 ? 'At the hut' : 'On the ice',
    at,
    minutes,
    outOfReach: [],
  }));
  const shots = TAKES.map(({ at }, index): OutingEntry => ({
    what: 'shot',
    id: entryId(index),
    shotId: shotId(index),
    at,
    pauses: [],
    done: { how: 'recorded', at: new Date(`${DATE}T${at}:30+01:00`).toISOString() },
    note: '',
  }));
  return {
    kind: 'lynxeye/outing',
    version: FILE_VERSION,
    id: ID,
    createdAt: AT,
    updatedAt: AT,
    demo: true,
    archived: false,
    name: 'Holm Lake skate',
    note: 'Nordic skating on black ice; the ice was measured by those who know it.',
    zone: 'Europe/Stockholm',
    place: { lat: 59.46, lon: 18.1, name: 'Holm Lake', country: 'SE' },
    mainsHz: 50,
    days: [
      {
        id: DAY,
        date: DATE,
        air: { lowC: -14, highC: -6 },
        entries: [...free, ...shots].sort((one, other) => one.at.localeCompare(other.at)),
      },
    ],
    gear: [],
    ticked: [],
  };
}

/** The clips that came back from it, for drawing them. */
export function holmSamples(): SampleClip[] {
  return TAKES.flatMap(({ clips, found = [] }, index) =>
    clips.map((clip, part) => ({
      ...clip,
      outingId: ID,
      dayId: DAY,
      entryId: entryId(index),
      part,
      found,
    })),
  );
}

/** The same clips as the app itself measured them: `npm run sampleClips` writes them anew. What was said of a take at once stands. */
export function holmClips(): Clip[] {
  const clips = measuredClips as unknown as Clip[];
  return clips.map((clip): Clip => {
    const log = TAKES.find((_, index) => entryId(index) === clip.entryId)?.log;
    if (!log || clip.part > 0) return clip;
    const verdicts = log.verdicts;
    return { ...clip, verdicts, ...(verdicts.includes('cutOff') ? { cutReason: 'batteryFlat' } : {}) };
  });
}
