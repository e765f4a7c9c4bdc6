import * as messages from '@/language/words/reason';
import { SMEAR_TOLERANCE_PCT } from '@/core/motion/shake';
import { shutterAngleDeg } from '@/core/playback/shutterAngle';
import { blurToAddOfFrameStep } from '@/core/motion/flow';
import { shutterFraction, trimmed } from '@/core/units/format';
import { changes } from '../changesText';
import { SCHOOL_LABEL } from '../labels';
import type { ReasonText } from '../sentences';
import { yieldedText } from '../wishText';
import type { ReasonOf } from './telling';

export function frameRateText(reason: ReasonOf<'frameRate'>): ReasonText {
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

export function shutterReasonText(reason: ReasonOf<'shutterSeconds'>): ReasonText {
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

export function stabilizationText(reason: ReasonOf<'stabilization'>): ReasonText {
  const { swingDeg, heldDeg, steadiedInEdit, tiltDeg } = reason;
  const steps = [
    messages.shakeSwingsToEitherSide({ swingDeg: trimmed(swingDeg, 1), heldDeg: trimmed(heldDeg, 1) }),
    messages.itRemovesMovementBetweenExposures({ smearPct: trimmed(reason.smearPct, 2) }),
    ...(Math.abs(tiltDeg) > 1.5 ? [messages.theMountSitsOffLevel({ tiltDeg: trimmed(tiltDeg, 1) })] : []),
  ];
  const text = steadiedInEdit
    ? messages.offInTheCameraThe({ heldDeg: trimmed(heldDeg, 1) })
    : reason.swims && heldDeg === 0
      ? messages.offSoThatTheCabin({ swingDeg: trimmed(swingDeg, 1) })
      : swingDeg < 0.1
        ? messages.theMountStandsStillA
        : heldDeg >= swingDeg
          ? messages.takesUpTheShakeSwings({ heldDeg: trimmed(heldDeg, 1), swingDeg: trimmed(swingDeg, 1) })
          : heldDeg > 0
            ? messages.takesUpOfTheSwing({ heldDeg: trimmed(heldDeg, 1), swingDeg: trimmed(swingDeg, 1) })
            : messages.nothingHoldsTheSwing({ swingDeg: trimmed(swingDeg, 1) });
  return { text, steps };
}
