import type { Encoding, Mode } from '../camera/modeTable';
import type { FilterSetting } from '../filters/kit';
import { encodingTerms, figuresOf, frameTerms, rateTerms } from './candidate';
import type { Candidate } from './candidate';
import { driftLoss, expose, filterLoss, noiseLoss, overLoss, underLoss } from '../loss/exposureLoss';
import type { IsoWindow, ShutterSetting } from '../loss/exposureLoss';
import { angleLoss, flickerLoss, smearLoss, strobingLoss, subjectBlurLoss } from '../loss/shutterLoss';
import type { MotionFigures } from '../loss/shutterLoss';
import { schoolAllows } from './space';
import type { Space } from './space';

/**
 * The least loss of a space, exactly, without visiting most of it. The score splits in three:
 *
 *   score = M(mode, encoding) + S(motion group, shutter used) + E(shutter, filter, ISO)
 *
 * Modes of one motion group differ only in M, so the best of each stands for all. E knows nothing of the mode, so for
 * each fixed shutter the best filter and ISO are found once; for an automatic one, once per filter, since the filter
 * decides which shutter is used. Since S ≥ 0, M + E is a bound: frame rates and groups in order of M, and exposures in
 * order of E, are left as soon as the bound passes the best so far.
 */
export interface Found {
  candidate: Candidate;
  score: number;
}

interface Family {
  frameRate: number;
  modes: Mode[];
  loss: number;
}

interface Group {
  mode: Mode;
  encoding: Encoding;
  loss: number;
  figures: MotionFigures;
}

interface Best {
  group: Group;
  plan: ExposurePlan;
  score: number;
}

export interface ExposurePlan {
  shutter: ShutterSetting;
  filter: FilterSetting;
  iso: IsoWindow;
  loss: number;
  brightLog: number;
  darkLog: number;
}

/** What searches of one space under different filters share: M knows nothing of the filter. */
export interface SharedFrames {
  /** Only frames below this are kept; an answer that is not is looked for anew. */
  limit: number;
  families: readonly Family[];
  groups: Map<Family, Group[]>;
}

export function sharedFrames(space: Space, limit: number): SharedFrames {
  return { limit, families: familiesOf(space), groups: new Map() };
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
  const fixed = new Map<number, ExposurePlan | null>();
  const auto = new Map<number, readonly ExposurePlan[]>();
  let best: Best | null = null;
  for (const family of shared?.families ?? familiesOf(space)) {
    const beat: number = best?.score ?? limit;
    if (family.loss >= beat) break;
    const groups = shared ? groupsIn(shared, space, family) : groupsOf(space, family, beat);
    if (groups.length === 0) continue;
    const kindest = kindestFigures(groups.map((group) => group.figures));
    const shutters = space.shutters.get(family.frameRate) ?? [];
    // Fixed shutters first: few, and their best rules out most of the automatic ones unseen.
    best = bestOf(space, groups, kindest, fixedPlans(space, shutters, fixed), best);
    best = bestOf(space, groups, kindest, automaticPlans(space, shutters, auto, best?.score ?? limit), best);
  }
  return best;
}

function foundOf({ group, plan, score }: Best): Found {
  const { mode, encoding } = group;
  const { shutter, filter, iso } = plan;
  return { candidate: { mode, encoding, shutter, filter, iso }, score };
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

/** The best of these groups under these exposures, or `sofar` where that is at least as good. */
function bestOf(
  space: Space,
  groups: readonly Group[],
  kindest: MotionFigures,
  plans: readonly ExposurePlan[],
  sofar: Best | null,
): Best | null {
  const least = groups[0]?.loss ?? Infinity;
  const worth: { plan: ExposurePlan; bound: number }[] = [];
  for (const plan of plans) {
    const bound = plan.loss + shutterScore(space, kindest, plan);
    if (sofar === null || least + bound < sofar.score) worth.push({ plan, bound });
  }
  worth.sort((a, b) => a.bound - b.bound);
  let best = sofar;
  for (const group of groups) {
    for (const { plan, bound } of worth) {
      if (best !== null && group.loss + bound >= best.score) break;
      if (!schoolAllows(space, group.mode, plan.shutter)) continue;
      const score = group.loss + plan.loss + shutterScore(space, group.figures, plan);
      if (best === null || score < best.score) best = { group, plan, score };
    }
  }
  return best;
}

/** The modes of each frame rate, with the loss of the rate itself, least first. */
function familiesOf(space: Space): Family[] {
  const { weights } = space.school;
  const families = new Map<number, Family>();
  for (const mode of space.modes) {
    const { frameRate } = mode;
    const known = families.get(frameRate);
    if (known) {
      known.modes.push(mode);
      continue;
    }
    const terms = rateTerms(space, frameRate);
    const loss = weights.stutter * terms.stutter + weights.cadence * terms.cadence;
    families.set(frameRate, { frameRate, loss, modes: [mode] });
  }
  return [...families.values()].sort((a, b) => a.loss - b.loss);
}

/** The best mode and encoding of each motion group of one frame rate, least loss first, as far as below `beat`. */
function groupsOf(space: Space, family: Family, beat: number): Group[] {
  const { weights } = space.school;
  const groups = new Map<number, Omit<Group, 'figures'>>();
  for (const mode of family.modes) {
    const terms = frameTerms(space, mode);
    const bare =
      family.loss +
      weights.resolution * terms.resolution +
      weights.viewNarrow * terms.viewNarrow +
      weights.viewWide * terms.viewWide +
      weights.steadiness * terms.steadiness +
      weights.tilt * terms.tilt +
      weights.editCrop * terms.editCrop +
      weights.colour * terms.colour;
    let least = groups.get(mode.motionGroup)?.loss ?? beat;
    if (bare >= least) continue;
    for (const { encoding, bitRate, card } of encodingTerms(space, mode)) {
      const loss = bare + weights.bitRate * bitRate + weights.card * card;
      if (loss >= least) continue;
      least = loss;
      groups.set(mode.motionGroup, { mode, encoding, loss });
    }
  }
  return [...groups.values()]
    .map(({ mode, encoding, loss }) => ({ mode, encoding, loss, figures: figuresOf(space, mode) }))
    .sort((a, b) => a.loss - b.loss);
}

/** The groups of a frame rate below the limit, kept for the next filter. */
function groupsIn(shared: SharedFrames, space: Space, family: Family): Group[] {
  let known = shared.groups.get(family);
  if (!known) shared.groups.set(family, (known = groupsOf(space, family, shared.limit)));
  return known;
}

/** Figures under which every shutter does at most the loss it does in any of these; one frame rate, one school. */
function kindestFigures(figures: readonly MotionFigures[]): MotionFigures {
  const [first] = figures;
  if (!first) throw new Error('a frame rate without a single view');
  const kindest = { ...first };
  for (const other of figures) {
    kindest.shakeFloorLog = Math.max(kindest.shakeFloorLog, other.shakeFloorLog);
    kindest.subjectFloorLog = Math.max(kindest.subjectFloorLog, other.subjectFloorLog);
    kindest.stepOctaves = Math.min(kindest.stepOctaves, other.stepOctaves);
    kindest.smearWeight = Math.min(kindest.smearWeight, other.smearWeight);
    // Where the aim differs from view to view, no shutter can be told to miss it.
    if (other.aimLog !== first.aimLog) kindest.aimLog = NaN;
  }
  return kindest;
}

/** The best exposure of each fixed shutter. `known` carries them from one frame rate to the next. */
function fixedPlans(
  space: Space,
  shutters: readonly ShutterSetting[],
  known: Map<number, ExposurePlan | null>,
): ExposurePlan[] {
  const plans: ExposurePlan[] = [];
  for (const shutter of shutters) {
    if (shutter.spanStops > 0) continue;
    let plan = known.get(shutter.longestSeconds);
    if (plan === undefined) {
      plan = bestFilter(space, shutter);
      known.set(shutter.longestSeconds, plan);
    }
    if (plan) plans.push(plan);
  }
  return plans;
}

/** The filter and ISO window that expose one fixed shutter with the least loss; `null` where none is allowed. */
export function bestFilter(space: Space, shutter: ShutterSetting): ExposurePlan | null {
  let best: ExposurePlan | null = null;
  for (const filter of space.filters) {
    const beat: number = best?.loss ?? Infinity;
    if (leastExposureLoss(space, shutter, filter) >= beat) continue;
    best = bestIso(space, shutter, filter, space.isoWindows, beat) ?? best;
  }
  return best;
}

/** No ISO window loses less than this: the bright end at the lowest ISO there is, the dark end at the highest. */
function leastExposureLoss(space: Space, shutter: ShutterSetting, filter: FilterSetting): number {
  const { sensor, light, isoReach } = space;
  const { weights } = space.school;
  const atIso100 = sensor.fNumberLog - shutter.longestLog + filter.stops;
  const over = light.evMax - (atIso100 + shutter.spanStops - isoReach.lowLog);
  const under = atIso100 - isoReach.highLog - light.evMin;
  return (
    weights.filter * filterLoss(filter) +
    weights.over * overLoss(Math.max(0, over), sensor.guardStops) +
    weights.under * underLoss(Math.max(0, under))
  );
}

/** The best exposure of each automatic shutter under each filter, as far as E alone is below `beat`. */
function automaticPlans(
  space: Space,
  shutters: readonly ShutterSetting[],
  known: Map<number, readonly ExposurePlan[]>,
  beat: number,
): ExposurePlan[] {
  const all: ExposurePlan[] = [];
  for (const shutter of shutters) {
    if (shutter.spanStops === 0) continue;
    let plans = known.get(shutter.longestSeconds);
    if (!plans) {
      plans = space.filters
        .filter((filter) => leastExposureLoss(space, shutter, filter) < beat)
        .map((filter) => bestIso(space, shutter, filter, space.autoIsoWindows, beat))
        .filter((plan) => plan !== null);
      known.set(shutter.longestSeconds, plans);
    }
    all.push(...plans);
  }
  return all;
}

/** The ISO window with the least loss under one shutter and filter, if it is below `beat`. */
function bestIso(
  space: Space,
  shutter: ShutterSetting,
  filter: FilterSetting,
  windows: readonly IsoWindow[],
  beat: number,
): ExposurePlan | null {
  const { sensor, light } = space;
  const { weights } = space.school;
  const glass = weights.filter * filterLoss(filter);
  let best: ExposurePlan | null = null;
  let least = beat;
  for (const iso of windows) {
    if (glass >= least) break;
    const exposure = expose(sensor, light, shutter, filter.stops, iso);
    const loss =
      glass +
      weights.over * overLoss(exposure.overStops, sensor.guardStops) +
      weights.under * underLoss(exposure.underStops) +
      weights.noise * noiseLoss(sensor, iso, exposure) +
      weights.drift * driftLoss(shutter, iso, exposure);
    if (loss >= least) continue;
    least = loss;
    best = { shutter, filter, iso, loss, brightLog: exposure.brightLog, darkLog: exposure.darkLog };
  }
  return best;
}

function shutterScore(space: Space, figures: MotionFigures, plan: ExposurePlan): number {
  const { weights } = space.school;
  const { brightLog, darkLog, shutter } = plan;
  return (
    weights.angle * angleLoss(figures, brightLog, darkLog, shutter.longestLog) +
    weights.smear * smearLoss(figures, darkLog) +
    weights.subjectBlur * subjectBlurLoss(figures, darkLog) +
    weights.strobing * strobingLoss(figures, brightLog) +
    weights.flicker * flickerLoss(figures, space.light.pulseHz, brightLog, darkLog)
  );
}
