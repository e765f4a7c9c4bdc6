import type { Colour } from '../vocabulary/modes';
import type { Mode } from '../camera/modeTable';
import { takesFilters, wearable } from '../filters/bag';
import { filterSettings, stackOf } from '../filters/kit';
import type { FilterSetting } from '../filters/kit';
import type { LightRange } from '../light/lightRange';
import { isoWindow } from '../loss/exposure';
import type { IsoWindow, Sensor, ShutterSetting } from '../loss/exposure';
import type { Demands } from '../loss/frame';
import { schoolOf, withoutHold } from '../loss/schools';
import type { School } from '../loss/schools';
import { COLOUR_TERMS, weighedSum } from '../loss/table';
import { withGlare } from '../loss/glare';
import { offsetFor } from '../loss/picture';
import { meterLossOf } from '../loss/terms/meter';
import { bestWhiteBalance } from '../loss/terms/whiteBalance';
import { grainAt } from '../loss/terms/noise';
import type { Brief } from '../brief/brief';
import { allowedModes } from './allowedModes';
import type { AllowedColour } from './allowedModes';
import type { Obstacle } from './obstacle';
import { shuttersFor } from './shutters';
import { workingsOf } from './workings';
import type { Workings } from './workings';

/**
 * All that may be chosen for a brief: hard limits and pins applied. A school takes nothing away: what it wishes for has
 * a price. Both the fast search and the exhaustive one walk exactly this space.
 */
export interface Space {
  brief: Brief;
  school: School;
  light: LightRange;
  /** The light as told, without its spread: for bounds. */
  told: LightRange;
  demands: Demands;
  workings: Workings;
  /** The colours that may be filmed, the school's cheapest first. */
  colours: readonly ColourSpace[];
  modes: readonly Mode[];
  filters: readonly FilterSetting[];
  /** Fixed shutters and automatic ones, by frame rate. */
  shutters: ReadonlyMap<number, readonly ShutterSetting[]>;
}

/** What one colour makes of the sensor, and what of ISO is left to choose in it. */
export interface ColourSpace {
  id: Colour;
  /** Weighted loss of the colour itself, and of the grain of its lowest ISO, which no exposure is without. */
  loss: number;
  grain: number;
  /** What it costs least to leave white balance at: the pin, a lock, or the automatic. */
  whiteBalance: 'auto' | number;
  sensor: Sensor;
  /** ISO windows for a fixed shutter, widest first so that a tie keeps the window that holds longest. */
  isoWindows: readonly IsoWindow[];
  /** Under an automatic shutter ISO starts at its lowest. */
  autoIsoWindows: readonly IsoWindow[];
}

type SpaceOr = { ok: true; space: Space } | { ok: false; obstacle: Obstacle };

export function spaceFor(brief: Brief, plain: School = schoolOf(brief.look)): SpaceOr {
  const no = (obstacle: Obstacle): SpaceOr => ({ ok: false, obstacle });
  const shared = workingsOf(brief);
  const allowed = (shared.allowed ??= allowedModes(brief));
  if ('code' in allowed) return no(allowed);
  const filters = filtersFor(brief, shared);
  if ('code' in filters) return no(filters);
  const shutters = shuttersFor(brief, shared, allowed.modes);
  if ('code' in shutters) return no(shutters);
  const school = shared.demands.swims ? withoutHold(plain) : plain;
  const colours = allowed.colours
    .map((colour) => colourSpace(brief, school, shared, colour))
    .sort((a, b) => a.loss - b.loss);
  const { light, demands } = shared;
  const { modes } = allowed;
  return {
    ok: true,
    space: {
      brief,
      school,
      light,
      told: { ...light, aroundStops: 0 },
      demands,
      workings: shared,
      colours,
      modes: [...shutters.values()].every((settings) => settings.length > 0)
        ? modes
        : modes.filter((mode) => (shutters.get(mode.frameRate)?.length ?? 0) > 0),
      filters,
      shutters,
    },
  };
}

function colourSpace(brief: Brief, school: School, shared: Workings, colour: AllowedColour): ColourSpace {
  const { camera, pins } = brief;
  const { id, baseIso, maxIso } = colour;
  const isoWindows = pins.iso
    ? [isoWindow(pins.iso.min, pins.iso.max)]
    : isoLadderWindows(camera.iso.steps, baseIso, maxIso, shared);
  const referenceLog = Math.log2(camera.iso.standard.base / 100);
  const noiseStops = camera.noiseStops + (pins.recording === 'lowLight' ? camera.lowLightNoiseStops : 0);
  const { picture, light } = shared;
  const tinted = { grade: brief.look.grade, colour: id, light: shared.lightColour, picture };
  const whiteBalance = pins.whiteBalance ?? bestWhiteBalance(tinted);
  const guardStops = camera.highlightGuardStops[id] + (pins.recording === 'hdr' ? camera.hdrGuardStops : 0);
  const own = offsetFor(picture, light, school.exposureOffsetStops);
  const lowest = Math.min(...isoWindows.map(({ minLog }) => minLog));
  return {
    id,
    loss: weighedSum(COLOUR_TERMS, school.weights, { ...tinted, whiteBalance }),
    whiteBalance,
    grain: school.weights.noise * grainAt(lowest - referenceLog + noiseStops),
    sensor: {
      fNumber: camera.fNumber,
      fNumberLog: 2 * Math.log2(camera.fNumber),
      baseIso,
      baseLog: Math.log2(baseIso / 100),
      referenceLog,
      guardStops,
      noiseStops,
      meterLoss: meterLossOf(picture, pins.exposureOffsetStops ?? own.stops, guardStops),
      runs: camera.shutter.auto,
    },
    isoWindows,
    autoIsoWindows: isoWindows.filter(({ minLog }) => minLog === lowest),
  };
}

function filtersFor(brief: Brief, shared: Workings): readonly FilterSetting[] | Obstacle {
  const pin = brief.pins.filter;
  const { glare } = shared;
  if (!pin) return (shared.filters ??= withGlare(filterSettings(wearable(brief)), brief.filters, glare));
  const stack = stackOf(wearable(brief), pin.ids, pin.stops);
  if (stack) return withGlare(stack, brief.filters, glare);
  if (!takesFilters(brief.camera) && pin.ids.length > 0) return { code: 'takesNoFilter' };
  const known = pin.ids.every((id) => brief.filters.some((filter) => filter.id === id));
  return known
    ? { code: 'filterStops', ids: pin.ids, stops: pin.stops ?? 0 }
    : { code: 'filterNotInKit', ids: pin.ids, kit: brief.filters.map(({ id }) => id) };
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
