import * as messages from '@/language/words/reason';
import { SMEAR_TOLERANCE_PCT } from '@/core/motion/shake';
import { HEVC_SHARE_OF_AVC } from '@/core/camera/card';
import { shutterAngleDeg } from '@/core/playback/shutterAngle';
import type { Brief } from '@/core/brief/brief';
import type { Filter } from '@/core/filters/kit';
import type { FigureKind, Learned } from '@/core/records/learned';
import { blurToAddOfFrameStep } from '@/core/motion/flow';
import type { Light } from '@/core/records/shot';
import type { Reason } from '@/core/answer/reason';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { EYE_PX_PER_DEGREE } from '@/core/playback/screens';
import { namesOfBrief } from './learnedNames';
import { usedText } from './learnedText';
import type { Names } from './learnedText';
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

/** What the words need beside the figures: how the light was told, the kit, and figures of the person's own. */
export interface Telling {
  light: Light;
  kit: readonly Filter[];
  learned: readonly Learned[];
  names: Names;
}

export function tellingOf(brief: Brief): Telling {
  return { light: brief.light, kit: brief.filters, learned: brief.learned, names: namesOfBrief(brief) };
}

/** The figures that each setting stands on, of those that a person may have their own of. */
const STANDS_ON: Partial<Record<Reason['setting'], readonly FigureKind[]>> = {
  frameRate: ['power', 'heat'],
  shutterSeconds: ['shake'],
  filter: ['scene', 'shade', 'sky', 'filter', 'guard'],
  iso: ['iso'],
  bitRateMbps: ['bitRate'],
};

export function reasonText(reason: Reason, telling: Telling): ReasonText {
  const said = saidOf(reason, telling);
  const own = telling.learned.filter(({ figure }) => STANDS_ON[reason.setting]?.includes(figure.of));
  if (own.length === 0) return said;
  const sentences = own.map((one) => capital(usedText(one, telling.names)));
  return {
    ...said,
    text: [said.text, ...sentences].join(' '),
    short: said.short ?? said.text,
    steps: [...said.steps, ...sentences],
  };
}

function saidOf(reason: Reason, telling: Telling): ReasonText {
  const said = say(reason, telling);
  if (reason.pinned)
    return {
      ...said,
      text:
        reason.pinned === 'day'
          ? messages.theDaySetsThis({ said: said.text })
          : messages.youSetThis({ said: said.text }),
    };
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
            ? messages.theSamePictureInAbout({ hevcShareOfAvc: trimmed(HEVC_SHARE_OF_AVC, 1) })
            : messages.cutsOnAnyComputerAt,
        steps: [messages.atTheBitRateAbove({ codec: CODEC_LABEL[reason.codec] })],
      };
    case 'bitDepth':
      return {
        text:
          reason.bitDepth === 10
            ? messages.fourTimesTheStepsSkies
            : reason.log
              ? messages.logIn8BitBreaks
              : messages.enoughForAPicturePosted,
        steps: [],
      };
    case 'recording':
      return { text: RECORDING_WHY[reason.recording], steps: [] };
    case 'sharpening':
    case 'noiseReduction':
      return {
        text: reason.graded ? messages.leftToTheEditWhere : messages.postedStraightAwaySoThe,
        steps: [],
      };
  }
}

type Of<S extends Reason['setting']> = Extract<Reason, { setting: S }>;

function frameRateText(reason: Of<'frameRate'>): ReasonText {
  const { captureFps, neededFps, seenFps, slowdown, timelineFps } = reason;
  const speed = messages.inRealTime({ slowdown, slowdown2: trimmed(slowdown, 2) });
  const steps = [
    messages.aFpsTimelineNeedsCaptured({
      timelineFps: trimmed(timelineFps, 3),
      speed,
      slowdown: trimmed(slowdown, 2),
      neededFps: trimmed(neededFps, 1),
    }),
    messages.fpsSeenASecond({
      captureFps: trimmed(captureFps, 3),
      slowdown: trimmed(slowdown, 2),
      seenFps: trimmed(seenFps, 1),
    }),
  ];
  const text =
    Math.abs(captureFps - neededFps) <= 0.002 * neededFps
      ? messages.exactlyWhatFpsShows({ timelineFps: trimmed(timelineFps, 3), speed })
      : captureFps > neededFps
        ? messages.nearestAboveTheThatPlayback({ neededFps: trimmed(neededFps, 1) })
        : messages.playbackWantsDifferentFrames({
            neededFps: trimmed(neededFps, 1),
            seenFps: trimmed(seenFps, 1),
          });
  return { text, steps };
}

function shutterReasonText(reason: Of<'shutterSeconds'>): ReasonText {
  const { seconds, naturalSeconds, shakeFloorSeconds, captureFps, shownFps, smearPct, cause } = reason;
  const angle = shutterAngleDeg(captureFps, seconds);
  const shown = shutterAngleDeg(shownFps, seconds);
  const steps = [
    messages.n180OfShownFramesIs({
      shownFps: trimmed(shownFps, 1),
      naturalSeconds: shutterFraction(naturalSeconds),
    }),
    Number.isFinite(shakeFloorSeconds) && shakeFloorSeconds < 10
      ? messages.shakeFloorSKeepsThe({
          shakeFloorSeconds: shutterFraction(shakeFloorSeconds),
          smearTolerancePct: trimmed(SMEAR_TOLERANCE_PCT, 2),
        })
      : messages.theMountDoesNotShake,
    messages.sAtFpsIs360({
      seconds: shutterFraction(seconds),
      captureFps: trimmed(captureFps, 3),
      angle: trimmed(angle, 0),
      smearPct: trimmed(smearPct, 2),
    }),
  ];
  if (shown < 170) steps.push(messages.blurToAddInThe({ shown: trimmed(blurToAddOfFrameStep(shown), 2) }));
  for (const { school, gains, costs } of reason.against)
    steps.push(
      messages.againstItWouldWinAnd({
        school: SCHOOL_LABEL[school],
        gains: changes(gains),
        costs: changes(costs),
      }),
    );
  const yields = reason.yielded.map((one) => yieldedText(one, reason.school));
  steps.push(...yields);
  // The shutter's own wishes stand with it; the others below.
  const own = reason.yielded.findIndex(({ wish }) => wish === 'angle' || wish === 'withinShakeFloor');
  const yielding = own < 0 ? '' : ` ${yields[own] ?? ''}`;
  const text = {
    pinned: messages.atThisFrameRate({ angle: trimmed(angle, 0) }),
    natural: messages.halfOfEachFrameThe({ shown: trimmed(shown, 0) }),
    shakeFloor: messages.shortEnoughThatShakeDoes({ shakeFloorSeconds: shutterFraction(shakeFloorSeconds) }),
    traded: messages.n180WouldBeS({
      shown: trimmed(shown, 0),
      naturalSeconds: shutterFraction(naturalSeconds),
    }),
    running: messages.runsByItselfSAt({ seconds: shutterFraction(seconds) }),
    slower: messages.longerThan180({ shown: trimmed(shown, 0) }),
  }[cause];
  const { pulseLeft } = reason;
  if (pulseLeft === null) return { text: text + yielding, steps };
  const lamps =
    pulseLeft < 0.005
      ? messages.steadyUnderTheLamps
      : messages.keepsOfTheLampsPulse({ pulseLeft: trimmed(pulseLeft * 100, 0) });
  return { text: `${text}${yielding} ${lamps}`, steps };
}

function brightName(light: Light): string {
  return light.kind === 'scene' ? capital(SCENE_LABEL[brighter(light)]) : messages.theBrightEnd;
}

function brighter(light: Extract<Light, { kind: 'scene' }>): Extract<Light, { kind: 'scene' }>['from'] {
  return SCENE_ORDER.indexOf(light.from) < SCENE_ORDER.indexOf(light.to) ? light.from : light.to;
}

/** Scenes from the brightest to the darkest, as the labels list them. */
const SCENE_ORDER = Object.keys(SCENE_LABEL);

function filterReasonText(reason: Of<'filter'>, { light, kit }: Telling): ReasonText {
  const { evMax, fNumber, seconds, isoMin, wantsEv, excessStops, filterStops, guardStops } = reason;
  const name = filterText({ ids: reason.ids, stops: filterStops }, kit);
  const opening = messages.isAtFSAnd({
    light: brightName(light),
    evMax: evText(evMax),
    fNumber: trimmed(fNumber, 1),
    seconds: shutterFraction(seconds),
    isoMin,
    wantsEv: evText(wantsEv),
  });
  const left = excessStops - filterStops;
  const steps = [
    messages.log2Log2100({
      fNumber: trimmed(fNumber, 1),
      seconds: shutterFraction(seconds),
      isoMin,
      wantsEv: evText(wantsEv),
    }),
    messages.stopsFilterLeft({
      evMax: evText(evMax),
      wantsEv: evText(wantsEv),
      excessStops: evText(excessStops),
      filterStops: trimmed(filterStops, 1),
      left: evText(left),
    }),
  ];
  if (reason.auto) {
    const shutter = messages.theShutterRunsToS({ brightSeconds: shutterFraction(reason.brightSeconds) });
    const short =
      filterStops === 0
        ? messages.noFilterAtTheBright({ shutter })
        : messages.takesAndAtTheBright({ name, filterStops: trimmed(filterStops, 1), shutter });
    return { text: `${opening} ${short}`, short, steps };
  }
  if (excessStops <= 0.05) {
    const short =
      filterStops > 0
        ? messages.takesMore({ name, filterStops: trimmed(filterStops, 1) })
        : messages.nothingToTakeAwaySo;
    return { text: `${opening} ${short}`, short, steps };
  }
  const taken =
    filterStops === 0
      ? messages.noFilterTakesAny
      : messages.takes({ name, filterStops: trimmed(filterStops, 1) });
  const rest =
    left > guardStops + 0.05
      ? messages.stayTheGuardBearsThe({ left: tenths(left), guardStops: tenths(guardStops) })
      : left > 0.05
        ? messages.theLastGoesToThe({ left: tenths(left) })
        : left < -0.5
          ? messages.moreThanTheBrightEnd({ left: tenths(-left) })
          : messages.whichCoversIt;
  const short = messages.stopsTooMuch({ excessStops: tenths(excessStops), taken, rest });
  return { text: `${opening} ${short}`, short, steps };
}

function isoReasonText(reason: Of<'iso'>, { light }: Telling): ReasonText {
  const { min, max, baseIso, evMin, isoWanted, underStops, ceiling } = reason;
  const wanted = Math.round(isoWanted / 10) * 10;
  const dark =
    light.kind === 'scene' && light.from !== light.to ? messages.theDarkestStretch : messages.theDarkEnd;
  const steps = [
    messages.baseISOCeiling({ baseIso, ceiling }),
    messages.atTheExposureAsksFor({
      evMin: evText(evMin),
      wanted,
      underStops: underStops > 0.05 ? messages.stopsAbove({ underStops: tenths(underStops), max }) : '',
    }),
  ];
  if (underStops > 0.05)
    return {
      text: messages.upToWouldAskFor({ max, dark, wanted, underStops: tenths(underStops) }),
      steps,
    };
  if (min === max) return { text: messages.fixedSoBrightnessDoesNot, steps };
  return { text: messages.fromBaseToAsksFor({ max, dark, wanted }), steps };
}

function resolutionText(reason: Of<'resolution'>): ReasonText {
  const { width, deliveredWidth, usableWidth, editKeeps } = reason;
  const usable = Math.round(usableWidth);
  const steps = [
    messages.pxRecordedPxUsableIn({
      width,
      usable,
      editKeeps:
        editKeeps < 0.999
          ? messages.afterTheEditsSteadyingKeeps({ editKeeps: trimmed(editKeeps * 100, 0) })
          : '',
      deliveredWidth,
    }),
    messages.onAThatIsAbout({
      screen: SCREEN_LABEL[reason.screen],
      sightPxPerDegree: trimmed(reason.sightPxPerDegree, 0),
      eyePxPerDegree: EYE_PX_PER_DEGREE,
    }),
  ];
  const ratio = usableWidth / deliveredWidth;
  const { forcedBy } = reason;
  const forced = forcedBy
    ? messages.stopsThereWithoutItPx({
        reason: capital(FORCING_TEXT[forcedBy.setting](reason)),
        widthPx: forcedBy.widthPx,
      })
    : '';
  const own =
    ratio < 0.999
      ? messages.pxUsableWhereAreWanted({ usable, deliveredWidth })
      : messages.theDeliveredWidthToStraighten({ ratio: trimmed(ratio, 1) });
  return { text: own + forced, steps };
}

const FORCING_TEXT: Record<ForcedBy['setting'], (reason: Of<'resolution'>) => string> = {
  stabilization: ({ stabilization }) =>
    messages.stabilization({ stabilization: STABILIZATION_LABEL[stabilization].toLowerCase() }),
  frameRate: ({ frameRate }) => messages.fps({ frameRate: trimmed(frameRate, 2) }),
  view: () => messages.thisView,
};

function viewText(reason: Of<'view'>): ReasonText {
  const { horizontalDeg, leastDeg, mostDeg } = reason;
  const wants = reason.forSubject ? messages.subjectAndRide : messages.theRide;
  const wantVerb = reason.forSubject ? messages.want : messages.wants;
  const steps = [
    messages.acrossAfterTheCropAt({
      horizontalDeg: trimmed(horizontalDeg, 0),
      wants,
      wantVerb,
      leastDeg: trimmed(leastDeg, 0),
      mostDeg: trimmed(mostDeg, 0),
    }),
  ];
  const text =
    horizontalDeg < leastDeg - 0.5
      ? messages.showsNarrowerThanTheThat({
          horizontalDeg: trimmed(horizontalDeg, 0),
          leastDeg: trimmed(leastDeg, 0),
          wants,
          wantVerb,
        })
      : reason.fromSphere
        ? messages.cutFlatOutOfThe({ horizontalDeg: trimmed(horizontalDeg, 0) })
        : messages.shows({
            horizontalDeg: trimmed(horizontalDeg, 0),
            wants,
            wantVerb,
            leastDeg: trimmed(leastDeg, 0),
          });
  return { text, steps };
}

function bitRateText(reason: Of<'bitRateMbps'>): ReasonText {
  const share = reason.cardShare * 100;
  return {
    text: messages.bitsAPixelFillOf({
      bitsPerPixel: trimmed(reason.bitsPerPixel, 2),
      recordSeconds: durationText(reason.recordSeconds),
      share: trimmed(share, 0),
    }),
    steps: [
      messages.atMbitSIsWorth({
        codec: CODEC_LABEL[reason.codec],
        bitRateMbps: trimmed(reason.bitRateMbps, 1),
        bitsPerPixel: trimmed(reason.bitsPerPixel, 2),
      }),
      messages.rateTime8WithSound({ share: trimmed(share, 0) }),
    ],
  };
}

function stabilizationText(reason: Of<'stabilization'>): ReasonText {
  const { swingDeg, heldDeg, steadiedInEdit, tiltDeg } = reason;
  const steps = [
    messages.shakeSwingsToEitherSide({ swingDeg: trimmed(swingDeg, 1), heldDeg: trimmed(heldDeg, 1) }),
    messages.itRemovesMovementBetweenExposures({ smearPct: trimmed(reason.smearPct, 2) }),
    ...(Math.abs(tiltDeg) > 1.5 ? [messages.theMountSitsOffLevel({ tiltDeg: trimmed(tiltDeg, 1) })] : []),
  ];
  const text = steadiedInEdit
    ? messages.offInTheCameraThe({ heldDeg: trimmed(heldDeg, 1) })
    : swingDeg < 0.1
      ? messages.theMountStandsStillA
      : heldDeg >= swingDeg
        ? messages.takesUpTheShakeSwings({ heldDeg: trimmed(heldDeg, 1), swingDeg: trimmed(swingDeg, 1) })
        : heldDeg > 0
          ? messages.takesUpOfTheSwing({ heldDeg: trimmed(heldDeg, 1), swingDeg: trimmed(swingDeg, 1) })
          : messages.nothingHoldsTheSwing({ swingDeg: trimmed(swingDeg, 1) });
  return { text, steps };
}
