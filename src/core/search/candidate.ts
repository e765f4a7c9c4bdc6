import type { Encoding, Mode } from '../camera/modeTable';
import type { FilterSetting } from '../filters/kit';
import { expose } from '../loss/exposure';
import type { Exposure, IsoWindow, ShutterSetting } from '../loss/exposure';
import { deliveredFrame } from '../loss/frame';
import type { FrameFacts } from '../loss/frame';
import { aimedAt, motionFigures } from '../loss/movement';
import type { MotionFigures, MotionView } from '../loss/movement';
import {
  COLOUR_TERMS,
  EXPOSURE_TERMS,
  FILE_TERMS,
  FRAME_TERMS,
  lossesOf,
  MOTION_TERMS,
  RATE_TERMS,
} from '../loss/table';
import type { Loss } from '../loss/table';
import { yieldedBy } from '../loss/wishes';
import type { Yielded } from '../loss/wishes';
import { encodingsKept } from './allowedModes';
import type { ColourSpace, Space } from './space';
import { paceOf } from '../motion/motionMap';
import type { Pace } from '../motion/motionMap';
import type { EncodingLosses, Workings } from './workings';

/** One whole choice: everything that loss depends on. */
export interface Candidate {
  mode: Mode;
  encoding: Encoding;
  colour: ColourSpace;
  shutter: ShutterSetting;
  filter: FilterSetting;
  iso: IsoWindow;
}

/** The loss of one candidate, term by term, unweighted. The plain definition against which the search is checked. */
export function lossOf(space: Space, candidate: Candidate): Loss {
  const { brief, light } = space;
  const { mode, encoding, colour, shutter, filter, iso } = candidate;
  const exposure = exposureOf(space, candidate);
  const { brightLog, darkLog } = exposure;
  const figures = figuresOf(space, mode);
  return {
    ...lossesOf(EXPOSURE_TERMS, { sensor: colour.sensor, light, shutter, filter, iso, exposure }),
    ...lossesOf(MOTION_TERMS, { figures, brightLog, darkLog, longestLog: shutter.longestLog }),
    ...lossesOf(RATE_TERMS, { brief, frameRate: mode.frameRate }),
    ...lossesOf(FRAME_TERMS, frameFactsOf(space, mode)),
    ...lossesOf(FILE_TERMS, { brief, mode, encoding }),
    ...lossesOf(COLOUR_TERMS, { grade: brief.look.grade, colour: colour.id }),
    wish: yieldedIn(space, candidate).reduce((sum, { price }) => sum + price, 0),
  };
}

/** The school's wishes that a candidate breaks, the dearest first. */
export function yieldedIn(space: Space, candidate: Candidate): Yielded[] {
  const { mode, shutter, filter, iso } = candidate;
  return yieldedBy(space.school.wishes, space.demands, {
    stabilization: mode.stabilization,
    shutter,
    filter,
    iso,
    figures: figuresOf(space, mode),
  });
}

function frameFactsOf({ brief, demands, school }: Space, mode: Mode): FrameFacts {
  const { steadiedInEdit } = school;
  return { brief, demands, mode, frame: deliveredFrame(brief, mode, steadiedInEdit), steadiedInEdit };
}

/** The terms of the delivered frame in the table's order: no shutter, filter, ISO or encoding needed. Remembered per brief. */
export function frameLosses(space: Space, mode: Mode): readonly number[] {
  const memory = space.workings.frameLosses[space.school.steadiedInEdit ? 1 : 0];
  let losses = memory.get(mode.frameGroup);
  if (!losses) {
    const facts = frameFactsOf(space, mode);
    losses = FRAME_TERMS.map(({ loss }) => loss(facts));
    memory.set(mode.frameGroup, losses);
  }
  return losses;
}

/** The encodings of a mode that keep the pins, each with the terms that it alone decides, in the table's order. Remembered per brief. */
export function encodingLosses({ brief, workings }: Space, mode: Mode): readonly EncodingLosses[] {
  let known = workings.encodings.get(mode.index);
  if (!known) {
    known = encodingsKept(brief, mode).map((encoding) => {
      const facts = { brief, mode, encoding };
      return { encoding, losses: FILE_TERMS.map(({ loss }) => loss(facts)) };
    });
    workings.encodings.set(mode.index, known);
  }
  return known;
}

export function exposureOf(space: Space, { colour, shutter, filter, iso }: Candidate): Exposure {
  return expose(colour.sensor, space.light, shutter, filter.stops, iso);
}

export function motionViewOf(space: Space, mode: Mode): MotionView {
  return {
    frameRate: mode.frameRate,
    horizontalDeg: mode.view.horizontalDeg,
    projection: mode.view.projection,
    steadied: mode.stabilization !== 'off' || space.school.steadiedInEdit,
  };
}

export function figuresOf(space: Space, mode: Mode): MotionFigures {
  const { brief, school, workings, light } = space;
  const { steadiedInEdit } = school;
  const aimed = (workings.aimed[`${school.id} ${steadiedInEdit}`] ??= []);
  const done = aimed[mode.motionGroup];
  if (done) return done;
  const known = workings.figures[steadiedInEdit ? 1 : 0];
  let figures = known[mode.motionGroup];
  if (!figures) {
    const view = motionViewOf(space, mode);
    figures = motionFigures(brief, view, light.pulseHz, paceIn(workings, view));
    known[mode.motionGroup] = figures;
  }
  return (aimed[mode.motionGroup] = aimedAt(figures, school.aim));
}

/** The pace of the surroundings in a view: the same at every frame rate, so worked out once for all. */
function paceIn({ paces, movement }: Workings, view: MotionView): Pace {
  let ofProjection = paces.get(view.projection);
  if (!ofProjection) paces.set(view.projection, (ofProjection = new Map<number, Pace>()));
  let pace = ofProjection.get(view.horizontalDeg);
  if (!pace) ofProjection.set(view.horizontalDeg, (pace = paceOf(view, movement)));
  return pace;
}
