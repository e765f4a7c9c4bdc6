import type { Mode } from '../camera/modeTable';
import { filterSettings, NO_FILTER, stackOf } from '../filters/kit';
import type { FilterSetting } from '../filters/kit';
import type { LightRange } from '../light/lightRange';
import { shakeFloorSeconds } from '../motion/shake';
import type { Brief } from '../plan/defaults';
import type { Colour } from '../plan/words';
import { allowedModes } from './allowedModes';
import { isoWindow } from '../loss/exposureLoss';
import type { IsoWindow, Sensor, ShutterSetting } from '../loss/exposureLoss';
import { insisting } from './insist';
import type { Dropped } from './insist';
import type { Demands } from '../loss/modeLoss';
import type { Obstacle } from './obstacle';
import { SCHOOLS } from '../loss/schools';
import type { School } from '../loss/schools';
import { shutterIsPinned, shuttersFor } from './shutters';
import { workingsOf } from './workings';
import type { Workings } from './workings';

/**
 * All that may be chosen for a brief: hard limits and pins applied, the school's insistences too, as far as the camera
 * can meet them. Both the fast search and the exhaustive one walk exactly this space.
 */
export interface Space {
  brief: Brief;
  school: School;
  light: LightRange;
  demands: Demands;
  workings: Workings;
  sensor: Sensor;
  colour: Colour;
  modes: readonly Mode[];
  filters: readonly FilterSetting[];
  /** Fixed shutters and automatic ones, by frame rate. */
  shutters: ReadonlyMap<number, readonly ShutterSetting[]>;
  /** ISO windows for a fixed shutter, widest first so that a tie keeps the window that holds longest. */
  isoWindows: readonly IsoWindow[];
  /** log2(ISO/100) of the lowest and the highest ISO of any window. */
  isoReach: { lowLog: number; highLog: number };
  /** Under an automatic shutter ISO starts at its lowest. */
  autoIsoWindows: readonly IsoWindow[];
  /** What the school insists on and this camera or these pins do not allow. */
  dropped: readonly Dropped[];
}

/** Slack on the shake floor: a twentieth of a shutter is not seen, and lets 1/200 s stand for 1/208 s. */
const FLOOR_SLACK = 1.05;

export type SpaceOr = { ok: true; space: Space } | { ok: false; obstacle: Obstacle };

export function spaceFor(brief: Brief, school: School = SCHOOLS[brief.look.school]): SpaceOr {
  const no = (obstacle: Obstacle): SpaceOr => ({ ok: false, obstacle });
  const { camera, pins } = brief;
  const dropped: Dropped[] = [];

  const shared = workingsOf(brief);
  const allowed = (shared.allowed ??= allowedModes(brief));
  if ('code' in allowed) return no(allowed);
  const { colour } = allowed;
  const wanted = pins.stabilization === undefined ? school.insists.stabilizations : undefined;
  const modes = wanted
    ? insisting(allowed.modes, dropped, 'stabilization', (mode) => wanted.includes(mode.stabilization))
    : allowed.modes;

  const filters = filtersFor(brief, school, shared);
  if ('code' in filters) return no(filters);
  const { light, demands } = shared;
  const shutters = shuttersFor(brief, school, shared, modes, dropped);
  if ('code' in shutters) return no(shutters);
  const iso = isoWindowsFor(brief, school, colour, shared, dropped);
  if ('code' in iso) return no(iso);

  return {
    ok: true,
    space: {
      brief,
      school,
      light,
      demands,
      workings: shared,
      colour: colour.id,
      sensor: {
        fNumber: camera.fNumber,
        fNumberLog: 2 * Math.log2(camera.fNumber),
        baseIso: colour.baseIso,
        baseLog: Math.log2(colour.baseIso / 100),
        guardStops:
          camera.highlightGuardStops[colour.id] + (pins.recording === 'hdr' ? camera.hdrGuardStops : 0),
        noiseStops: camera.noiseStops + (pins.recording === 'lowLight' ? camera.lowLightNoiseStops : 0),
      },
      modes: [...shutters.values()].every((settings) => settings.length > 0)
        ? modes
        : modes.filter((mode) => (shutters.get(mode.frameRate)?.length ?? 0) > 0),
      filters,
      shutters,
      isoWindows: iso,
      isoReach: {
        lowLog: Math.min(...iso.map(({ minLog }) => minLog)),
        highLog: Math.max(...iso.map(({ minLog, spanStops }) => minLog + spanStops)),
      },
      autoIsoWindows: pins.iso ? iso : iso.filter((window) => window.min === colour.baseIso),
      dropped,
    },
  };
}

/** Whether the school lets this mode use this shutter; only *crisp first* says no, by the view's shake floor. */
export function schoolAllows(space: Space, mode: Mode, shutter: ShutterSetting): boolean {
  if (!space.school.insists.withinShakeFloor || shutterIsPinned(space.brief)) return true;
  const shortest = space.brief.camera.shutter.shortestSeconds;
  const floor = shakeFloorSeconds(
    space.brief.motion.shakeDegPerSRms,
    mode.view.horizontalDeg,
    mode.view.projection,
  );
  return shutter.longestSeconds <= Math.max(shortest, floor * FLOOR_SLACK);
}

function filtersFor(brief: Brief, school: School, shared: Workings): readonly FilterSetting[] | Obstacle {
  const pin = brief.pins.filter;
  if (!pin) return school.insists.noFilter ? [NO_FILTER] : (shared.filters ??= filterSettings(brief.filters));
  const stack = stackOf(brief.filters, pin.ids, pin.stops);
  if (stack) return stack;
  const known = pin.ids.every((id) => brief.filters.some((filter) => filter.id === id));
  return known
    ? { code: 'filterStops', ids: pin.ids, stops: pin.stops ?? 0 }
    : { code: 'filterNotInKit', ids: pin.ids, kit: brief.filters.map(({ id }) => id) };
}

function isoWindowsFor(
  brief: Brief,
  school: School,
  colour: { baseIso: number; maxIso: number },
  shared: Workings,
  dropped: Dropped[],
): readonly IsoWindow[] | Obstacle {
  const { pins, limits, camera } = brief;
  const max = Math.min(colour.maxIso, limits.isoCeiling);
  if (pins.iso) {
    if (pins.iso.min >= colour.baseIso && pins.iso.max <= max) return [isoWindow(pins.iso.min, pins.iso.max)];
    return {
      code: 'isoOutside',
      ...pins.iso,
      base: colour.baseIso,
      cameraMax: colour.maxIso,
      ceiling: limits.isoCeiling,
    };
  }
  const windows = isoLadderWindows(camera.iso.steps, colour.baseIso, max, shared);
  const { isoSpanStops = Infinity, isoMax = Infinity } = school.insists;
  return insisting(
    windows,
    dropped,
    'iso',
    (window) => window.spanStops <= isoSpanStops + 1e-9 && window.max <= isoMax,
  );
}

/** Every window between two steps of the camera; remembered, since all schools choose among the same. */
function isoLadderWindows(
  all: readonly number[],
  base: number,
  max: number,
  { isoWindows }: Workings,
): readonly IsoWindow[] {
  const key = `${base} ${max}`;
  const known = isoWindows.get(key);
  if (known) return known;
  const steps = all.filter((iso) => iso >= base && iso <= max);
  const ladder = steps.length > 0 ? steps : [base];
  const windows = ladder
    .flatMap((low) => ladder.filter((high) => high >= low).map((high) => isoWindow(low, high)))
    .sort((a, b) => b.spanStops - a.spanStops || a.min - b.min);
  isoWindows.set(key, windows);
  return windows;
}
