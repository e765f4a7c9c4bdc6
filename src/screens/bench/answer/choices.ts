import * as messages from '@/language/bench/answer';
import { shutterAngleDeg } from '@/core/playback/shutterAngle';
import { STABILIZATIONS } from '@/core/vocabulary/modes';
import { modesOf } from '@/core/camera/modeTable';
import { wearable } from '@/core/filters/bag';
import { filterSettings } from '@/core/filters/kit';
import type { Brief } from '@/core/brief/brief';
import type { Pins, SettingKey, Settings } from '@/core/records/settings';
import { search } from '@/core/search/search';
import { spaceFor } from '@/core/search/space';
import { THIRD_STOP_SHUTTERS } from '@/core/units/stops';
import {
  CODEC_LABEL,
  COLOUR_LABEL,
  RECORDING_LABEL,
  STABILIZATION_LABEL,
  viewLabel,
  STRENGTH_LABEL,
} from '@/words/labels';
import { filterText, isoText, offsetText } from '@/words/settingText';
import type { FilterNotation } from '@/words/settingText';
import { withoutPins } from './pins';
import { shutterFraction, trimmed } from '@/core/units/format';

/** A value a tile can be pinned to. */
export interface TileChoice {
  label: string;
  pins: Pins;
  /** The tile stands here now. */
  current: boolean;
}

const unique = <T>(values: readonly T[], key: (value: T) => string): T[] => [
  ...new Map(values.map((value) => [key(value), value])).values(),
];

/** Everything a tile can be set to on this camera, in the order in which arrows step through it. */
export function choicesFor(
  key: SettingKey,
  brief: Brief,
  now: Settings,
  notation: FilterNotation,
): TileChoice[] {
  const modes = modesOf(brief.camera);
  switch (key) {
    case 'frameRate':
      return unique(
        modes.map((mode) => mode.frameRate),
        String,
      )
        .sort((a, b) => a - b)
        .map((frameRate) => ({
          label: messages.fps({ frameRate: trimmed(frameRate, 3) }),
          pins: { frameRate },
          current: frameRate === now.frameRate,
        }));
    case 'shutterSeconds':
      return shutterChoices(brief, now);
    case 'filter':
      return unique(filterSettings(wearable(brief)), ({ ids, stops }) => `${ids.join()}|${stops}`).map(
        ({ ids, stops }) => ({
          label: filterText({ ids, stops }, brief.filters, notation),
          pins: { filter: { ids: [...ids], stops } },
          current: stops === now.filter.stops && ids.join() === now.filter.ids.join(),
        }),
      );
    case 'iso':
      return isoChoices(brief, now);
    case 'resolution':
      return unique(
        modes.map((mode) => mode.resolution),
        ({ id }) => id,
      )
        .sort((a, b) => a.width * a.height - b.width * b.height)
        .map(({ id, width, height }) => ({
          label: `${id} · ${width}×${height}`,
          pins: { resolution: { width, height } },
          current: width === now.resolution.width && height === now.resolution.height,
        }));
    case 'view':
      return brief.camera.views.map(({ id, horizontalDeg }) => ({
        label: messages.beforeAnyCrop({ id: viewLabel(id), horizontalDeg }),
        pins: { view: { id } },
        current: id === now.view.id,
      }));
    case 'bitRateMbps':
      return unique(
        modes.flatMap((mode) => mode.encodings.map(({ bitRateMbps }) => bitRateMbps)),
        String,
      )
        .sort((a, b) => a - b)
        .map((bitRateMbps) => ({
          label: messages.mbitS({ bitRateMbps: trimmed(bitRateMbps, 1) }),
          pins: { bitRateMbps },
          current: bitRateMbps === now.bitRateMbps,
        }));
    case 'stabilization': {
      const offered = new Set(modes.map((mode) => mode.stabilization));
      return STABILIZATIONS.filter((one) => offered.has(one)).map((stabilization) => ({
        label: STABILIZATION_LABEL[stabilization],
        pins: { stabilization },
        current: stabilization === now.stabilization,
      }));
    }
    case 'codec':
      return unique(
        modes.flatMap((mode) => mode.encodings.map(({ codec }) => codec)),
        String,
      ).map((codec) => ({
        label: CODEC_LABEL[codec],
        pins: { codec },
        current: codec === now.codec,
      }));
    case 'bitDepth':
      return unique(
        modes.flatMap((mode) => mode.encodings.map((encoding) => encoding.bitDepth)),
        String,
      ).map((bitDepth) => ({
        label: messages.bit({ bitDepth }),
        pins: { bitDepth },
        current: bitDepth === now.bitDepth,
      }));
    case 'recording':
      return unique(
        modes.map(({ recording }) => recording),
        String,
      ).map((recording) => ({
        label: RECORDING_LABEL[recording],
        pins: { recording },
        current: recording === now.recording,
      }));
    case 'colour':
      return unique(
        modes.flatMap((mode) => mode.colours),
        String,
      ).map((colour) => ({
        label: COLOUR_LABEL[colour],
        pins: { colour },
        current: colour === now.colour,
      }));
    case 'whiteBalance':
      return unique(['auto', ...kelvinsWith(now.whiteBalance)] as const, String).map((whiteBalance) => ({
        label: whiteBalance === 'auto' ? messages.automatic : messages.whiteBalance({ whiteBalance }),
        pins: { whiteBalance },
        current: whiteBalance === now.whiteBalance,
      }));
    case 'exposureOffsetStops':
      return [-1, -0.7, -0.5, -0.3, 0, 0.3, 0.5].map((exposureOffsetStops) => ({
        label: messages.exposureOffsetStops({ exposureOffsetStops: offsetText(exposureOffsetStops) }),
        pins: { exposureOffsetStops },
        current: exposureOffsetStops === now.exposureOffsetStops,
      }));
    case 'sharpening':
    case 'noiseReduction':
      return (['low', 'standard', 'high'] as const).map((value) => ({
        label: STRENGTH_LABEL[value],
        pins: { [key]: value },
        current: value === now[key],
      }));
    default:
      return [];
  }
}

/** White balances that cameras offer, K, and the one at hand, from the warmest. */
function kelvinsWith(now: Settings['whiteBalance']): number[] {
  const usual = [2100, 2800, 3200, 4000, 5000, 5600, 6500, 7500];
  return (now === 'auto' ? usual : [...usual, now]).sort((a, b) => a - b);
}

function shutterChoices(brief: Brief, now: Settings): TileChoice[] {
  const { shortestSeconds, auto } = brief.camera.shutter;
  const times = unique(
    [...THIRD_STOP_SHUTTERS, 1 / (2 * now.frameRate), now.shutterSeconds]
      .filter((seconds) => seconds >= shortestSeconds * 0.999 && seconds <= 1.001 / now.frameRate)
      .sort((a, b) => b - a),
    (seconds) => seconds.toPrecision(6),
  );
  const fixed = times.map((shutterSeconds): TileChoice => ({
    label: messages.shutterSecondsAndFrameRate({
      shutterSeconds: shutterFraction(shutterSeconds),
      frameRate: trimmed(shutterAngleDeg(now.frameRate, shutterSeconds), 0),
    }),
    pins: { shutterSeconds, shutterMode: 'fixed' },
    current: now.shutterMode === 'fixed' && Math.abs(shutterSeconds / now.shutterSeconds - 1) < 1e-6,
  }));
  const running: TileChoice = {
    label: messages.letItRunAutomatic,
    pins: { shutterMode: 'auto' },
    current: now.shutterMode === 'auto',
  };
  return auto ? [running, ...fixed] : fixed;
}

function isoChoices(brief: Brief, now: Settings): TileChoice[] {
  const { steps, standard } = brief.camera.iso;
  const range = brief.camera.iso[now.colour] ?? standard;
  const usable = steps.filter(
    (iso) => iso >= range.base && iso <= Math.min(range.max, brief.limits.isoCeiling),
  );
  return usable
    .flatMap((min) => usable.filter((max) => max >= min).map((max) => ({ min, max })))
    .map((iso) => ({
      label: iso.min === iso.max ? messages.fixed({ min: iso.min }) : isoText(iso),
      pins: { iso },
      current: iso.min === now.iso.min && iso.max === now.iso.max,
    }));
}

/** How much loss a tile's pin adds: the score with it less the score without. */
export function pinCost(key: SettingKey, brief: Brief, score: number): number {
  const made = spaceFor({ ...brief, pins: withoutPins(brief.pins, key) });
  const free = made.ok ? search(made.space) : null;
  return free ? Math.max(0, score - free.score) : 0;
}
