import { shutterAngleDeg } from '../playback/shutterAngle';
import { offsetFor } from '../loss/picture';
import type { Settings } from '../records/settings';
import type { Candidate } from './candidate';
import type { Space } from './space';

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
    exposureOffsetStops: pins.exposureOffsetStops ?? (auto || iso.spanStops > 0 ? offsetIn(space).stops : 0),
    sharpening: pins.sharpening ?? (graded ? 'low' : 'standard'),
    noiseReduction: pins.noiseReduction ?? (graded ? 'low' : 'standard'),
  };
}

/** What an exposure that the camera moves is offset by, and why: where all stands still an offset would do nothing. */
export function offsetIn({ light, school, workings }: Space): ReturnType<typeof offsetFor> {
  return offsetFor(workings.picture, light, school.exposureOffsetStops);
}
