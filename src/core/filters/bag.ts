import type { Filter } from './filterSchema';

interface Bagged {
  light?: { kind: string } | undefined;
  camera: { takesFilters?: boolean | undefined };
  filters: readonly Filter[];
}

/** Whether anything can go before its lens: a camera that does not say takes filters. */
export function takesFilters(camera: Bagged['camera']): boolean {
  return camera.takesFilters !== false;
}

/** What of the bag of a shot its camera can wear: under water nothing that opens its seal. */
export function wearable({ camera, filters, light }: Bagged): readonly Filter[] {
  if (!takesFilters(camera)) return NOTHING;
  return light?.kind === 'underwater' ? filters.filter(({ opensSeal }) => opensSeal !== true) : filters;
}

const NOTHING: readonly Filter[] = [];

/** The same brief with more in its bag. */
export function withFilters<Brief extends Bagged>(brief: Brief, more: readonly Filter[]): Brief {
  return { ...brief, filters: [...brief.filters, ...more] };
}
