import { over } from '../../loss/terms/over';
import { under } from '../../loss/terms/under';
import { worthAWarning } from '../../loss/table';
import { remediesFor } from '../remedies';
import type { Remedy } from '../remedies';
import { sunInShot } from '../sunInShot';
import type { SunInShot } from '../sunInShot';
import { darkShareOf } from '../../light/lightRange';
import { clockOf } from '../../light/sun/clock';
import { once } from '../../units/once';
import { wearable } from '../../filters/bag';
import type { GlareOf } from '../../loss/glare';
import { BLUEST_K, waterPathM } from '../../light/kelvin';
import { lampsIn } from '../../light/lamps';
import { colourLeft } from '../../light/underwater';
import { faceLight } from '../../light/face';
import { deliveredFrame, drawnBy } from '../../loss/frame';
import { skyAboveStops, skyShareOf } from '../../loss/picture';
import { offsetIn } from '../../search/settingsOf';
import type { Colour } from '../../vocabulary/modes';
import { CAUTION_FROM, severityOf, warning } from './warning';

/** Light against the window. Stops, EV100. */

const NOTED_STOPS = 0.05;
/** Of the run with the sun in the frame: from here worth planning around; once or beside it, worth a word. */
const FLARE_CAUTION_SHARE = 0.2;

const overWarning = warning<
  'over',
  { overStops: number; guardStops: number; evMax: number; remedies: Remedy[] }
>('over', ({ space, candidate, loss, exposure }) => {
  if (exposure.overStops <= NOTED_STOPS) return null;
  const { guardStops } = candidate.colour.sensor;
  const past = exposure.overStops > guardStops;
  // Solved when they are asked for: many answers are compared for one that is read.
  const remedies = once(() => (past ? remediesFor(space, candidate, exposure, over.remedies) : []));
  return {
    severity: past ? severityOf(Math.max(CAUTION_FROM, loss.over)) : 'note',
    overStops: exposure.overStops,
    guardStops,
    evMax: space.light.evMax,
    get remedies() {
      return remedies();
    },
  };
});

interface Dark {
  underStops: number;
  evMin: number;
  /** Share of the run near that end, 0…1, the time that is, and what being dark there costs, weighed. */
  share: number;
  seconds: number;
  costs: number;
  remedies: Remedy[];
}

const underWarning = warning<'under', Dark>('under', ({ space, candidate, loss, exposure }) => {
  if (exposure.underStops <= NOTED_STOPS) return null;
  const remedies = once(() => remediesFor(space, candidate, exposure, under.remedies));
  return {
    severity: exposure.underStops >= 1 ? severityOf(Math.max(CAUTION_FROM, loss.under)) : 'note',
    underStops: exposure.underStops,
    evMin: space.light.evMin,
    share: space.light.evMax > space.light.evMin ? darkShareOf(space.brief.light, space.brief.mount.kind) : 1,
    seconds: space.brief.limits.recordSeconds,
    costs: space.school.weights.under * loss.under,
    get remedies() {
      return remedies();
    },
  };
});

const noise = warning<'noise', { isoUsed: number; stopsAboveBase: number; filterStops: number }>(
  'noise',
  ({ candidate, loss, exposure }) => {
    if (!worthAWarning('noise', loss)) return null;
    const isoUsed = candidate.iso.min * 2 ** exposure.darkIsoStops;
    return {
      severity: severityOf(loss.noise),
      isoUsed,
      stopsAboveBase: Math.log2(isoUsed / 100) - candidate.colour.sensor.referenceLog,
      filterStops: candidate.filter.stops,
    };
  },
);

const flare = warning<'flare', { sun: SunInShot; zone: string | undefined }>(
  'flare',
  ({ space, candidate }) => {
    const { brief } = space;
    const sun = sunInShot(brief, candidate.mode);
    if (!sun || brief.light.kind !== 'sun') return null;
    return {
      severity: sun.frameShare >= FLARE_CAUTION_SHARE ? 'caution' : 'note',
      sun,
      zone: clockOf(brief.light),
    };
  },
);

interface Backlit {
  of: 'face' | 'sky';
  /** How far the face lies below what is behind it, stops; and lux that a lamp would have to add on it. */
  gapStops: number;
  missingLux: number;
  /** The sky's share of this frame, 0…1, and how far it stands above what the colour keeps, stops. */
  skyShare: number;
  aboveStops: number;
  colour: Colour;
  offsetStops: number;
  floats: boolean;
}

/** White over so much of the frame is seen as a white sky; from there on it is what the picture is. */
const SKY_SEEN_SHARE = 0.15;
const SKY_SEEN_STOPS = 0.3;
/** A face that lies so far below is told as more than a note, stops. */
const FACE_CAUTION_STOPS = 2;

const backlight = warning<'backlight', Backlit>('backlight', (seen) => {
  const { space, candidate } = seen;
  const { brief, workings, light } = space;
  const { picture } = workings;
  const { colour, mode, shutter, iso } = candidate;
  const frame = deliveredFrame(brief, mode, space.school.steadiedInEdit);
  const skyShare = skyShareOf(brief, drawnBy(mode, frame), brief.playback.deliver);
  const aboveStops = skyAboveStops(picture, colour.id);
  const face = picture.faceStops > 0;
  if (!face && (skyShare < SKY_SEEN_SHARE || aboveStops < SKY_SEEN_STOPS)) return null;
  const behind = light.evMax + picture.faceStops;
  return {
    severity: face && picture.faceStops >= FACE_CAUTION_STOPS ? 'caution' : 'note',
    of: face ? 'face' : 'sky',
    gapStops: picture.faceStops,
    missingLux: face ? faceLight(light.evMax, behind).missingLux : 0,
    skyShare,
    aboveStops,
    colour: colour.id,
    offsetStops: offsetIn(space).stops,
    floats: shutter.spanStops > 0 || iso.spanStops > 0,
  };
});

interface Mirrored {
  of: GlareOf;
  /** What of it a polarizer leaves, 0…1. */
  left: number;
  /** Why none clears it: it is left in the bag, which costs less by so much; or none is there. */
  bag: 'none' | 'left';
  costsMore: number;
  uneven: boolean;
}

const MIRRORS_FROM = 0.3;

const glare = warning<'glare', Mirrored>('glare', ({ space, candidate }) => {
  const { of, bare, polarized, left, uneven } = space.workings.glare;
  if (of === null || of === 'pane' || bare < MIRRORS_FROM) return null;
  const polarizers = wearable(space.brief).filter(({ kind }) => kind === 'polarizer');
  if (polarizers.some(({ id }) => candidate.filter.ids.includes(id))) return null;
  // What none could clear is no advice.
  if (polarizers.length === 0 && polarized > bare - WORTH_GLASS) return null;
  return {
    severity: 'note',
    of,
    left,
    bag: polarizers.length > 0 ? 'left' : 'none',
    costsMore: polarized - bare,
    uneven,
  };
});
/** A jump from so high presses as so many metres of water more: ½ρv² is ρgh (start: a rock over a pool). */
const JUMP_M = 3;

const depth = warning<'depth', { depthM: number; sealedToM: number; jumpM: number }>('depth', ({ space }) => {
  const { light, camera } = space.brief;
  if (light.kind !== 'underwater') return null;
  const { depthM } = light;
  const { sealedToM } = camera;
  if (depthM + JUMP_M <= sealedToM) return null;
  return { severity: depthM > sealedToM ? 'stop' : 'caution', depthM, sealedToM, jumpM: JUMP_M };
});

interface ColourCast {
  pathM: number;
  /** What of the red is left, 0…1, and whether a lock brings it back. */
  redLeft: number;
  beyondLock: boolean;
  lamp: boolean;
}

/** Under that share of red a skin is grey (start). */
const RED_SEEN_BELOW = 0.7;

const colourCast = warning<'colourCast', ColourCast>('colourCast', ({ space }) => {
  const { light } = space.brief;
  if (light.kind !== 'underwater') return null;
  const pathM = waterPathM(light);
  const redLeft = colourLeft(650, pathM);
  if (redLeft > RED_SEEN_BELOW) return null;
  const { lockK } = space.workings.lightColour;
  const beyondLock = lockK >= BLUEST_K;
  return {
    severity: beyondLock ? 'caution' : 'note',
    pathM,
    redLeft,
    beyondLock,
    lamp: lampsIn(light) !== 'none',
  };
});

/** A gain that is worth a filter of its own, loss units (start). */
const WORTH_GLASS = 0.2;

export const EXPOSURE_WARNINGS = [
  overWarning,
  underWarning,
  noise,
  backlight,
  glare,
  flare,
  depth,
  colourCast,
] as const;
