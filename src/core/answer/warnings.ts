import type { Caution } from '../vocabulary/cautions';
import { encodingBitsPerPixel, cardUse } from '../camera/card';
import { flickerResidual, flickerSafeShutters } from '../light/flicker';
import type { PulseSeen } from '../light/flicker';
import { modesOf } from '../camera/modeTable';
import { lensFocusing } from '../camera/lenses';
import { blurDiscDeg, sharpRangeM } from '../optics/focus';
import { pctWidthPerDegree } from '../optics/projection';
import { straightenKeeps } from '../optics/crop';
import { SMEAR_TOLERANCE_PCT } from '../motion/shake';
import { cadenceOf } from '../playback/cadence';
import type { Candidate } from '../search/candidate';
import type { Exposure } from '../loss/exposure';
import { helpsFor } from './helps';
import type { Help } from './helps';
import { deliveredFrame, leastViewDeg } from '../loss/frame';
import { cautionsFor } from '../motion/cautions';
import { SUBJECT_BLUR_TOLERANCE_PCT } from '../loss/movement';
import { over } from '../loss/terms/over';
import { STROBING_BLUR_SHARE } from '../loss/terms/strobing';
import { under } from '../loss/terms/under';
import { worthAWarning } from '../loss/table';
import type { MotionFigures } from '../loss/movement';
import { sunInShot } from './sunInShot';
import type { SunInShot } from './sunInShot';
import { encodingsKept } from '../search/allowedModes';
import type { Space } from '../search/space';
import type { Brief } from '../brief/brief';
import type { Loss } from '../loss/table';

/** What will be seen to go wrong, as figures; `words/` says it. */
export type Severity = 'stop' | 'caution' | 'note';

export type Warning = { severity: Severity } & (
  | { code: 'over'; overStops: number; guardStops: number; evMax: number; helps: Help[] }
  | { code: 'under'; underStops: number; evMin: number; helps: Help[] }
  | { code: 'noise'; isoUsed: number; stopsAboveBase: number; filterStops: number }
  | { code: 'smear'; smearPct: number; tolerancePct: number; floorSeconds: number }
  | { code: 'strobing'; stepPct: number; blurShare: number; enoughSeconds: number }
  | {
      code: 'stutter';
      seenFps: number;
      timelineFps: number;
      /** A rate of this camera that would show it; `null` where it has none, and then its fastest. */
      offeredFps: number | null;
      fastestFps: number;
      broken: boolean;
    }
  | { code: 'cadence'; captureFps: number; timelineFps: number; slowdown: number; evenFps: number[] }
  | {
      code: 'flicker';
      residual: number;
      pulse: PulseSeen;
      safeSeconds: number | null;
      /** A frame rate of this camera that has a safe shutter, where this one has none. */
      safeFps: number | null;
    }
  | { code: 'speed'; blurPct: number; tolerancePct: number; enoughSeconds: number }
  | { code: 'viewNarrow'; viewDeg: number; leastDeg: number; forSubject: boolean }
  | {
      code: 'faceNear';
      distanceM: number;
      nearLimitM: number;
      sharpFromM: number;
      blurPx: number;
      tooNear: boolean;
    }
  | { code: 'tilt'; tiltDeg: number; keeps: number }
  | { code: 'margin'; swingDeg: number; heldDeg: number; steadiedInEdit: boolean }
  | { code: 'resolution'; widthPx: number; neededPx: number }
  | { code: 'bitRate'; bitsPerPixel: number; loss: number }
  | {
      code: 'card';
      use: number;
      lastsSeconds: number;
      recordSeconds: number;
      /** The highest bit rate that this camera has in this mode and that fits; `null` where none does. */
      fitsMbps: number | null;
      needsGb: number;
    }
  | { code: 'flare'; sun: SunInShot; zone: string | undefined }
  | { code: 'safety'; caution: Caution }
);

/** Blur disc in pixels of the delivered picture from which a face looks soft (start). */
const SOFT_FROM_PX = 3;
/** Loss from which a warning is a caution, and from which it stops the shot. */
const CAUTION_FROM = 0.8;
const STOP_FROM = 3;
const FLARE_CAUTION_SHARE = 0.2;

interface Seen {
  space: Space;
  candidate: Candidate;
  loss: Loss;
  exposure: Exposure;
  figures: MotionFigures;
  motion: { blurPctWidth: number; stepPctWidth: number; shakeSmearPctWidth: number };
}

/** All warnings, the gravest first; cautions of safety last. */
export function warningsOf(seen: Seen): Warning[] {
  const order: Severity[] = ['stop', 'caution', 'note'];
  const found = [
    ...exposureWarnings(seen),
    ...flareWarnings(seen),
    ...motionWarnings(seen),
    ...frameWarnings(seen),
    ...fileWarnings(seen),
  ].sort((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity));
  const { mount } = seen.space.brief;
  const safety = cautionsFor(mount.kind, mount.activity).map((caution): Warning => ({
    code: 'safety',
    severity: 'note',
    caution,
  }));
  const opened = seen.candidate.filter.ids.some(
    (id) => seen.space.brief.filters.find((filter) => filter.id === id)?.opensSeal,
  );
  if (opened) safety.unshift({ code: 'safety', severity: 'caution', caution: 'sealOpen' });
  return [...found, ...safety];
}

function once<T>(work: () => T): () => T {
  let known: { value: T } | null = null;
  return () => (known ??= { value: work() }).value;
}

function severityOf(loss: number): Severity {
  return loss >= STOP_FROM ? 'stop' : loss >= CAUTION_FROM ? 'caution' : 'note';
}

function exposureWarnings({ space, candidate, loss, exposure }: Seen): Warning[] {
  const { light } = space;
  const { sensor } = candidate.colour;
  const found: Warning[] = [];
  // Solved when they are asked for: many answers are compared for one that is read.
  const overHelps = once(() => helpsFor(space, candidate, exposure, over.remedies));
  const underHelps = once(() => helpsFor(space, candidate, exposure, under.remedies));
  if (exposure.overStops > 0.05) {
    const past = exposure.overStops > sensor.guardStops;
    found.push({
      code: 'over',
      severity: past ? severityOf(Math.max(CAUTION_FROM, loss.over)) : 'note',
      overStops: exposure.overStops,
      guardStops: sensor.guardStops,
      evMax: light.evMax,
      get helps() {
        return past ? overHelps() : [];
      },
    });
  }
  if (exposure.underStops > 0.05)
    found.push({
      code: 'under',
      severity: exposure.underStops >= 1 ? severityOf(Math.max(CAUTION_FROM, loss.under)) : 'note',
      underStops: exposure.underStops,
      evMin: light.evMin,
      get helps() {
        return underHelps();
      },
    });
  if (worthAWarning('noise', loss)) {
    const isoUsed = candidate.iso.min * 2 ** exposure.darkIsoStops;
    const stopsAboveBase = Math.log2(isoUsed / 100) - sensor.referenceLog;
    found.push({
      code: 'noise',
      severity: severityOf(loss.noise),
      isoUsed,
      stopsAboveBase,
      filterStops: candidate.filter.stops,
    });
  }
  return found;
}

/** The sun in the frame for a fifth of the run is worth planning around; once or beside it, worth a word. */
function flareWarnings({ space, candidate }: Seen): Warning[] {
  const { brief } = space;
  const sun = sunInShot(brief, candidate.mode);
  if (!sun || brief.light.kind !== 'sun') return [];
  const severity = sun.frameShare >= FLARE_CAUTION_SHARE ? 'caution' : 'note';
  return [{ code: 'flare', severity, sun, zone: brief.light.zone }];
}

function motionWarnings({ space, candidate, loss, exposure, figures, motion }: Seen): Warning[] {
  const { brief } = space;
  const found: Warning[] = [];
  const floorSeconds = 2 ** figures.shakeFloorLog;
  if (worthAWarning('smear', loss))
    found.push({
      code: 'smear',
      severity: severityOf(loss.smear),
      smearPct: SMEAR_TOLERANCE_PCT * 2 ** (exposure.darkLog - figures.shakeFloorLog),
      tolerancePct: SMEAR_TOLERANCE_PCT,
      floorSeconds,
    });
  if (worthAWarning('subjectBlur', loss))
    found.push({
      code: 'speed',
      severity: severityOf(loss.subjectBlur),
      blurPct: SUBJECT_BLUR_TOLERANCE_PCT * 2 ** loss.subjectBlur,
      tolerancePct: SUBJECT_BLUR_TOLERANCE_PCT,
      enoughSeconds: 2 ** figures.subjectFloorLog,
    });
  if (worthAWarning('strobing', loss))
    found.push({
      code: 'strobing',
      severity: severityOf(loss.strobing),
      stepPct: motion.stepPctWidth,
      blurShare: 2 ** exposure.brightLog * figures.shownFps,
      enoughSeconds: STROBING_BLUR_SHARE / figures.shownFps,
    });
  const { timelineFps, slowdown } = brief.playback;
  const { frameRate } = candidate.mode;
  const cadence = cadenceOf(frameRate, timelineFps, slowdown);
  const rates = ratesOf(brief);
  if (cadence.repeats && worthAWarning('stutter', loss))
    found.push({
      code: 'stutter',
      severity: severityOf(loss.stutter),
      seenFps: cadence.seenFps,
      timelineFps,
      offeredFps: rates.find((fps) => !cadenceOf(fps, timelineFps, slowdown).repeats) ?? null,
      fastestFps: rates.at(-1) ?? frameRate,
      broken: cadence.seenFps < 18,
    });
  if (cadence.uneven)
    found.push({
      code: 'cadence',
      severity: severityOf(loss.cadence),
      captureFps: frameRate,
      timelineFps,
      slowdown,
      evenFps: rates.filter((fps) => {
        const { uneven, repeats } = cadenceOf(fps, timelineFps, slowdown);
        return !uneven && !repeats;
      }),
    });
  const { pulse } = figures;
  if (pulse !== null && worthAWarning('flicker', loss)) {
    const seconds = 2 ** exposure.darkLog;
    const { pulseHz } = pulse;
    found.push({
      code: 'flicker',
      severity: severityOf(loss.flicker),
      residual: Math.max(
        flickerResidual(pulseHz, seconds),
        flickerResidual(pulseHz, 2 ** exposure.brightLog),
      ),
      pulse,
      safeSeconds: nearestTo(seconds, flickerSafeShutters(pulseHz, frameRate)),
      safeFps: rates.findLast((fps) => flickerSafeShutters(pulseHz, fps).length > 0) ?? null,
    });
  }
  return found;
}

/** The frame rates at which this camera films a clip of this recording, slowest first. */
function ratesOf({ camera, pins }: Brief): number[] {
  const recording = pins.recording ?? null;
  return [
    ...new Set(
      modesOf(camera)
        .filter((mode) =>
          recording === null
            ? mode.recording === 'video' || mode.recording === 'slowMotion'
            : mode.recording === recording,
        )
        .map((mode) => mode.frameRate),
    ),
  ].sort((a, b) => a - b);
}

/** Of some times the nearest in stops; `null` of none. */
function nearestTo(seconds: number, times: readonly number[]): number | null {
  const off = (time: number): number => Math.abs(Math.log2(time / seconds));
  return times.reduce<number | null>(
    (best, time) => (best === null || off(time) < off(best) ? time : best),
    null,
  );
}

function frameWarnings({ space, candidate, loss }: Seen): Warning[] {
  const { brief, demands, school } = space;
  const { mode } = candidate;
  const frame = deliveredFrame(brief, mode, school.steadiedInEdit);
  const found: Warning[] = [];
  if (worthAWarning('viewNarrow', loss))
    found.push({
      code: 'viewNarrow',
      severity: severityOf(loss.viewNarrow),
      viewDeg: frame.horizontalDeg,
      leastDeg: leastViewDeg(demands, mode),
      forSubject: demands.subjectDeg !== null && demands.subjectDeg * 1.4 >= frame.horizontalDeg / 2,
    });
  const distanceM = brief.motion.subject?.distanceM;
  const lens = lensFocusing(brief.camera, mode.view.id);
  if (distanceM !== undefined) {
    const degrees = blurDiscDeg(lens, distanceM);
    const perDegree = pctWidthPerDegree(frame.horizontalDeg, mode.view.projection) / 100;
    const blurPx = degrees * perDegree * brief.playback.deliver.width;
    if (distanceM < lens.nearLimitM || blurPx >= SOFT_FROM_PX)
      found.push({
        code: 'faceNear',
        severity: blurPx >= SOFT_FROM_PX ? 'caution' : 'note',
        distanceM,
        nearLimitM: lens.nearLimitM,
        sharpFromM: sharpRangeM(lens, distanceM).fromM,
        blurPx,
        tooNear: distanceM < Math.max(lens.nearLimitM, sharpRangeM(lens, distanceM).fromM),
      });
  }
  if (worthAWarning('tilt', loss))
    found.push({
      code: 'tilt',
      severity: severityOf(loss.tilt),
      tiltDeg: brief.mount.tiltDeg,
      keeps: straightenKeeps(brief.mount.tiltDeg, mode.resolution.width, mode.resolution.height),
    });
  if (demands.swingDeg - frame.swingDeg > 0 && loss.steadiness >= 0.5)
    found.push({
      code: 'margin',
      severity: severityOf(loss.steadiness),
      swingDeg: demands.swingDeg,
      heldDeg: frame.swingDeg,
      steadiedInEdit: school.steadiedInEdit,
    });
  if (frame.widthPx < brief.playback.deliver.width)
    found.push({
      code: 'resolution',
      severity: severityOf(loss.resolution),
      widthPx: frame.widthPx,
      neededPx: brief.playback.deliver.width,
    });
  return found;
}

function fileWarnings({ space, candidate, loss }: Seen): Warning[] {
  const { limits } = space.brief;
  const { mode, encoding } = candidate;
  const found: Warning[] = [];
  if (worthAWarning('bitRate', loss))
    found.push({
      code: 'bitRate',
      severity: severityOf(loss.bitRate),
      bitsPerPixel: encodingBitsPerPixel(mode, encoding),
      loss: loss.bitRate,
    });
  if (worthAWarning('card', loss)) {
    const use = cardUse(encoding.bitRateMbps, limits.recordSeconds, limits.cardGb);
    const fitting = encodingsKept(space.brief, mode)
      .map(({ bitRateMbps }) => bitRateMbps)
      .filter((rate) => cardUse(rate, limits.recordSeconds, limits.cardGb) <= 1);
    found.push({
      code: 'card',
      severity: 'stop',
      use,
      lastsSeconds: limits.recordSeconds / use,
      recordSeconds: limits.recordSeconds,
      fitsMbps: fitting.length > 0 ? Math.max(...fitting) : null,
      needsGb: limits.cardGb * use,
    });
  }
  return found;
}
