import * as z from 'zod';
import { edits } from '../schema/edits';
import { FileVersion } from '../schema/fileVersion';
import { InstantSchema } from '../schema/times';

/** That a record was removed, so that another copy of it does not bring it back. */
export const RemovedSchema = z.strictObject({
  kind: z.literal('lynxeye/removed'),
  version: FileVersion,
  /** Table and id of the record, with a stroke between. */
  id: z.string().min(3).max(180),
  at: InstantSchema,
  /** The record that it belonged to: a recording to its shot, a clip to its outing. */
  of: z.string().min(1).max(60).optional(),
  ...edits,
});
export type Removed = z.output<typeof RemovedSchema>;
