import * as z from 'zod';
import { edits } from '../schema/edits';
import { FileVersion } from '../schema/fileVersion';
import { SettingsSchema } from './settings';
import { ShotSchema } from './shot';
import { InstantSchema } from '../schema/times';
import { CUT_REASONS, VERDICTS } from '../vocabulary/verdicts';
import { TurnsSchema } from './turnsSchema';

/** One recording as it happened: the settings as they were, and afterwards what came of it. */
export const LogEntrySchema = z.strictObject({
  kind: z.literal('lynxeye/log-entry'),
  version: FileVersion,
  id: z.string().min(1).max(60),
  shotId: z.string().min(1).max(60),
  shotName: z.string().max(120),
  /** When "recorded" was tapped. */
  at: InstantSchema,
  settings: SettingsSchema,
  /** The brief as it was, so that a later change of the shot does not rewrite history. */
  shot: ShotSchema,
  verdicts: z.array(z.enum(VERDICTS)).max(VERDICTS.length).default([]),
  turns: TurnsSchema.optional(),
  cutReason: z.enum(CUT_REASONS).optional(),
  note: z.string().max(2000).default(''),
  /** What the camera itself wrote: its file, how long it ran, how many parts it was cut into. */
  clip: z
    .strictObject({
      file: z.string().min(1).max(80),
      cameraId: z.string().min(1).max(60),
      seconds: z.number().min(0).max(604_800),
      gigabytes: z.number().min(0).max(100_000),
      chapters: z.int().min(0).max(100_000),
    })
    .optional(),
  ...edits,
});

export type LogEntry = z.output<typeof LogEntrySchema>;
