import { describe, expect, it } from 'vitest';
import { videoBytes } from './camera/card';
import { temperatureAfter } from './day/heat';
import { bankUsableWh } from './camera/power';
import { ARCHETYPES } from './camera/archetypes';
import { ev100OfIlluminance, ev100OfSetting } from './light/exposureValue';
import { flickerBeatHz, flickerResidual, pulseHzOfMains } from './light/flicker';
import { clearSkyHorizontalLux } from './light/sun/illuminance';
import { blurToAddOfFrameStep, forwardFlowDegPerS } from './motion/flow';
import { peakShakeSmearPct, shakeFloorSeconds } from './motion/shake';
import { straightenKeeps } from './optics/crop';
import { hyperfocalM } from './optics/focus';
import { horizontalDegOfEquivalentFocal16x9, viewAfterCropDeg } from './optics/projection';
import type { Projection } from './optics/projection';
import worked from './worked.json';

/** Every published or second-hand figure this code has a function for. */
type Given = Record<string, number> & { projection?: never; aspect?: never };
const projectionOf = (given: object): Projection =>
  (given as { projection: string }).projection === 'rectilinear' ? 'straight' : 'curved';
const aspectOf = (given: object): [number, number] => {
  const [width = 1, height = 1] = (given as { aspect: string }).aspect.split(':').map(Number);
  return [width, height];
};

const FUNCTIONS: Record<string, (given: Given) => number> = {
  ev100OfSetting: (g) => ev100OfSetting(g.fNumber!, g.shutterSeconds!, g.iso!),
  ev100OfIlluminance: (g) => ev100OfIlluminance(g.lux!),
  peakShakeSmearPctWidth: (g) =>
    peakShakeSmearPct(g.shakeDegPerSRms!, g.shutterSeconds!, g.horizontalDeg!, projectionOf(g)),
  shakeFloorSeconds: (g) =>
    shakeFloorSeconds(g.shakeDegPerSRms!, g.horizontalDeg!, projectionOf(g), g.tolerancePctWidth),
  forwardFlowDegPerS: (g) => forwardFlowDegPerS(g.travelMps!, g.sideDistanceM!, g.offAxisDeg!),
  viewAfterCropDeg: (g) => viewAfterCropDeg(g.horizontalDeg!, g.crop!, projectionOf(g)),
  horizontalDegOfEquivalentFocal16x9: (g) => horizontalDegOfEquivalentFocal16x9(g.equivalentMm!),
  straightenKeeps: (g) => straightenKeeps(g.angleDeg!, ...aspectOf(g)),
  flickerResidual: (g) => flickerResidual(pulseHzOfMains(g.mainsHz!), g.shutterSeconds!),
  flickerBeatHz: (g) => flickerBeatHz(pulseHzOfMains(g.mainsHz!), g.fps!),
  clearSkyHorizontalLux: (g) => clearSkyHorizontalLux(g.altitudeDeg!),
  videoBytes: (g) => videoBytes(g.bitRateMbps!, g.seconds!),
  blurToAddOfFrameStep: (g) => blurToAddOfFrameStep(g.shutterAngleDeg!),
  hyperfocalM: (g) => hyperfocalM(g.focalMm!, g.fNumber!, g.circleMm!),
  bankUsableWh: (g) => bankUsableWh(g.ah!, g.cellV, g.efficiency),
  cameraTemperatureC: (g) =>
    temperatureAfter(
      g.airC! + g.sunC!,
      ARCHETYPES.main.heat,
      { airC: g.airC!, sunC: g.sunC!, powerW: g.powerW!, airSpeedMps: g.airSpeedMps! },
      g.minutes!,
    ),
};

describe('worked figures', () => {
  it('has a function for every row', () => {
    const missing = worked.rows.map((row) => row.what).filter((what) => !(what in FUNCTIONS));
    expect([...new Set(missing)]).toEqual([]);
  });

  for (const row of worked.rows) {
    const compute = FUNCTIONS[row.what];
    if (!compute) continue;
    it(`${row.what} of ${JSON.stringify(row.given)} is ${row.value} (${row.source})`, () => {
      const tolerance =
        typeof row.tolerance === 'string' ? (parseFloat(row.tolerance) / 100) * row.value : row.tolerance;
      const got = compute(row.given as unknown as Given);
      expect(Math.abs(got - row.value), `got ${got}`).toBeLessThanOrEqual(
        Math.max(tolerance, Math.abs(row.value) * 1e-6),
      );
    });
  }
});
