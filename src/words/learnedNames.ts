import { ARCHETYPE_IDS } from '@/core/camera/archetypes';
import type { Brief } from '@/core/brief/brief';
import type { CameraProfile } from '@/core/camera/profile';
import { USUAL_FILTERS } from '@/core/brief/usual';
import type { Filter } from '@/core/filters/filterSchema';
import type { KitItem } from '@/core/records/kitItem';
import type { Shot } from '@/core/records/shot';
import { ARCHETYPE_LABEL } from './archetypeText';
import type { Names } from './learnedText';
import { filterName } from './settingText';

interface Named {
  kit: readonly KitItem[];
  shots: readonly { shot: Shot }[];
}

/** Those of one brief. */
export function namesOfBrief({ camera, filters }: Pick<Brief, 'camera' | 'filters'>): Names {
  return {
    camera: (id) => (id === camera.id ? camera.name : undefined),
    filter: (id) => {
      const found = filters.find((one) => one.id === id);
      return found && filterName(found);
    },
  };
}

/** Names of cameras and filters as the kit has them, else as the shots carry them. */
export function namesIn({ kit, shots }: Named): Names {
  const cameras = new Map<string, string>(ARCHETYPE_IDS.map((id) => [id, ARCHETYPE_LABEL[id]]));
  const filters = new Map<string, string>();
  const take = (camera: CameraProfile | null, glass: readonly Filter[]): void => {
    if (camera) cameras.set(camera.id, camera.name);
    for (const one of glass) filters.set(one.id, filterName(one));
  };
  take(null, USUAL_FILTERS);
  for (const { shot } of shots)
    for (const part of [shot, ...(shot.secondAngles ?? []), ...(shot.pair ? [shot.pair.second] : [])])
      take(part.camera && 'profile' in part.camera ? part.camera.profile : null, part.filters ?? []);
  for (const { thing } of kit) {
    if (thing.what === 'camera') take(thing.profile, []);
    if (thing.what === 'filter') filters.set(thing.filter.id, thing.name);
  }
  return { camera: (id) => cameras.get(id), filter: (id) => filters.get(id) };
}
