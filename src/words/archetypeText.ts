import { ARCHETYPE_IDS, ARCHETYPES } from '@/core/camera/archetypes';
import type { ArchetypeId } from '@/core/camera/archetypes';
import { decapitalized } from './sentences';

/** What an archetype is called in the middle of a sentence: the name in its file. */
export const ARCHETYPE_LABEL = Object.fromEntries(
  ARCHETYPE_IDS.map((id) => [id, decapitalized(ARCHETYPES[id].name)]),
) as Readonly<Record<ArchetypeId, string>>;
