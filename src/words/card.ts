import type { Brief } from '@/core/brief/brief';
import type { SettingKey, Settings } from '@/core/records/settings';

/** The eight settings in their one order, and the smaller second row. */
export const CARD_KEYS = [
  'frameRate',
  'shutterSeconds',
  'filter',
  'iso',
  'resolution',
  'view',
  'bitRateMbps',
  'stabilization',
] as const satisfies readonly SettingKey[];

export const SECOND_ROW_KEYS = [
  'whiteBalance',
  'colour',
  'exposureOffsetStops',
  'codec',
  'sharpening',
  'noiseReduction',
  'recording',
  'bitDepth',
] as const satisfies readonly SettingKey[];

/** One line of the check before the run. */
export interface Check {
  id: string;
  text: string;
}

/** What to look at before the run, in the order of hands around the camera. */
export function checksFor(brief: Brief, settings: Settings): Check[] {
  const kinds = settings.filter.ids.map((id) => brief.filters.find((filter) => filter.id === id)?.kind);
  return [
    { id: 'clock', text: 'Clock set' },
    { id: 'card', text: `Card empty, ${brief.limits.cardGb} GB, fast enough` },
    { id: 'battery', text: 'Battery full' },
    { id: 'doors', text: 'Doors shut' },
    { id: 'lens', text: 'Lens clean' },
    settings.filter.ids.length > 0
      ? { id: 'filter', text: 'Filter seated' }
      : { id: 'filter', text: 'Nothing left on the lens' },
    ...(kinds.includes('polarizer') ? [{ id: 'polarizer', text: 'Polarizer turned' }] : []),
    { id: 'horizon', text: 'Horizon straight' },
    { id: 'tight', text: 'Mount tight, tether on' },
    { id: 'view', text: 'View clear of hands and gear' },
    { id: 'lock', text: 'Screen and orientation locked' },
    { id: 'test', text: 'Test clip looked at: clipping, framing, smear' },
  ];
}
