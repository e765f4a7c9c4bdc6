import { shotOfAngle, withAngle } from '@/core/records/secondAngles';
import type { Shot } from '@/core/records/shot';
import type { ShotEditing } from './useShotEditing';

/** Editing one camera of a shot as if it were a shot of its own; `shot` is that camera's, made once a change. */
export function angleEditing(whole: ShotEditing, angle: number, shot: Shot): ShotEditing {
  return {
    shot,
    preview: (label, change) =>
      whole.preview(label, (shot) => withAngle(shot, angle, change(shotOfAngle(shot, angle)))),
    save: (label, change) =>
      whole.save(label, (shot) => withAngle(shot, angle, change(shotOfAngle(shot, angle)))),
    commit: (label, change) =>
      whole.commit(label, change && ((shot) => withAngle(shot, angle, change(shotOfAngle(shot, angle))))),
  };
}
