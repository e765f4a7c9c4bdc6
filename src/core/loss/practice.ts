import type { SchoolId } from '../vocabulary/schools';
import type { Pins } from '../records/settings';
import type { Term } from './table';

/**
 * Cases of practice: on a shot of `tenShots.ts`, under a school, the first way is better than the second, all else chosen
 * anew. `slopes` names what of the table settles it, as term.slope, or wish.code for what the school wishes.
 */
interface PracticeCase {
  shot: string;
  school: SchoolId;
  better: Pins;
  worse: Pins;
  because: string;
  slopes: readonly string[];
}

/** The term that a slope belongs to. */
export function termOfSlope(slope: string): Term {
  return slope.split('.')[0] as Term;
}

const s = (denominator: number): Pins => ({ shutterSeconds: 1 / denominator });
const glass = (factor: number): Pins => ({
  filter:
    factor === 0 ? { ids: [], stops: 0 } : { ids: [`nd${factor}`], stops: Math.round(Math.log2(factor)) },
});
const iso = (min: number, max: number): Pins => ({ iso: { min, max } });
const fps = (frameRate: number): Pins => ({ frameRate });
const held = (stabilization: NonNullable<Pins['stabilization']>): Pins => ({ stabilization });
const FIXED: Pins = { shutterMode: 'fixed' };
const AUTO: Pins = { shutterMode: 'auto' };

const on =
  (shot: string) =>
  (school: SchoolId, better: Pins, worse: Pins, because: string, ...slopes: string[]): PracticeCase => ({
    shot,
    school,
    better,
    worse,
    because,
    slopes,
  });

const trail = on('Trail, rough, sun to light wood');
const road = on('Road, smooth, open sun, empty bag');
const weir = on('Tripod at the weir, open sun');
const bare = on('Tripod in the sun, empty bag');
const gorge = on('Gorge run by kayak, shade to white water');
const dusk = on('Dusk ride');
const climb = on('Climb, slowed four times, bright cloud');
const hall = on('Sports hall, 50 Hz');
const drone = on('Drone, full grade, open sun');
const wood = on('Run through the wood by phone camera');

export const PRACTICE_CASES: readonly PracticeCase[] = [
  trail('weigh', s(200), s(50), 'a rough helmet smears four times the tolerance at 180°', 'smear.perOctave'),
  trail(
    'weigh',
    { ...s(200), ...glass(16) },
    { ...s(200), ...glass(0) },
    'without glass the open stretches are white',
    'over.pastGuard',
  ),
  trail(
    'weigh',
    { ...s(200), ...glass(16) },
    { ...s(200), ...glass(64) },
    'two stops more take the wood',
    'under.perStop',
  ),
  trail(
    'weigh',
    AUTO,
    FIXED,
    'four stops are one more than ISO takes up under a fixed shutter',
    'under.perStop',
  ),
  trail('weigh', held('strong'), held('off'), 'the picture swings with every root', 'steadiness.perOctave'),
  trail(
    'weigh',
    iso(100, 800),
    { ...iso(100, 100), ...FIXED },
    'without the window the wood is black',
    'under.perStop',
  ),
  trail('weigh', fps(25), fps(60), 'sixty into twenty-five hitches at every pan', 'cadence.uneven'),
  trail('weigh', fps(25), fps(50), 'every second frame is filmed for nothing', 'cadence.dropped'),
  trail('weigh', fps(25), fps(24), 'one frame in twenty-five is shown twice', 'cadence.uneven'),
  trail('film', s(50), s(200), 'this school films for the look of movement', 'wish.angle'),
  trail('film', held('off'), held('strong'), 'the movement is the picture', 'wish.stabilization'),
  trail(
    'film',
    glass(64),
    glass(8),
    'under a weak filter the sun takes the shutter far below 180°',
    'angle.short',
  ),
  trail(
    'film',
    { ...iso(100, 800), ...FIXED },
    { ...iso(100, 200), ...FIXED },
    'a narrow window is a wish, the wood is the picture',
    'under.perStop',
  ),
  trail('crisp', s(200), s(100), 'the floor is 1/196 s', 'smear.perOctave'),
  trail(
    'crisp',
    held('strong'),
    held('off'),
    'a short shutter is for a still picture',
    'steadiness.perOctave',
  ),
  trail(
    'crisp',
    { ...s(200), ...glass(16) },
    { ...s(200), ...glass(0) },
    'even this school puts glass on before the sky goes',
    'over.pastGuard',
  ),
  drone('middle', s(80), s(320), '112° is its point', 'wish.angle'),
  weir('middle', FIXED, AUTO, 'set once, the window does the rest', 'drift.shutterFree'),
  trail('post', held('off'), held('strong'), 'steadied twice it warps', 'wish.stabilization'),
  trail('post', s(200), s(50), 'what is smeared no edit steadies', 'smear.perOctave'),
  trail('handsOff', AUTO, FIXED, 'nobody can reach the camera between sun and wood', 'wish.shutterMode'),
  trail('handsOff', glass(0), glass(16), 'nothing on the lens to forget', 'wish.noFilter'),

  road('film', fps(25), fps(200), 'eight frames filmed for each shown buy no 180°', 'cadence.dropped'),
  road('film', s(2000), s(50), 'six stops white are no look', 'over.lost'),
  road('middle', s(3200), s(100), 'five stops white for an angle nobody sees then', 'over.lost'),
  road('weigh', s(2000), s(200), 'the sky before the look', 'over.pastGuard'),
  road('crisp', s(2000), s(200), 'without glass the floor is too long for the sun', 'over.pastGuard'),
  road('post', s(2500), s(60), 'white is not brought back in the edit', 'over.lost'),
  road('handsOff', AUTO, FIXED, 'that is what this school is', 'wish.shutterMode'),
  road(
    'weigh',
    { ...s(2000), ...iso(100, 200) },
    { ...s(2000), ...iso(400, 800) },
    'a lowest ISO of 400 throws two stops away',
    'over.pastGuard',
  ),
  road('weigh', held('strong'), held('off'), 'even a smooth road swings a helmet', 'steadiness.perOctave'),
  road(
    'weigh',
    { colour: 'standard' },
    { colour: 'log' },
    'a light grade gains nothing from log in full sun without glass',
    'colour.logLightly',
  ),

  weir('film', glass(64), glass(8), 'three stops too much for 180° on the water', 'angle.short'),
  weir(
    'film',
    { ...s(50), ...glass(64) },
    { ...s(100), ...glass(64) },
    'water at 90° is no longer silk, and nothing is won',
    'wish.angle',
  ),
  weir('weigh', held('off'), held('standard'), 'a hold on a tripod only hunts', 'steadiness.idle'),
  weir('crisp', held('off'), held('strong'), 'there is nothing to hold', 'steadiness.idle'),
  weir('middle', held('off'), held('standard'), 'there is nothing to hold', 'steadiness.idle'),
  weir('weigh', { ...s(50), ...glass(64) }, { ...s(50), ...glass(0) }, 'six stops white', 'over.lost'),
  weir('film', FIXED, AUTO, 'a shutter that runs is no look at all', 'wish.shutterMode'),
  weir(
    'weigh',
    { view: { id: 'wide' } },
    { view: { id: 'widest' } },
    'a standing camera needs no bent edges',
    'viewWide.bent',
  ),
  weir('handsOff', held('off'), held('strong'), 'there is nothing to hold', 'steadiness.idle'),

  bare('film', s(2000), s(50), 'the look yields to the sun, not the picture to the look', 'over.lost'),
  bare('film', fps(25), fps(100), 'a faster rate is no filter', 'cadence.dropped'),
  bare('weigh', s(1000), s(100), 'four stops white', 'over.pastGuard'),
  bare('middle', s(1000), s(100), 'four stops white', 'over.pastGuard'),
  bare('crisp', s(1000), s(100), 'four stops white', 'over.pastGuard'),
  bare('handsOff', AUTO, FIXED, 'that is what this school is', 'wish.shutterMode'),

  gorge(
    'weigh',
    iso(100, 800),
    { ...iso(100, 100), ...FIXED },
    'five stops of light want a window',
    'under.perStop',
  ),
  gorge(
    'weigh',
    { ...s(200), ...glass(16) },
    { ...s(200), ...glass(0) },
    'white water turns to paper',
    'over.pastGuard',
  ),
  gorge(
    'weigh',
    s(200),
    s(1000),
    'five times shorter is choppy water, and glass could have been left off',
    'angle.short',
  ),
  gorge('handsOff', AUTO, FIXED, 'light that changes by the bend', 'wish.shutterMode'),
  gorge('crisp', held('strong'), held('off'), 'a hull never stands still', 'steadiness.perOctave'),
  gorge(
    'film',
    glass(32),
    glass(0),
    'with the strongest there is the shutter stays nearest to 180°',
    'angle.short',
  ),
  weir('middle', s(80), s(320), '112° is its point', 'wish.angle'),
  gorge(
    'film',
    { ...iso(100, 800), ...FIXED },
    { ...iso(100, 100), ...FIXED },
    'a fixed ISO leaves the gorge black',
    'under.crushed',
  ),
  gorge('weigh', fps(25), fps(30), 'thirty into twenty-five hitches', 'cadence.uneven'),

  dusk('crisp', s(80), s(200), 'three stops dark is no picture, however sharp', 'under.black'),
  dusk('post', s(80), s(250), 'nor can the edit lift it', 'under.black'),
  dusk('weigh', s(50), s(200), 'some smear before a black run', 'under.black'),
  dusk('film', iso(100, 800), iso(100, 200), 'the headroom is there to be used', 'under.black'),
  dusk('film', s(50), s(25), 'a stop more is not worth the drag of 360°', 'wish.angle'),
  dusk('weigh', glass(0), glass(8), 'no glass at dusk', 'under.black'),
  dusk('weigh', iso(100, 800), iso(100, 400), 'grain before black', 'under.perStop'),
  dusk('handsOff', glass(0), glass(8), 'no glass at dusk', 'under.black'),
  dusk('crisp', glass(0), glass(8), 'no glass at dusk', 'under.black'),
  dusk(
    'weigh',
    { colour: 'standard' },
    { colour: 'log' },
    'log for a light grade wins nothing here',
    'colour.logLightly',
  ),

  climb('weigh', fps(100), fps(50), 'twelve different frames a second are broken', 'stutter.seen'),
  climb('weigh', fps(100), fps(25), 'six different frames a second are a slide show', 'stutter.broken'),
  climb('weigh', fps(100), fps(120), 'frames drop by turns', 'cadence.uneven'),
  climb('film', fps(100), fps(50), 'slow motion first', 'stutter.broken'),
  climb('crisp', held('strong'), held('off'), 'every pull swings the chest', 'steadiness.perOctave'),
  climb(
    'weigh',
    { ...s(200), ...glass(4) },
    { ...s(200), ...glass(0) },
    'two stops over at 180° of a hundred frames',
    'over.pastGuard',
  ),
  climb('handsOff', fps(100), fps(25), 'slow motion first', 'stutter.broken'),
  climb('weigh', fps(100), fps(200), 'twice the frames, half of them never shown', 'cadence.dropped'),

  hall('weigh', s(50), s(200), 'two stops of grain or shade for nothing', 'noise.perStop'),
  hall('weigh', iso(100, 1600), iso(100, 400), 'grain before a dark hall', 'under.perStop'),
  hall('film', s(50), s(100), 'its look, and steady under these lamps', 'wish.angle'),
  hall('crisp', held('strong'), held('off'), 'play swings the chest', 'steadiness.perOctave'),
  hall('handsOff', AUTO, FIXED, 'that is what this school is', 'wish.shutterMode'),
  hall(
    'weigh',
    fps(25),
    fps(24),
    'twenty-four repeats a frame and beats with the lamps',
    'cadence.uneven',
    'flicker.wholePulse',
  ),
  hall('weigh', fps(25), fps(60), 'lamps at a hundred pulses beat against sixty', 'cadence.uneven'),

  drone(
    'weigh',
    { colour: 'log' },
    { colour: 'standard' },
    'a full grade bands a standard sky',
    'colour.standardFully',
  ),
  drone(
    'weigh',
    { colour: 'log', ...glass(128) },
    { colour: 'log', ...glass(16) },
    'log starts two stops higher',
    'angle.short',
  ),
  drone(
    'film',
    { ...s(50), ...glass(256) },
    { ...s(200), ...glass(64) },
    'the bag holds the look',
    'wish.angle',
  ),
  drone(
    'film',
    { colour: 'log' },
    { colour: 'standard' },
    'a full grade bands a standard sky',
    'colour.standardFully',
  ),
  drone('weigh', fps(25), fps(50), 'every second frame is filmed for nothing', 'cadence.dropped'),
  drone('weigh', FIXED, AUTO, 'the light stands still', 'drift.shutterFree'),

  wood('weigh', held('standard'), held('off'), 'a running hand swings', 'steadiness.perOctave'),
  wood('weigh', iso(50, 800), iso(50, 50), 'the dense wood needs the window', 'under.perStop'),
  wood('film', held('off'), held('standard'), 'the movement is the picture', 'wish.stabilization'),
  wood('weigh', glass(0), glass(4), 'two stops less in a wood', 'under.perStop'),
  wood('handsOff', glass(0), glass(4), 'nothing on the lens', 'wish.noFilter'),
  wood(
    'crisp',
    { ...s(125), ...iso(50, 800) },
    { ...s(30), ...iso(50, 800) },
    'a running hand smears',
    'smear.perOctave',
  ),
];
