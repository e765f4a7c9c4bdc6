import { cameraBudget } from '../day/budget';
import type { CameraBudget } from '../day/budget';
import type { CameraProfile } from '../camera/profile';
import type { Schedule } from '../day/schedule';
import type { Drawn } from './drawn';
import { delayed, delaysOf, shifted } from './delays';
import { named } from './drawn';
import { atDelay } from './plan';
import type { Plan, PlannedPart } from './plan';
import type { Unknowns } from './unknowns';
import { livedThrough } from './way';

/** What can go wrong with a shot. */
export const FAILURES = ['over', 'under', 'smear', 'card', 'power', 'heat', 'late'] as const;
export type Failure = (typeof FAILURES)[number];

/** One day as it went. */
export interface LivedDay {
  parts: readonly LivedPart[];
  budgets: readonly CameraBudget[];
  everythingLasts: boolean;
  loss: number;
}

export interface LivedPart {
  id: string;
  delayMs: number;
  evMin: number;
  evMax: number;
  failed: ReadonlySet<Failure>;
  slips: readonly (keyof Unknowns['slips'])[];
  loss: number;
  inputs: Inputs;
}

/** What drove it, each in its own spread. */
export type Inputs = Record<(typeof INPUTS)[number], number>;
export const INPUTS = [
  'light',
  'cloud',
  'shake',
  'speed',
  'late',
  'air',
  'power',
  'heat',
  'bitRate',
  'slips',
] as const;
export type Input = (typeof INPUTS)[number];

/** A clip that is not there, or ends before its time, loses so much for all of it (start): a picture too dark to use. */
const LOST_CLIP = 4;
/** A clip begun late lacks so much of its action (start). */
const LATE_SHARE = 0.4;
/** Behind a drop on the lens a picture loses this (start). */
const WET_LOSS = 2;
/** So late, minutes, a shot's moment is gone (start): the others went on; and its sun, where its bright end fell by this. */
const LATE_MINUTES = 45;
const SUN_GONE_STOPS = 1.5;
/** Cloud of an hour goes with that of the hour before (start). */
const CLOUD_CARRIED = 0.7;
const HOUR_MS = 3_600_000;

const DAY_LIGHT = named('light of the day');
const AIR = named('air');

/** Lives through one day, the plan held fixed. */
export function liveThrough(plan: Plan, drawn: Drawn, unknowns: Unknowns): LivedDay {
  const { schedule, parts, gear } = plan;
  const delays = delaysOf(schedule, drawn, unknowns);
  const air = drawn.normal(AIR);
  const day = delayed(schedule, delays, air * unknowns.airC);
  const worn = new Map<string, PlannedPart['changesFrom']>();
  const lived = parts.map((planned) =>
    filmed(planned, delays.get(planned.part.entryId) ?? 0, worn, { drawn, unknowns, air, schedule }),
  );
  const cameras = new Map(parts.map(({ part }) => [part.camera.id, part.camera]));
  const budgets = [...cameras.values()].map((camera) =>
    budgetOf(camera, parts, delays, day, gear, drawn, unknowns),
  );
  const byCamera = new Map(budgets.map((one) => [one.cameraId, one]));
  const ended = lived.map((one, at): LivedPart => {
    const planned = parts[at];
    const budget = planned && byCamera.get(planned.part.camera.id);
    return planned && budget ? withOuts(one, planned, budget) : one;
  });
  return {
    parts: ended,
    budgets,
    everythingLasts: budgets.every(({ card, power, heat }) => !card.out && !power.out && !heat.out),
    loss: ended.reduce((sum, { loss }) => sum + loss, 0),
  };
}

interface Around {
  drawn: Drawn;
  unknowns: Unknowns;
  air: number;
  schedule: Schedule;
}

function filmed(
  planned: PlannedPart,
  delayMs: number,
  worn: Map<string, PlannedPart['changesFrom']>,
  { drawn, unknowns, air, schedule }: Around,
): LivedPart {
  const { part, way, light, names, otherWay } = planned;
  const { slips } = unknowns;
  const happened: (keyof Unknowns['slips'])[] = [];
  const slipped = (name: number, slip: keyof Unknowns['slips'], may: boolean): boolean => {
    const did = may && slips[slip] > 0 && drawn.even(name) < slips[slip];
    if (did) happened.push(slip);
    return did;
  };
  const cloud = cloudAt(drawn, (part.fromMs + delayMs - schedule.fromMs) / HOUR_MS);
  const cloudStops = unknowns.cloudTimes * atDelay(light.cloudStops, delayMs, light.stepMs);
  const ownLight = drawn.normal(names.light);
  const dayLight = drawn.normal(DAY_LIGHT);
  const offStops =
    unknowns.dayLightStops * dayLight +
    unknowns.lightTimes * planned.lightSpread * ownLight +
    cloudStops * cloud;
  const evMin = atDelay(light.evMin, delayMs, light.stepMs) + offStops;
  const evMax = atDelay(light.evMax, delayMs, light.stepMs) + offStops;
  const shake = drawn.normal(planned.shakeName);
  const speed = drawn.normal(names.speed);
  const lived = {
    evMin,
    evMax,
    shake: shake * (unknowns.shake === 0 ? 0 : (planned.shakeSpread ?? unknowns.shake)),
    speed: speed * unknowns.speed,
  };
  const failed = new Set<Failure>();
  let loss = 0;
  if (way) {
    // A change that was forgotten stays forgotten until the next.
    const forgot = slipped(names.filter, 'forgottenFilter', planned.changesFrom !== null);
    const on = forgot ? (worn.get(part.camera.id) ?? planned.changesFrom) : null;
    worn.set(part.camera.id, on ?? way.filter);
    const used = slipped(names.setup, 'wrongSetup', otherWay !== null) ? (otherWay ?? way) : way;
    const outcome = livedThrough(used, lived, on ?? way.filter);
    loss = outcome.loss;
    for (const code of ['over', 'under', 'smear'] as const) if (outcome[code]) failed.add(code);
  }
  if (slipped(names.start, 'startedLate', way !== null)) {
    failed.add('late');
    loss += LATE_SHARE * LOST_CLIP;
  }
  if (slipped(names.lens, 'wetLens', planned.wet && way !== null)) loss += WET_LOSS;
  const fell = (light.evMax[0] ?? evMax) - atDelay(light.evMax, delayMs, light.stepMs);
  if (delayMs > LATE_MINUTES * 60_000 || fell > SUN_GONE_STOPS) failed.add('late');
  return {
    id: part.id,
    delayMs,
    evMin,
    evMax,
    failed,
    slips: happened,
    loss,
    inputs: {
      light: offStops - cloudStops * cloud,
      cloud: cloudStops * cloud,
      shake: lived.shake,
      speed: lived.speed,
      late: delayMs,
      air,
      power: drawn.normal(named(`power ${part.camera.id}`)),
      heat: drawn.normal(named(`heat ${part.camera.id}`)),
      bitRate: drawn.normal(named(`bits ${part.camera.id}`)),
      slips: happened.length,
    },
  };
}

/** Cloud of an hour, in spreads: each goes on from the one before. */
function cloudAt(drawn: Drawn, hour: number): number {
  const whole = Math.max(0, Math.min(47, Math.floor(hour)));
  let cloud = drawn.normal(CLOUD);
  const fresh = Math.sqrt(1 - CLOUD_CARRIED ** 2);
  for (let at = 1; at <= whole; at++) cloud = CLOUD_CARRIED * cloud + fresh * drawn.normal(CLOUD + at);
  return cloud;
}
const CLOUD = named('cloud');

function budgetOf(
  camera: CameraProfile,
  parts: readonly PlannedPart[],
  delays: ReadonlyMap<string, number>,
  day: Pick<Schedule, 'pauses' | 'air' | 'fromMs'>,
  gear: Plan['gear'],
  drawn: Drawn,
  unknowns: Unknowns,
): CameraBudget {
  const times = (name: string, octaves: number): number =>
    octaves === 0 ? 1 : 2 ** (octaves * drawn.normal(named(`${name} ${camera.id}`)));
  const [power, bits, heat] = [
    times('power', unknowns.power),
    times('bits', unknowns.bitRate),
    times('heat', unknowns.heat),
  ];
  const hot = { ...camera, heat: { ...camera.heat, stillAirKPerW: camera.heat.stillAirKPerW * heat } };
  const recorded = parts
    .filter(({ part }) => part.camera.id === camera.id)
    .map(({ part, answer, load }) => ({
      part: shifted(part, delays.get(part.entryId) ?? 0),
      answer,
      load: {
        ...load,
        powerW: load.powerW * power,
        bytesPerSecond: load.bytesPerSecond * bits,
        writesMBps: load.writesMBps * bits,
        chapterSeconds: load.chapterSeconds / bits,
      },
    }));
  return cameraBudget(
    hot,
    recorded,
    day,
    gear.find(({ cameraId }) => cameraId === camera.id),
  );
}

/** What ran out while a part was filmed, or had run out before it and was not mended. */
function withOuts(
  lived: LivedPart,
  { part }: PlannedPart,
  { card, power, heat, acts }: CameraBudget,
): LivedPart {
  const outs = { card: card.out, power: power.out, heat: heat.out };
  const fromMs = part.fromMs + lived.delayMs;
  const toMs = part.toMs + lived.delayMs;
  const failed = new Set(lived.failed);
  let lost = 0;
  for (const what of ['card', 'power', 'heat'] as const) {
    const out = outs[what];
    if (!out || out.atMs >= toMs) continue;
    const mends = what === 'card' ? ['card'] : ['cell', 'charge'];
    const mended =
      what === 'heat' ||
      acts.some((act) => mends.includes(act.what) && act.atMs > out.atMs && act.atMs <= fromMs);
    if (out.partId !== part.id && mended) continue;
    failed.add(what);
    lost = Math.max(lost, out.atMs <= fromMs ? 1 : (toMs - out.atMs) / Math.max(1, toMs - fromMs));
  }
  return lost === 0 && failed.size === lived.failed.size
    ? lived
    : { ...lived, failed, loss: lived.loss + lost * LOST_CLIP };
}
