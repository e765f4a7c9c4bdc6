/** The words in which a camera tells what it does. */
export const STABILIZATIONS = ['off', 'standard', 'strong', 'levelHold', 'rollHold'] as const;
export const COLOURS = ['standard', 'flat', 'log'] as const;
export const CODECS = ['avc', 'hevc'] as const;
/** How a mode records: plain video and what some cameras have beside it. */
export const RECORDINGS = [
  'video',
  'slowMotion',
  'hdr',
  'lowLight',
  'loop',
  'timeLapse',
  'movingTimeLapse',
] as const;
export const START_METHODS = [
  'button',
  'oneButton',
  'voice',
  'remote',
  'timer',
  'code',
  'phone',
  'alwaysOn',
] as const;
/** How much work the picture gets after the shot. */
export const GRADES = ['none', 'light', 'full'] as const;

export type Stabilization = (typeof STABILIZATIONS)[number];
export type Colour = (typeof COLOURS)[number];
export type Codec = (typeof CODECS)[number];
export type RecordingMode = (typeof RECORDINGS)[number];
export type StartMethod = (typeof START_METHODS)[number];
export type Grade = (typeof GRADES)[number];
