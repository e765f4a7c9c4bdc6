import * as messages from '@/language/words/card';
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
    { id: 'clock', text: messages.clockSet },
    { id: 'card', text: messages.cardEmptyGBFastEnough({ cardGb: brief.limits.cardGb }) },
    { id: 'battery', text: messages.batteryFull },
    { id: 'doors', text: messages.doorsShut },
    { id: 'lens', text: messages.lensClean },
    settings.filter.ids.length > 0
      ? { id: 'filter', text: messages.filterSeated }
      : { id: 'filter', text: messages.nothingLeftOnTheLens },
    ...(kinds.includes('polarizer') ? [{ id: 'polarizer', text: messages.polarizerTurned }] : []),
    { id: 'horizon', text: messages.horizonStraight },
    { id: 'tight', text: messages.mountTightTetherOn },
    { id: 'view', text: messages.viewClearOfHandsAnd },
    { id: 'lock', text: messages.screenAndOrientationLocked },
    { id: 'test', text: messages.testClipLookedAtClipping },
  ];
}
