import { lampsIn } from '../light/lamps';
import type { Lamps } from '../light/lamps';
import type { Light } from '../light/lightSchema';
import type { Activity } from '../vocabulary/activities';
import { habitsOf } from '../vocabulary/mounts';
import type { MountKind, MountPlace } from '../vocabulary/mounts';
import type { SceneName } from '../vocabulary/scenes';
import type { Surroundings } from '../vocabulary/surroundings';

/** Scenes that say by themselves what lies around. */
const OF_SCENE: Readonly<Partial<Record<SceneName, Surroundings>>> = {
  snowSun: 'snow',
  denseWood: 'wood',
  brightHall: 'room',
  sportsHall: 'room',
  litRoom: 'room',
  dimHall: 'room',
  litStreet: 'road',
};

const OF_ACTIVITY: Readonly<Record<Activity, Surroundings>> = {
  still: 'grass',
  walking: 'grass',
  running: 'grass',
  riding: 'grass',
  paddling: 'water',
  climbing: 'rock',
  skating: 'road',
  surfing: 'water',
  driving: 'road',
  flying: 'grass',
  playing: 'grass',
};

/** What usually fills the frame: the cabin that rides along, then what the light's name or ground says, then what one does. */
export function usualSurroundings(
  light: Light,
  { kind, place, activity }: { kind: MountKind; place: MountPlace | undefined; activity: Activity },
  lamps: Lamps | undefined,
): Surroundings {
  if (light.kind === 'underwater') return 'water';
  const { looksBack, ridesAlong } = habitsOf(kind, place);
  if (looksBack && ridesAlong > 0) return 'cabin';
  // Of a run through two scenes the darker is the rarer: what is bright fills the film.
  const named = light.kind === 'scene' ? (OF_SCENE[light.to] ?? OF_SCENE[light.from]) : undefined;
  const both = light.kind !== 'scene' || OF_SCENE[light.from] === OF_SCENE[light.to];
  if (named && both) return named;
  if (light.kind === 'sun' && light.ground !== undefined && light.ground !== 'grass') return light.ground;
  if (lamps === 'mains' || (light.kind !== 'scene' && lampsIn(light) !== 'none')) return 'room';
  return OF_ACTIVITY[activity];
}
