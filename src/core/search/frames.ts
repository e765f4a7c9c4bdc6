import type { Colour } from '../vocabulary/modes';
import type { ShutterAim } from '../vocabulary/schools';
import type { Encoding, Mode } from '../camera/modeTable';
import type { ShutterSetting } from '../loss/exposure';
import { aimLogOf } from '../loss/movement';
import type { MotionFigures } from '../loss/movement';
import { FILE_TERMS, FRAME_TERMS, RATE_TERMS, weighedSum } from '../loss/table';
import { stabilizationPrice } from '../loss/wishes';
import { item } from '../units/items';
import { encodingLosses, figuresOf, frameLosses } from './candidate';
import { movedScore } from './moved';
import type { ColourSpace, Space } from './space';

/** The part M of a score: frame rate, mode and encoding. It knows nothing of shutter, filter and ISO, nor of the light. */

/** The best mode and encoding of one motion group: no other of the group can win. */
export interface Group {
  mode: Mode;
  encoding: Encoding;
  /** M, colour left out. */
  loss: number;
  figures: MotionFigures;
}

/** Figures and aim under which every shutter loses at most what it loses in any view of a frame. */
export interface Kindest {
  figures: MotionFigures;
  aim: ShutterAim | null;
}

/** The groups of one frame rate, what no shutter can undercut in any of them, and the least of M. */
export interface BoundedGroups {
  groups: readonly Group[];
  kindest: Kindest;
  least: number;
  /** Fixed shutters with what they do to movement, the kindest first: that needs no exposure. */
  held: readonly { shutter: ShutterSetting; moved: number }[];
  running: readonly ShutterSetting[];
}

/** The modes of one frame rate, with the loss of the rate itself. */
export interface RateSearch extends RateModes {
  loss: number;
  shutters: readonly ShutterSetting[];
  /** By the modes that the colours which share them have, each with the limit below which it was looked for. */
  frames: Map<MotionGroups, { below: number; frame: BoundedGroups | null }>;
}

/** Modes of one frame rate, those of one motion group together. */
type MotionGroups = readonly (readonly Mode[])[];

interface RateModes {
  frameRate: number;
  /** By colour; the very same list where all may be filmed in it. */
  groupsIn: Readonly<Record<Colour, MotionGroups>>;
}

/** What searches of one space under different filters share. */
export interface SharedFrames {
  families: readonly RateSearch[];
  /** Weighted losses of each frame group, and the best encoding of each file group; filled as they are asked for. */
  frameScores: number[];
  files: (BestFile | null)[];
}

interface BestFile {
  encoding: Encoding;
  loss: number;
}

const byRate = new WeakMap<readonly Mode[], readonly RateModes[]>();

/** Remembered by the list: without a pin that chooses among modes it is the camera's own. */
function rateModesOf(modes: readonly Mode[]): readonly RateModes[] {
  const known = byRate.get(modes);
  if (known) return known;
  const fresh = grouped(modes, ({ frameRate }) => frameRate).map((ofRate): RateModes => {
    const all = grouped(ofRate, ({ motionGroup }) => motionGroup);
    const inColour = (id: Colour): MotionGroups => {
      const some = ofRate.filter(({ colours }) => colours.includes(id));
      return some.length === ofRate.length ? all : grouped(some, ({ motionGroup }) => motionGroup);
    };
    return {
      frameRate: item(ofRate, 0).frameRate,
      groupsIn: { standard: inColour('standard'), flat: inColour('flat'), log: inColour('log') },
    };
  });
  byRate.set(modes, fresh);
  return fresh;
}

function grouped(modes: readonly Mode[], by: (mode: Mode) => number): Mode[][] {
  const groups = new Map<number, Mode[]>();
  for (const mode of modes) {
    const group = groups.get(by(mode));
    if (group) group.push(mode);
    else groups.set(by(mode), [mode]);
  }
  return [...groups.values()];
}

export function sharedFrames({ brief, school, modes, shutters }: Space): SharedFrames {
  const families = rateModesOf(modes).map(({ frameRate, groupsIn }): RateSearch => ({
    frameRate,
    groupsIn,
    loss: weighedSum(RATE_TERMS, school.weights, { brief, frameRate }),
    shutters: shutters.get(frameRate) ?? [],
    frames: new Map(),
  }));
  return { families, frameScores: [], files: [] };
}

/**
 * The frames of one rate in one colour that lose less than `below`. Colours that have the same modes share them; where more
 * is asked for than before they are looked for anew.
 */
export function frameOf(
  space: Space,
  shared: SharedFrames,
  family: RateSearch,
  colour: ColourSpace,
  below: number,
): BoundedGroups | null {
  const modes = family.groupsIn[colour.id];
  const known = family.frames.get(modes);
  if (known && known.below >= below) return known.frame;
  const frame = framed(space, shared, family, modes, below);
  family.frames.set(modes, { below, frame });
  return frame;
}

function framed(
  space: Space,
  shared: SharedFrames,
  family: RateSearch,
  modes: MotionGroups,
  below: number,
): BoundedGroups | null {
  const groups: Group[] = [];
  for (const group of modes) {
    let best: Omit<Group, 'figures'> | null = null;
    let least = below;
    for (const mode of group) {
      const frame = family.loss + frameScore(space, shared, mode);
      if (frame >= least) continue;
      const file = bestFile(space, shared, mode);
      if (!file || frame + file.loss >= least) continue;
      least = frame + file.loss;
      best = { mode, encoding: file.encoding, loss: least };
    }
    if (best) groups.push({ ...best, figures: figuresOf(space, best.mode) });
  }
  if (groups.length === 0) return null;
  groups.sort((a, b) => a.loss - b.loss);
  const kindest = kindestOf(groups, space.school.aim);
  return {
    groups,
    kindest,
    least: groups[0]?.loss ?? 0,
    held: family.shutters
      .filter(({ spanStops }) => spanStops === 0)
      .map((shutter) => ({ shutter, moved: heldScore(space, kindest, shutter) }))
      .sort((a, b) => a.moved - b.moved),
    running: family.shutters.filter(({ spanStops }) => spanStops > 0),
  };
}

/** The weighted terms of the delivered frame, and the wish for a hold. */
function frameScore(space: Space, { frameScores }: SharedFrames, mode: Mode): number {
  const known = frameScores[mode.frameGroup];
  if (known !== undefined) return known;
  const { wishes, weights } = space.school;
  const losses = frameLosses(space, mode);
  let score = stabilizationPrice(wishes, space.demands, mode.stabilization);
  for (const [at, { id }] of FRAME_TERMS.entries()) score += weights[id] * (losses[at] ?? 0);
  return (frameScores[mode.frameGroup] = score);
}

/** The encoding that loses least; the first of those that lose the same; `null` where the pins leave none. */
function bestFile(space: Space, { files }: SharedFrames, mode: Mode): BestFile | null {
  const known = files[mode.fileGroup];
  if (known !== undefined) return known;
  const { weights } = space.school;
  let best: BestFile | null = null;
  for (const { encoding, losses } of encodingLosses(space, mode)) {
    let loss = 0;
    for (const [at, { id }] of FILE_TERMS.entries()) loss += weights[id] * (losses[at] ?? 0);
    if (best === null || loss < best.loss) best = { encoding, loss };
  }
  return (files[mode.fileGroup] = best);
}

/** Of one frame rate and one school. */
function kindestOf(groups: readonly Group[], aim: ShutterAim): Kindest {
  const [first] = groups;
  if (!first) throw new Error('a frame rate without a single view');
  const figures = { ...first.figures };
  for (const { figures: other } of groups) {
    figures.shakeFloorLog = Math.max(figures.shakeFloorLog, other.shakeFloorLog);
    figures.subjectFloorLog = Math.max(figures.subjectFloorLog, other.subjectFloorLog);
    figures.stepOctaves = Math.min(figures.stepOctaves, other.stepOctaves);
    figures.steady = figures.steady && other.steady;
  }
  const aimLog = aimLogOf(aim, first.figures);
  // Where the aim differs from view to view, no shutter can be told to miss it.
  const shared = groups.every((group) => aimLogOf(aim, group.figures) === aimLog);
  return { figures, aim: shared ? aim : null };
}

/** A fixed shutter does the same at both ends of the light. */
function heldScore({ school }: Space, { figures, aim }: Kindest, shutter: ShutterSetting): number {
  const { longestLog } = shutter;
  return movedScore(
    school,
    { figures, aim, brightLog: longestLog, darkLog: longestLog, darkWeight: 1, longestLog },
    shutter,
  );
}
