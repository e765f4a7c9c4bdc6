import * as messages from '@/language/words/setting';
import { densityOf } from '@/core/units/stops';
import type { Filter } from '@/core/filters/kit';
import type { Preferred } from '@/core/records/preferences';
import type { SettingKey, Settings } from '@/core/records/settings';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import {
  CODEC_LABEL,
  COLOUR_LABEL,
  FILTER_KIND_LABEL,
  RECORDING_LABEL,
  SHUTTER_MODE_LABEL,
  STRENGTH_LABEL,
  STABILIZATION_LABEL,
  viewLabel,
} from './labels';

export type FilterNotation = Preferred<'filterNotation'>;

/** A filter as its owner calls it: "ND16", "polarizer", "variable at 3.5 stops", "none". */
export function filterText(
  filter: { ids: readonly string[]; stops: number },
  kit: readonly Filter[],
  notation: FilterNotation = 'factor',
): string {
  if (filter.ids.length === 0) return messages.none;
  const kinds = filter.ids.map((id) => kit.find((one) => one.id === id)?.kind ?? 'nd');
  if (kinds.every((kind) => kind === 'nd')) {
    // By factor it is called as its ring calls it, whatever it was measured to be; stops and density are what it takes.
    const label = filter.ids.reduce((sum, id) => sum + nominalStops(kit.find((one) => one.id === id)), 0);
    return densityText(notation === 'factor' && label > 0 ? label : filter.stops, notation);
  }
  const names = filter.ids
    .map((id, at) => {
      const own = kit.find((one) => one.id === id);
      const kind = kinds[at] ?? 'nd';
      return kind === 'nd' && own ? densityText(nominalStops(own), notation) : FILTER_KIND_LABEL[kind];
    })
    .join(' + ');
  return `${names} ${trimmed(filter.stops, 1)}`;
}

/** What sits on the lens, without where a ring stands: a variable filter is told by its kind alone, nothing as "none". */
export function wornText(
  ids: readonly string[],
  kit: readonly Filter[],
  notation: FilterNotation = 'factor',
): string {
  const worn = kit.filter(({ id }) => ids.includes(id));
  if (worn.some(({ kind }) => kind === 'variable')) return FILTER_KIND_LABEL.variable;
  return filterText({ ids, stops: worn.reduce((sum, filter) => sum + leastStops(filter), 0) }, kit, notation);
}

/** One filter of a bag by itself: "ND16", "polarizer 1.5", "variable 2–5". */
export function filterName(filter: Filter): string {
  if (filter.kind === 'variable')
    return messages.variable({ stopsMin: filter.stopsMin, stopsMax: filter.stopsMax });
  return filterText({ ids: [filter.id], stops: leastStops(filter) }, [filter]);
}

/** The least that a filter takes, stops: what it was measured to take, or its label. */
function leastStops(filter: Filter): number {
  return filter.kind === 'variable' ? filter.stopsMin : (filter.measuredStops ?? filter.stops);
}

/** The stops on a filter's label; 0 where it has none or is not known. */
function nominalStops(filter: Filter | undefined): number {
  return filter && filter.kind !== 'variable' ? filter.stops : 0;
}

export function densityText(stops: number, notation: FilterNotation): string {
  if (notation === 'stops') return messages.stops({ stops: trimmed(stops, 1) });
  if (notation === 'density') return messages.stopsStops({ stops: trimmed(densityOf(stops), 2) });
  return `ND${labelOf(2 ** stops)}`;
}

/** "1/100 s"; under an automatic shutter the longest it may take: "1/100 s, auto". */
export function shutterText(settings: Pick<Settings, 'shutterSeconds' | 'shutterMode'>): string {
  const longest = messages.shutterSeconds({ shutterSeconds: shutterFraction(settings.shutterSeconds) });
  return settings.shutterMode === 'auto' ? messages.auto({ longest }) : longest;
}

export function isoText(iso: { min: number; max: number }): string {
  return iso.min === iso.max ? String(iso.min) : `${iso.min}–${iso.max}`;
}

export function offsetText(stops: number): string {
  return stops === 0 ? '0' : `${stops > 0 ? '+' : '−'}${trimmed(Math.abs(stops), 1)}`;
}

export function durationText(seconds: number): string {
  if (seconds < 90) return messages.seconds({ seconds: trimmed(seconds, 0) });
  const minutes = Math.round(seconds / 60);
  if (minutes < 90) return messages.min({ minutes });
  return messages.hMin({
    minutes: Math.floor(minutes / 60),
    padStart: String(minutes % 60).padStart(2, '0'),
  });
}

/** The value of one setting, with its unit, for a tile or a card. */
export function settingText(
  key: SettingKey,
  settings: Settings,
  kit: readonly Filter[],
  notation: FilterNotation = 'factor',
): string {
  switch (key) {
    case 'frameRate':
      return messages.fps({ frameRate: trimmed(settings.frameRate, 3) });
    case 'shutterSeconds':
      return shutterText(settings);
    case 'shutterAngleDeg':
      return `${trimmed(settings.shutterAngleDeg, 0)}°`;
    case 'shutterMode':
      return SHUTTER_MODE_LABEL[settings.shutterMode];
    case 'shutterFloorSeconds':
      return settings.shutterFloorSeconds === undefined
        ? ''
        : messages.shutterFloorSeconds({
            shutterFloorSeconds: shutterFraction(settings.shutterFloorSeconds),
          });
    case 'filter':
      return filterText(settings.filter, kit, notation);
    case 'iso':
      return isoText(settings.iso);
    case 'resolution':
      return `${settings.resolution.width}×${settings.resolution.height}`;
    case 'view':
      return `${viewLabel(settings.view.id)} ${trimmed(settings.view.horizontalDeg, 0)}°`;
    case 'bitRateMbps':
      return messages.mbitS({ bitRateMbps: trimmed(settings.bitRateMbps, 1) });
    case 'stabilization':
      return STABILIZATION_LABEL[settings.stabilization];
    case 'whiteBalance':
      return settings.whiteBalance === 'auto'
        ? messages.automatic
        : messages.whiteBalance({ whiteBalance: settings.whiteBalance });
    case 'colour':
      return COLOUR_LABEL[settings.colour];
    case 'exposureOffsetStops':
      return messages.exposureOffsetStops({ exposureOffsetStops: offsetText(settings.exposureOffsetStops) });
    case 'codec':
      return CODEC_LABEL[settings.codec];
    case 'bitDepth':
      return messages.bit({ bitDepth: settings.bitDepth });
    case 'recording':
      return RECORDING_LABEL[settings.recording];
    case 'sharpening':
      return STRENGTH_LABEL[settings.sharpening];
    case 'noiseReduction':
      return STRENGTH_LABEL[settings.noiseReduction];
  }
}

/** As rings are engraved: whole stops by their power of two up to 512, above it by round hundreds (ND1000 holds 9.97 stops). */
function labelOf(factor: number): number {
  return factor < 700 ? Math.round(factor) : Number(factor.toPrecision(1));
}

export function evText(ev: number): string {
  return tenths(ev).replace('-', '−');
}
