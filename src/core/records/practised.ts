import * as z from 'zod';
import { edits } from '../schema/edits';
import { FileVersion } from '../schema/fileVersion';
import { InstantSchema } from '../schema/times';
import { MOST_TRIED } from './newest';
import { DRILL_KINDS } from '../vocabulary/drills';

/** Where the shot of a drill is from: made up, the next planned day, or a recording that came back wrong. */
const DRILL_SOURCES = ['drawn', 'planned', 'miss'] as const;
export type DrillSource = (typeof DRILL_SOURCES)[number];

/** One drill as it was answered; when one is due again follows from all of them. */
export const TriedSchema = z.strictObject({
  at: InstantSchema,
  kind: z.enum(DRILL_KINDS),
  from: z.enum(DRILL_SOURCES),
  /** Of the shot or the log entry; none where the shot was drawn. */
  id: z.string().min(1).max(60).optional(),
  /** Loss over the best. */
  loss: z.number().min(0).max(1000),
  /** How far the answer lay off, stops or octaves; `null` where there is no such distance. */
  offStops: z.number().min(-40).max(40).nullable(),
  seconds: z.number().min(0).max(86_400),
});
export type Tried = z.output<typeof TriedSchema>;

/** Every drill that a person answered, the oldest first. */
export const PractisedSchema = z.strictObject({
  kind: z.literal('lynxeye/practised'),
  version: FileVersion,
  /** There is one. */
  id: z.literal('mine'),
  createdAt: InstantSchema,
  updatedAt: InstantSchema,
  demo: z.boolean().default(false),
  tried: z.array(TriedSchema).max(MOST_TRIED),
  ...edits,
});
export type Practised = z.output<typeof PractisedSchema>;
