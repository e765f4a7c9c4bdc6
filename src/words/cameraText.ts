import { STABILIZATIONS } from '@/core/vocabulary/modes';
import * as messages from '@/language/words/camera';
import type { RecordingMode, StartMethod } from '@/core/vocabulary/modes';
import type { Combination } from '@/core/camera/modeTable';
import type { CameraProfile, ProfileRule } from '@/core/camera/profile';
import type { Finding } from '@/core/camera/tableFindings';
import type { GiveUp, WishKey, ModeWishes } from '@/core/camera/wishes';
import type { Projection } from '@/core/optics/projection';
import type { ThingKind } from '@/core/records/kitItem';
import { trimmed } from '@/core/units/format';
import { CODEC_LABEL, COLOUR_LABEL, RECORDING_LABEL, STABILIZATION_LABEL, viewLabel } from './labels';

/** What the kit and the mode map say of a camera. */
export const WISH_LABEL: Record<WishKey, string> = messages.wishLabel;

export function wishText(key: WishKey, value: NonNullable<ModeWishes[WishKey]>): string {
  switch (key) {
    case 'recording':
      return RECORDING_LABEL[value as NonNullable<ModeWishes['recording']>];
    case 'frameRate':
      return messages.fps({ number: trimmed(Number(value), 3) });
    case 'viewId':
      return viewLabel(String(value));
    case 'stabilization':
      return STABILIZATION_LABEL[value as NonNullable<ModeWishes['stabilization']>];
    case 'codec':
      return CODEC_LABEL[value as NonNullable<ModeWishes['codec']>];
    case 'bitDepth':
      return messages.bit({ value });
    case 'colour':
      return COLOUR_LABEL[value as NonNullable<ModeWishes['colour']>];
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
          return messages.fpsFrameRate({ frameRate: trimmed(mode.frameRate, 3) });
        case 'viewId':
          return messages.view({ id: viewLabel(mode.view.id) });
        case 'stabilization':
          return mode.stabilization === 'off' ? messages.noHold : STABILIZATION_LABEL[mode.stabilization];
        case 'codec':
          return [...new Set(mode.encodings.map(({ codec }) => CODEC_LABEL[codec]))].join(messages.or);
        case 'bitDepth':
          return messages.bit({
            value: [...new Set(mode.encodings.map(({ bitDepth }) => bitDepth))].join(messages.or),
          });
        case 'colour':
          return mode.colours.map((colour) => COLOUR_LABEL[colour]).join(messages.or);
      }
    })
    .join(messages.and);
}

function combinationText(wish: Combination): string {
  const kind = wish.recording === 'video' ? '' : `${RECORDING_LABEL[wish.recording]}, `;
  return messages.atFps({
    kind,
    resolutionId: wish.resolutionId,
    frameRate: trimmed(wish.frameRate, 3),
    viewId: viewLabel(wish.viewId),
    stabilization: STABILIZATION_LABEL[wish.stabilization],
  });
}

/** A rule as a line: sizes, rates, views, holds, and what it records as. */
export function ruleText(rule: ProfileRule): string {
  const rates = rule.frameRates.map((rate) => trimmed(rate, 3)).join(' ');
  const holds = rule.stabilizations.map((hold) => STABILIZATION_LABEL[hold]).join(', ');
  const kinds = rule.recordings.map((kind) => RECORDING_LABEL[kind]).join(', ');
  return messages.atFpsAs({
    resolutions: rule.resolutions.join(', '),
    rates,
    views: rule.views.map(viewLabel).join(', '),
    holds,
    kinds,
  });
}

export function tableFindingText(finding: Finding, profile: CameraProfile): string {
  switch (finding.code) {
    case 'overlap':
      return messages.ruleSaysAgainModeThat({
        rule: finding.rule + 1,
        count: finding.count,
        earlier: finding.earlier + 1,
        example: combinationText(finding.example),
      });
    case 'limitIdle':
      return messages.takesNothingAwayNoRule({ says: finding.says });
    case 'ruleEmpty':
      return messages.ruleGivesNoModeAt({ rule: finding.rule + 1 });
    case 'neverOffered':
      return messages.theIsDescribedButNo({ what: finding.what, id: partText(finding) });
    case 'gap':
      return messages.hasNoFpsWhereAnd({
        missing: finding.missing,
        frameRate: trimmed(finding.frameRate, 3),
        larger: finding.larger,
        smaller: finding.smaller,
        count: finding.count,
      });
    case 'cropEnlarges':
      return messages.leavesPxOfTheSensor({
        stabilization: STABILIZATION_LABEL[finding.stabilization],
        leftPx: finding.leftPx,
        resolutionId: finding.resolutionId,
        neededPx: finding.neededPx,
      });
    case 'cropLeavesLittle':
      return messages.leavesOfTheViewLess({
        stabilization: STABILIZATION_LABEL[finding.stabilization],
        leftDeg: trimmed(finding.leftDeg, 0),
        viewId: viewLabel(finding.viewId),
      });
    case 'bitRateTooLow':
      return messages.ruleMbitSAtIs({
        rule: finding.rule + 1,
        bitRateMbps: trimmed(finding.bitRateMbps, 1),
        resolutionId: finding.resolutionId,
        bitsPerPixel: trimmed(finding.bitsPerPixel, 3),
      });
    case 'logInEightBit':
      return messages.ruleRecordsLogIn8({ rule: finding.rule + 1, profile: profile.name });
  }
}

function partText({ what, id }: Extract<Finding, { code: 'neverOffered' }>): string {
  if (what === 'resolution') return id;
  const hold = STABILIZATIONS.find((one) => one === id);
  return hold ? STABILIZATION_LABEL[hold] : viewLabel(id);
}

export const PROJECTION_LABEL: Record<Projection, string> = messages.projectionLabel;

export const START_LABEL: Record<StartMethod, string> = messages.startLabel;

export const THING_LABEL: Record<ThingKind, { one: string; many: string }> = {
  camera: { one: messages.camera, many: messages.cameras },
  filter: { one: messages.filter, many: messages.filters },
  card: { one: messages.card, many: messages.cards },
  cell: { one: messages.cell, many: messages.cells },
  bank: { one: messages.bank, many: messages.banks },
  mount: { one: messages.mount, many: messages.mounts },
};

/** What a way of recording gives, and what it takes. */
export const RECORDING_WHY: Record<RecordingMode, string> = messages.recordingWhy;
