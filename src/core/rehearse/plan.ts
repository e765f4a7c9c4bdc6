import type { FilterSetting } from '../filters/kit';
import { daySheet } from '../day/daySheet';
import type { DaySheet } from '../day/daySheet';
import type { Memo } from '../day/partWork';
import { recordingLoad } from '../day/recording';
import type { RecordingLoad } from '../day/recording';
import type { PartAnswer } from '../day/partAnswer';
import type { DayPart, Schedule } from '../day/schedule';
import { DAY_LIGHT_STOPS, evRangeOf, lightRangeOf } from '../light/lightRange';
import { instantsOf, sunLightAt } from '../light/sun/sunLight';
import type { Gear } from '../records/outing';
import { figureId } from '../records/figures';
import type { Figure } from '../records/learned';
import { item } from '../units/items';
import { named } from '../units/seededRandom';
import { wayOf } from './filmingOption';
import type { FilmingOption } from './filmingOption';

/** A day's plan, held fixed, with all that living through it asks for: worked out once for thousands of days. */
export interface Plan {
  schedule: Schedule;
  gear: readonly Gear[];
  sheet: DaySheet;
  parts: readonly PlannedPart[];
}

export interface PlannedPart {
  part: DayPart;
  answer: PartAnswer;
  load: RecordingLoad;
  /** `null`: a time-lapse, of which only card, cell and heat are lived through. */
  option: FilmingOption | null;
  light: LightOverDelay;
  /** Of its own light, one standard deviation, stops, beyond what the whole day and its cloud are off by. */
  lightSpread: number;
  /** How far shake may be off, octaves; and what shakes alike. */
  shakeSpread: number | null;
  shakeName: number;
  /** How far draw, bits and warmth may be off, octaves, where that was learned; `null`: as usual. */
  powerSpread: number | null;
  bitSpread: number | null;
  heatSpread: number | null;
  /** Its filter is put on before it, in place of that of an earlier part. */
  changesFrom: FilterSetting | null;
  /** Another set-up of its camera, where it stores several. */
  otherOption: FilmingOption | null;
  wet: boolean;
  /** Names of what is drawn for it alone. */
  names: { light: number; speed: number; filter: number; setup: number; start: number; lens: number };
}

/** The light of a part if it begins later, EV100 at even steps, and what cloud may do to it, stops. */
interface LightOverDelay {
  stepMs: number;
  evMin: readonly number[];
  evMax: readonly number[];
  cloudStops: readonly number[];
}

/** Delays that are looked at, minutes; a day later than that stays as dark. */
const STEP_MINUTES = 20;
const MOST_MINUTES = 180;
/** Sky's spread is told from least to most: about two standard deviations to either side (start). */
const SPREADS_IN_RANGE = 2;

/** `sheet`: that of the very day, where it was worked out already. */
export function planOf(
  schedule: Schedule,
  gear: readonly Gear[],
  memo: Memo = new Map(),
  sheet: DaySheet = daySheet(schedule, gear, memo),
): Plan {
  const carried = schedule.parts.flatMap((part) => {
    const answer = sheet.parts.get(part.id)?.carried;
    return answer ? [{ part, answer }] : [];
  });
  const options = new Map(
    carried.map(({ part, answer }) => [
      part.id,
      answer.intervalSeconds === null ? wayOf(part.brief, answer.settings) : null,
    ]),
  );
  const before = new Map<string, FilmingOption>();
  return {
    schedule,
    gear,
    sheet,
    parts: carried.map(({ part, answer }): PlannedPart => {
      const option = options.get(part.id) ?? null;
      const last = before.get(part.camera.id);
      const changes =
        last !== undefined && option !== null && last.filter.ids.join() !== option.filter.ids.join();
      if (option) before.set(part.camera.id, option);
      const { mount } = part.brief;
      const cameraId = part.camera.id;
      const { resolution, frameRate } = answer.settings;
      const { kind, activity, ground } = mount;
      const shake = { of: 'shake' as const, mount: kind, activity, ground };
      const spreadOf = (figure: Figure): number | null =>
        part.brief.learned.find((one) => figureId(one.figure) === figureId(figure))?.spread ?? null;
      const other = carried.find(
        (one) =>
          one.part.camera.id === part.camera.id &&
          one.answer.intervalSeconds === null &&
          sheet.parts.get(one.part.id)?.preset !== sheet.parts.get(part.id)?.preset,
      );
      const own = ownSpread(part);
      const underSky = part.brief.light.kind === 'sun';
      return {
        part,
        answer,
        load: recordingLoad(part, answer),
        option,
        light: lightOverDelay(part, underSky ? own : 0),
        lightSpread: underSky ? 0 : own,
        shakeSpread: spreadOf(shake),
        shakeName: named(figureId(shake)),
        powerSpread: spreadOf({ of: 'power', cameraId, height: resolution.height, frameRate }),
        bitSpread: spreadOf({ of: 'bitRate', cameraId }),
        heatSpread: spreadOf({ of: 'heat', cameraId }),
        changesFrom: changes ? last.filter : null,
        otherOption:
          option && other
            ? wayOf(part.brief, { ...other.answer.settings, filter: answer.settings.filter })
            : null,
        wet: mount.activity === 'paddling' || mount.activity === 'surfing',
        names: {
          light: named(`light ${part.id}`),
          speed: named(`speed ${part.id}`),
          filter: named(`filter ${part.id}`),
          setup: named(`setup ${part.id}`),
          start: named(`start ${part.id}`),
          lens: named(`lens ${part.id}`),
        },
      };
    }),
  };
}

/** How far the light of a part may be off beyond what its day is, stops: under a sky that is cloud, which comes by the hour. */
function ownSpread({ brief }: DayPart): number {
  const { spreadStops } = lightRangeOf(brief.light, brief);
  // What the day as a whole is off by stands in each light's spread.
  return Math.sqrt(Math.max(0, spreadStops ** 2 - DAY_LIGHT_STOPS ** 2));
}

function lightOverDelay({ brief, fromMs, toMs }: DayPart, skyStops: number): LightOverDelay {
  const { light } = brief;
  if (light.kind !== 'sun') {
    const { evMin, evMax } = evRangeOf(light);
    return { stepMs: STEP_MINUTES * 60_000, evMin: [evMin], evMax: [evMax], cloudStops: [0] };
  }
  const instants = instantsOf(fromMs, toMs + MOST_MINUTES * 60_000, STEP_MINUTES * 60_000);
  const known = instants.map((atMs) => sunLightAt(light, atMs));
  const within = Math.max(1, Math.ceil((toMs - fromMs) / (STEP_MINUTES * 60_000)) + 1);
  const steps = Array.from({ length: MOST_MINUTES / STEP_MINUTES + 1 }, (_, at) =>
    known.slice(at, at + within),
  ).filter((run) => run.length > 0);
  return {
    stepMs: STEP_MINUTES * 60_000,
    evMin: steps.map((run) => Math.min(...run.map(({ evMin }) => evMin))),
    evMax: steps.map((run) => Math.max(...run.map(({ evMax }) => evMax))),
    cloudStops: steps.map((run) =>
      Math.hypot(
        skyStops,
        Math.max(
          ...run.map(
            ({ evLow, evHigh, evMin, evMax }) => (evHigh - evLow - (evMax - evMin)) / (2 * SPREADS_IN_RANGE),
          ),
        ),
      ),
    ),
  };
}

/** A series at a delay, straight between its steps. */
export function atDelay(series: readonly number[], delayMs: number, stepMs: number): number {
  const place = Math.min(series.length - 1, Math.max(0, delayMs / stepMs));
  const low = Math.floor(place);
  const high = Math.min(series.length - 1, low + 1);
  return item(series, low) + (place - low) * (item(series, high) - item(series, low));
}
