import * as z from 'zod';
import { FileVersion } from '../schema/fileVersion';
import { PinsSchema, SettingsSchema } from './settings';
import { WARNING_CODES } from '../vocabulary/warnings';

/** What `solve` gives back, version 1 of the open file: an answer, or a refusal. Units stand in the keys. */
const text = z.string();
const number = z.number();

const OneCamera = z.strictObject({
  kind: z.literal('lynxeye/answer'),
  version: FileVersion,
  settings: SettingsSchema,
  /** Of a time-lapse: a picture every so often, how many of them, for how long, and as how much film. */
  timeLapse: z
    .strictObject({
      intervalSeconds: number,
      shots: z.int(),
      recordSeconds: number,
      playedSeconds: number,
    })
    .optional(),
  fNumber: number,
  exposure: z.strictObject({
    evMin: number,
    evMax: number,
    windowEvMin: number,
    windowEvMax: number,
    underStops: number,
    overStops: number,
  }),
  motion: z.strictObject({
    blurPctWidth: number,
    stepPctWidth: number,
    shakeSmearPctWidth: number,
    seenFps: number,
  }),
  /** How far conditions may drift; `untilLimit` names the limit that comes first. 100000 stands for no limit. */
  holds: z.strictObject({
    evMin: number,
    evMax: number,
    /** The chance that the run's light stays inside, 0…1, by how well it is known. */
    lightChance: number,
    untilLimit: z.enum(['light', 'shake', 'speed', 'card']),
    shakeDegPerSRms: number,
    crossingDegPerS: number,
    recordSeconds: number,
    /** For light told by the sun: from when to when the shot may be moved, as instants; null stands for no limit within six hours. */
    clock: z
      .strictObject({
        fits: z.boolean(),
        from: z.iso.datetime().nullable(),
        to: z.iso.datetime().nullable(),
      })
      .optional(),
  }),
  score: number,
  warnings: z.array(
    z.strictObject({
      code: z.enum(WARNING_CODES),
      severity: z.enum(['stop', 'caution', 'note']),
      text,
      /** What would help, each with the figure it leaves. */
      helps: z.array(text).optional(),
    }),
  ),
  why: z.array(z.strictObject({ setting: text, text, steps: z.array(text) })),
  alternatives: z.array(
    z.strictObject({ label: text, settings: SettingsSchema, score: number, gains: text, costs: text }),
  ),
  assumed: z.array(z.strictObject({ path: text, value: z.unknown() })),
  /** Figures of the person's own that it stands on. */
  learned: z.array(z.strictObject({ figure: text, text })).optional(),
  /** What to do about the sound, where somebody is to be heard. */
  sound: z.array(z.strictObject({ code: text, text })).optional(),
});

export const RefusalSchema = z.strictObject({
  kind: z.literal('lynxeye/refusal'),
  version: FileVersion,
  reasons: z.array(z.strictObject({ code: text, path: text, text })),
  /** Changes that have an answer: the pins to take instead, and the answer's settings under them. */
  nearest: z.array(
    z.strictObject({
      label: text,
      pins: PinsSchema,
      isoCeiling: z.number().optional(),
      settings: SettingsSchema,
      score: number,
    }),
  ),
});

export const AnswerSchema = OneCamera.extend({
  /** The other cameras of the shot, each solved for itself. */
  secondAngles: z
    .array(z.strictObject({ name: text, answer: z.union([OneCamera, RefusalSchema]) }))
    .optional(),
  /** The other half of a pair, solved for itself, and whether the two join. */
  secondHalf: z
    .strictObject({
      name: text,
      answer: z.union([OneCamera, RefusalSchema]),
      join: z
        .strictObject({
          joins: z.boolean(),
          /** Turning for the wanted blur, in either half. */
          turnDegPerS: z.tuple([z.number(), z.number()]),
          asks: z.array(z.strictObject({ held: z.boolean(), text })),
        })
        .optional(),
    })
    .optional(),
  /** What must be equal to cut the cameras together: the main camera's value first. */
  match: z.array(z.strictObject({ what: text, same: z.boolean(), values: z.array(text), text })).optional(),
});

export type Answer = z.output<typeof AnswerSchema>;
export type RefusalFile = z.output<typeof RefusalSchema>;
