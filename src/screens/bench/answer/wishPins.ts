import type { CameraProfile } from '@/core/camera/profile';
import type { ModeWishes } from '@/core/camera/wishes';
import type { Pins } from '@/core/records/settings';
import { omit } from '@/core/units/omit';

/** Pins of a shot as wishes of the mode map, and back. */
export function wishesOf(pins: Pins, camera: CameraProfile): ModeWishes {
  const size = camera.resolutions.find(
    ({ width, height }) => width === pins.resolution?.width && height === pins.resolution.height,
  );
  return {
    ...(pins.recording ? { recording: pins.recording } : {}),
    ...(size ? { resolutionId: size.id } : {}),
    ...(pins.frameRate === undefined ? {} : { frameRate: pins.frameRate }),
    ...(pins.view ? { viewId: pins.view.id } : {}),
    ...(pins.stabilization ? { stabilization: pins.stabilization } : {}),
    ...(pins.codec ? { codec: pins.codec } : {}),
    ...(pins.bitDepth ? { bitDepth: pins.bitDepth } : {}),
    ...(pins.colour ? { colour: pins.colour } : {}),
  };
}

export function pinsOfWishes(wishes: ModeWishes, camera: CameraProfile): Pins {
  const size = camera.resolutions.find(({ id }) => id === wishes.resolutionId);
  return {
    ...(wishes.recording ? { recording: wishes.recording } : {}),
    ...(size ? { resolution: { width: size.width, height: size.height } } : {}),
    ...(wishes.frameRate === undefined ? {} : { frameRate: wishes.frameRate }),
    ...(wishes.viewId === undefined ? {} : { view: { id: wishes.viewId } }),
    ...(wishes.stabilization ? { stabilization: wishes.stabilization } : {}),
    ...(wishes.codec ? { codec: wishes.codec } : {}),
    ...(wishes.bitDepth ? { bitDepth: wishes.bitDepth } : {}),
    ...(wishes.colour ? { colour: wishes.colour } : {}),
  };
}

/** Pins that the map does not show stay as they are. */
export function otherPins(pins: Pins): Pins {
  return (
    ['recording', 'resolution', 'frameRate', 'view', 'stabilization', 'codec', 'bitDepth', 'colour'] as const
  ).reduce<Pins>((rest, key) => omit(rest, key), pins);
}
