import type { Recording, StartMethod } from '@/core/vocabulary/modes';
import type { Combination } from '@/core/camera/modeTable';
import type { CameraProfile, ProfileRule } from '@/core/camera/profile';
import type { Finding } from '@/core/camera/tableFindings';
import type { GiveUp, WishKey, Wishes } from '@/core/camera/wishes';
import type { Projection } from '@/core/optics/projection';
import type { ThingKind } from '@/core/records/kitItem';
import { trimmed } from '@/core/units/format';
import { CODEC_LABEL, COLOUR_LABEL, RECORDING_LABEL, STABILIZATION_LABEL, viewLabel } from './labels';

/** What the kit and the mode map say of a camera. */
export const WISH_LABEL: Record<WishKey, string> = {
  recording: 'Recording',
  resolutionId: 'Resolution',
  frameRate: 'Frame rate',
  viewId: 'View',
  stabilization: 'Stabilization',
  codec: 'Codec',
  bitDepth: 'Colour depth',
  colour: 'Colour',
};

export function wishText(key: WishKey, value: NonNullable<Wishes[WishKey]>): string {
  switch (key) {
    case 'recording':
      return RECORDING_LABEL[value as NonNullable<Wishes['recording']>];
    case 'frameRate':
      return `${trimmed(Number(value), 3)} fps`;
    case 'viewId':
      return viewLabel(String(value));
    case 'stabilization':
      return STABILIZATION_LABEL[value as NonNullable<Wishes['stabilization']>];
    case 'codec':
      return CODEC_LABEL[value as NonNullable<Wishes['codec']>];
    case 'bitDepth':
      return `${value} bit`;
    case 'colour':
      return COLOUR_LABEL[value as NonNullable<Wishes['colour']>];
    case 'resolutionId':
      return String(value);
  }
}

/** What a wish becomes in the mode that is offered instead. */
export function insteadText({ keys, mode }: GiveUp): string {
  return keys
    .map((key) => {
      switch (key) {
        case 'recording':
          return RECORDING_LABEL[mode.recording];
        case 'resolutionId':
          return mode.resolution.id;
        case 'frameRate':
          return `${trimmed(mode.frameRate, 3)} fps`;
        case 'viewId':
          return `${viewLabel(mode.view.id)} view`;
        case 'stabilization':
          return mode.stabilization === 'off' ? 'no hold' : STABILIZATION_LABEL[mode.stabilization];
        case 'codec':
          return [...new Set(mode.encodings.map(({ codec }) => CODEC_LABEL[codec]))].join(' or ');
        case 'bitDepth':
          return `${[...new Set(mode.encodings.map(({ bitDepth }) => bitDepth))].join(' or ')} bit`;
        case 'colour':
          return mode.colours.map((colour) => COLOUR_LABEL[colour]).join(' or ');
      }
    })
    .join(' and ');
}

export function combinationText(wish: Combination): string {
  const kind = wish.recording === 'video' ? '' : `${RECORDING_LABEL[wish.recording]}, `;
  return `${kind}${wish.resolutionId} at ${trimmed(wish.frameRate, 3)} fps, ${viewLabel(wish.viewId)}, ${STABILIZATION_LABEL[wish.stabilization]}`;
}

/** A rule as a line: sizes, rates, views, holds, and what it records as. */
export function ruleText(rule: ProfileRule): string {
  const rates = rule.frameRates.map((rate) => trimmed(rate, 3)).join(' ');
  const holds = rule.stabilizations.map((hold) => STABILIZATION_LABEL[hold]).join(', ');
  const kinds = rule.recordings.map((kind) => RECORDING_LABEL[kind]).join(', ');
  return `${rule.resolutions.join(', ')} at ${rates} fps; ${rule.views.map(viewLabel).join(', ')}; ${holds}; as ${kinds}.`;
}

export function findingText(finding: Finding, profile: CameraProfile): string {
  switch (finding.code) {
    case 'overlap':
      return `Rule ${finding.rule + 1} says again ${finding.count} ${finding.count === 1 ? 'mode' : 'modes'} that rule ${finding.earlier + 1} has, such as ${combinationText(finding.example)}; the earlier one counts.`;
    case 'limitIdle':
      return `"${finding.says}" takes nothing away: no rule offers it. Remove it, or mend its conditions.`;
    case 'ruleEmpty':
      return `Rule ${finding.rule + 1} gives no mode at all: the limits take every one. Remove it, or loosen a limit.`;
    case 'neverOffered':
      return `The ${finding.what} "${finding.id}" is described, but no rule offers it.`;
    case 'gap':
      return `${finding.missing} has no ${trimmed(finding.frameRate, 3)} fps where ${finding.larger} and ${finding.smaller} do (${finding.count} ${finding.count === 1 ? 'mode' : 'modes'}). Is it meant?`;
    case 'cropEnlarges':
      return `${STABILIZATION_LABEL[finding.stabilization]} leaves ${finding.leftPx} px of the sensor, so ${finding.resolutionId} (${finding.neededPx} px) would be enlarged. A smaller crop, or a smaller size.`;
    case 'cropLeavesLittle':
      return `${STABILIZATION_LABEL[finding.stabilization]} leaves ${trimmed(finding.leftDeg, 0)}° of the ${viewLabel(finding.viewId)} view: less than half. Is the crop per side right?`;
    case 'bitRateTooLow':
      return `Rule ${finding.rule + 1}: ${trimmed(finding.bitRateMbps, 1)} Mbit/s at ${finding.resolutionId} is ${trimmed(finding.bitsPerPixel, 3)} bits a pixel, too few for any moving picture.`;
    case 'logInEightBit':
      return `Rule ${finding.rule + 1} records log in 8 bit on ${profile.name}: it breaks into bands when graded.`;
  }
}

export const PROJECTION_LABEL: Record<Projection, string> = {
  straight: 'straight lines',
  curved: 'curved, equidistant',
  equisolid: 'curved, equisolid',
  stretched: 'curved and stretched',
};

export const START_LABEL: Record<StartMethod, string> = {
  button: 'button',
  oneButton: 'one button from off',
  voice: 'voice',
  remote: 'remote',
  timer: 'timer',
  code: 'code it reads',
  phone: 'phone',
  alwaysOn: 'always on',
};

export const THING_LABEL: Record<ThingKind, { one: string; many: string }> = {
  camera: { one: 'camera', many: 'Cameras' },
  filter: { one: 'filter', many: 'Filters' },
  card: { one: 'card', many: 'Cards' },
  cell: { one: 'cell', many: 'Cells' },
  bank: { one: 'bank', many: 'Banks' },
  mount: { one: 'mount', many: 'Mounts' },
};

/** What a way of recording gives, and what it takes. */
export const RECORDING_WHY: Record<Recording, string> = {
  video: 'Plain video: every setting is yours.',
  slowMotion: 'Written to play slowly; no sound, and the frame rate is its own.',
  hdr: 'Two exposures in one: more sky kept, but the camera runs the shutter.',
  lowLight: 'Less noise in the shade, but the camera runs the shutter.',
  loop: 'Keeps only the last minutes.',
  timeLapse: 'One frame at each interval.',
  movingTimeLapse: 'One frame at each interval, steadied.',
};
