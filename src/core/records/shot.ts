import { ARCHETYPE_IDS } from '../camera/archetypes';
import { ACTIVITIES } from '../vocabulary/activities';
import { SCENE_CHANGES, TIME_LAPSE_LOOKS } from '../vocabulary/timeLapses';
import { GRADES } from '../vocabulary/modes';
import { GROUNDS, MOUNT_KINDS, MOUNT_PLACES } from '../vocabulary/mounts';
import { CAMERA_HANDS, PAIR_KINDS, TURN_WAYS } from '../vocabulary/pairs';
import { SCHOOL_IDS } from '../vocabulary/schools';
import { SURROUNDINGS } from '../vocabulary/surroundings';
import { SCREENS } from '../vocabulary/screens';
import * as z from 'zod';
import { FileVersion } from '../schema/fileVersion';
import { CameraProfileSchema } from '../camera/profile';
import { FilterSchema } from '../filters/filterSchema';
import { LightSchema } from '../light/lightSchema';
export type { Light } from '../light/lightSchema';
import { placesOf } from '../vocabulary/mounts';
import { LAMPS } from '../light/lamps';
import { checkFile } from '../schema/checkFile';
import type { Checked } from '../schema/fault';
import { tooMuch } from './work';
import { LearnedSchema } from './learned';
import { OwnWeightsSchema } from './ownEye';
import { PinsSchema } from './settings';
import { finds } from '../schema/fault';
import { LONGEST_NAME } from './names';

/**
 * A shot as a person tells it: version 1 of the open file. Only `kind` and `version` are required; `brief/brief.ts`
 * fills in the rest and says so. Units stand in the keys.
 */
const shortWord = z.string().max(LONGEST_NAME);

const dimension = z.int().min(16).max(16384);

/** What each camera of a shot has for itself. */
const own = {
  camera: z
    .union([
      z.strictObject({ archetype: z.enum(ARCHETYPE_IDS) }),
      z.strictObject({ profile: CameraProfileSchema }),
    ])
    .optional(),
  mount: z
    .strictObject({
      kind: z.enum(MOUNT_KINDS),
      ground: z.enum(GROUNDS),
      activity: z.enum(ACTIVITIES),
      /** Off level, sideways. */
      tiltDeg: z.number().min(-180).max(180),
      /** Looking this far below the horizon; negative: above it. */
      pitchDeg: z.number().min(-90).max(90),
      place: z.enum(MOUNT_PLACES),
      /** Films through a pane whose perpendicular stands this far from the lens's axis; `null`: through none. */
      glassDeg: z.number().min(0).max(85).nullable(),
      /** Which way a picture cut out of a sphere looks, to the right of straight ahead. */
      cutDeg: z.number().min(-180).max(180),
    })
    .partial()
    .superRefine(({ kind = 'helmet', place }, context) => {
      const places = placesOf(kind);
      if (place !== undefined && !places.includes(place))
        context.addIssue({
          code: 'custom',
          ...finds({ code: 'mountPlace', kind, places }, ['place']),
        });
    })
    .optional(),
  motion: z
    .strictObject({
      travelMps: z.number().min(0).max(350),
      nearestM: z.number().min(0.05).max(10_000),
      panDegPerS: z.number().min(0).max(2000),
      shakeDegPerSRms: z.number().min(0).max(1000),
      subject: z
        .strictObject({
          speedMps: z.number().min(0).max(350),
          distanceM: z.number().min(0.05).max(10_000),
          sizeM: z.number().min(0.01).max(1000),
          /** To the right of the lens's axis; negative: left. */
          sideM: z.number().min(-10_000).max(10_000),
        })
        .partial(),
    })
    .partial()
    .optional(),
  filters: z
    .array(FilterSchema)
    .max(40)
    .superRefine((filters, context) => {
      filters.forEach((filter, index) => {
        if (filters.findIndex((other) => other.id === filter.id) < index)
          context.addIssue({
            code: 'custom',
            ...finds({ code: 'filterTwice', id: filter.id }, [index, 'id']),
          });
      });
    })
    .optional(),
  pins: PinsSchema.optional(),
  /** What fills most of the frame; left out, the usual one of scene, mount and activity. */
  surroundings: z.enum(SURROUNDINGS).optional(),
};

export const ShotSchema = z
  .strictObject({
    kind: z.literal('lynxeye/shot'),
    version: FileVersion,
    name: shortWord.optional(),
    playback: z
      .strictObject({
        timelineFps: z.number().min(1).max(240),
        /** 1 real time, 2 half speed; below 1 the film runs faster than life. */
        slowdown: z.number().min(0.02).max(64),
        /** Other speeds that the same clip is played at. */
        alsoSlowdowns: z.array(z.number().min(0.02).max(64)).max(4),
        deliver: z.strictObject({ width: dimension, height: dimension }),
        screen: z.enum(SCREENS),
      })
      .partial()
      .optional(),
    look: z
      .strictObject({
        school: z.enum(SCHOOL_IDS),
        grade: z.enum(GRADES),
        /** What the person's own school weighs, by term, against an even 1. */
        mine: OwnWeightsSchema,
      })
      .partial()
      .optional(),
    ...own,
    light: LightSchema.optional(),
    limits: z
      .strictObject({
        isoCeiling: z.int().min(25).max(409600),
        mainsHz: z.union([z.literal(50), z.literal(60)]),
        /** Whether lamps or a screen light the shot; `byLight`: lamps, when it is as dark as a lit room. */
        lamps: z.enum(LAMPS),
        /** Pulses a second of a screen or a dimmed light. */
        screenHz: z.number().min(20).max(20_000),
        recordSeconds: z.number().min(1).max(604_800),
        cardGb: z.number().min(1).max(16_384),
      })
      .partial()
      .optional(),
    /** Whether somebody is to be heard, and the wind there. */
    sound: z
      .strictObject({ speech: z.boolean(), windMps: z.number().min(0).max(60) })
      .partial()
      .optional(),
    /** Figures of the person's own that stand in the place of the usual ones. */
    learned: z.array(LearnedSchema).max(200).optional(),
    timeLapse: z
      .strictObject({
        change: z.enum(SCENE_CHANGES),
        intervalSeconds: z.number().min(0.1).max(86_400),
        look: z.enum(TIME_LAPSE_LOOKS),
        /** Blur wanted in each picture, per cent of the width. */
        blurPct: z.number().min(0.01).max(100),
        moving: z.boolean(),
        /** Of a moving time-lapse: times faster than life. */
        speedUp: z.number().min(1).max(3600),
      })
      .partial()
      .optional(),
    loop: z
      .strictObject({
        minutes: z.number().min(0.5).max(1440),
        leadSeconds: z.number().min(0).max(3600),
        eventSeconds: z.number().min(0).max(86_400),
      })
      .partial()
      .optional(),
    /** Other cameras on the same action: they share playback, look, light and limits. */
    secondAngles: z
      .array(z.strictObject({ name: shortWord.optional(), ...own }))
      .max(3)
      .optional(),
    /** This shot is the first half of two that join; the second shares playback, look and limits. */
    pair: z
      .strictObject({
        kind: z.enum(PAIR_KINDS),
        /** Blur wanted at the join, per cent of the width. */
        blurPct: z.number().min(1).max(100).optional(),
        turn: z.enum(TURN_WAYS).optional(),
        hand: z.enum(CAMERA_HANDS).optional(),
        second: z.strictObject({ name: shortWord.optional(), ...own, light: LightSchema.optional() }),
      })
      .optional(),
  })
  .superRefine((shot, context) => {
    const fault = tooMuch([shot, ...(shot.secondAngles ?? []), ...(shot.pair ? [shot.pair.second] : [])]);
    if (fault) context.addIssue({ code: 'custom', ...finds(fault.problem, [fault.path]) });
  });

export type ShotInput = z.input<typeof ShotSchema>;
export type Shot = z.output<typeof ShotSchema>;
export type Pair = NonNullable<Shot['pair']>;
export type SecondAngle = NonNullable<Shot['secondAngles']>[number];

/** Reads a shot from outside. All faults are told, each with its path; never throws. */
export function readShot(input: unknown): Checked<Shot> {
  return checkFile(ShotSchema, input);
}
