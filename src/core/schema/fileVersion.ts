import * as z from 'zod';
import { FILE_VERSION } from './versions';
import { wants } from './fault';

/** The `version` of every file and record: today's, after older ones were brought up to date. */
export const FileVersion = z.literal(FILE_VERSION, {
  error: ({ input }) =>
    typeof input === 'number' && input > FILE_VERSION ? wants('noLaterVersion') : undefined,
});
