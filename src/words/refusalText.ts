import * as messages from '@/language/words/refusal';
import type { Brief } from '@/core/brief/brief';
import type { Pins } from '@/core/records/settings';
import type { Refusal, NearestChange } from '@/core/answer/refusal';
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
    case 'shutterLongerThanInterval':
    case 'shutterTooShort':
      return brief.pins.shutterSeconds === undefined ? 'pins.shutterAngleDeg' : 'pins.shutterSeconds';
    case 'shutterFloorAbove':
      return 'pins.shutterFloorSeconds';
    case 'noAutoShutter':
      return 'pins.shutterMode';
    case 'angleDisagrees':
      return 'pins.shutterAngleDeg';
    case 'takesNoFilter':
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
      return messages.theHasNoModeWith({
        camera,
        asked,
        count: says.length > 0 ? `: ${says.join('; ')}` : '',
      });
    }
    case 'setByInterval':
      return messages.isSetByItsInterval({ recording: RECORDING_LABEL[obstacle.recording] });
    case 'noManualShutter':
      return messages.runsItsOwnShutterIt({ recording: RECORDING_LABEL[obstacle.recording] });
    case 'noSuchView':
      return messages.theHasNoViewIt({
        camera,
        viewId: obstacle.viewId,
        offered: obstacle.offered.map(viewLabel).join(', '),
      });
    case 'shutterLongerThanFrame':
      return messages.aShutterOfSDoes({
        shutterSeconds: shutterFraction(obstacle.shutterSeconds),
        frameRates: obstacle.frameRates.map((fps) => trimmed(fps, 3)).join(', '),
      });
    case 'shutterLongerThanInterval':
      return messages.aShutterOfSAtInterval({
        shutterSeconds: trimmed(obstacle.shutterSeconds, 2),
        intervalSeconds: trimmed(obstacle.intervalSeconds, 2),
      });
    case 'shutterTooShort':
      return messages.sIsShorterThanThe({
        shutterSeconds: shutterFraction(obstacle.shutterSeconds),
        shortestSeconds: shutterFraction(obstacle.shortestSeconds),
      });
    case 'shutterFloorAbove':
      return messages.theShortestShutterSIs({ floorSeconds: shutterFraction(obstacle.floorSeconds) });
    case 'noAutoShutter':
      return messages.theHasNoAutomaticShutter({ camera });
    case 'angleDisagrees':
      return messages.andSDoNotAgree({
        shutterAngleDeg: trimmed(obstacle.shutterAngleDeg, 1),
        shutterSeconds: shutterFraction(obstacle.shutterSeconds),
      });
    case 'takesNoFilter':
      return messages.theTakesNoFilter({ camera });
    case 'filterNotInKit':
      return messages.isNotInTheKit({
        ids: obstacle.ids.join('", "'),
        count: obstacle.kit.length > 0 ? obstacle.kit.join(', ') : messages.noFilters,
      });
    case 'filterStops':
      return messages.cannotBeSetToStops({
        ids: obstacle.ids.join(' + '),
        stops: trimmed(obstacle.stops, 2),
      });
    case 'isoOutside':
      return messages.isoIsOutsideBaseCamera({
        obstacle: isoText(obstacle),
        base: obstacle.base,
        cameraMax: Math.min(obstacle.cameraMax, obstacle.ceiling),
        cameraMax2: obstacle.cameraMax,
        ceiling: obstacle.ceiling,
      });
    case 'ceilingBelowBase':
      return messages.theISOCeilingIsBelow({ ceiling: obstacle.ceiling, base: obstacle.base });
  }
}

/** A way out, as the change to make: "bit rate 100 Mbit/s instead". */
export function wayText(way: NearestChange, brief: Brief): string {
  return way.gaveWay
    .map((key) =>
      key === 'isoCeiling'
        ? messages.isoCeiling({ isoCeiling: way.isoCeiling ?? '' })
        : `${SETTING_LABEL[key].toLowerCase()} ${settingText(key, way.settings, brief.filters)}`,
    )
    .join(messages.and);
}

function pinText(key: keyof Pins, pins: Pins): string {
  switch (key) {
    case 'frameRate':
      return messages.fps({ frameRate: trimmed(pins.frameRate ?? 0, 3) });
    case 'resolution':
      return `${pins.resolution?.width ?? 0}×${pins.resolution?.height ?? 0}`;
    case 'view':
      return messages.theView({ id: viewLabel(pins.view?.id ?? '') });
    case 'stabilization':
      return STABILIZATION_LABEL[pins.stabilization ?? 'off'];
    case 'recording':
      return RECORDING_LABEL[pins.recording ?? 'video'];
    case 'bitDepth':
      return messages.bit({ bitDepth: pins.bitDepth ?? 8 });
    case 'bitRateMbps':
      return messages.mbitS({ bitRateMbps: trimmed(pins.bitRateMbps ?? 0, 1) });
    default:
      return `${SETTING_LABEL[key].toLowerCase()} ${JSON.stringify(pins[key])}`;
  }
}
