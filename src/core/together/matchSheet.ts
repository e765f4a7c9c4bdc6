import { shutterAngleDeg } from '../playback/shutterAngle';
import type { SettingKey, Settings } from '../records/settings';
import type { RateFamily } from '../playback/cadence';
import { cadenceOf, familyOf } from '../playback/cadence';
import { nearlyEqual } from '../units/stops';

/** What must be equal for cameras to cut together, camera by camera. */
export type MatchItem = { same: boolean } & (
  | { what: 'family'; values: (RateFamily | null)[]; fps: number[] }
  | { what: 'shownAngle'; degrees: number[] }
  | { what: 'shutterMode'; values: Settings['shutterMode'][] }
  | { what: 'whiteBalance'; values: Settings['whiteBalance'][] }
  | { what: 'colour'; values: Settings['colour'][] }
  | { what: 'exposureOffset'; stops: number[] }
);

/** Shutter angles that differ by less than this look alike, degrees. */
const SAME_ANGLE_DEG = 12;

/** The look of a shutter on the timeline: its angle in degrees of the frames shown, whatever was captured. */
export function shownAngleDeg(
  settings: Pick<Settings, 'frameRate' | 'shutterSeconds'>,
  playback: { timelineFps: number; slowdown: number },
): number {
  const { shownFps } = cadenceOf(settings.frameRate, playback.timelineFps, playback.slowdown);
  return shutterAngleDeg(shownFps, settings.shutterSeconds);
}

export function matchSheetOf(
  cameras: readonly Settings[],
  playback: { timelineFps: number; slowdown: number },
): MatchItem[] {
  const all = <T>(values: readonly T[], alike: (a: T, b: T) => boolean = Object.is): boolean =>
    values.every((value) => alike(value, values[0] as T));
  const families = cameras.map(({ frameRate }) => familyOf(frameRate));
  const angles = cameras.map((settings) => shownAngleDeg(settings, playback));
  const whiteBalances = cameras.map(({ whiteBalance }) => whiteBalance);
  const offsets = cameras.map(({ exposureOffsetStops }) => exposureOffsetStops);
  return [
    {
      what: 'family',
      same: all(families) && families[0] !== null,
      values: families,
      fps: cameras.map(({ frameRate }) => frameRate),
    },
    {
      what: 'shownAngle',
      same: all(angles, (a, b) => Math.abs(a - b) <= SAME_ANGLE_DEG),
      degrees: angles,
    },
    {
      what: 'shutterMode',
      same: all(cameras.map(({ shutterMode }) => shutterMode)),
      values: cameras.map(({ shutterMode }) => shutterMode),
    },
    {
      what: 'whiteBalance',
      // Two automatics drift apart: only a locked value is equal.
      same: all(whiteBalances) && whiteBalances[0] !== 'auto',
      values: whiteBalances,
    },
    {
      what: 'colour',
      same: all(cameras.map(({ colour }) => colour)),
      values: cameras.map(({ colour }) => colour),
    },
    { what: 'exposureOffset', same: all(offsets, nearlyEqual), stops: offsets },
  ];
}

/** What may differ between cameras that are cut together, and is seen all the same, in the order in which it is. */
const MAY_DIFFER = [
  'view',
  'stabilization',
  'resolution',
  'sharpening',
  'noiseReduction',
  'iso',
  'filter',
  'codec',
  'bitDepth',
  'bitRateMbps',
  'recording',
] as const satisfies readonly SettingKey[];

export interface MayDiffer {
  what: (typeof MAY_DIFFER)[number];
  same: boolean;
}

export function mayDiffer(cameras: readonly Settings[]): MayDiffer[] {
  return MAY_DIFFER.map((what) => ({
    what,
    same: new Set(cameras.map((settings) => JSON.stringify(settings[what]))).size <= 1,
  }));
}
