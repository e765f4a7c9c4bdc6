import { briefOf } from '../brief/brief';
import type { Brief } from '../brief/brief';
import type { DrillKind } from '../vocabulary/drills';
import { ShotSchema } from '../records/shot';
import type { ShotInput } from '../records/shot';
import { FILE_VERSION } from '../schema/versions';
import { SeededRandom, named } from '../units/seededRandom';
import { item } from '../units/items';
import { READY_SCHOOLS } from '../vocabulary/schools';
import type { OwnWeights } from '../vocabulary/schools';
import { askLight, askStops } from './byEye';
import { askLasts, askSchool } from './byKnowing';
import { LEAST_CHOICES } from './drill';
import type { DrillQuestion, Drill } from './drill';
import { askHeld } from './held';

type Made = Omit<ShotInput, 'kind' | 'version'>;

/** What can be carried where, and how: every line a run that somebody might film alone. */
const RUNS: readonly NonNullable<Made['mount']>[] = [
  { kind: 'helmet', activity: 'riding', ground: 'rough' },
  { kind: 'helmet', activity: 'running', ground: 'mixed' },
  { kind: 'chest', activity: 'riding', ground: 'mixed' },
  { kind: 'chest', activity: 'paddling', ground: 'mixed' },
  { kind: 'chest', activity: 'running', ground: 'rough' },
  { kind: 'handlebar', activity: 'riding', ground: 'mixed' },
  { kind: 'hull', activity: 'paddling', ground: 'smooth' },
  { kind: 'pole', activity: 'skating', ground: 'smooth' },
  { kind: 'backPole', activity: 'riding', ground: 'mixed' },
  { kind: 'vehicleOutside', activity: 'driving', ground: 'mixed' },
  { kind: 'hand', activity: 'walking', ground: 'mixed' },
  { kind: 'tripod', activity: 'playing' },
];
/** Where a view is chosen for somebody at a distance. */
const STANDS: readonly NonNullable<Made['mount']>[] = [
  { kind: 'tripod', activity: 'playing' },
  { kind: 'tripod', activity: 'riding' },
  { kind: 'groundStand', activity: 'skating' },
  { kind: 'hand', activity: 'walking', ground: 'smooth' },
  { kind: 'chest', activity: 'riding', ground: 'mixed' },
];
/** EV100 of runs, and how many stops they cross; nobody asks for a filter where it is dark. */
const DARKEST_EV = 6;
const FILTERS_FROM_EV = 10;
const BRIGHTEST_EV = 15;
const MOST_CROSSED = 4;
const SLOWDOWNS = { rate: [2, 2.5, 4, 5, 8], lasts: [1, 2, 4] } as const;
const DISTANCES_M = [0.7, 1.5, 3, 6, 10, 15, 25, 40] as const;
const CARDS_GB = [32, 64, 128, 256] as const;
const AIR_C = [-10, 0, 10, 20] as const;
const WHOLE_SHUTTERS = [1 / 50, 1 / 100, 1 / 200, 1 / 400] as const;
const ND_STOPS = [1, 2, 3, 4, 5, 6] as const;
/** Draws of which none asks anything are passed over; so many in a row would be a fault of the draw itself. */
const MOST_PASSED = 200;

/** The drill of a kind with this number: the same number gives the same drill. Filmed by the person's own eye where there is one. */
export function drawnDrill(kind: DrillKind, number: number, mine: OwnWeights | null): Drill {
  for (let again = 0; again < MOST_PASSED; again++) {
    const draw = drawing(kind, number * MOST_PASSED + again);
    const brief = madeBrief(kind, draw, mine);
    const asked = ask(kind, brief, draw);
    if (asked) return { kind, from: 'drawn', id: null, name: null, brief, ...asked };
  }
  throw new Error(`${String(MOST_PASSED)} draws for "${kind}" from number ${String(number)} on ask nothing`);
}

/** What one number draws, each draw by its name. */
export interface Draw {
  of: <T>(name: string, list: readonly T[]) => T;
  between: (name: string, from: number, to: number) => number;
  whole: (name: string, from: number, to: number) => number;
}

export function drawing(kind: DrillKind, number: number): Draw {
  const drawn = new SeededRandom(named(kind), number);
  const even = (name: string): number => drawn.even(named(name));
  const whole = (name: string, from: number, to: number): number =>
    Math.min(to, from + Math.floor(even(name) * (to - from + 1)));
  return {
    of: (name, list) => item(list, whole(name, 0, list.length - 1)),
    between: (name, from, to) => from + even(name) * (to - from),
    whole,
  };
}

/** What a kind asks of a brief, as the draw has it; a shot of one's own has its own card. */
export function ask(kind: DrillKind, brief: Brief, draw: Draw, own = false): DrillQuestion | null {
  const before = draw.whole('before', 0, LEAST_CHOICES + 1);
  switch (kind) {
    case 'light':
      return askLight(brief, draw.whole('ev', DARKEST_EV, BRIGHTEST_EV), before, draw.between('off', 0, 1));
    case 'stops':
      return askStops(
        brief,
        { stops: draw.of('stops', ND_STOPS), seconds: draw.of('seconds', WHOLE_SHUTTERS) },
        draw.of('by', [-3, -2, -1, 1, 2, 3]),
      );
    case 'lasts':
      return askLasts(
        brief,
        {
          cardGb: own ? brief.limits.cardGb : draw.of('card', CARDS_GB),
          airC: draw.of('air', AIR_C),
        },
        before,
      );
    case 'school':
      return askSchool(brief, draw.whole('school', 0, READY_SCHOOLS.length - 1), draw.whole('turn', 0, 5));
    default:
      return askHeld(kind, brief, before);
  }
}

function madeBrief(kind: DrillKind, draw: Draw, mine: OwnWeights | null): Brief {
  const evMax =
    Math.round(2 * draw.between('bright', kind === 'filter' ? FILTERS_FROM_EV : DARKEST_EV, BRIGHTEST_EV)) /
    2;
  const crossed = Math.round(2 * draw.between('crossed', 0, MOST_CROSSED)) / 2;
  const made: Made = {
    mount: draw.of('run', kind === 'view' ? STANDS : RUNS),
    look: mine ? { school: 'mine', mine } : {},
    light: { kind: 'range', evMin: Math.max(DARKEST_EV - 2, evMax - crossed), evMax },
    limits: { lamps: 'none' },
    filters: ND_STOPS.map((stops) => ({ id: `nd${String(2 ** stops)}`, kind: 'nd', stops })),
    ...(kind === 'rate' || kind === 'lasts'
      ? { playback: { slowdown: draw.of<number>('slowed', SLOWDOWNS[kind]) } }
      : {}),
    ...(kind === 'view'
      ? { motion: { subject: { speedMps: 3, distanceM: draw.of('distance', DISTANCES_M), sizeM: 1.8 } } }
      : {}),
  };
  return briefOf(ShotSchema.parse({ kind: 'lynxeye/shot', version: FILE_VERSION, ...made })).brief;
}
