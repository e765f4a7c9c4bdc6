import type { RecordingMode } from '../vocabulary/modes';

/** Why nothing at all is left to choose from; the pins involved, and figures for the words. */
export type Obstacle =
  | { code: 'setByInterval'; recording: RecordingMode }
  | { code: 'noManualShutter'; recording: RecordingMode }
  | { code: 'noSuchMode'; pins: ModePin[] }
  | { code: 'noSuchView'; viewId: string; offered: string[] }
  | { code: 'shutterLongerThanFrame'; shutterSeconds: number; frameRates: number[] }
  | { code: 'shutterLongerThanInterval'; shutterSeconds: number; intervalSeconds: number }
  | { code: 'shutterTooShort'; shutterSeconds: number; shortestSeconds: number }
  | { code: 'shutterFloorAbove'; shutterSeconds: number; floorSeconds: number }
  | { code: 'noAutoShutter' }
  | { code: 'angleDisagrees'; shutterSeconds: number; shutterAngleDeg: number }
  | { code: 'takesNoFilter' }
  | { code: 'filterNotInKit'; ids: readonly string[]; kit: string[] }
  | { code: 'filterStops'; ids: readonly string[]; stops: number }
  | { code: 'isoOutside'; min: number; max: number; base: number; cameraMax: number; ceiling: number }
  | { code: 'ceilingBelowBase'; ceiling: number; base: number };

export type ModePin =
  | 'frameRate'
  | 'resolution'
  | 'view'
  | 'stabilization'
  | 'recording'
  | 'codec'
  | 'bitDepth'
  | 'bitRateMbps'
  | 'colour';

export const MODE_PINS: readonly ModePin[] = [
  'frameRate',
  'resolution',
  'view',
  'stabilization',
  'recording',
  'codec',
  'bitDepth',
  'bitRateMbps',
  'colour',
];
