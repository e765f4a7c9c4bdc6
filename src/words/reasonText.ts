import { SMEAR_TOLERANCE_PCT } from '@/core/motion/shake';
import { HEVC_SHARE_OF_AVC } from '@/core/camera/card';
import { shutterAngleDeg } from '@/core/playback/shutterAngle';
import type { Filter } from '@/core/filters/kit';
import { blurToAddOfFrameStep } from '@/core/motion/flow';
import type { Light } from '@/core/records/shot';
import type { Reason } from '@/core/answer/reason';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { EYE_PX_PER_DEGREE } from '@/core/playback/screens';
import { changes } from './changesText';
import { RECORDING_WHY } from './cameraText';
import { CODEC_LABEL, SCENE_LABEL, SCHOOL_LABEL, SCREEN_LABEL, STABILIZATION_LABEL } from './labels';
import type { ForcedBy } from '@/core/answer/neighbours';
import { besideSteps, besideText } from './besideText';
import { capital } from './sentences';
import type { ReasonText } from './sentences';
import { colourText, offsetReasonText, whiteBalanceText } from './secondRowText';
import { durationText, evText, filterText } from './settingText';
import { yieldedText } from './wishText';

/** What the words need beside the figures: how the light was told, and the kit. */
export interface Telling {
  light: Light;
  kit: readonly Filter[];
}

export function reasonText(reason: Reason, telling: Telling): ReasonText {
  const said = say(reason, telling);
  if (reason.pinned) return { ...said, text: `You set this. ${said.text}` };
  const beside = besideText(reason.setting, reason.beside, telling.kit);
  return beside === ''
    ? said
    : {
        ...said,
        text: `${said.text} ${beside}`,
        steps: [...said.steps, ...besideSteps(reason.setting, reason.beside, telling.kit)],
      };
}

function say(reason: Reason, telling: Telling): ReasonText {
  switch (reason.setting) {
    case 'frameRate':
      return frameRateText(reason);
    case 'shutterSeconds':
      return shutterReasonText(reason);
    case 'filter':
      return filterReasonText(reason, telling);
    case 'iso':
      return isoReasonText(reason, telling);
    case 'resolution':
      return resolutionText(reason);
    case 'view':
      return viewText(reason);
    case 'bitRateMbps':
      return bitRateText(reason);
    case 'stabilization':
      return stabilizationText(reason);
    case 'whiteBalance':
      return whiteBalanceText(reason);
    case 'colour':
      return colourText(reason);
    case 'exposureOffsetStops':
      return offsetReasonText(reason);
    case 'codec':
      return {
        text:
          reason.codec === 'hevc'
            ? `The same picture in about ${trimmed(HEVC_SHARE_OF_AVC, 1)} of the data.`
            : 'Cuts on any computer, at more data.',
        steps: [`${CODEC_LABEL[reason.codec]} at the bit rate above.`],
      };
    case 'bitDepth':
      return {
        text:
          reason.bitDepth === 10
            ? 'Four times the steps: skies and log grade without bands.'
            : reason.log
              ? 'Log in 8 bit breaks into bands when it is graded.'
              : 'Enough for a picture posted as it is.',
        steps: [],
      };
    case 'recording':
      return { text: RECORDING_WHY[reason.recording], steps: [] };
    case 'sharpening':
    case 'noiseReduction':
      return {
        text: reason.graded
          ? 'Left to the edit, where it can be judged.'
          : 'Posted straight away, so the camera does it.',
        steps: [],
      };
  }
}

type Of<S extends Reason['setting']> = Extract<Reason, { setting: S }>;

function frameRateText(reason: Of<'frameRate'>): ReasonText {
  const { captureFps, neededFps, seenFps, slowdown, timelineFps } = reason;
  const speed = slowdown === 1 ? 'in real time' : `slowed ${trimmed(slowdown, 2)}×`;
  const steps = [
    `A ${trimmed(timelineFps, 3)} fps timeline ${speed} needs ${trimmed(timelineFps, 3)} × ${trimmed(slowdown, 2)} = ${trimmed(neededFps, 1)} captured frames a second.`,
    `${trimmed(captureFps, 3)} fps ÷ ${trimmed(slowdown, 2)} = ${trimmed(seenFps, 1)} seen a second.`,
  ];
  const text =
    Math.abs(captureFps - neededFps) <= 0.002 * neededFps
      ? `Exactly what ${trimmed(timelineFps, 3)} fps ${speed} shows.`
      : captureFps > neededFps
        ? `Nearest above the ${trimmed(neededFps, 1)} that playback needs.`
        : `Playback wants ${trimmed(neededFps, 1)}; ${trimmed(seenFps, 1)} different frames a second are seen.`;
  return { text, steps };
}

function shutterReasonText(reason: Of<'shutterSeconds'>): ReasonText {
  const { seconds, naturalSeconds, shakeFloorSeconds, captureFps, shownFps, smearPct, cause } = reason;
  const angle = shutterAngleDeg(captureFps, seconds);
  const shown = shutterAngleDeg(shownFps, seconds);
  const steps = [
    `180° of ${trimmed(shownFps, 1)} shown frames is 1/(2 × ${trimmed(shownFps, 1)}) = ${shutterFraction(naturalSeconds)} s.`,
    Number.isFinite(shakeFloorSeconds) && shakeFloorSeconds < 10
      ? `Shake floor: ${shutterFraction(shakeFloorSeconds)} s keeps the peak smear within ${trimmed(SMEAR_TOLERANCE_PCT, 2)} % of the width.`
      : 'The mount does not shake, so it sets no floor.',
    `${shutterFraction(seconds)} s at ${trimmed(captureFps, 3)} fps is 360 × ${trimmed(captureFps, 3)} × ${shutterFraction(seconds)} = ${trimmed(angle, 0)}°; peak smear ${trimmed(smearPct, 2)} %.`,
  ];
  if (shown < 170)
    steps.push(
      `Blur to add in the edit for a 180° look: ${trimmed(blurToAddOfFrameStep(shown), 2)} of a frame step.`,
    );
  for (const { school, gains, costs } of reason.against)
    steps.push(`Against ${SCHOOL_LABEL[school]}: it would win ${changes(gains)} and lose ${changes(costs)}.`);
  const yields = reason.yielded.map((one) => yieldedText(one, reason.school));
  steps.push(...yields);
  // The shutter's own wishes stand with it; the others below.
  const own = reason.yielded.findIndex(({ wish }) => wish === 'angle' || wish === 'withinShakeFloor');
  const yielding = own < 0 ? '' : ` ${yields[own] ?? ''}`;
  const text = {
    pinned: `${trimmed(angle, 0)}° at this frame rate.`,
    natural: `Half of each frame: ${trimmed(shown, 0)}°, the natural look.`,
    shakeFloor: `Short enough that shake does not smear: the floor is ${shutterFraction(shakeFloorSeconds)} s.`,
    traded: `${trimmed(shown, 0)}°; 180° would be ${shutterFraction(naturalSeconds)} s.`,
    running: `Runs by itself, ${shutterFraction(seconds)} s at the longest.`,
    slower: `Longer than 180°: ${trimmed(shown, 0)}°.`,
  }[cause];
  const { pulseLeft } = reason;
  if (pulseLeft === null) return { text: text + yielding, steps };
  const lamps =
    pulseLeft < 0.005
      ? 'Steady under the lamps.'
      : `Keeps ${trimmed(pulseLeft * 100, 0)} % of the lamps’ pulse.`;
  return { text: `${text}${yielding} ${lamps}`, steps };
}

function brightName(light: Light): string {
  return light.kind === 'scene' ? capital(SCENE_LABEL[brighter(light)]) : 'The bright end';
}

function brighter(light: Extract<Light, { kind: 'scene' }>): Extract<Light, { kind: 'scene' }>['from'] {
  return SCENE_ORDER.indexOf(light.from) < SCENE_ORDER.indexOf(light.to) ? light.from : light.to;
}

/** Scenes from the brightest to the darkest, as the labels list them. */
const SCENE_ORDER = Object.keys(SCENE_LABEL);

function filterReasonText(reason: Of<'filter'>, { light, kit }: Telling): ReasonText {
  const { evMax, fNumber, seconds, isoMin, wantsEv, excessStops, filterStops, guardStops } = reason;
  const name = filterText({ ids: reason.ids, stops: filterStops }, kit);
  const opening = `${brightName(light)} is ${evText(evMax)}. At f/${trimmed(fNumber, 1)}, ${shutterFraction(seconds)} s and ISO ${isoMin} this camera wants ${evText(wantsEv)}.`;
  const left = excessStops - filterStops;
  const steps = [
    `log2(${trimmed(fNumber, 1)}² ÷ ${shutterFraction(seconds)}) − log2(${isoMin} ÷ 100) = ${evText(wantsEv)}`,
    `${evText(evMax)} − ${evText(wantsEv)} = ${evText(excessStops)} stops; filter ${trimmed(filterStops, 1)}; left ${evText(left)}`,
  ];
  if (reason.auto) {
    const shutter = `the shutter runs to ${shutterFraction(reason.brightSeconds)} s`;
    const short =
      filterStops === 0
        ? `No filter: at the bright end ${shutter}.`
        : `${name} takes ${trimmed(filterStops, 1)}, and at the bright end ${shutter}.`;
    return { text: `${opening} ${short}`, short, steps };
  }
  if (excessStops <= 0.05) {
    const short =
      filterStops > 0
        ? `${name} takes ${trimmed(filterStops, 1)} more.`
        : 'Nothing to take away, so no filter.';
    return { text: `${opening} ${short}`, short, steps };
  }
  const taken = filterStops === 0 ? 'No filter takes any' : `${name} takes ${trimmed(filterStops, 1)}`;
  const rest =
    left > guardStops + 0.05
      ? `${tenths(left)} stay: the guard bears ${tenths(guardStops)}, the rest is white.`
      : left > 0.05
        ? `the last ${tenths(left)} goes to the highlight guard.`
        : left < -0.5
          ? `${tenths(-left)} more than the bright end needs, which ISO gives back.`
          : 'which covers it.';
  const short = `${tenths(excessStops)} stops too much: ${taken}, ${rest}`;
  return { text: `${opening} ${short}`, short, steps };
}

function isoReasonText(reason: Of<'iso'>, { light }: Telling): ReasonText {
  const { min, max, baseIso, evMin, isoWanted, underStops, ceiling } = reason;
  const wanted = Math.round(isoWanted / 10) * 10;
  const dark = light.kind === 'scene' && light.from !== light.to ? 'the darkest stretch' : 'the dark end';
  const steps = [
    `Base ISO ${baseIso}; ceiling ${ceiling}.`,
    `At ${evText(evMin)} the exposure asks for ISO ${wanted}${underStops > 0.05 ? `, ${tenths(underStops)} stops above ${max}` : ''}.`,
  ];
  if (underStops > 0.05)
    return {
      text: `Up to ${max}: ${dark} would ask for ${wanted}, so it stays ${tenths(underStops)} stops dark.`,
      steps,
    };
  if (min === max) return { text: 'Fixed, so brightness does not wander.', steps };
  return { text: `From base to ${max}; ${dark} asks for about ${wanted}.`, steps };
}

function resolutionText(reason: Of<'resolution'>): ReasonText {
  const { width, deliveredWidth, usableWidth, editKeeps } = reason;
  const usable = Math.round(usableWidth);
  const steps = [
    `${width} px recorded; ${usable} px usable in the delivered shape${editKeeps < 0.999 ? ` after the edit's steadying keeps ${trimmed(editKeeps * 100, 0)} %` : ''}; ${deliveredWidth} px wanted.`,
    `On a ${SCREEN_LABEL[reason.screen]} that is about ${trimmed(reason.sightPxPerDegree, 0)} px a degree of sight; the eye tells ${EYE_PX_PER_DEGREE} apart.`,
  ];
  const ratio = usableWidth / deliveredWidth;
  const { forcedBy } = reason;
  const forced = forcedBy
    ? ` ${capital(FORCING_TEXT[forcedBy.setting](reason))} stops there: without it ${forcedBy.widthPx} px.`
    : '';
  const own =
    ratio < 0.999
      ? `${usable} px usable where ${deliveredWidth} are wanted: it will look soft.`
      : `${trimmed(ratio, 1)}× the delivered width, to straighten and re-frame.`;
  return { text: own + forced, steps };
}

const FORCING_TEXT: Record<ForcedBy['setting'], (reason: Of<'resolution'>) => string> = {
  stabilization: ({ stabilization }) => `${STABILIZATION_LABEL[stabilization].toLowerCase()} stabilization`,
  frameRate: ({ frameRate }) => `${trimmed(frameRate, 2)} fps`,
  view: () => 'this view',
};

function viewText(reason: Of<'view'>): ReasonText {
  const { horizontalDeg, leastDeg, mostDeg } = reason;
  const wants = reason.forSubject ? 'subject and ride' : 'the ride';
  const wantVerb = reason.forSubject ? 'want' : 'wants';
  const steps = [
    `${trimmed(horizontalDeg, 0)}° across after the crop; ${wants} ${wantVerb} at least ${trimmed(leastDeg, 0)}°, edges bend beyond ${trimmed(mostDeg, 0)}°.`,
  ];
  const text =
    horizontalDeg < leastDeg - 0.5
      ? `Shows ${trimmed(horizontalDeg, 0)}°, narrower than the ${trimmed(leastDeg, 0)}° that ${wants} ${wantVerb}.`
      : reason.fromSphere
        ? `Cut flat out of the sphere, ${trimmed(horizontalDeg, 0)}° across.`
        : `Shows ${trimmed(horizontalDeg, 0)}°; ${wants} ${wantVerb} ${trimmed(leastDeg, 0)}°.`;
  return { text, steps };
}

function bitRateText(reason: Of<'bitRateMbps'>): ReasonText {
  const share = reason.cardShare * 100;
  return {
    text: `${trimmed(reason.bitsPerPixel, 2)} bits a pixel; ${durationText(reason.recordSeconds)} fill ${trimmed(share, 0)} % of the card.`,
    steps: [
      `${CODEC_LABEL[reason.codec]} at ${trimmed(reason.bitRateMbps, 1)} Mbit/s is worth ${trimmed(reason.bitsPerPixel, 2)} AVC bits per pixel and frame.`,
      `Rate × time ÷ 8 with sound, of 97 % of the card: ${trimmed(share, 0)} %.`,
    ],
  };
}

function stabilizationText(reason: Of<'stabilization'>): ReasonText {
  const { swingDeg, heldDeg, steadiedInEdit, tiltDeg } = reason;
  const steps = [
    `Shake swings ${trimmed(swingDeg, 1)}° to either side; ${trimmed(heldDeg, 1)}° are taken up.`,
    `It removes movement between exposures, never the smear inside one (${trimmed(reason.smearPct, 2)} %).`,
    ...(Math.abs(tiltDeg) > 1.5 ? [`The mount sits ${trimmed(tiltDeg, 1)}° off level.`] : []),
  ];
  const text = steadiedInEdit
    ? `Off in the camera; the edit takes up ${trimmed(heldDeg, 1)}° of swing.`
    : swingDeg < 0.1
      ? 'The mount stands still; a hold would only wander.'
      : heldDeg >= swingDeg
        ? `Takes up ${trimmed(heldDeg, 1)}°; the shake swings ${trimmed(swingDeg, 1)}°.`
        : heldDeg > 0
          ? `Takes up ${trimmed(heldDeg, 1)}° of the ${trimmed(swingDeg, 1)}° swing.`
          : `Nothing holds the ${trimmed(swingDeg, 1)}° swing.`;
  return { text, steps };
}
