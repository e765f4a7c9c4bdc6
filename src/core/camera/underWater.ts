import { viewBehindPortDeg } from '../light/underwater';
import type { CameraProfile } from './profile';

const under = new WeakMap<CameraProfile, CameraProfile>();

/** A camera behind a flat port in water: every lens sees less. The same profile for the same camera. */
export function cameraUnderWater(profile: CameraProfile): CameraProfile {
  const known = under.get(profile);
  if (known) return known;
  const made = {
    ...profile,
    views: profile.views.map((view) =>
      view.fromSphere ? view : { ...view, horizontalDeg: viewBehindPortDeg(view.horizontalDeg) },
    ),
  };
  under.set(profile, made);
  return made;
}
