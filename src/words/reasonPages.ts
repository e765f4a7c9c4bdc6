import type { Solution } from '@/core/answer/solve';
import { SOUND_LIMITS } from '@/core/answer/soundAdvice';
import { cardSeconds, HEVC_SHARE_OF_AVC, USABLE_SHARE, writtenMbps } from '@/core/camera/card';
import { modePowerW } from '@/core/camera/modeTable';
import { cellWh, USUAL_CELL, WARM_C } from '@/core/camera/power';
import { helmetRide } from '@/core/explain/helmet';
import { BEAT_SEEN_HZ, flickerSafeShutters, pulseHzOfMains } from '@/core/light/flicker';
import { STROBING_STEP_PCT, SUBJECT_BLUR_TOLERANCE_PCT } from '@/core/loss/movement';
import { GLASS_INDEX } from '@/core/filters/mirrored';
import { WATER_INDEX } from '@/core/light/underwater';
import { HEADROOM_STOPS, meterReads } from '@/core/loss/picture';
import { trailSeconds } from '@/core/timeLapse/lapseWish';
import { peakShakeSmearPct, SMEAR_TOLERANCE_PCT } from '@/core/motion/shake';
import { angularSizeDeg, LOST_BELOW_SHARE } from '@/core/optics/framing';
import { cadenceOf, STUTTER_BROKEN_FPS, STUTTER_SEEN_FPS } from '@/core/playback/cadence';
import { EYE_PX_PER_DEGREE } from '@/core/playback/screens';
import { secondsOfAngle } from '@/core/playback/shutterAngle';
import { gigabytesOf } from '@/core/units/data';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import type { ReasonPage } from '@/core/vocabulary/reasonPages';
import { SCENES } from '@/core/vocabulary/scenes';
import { SCHOOL_HABITS } from '@/core/vocabulary/schools';
import * as messages from '@/language/reasons';
import { STABILIZATION_LABEL, SURROUNDINGS_LABEL } from './labels';
import { durationText, evText, filterText } from './settingText';
import type { FilterNotation } from './settingText';

/** What a page says, in paragraphs, with the numbers of a shot: every one of them worked out. */
export function pageText(page: ReasonPage, shot: Solution, notation: FilterNotation): string[] {
  switch (page) {
    case 'playback':
      return playbackText(shot);
    case 'steadiness':
      return steadinessText(shot);
    case 'shutter':
      return shutterText(shot);
    case 'light':
      return lightText(shot, notation);
    case 'conforming':
      return conformingText(shot);
    case 'rolling':
      return Object.values(messages.rolling);
    case 'gimbals':
      return Object.values(messages.gimbals);
    case 'vehicles':
      return Object.values(messages.vehicles);
    case 'meter':
      return meterText(shot);
    case 'contrast':
      return contrastText(shot);
    case 'polarizers':
      return polarizersText();
    case 'colour':
      return colourText(shot);
    case 'underWater':
      return Object.values(messages.underWater);
    case 'timeLapse':
      return timeLapseText(shot);
    case 'flicker':
      return flickerText(shot);
    case 'view':
      return viewText(shot);
    case 'card':
      return cardText(shot);
    case 'power':
      return powerText(shot);
    case 'cameras':
      return [messages.cameras.first, messages.cameras.second, messages.cameras.third];
    case 'sound':
      return soundText(shot);
    case 'cautions':
      return [messages.cautions.first];
    case 'schools':
      return [messages.schools.first];
    case 'figures':
      return [messages.figures.first];
    case 'glossary':
      return [messages.glossary.first];
  }
}

const AIM = SCHOOL_HABITS.weigh.aim.angleDeg;
const percent = (share: number): string => trimmed(100 * share, 0);

function playbackText({ space, settings }: Solution): string[] {
  const { timelineFps, slowdown } = space.brief.playback;
  const said = messages.playback;
  return [
    said.first({
      timeline: trimmed(timelineFps, 3),
      slowdown: trimmed(slowdown, 2),
      needed: trimmed(timelineFps * slowdown, 2),
      rate: trimmed(settings.frameRate, 3),
    }),
    said.second({ seen: STUTTER_SEEN_FPS, broken: STUTTER_BROKEN_FPS }),
    said.third,
  ];
}

function steadinessText({ space, figures, settings, motion }: Solution): string[] {
  const said = messages.steadiness;
  const helmet = helmetRide();
  const { shakeDegPerSRms } = helmet.space.brief.motion;
  const { view } = helmet.candidate.mode;
  const long = secondsOfAngle(AIM, helmet.settings.frameRate);
  return [
    said.first,
    said.second({
      shake: trimmed(shakeDegPerSRms, 0),
      long: shutterFraction(long),
      smear: tenths(peakShakeSmearPct(shakeDegPerSRms, long, view.horizontalDeg, view.projection)),
    }),
    said.third({
      tolerance: SMEAR_TOLERANCE_PCT,
      view: trimmed(view.horizontalDeg, 0),
      floor: shutterFraction(2 ** helmet.figures.shakeFloorLog),
      wants: shutterFraction(helmet.settings.shutterSeconds),
    }),
    said.fourth,
    said.fifth,
    said.shot({
      ownShake: trimmed(space.brief.motion.shakeDegPerSRms, 1),
      ownFloor: shutterFraction(2 ** figures.shakeFloorLog),
      ownShutter: shutterFraction(settings.shutterSeconds),
      ownSmear: trimmed(motion.shakeSmearPctWidth, 2),
      ownHold: STABILIZATION_LABEL[settings.stabilization],
    }),
  ];
}

function shutterText({ space, settings }: Solution): string[] {
  const said = messages.shutter;
  const { timelineFps, slowdown } = space.brief.playback;
  return [
    said.first({ aim: AIM }),
    said.second({
      shown: trimmed(cadenceOf(settings.frameRate, timelineFps, slowdown).shownFps, 2),
      shutter: shutterFraction(settings.shutterSeconds),
      angle: trimmed(settings.shutterAngleDeg, 0),
    }),
    said.third({ limit: SUBJECT_BLUR_TOLERANCE_PCT, step: STROBING_STEP_PCT }),
    said.fourth,
  ];
}

function lightText({ space, candidate, settings }: Solution, notation: FilterNotation): string[] {
  const said = messages.light;
  const { brief } = space;
  const { sensor } = candidate.colour;
  return [
    said.first({
      sun: SCENES.openSun.evMax,
      from: evText(space.light.evMin),
      to: evText(space.light.evMax),
    }),
    said.second({
      fNumber: trimmed(sensor.fNumber, 1),
      base: sensor.baseIso,
      filter: filterText(settings.filter, brief.filters, notation),
    }),
    said.third({ guard: tenths(sensor.guardStops) }),
    said.fourth,
  ];
}

function flickerText({ space, settings }: Solution): string[] {
  const said = messages.flicker;
  const { mainsHz } = space.brief.limits;
  const pulse = pulseHzOfMains(mainsHz);
  const [safe] = flickerSafeShutters(pulse, settings.frameRate);
  const [slow, fast] = BEAT_SEEN_HZ;
  return [
    said.first({
      pulse,
      other: pulseHzOfMains(mainsHz === 50 ? 60 : 50),
      safe: shutterFraction(safe ?? 1 / pulse),
    }),
    said.second({ slow, fast }),
    said.third,
  ];
}

/** Somebody of usual size, where the shot has nobody. */
const USUAL_SUBJECT = { sizeM: 1.8, distanceM: 4 };

function viewText({ space }: Solution): string[] {
  const said = messages.view;
  const { sizeM, distanceM } = space.brief.motion.subject ?? USUAL_SUBJECT;
  return [
    said.first({
      size: trimmed(sizeM, 1),
      distance: trimmed(distanceM, 1),
      angle: trimmed(angularSizeDeg(sizeM, distanceM), 0),
      lost: messages.oneIn({ parts: Math.round(1 / LOST_BELOW_SHARE) }),
    }),
    said.second,
    said.third({ eye: EYE_PX_PER_DEGREE }),
    said.fourth,
  ];
}

function cardText({ space, settings }: Solution): string[] {
  const said = messages.card;
  const { camera, limits } = space.brief;
  const written = writtenMbps(settings.bitRateMbps, camera);
  return [
    said.first({
      rate: trimmed(written, 0),
      minutes: trimmed(limits.recordSeconds / 60, 0),
      gigabytes: tenths(gigabytesOf(written, limits.recordSeconds)),
      usable: percent(USABLE_SHARE),
      card: limits.cardGb,
      lasts: durationText(cardSeconds(written, limits.cardGb)),
    }),
    said.second({ share: messages.percent({ value: percent(HEVC_SHARE_OF_AVC) }) }),
    said.third,
  ];
}

function powerText({ space, candidate }: Solution): string[] {
  const said = messages.power;
  const watts = modePowerW(space.brief.camera, candidate.mode);
  const cell = cellWh(USUAL_CELL);
  return [
    said.first({
      cell: tenths(cell),
      minutes: durationText((cell / watts) * 3600),
      power: tenths(watts),
    }),
    said.second({ warm: WARM_C }),
    said.third,
  ];
}

function soundText({ space }: Solution): string[] {
  const said = messages.sound;
  const { motion, sound: heard } = space.brief;
  return [
    said.first({
      stream: trimmed(motion.travelMps + heard.windMps, 1),
      cover: SOUND_LIMITS.coverFromMps.value,
      outside: SOUND_LIMITS.outsideFromMps.value,
    }),
    said.second,
  ];
}

function conformingText({ space, settings }: Solution): string[] {
  const said = messages.conforming;
  const { timelineFps } = space.brief.playback;
  return [
    said.first,
    said.second({ rate: trimmed(settings.frameRate, 2), timeline: trimmed(timelineFps, 2) }),
    said.third,
  ];
}

function meterText({ space }: Solution): string[] {
  const said = messages.meter;
  const { surroundings } = space.brief;
  const { reflectancePct, greyPct } = meterReads(surroundings);
  return [
    said.first({
      grey: greyPct,
      surroundings: SURROUNDINGS_LABEL[surroundings],
      reflectance: trimmed(reflectancePct, 1),
    }),
    said.second,
    said.third,
  ];
}

function contrastText({ space }: Solution): string[] {
  const said = messages.contrast;
  const { skyShare, skyStops } = space.workings.picture;
  return [
    said.first,
    said.second({
      standard: tenths(HEADROOM_STOPS.standard),
      flat: tenths(HEADROOM_STOPS.flat),
      log: tenths(HEADROOM_STOPS.log),
      share: percent(skyShare),
      sky: tenths(skyStops),
    }),
    said.third,
  ];
}

function polarizersText(): string[] {
  const said = messages.polarizers;
  const brewster = (index: number): string => trimmed((Math.atan(index) * 180) / Math.PI, 0);
  return [said.first({ water: brewster(WATER_INDEX), pane: brewster(GLASS_INDEX) }), said.second, said.third];
}

function colourText({ space }: Solution): string[] {
  const said = messages.colour;
  const { warmK, coolK, lockK } = space.workings.lightColour;
  return [said.first, said.second({ warm: warmK, cool: coolK, lock: lockK }), said.third, said.fourth];
}

function timeLapseText({ space, candidate }: Solution): string[] {
  const said = messages.timeLapse;
  const trail = trailSeconds(candidate.mode.view, space.brief.playback.deliver.width);
  return [said.first, said.second, said.third({ trail: durationText(trail) }), said.fourth];
}
