import { evRangeOf } from '../light/lightRange';
import { skyAt } from '../light/sky';
import { sunLightAt, USUAL_SUN } from '../light/sun/sunLight';
import type { Brief } from '../brief/brief';
import type { Filter } from '../filters/filterSchema';
import type { Light } from '../light/lightSchema';
import { stopsRange } from '../filters/kit';
import { windowOfSettings } from '../records/settingsWindow';
import { SCENES } from '../vocabulary/scenes';
import type { SceneName } from '../vocabulary/scenes';
import { SHADE_STOPS } from '../vocabulary/outdoors';
import type { Evidence, Part } from './evidence';
import { ERRORS } from './figures';
import type { FilmedTake } from './takes';

/** How far below the window the dark end may lie before a clip is called too dark, stops (start): shadows may close. */
const UNDER_BORNE = 1;

/**
 * What the brightness of a take says of its light, its glass and how much its camera bears above the window: where the
 * middle of its picture lay under a fixed exposure, and whether it was white or dark at its ends.
 */
export function lightEvidence(take: FilmedTake): Evidence[] {
  const { id, date, brief, settings, pictures, verdicts } = take;
  // Other curves and several exposures to a picture say nothing of the middle or the ends.
  if (settings.colour !== 'standard' || settings.recording !== 'video') return [];
  const ends = endsOf(brief.light, take.atMs);
  if (!ends) return [];
  const glass = filterParts(brief, settings.filter.ids);
  const { evMin: foot, evMax: top } = windowOfSettings(settings, brief.camera.fNumber);
  const evidence: Evidence[] = [];
  const day = { date, kind: 'light' as const };
  const put = (says: Evidence['says'], of: readonly Part[], at: number, error: number): void => {
    if (of.length > 0) evidence.push({ id, of, says, at, error: Math.hypot(error, ends.error), day });
  };
  const fixed = settings.shutterMode === 'fixed' && settings.iso.min === settings.iso.max;
  if (fixed && pictures) {
    const seen = top + pictures.middleStops.median;
    put(
      'is',
      [...halved(ends.low), ...halved(ends.high), ...times(glass, -1)],
      seen - (ends.evMin + ends.evMax) / 2,
      ERRORS.middle.value,
    );
  }
  if (!verdicts) return evidence;
  const guard = brief.camera.highlightGuardStops.standard;
  const guardPart: Part = { figure: { of: 'guard', cameraId: brief.camera.id }, usual: guard, times: -1 };
  put(
    verdicts.has('whiteSky') ? 'above' : 'below',
    [...ends.high, ...times(glass, -1), guardPart],
    top + guard - ends.evMax,
    ERRORS.end.value,
  );
  put(
    verdicts.has('tooDark') ? 'below' : 'above',
    [...ends.low, ...times(glass, -1)],
    foot - UNDER_BORNE - ends.evMin,
    ERRORS.end.value,
  );
  return evidence;
}

interface Ends {
  evMin: number;
  evMax: number;
  /** Figures behind the dark end and behind the bright one. */
  low: readonly Part[];
  high: readonly Part[];
  /** What is not known of a light that no figure stands behind, stops. */
  error: number;
}

/** A light told as a range or as readings was looked at: what is left is how it was held (start). */
const LOOKED_AT_ERROR = 0.2;
/** Cloud told hour by hour is as good as its forecast (start). */
const FORECAST_ERROR = 0.5;

function endsOf(light: Light, atMs: number): Ends | null {
  if (light.kind === 'scene') {
    const { from, to } = light;
    const [dark, bright] = middleOf(from) <= middleOf(to) ? [from, to] : [to, from];
    const { evMin, evMax } = evRangeOf({ kind: 'scene', from, to });
    return { evMin, evMax, low: [scenePart(dark)], high: [scenePart(bright)], error: 0 };
  }
  if (light.kind !== 'sun') return { ...evRangeOf(light), low: [], high: [], error: LOOKED_AT_ERROR };
  const { evMin, evMax } = sunLightAt({ ...light, corrected: undefined }, atMs);
  if (!Number.isFinite(evMin) || !Number.isFinite(evMax)) return null;
  const sky = light.sky ?? USUAL_SUN.sky;
  const named = skyAt(sky, light.clouds, atMs).named;
  const skyPart: Part[] = named ? [{ figure: { of: 'sky', sky }, usual: 0, times: 1 }] : [];
  const shades = [...(light.shade ?? USUAL_SUN.shade)].sort((a, b) => SHADE_STOPS[a] - SHADE_STOPS[b]);
  const shadePart = (shade: (typeof shades)[number] | undefined): Part[] =>
    shade === undefined || shade === 'open'
      ? []
      : [{ figure: { of: 'shade', shade }, usual: SHADE_STOPS[shade], times: 1 }];
  return {
    evMin,
    evMax,
    low: [...skyPart, ...shadePart(shades[0])],
    high: [...skyPart, ...shadePart(shades.at(-1))],
    error: named ? 0 : FORECAST_ERROR,
  };
}

function middleOf(scene: SceneName): number {
  return (SCENES[scene].evMin + SCENES[scene].evMax) / 2;
}

function scenePart(scene: SceneName): Part {
  return { figure: { of: 'scene', scene }, usual: middleOf(scene), times: 1 };
}

/** The glasses that were on, of those whose strength is one figure. */
function filterParts({ filters }: Brief, ids: readonly string[]): Part[] {
  return ids.flatMap((filterId) => {
    const filter = filters.find((one): one is Exclude<Filter, { kind: 'variable' }> =>
      one.id === filterId ? one.kind !== 'variable' : false,
    );
    return filter ? [{ figure: { of: 'filter', filterId }, usual: stopsRange(filter).min, times: 1 }] : [];
  });
}

function times(parts: readonly Part[], by: number): Part[] {
  return parts.map((part) => ({ ...part, times: part.times * by }));
}

function halved(parts: readonly Part[]): Part[] {
  return times(parts, 0.5);
}
