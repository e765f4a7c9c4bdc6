import { headingAt, sunLightAt } from '../light/sun/sunLight';
import type { Light } from '../light/lightSchema';
import type { Clip } from '../records/clip';

/** Between so many instants of a recording the light is asked for. */
const INSTANTS = 24;
/** Light that changes by less over a recording has no worst moment, stops. */
const CHANGES_FROM = 0.5;
const MOST = 6;

/**
 * Where in a recording trouble is expected, seconds from its beginning: where the plan has its light brightest and darkest,
 * and where clips of the same shot went wrong before, taken to its length. The likeliest first.
 */
export function troubleIn(
  light: Light,
  { fromMs, seconds }: { fromMs: number; seconds: number },
  earlier: readonly Clip[],
): number[] {
  const before = earlier.flatMap(({ measured: { findings, container } }) =>
    findings.flatMap(({ atSeconds }) =>
      atSeconds === null || container.durationSeconds <= 0
        ? []
        : [(atSeconds / container.durationSeconds) * seconds],
    ),
  );
  return [...new Set([...extremesOf(light, fromMs, seconds), ...before])].slice(0, MOST);
}

function extremesOf(light: Light, fromMs: number, seconds: number): number[] {
  if (light.kind !== 'sun' || seconds <= 0) return [];
  const known = Array.from({ length: INSTANTS + 1 }, (_, step) => {
    const atSeconds = (step / INSTANTS) * seconds;
    const atMs = fromMs + 1000 * atSeconds;
    const heading = headingAt(light, atMs);
    const { evLow, evHigh } = sunLightAt(
      heading === null ? light : { ...light, headingsDeg: [heading] },
      atMs,
    );
    return { atSeconds, evLow, evHigh };
  });
  const [first] = known;
  if (!first) return [];
  const brightest = known.reduce((most, one) => (one.evHigh > most.evHigh ? one : most), first);
  const darkest = known.reduce((most, one) => (one.evLow < most.evLow ? one : most), first);
  const changes = Math.max(
    brightest.evHigh - Math.min(...known.map(({ evHigh }) => evHigh)),
    Math.max(...known.map(({ evLow }) => evLow)) - darkest.evLow,
  );
  return changes < CHANGES_FROM ? [] : [brightest.atSeconds, darkest.atSeconds];
}
