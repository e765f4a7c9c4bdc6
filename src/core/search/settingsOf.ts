import { shutterAngleDeg } from '../playback/shutterAngle';
import type { Settings } from '../records/settings';
import type { Candidate } from './candidate';
import type { Space } from './space';

/** Light, EV100, from which a sky stands in the picture brighter than what the camera meters. */
const BRIGHT_SKY_EV = 15;
const USUAL_GUARD_OFFSET = -0.3;

/** A candidate written out as settings, the second row included. Pins stand as they are. */
export function settingsOf(space: Space, candidate: Candidate): Settings {
  const { brief } = space;
  const { pins } = brief;
  const { mode, encoding, colour, shutter, filter, iso } = candidate;
  const graded = brief.look.grade !== 'none';
  const auto = shutter.spanStops > 0;
  return {
    frameRate: mode.frameRate,
    shutterSeconds: shutter.longestSeconds,
    shutterAngleDeg: shutterAngleDeg(mode.frameRate, shutter.longestSeconds),
    shutterMode: auto ? 'auto' : 'fixed',
    ...(auto ? { shutterFloorSeconds: shutter.shortestSeconds } : {}),
    filter: { ids: [...filter.ids], stops: filter.stops },
    iso: { min: iso.min, max: iso.max },
    resolution: { width: mode.resolution.width, height: mode.resolution.height },
    view: { id: mode.view.id, horizontalDeg: mode.view.horizontalDeg },
    bitRateMbps: encoding.bitRateMbps,
    codec: encoding.codec,
    bitDepth: encoding.bitDepth,
    recording: mode.recording,
    stabilization: mode.stabilization,
    whiteBalance: colour.whiteBalance,
    colour: colour.id,
    exposureOffsetStops: pins.exposureOffsetStops ?? offsetFor(space, auto || iso.spanStops > 0),
    sharpening: pins.sharpening ?? (graded ? 'low' : 'standard'),
    noiseReduction: pins.noiseReduction ?? (graded ? 'low' : 'standard'),
  };
}

/** An offset only acts where the camera may move something. */
function offsetFor({ light, school }: Space, floats: boolean): number {
  if (!floats) return 0;
  return school.exposureOffsetStops ?? (light.evMax >= BRIGHT_SKY_EV ? USUAL_GUARD_OFFSET : 0);
}
