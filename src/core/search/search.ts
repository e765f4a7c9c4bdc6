import type { Encoding, Mode } from '../camera/modeTable';
import type { FilterSetting } from '../filters/kit';
import type { ShutterSetting } from '../loss/exposure';
import type { MotionFacts, MotionFigures } from '../loss/movement';
import type { School } from '../loss/schools';
import { FILE_TERMS, FRAME_TERMS, MOTION_TERMS, RATE_TERMS, weighedSum } from '../loss/table';
import { anglePrice, shakeFloorPrice, stabilizationPrice } from '../loss/wishes';
import { bestFilter, runningPlans } from './exposurePlans';
import type { ExposurePlan } from './exposurePlans';
import { encodingLosses, figuresOf, frameLosses } from './candidate';
import type { Candidate } from './candidate';
import type { ColourSpace, Space } from './space';

/**
 * The least loss of a space, exactly, without visiting most of it. In each colour the score splits in three:
 *
 *   score = M(colour, mode, encoding) + S(motion group, shutter used) + E(colour, shutter, filter, ISO)
 *
 * each with the prices of the wishes that it alone breaks. Modes of one motion group differ only in M, so the best of
 * each stands for all. E knows nothing of the mode, so for each fixed shutter the best filter and ISO are found once; for
 * an automatic one, once per filter, since the filter decides which shutter is used. Since S ≥ 0, M + E is a bound: frame
 * rates and groups in order of M, and exposures in order of E, are left as soon as the bound passes the best so far; and
 * what one colour reached bounds the next.
 */
export interface Found {
  candidate: Candidate;
  score: number;
}

interface Family {
  frameRate: number;
  modes: Mode[];
  loss: number;
  /** By the colours that share them; `null` for none below the limit. */
  frames: Map<string, Frame | null>;
}

interface Group {
  mode: Mode;
  encoding: Encoding;
  loss: number;
  figures: MotionFigures;
}

interface Best {
  colour: ColourSpace;
  group: Group;
  plan: ExposurePlan;
  score: number;
}

/** What searches of one space under different filters share: M knows nothing of the filter. */
export interface SharedFrames {
  /** Only frames below this are kept; an answer that is not is looked for anew. */
  limit: number;
  families: readonly Family[];
}

export function sharedFrames(space: Space, limit: number): SharedFrames {
  return { limit, families: familiesOf(space) };
}

/** The best candidate; `null` for an empty space. Ties go to the earlier mode and the wider ISO window. */
export function search(whole: Space, shared?: SharedFrames): Found | null {
  const space = { ...whole, filters: undominated(whole.filters) };
  if (shared) {
    const best = bestIn(space, shared, shared.limit);
    if (best && best.score < shared.limit) return foundOf(best);
  }
  const best = bestIn(space, null, Infinity);
  return best && foundOf(best);
}

/** The best candidate, if it loses less than this; most of what does not is never looked at. */
export function searchBelow(whole: Space, limit: number): Found | null {
  const best = bestIn({ ...whole, filters: undominated(whole.filters) }, null, limit);
  return best && best.score < limit ? foundOf(best) : null;
}

function bestIn(space: Space, shared: SharedFrames | null, limit: number): Best | null {
  const frames = shared ?? sharedFrames(space, Infinity);
  let best: Best | null = null;
  for (const colour of space.colours) {
    const plans: Plans = { fixed: new Map(), running: new Map() };
    for (const family of frames.families) {
      const beat: number = best?.score ?? limit;
      if (family.loss + colour.loss + colour.grain >= beat) break;
      const frame = frameOf(space, colour, family, shared ? shared.limit : beat);
      if (!frame || frame.least + colour.loss + colour.grain >= beat) continue;
      // Fixed shutters first: few, and their best rules out most of the automatic ones unseen.
      best = bestHeld(space, colour, frame, plans, best, limit);
      best = bestRunning(space, colour, frame, plans, best, limit);
    }
  }
  return best;
}

/** The groups of one frame rate, what no shutter can undercut in any of them, and the least of M, colour left out. */
interface Frame {
  groups: readonly Group[];
  kindest: MotionFigures;
  least: number;
  /** Fixed shutters with what they do to movement, the kindest first: that needs no exposure. */
  held: readonly { shutter: ShutterSetting; moved: number }[];
  running: readonly ShutterSetting[];
}

/** Exposures of one colour by longest shutter, each looked for once, below the limit that mattered then. */
interface Plans {
  fixed: Map<number, { below: number; plan: ExposurePlan | null }>;
  running: Map<number, { below: number; plans: readonly ExposurePlan[] }>;
}

function foundOf({ colour, group, plan, score }: Best): Found {
  const { mode, encoding } = group;
  const { shutter, filter, iso } = plan;
  return { candidate: { mode, encoding, colour, shutter, filter, iso }, score };
}

/** Of filters that take the same stops only the one that loses least can win: a variable one set to 3 stops, or ND8. */
function undominated(filters: readonly FilterSetting[]): readonly FilterSetting[] {
  const least = new Map<number, FilterSetting>();
  for (const filter of filters) {
    const known = least.get(filter.stops);
    if (!known || filter.cast < known.cast) least.set(filter.stops, filter);
  }
  return filters.filter((filter) => least.get(filter.stops) === filter);
}

/** The best of a frame under a fixed shutter, or `sofar` where that is at least as good. */
function bestHeld(
  space: Space,
  colour: ColourSpace,
  frame: Frame,
  plans: Plans,
  sofar: Best | null,
  limit: number,
): Best | null {
  const least = frame.least + colour.loss;
  let best = sofar;
  for (const { shutter, moved } of frame.held) {
    const below: number = (best?.score ?? limit) - least - moved;
    if (below <= colour.grain) break;
    let known = plans.fixed.get(shutter.longestSeconds);
    if (!known || (!known.plan && known.below < below)) {
      known = { below, plan: bestFilter(space, colour, shutter, below) };
      plans.fixed.set(shutter.longestSeconds, known);
    }
    const { plan } = known;
    if (plan) best = bestGroup(space, colour, frame, plan, plan.loss + moved, best, limit);
  }
  return best;
}

/** The same under an automatic shutter. */
function bestRunning(
  space: Space,
  colour: ColourSpace,
  frame: Frame,
  plans: Plans,
  sofar: Best | null,
  limit: number,
): Best | null {
  const least = frame.least + colour.loss;
  let best = sofar;
  for (const shutter of frame.running) {
    const below: number = (best?.score ?? limit) - least;
    let known = plans.running.get(shutter.longestSeconds);
    if (!known || known.below < below) {
      known = { below, plans: runningPlans(space, colour, shutter, below) };
      plans.running.set(shutter.longestSeconds, known);
    }
    for (const plan of known.plans) {
      if (least + plan.loss >= (best?.score ?? limit)) continue;
      const bound = plan.loss + shutterScore(space, frame.kindest, plan);
      best = bestGroup(space, colour, frame, plan, bound, best, limit);
    }
  }
  return best;
}

/** The best group under one exposure, `bound` being what none of them undercuts beside its M. */
function bestGroup(
  space: Space,
  colour: ColourSpace,
  { groups }: Frame,
  plan: ExposurePlan,
  bound: number,
  sofar: Best | null,
  limit: number,
): Best | null {
  let best = sofar;
  for (const group of groups) {
    const beat = best?.score ?? limit;
    const framed = group.loss + colour.loss;
    if (framed + bound >= beat) break;
    const score = framed + plan.loss + shutterScore(space, group.figures, plan);
    if (score < beat) best = { colour, group, plan, score };
  }
  return best;
}

/** The modes of each frame rate, with the loss of the rate itself, least first. */
function familiesOf({ brief, school, modes }: Space): Family[] {
  const families = new Map<number, Family>();
  for (const mode of modes) {
    const { frameRate } = mode;
    const known = families.get(frameRate);
    if (known) {
      known.modes.push(mode);
      continue;
    }
    const loss = weighedSum(RATE_TERMS, school.weights, { brief, frameRate });
    families.set(frameRate, { frameRate, loss, modes: [mode], frames: new Map() });
  }
  return [...families.values()].sort((a, b) => a.loss - b.loss);
}

/**
 * The frames of one rate in one colour. Colours that the same modes have share them: what the dearer one leaves out for
 * being no better, the cheaper one, asked first, left out before.
 */
function frameOf(space: Space, colour: ColourSpace, family: Family, beat: number): Frame | null {
  const modes = family.modes.filter((mode) => mode.colours.includes(colour.id));
  const key = modes.length === family.modes.length ? 'all' : colour.id;
  let frame = family.frames.get(key);
  if (frame === undefined) {
    frame = framed(space, family, modes, beat - colour.loss);
    family.frames.set(key, frame);
  }
  return frame;
}

/** The best mode and encoding of each motion group, least loss first, as far as below `beat`. */
function framed(space: Space, family: Family, modes: readonly Mode[], beat: number): Frame | null {
  const weights = FILE_TERMS.map(({ id }) => space.school.weights[id]);
  const frameWeights = FRAME_TERMS.map(({ id }) => space.school.weights[id]);
  const best = new Map<number, Omit<Group, 'figures'>>();
  for (const mode of modes) {
    const frame = family.loss + frameScore(space, mode, frameWeights);
    let least = best.get(mode.motionGroup)?.loss ?? beat;
    if (frame >= least) continue;
    for (const { encoding, losses } of encodingLosses(space, mode)) {
      const loss = frame + dot(weights, losses);
      if (loss >= least) continue;
      least = loss;
      best.set(mode.motionGroup, { mode, encoding, loss });
    }
  }
  if (best.size === 0) return null;
  const groups = [...best.values()]
    .map((group): Group => ({ ...group, figures: figuresOf(space, group.mode) }))
    .sort((a, b) => a.loss - b.loss);
  const kindest = kindestFigures(groups);
  const shutters = space.shutters.get(family.frameRate) ?? [];
  return {
    groups,
    kindest,
    least: Math.min(...groups.map(({ loss }) => loss)),
    held: shutters
      .filter(({ spanStops }) => spanStops === 0)
      .map((shutter) => ({ shutter, moved: heldScore(space, kindest, shutter) }))
      .sort((a, b) => a.moved - b.moved),
    running: shutters.filter(({ spanStops }) => spanStops > 0),
  };
}

/** The weighted terms of the delivered frame, and the wish for a hold. */
function frameScore(space: Space, mode: Mode, weights: readonly number[]): number {
  return (
    stabilizationPrice(space.school.wishes, space.demands, mode.stabilization) +
    dot(weights, frameLosses(space, mode))
  );
}

function dot(weights: readonly number[], losses: readonly number[]): number {
  let sum = 0;
  for (let at = 0; at < weights.length; at++) sum += (weights[at] ?? 0) * (losses[at] ?? 0);
  return sum;
}

/** Figures under which every shutter loses at most what it loses in any of these; one frame rate, one school. */
function kindestFigures(groups: readonly Group[]): MotionFigures {
  const [first] = groups;
  if (!first) throw new Error('a frame rate without a single view');
  const kindest = { ...first.figures };
  for (const { figures: other } of groups) {
    kindest.shakeFloorLog = Math.max(kindest.shakeFloorLog, other.shakeFloorLog);
    kindest.subjectFloorLog = Math.max(kindest.subjectFloorLog, other.subjectFloorLog);
    kindest.stepOctaves = Math.min(kindest.stepOctaves, other.stepOctaves);
    kindest.steady = kindest.steady && other.steady;
    // Where the aim differs from view to view, no shutter can be told to miss it.
    if (other.aimLog !== first.figures.aimLog) kindest.aimLog = NaN;
  }
  return kindest;
}

/** A fixed shutter does the same at both ends of the light. */
function heldScore({ school }: Space, figures: MotionFigures, shutter: ShutterSetting): number {
  const { longestLog } = shutter;
  return movedScore(school, { figures, brightLog: longestLog, darkLog: longestLog, longestLog }, shutter);
}

function shutterScore({ school }: Space, figures: MotionFigures, plan: ExposurePlan): number {
  const { brightLog, darkLog, shutter } = plan;
  return movedScore(school, { figures, brightLog, darkLog, longestLog: shutter.longestLog }, shutter);
}

function movedScore({ weights, wishes }: School, facts: MotionFacts, shutter: ShutterSetting): number {
  return (
    weighedSum(MOTION_TERMS, weights, facts) +
    anglePrice(wishes, facts.figures, shutter) +
    shakeFloorPrice(wishes, facts.figures, facts.longestLog)
  );
}
