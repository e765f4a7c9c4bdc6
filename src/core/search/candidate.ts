import type { Encoding, Mode } from '../camera/modeTable';
import type { FilterSetting } from '../filters/kit';
import { expose } from '../loss/exposure';
import type { Exposure, IsoWindow, ShutterSetting } from '../loss/exposure';
import { deliveredFrame } from '../loss/frame';
import type { FrameFacts } from '../loss/frame';
import { motionFigures, rateFigures, viewFigures } from '../loss/movement';
import type { MotionFigures, MotionView, ViewFigures } from '../loss/movement';
import {
  COLOUR_TERMS,
  EXPOSURE_TERMS,
  FILE_TERMS,
  FRAME_TERMS,
  MOTION_TERMS,
  NO_LOSS,
  putLosses,
  RATE_TERMS,
} from '../loss/table';
import type { Loss } from '../loss/table';
import type { Brief } from '../brief/brief';
import { yieldedBy } from '../loss/wishes';
import type { Yielded } from '../loss/wishes';
import { encodingsKept } from './allowedModes';
import type { ColourSpace, Space } from './space';
import { paceOf } from '../motion/motionMap';
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
  const { longestLog } = shutter;
  const loss: Loss = { ...NO_LOSS };
  putLosses(loss, EXPOSURE_TERMS, { sensor: colour.sensor, light, shutter, filter, iso, exposure });
  const { aim } = space.school;
  const { darkWeight } = light;
  putLosses(loss, MOTION_TERMS, { figures, aim, brightLog, darkLog, darkWeight, longestLog });
  putLosses(loss, RATE_TERMS, { brief, frameRate: mode.frameRate });
  putLosses(loss, FRAME_TERMS, frameFactsOf(space, mode));
  putLosses(loss, FILE_TERMS, { brief, mode, encoding });
  putLosses(loss, COLOUR_TERMS, {
    grade: brief.look.grade,
    colour: colour.id,
    light: space.workings.lightColour,
    picture: space.workings.picture,
    whiteBalance: colour.whiteBalance,
  });
  for (const { price } of yieldedIn(space, candidate)) loss.wish += price;
  return loss;
}

/** The school's wishes that a candidate breaks, the dearest first. */
export function yieldedIn(space: Space, candidate: Candidate): Yielded[] {
  const { mode, colour, shutter, filter, iso } = candidate;
  return yieldedBy(space.school.wishes, space.demands, {
    stabilization: mode.stabilization,
    sensor: colour.sensor,
    light: space.light,
    shutter,
    filter,
    iso,
    figures: figuresOf(space, mode),
    exposure: exposureOf(space, candidate),
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
  let known = workings.encodings.get(mode.fileGroup);
  if (!known) {
    known = encodingsKept(brief, mode).map((encoding) => {
      const facts = { brief, mode, encoding };
      return { encoding, losses: FILE_TERMS.map(({ loss }) => loss(facts)) };
    });
    workings.encodings.set(mode.fileGroup, known);
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
  const known = workings.figures[school.steadiedInEdit ? 1 : 0];
  const done = known[mode.motionGroup];
  if (done) return done;
  const view = motionViewOf(space, mode);
  let rate = workings.rates.get(mode.frameRate);
  if (!rate) workings.rates.set(mode.frameRate, (rate = rateFigures(brief, mode.frameRate, light.pulseHz)));
  return (known[mode.motionGroup] = motionFigures(brief, viewIn(workings, brief, view), rate, view.steadied));
}

/** The same at every frame rate and in every light, so worked out once for all. */
function viewIn({ views, movement }: Workings, brief: Brief, view: MotionView): ViewFigures {
  let ofProjection = views.get(view.projection);
  if (!ofProjection) views.set(view.projection, (ofProjection = new Map<number, ViewFigures>()));
  let figures = ofProjection.get(view.horizontalDeg);
  if (!figures)
    ofProjection.set(view.horizontalDeg, (figures = viewFigures(brief, view, paceOf(view, movement))));
  return figures;
}
