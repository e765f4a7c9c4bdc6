import type { Encoding, Mode } from '../camera/modeTable';
import type { FilterSetting } from '../filters/kit';
import { driftHarm, expose, filterHarm, noiseHarm, overHarm, underHarm } from './exposureHarm';
import type { Exposure, IsoWindow, ShutterSetting } from './exposureHarm';
import * as frame from './modeHarm';
import * as shutterHarm from './shutterHarm';
import type { MotionFigures, MotionView } from './shutterHarm';
import { encodingsKept } from './allowedModes';
import type { Space } from './space';
import { paceOf } from '../motion/motionMap';
import type { Pace } from '../motion/motionMap';
import type { EncodingTerms, Workings } from './workings';
import type { Harm } from './terms';

/** One whole choice: everything that harm depends on. */
export interface Candidate {
  mode: Mode;
  encoding: Encoding;
  shutter: ShutterSetting;
  filter: FilterSetting;
  iso: IsoWindow;
}

/** The harm of one candidate, term by term, unweighted. The plain definition against which the search is checked. */
export function harmOf(space: Space, candidate: Candidate): Harm {
  const { brief, sensor } = space;
  const { mode, encoding, shutter, filter, iso } = candidate;
  const exposure = exposureOf(space, candidate);
  const figures = figuresOf(space, mode);
  const { brightLog, darkLog } = exposure;
  const rate = rateTerms(space, mode.frameRate);
  const framed = frameTerms(space, mode);
  return {
    over: overHarm(exposure.overStops, sensor.guardStops),
    under: underHarm(exposure.underStops),
    noise: noiseHarm(sensor, iso, exposure),
    drift: driftHarm(shutter, iso, exposure),
    filter: filterHarm(filter),
    angle: shutterHarm.angleHarm(figures, brightLog, darkLog, shutter.longestLog),
    smear: shutterHarm.smearHarm(figures, darkLog),
    subjectBlur: shutterHarm.subjectBlurHarm(figures, darkLog),
    strobing: shutterHarm.strobingHarm(figures, brightLog),
    flicker: shutterHarm.flickerHarm(figures, space.light.pulseHz, brightLog, darkLog),
    stutter: rate.stutter,
    cadence: rate.cadence,
    resolution: framed.resolution,
    viewNarrow: framed.viewNarrow,
    viewWide: framed.viewWide,
    steadiness: framed.steadiness,
    tilt: framed.tilt,
    editCrop: framed.editCrop,
    bitRate: frame.bitRateHarm(brief, mode, encoding),
    card: frame.cardHarm(brief, encoding),
    colour: framed.colour,
  };
}

/** The terms that the frame rate alone decides. */
export function rateTerms({ brief }: Space, frameRate: number): Pick<Harm, 'stutter' | 'cadence'> {
  return { stutter: frame.stutterHarm(brief, frameRate), cadence: frame.cadenceHarm(brief, frameRate) };
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

/** The encodings of a mode that keep the pins, each with the harm that it alone decides. Remembered per brief. */
export function encodingTerms({ brief, workings }: Space, mode: Mode): readonly EncodingTerms[] {
  return (workings.encodings[mode.index] ??= encodingsKept(brief, mode).map((encoding) => ({
    encoding,
    bitRate: frame.bitRateHarm(brief, mode, encoding),
    card: frame.cardHarm(brief, encoding),
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
    figures = shutterHarm.motionFigures(brief, view, light.pulseHz, paceIn(workings, view));
    known[mode.motionGroup] = figures;
  }
  return { ...figures, aimLog: shutterHarm.aimLogOf(figures, school) };
}

/** The pace of the surroundings in a view: the same at every frame rate, so worked out once for all. */
function paceIn({ paces, movement }: Workings, view: MotionView): Pace {
  let ofProjection = paces.get(view.projection);
  if (!ofProjection) paces.set(view.projection, (ofProjection = new Map<number, Pace>()));
  let pace = ofProjection.get(view.horizontalDeg);
  if (!pace) ofProjection.set(view.horizontalDeg, (pace = paceOf(view, movement)));
  return pace;
}
