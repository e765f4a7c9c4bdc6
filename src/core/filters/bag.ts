import type { Filter } from './filterSchema';

interface Bagged {
  camera: { takesFilters?: boolean | undefined };
  filters: readonly Filter[];
}

/** Whether anything can go before its lens: a camera that does not say takes filters. */
export function takesFilters(camera: Bagged['camera']): boolean {
  return camera.takesFilters !== false;
}

/** What of the bag of a shot its camera can wear. */
export function wearable({ camera, filters }: Bagged): readonly Filter[] {
  return takesFilters(camera) ? filters : NOTHING;
}

const NOTHING: readonly Filter[] = [];

/** The same brief with more in its bag. */
export function withFilters<Brief extends Bagged>(brief: Brief, more: readonly Filter[]): Brief {
  return { ...brief, filters: [...brief.filters, ...more] };
}
