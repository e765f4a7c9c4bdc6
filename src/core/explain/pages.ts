import type { DayFault } from '../day/dayFaults';
import type { Answer } from '../records/answerFile';
import type { FindingCode } from '../records/clipReport';
import type { FigureKind } from '../records/learned';
import type { DrillKind } from '../records/practised';
import type { SettingKey } from '../records/settings';
import type { Failure } from '../rehearse/lived';
import { REASON_PAGES } from '../vocabulary/reasonPages';
import type { ReasonPage } from '../vocabulary/reasonPages';
import type { TermId } from '../vocabulary/terms';
import type { WordId } from '../vocabulary/words';

/** Those of a time-lapse among them. */
type WarningCode = Answer['warnings'][number]['code'];

/** On which page each thing that another place tells is reasoned. */
export const PAGE_OF_SETTING: Readonly<Record<SettingKey, ReasonPage>> = {
  frameRate: 'playback',
  shutterSeconds: 'shutter',
  shutterAngleDeg: 'shutter',
  shutterMode: 'shutter',
  shutterFloorSeconds: 'shutter',
  filter: 'light',
  iso: 'light',
  exposureOffsetStops: 'light',
  whiteBalance: 'light',
  resolution: 'view',
  view: 'view',
  sharpening: 'view',
  noiseReduction: 'view',
  stabilization: 'steadiness',
  bitRateMbps: 'card',
  codec: 'card',
  bitDepth: 'card',
  recording: 'card',
  colour: 'schools',
};

export const PAGE_OF_TERM: Readonly<Record<TermId, ReasonPage>> = {
  over: 'light',
  under: 'light',
  noise: 'light',
  drift: 'light',
  filter: 'light',
  angle: 'shutter',
  smear: 'steadiness',
  subjectBlur: 'shutter',
  strobing: 'shutter',
  flicker: 'flicker',
  stutter: 'playback',
  cadence: 'playback',
  resolution: 'view',
  viewNarrow: 'view',
  viewWide: 'view',
  steadiness: 'steadiness',
  tilt: 'steadiness',
  editCrop: 'steadiness',
  bitRate: 'card',
  card: 'card',
  colour: 'schools',
  wish: 'schools',
};

export const PAGE_OF_WARNING: Readonly<Record<WarningCode, ReasonPage>> = {
  over: 'light',
  under: 'light',
  noise: 'light',
  flare: 'light',
  reflection: 'light',
  smear: 'steadiness',
  strobing: 'shutter',
  speed: 'shutter',
  stutter: 'playback',
  cadence: 'playback',
  flicker: 'flicker',
  viewNarrow: 'view',
  faceNear: 'view',
  seam: 'view',
  resolution: 'view',
  tilt: 'steadiness',
  margin: 'steadiness',
  bitRate: 'card',
  card: 'card',
  safety: 'cautions',
  heat: 'power',
  power: 'power',
  start: 'playback',
};

export const PAGE_OF_FINDING: Readonly<Record<FindingCode, ReasonPage>> = {
  over: 'light',
  under: 'light',
  drift: 'light',
  noise: 'light',
  smear: 'steadiness',
  shake: 'steadiness',
  tilt: 'steadiness',
  stutter: 'playback',
  frameRate: 'playback',
  strobing: 'shutter',
  soft: 'view',
  size: 'view',
  flicker: 'flicker',
  bitRate: 'card',
  cutOff: 'card',
  wind: 'sound',
  clippedSound: 'sound',
  silent: 'sound',
};

export const PAGE_OF_FAILURE: Readonly<Record<Failure, ReasonPage>> = {
  over: 'light',
  under: 'light',
  smear: 'steadiness',
  card: 'card',
  power: 'power',
  heat: 'power',
  late: 'cameras',
};

export const PAGE_OF_WORD: Readonly<Record<WordId, ReasonPage>> = {
  stop: 'light',
  ev: 'light',
  stopRule: 'light',
  window: 'light',
  highlightGuard: 'light',
  shakeFloor: 'steadiness',
  hold: 'steadiness',
  angle: 'shutter',
  loss: 'schools',
  school: 'schools',
  weighIt: 'schools',
  holds: 'figures',
  pin: 'schools',
  setUp: 'cameras',
  heldByTheDay: 'cameras',
};

export const PAGE_OF_DRILL: Readonly<Record<DrillKind, ReasonPage>> = {
  light: 'light',
  stops: 'light',
  filter: 'light',
  shutter: 'steadiness',
  rate: 'playback',
  view: 'view',
  lasts: 'power',
  school: 'schools',
};

export const PAGE_OF_FIGURE: Readonly<Record<FigureKind, ReasonPage>> = {
  scene: 'light',
  shade: 'light',
  sky: 'light',
  filter: 'light',
  guard: 'light',
  iso: 'light',
  shake: 'steadiness',
  power: 'power',
  heat: 'power',
  bitRate: 'card',
  lateness: 'cameras',
};

/** `null`: nothing that was reasoned, but something that is gone. */
export function pageOfDayFault(fault: DayFault): ReasonPage | null {
  switch (fault.what) {
    case 'missing':
      return null;
    case 'noAnswer':
      return 'schools';
    case 'clash':
    case 'filterRun':
    case 'setups':
      return 'cameras';
    case 'slowCard':
      return 'card';
    case 'light':
      return 'light';
    case 'hot':
      return 'power';
    case 'out':
      return fault.out.what === 'card' ? 'card' : 'power';
  }
}

/** `null`: there is no such page. */
export function reasonPage(name: string | null): ReasonPage | null {
  return REASON_PAGES.find((page) => page === name) ?? null;
}
