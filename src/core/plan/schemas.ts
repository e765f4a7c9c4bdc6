import * as z from 'zod';
import { CameraProfileSchema } from '../camera/profile';
import { AnswerSchema, RefusalSchema } from './answerFile';
import { BackupSchema } from './backup';
import { KitItemSchema } from './kitItem';
import { LogEntrySchema } from './logEntry';
import { OutingFileSchema } from './outing';
import { ShotSchema } from './shot';

/** The files Lynxeye reads and writes, by the name the command line gives them. */
export const FILE_SCHEMAS = {
  shot: ShotSchema,
  answer: AnswerSchema,
  refusal: RefusalSchema,
  camera: CameraProfileSchema,
  'log-entry': LogEntrySchema,
  'kit-item': KitItemSchema,
  'outing-file': OutingFileSchema,
  backup: BackupSchema,
} as const;

export type SchemaName = keyof typeof FILE_SCHEMAS;

export const SCHEMA_NAMES = Object.keys(FILE_SCHEMAS) as SchemaName[];

/** The JSON Schema (draft 2020-12) of what may be read under this name. */
export function jsonSchemaOf(name: SchemaName): Record<string, unknown> {
  return { title: `lynxeye ${name}`, ...z.toJSONSchema(FILE_SCHEMAS[name], { io: 'input' }) };
}
