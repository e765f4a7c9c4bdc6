import { USABLE_SHARE } from '@/core/camera/card';
import { FORMULAS } from '@/core/explain/formulas';
import type { FormulaId, InputId, ResultUnit } from '@/core/explain/formulas';
import { LUX_AT_EV_0, REFERENCE_ISO } from '@/core/light/exposureValue';
import { DOMINANT_HZ, PEAK_FACTOR, SMEAR_TOLERANCE_PCT } from '@/core/motion/shake';
import { shutterAngleDeg } from '@/core/playback/shutterAngle';
import { THROUGH_SURFACE, WATER_INDEX } from '@/core/light/underwater';
import { MIDDLE_GREY_PCT } from '@/core/loss/picture';
import { SKY_ARCSEC_PER_S, TRAIL_PX } from '@/core/timeLapse/lapseWish';
import { shutterFraction, trimmed } from '@/core/units/format';
import * as messages from '@/language/reasons/formulas';
import { durationText, evText } from './settingText';

export const FORMULA_NAME: Record<FormulaId, string> = messages.name;
export const INPUT_NAME: Record<InputId, string> = messages.input;

/** The norm of exposure meters. */
const EXPOSURE_NORM = 'ISO 2720';
const BITS_OF_A_BYTE = 8;

/** The formula in a line, its constants those of the code. */
export function formulaLine(id: FormulaId): string {
  const line = messages.line;
  switch (id) {
    case 'smear':
      return line.smear({ peak: PEAK_FACTOR });
    case 'shakeFloor':
      return line.shakeFloor({ tolerance: SMEAR_TOLERANCE_PCT, peak: PEAK_FACTOR });
    case 'swing':
      return line.swing({ peak: PEAK_FACTOR, hz: DOMINANT_HZ });
    case 'angle':
      return line.angle({ full: shutterAngleDeg(1, 1) });
    case 'exposureValue':
      return line.exposureValue({ iso: REFERENCE_ISO });
    case 'lux':
      return line.lux({ calibration: LUX_AT_EV_0, two: 2 });
    case 'pulseLeft':
      return line.pulseLeft({ two: 2 });
    case 'angularSize':
      return line.angularSize({ two: 2 });
    case 'gigabytes':
      return line.gigabytes({ bits: BITS_OF_A_BYTE });
    case 'gimbalSmear':
      return line.gimbalSmear({ peak: PEAK_FACTOR });
    case 'meterOff':
      return line.meterOff({ grey: MIDDLE_GREY_PCT });
    case 'depthLight':
      return line.depthLight({ through: THROUGH_SURFACE });
    case 'portView':
      return line.portView({ two: 2, index: WATER_INDEX });
    case 'trail':
      return line.trail({ px: TRAIL_PX, turn: SKY_ARCSEC_PER_S });
    case 'cardLasts':
      return line.cardLasts({ usable: trimmed(100 * USABLE_SHARE, 0) });
    default:
      return line[id];
  }
}

export function formulaSource(id: FormulaId): string {
  const source = messages.source;
  return id === 'exposureValue' || id === 'lux' || id === 'meterOff'
    ? source[id]({ norm: EXPOSURE_NORM })
    : source[id];
}

/** A value of an input with its unit. */
export function inputText(id: InputId, value: number): string {
  const unit = messages.unit;
  switch (id) {
    case 'timelineFps':
    case 'frameRate':
    case 'otherRate':
      return unit.fps({ value: trimmed(value, 1) });
    case 'slowdown':
      return unit.times({ value: trimmed(value, 1) });
    case 'shutterSeconds':
      return unit.seconds({ value: shutterFraction(value) });
    case 'crossingDegPerS':
    case 'shakeDegPerS':
      return unit.degPerS({ value: trimmed(value, 1) });
    case 'viewDeg':
      return unit.degrees({ value: trimmed(value, 0) });
    case 'keepsPct':
    case 'reflectancePct':
    case 'takesPct':
      return unit.pct({ value: trimmed(value, 0) });
    case 'fNumber':
      return unit.stop({ value: trimmed(value, 1) });
    case 'iso':
      return unit.plain({ value: trimmed(value, 0) });
    case 'ev':
      return unit.ev({ value: evText(value) });
    case 'mainsHz':
      return unit.hz({ value: trimmed(value, 0) });
    case 'readoutMs':
      return unit.milliseconds({ value: trimmed(value, 0) });
    case 'depthM':
    case 'sizeM':
    case 'distanceM':
      return unit.metres({ value: trimmed(value, 1) });
    case 'bitRateMbps':
      return unit.mbps({ value: trimmed(value, 0) });
    case 'minutes':
      return durationText(value * 60);
    case 'cardGb':
      return unit.gigabytes({ value: trimmed(value, 0) });
    case 'powerW':
      return unit.watts({ value: trimmed(value, 1) });
    case 'airC':
      return unit.celsius({ value: trimmed(value, 0).replace('-', '−') });
    case 'airSpeedMps':
    case 'windMps':
      return unit.mps({ value: trimmed(value, 1) });
  }
}

export function resultText(id: FormulaId, value: number): string {
  return valueText(FORMULAS[id].unit, value);
}

function valueText(of: ResultUnit, value: number): string {
  const unit = messages.unit;
  switch (of) {
    case 'fps':
      return unit.fps({ value: trimmed(value, 1) });
    case 'seconds':
      return unit.seconds({ value: shutterFraction(value) });
    case 'degrees':
      return unit.degrees({ value: trimmed(value, 1) });
    case 'pct':
      return unit.pct({ value: trimmed(value, 2) });
    case 'ev':
      return unit.ev({ value: evText(value) });
    case 'stops':
      return unit.stops({ value: evText(value) });
    case 'lux':
      return unit.lux({ value: value >= 100 ? String(Number(value.toPrecision(2))) : trimmed(value, 1) });
    case 'share':
      return unit.share({ value: trimmed(100 * value, 0) });
    case 'hz':
      return unit.hz({ value: trimmed(value, 1) });
    case 'metres':
      return unit.metres({ value: trimmed(value, 2) });
    case 'gigabytes':
      return unit.gigabytes({ value: trimmed(value, 1) });
    case 'minutes':
      return durationText(value * 60);
    case 'celsius':
      return unit.celsius({ value: trimmed(value, 0).replace('-', '−') });
    case 'mps':
      return unit.mps({ value: trimmed(value, 1) });
  }
}

/** "shutter 1/50 s, view 110°" */
export function inputsText(id: FormulaId, values: readonly number[]): string {
  return FORMULAS[id].inputs
    .map((name, at) => `${INPUT_NAME[name]} ${inputText(name, values[at] ?? 0)}`)
    .join(messages.and);
}
