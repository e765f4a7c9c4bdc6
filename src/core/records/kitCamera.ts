import { contentOf } from './content';
import type { Filter } from '../filters/filterSchema';
import type { CameraProfile } from '../camera/profile';
import type { Thing } from './kitItem';

/** Whatever of a shot carries a camera and filters of its own. */
interface Part {
  camera?: unknown;
  filters?: readonly Filter[] | undefined;
}
interface Parts extends Part {
  secondAngles?: readonly Part[] | undefined;
  pair?: { second: Part } | undefined;
}

/** A shot with its cameras and filters as these things of the kit have them; the same shot when it carries none of them. */
export function asInKit<S extends Parts>(shot: S, things: readonly Thing[]): S {
  return things.reduce((done, thing) => {
    if (thing.what === 'camera') return withKitCamera(done, thing.profile);
    return thing.what === 'filter' ? withKitFilter(done, thing.filter) : done;
  }, shot);
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

/** What a shot says, but for how its cameras and filters are made: two copies that differ in nothing else are one shot. */
export function bareOfKit(shot: Parts): string {
  return contentOf(
    eachPart(shot, (part) => {
      const { camera, filters } = part;
      return {
        ...part,
        ...(typeof camera === 'object' && camera !== null && 'profile' in camera
          ? { camera: { profile: { id: (camera.profile as CameraProfile).id } } }
          : {}),
        ...(filters ? { filters: filters.map(({ id }) => ({ id })) } : {}),
      };
    }),
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
