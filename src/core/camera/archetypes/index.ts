import type { CameraProfile } from '../profile';
import budget from './budget.json';
import long from './long.json';
import main from './main.json';
import mini from './mini.json';
import phone from './phone.json';
import sphere from './sphere.json';

/**
 * The made-up cameras that ship, one of each kind, in the order in which they are offered. Each file is a whole profile
 * with nothing left to a default, so that no schema has to be loaded to use it; a test holds every file to the schema.
 */
const FILES = { main, mini, budget, phone, sphere, long };

export type ArchetypeId = keyof typeof FILES;
export const ARCHETYPE_IDS = Object.keys(FILES) as [ArchetypeId, ...ArchetypeId[]];
export const ARCHETYPES = FILES as unknown as Readonly<Record<ArchetypeId, CameraProfile>>;
