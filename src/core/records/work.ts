import type { ArchetypeId } from '../camera/archetypes';
import { ARCHETYPES } from '../camera/archetypes';
import { combinationCount } from '../camera/modeTable';
import type { CameraProfile } from '../camera/profile';
import { filterSettings } from '../filters/kit';
import type { Filter } from '../filters/filterSchema';
import type { Fault } from '../schema/fault';

/**
 * How much there is to search in a shot, before any of it is searched: what is small as a file can be large as a search.
 * Bounds are set so that the slowest shot within them is answered in about a second on two slow cores; see
 * docs/decisions/bounds.md.
 */
export interface Work {
  /** Combinations that the cameras' rules name, each held against the limits. */
  modes: number;
  /** Filter settings of different strength, each under every ISO window. */
  exposures: number;
}

/** Either alone; of both together the shares may make one. */
const MOST_WORK: Work = { modes: 600_000, exposures: 60_000 };

/** A combination costs this many times what holding it against one limit does. */
const MODE_COST = 20;

interface Part {
  camera?: { archetype: ArchetypeId } | { profile: CameraProfile } | undefined;
  filters?: readonly Filter[] | undefined;
}

export function workOf({ camera, filters = [] }: Part): Work {
  const profile = camera && 'profile' in camera ? camera.profile : ARCHETYPES[camera?.archetype ?? 'main'];
  const strengths = new Set(filterSettings(filters).map(({ stops }) => stops)).size;
  const steps = profile.iso.steps.length;
  return {
    modes: combinationCount(
      profile,
      ({ encodings }) => MODE_COST + profile.limits.length / 2 + ratesOf(encodings),
    ),
    exposures: (strengths * steps * (steps + 1)) / 2,
  };
}

/** What of several cameras together is too much, and what to leave out; `null` when it is not. */
export function tooMuch(parts: readonly Part[]): Fault | null {
  const works = parts.map(workOf);
  const share = (of: keyof Work): number =>
    works.reduce((total, work) => total + work[of], 0) / MOST_WORK[of];
  const [modes, exposures] = [share('modes'), share('exposures')];
  if (modes + exposures <= 1) return null;
  if (modes >= exposures)
    return {
      path: 'camera',
      problem: { code: 'tooManyModes', counts: parts.map(countOf) },
    };
  return { path: 'filters', problem: { code: 'tooManyExposures' } };
}

function ratesOf(encodings: CameraProfile['rules'][number]['encodings']): number {
  return encodings.reduce((sum, { bitRatesMbps }) => sum + bitRatesMbps.length, 0);
}

function countOf({ camera }: Part): number {
  const profile = camera && 'profile' in camera ? camera.profile : ARCHETYPES[camera?.archetype ?? 'main'];
  return combinationCount(profile);
}
