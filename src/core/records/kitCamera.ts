import type { Filter } from '../filters/filterSchema';
import type { CameraProfile } from '../camera/profile';

/** Whatever of a shot carries a camera and filters of its own. */
interface Part {
  camera?: unknown;
  filters?: readonly Filter[] | undefined;
}
interface Parts extends Part {
  secondAngles?: readonly Part[] | undefined;
  pair?: { second: Part } | undefined;
}

/** The profile of a shot's camera, replaced wherever it is this kit camera; the same shot when it is not. */
export function withKitCamera<S extends Parts>(shot: S, profile: CameraProfile): S {
  return eachPart(shot, (part) => {
    const { camera } = part;
    const uses =
      typeof camera === 'object' &&
      camera !== null &&
      'profile' in camera &&
      (camera.profile as CameraProfile).id === profile.id;
    return uses ? { ...part, camera: { profile } } : part;
  });
}

/** The filters of a shot with this one as the kit now has it; the same shot when it does not carry it. */
export function withKitFilter<S extends Parts>(shot: S, filter: Filter): S {
  return eachPart(shot, (part) =>
    part.filters?.some(({ id }) => id === filter.id)
      ? { ...part, filters: part.filters.map((one) => (one.id === filter.id ? filter : one)) }
      : part,
  );
}

/** Changes main camera, second angles and second half alike; the same shot when none changed. */
function eachPart<S extends Parts>(shot: S, change: <P extends Part>(part: P) => P): S {
  const main = change(shot);
  const others = main.secondAngles?.map((one) => change(one));
  const othersChanged = others?.some((one, at) => one !== main.secondAngles?.[at]) ?? false;
  const second = main.pair && change(main.pair.second);
  const secondChanged = second !== main.pair?.second;
  if (!othersChanged && !secondChanged) return main;
  return {
    ...main,
    ...(othersChanged ? { secondAngles: others } : {}),
    ...(secondChanged ? { pair: { ...main.pair, second } } : {}),
  };
}
