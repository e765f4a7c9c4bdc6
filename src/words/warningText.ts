import * as messages from '@/language/words/warning';
import type { Remedy } from '@/core/answer/remedies';
import type { SunInShot } from '@/core/answer/sunInShot';
import type { Warning } from '@/core/answer/warnings';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { COLOUR_LABEL, TERM_LABEL } from './labels';
import { clockText } from './lightText';
import { cautionText } from './mountText';
import { densityText, durationText, evText, offsetText } from './settingText';

/** A warning says what will be seen, how much, and the smallest change that cures it. */
export function warningText(warning: Warning): string {
  switch (warning.code) {
    case 'over':
      return warning.overStops > warning.guardStops
        ? messages.whiteSkyTheBrightEnd({
            evMax: evText(warning.evMax),
            overStops: tenths(warning.overStops),
            overStops2: tenths(warning.overStops - warning.guardStops),
            remedies: remedy(warning.remedies),
          })
        : messages.theBrightestSpotsStandStops({
            overStops: tenths(warning.overStops),
            guardStops: tenths(warning.guardStops),
          });
    case 'under':
      return messages.darkShadeTheDarkEnd({
        evMin: evText(warning.evMin),
        underStops: tenths(warning.underStops),
        short: warning.share < SHORT_SHARE,
        share: trimmed(warning.share * 100, 0),
        time: durationText(warning.share * warning.seconds),
        costs: tenths(warning.costs),
        remedies: remedy(warning.remedies),
      });
    case 'noise':
      return messages.grainInTheShadeAbout({
        isoUsed: Math.round(warning.isoUsed / 10) * 10,
        stopsAboveBase: tenths(warning.stopsAboveBase),
        hasFilterStops: warning.filterStops > 0,
      });
    case 'smear':
      return messages.smearPulsesOnThePicture({
        smearPct: trimmed(warning.smearPct, 2),
        tolerancePct: trimmed(warning.tolerancePct, 2),
        floorSeconds: shutterFraction(warning.floorSeconds),
      });
    case 'strobing':
      return messages.strobingStepsOfOfThe({
        stepPct: trimmed(warning.stepPct, 1),
        blurShare: trimmed(warning.blurShare * 100, warning.blurShare < 0.1 ? 1 : 0),
        enoughSeconds: shutterFraction(warning.enoughSeconds),
        way: warning.wantsStops === 0 ? 'longer' : warning.takesFilters ? 'glass' : 'none',
        glass: densityText(warning.wantsStops, 'factor'),
      });
    case 'stutter':
      return messages.movementFallsApartDifferent({
        broken: warning.broken,
        seenFps: trimmed(warning.seenFps, 1),
        timelineFps: trimmed(warning.timelineFps, 3),
        offeredFps:
          warning.offeredFps === null
            ? messages.thisCameraStopsAtFps({ fastestFps: trimmed(warning.fastestFps, 1) })
            : messages.fpsWouldShowItSmoothly({ offeredFps: trimmed(warning.offeredFps, 1) }),
      });
    case 'cadence':
      return messages.unevenStepsFpsDoesNot({
        captureFps: trimmed(warning.captureFps, 3),
        timelineFps: trimmed(warning.timelineFps, 3),
        slowdown: trimmed(warning.slowdown, 2),
        count:
          warning.evenFps.length > 0
            ? messages.fpsWould({ evenFps: warning.evenFps.map((fps) => trimmed(fps, 1)).join(', ') })
            : messages.noRateOfThisCamera,
      });
    case 'flicker':
      return flickerText(warning);
    case 'speed':
      return messages.theSubjectBlursOverOf({
        blurPct: trimmed(warning.blurPct, 1),
        tolerancePct: trimmed(warning.tolerancePct, 0),
        enoughSeconds: shutterFraction(warning.enoughSeconds),
      });
    case 'viewNarrow':
      return messages.theSubjectDoesNotFit({
        what: warning.what,
        filled: trimmed(warning.filled * 100, 0),
        viewDeg: trimmed(warning.viewDeg, 0),
        leastDeg: trimmed(warning.leastDeg, 0),
        widerLeft: warning.widerLeft,
      });
    case 'faceNear':
      return messages.softSubjectAtMIts({
        distanceM: trimmed(warning.distanceM, 2),
        blurPx: trimmed(warning.blurPx, 1),
        sharpFromM: trimmed(Math.max(warning.sharpFromM, warning.nearLimitM), 2),
        tooNear: warning.tooNear,
      });
    case 'tilt':
      return messages.crookedByLevelTheMount({
        tiltDeg: trimmed(warning.tiltDeg, 1),
        keeps: trimmed(warning.keeps * 100, 0),
      });
    case 'margin':
      return messages.thePictureShakesTheSwing({
        swingDeg: trimmed(warning.swingDeg, 1),
        heldDeg: trimmed(warning.heldDeg, 1),
        way: warning.way,
      });
    case 'resolution':
      return messages.softPicturePxUsableWhere({
        widthPx: trimmed(warning.widthPx, 0),
        neededPx: warning.neededPx,
      });
    case 'seam':
      return messages.theSeamRunsThrough({
        offDeg: trimmed(warning.offDeg, 0),
        nearestM: trimmed(warning.nearestM, 1),
        doublesPx: trimmed(warning.doublesPx, 0),
        cleanFromM: trimmed(warning.cleanFromM, 1),
      });
    case 'reflection':
      return messages.throughAPane({
        angleDeg: trimmed(warning.angleDeg, 0),
        mirrored: trimmed(warning.mirroredShare * 100, 0),
        left: trimmed(warning.left * 100, 0),
        bestDeg: trimmed(warning.bestDeg, 0),
        so: warning.worn ? 'worn' : !warning.worth ? 'square' : warning.inTheBag ? 'bag' : 'none',
      });
    case 'bitRate':
      return messages.fineTextureMayBreakUp({
        bitsPerPixel: trimmed(warning.bitsPerPixel, 2),
        loss: trimmed(2 ** warning.loss, 1),
      });
    case 'card':
      return messages.cutOffTheCardIs({
        lastsSeconds: durationText(warning.lastsSeconds),
        recordSeconds: durationText(warning.recordSeconds),
        fitsMbps:
          warning.fitsMbps === null
            ? messages.noBitRateOfThis({ needsGb: Math.ceil(warning.needsGb) })
            : messages.mbitSWouldFitOr({
                fitsMbps: trimmed(warning.fitsMbps, 0),
                needsGb: Math.ceil(warning.needsGb),
              }),
      });
    case 'backlight':
      return warning.of === 'face'
        ? messages.faceAgainstLight({
            gapStops: tenths(warning.gapStops),
            floats: warning.floats,
            offset: offsetText(warning.offsetStops),
            lamp: warning.missingLux <= LAMP_REACHES_LUX,
            lux: rounded(warning.missingLux),
          })
        : messages.skyInPicture({
            share: trimmed(100 * warning.skyShare, 0),
            aboveStops: tenths(warning.aboveStops),
            colour: COLOUR_LABEL[warning.colour],
          });
    case 'glare':
      return messages.mirrors({
        of: warning.of,
        left: trimmed(100 * warning.left, 0),
        bag: warning.bag,
        uneven: warning.uneven,
      });
    case 'depth':
      return messages.deeperThanSealed({
        depthM: trimmed(warning.depthM, 1),
        sealedToM: trimmed(warning.sealedToM, 0),
        jumpM: warning.jumpM,
        stop: warning.severity === 'stop',
      });
    case 'colourCast':
      return messages.redIsGone({
        pathM: trimmed(warning.pathM, 1),
        redLeft: trimmed(100 * warning.redLeft, warning.redLeft < 0.1 ? 1 : 0),
        beyondLock: warning.beyondLock,
        lamp: warning.lamp,
      });
    case 'flare':
      return flareText(warning.sun, warning.zone);
    case 'safety':
      return cautionText(warning.caution);
  }
}

/** What a small lamp gives at arm’s length, lux (start). */
const LAMP_REACHES_LUX = 2000;

/** Lux to two figures: nobody aims a lamp closer. */
function rounded(lux: number): string {
  return String(Number(lux.toPrecision(2)));
}

/** A dark stretch of less of the run is told with its time. */
const SHORT_SHARE = 0.45;

/** Standing stripes are no beat: they are told as what they look like. */
function flickerText({
  residual,
  pulse,
  safeSeconds,
  safeFps,
  steadyAt,
}: Extract<Warning, { code: 'flicker' }>): string {
  const share = messages.ofTheFlickerStays({ residual: trimmed(residual * 100, 0) });
  const bands = pulse.bands === null ? '' : messages.bandsAcrossTheFrame({ bands: trimmed(pulse.bands, 1) });
  const seen =
    pulse.seen === 'bands'
      ? messages.standingStillIn({ share, bands })
      : pulse.seen === 'steady'
        ? messages.asASteadyLevel({ share })
        : messages.beatingAtHz({
            share,
            beatHz: trimmed(pulse.beatHz, 1),
            bands: bands === '' ? '' : messages.andIn({ bands }),
          });
  const way =
    safeSeconds !== null
      ? messages.sIsFreeOfIt({ safeSeconds: shutterFraction(safeSeconds) })
      : steadyAt !== null
        ? messages.slowedInsteadItStands({
            slowdown: trimmed(steadyAt.slowdown, 2),
            captureFps: trimmed(steadyAt.captureFps, 2),
          })
        : safeFps === null
          ? messages.noFrameRateOfThis
          : messages.noShutterAtThisFrame({ safeFps: trimmed(safeFps, 2) });
  return messages.lampsPulse({ seen, way });
}

function flareText({ frameShare, firstMs, lastMs, worst }: SunInShot, zone: string | undefined): string {
  const when = messages.firstMsToLastMs({
    firstMs: clockText(firstMs, zone),
    lastMs: clockText(lastMs, zone),
  });
  if (worst.where === 'justOutside')
    return messages.sunJustOutsideTheFrame({ byDeg: trimmed(worst.byDeg, 0), when });
  const side =
    Math.abs(worst.acrossDeg) < 8
      ? messages.ahead
      : worst.acrossDeg > 0
        ? messages.toTheRight
        : messages.toTheLeft;
  return messages.sunInTheFrameFor({
    frameShare: trimmed(frameShare * 100, 0),
    when,
    side,
    upDeg: trimmed(worst.upDeg, 0),
  });
}

/** A remedy on a line of its own, with the figure that is left. */
export function remedyText(remedy: Remedy): string {
  const left = messages.leaves({ remedy: missed(remedy) });
  switch (remedy.code) {
    case 'addFilter':
      return messages.aFilterOfStopsIn({
        stops: remedy.stops,
        stops2: densityText(remedy.stops, 'factor'),
        left,
      });
    case 'letShutterRun':
      return messages.letTheShutterRunTo({ toSeconds: shutterFraction(remedy.toSeconds), left });
    case 'raiseCeiling':
      return messages.raiseTheISOCeilingTo({ iso: remedy.iso, left });
    case 'splitRun':
      return messages.splitTheRunAtInto({ atEv: evText(remedy.atEv), left });
    case 'exposeForBright':
      return messages.exposeForTheBrightEnd({ left, price: priceText(remedy) });
    case 'exposeForDark':
      return messages.exposeForTheDarkEnd({ left, price: priceText(remedy) });
    case 'takeAllIn':
      return messages.takeAllOfItIn({
        seconds: shutterFraction(remedy.seconds),
        runs: remedy.runs,
        filter: remedy.filterStops > 0.05 ? `${densityText(remedy.filterStops, 'factor')}, ` : '',
        isoMax: remedy.isoMax,
        price: priceText(remedy),
      });
    case 'logColour':
      return messages.recordLogWhichBearsStops({ guardStops: tenths(remedy.guardStops), left });
  }
}

function priceText({ by, worst }: Extract<Remedy, { by: number }>): string {
  return worst === null ? messages.costsNothing : messages.costs({ by: tenths(by), term: TERM_LABEL[worst] });
}

function missed({ overStops, underStops }: { overStops: number; underStops: number }): string {
  const parts = [
    overStops > 0.05 ? messages.stopsWhite({ overStops: tenths(overStops) }) : '',
    underStops > 0.05 ? messages.stopsDark({ underStops: tenths(underStops) }) : '',
  ].filter((part) => part !== '');
  return parts.length > 0 ? parts.join(messages.and) : messages.nothingOut;
}

function remedy(remedies: readonly Remedy[]): string {
  const best = [...remedies].sort((a, b) => a.overStops + a.underStops - b.overStops - b.underStops)[0];
  return best ? remedyText(best) : messages.nothingThatThisCameraAnd;
}
