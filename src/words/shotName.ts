import * as messages from '@/language/words/labels';

/** What a shot is called: its own name, or that it has none yet. */
export function shotName(shot?: { name?: string | undefined }): string {
  return shot?.name ?? messages.untitledShot;
}
