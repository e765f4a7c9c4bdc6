import type * as Clips from '@/workers/clips';
import { clipsWork } from '@/workers/clipsWork';

/** What the worker for clips does, in the page: there are no workers under the tests. Nothing here decodes. */
export const inPage: Pick<
  typeof Clips,
  'openFile' | 'matchClips' | 'judgeClip' | 'alignClips' | 'lookAtClip' | 'filmSample'
> = {
  openFile: (file, name) => ({ done: clipsWork.open(file, name), stop: () => undefined }),
  matchClips: (...asked) => Promise.resolve(clipsWork.match(...asked)),
  judgeClip: (...asked) => Promise.resolve(clipsWork.judge(...asked)),
  alignClips: () => Promise.resolve(null),
  lookAtClip: () => ({ done: Promise.resolve(null), stop: () => undefined }),
  filmSample: () => ({ done: Promise.resolve(null), stop: () => undefined }),
};
