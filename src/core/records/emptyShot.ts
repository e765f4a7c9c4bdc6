import type { Shot } from './shot';
import { FILE_VERSION } from '../schema/versions';

/** A new, empty shot: everything still at its default. */
export function emptyShot(name: string): Shot {
  return { kind: 'lynxeye/shot', version: FILE_VERSION, name };
}
