import * as z from 'zod';
import { CameraProfileSchema } from '../camera/profile';
import { AnswerSchema, RefusalSchema } from './answerFile';
import { ClipSchema } from './clip';
import { ClipReportSchema } from './clipReport';
import { checkFile } from '../schema/checkFile';
import type { Checked } from '../schema/fault';
import { KitItemSchema } from './kitItem';
import { LogEntrySchema } from './logEntry';
import { ShotSchema } from './shot';
import { backupSchema, readBackup } from './backup';
import { OutingFileSchema, readOutingFile } from './outingFile';

/** The files Lynxeye reads and writes, by the name the command line gives them; `kind` is "lynxeye/" and the name. */
const FILES = {
  shot: plainly(ShotSchema),
  answer: plainly(AnswerSchema),
  refusal: plainly(RefusalSchema),
  camera: plainly(CameraProfileSchema),
  'log-entry': plainly(LogEntrySchema),
  clip: plainly(ClipSchema),
  'clip-report': plainly(ClipReportSchema),
  'kit-item': plainly(KitItemSchema),
  'outing-file': { schema: () => Promise.resolve(OutingFileSchema), check: readOutingFile },
  backup: { schema: backupSchema, check: readBackup },
} as const satisfies Record<string, FileKind>;

interface FileKind {
  schema: () => Promise<z.ZodType>;
  check: (input: unknown) => Promise<{ ok: true } | Extract<Checked<unknown>, { ok: false }>>;
}

function plainly(schema: z.ZodType): FileKind {
  return {
    schema: () => Promise.resolve(schema),
    check: (input) => Promise.resolve(checkFile(schema, input)),
  };
}

type FileName = keyof typeof FILES;
export const FILE_NAMES = Object.keys(FILES) as FileName[];

/** The JSON Schema (draft 2020-12) of what may be read under this name, at the version of today. */
export async function jsonSchemaOf(name: FileName): Promise<Record<string, unknown>> {
  return { title: `lynxeye ${name}`, ...z.toJSONSchema(await FILES[name].schema(), { io: 'input' }) };
}

/** Whether this is a sound file of whatever kind it says it is. */
export async function checkAnyFile(input: unknown): Promise<Checked<FileName>> {
  const kind = typeof input === 'object' && input !== null && 'kind' in input ? input.kind : undefined;
  const name = FILE_NAMES.find((one) => kind === `lynxeye/${one}`);
  if (!name) {
    const values = FILE_NAMES.map((one) => `lynxeye/${one}`);
    return { ok: false, faults: [{ path: 'kind', problem: { code: 'oneOf', values } }] };
  }
  const checked = await FILES[name].check(input);
  return checked.ok ? { ok: true, value: name } : { ok: false, faults: checked.faults };
}
