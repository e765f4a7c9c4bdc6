import { densityOf } from '@/core/units/stops';
import type { Filter } from '@/core/filters/kit';
import type { Preferred } from '@/core/records/preferences';
import type { SettingKey, Settings } from '@/core/records/settings';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { CODEC_LABEL, COLOUR_LABEL, RECORDING_LABEL, STABILIZATION_LABEL, viewLabel } from './labels';

export type FilterNotation = Preferred<'filterNotation'>;

/** A filter as its owner calls it: "ND16", "polarizer", "variable at 3.5 stops", "none". */
export function filterText(
  filter: { ids: readonly string[]; stops: number },
  kit: readonly Filter[],
  notation: FilterNotation = 'factor',
): string {
  if (filter.ids.length === 0) return 'none';
  const kinds = filter.ids.map((id) => kit.find((one) => one.id === id)?.kind ?? 'nd');
  if (kinds.every((kind) => kind === 'nd')) {
    // By factor it is called as its ring calls it, whatever it was measured to be; stops and density are what it takes.
    const label = filter.ids.reduce((sum, id) => sum + nominalStops(kit.find((one) => one.id === id)), 0);
    return densityText(notation === 'factor' && label > 0 ? label : filter.stops, notation);
  }
  const names = filter.ids
    .map((id, at) => {
      const own = kit.find((one) => one.id === id);
      return kinds[at] === 'nd' && own ? densityText(nominalStops(own), notation) : kinds[at];
    })
    .join(' + ');
  return `${names} ${trimmed(filter.stops, 1)}`;
}

/** One filter of a bag by itself: "ND16", "polarizer 1.5", "variable 2–5". */
export function filterName(filter: Filter): string {
  if (filter.kind === 'variable') return `variable ${filter.stopsMin}–${filter.stopsMax}`;
  return filterText({ ids: [filter.id], stops: filter.measuredStops ?? filter.stops }, [filter]);
}

/** The stops on a filter's label; 0 where it has none or is not known. */
function nominalStops(filter: Filter | undefined): number {
  return filter && filter.kind !== 'variable' ? filter.stops : 0;
}

export function densityText(stops: number, notation: FilterNotation): string {
  if (notation === 'stops') return `${trimmed(stops, 1)} stops`;
  if (notation === 'density') return `ND ${trimmed(densityOf(stops), 2)}`;
  return `ND${labelOf(2 ** stops)}`;
}

/** "1/100 s"; under an automatic shutter the longest it may take: "1/100 s, auto". */
export function shutterText(settings: Pick<Settings, 'shutterSeconds' | 'shutterMode'>): string {
  const longest = `${shutterFraction(settings.shutterSeconds)} s`;
  return settings.shutterMode === 'auto' ? `${longest}, auto` : longest;
}

export function isoText(iso: { min: number; max: number }): string {
  return iso.min === iso.max ? String(iso.min) : `${iso.min}–${iso.max}`;
}

export function offsetText(stops: number): string {
  return stops === 0 ? '0' : `${stops > 0 ? '+' : '−'}${trimmed(Math.abs(stops), 1)}`;
}

export function durationText(seconds: number): string {
  if (seconds < 90) return `${trimmed(seconds, 0)} s`;
  const minutes = Math.round(seconds / 60);
  if (minutes < 90) return `${minutes} min`;
  return `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')} min`;
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
      return `${trimmed(settings.frameRate, 3)} fps`;
    case 'shutterSeconds':
      return shutterText(settings);
    case 'shutterAngleDeg':
      return `${trimmed(settings.shutterAngleDeg, 0)}°`;
    case 'shutterMode':
      return settings.shutterMode;
    case 'shutterFloorSeconds':
      return settings.shutterFloorSeconds === undefined
        ? ''
        : `${shutterFraction(settings.shutterFloorSeconds)} s`;
    case 'filter':
      return filterText(settings.filter, kit, notation);
    case 'iso':
      return isoText(settings.iso);
    case 'resolution':
      return `${settings.resolution.width}×${settings.resolution.height}`;
    case 'view':
      return `${viewLabel(settings.view.id)} ${trimmed(settings.view.horizontalDeg, 0)}°`;
    case 'bitRateMbps':
      return `${trimmed(settings.bitRateMbps, 1)} Mbit/s`;
    case 'stabilization':
      return STABILIZATION_LABEL[settings.stabilization];
    case 'whiteBalance':
      return settings.whiteBalance === 'auto' ? 'automatic' : `${settings.whiteBalance} K`;
    case 'colour':
      return COLOUR_LABEL[settings.colour];
    case 'exposureOffsetStops':
      return `${offsetText(settings.exposureOffsetStops)} EV`;
    case 'codec':
      return CODEC_LABEL[settings.codec];
    case 'bitDepth':
      return `${settings.bitDepth} bit`;
    case 'recording':
      return RECORDING_LABEL[settings.recording];
    case 'sharpening':
      return settings.sharpening;
    case 'noiseReduction':
      return settings.noiseReduction;
  }
}

/** As rings are engraved: whole stops by their power of two up to 512, above it by round hundreds (ND1000 holds 9.97 stops). */
function labelOf(factor: number): number {
  return factor < 700 ? Math.round(factor) : Number(factor.toPrecision(1));
}

export function evText(ev: number): string {
  return tenths(ev).replace('-', '−');
}
