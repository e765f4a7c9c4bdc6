import type { Pins } from '../records/settings';
import type { Shot } from '../records/shot';
import { omit } from '../units/omit';

/** The shot for a next time, under its own name. */
export function nextTime(shot: Shot, name: string, change: Pins): Shot {
  // What it is answered with is the person's, and not this shot's.
  return { ...omit(withChange(shot, change), 'learned'), name };
}

/** What a finding asks for is pinned, and what was pinned against it lets go. */
export function withChange(shot: Shot, change: Pins): Shot {
  let pins: Pins = { ...shot.pins };
  // The angle says the same as the time; a floor belongs to a shutter that runs by itself.
  if (change.shutterSeconds !== undefined || change.frameRate !== undefined)
    pins = omit(pins, 'shutterAngleDeg');
  if (change.shutterMode !== undefined) pins = omit(pins, 'shutterFloorSeconds');
  if (change.frameRate !== undefined && change.shutterSeconds === undefined)
    pins = omit(pins, 'shutterSeconds');
  return { ...shot, pins: { ...pins, ...change } };
}
