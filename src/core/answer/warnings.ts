import { encodingBitsPerPixel, cardUse } from '../camera/card';
import { flickerBands, flickerBeatHz, flickerResidual, flickerSafeShutters } from '../light/flicker';
import { lensFocusing } from '../camera/lenses';
import { blurDiscDeg, sharpRangeM } from '../optics/focus';
import { pctWidthPerDegree } from '../optics/projection';
import { straightenKeeps } from '../optics/crop';
import { SMEAR_TOLERANCE_PCT } from '../motion/shake';
import { cadenceOf } from '../playback/cadence';
import type { Candidate } from '../search/candidate';
import type { Exposure } from '../loss/exposureLoss';
import { helpsFor } from './helps';
import type { Help } from './helps';
import { deliveredFrame } from '../loss/modeLoss';
import { cautionsFor } from '../motion/cautions';
import type { Caution } from '../motion/mounts';
import { STROBING_BLUR_SHARE, SUBJECT_BLUR_TOLERANCE_PCT } from '../loss/shutterLoss';
import type { MotionFigures } from '../loss/shutterLoss';
import { sunInShot } from './sunInShot';
import type { SunInShot } from './sunInShot';
import type { Space } from '../search/space';
import type { Loss } from '../loss/terms';

/** What will be seen to go wrong, as figures; `words/` says it. */
export type Severity = 'stop' | 'caution' | 'note';

export type Warning = { severity: Severity } & (
  | { code: 'over'; overStops: number; guardStops: number; evMax: number; helps: Help[] }
  | { code: 'under'; underStops: number; evMin: number; helps: Help[] }
  | { code: 'noise'; isoUsed: number; stopsAboveBase: number; filterStops: number }
  | { code: 'smear'; smearPct: number; tolerancePct: number; floorSeconds: number }
  | { code: 'strobing'; stepPct: number; blurShare: number; enoughSeconds: number }
  | { code: 'stutter'; seenFps: number; timelineFps: number; neededFps: number; broken: boolean }
  | { code: 'cadence'; captureFps: number; timelineFps: number; slowdown: number; evenFps: number[] }
  | { code: 'flicker'; residual: number; beatHz: number; bands: number | null; safeSeconds: number | null }
  | { code: 'speed'; blurPct: number; tolerancePct: number; enoughSeconds: number }
  | { code: 'viewNarrow'; viewDeg: number; leastDeg: number; forSubject: boolean }
  | { code: 'faceNear'; distanceM: number; nearLimitM: number; sharpFromM: number; blurPx: number }
  | { code: 'tilt'; tiltDeg: number; keeps: number }
  | { code: 'margin'; swingDeg: number; heldDeg: number; steadiedInEdit: boolean }
  | { code: 'resolution'; widthPx: number; neededPx: number }
  | { code: 'bitRate'; bitsPerPixel: number; loss: number }
  | { code: 'card'; use: number; lastsSeconds: number; recordSeconds: number; fitsMbps: number }
  | { code: 'flare'; sun: SunInShot; zone: string | undefined }
  | { code: 'safety'; caution: Caution }
);

/** Blur disc in pixels of the delivered picture from which a face looks soft (start). */
const SOFT_FROM_PX = 3;
/** Loss from which a warning is worth a line, and from which it is a caution. */
const NOTE_FROM = 0.15;
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

function severityOf(loss: number): Severity {
  return loss >= STOP_FROM ? 'stop' : loss >= CAUTION_FROM ? 'caution' : 'note';
}

function exposureWarnings({ space, candidate, loss, exposure }: Seen): Warning[] {
  const { light, sensor } = space;
  const found: Warning[] = [];
  const helps = helpsFor(space, candidate, exposure);
  if (exposure.overStops > 0.05)
    found.push({
      code: 'over',
      severity:
        exposure.overStops > sensor.guardStops ? severityOf(Math.max(CAUTION_FROM, loss.over)) : 'note',
      overStops: exposure.overStops,
      guardStops: sensor.guardStops,
      evMax: light.evMax,
      helps: exposure.overStops > sensor.guardStops ? helps : [],
    });
  if (exposure.underStops > 0.05)
    found.push({
      code: 'under',
      severity: exposure.underStops >= 1 ? severityOf(Math.max(CAUTION_FROM, loss.under)) : 'note',
      underStops: exposure.underStops,
      evMin: light.evMin,
      helps,
    });
  if (loss.noise >= 0.5) {
    const isoUsed = candidate.iso.min * 2 ** exposure.darkIsoStops;
    const stopsAboveBase = Math.log2(isoUsed / sensor.baseIso);
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
  if (loss.smear >= NOTE_FROM)
    found.push({
      code: 'smear',
      severity: severityOf(loss.smear),
      smearPct: SMEAR_TOLERANCE_PCT * 2 ** (exposure.darkLog - figures.shakeFloorLog),
      tolerancePct: SMEAR_TOLERANCE_PCT,
      floorSeconds,
    });
  if (loss.subjectBlur >= NOTE_FROM)
    found.push({
      code: 'speed',
      severity: severityOf(loss.subjectBlur),
      blurPct: SUBJECT_BLUR_TOLERANCE_PCT * 2 ** loss.subjectBlur,
      tolerancePct: SUBJECT_BLUR_TOLERANCE_PCT,
      enoughSeconds: 2 ** figures.subjectFloorLog,
    });
  if (loss.strobing >= NOTE_FROM)
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
  if (cadence.repeats && loss.stutter >= NOTE_FROM)
    found.push({
      code: 'stutter',
      severity: severityOf(loss.stutter),
      seenFps: cadence.seenFps,
      timelineFps,
      neededFps: timelineFps * slowdown,
      broken: cadence.seenFps < 18,
    });
  if (cadence.uneven)
    found.push({
      code: 'cadence',
      severity: severityOf(loss.cadence),
      captureFps: frameRate,
      timelineFps,
      slowdown,
      evenFps: [1, 2, 4].map((times) => times * timelineFps * slowdown),
    });
  const { pulseHz } = space.light;
  if (pulseHz !== null && loss.flicker >= NOTE_FROM) {
    const seconds = 2 ** exposure.darkLog;
    const safe = flickerSafeShutters(pulseHz, frameRate);
    const nearest = safe.reduce<number | null>(
      (best, time) =>
        best === null || Math.abs(Math.log2(time / seconds)) < Math.abs(Math.log2(best / seconds))
          ? time
          : best,
      null,
    );
    found.push({
      code: 'flicker',
      severity: severityOf(loss.flicker),
      residual: Math.max(
        flickerResidual(pulseHz, seconds),
        flickerResidual(pulseHz, 2 ** exposure.brightLog),
      ),
      beatHz: flickerBeatHz(pulseHz, frameRate),
      bands:
        brief.camera.readoutSeconds === undefined ? null : flickerBands(pulseHz, brief.camera.readoutSeconds),
      safeSeconds: nearest,
    });
  }
  return found;
}

function frameWarnings({ space, candidate, loss }: Seen): Warning[] {
  const { brief, demands, school } = space;
  const { mode } = candidate;
  const frame = deliveredFrame(brief, mode, school.steadiedInEdit);
  const found: Warning[] = [];
  if (loss.viewNarrow >= NOTE_FROM)
    found.push({
      code: 'viewNarrow',
      severity: severityOf(loss.viewNarrow),
      viewDeg: frame.horizontalDeg,
      leastDeg: demands.leastViewDeg,
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
      });
  }
  if (loss.tilt >= NOTE_FROM)
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
  if (loss.bitRate >= NOTE_FROM)
    found.push({
      code: 'bitRate',
      severity: severityOf(loss.bitRate),
      bitsPerPixel: encodingBitsPerPixel(mode, encoding),
      loss: loss.bitRate,
    });
  const use = cardUse(encoding.bitRateMbps, limits.recordSeconds, limits.cardGb);
  if (use > 1)
    found.push({
      code: 'card',
      severity: 'stop',
      use,
      lastsSeconds: limits.recordSeconds / use,
      recordSeconds: limits.recordSeconds,
      fitsMbps: encoding.bitRateMbps / use,
    });
  return found;
}
