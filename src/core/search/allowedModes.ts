import { modesOf } from '../camera/modeTable';
import type { Encoding, Mode } from '../camera/modeTable';
import type { CameraProfile } from '../camera/profile';
import type { Brief } from '../plan/defaults';
import type { Colour, Recording } from '../plan/words';
import { nearlyEqual } from '../units/stops';
import { MODE_PINS } from './obstacle';
import type { ModePin, Obstacle } from './obstacle';

/** The modes that keep every pin in the colour chosen for the shot, whatever the school. */
export interface AllowedModes {
  modes: readonly Mode[];
  colour: { id: Colour; baseIso: number; maxIso: number };
}

/** What the solver takes by itself; the other recordings move the exposure their own way and are the person's wish. */
const PLAIN: ReadonlySet<Recording> = new Set<Recording>(['video', 'slowMotion']);

const plain = new WeakMap<CameraProfile, readonly Mode[]>();

function plainModes(camera: CameraProfile): readonly Mode[] {
  const known = plain.get(camera);
  if (known) return known;
  const modes = modesOf(camera).filter(({ recording }) => PLAIN.has(recording));
  plain.set(camera, modes);
  return modes;
}

/** Angles this near are the same view. */
const SAME_VIEW_DEG = 0.5;
export function allowedModes(brief: Brief): AllowedModes | Obstacle {
  const { camera, pins, limits } = brief;
  const viewId = pins.view?.id;
  if (viewId !== undefined && !camera.views.some(({ id }) => id === viewId))
    return { code: 'noSuchView', viewId, offered: camera.views.map(({ id }) => id) };
  const recording = pins.recording ?? null;
  if (recording === 'timeLapse' || recording === 'movingTimeLapse')
    return { code: 'setByInterval', recording };
  const modePins = MODE_PINS.filter((pin) => pins[pin] !== undefined);
  const pinned =
    modePins.length === 0
      ? plainModes(camera)
      : modesOf(camera).filter(
          (mode) =>
            (recording === null ? PLAIN.has(mode.recording) : mode.recording === recording) &&
            modePins.every((pin) => keepsPin(brief, mode, pin)),
        );
  if (pinned.length === 0) return { code: 'noSuchMode', pins: modePins };
  const colour = colourFor(brief, pinned);
  if (limits.isoCeiling < colour.baseIso)
    return { code: 'ceilingBelowBase', ceiling: limits.isoCeiling, base: colour.baseIso };
  return { colour, modes: pinned.filter((mode) => mode.colours.includes(colour.id)) };
}

/** Whether a mode keeps one pin. Codec and bit rate must be kept by the same encoding. */
function keepsPin(brief: Brief, mode: Mode, pin: ModePin): boolean {
  const { pins } = brief;
  switch (pin) {
    case 'frameRate':
      return pins.frameRate === undefined || nearlyEqual(mode.frameRate, pins.frameRate);
    case 'resolution':
      return (
        pins.resolution === undefined ||
        (mode.resolution.width === pins.resolution.width && mode.resolution.height === pins.resolution.height)
      );
    case 'view':
      return (
        pins.view === undefined ||
        (mode.view.id === pins.view.id &&
          Math.abs(mode.view.horizontalDeg - (pins.view.horizontalDeg ?? mode.view.horizontalDeg)) <=
            SAME_VIEW_DEG)
      );
    case 'stabilization':
      return pins.stabilization === undefined || mode.stabilization === pins.stabilization;
    case 'recording':
      return pins.recording === undefined || mode.recording === pins.recording;
    case 'codec':
    case 'bitDepth':
    case 'bitRateMbps':
      return encodingsKept(brief, mode).length > 0;
    case 'colour':
      return pins.colour === undefined || mode.colours.includes(pins.colour);
  }
}

/** The encodings of a mode that keep the pins. */
export function encodingsKept(brief: Brief, mode: Mode): readonly Encoding[] {
  const { codec, bitDepth, bitRateMbps } = brief.pins;
  if (codec === undefined && bitDepth === undefined && bitRateMbps === undefined) return mode.encodings;
  return mode.encodings.filter(
    (encoding) =>
      (codec === undefined || encoding.codec === codec) &&
      (bitDepth === undefined || encoding.bitDepth === bitDepth) &&
      (bitRateMbps === undefined || encoding.bitRateMbps === bitRateMbps),
  );
}

/** The colour is the grade's wish where the camera has it under these pins and the ceiling; else standard. */
function colourFor(brief: Brief, modes: readonly Mode[]): { id: Colour; baseIso: number; maxIso: number } {
  const { iso } = brief.camera;
  const wish: Colour = brief.pins.colour ?? (brief.look.grade === 'full' ? 'log' : 'standard');
  const range = iso[wish];
  const reachable =
    range !== undefined &&
    range.base <= Math.min(brief.limits.isoCeiling, brief.pins.iso?.min ?? Infinity) &&
    modes.some((mode) => mode.colours.includes(wish));
  if (range && (reachable || brief.pins.colour)) return { id: wish, baseIso: range.base, maxIso: range.max };
  return { id: 'standard', baseIso: iso.standard.base, maxIso: iso.standard.max };
}
