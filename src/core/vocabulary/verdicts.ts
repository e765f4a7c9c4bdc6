/** What is said of a recording that came back. */
export const VERDICTS = [
  'good',
  'tooDark',
  'whiteSky',
  'smear',
  'stutter',
  'strobing',
  'noisy',
  'tilted',
  'blocked',
  'cutOff',
  'outOfFocus',
  'flicker',
  'other',
] as const;
export type Verdict = (typeof VERDICTS)[number];

/** Why a recording ended before it should. */
export const CUT_REASONS = ['cardFull', 'batteryFlat', 'tooHot', 'stopped', 'unknown'] as const;
export type CutReason = (typeof CUT_REASONS)[number];
