import * as z from 'zod';
import { LONGEST_SETUP_NAME } from './names';
import { SettingsSchema } from './settings';

/** Settings stored in one of a camera's slots, counted from 1, under the name they go by on its screen. */
export const SetupSchema = z.strictObject({
  slot: z.int().min(1).max(20),
  name: z.string().min(1).max(LONGEST_SETUP_NAME),
  settings: SettingsSchema,
  /** Of a time-lapse. */
  intervalSeconds: z.number().min(0.1).max(86_400).optional(),
});
export type StoredSetup = z.output<typeof SetupSchema>;

/** Why a code of a set-up is not taken. */
export type SetupFault =
  | { code: 'foreign' }
  | { code: 'version'; version: string }
  | { code: 'damaged' }
  | { code: 'missing'; key: string }
  | { code: 'unknown'; key: string }
  | { code: 'value'; key: string; value: string };
