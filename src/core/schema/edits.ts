import * as z from 'zod';

/**
 * How often each device has changed a record, by the device's own short name: a version vector (Parker and others 1983,
 * "Detection of mutual inconsistency in distributed systems", IEEE TSE 9-3). Left out: nobody has changed it since it was
 * made. Of two copies of one record it says whether one rests on the other, or each was changed without the other.
 */
const EditsSchema = z.record(z.string().regex(/^[0-9a-z]{1,16}$/), z.int().min(1).max(1_000_000_000));

/** The key of a record that carries it, to be spread into its schema. */
export const edits = { edits: EditsSchema.optional() };
