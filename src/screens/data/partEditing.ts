import { shotOfPart, withPart } from '@/core/records/secondAngles';
import type { Shot } from '@/core/records/shot';
import type { ShotEditing } from './useShotEditing';

/** Editing one camera of a shot as if it were a shot of its own; `shot` is that camera's, made once a change. */
export function partEditing(whole: ShotEditing, part: number, shot: Shot): ShotEditing {
  return {
    shot,
    preview: (label, change) =>
      whole.preview(label, (shot) => withPart(shot, part, change(shotOfPart(shot, part)))),
    save: (label, change) =>
      whole.save(label, (shot) => withPart(shot, part, change(shotOfPart(shot, part)))),
    commit: (label, change) =>
      whole.commit(label, change && ((shot) => withPart(shot, part, change(shotOfPart(shot, part))))),
  };
}
