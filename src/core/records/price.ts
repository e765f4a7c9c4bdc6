import * as z from 'zod';
import { edits } from '../schema/edits';
import { FileVersion } from '../schema/fileVersion';
import { InstantSchema } from '../schema/times';

/** What a person would pay for a thing they could get, in their own money. */
export const PriceSchema = z.strictObject({
  kind: z.literal('lynxeye/price'),
  version: FileVersion,
  /** That of the thing: what it is, and for which camera. */
  id: z.string().min(1).max(160),
  createdAt: InstantSchema,
  updatedAt: InstantSchema,
  demo: z.boolean().default(false),
  price: z.number().min(0).max(1_000_000),
  ...edits,
});
