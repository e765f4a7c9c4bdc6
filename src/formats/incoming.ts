import * as z from 'zod';
import { CameraProfileSchema } from '@/core/camera/profile';
import type { CameraProfile } from '@/core/camera/profile';
import { readBackup } from '@/core/plan/backup';
import type { Backup } from '@/core/plan/backup';
import { checkAgainst } from '@/core/plan/faults';
import type { Checked } from '@/core/plan/faults';
import { readOutingFile } from '@/core/plan/outing';
import type { OutingFile } from '@/core/plan/outing';
import { readShot } from '@/core/plan/shot';
import type { Shot } from '@/core/plan/shot';
import { parseJson } from './json';
import { TAIL } from './shotText';

/** What a pasted text or a dropped file holds. */
export type Incoming =
  | { kind: 'shots'; shots: Shot[] }
  | { kind: 'backup'; backup: Backup }
  | { kind: 'camera'; profile: CameraProfile }
  | { kind: 'outing'; file: OutingFile };

/** Reads a shot, several shots, a whole backup, an outing, a camera, or a text that carries a shot. Everything is checked, or nothing taken. */
export function readIncoming(text: string): Checked<Incoming> {
  const tail = text.lastIndexOf(TAIL);
  const json = tail >= 0 && !text.trimStart().startsWith('{') ? text.slice(tail + TAIL.length) : text;
  const parsed = parseJson(json);
  if (!parsed.ok) return parsed;
  if (Array.isArray(parsed.value)) {
    const listed = checkAgainst(z.array(z.unknown()).min(1).max(1000), parsed.value);
    if (!listed.ok) return listed;
    const read = listed.value.map(readShot);
    const faults = read.flatMap((one, index) =>
      one.ok ? [] : one.faults.map((fault) => ({ ...fault, path: `[${index}].${fault.path}` })),
    );
    if (faults.length > 0) return { ok: false, faults };
    return { ok: true, value: { kind: 'shots', shots: read.flatMap((one) => (one.ok ? [one.value] : [])) } };
  }
  if (kindOf(parsed.value) === 'lynxeye/backup') {
    const backup = readBackup(parsed.value);
    return backup.ok ? { ok: true, value: { kind: 'backup', backup: backup.value } } : backup;
  }
  if (kindOf(parsed.value) === 'lynxeye/outing-file') {
    const outing = readOutingFile(parsed.value);
    return outing.ok ? { ok: true, value: { kind: 'outing', file: outing.value } } : outing;
  }
  if (kindOf(parsed.value) === 'lynxeye/camera') {
    const camera = checkAgainst(CameraProfileSchema, parsed.value);
    return camera.ok ? { ok: true, value: { kind: 'camera', profile: camera.value } } : camera;
  }
  const shot = readShot(parsed.value);
  return shot.ok ? { ok: true, value: { kind: 'shots', shots: [shot.value] } } : shot;
}

function kindOf(value: unknown): unknown {
  return typeof value === 'object' && value !== null && 'kind' in value ? value.kind : undefined;
}
