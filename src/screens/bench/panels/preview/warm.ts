import { takeOf } from '@/core/preview/takeOf';
import type { Solution } from '@/core/answer/solve';
import { warmUp } from './useFilms';

/** Readies the preview of an answer while nobody waits for it. */
export function warmPreview({ space, candidate }: Solution): void {
  const { slowdown } = space.brief.playback;
  warmUp(takeOf(space, candidate, { slowdown, moment: 'run', filmSeconds: 0.04 }));
}
