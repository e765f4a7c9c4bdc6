import type { ArchetypeId } from '../../vocabulary/words';
import type { CameraProfile } from '../profile';
import budget from './budget.json';
import long from './long.json';
import main from './main.json';
import mini from './mini.json';
import phone from './phone.json';
import sphere from './sphere.json';

/**
 * The made-up cameras that ship, one of each kind. Each file is a whole profile with nothing left to a default, so that
 * no schema has to be loaded to use it; a test holds every file to the schema.
 */
export const ARCHETYPES = { main, mini, budget, phone, sphere, long } as unknown as Record<
  ArchetypeId,
  CameraProfile
>;
