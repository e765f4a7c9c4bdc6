import * as z from 'zod';
import { ShotSchema } from './shot';
import { edits } from '../schema/edits';
import { InstantSchema } from '../schema/times';

/** A shot as it is kept: the open file's shot with an id of its own and its times. */
export const ShotRecordSchema = z.strictObject({
  id: z.string().min(1).max(60),
  createdAt: InstantSchema,
  updatedAt: InstantSchema,
  /** Part of the demo data, so that it can be reset without touching the person's own. */
  demo: z.boolean().default(false),
  shot: ShotSchema,
  /** Check list entries ticked on the card. */
  ticked: z.array(z.string().min(1).max(40)).max(60).default([]),
  ...edits,
});

export type ShotRecord = z.output<typeof ShotRecordSchema>;
