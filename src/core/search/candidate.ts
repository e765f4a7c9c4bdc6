import type { Encoding, Mode } from '../camera/modeTable';
import type { FilterSetting } from '../filters/kit';
import { driftLoss, expose, filterLoss, noiseLoss, overLoss, underLoss } from '../loss/exposureLoss';
import type { Exposure, IsoWindow, ShutterSetting } from '../loss/exposureLoss';
import * as frame from '../loss/modeLoss';
import * as shutterLoss from '../loss/shutterLoss';
import type { MotionFigures, MotionView } from '../loss/shutterLoss';
import { encodingsKept } from './allowedModes';
import type { Space } from './space';
import { paceOf } from '../motion/motionMap';
import type { Pace } from '../motion/motionMap';
import type { EncodingTerms, Workings } from './workings';
import type { Loss } from '../loss/terms';

/** One whole choice: everything that loss depends on. */
export interface Candidate {
  mode: Mode;
  encoding: Encoding;
  shutter: ShutterSetting;
  filter: FilterSetting;
  iso: IsoWindow;
}

/** The loss of one candidate, term by term, unweighted. The plain definition against which the search is checked. */
export function lossOf(space: Space, candidate: Candidate): Loss {
  const { brief, sensor } = space;
  const { mode, encoding, shutter, filter, iso } = candidate;
  const exposure = exposureOf(space, candidate);
  const figures = figuresOf(space, mode);
  const { brightLog, darkLog } = exposure;
  const rate = rateTerms(space, mode.frameRate);
  const framed = frameTerms(space, mode);
  return {
    over: overLoss(exposure.overStops, sensor.guardStops),
    under: underLoss(exposure.underStops),
    noise: noiseLoss(sensor, iso, exposure),
    drift: driftLoss(shutter, iso, exposure),
    filter: filterLoss(filter),
    angle: shutterLoss.angleLoss(figures, brightLog, darkLog, shutter.longestLog),
    smear: shutterLoss.smearLoss(figures, darkLog),
    subjectBlur: shutterLoss.subjectBlurLoss(figures, darkLog),
    strobing: shutterLoss.strobingLoss(figures, brightLog),
    flicker: shutterLoss.flickerLoss(figures, space.light.pulseHz, brightLog, darkLog),
    stutter: rate.stutter,
    cadence: rate.cadence,
    resolution: framed.resolution,
    viewNarrow: framed.viewNarrow,
    viewWide: framed.viewWide,
    steadiness: framed.steadiness,
    tilt: framed.tilt,
    editCrop: framed.editCrop,
    bitRate: frame.bitRateLoss(brief, mode, encoding),
    card: frame.cardLoss(brief, encoding),
    colour: framed.colour,
  };
}

/** The terms that the frame rate alone decides. */
export function rateTerms({ brief }: Space, frameRate: number): Pick<Loss, 'stutter' | 'cadence'> {
  return { stutter: frame.stutterLoss(brief, frameRate), cadence: frame.cadenceLoss(brief, frameRate) };
}

/** The terms of size, view and steadiness: no shutter, filter, ISO or encoding needed. Remembered per brief. */
export function frameTerms({ brief, workings, school, colour }: Space, mode: Mode): frame.FrameTerms {
  const memory = (workings.frameTerms[colour] ??= [[], []])[school.steadiedInEdit ? 1 : 0];
  return (memory[mode.index] ??= frame.frameTermsOf(
    brief,
    workings.demands,
    mode,
    colour,
    school.steadiedInEdit,
  ));
}

/** The encodings of a mode that keep the pins, each with the loss that it alone decides. Remembered per brief. */
export function encodingTerms({ brief, workings }: Space, mode: Mode): readonly EncodingTerms[] {
  return (workings.encodings[mode.index] ??= encodingsKept(brief, mode).map((encoding) => ({
    encoding,
    bitRate: frame.bitRateLoss(brief, mode, encoding),
    card: frame.cardLoss(brief, encoding),
  })));
}

export function exposureOf(space: Space, candidate: Candidate): Exposure {
  return expose(space.sensor, space.light, candidate.shutter, candidate.filter.stops, candidate.iso);
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
  let figures = known[mode.motionGroup];
  if (!figures) {
    const view = motionViewOf(space, mode);
    figures = shutterLoss.motionFigures(brief, view, light.pulseHz, paceIn(workings, view));
    known[mode.motionGroup] = figures;
  }
  return { ...figures, aimLog: shutterLoss.aimLogOf(figures, school) };
}

/** The pace of the surroundings in a view: the same at every frame rate, so worked out once for all. */
function paceIn({ paces, movement }: Workings, view: MotionView): Pace {
  let ofProjection = paces.get(view.projection);
  if (!ofProjection) paces.set(view.projection, (ofProjection = new Map<number, Pace>()));
  let pace = ofProjection.get(view.horizontalDeg);
  if (!pace) ofProjection.set(view.horizontalDeg, (pace = paceOf(view, movement)));
  return pace;
}
