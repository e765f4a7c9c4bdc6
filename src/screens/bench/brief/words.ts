import * as messages from '@/language/bench/brief';
import { ARCHETYPE_LABEL } from '@/words/archetypeText';
import { ARCHETYPE_IDS } from '@/core/camera/archetypes';
import { ACTIVITIES } from '@/core/vocabulary/activities';
import { GRADES } from '@/core/vocabulary/modes';
import { GROUNDS, MOUNT_KINDS } from '@/core/vocabulary/mounts';
import { SCREENS } from '@/core/vocabulary/screens';
import type { CameraProfile } from '@/core/camera/profile';
import { schoolsFor } from '@/core/loss/schools';
import { placesOf } from '@/core/vocabulary/mounts';
import type { Brief } from '@/core/brief/brief';
import { TALKING, talksToCamera } from '@/core/brief/usual';
import type { Thing } from '@/core/records/kitItem';
import type { Shot } from '@/core/records/shot';
import { omit } from '@/core/units/omit';
import {
  ACTIVITY_LABEL,
  GRADE_LABEL,
  GROUND_LABEL,
  MOUNT_LABEL,
  PLACE_LABEL,
  SCHOOL_LABEL,
  SCHOOL_MEANS,
  SCREEN_LABEL,
} from '@/words/labels';
import { inFront } from './glassWords';
import { lightSentence } from './lightWords';
import { inSection, number, options, subjectNumber, withKey } from './wordControls';
import type { SentencePart } from './wordControls';

const DELIVERIES = ['1920×1080', '3840×2160', '1080×1920', '1280×720'] as const;

/** What of the kit the words offer beside the usual. */
interface OwnThings {
  cameras: readonly CameraProfile[];
  mounts: readonly OwnMount[];
  /** Tells a shot's light by the sun where it stands; left out where no place is known. */
  sunHere?: ((shot: Shot) => Shot) | undefined;
}

type OwnMount = { id: string } & Extract<Thing, { what: 'mount' }>;

export function sentenceOf(brief: Brief, own: OwnThings = { cameras: [], mounts: [] }): SentencePart[][] {
  return [watched(brief), ride(brief, own), lightSentence(brief, own.sunHere)];
}

/** A mount of the kit brings its place and what was measured on it; what it does not say goes back to the usual. */
function onOwnMount(shot: Shot, { kind, place, tiltDeg, pitchDeg, shakeDegPerSRms }: OwnMount): Shot {
  const mounted = Object.entries({ kind, place, tiltDeg, pitchDeg }).reduce(
    (changed, [key, value]) => withKey(changed, 'mount', key, value ?? null),
    shot,
  );
  return withKey(mounted, 'motion', 'shakeDegPerSRms', shakeDegPerSRms ?? null);
}

function watched({ look, sound }: Brief): SentencePart[] {
  return [
    messages.watchedAt,
    number('timelineFps', messages.timeline, 'playback', 'fps', [1, 240, 1], (b) => b.playback.timelineFps),
    messages.onA,
    {
      id: 'screen',
      name: messages.screen,
      path: 'playback.screen',
      kind: 'choice',
      options: options(SCREENS, SCREEN_LABEL),
      value: (b) => b.playback.screen,
      set: inSection('playback', 'screen'),
    },
    messages.delivered,
    {
      id: 'deliver',
      name: messages.deliveredSize,
      path: 'playback.deliver',
      kind: 'choice',
      options: DELIVERIES.map((value) => ({ value, label: value })),
      value: (b) => `${b.playback.deliver.width}×${b.playback.deliver.height}`,
      set: (shot, value) => {
        const [width = 1920, height = 1080] = (value ?? '').split('×').map(Number);
        return withKey(shot, 'playback', 'deliver', value === null ? null : { width, height });
      },
    },
    messages.slowedWord,
    number('slowdown', messages.slowed, 'playback', '×', [0.02, 64, 1], (b) => b.playback.slowdown),
    messages.filmedTo,
    {
      id: 'school',
      name: messages.school,
      path: 'look.school',
      kind: 'choice',
      options: schoolsFor(look).map((value) => ({
        value,
        label: SCHOOL_LABEL[value],
        hint: SCHOOL_MEANS[value],
      })),
      value: (b) => b.look.school,
      set: inSection('look', 'school'),
    },
    messages.withWord,
    {
      id: 'grade',
      name: messages.grading,
      path: 'look.grade',
      kind: 'choice',
      options: options(GRADES, GRADE_LABEL),
      value: (b) => b.look.grade,
      set: inSection('look', 'grade'),
    },
    ',',
    {
      id: 'speech',
      name: messages.sound,
      path: 'sound.speech',
      kind: 'choice',
      options: [
        { value: 'none', label: messages.noSpeech },
        { value: 'speech', label: messages.speech, hint: messages.speechMeans },
      ],
      value: (b) => (b.sound.speech ? 'speech' : 'none'),
      set: (shot, value) => withKey(shot, 'sound', 'speech', value === null ? null : value === 'speech'),
    },
    ...(sound.speech
      ? [
          messages.inAWindOf,
          number('windMps', messages.wind, 'sound', 'm/s', [0, 60, 1], (b) => b.sound.windMps),
        ]
      : []),
    '.',
  ];
}

/** What choosing a kind of subject puts into the shot; `null`: none. */
function subjectFor(value: string | null): NonNullable<Shot['motion']>['subject'] | null {
  if (value === 'talking') return { ...TALKING };
  return value === 'one' ? {} : null;
}

function ride(brief: Brief, own: OwnThings): SentencePart[] {
  const { subject } = brief.motion;
  const archetypal = ARCHETYPE_IDS.some((id) => id === brief.camera.id);
  const listed = own.cameras.some(({ id }) => id === brief.camera.id);
  const owned = archetypal || listed ? own.cameras : [brief.camera, ...own.cameras];
  return [
    messages.the,
    {
      id: 'archetype',
      name: messages.camera,
      path: 'camera.archetype',
      kind: 'choice',
      // A camera that came with the file keeps its own name.
      options: [
        ...owned.map(({ id, name }) => ({ value: id, label: name })),
        ...options(ARCHETYPE_IDS, ARCHETYPE_LABEL),
      ],
      value: (b) => b.camera.id,
      set: (shot, value) => {
        // What is answered with may carry figures of the person's own: the one that it has stays as it is kept.
        if (value === brief.camera.id && shot.camera) return shot;
        const others = omit(shot, 'camera');
        const profile = owned.find(({ id }) => id === value);
        if (profile) return { ...others, camera: { profile } };
        const archetype = ARCHETYPE_IDS.find((id) => id === value);
        return archetype ? { ...others, camera: { archetype } } : others;
      },
    },
    messages.onThe,
    {
      id: 'kind',
      name: messages.mount,
      path: 'mount.kind',
      kind: 'choice',
      options: [
        ...own.mounts.map(({ id, name }) => ({ value: `own ${id}`, label: name })),
        ...options(MOUNT_KINDS, MOUNT_LABEL),
      ],
      value: (b) => b.mount.kind,
      set: (shot, value) => {
        const mine = own.mounts.find(({ id }) => value === `own ${id}`);
        return mine
          ? onOwnMount(shot, mine)
          : withKey(withKey(shot, 'mount', 'place', null), 'mount', 'kind', value);
      },
    },
    ...(brief.mount.place === undefined
      ? []
      : [
          {
            id: 'place',
            name: messages.whereOnIt,
            path: 'mount.place',
            kind: 'choice' as const,
            options: options(placesOf(brief.mount.kind), PLACE_LABEL),
            value: (b: Brief) => b.mount.place ?? '',
            set: inSection('mount', 'place'),
          },
        ]),
    ',',
    {
      id: 'activity',
      name: messages.activity,
      path: 'mount.activity',
      kind: 'choice',
      options: options(ACTIVITIES, ACTIVITY_LABEL),
      value: (b) => b.mount.activity,
      set: inSection('mount', 'activity'),
    },
    messages.overWord,
    {
      id: 'ground',
      name: messages.ground,
      path: 'mount.ground',
      kind: 'choice',
      options: options(GROUNDS, GROUND_LABEL),
      value: (b) => b.mount.ground,
      set: inSection('mount', 'ground'),
    },
    messages.groundAt,
    number('travelMps', messages.travel, 'motion', 'm/s', [0, 350, 0.5], (b) => b.motion.travelMps),
    messages.nearestThings,
    number(
      'nearestM',
      messages.nearestThingsTitle,
      'motion',
      'm',
      [0.05, 10_000, 0.1],
      (b) => b.motion.nearestM,
    ),
    messages.awayTurning,
    number('panDegPerS', messages.turning, 'motion', '°/s', [0, 2000, 10], (b) => b.motion.panDegPerS),
    messages.shaking,
    number(
      'shakeDegPerSRms',
      messages.shake,
      'motion',
      '°/s',
      [0, 1000, 5],
      (b) => Math.round(b.motion.shakeDegPerSRms * 10) / 10,
    ),
    messages.offLevelBy,
    number('tiltDeg', messages.tilt, 'mount', '°', [-180, 180, 1], (b) => b.mount.tiltDeg),
    messages.lookingDownBy,
    number('pitchDeg', messages.lookingDown, 'mount', '°', [-90, 90, 1], (b) => b.mount.pitchDeg),
    ',',
    ...inFront(brief),
    ';',
    {
      id: 'subject',
      name: messages.subject,
      path: 'motion.subject',
      kind: 'choice',
      options: [
        { value: 'none', label: messages.noSubject },
        { value: 'talking', label: messages.talkingToTheCamera, hint: messages.talkingMeans },
        { value: 'one', label: messages.aSubject },
      ],
      value: (b) =>
        b.motion.subject === null ? 'none' : talksToCamera(b.motion.subject) ? 'talking' : 'one',
      set: (shot, value) => withKey(shot, 'motion', 'subject', subjectFor(value)),
    },
    ...(subject
      ? [
          subjectNumber('sizeM', messages.subjectSize, 'm', [0.01, 1000, 0.1]),
          messages.tallAt,
          subjectNumber('distanceM', messages.subjectDistance, 'm', [0.05, 10_000, 0.5]),
          messages.away,
          subjectNumber('sideM', messages.subjectToTheSide, 'm', [-10_000, 10_000, 0.25]),
          messages.toTheRightPassingAt,
          subjectNumber('speedMps', messages.subjectSpeed, 'm/s', [0, 350, 0.5]),
        ]
      : []),
    '.',
  ];
}
