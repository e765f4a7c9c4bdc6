import * as z from 'zod';
import { FILE_VERSION } from './versions';

/** The `version` of every file and record: today's, after older ones were brought up to date. */
export const FileVersion = z.literal(FILE_VERSION, {
  error: ({ input }) =>
    typeof input === 'number' && input > FILE_VERSION
      ? `version ${input} was written by a later Lynxeye, and this one reads up to version ${FILE_VERSION}; open it there, or update this one`
      : `expected ${FILE_VERSION}`,
});
