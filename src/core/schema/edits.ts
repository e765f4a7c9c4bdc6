import * as z from 'zod';
import { MOST_COUNT, MOST_DEVICES } from './editBounds';
import { finds } from './fault';

/**
 * The last edit that each device has made of a record, by the name under which that device counts all its edits: a version
 * vector (Parker and others 1983, "Detection of mutual inconsistency in distributed systems", IEEE TSE 9-3). Left out:
 * nobody has changed it since it was made. Of two copies of one record it says whether one rests on the other, or each was
 * changed without the other.
 */
const EditsSchema = z
  .record(z.string().regex(/^[0-9a-z]{1,16}$/), z.int().min(1).max(MOST_COUNT))
  .refine(
    (edits) => Object.keys(edits).length <= MOST_DEVICES,
    finds({ code: 'bound', is: 'atMost', bound: MOST_DEVICES, of: 'entries' }),
  );

/** The key of a record that carries it, to be spread into its schema. */
export const edits = { edits: EditsSchema.optional() };
