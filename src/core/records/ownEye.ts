import * as z from 'zod';
import { edits } from '../schema/edits';
import { FileVersion } from '../schema/fileVersion';
import { InstantSchema } from '../schema/times';
import { MOST_ANSWERS } from './newest';
import { SEEN_TERMS, WEIGHED_TERMS } from '../vocabulary/terms';

/** What a person's own school weighs, by term, against an even 1. */
export const OwnWeightsSchema = z.partialRecord(z.enum(WEIGHED_TERMS), z.number().min(0.01).max(100));

/** What a person says of two ways of filming one shot. */
const SAID = ['first', 'second', 'neither'] as const;
export type EyeChoice = (typeof SAID)[number];

/** One question and its answer; it says by itself what was asked. */
const LookedSchema = z.strictObject({
  /** Loss of the second picture less that of the first, by term; what is not named was alike. */
  differences: z.partialRecord(z.enum(SEEN_TERMS), z.number().min(-100).max(100)),
  said: z.enum(SAID),
  /** One of the two was plainly worse, whatever the weights. */
  plain: z.boolean().default(false),
  /** When; answers of earlier versions do not say. */
  at: InstantSchema.optional(),
});
export type EyeAnswer = z.output<typeof LookedSchema>;

/** What a person's eye prefers: every answer they gave, and the school made of them. */
export const OwnEyeSchema = z.strictObject({
  kind: z.literal('lynxeye/own-eye'),
  version: FileVersion,
  /** There is one. */
  id: z.literal('mine'),
  createdAt: InstantSchema,
  updatedAt: InstantSchema,
  demo: z.boolean().default(false),
  answers: z.array(LookedSchema).max(MOST_ANSWERS),
  /** The school *mine*: fitted to the answers, or as the person set it; `null` while there is none. */
  weights: OwnWeightsSchema.nullable(),
  ...edits,
});
export type OwnEye = z.output<typeof OwnEyeSchema>;
