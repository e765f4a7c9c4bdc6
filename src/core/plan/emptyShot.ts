import type { Shot } from './shot';
import { SHOT_VERSION } from './words';

/** A new, empty shot: everything still at its default. */
export function emptyShot(name: string): Shot {
  return { kind: 'lynxeye/shot', version: SHOT_VERSION, name };
}
