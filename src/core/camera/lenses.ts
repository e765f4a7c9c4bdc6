import { magnification } from '../optics/projection';
import type { Focusing } from '../optics/focus';
import type { CameraProfile, ProfileView } from './profile';

/** Questions about the lens behind a view. */

/** How a view's lens focuses: its own focal length and near limit, or those of the camera's usual lens. */
export function lensFocusing(camera: CameraProfile, viewId: string): Focusing {
  const view = camera.views.find(({ id }) => id === viewId);
  return {
    focalMm: view?.focalMm ?? camera.focalMm,
    fNumber: camera.fNumber,
    blurCircleMm: camera.blurCircleMm,
    kind: camera.focus.kind,
    // A lens of its own stands at its own hyperfocal distance, not where the usual one was set.
    atM: view?.focalMm === undefined ? camera.focus.atM : undefined,
    nearLimitM: view?.nearLimitM ?? camera.nearLimitM,
  };
}

/** The view against which a camera's magnification is told. */
export function standardViewOf(camera: CameraProfile): ProfileView {
  const named = camera.views.find(({ id }) => id === camera.standardView);
  const view = named ?? camera.views[0];
  if (!view) throw new Error('a camera without a view');
  return view;
}

/** How far a view enlarges against the standard one: f / f_standard, by true focal lengths where both are known. */
export function viewMagnification(camera: CameraProfile, viewId: string): number {
  const view = camera.views.find(({ id }) => id === viewId);
  return view ? magnification(view, standardViewOf(camera)) : 1;
}
