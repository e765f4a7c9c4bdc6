import type { SettingKey } from '@/core/records/settings';

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
