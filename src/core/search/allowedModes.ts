import { COLOURS } from '../vocabulary/modes';
import type { Colour, RecordingMode } from '../vocabulary/modes';
import { modesOf } from '../camera/modeTable';
import type { Encoding, Mode } from '../camera/modeTable';
import type { CameraProfile } from '../camera/profile';
import type { Brief } from '../brief/brief';
import { nearlyEqual } from '../units/stops';
import { MODE_PINS } from './obstacle';
import type { ModePin, Obstacle } from './obstacle';

/** The modes that keep every pin, and the colours in which they may be filmed, whatever the school. */
export interface AllowedModes {
  modes: readonly Mode[];
  colours: readonly AllowedColour[];
}

/** A colour with its ISO range, the ceiling counted in. */
export interface AllowedColour {
  id: Colour;
  baseIso: number;
  maxIso: number;
}

/** What the solver takes by itself; the other recordings move the exposure their own way and are the person's wish. */
const PLAIN: ReadonlySet<RecordingMode> = new Set<RecordingMode>(['video', 'slowMotion']);

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
    return modesOf(camera).some((mode) => mode.recording === recording)
      ? { code: 'setByInterval', recording }
      : { code: 'noSuchMode', pins: ['recording'] };
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
  const filmed = COLOURS.filter((id) => pinned.some(({ colours }) => colours.includes(id)));
  const wanted = pins.colour === undefined ? filmed : filmed.filter((id) => id === pins.colour);
  const ranges = wanted.flatMap((id) => {
    const range = camera.iso[id];
    return range ? [{ id, baseIso: range.base, maxIso: Math.min(range.max, limits.isoCeiling) }] : [];
  });
  const colours = ranges.filter(
    ({ baseIso, maxIso }) =>
      baseIso <= limits.isoCeiling && (!pins.iso || (pins.iso.min >= baseIso && pins.iso.max <= maxIso)),
  );
  if (colours.length === 0) return noColour(brief, ranges);
  const ids = new Set(colours.map(({ id }) => id));
  const filmable = (mode: Mode): boolean => mode.colours.some((id) => ids.has(id));
  return { colours, modes: pinned.every(filmable) ? pinned : pinned.filter(filmable) };
}

/** Why no colour is left: the ceiling lies under the lowest base, or the pinned ISO outside every range. */
function noColour({ camera, pins, limits }: Brief, ranges: readonly AllowedColour[]): Obstacle {
  const lowest = ranges.reduce<AllowedColour | null>(
    (best, one) => (best && best.baseIso <= one.baseIso ? best : one),
    null,
  ) ?? { id: 'standard', baseIso: camera.iso.standard.base, maxIso: camera.iso.standard.max };
  if (limits.isoCeiling < lowest.baseIso || !pins.iso)
    return { code: 'ceilingBelowBase', ceiling: limits.isoCeiling, base: lowest.baseIso };
  return {
    code: 'isoOutside',
    ...pins.iso,
    base: lowest.baseIso,
    cameraMax: camera.iso[lowest.id]?.max ?? lowest.maxIso,
    ceiling: limits.isoCeiling,
  };
}

/** Whether a mode keeps one pin. Codec and bit rate must be kept by the same encoding. */
export function keepsPin(brief: Brief, mode: Mode, pin: ModePin): boolean {
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
