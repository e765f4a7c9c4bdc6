import type { Brief } from '@/core/brief/brief';
import type { Pins } from '@/core/records/settings';
import type { Refusal, Way } from '@/core/answer/refusal';
import { shutterFraction, trimmed } from '@/core/units/format';
import { RECORDING_LABEL, SETTING_LABEL, STABILIZATION_LABEL, viewLabel } from './labels';
import { isoText, settingText } from './settingText';

/** The path of the brief that a refusal speaks of. */
export function refusalPath({ obstacle }: Refusal, brief: Brief): string {
  switch (obstacle.code) {
    case 'noSuchMode':
      return `pins.${obstacle.pins.at(-1) ?? 'frameRate'}`;
    case 'setByInterval':
      return 'pins.recording';
    case 'noManualShutter':
      return 'pins.shutterMode';
    case 'noSuchView':
      return 'pins.view.id';
    case 'shutterLongerThanFrame':
    case 'shutterTooShort':
      return brief.pins.shutterSeconds === undefined ? 'pins.shutterAngleDeg' : 'pins.shutterSeconds';
    case 'shutterFloorAbove':
      return 'pins.shutterFloorSeconds';
    case 'noAutoShutter':
      return 'pins.shutterMode';
    case 'angleDisagrees':
      return 'pins.shutterAngleDeg';
    case 'filterNotInKit':
      return 'pins.filter.ids';
    case 'filterStops':
      return 'pins.filter.stops';
    case 'isoOutside':
      return 'pins.iso';
    case 'ceilingBelowBase':
      return 'limits.isoCeiling';
  }
}

export function refusalText({ obstacle, says }: Refusal, brief: Brief): string {
  const camera = brief.camera.name.toLowerCase();
  switch (obstacle.code) {
    case 'noSuchMode': {
      const asked = obstacle.pins.map((pin) => pinText(pin, brief.pins)).join(', ');
      return `the ${camera} has no mode with ${asked} together${says.length > 0 ? `: ${says.join('; ')}` : ''}`;
    }
    case 'setByInterval':
      return `${RECORDING_LABEL[obstacle.recording]} is set by its interval, not by these tiles: it is worked out under Time-lapse; let the pin go to plan a video`;
    case 'noManualShutter':
      return `${RECORDING_LABEL[obstacle.recording]} runs its own shutter; it cannot be held`;
    case 'noSuchView':
      return `the ${camera} has no view "${obstacle.viewId}"; it has ${obstacle.offered.map(viewLabel).join(', ')}`;
    case 'shutterLongerThanFrame':
      return `a shutter of ${shutterFraction(obstacle.shutterSeconds)} s does not fit into a frame at ${obstacle.frameRates.map((fps) => trimmed(fps, 3)).join(', ')} fps`;
    case 'shutterTooShort':
      return `${shutterFraction(obstacle.shutterSeconds)} s is shorter than the ${shutterFraction(obstacle.shortestSeconds)} s this camera has`;
    case 'shutterFloorAbove':
      return `the shortest shutter ${shutterFraction(obstacle.floorSeconds)} s is not below the longest`;
    case 'noAutoShutter':
      return `the ${camera} has no automatic shutter`;
    case 'angleDisagrees':
      return `${trimmed(obstacle.shutterAngleDeg, 1)}° and ${shutterFraction(obstacle.shutterSeconds)} s do not agree at the pinned frame rate`;
    case 'filterNotInKit':
      return `"${obstacle.ids.join('", "')}" is not in the kit; it holds ${obstacle.kit.length > 0 ? obstacle.kit.join(', ') : 'no filters'}`;
    case 'filterStops':
      return `${obstacle.ids.join(' + ')} cannot be set to ${trimmed(obstacle.stops, 2)} stops`;
    case 'isoOutside':
      return `ISO ${isoText(obstacle)} is outside ${obstacle.base}–${Math.min(obstacle.cameraMax, obstacle.ceiling)} (base ${obstacle.base}, camera up to ${obstacle.cameraMax}, your ceiling ${obstacle.ceiling})`;
    case 'ceilingBelowBase':
      return `the ISO ceiling ${obstacle.ceiling} is below this camera's base ISO ${obstacle.base}`;
  }
}

/** A way out, as the change to make: "bit rate 100 Mbit/s instead". */
export function wayText(way: Way, brief: Brief): string {
  return way.gaveWay
    .map((key) =>
      key === 'isoCeiling'
        ? `ISO ceiling ${way.isoCeiling ?? ''}`
        : `${SETTING_LABEL[key].toLowerCase()} ${settingText(key, way.settings, brief.filters)}`,
    )
    .join(' and ');
}

function pinText(key: keyof Pins, pins: Pins): string {
  switch (key) {
    case 'frameRate':
      return `${trimmed(pins.frameRate ?? 0, 3)} fps`;
    case 'resolution':
      return `${pins.resolution?.width ?? 0}×${pins.resolution?.height ?? 0}`;
    case 'view':
      return `the ${viewLabel(pins.view?.id ?? '')} view`;
    case 'stabilization':
      return STABILIZATION_LABEL[pins.stabilization ?? 'off'];
    case 'recording':
      return RECORDING_LABEL[pins.recording ?? 'video'];
    case 'bitDepth':
      return `${pins.bitDepth ?? 8} bit`;
    case 'bitRateMbps':
      return `${trimmed(pins.bitRateMbps ?? 0, 1)} Mbit/s`;
    default:
      return `${SETTING_LABEL[key].toLowerCase()} ${JSON.stringify(pins[key])}`;
  }
}
