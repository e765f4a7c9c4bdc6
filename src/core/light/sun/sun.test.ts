import { SHADES, SKIES, SKY_HABITS } from '../../vocabulary/outdoors';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ev100OfIlluminance } from '../exposureValue';
import { beamShareOf, divisorOfCloud, shadeStops, skyAt } from '../sky';
import { dayLightOf, daySpansOf, horizonFromTimes } from './day';
import { horizonAltitudeDeg } from './horizon';
import { clearSkyHorizontalLux, moonHorizontalLux } from './illuminance';
import { angleToSunDeg, sunInView } from './inFrame';
import { airMass, cardLux, clearBeamLux, daylightAt, litEv } from './lit';
import { compassBetweenDeg, moonPosition, sunPosition } from './position';
import { sunLightAt, sunLightRange } from './sunLight';
import type { SunLight } from './sunLight';
import { sampling } from '../../../../testing/samples';

const RAD = Math.PI / 180;

/**
 * A second algorithm for the sun's geometric altitude and azimuth: the Astronomical Almanac's low-precision formulas
 * (page C5; 0.01° between 1950 and 2050), with mean sidereal time from the Almanac's page B8. Nothing shared with the first.
 */
function almanacSun(lat: number, lon: number, atMs: number): { altitudeDeg: number; azimuthDeg: number } {
  const n = atMs / 86_400_000 - 10_957.5; // days since 2000-01-01 12:00 UT
  const meanLongitude = 280.46 + 0.9856474 * n;
  const anomaly = (357.528 + 0.9856003 * n) * RAD;
  const longitude = (meanLongitude + 1.915 * Math.sin(anomaly) + 0.02 * Math.sin(2 * anomaly)) * RAD;
  const obliquity = (23.439 - 0.0000004 * n) * RAD;
  const ascension = Math.atan2(Math.cos(obliquity) * Math.sin(longitude), Math.cos(longitude));
  const declination = Math.asin(Math.sin(obliquity) * Math.sin(longitude));
  const siderealDeg = 15 * (18.697374558 + 24.06570982441908 * n) + lon;
  const hourAngle = siderealDeg * RAD - ascension;
  const [sinLat, cosLat] = [Math.sin(lat * RAD), Math.cos(lat * RAD)];
  const east = -Math.cos(declination) * Math.sin(hourAngle);
  const north = cosLat * Math.sin(declination) - sinLat * Math.cos(declination) * Math.cos(hourAngle);
  const up = sinLat * Math.sin(declination) + cosLat * Math.cos(declination) * Math.cos(hourAngle);
  return {
    altitudeDeg: Math.asin(Math.max(-1, Math.min(1, up))) / RAD,
    azimuthDeg: (Math.atan2(east, north) / RAD + 360) % 360,
  };
}

const between = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const anyWhere = fc.record({ lat: between(-89.9, 89.9), lon: between(-180, 180) });
const anyWhen = between(Date.UTC(1990, 0, 1), Date.UTC(2049, 11, 31));
const TARNHOLT = { lat: 46.62, lon: 12.3 };
const at = (clock: string): number => Date.parse(`2026-10-03T${clock}:00+02:00`);

describe('where the sun stands', () => {
  it('is within 0.05° of a second algorithm at 10,000 random places and times', () => {
    let worst = 0;
    fc.assert(
      fc.property(anyWhere, anyWhen, (place, ms) => {
        const sun = sunPosition(place, ms);
        const second = almanacSun(place.lat, place.lon, ms);
        const off = Math.abs(sun.altitudeDeg - second.altitudeDeg);
        worst = Math.max(worst, off);
        // Azimuth is loose near the zenith, so it is held by the arc it makes.
        const arc = compassBetweenDeg(sun.azimuthDeg, second.azimuthDeg) * Math.cos(sun.altitudeDeg * RAD);
        expect(off, `altitude at ${JSON.stringify(place)} ${new Date(ms).toISOString()}`).toBeLessThan(0.05);
        expect(arc, `azimuth at ${JSON.stringify(place)} ${new Date(ms).toISOString()}`).toBeLessThan(0.05);
      }),
      sampling(10_000, 4),
    );
    expect(worst).toBeGreaterThan(0);
  });

  it('is lifted by refraction, half a degree at the horizon, and never below it', () => {
    fc.assert(
      fc.property(anyWhere, anyWhen, (place, ms) => {
        const { altitudeDeg, apparentAltitudeDeg } = sunPosition(place, ms);
        const lift = apparentAltitudeDeg - altitudeDeg;
        expect(lift).toBeGreaterThanOrEqual(0);
        expect(lift).toBeLessThan(0.6);
        if (altitudeDeg < -1) expect(lift).toBe(0);
        if (altitudeDeg > 45) expect(lift).toBeLessThan(0.02);
      }),
    );
  });

  it('the moon is full and new when the almanac says so', () => {
    const on = (iso: string): ReturnType<typeof moonPosition> => moonPosition(TARNHOLT, Date.parse(iso));
    expect(on('2026-08-28T04:18:00Z').litShare).toBeGreaterThan(0.99);
    expect(on('2026-08-12T17:37:00Z').litShare).toBeLessThan(0.01);
    expect(on('2026-08-28T04:18:00Z').elongationDeg).toBeGreaterThan(170);
  });
});

describe('illuminance', () => {
  it('joins its pieces within 3 %, and falls with the sun all the way down', () => {
    for (const join of [20, 5, -0.8, -5, -12]) {
      const above = clearSkyHorizontalLux(join);
      expect(Math.abs(clearSkyHorizontalLux(join - 1e-9) / above - 1), `at ${join}°`).toBeLessThan(0.03);
    }
    let before = clearSkyHorizontalLux(90);
    for (let altitude = 90; altitude >= -25; altitude -= 0.001) {
      const lux = clearSkyHorizontalLux(altitude);
      if (lux > before) expect.fail(`brighter at ${altitude}° than above it: ${lux} over ${before}`);
      before = lux;
    }
  });

  it('gives the published checks within 1 %', () => {
    for (const [altitude, lux, ev] of [
      [60, 103_000, 15.3],
      [10, 11_100, 12.1],
      [0, 759, 8.2],
      [-6, 3.4, 0.4],
    ] as const) {
      expect(Math.abs(clearSkyHorizontalLux(altitude) / lux - 1), `${altitude}°`).toBeLessThan(0.01);
      expect(ev100OfIlluminance(clearSkyHorizontalLux(altitude))).toBeCloseTo(ev, 1);
    }
  });

  it('a full moon high up gives about a quarter lux, a half moon about a tenth of that, none when down', () => {
    const full = {
      altitudeDeg: 60,
      azimuthDeg: 180,
      elongationDeg: 180,
      horizontalParallaxDeg: 0.951,
      litShare: 1,
    };
    expect(moonHorizontalLux(full)).toBeGreaterThan(0.15);
    expect(moonHorizontalLux(full)).toBeLessThan(0.32);
    const ratio = moonHorizontalLux({ ...full, elongationDeg: 90 }) / moonHorizontalLux(full);
    expect(ratio).toBeGreaterThan(0.06);
    expect(ratio).toBeLessThan(0.14);
    expect(moonHorizontalLux({ ...full, altitudeDeg: -2 })).toBe(0);
  });

  it('air mass and the beam have their published values', () => {
    expect(airMass(90)).toBeCloseTo(1, 2);
    expect(airMass(30)).toBeCloseTo(1.994, 2);
    expect(airMass(0)).toBeCloseTo(38, 0);
    expect(clearBeamLux(90)).toBeCloseTo(127_500 * Math.exp(-0.21), -2);
    expect(clearBeamLux(-1)).toBe(0);
  });

  it('beam and sky add up to the ground, at any place, time and sky', () => {
    fc.assert(
      fc.property(anyWhere, anyWhen, between(1, 10), (place, ms, divisor) => {
        const light = daylightAt(place, ms, divisor);
        const rise = Math.sin(Math.max(0, light.sun.altitudeDeg) * RAD);
        expect(light.beamLux * rise + light.diffuseLux).toBeCloseTo(light.horizontalLux, 3);
        expect(light.diffuseShare).toBeGreaterThanOrEqual(0);
        expect(light.diffuseShare).toBeLessThanOrEqual(1 + 1e-9);
      }),
    );
  });

  it('a scene facing a low sun is brighter than the ground, and front-lit beats side-lit beats back-lit', () => {
    const evening = daylightAt(TARNHOLT, at('18:00'), 1);
    expect(litEv(evening, 'front')).toBeGreaterThan(ev100OfIlluminance(evening.horizontalLux) + 0.5);
    for (const clock of ['08:50', '12:40', '18:00']) {
      const light = daylightAt(TARNHOLT, at(clock), 1);
      expect(litEv(light, 'front')).toBeGreaterThan(litEv(light, 'side') + 0.5);
      expect(litEv(light, 'side')).toBeGreaterThan(litEv(light, 'back') + 0.5);
    }
    const overcast = daylightAt(TARNHOLT, at('12:40'), SKY_HABITS.cloud.divisor);
    expect(litEv(overcast, 'front')).toBeCloseTo(litEv(overcast, 'back'), 9);
    expect(cardLux(overcast, 90)).toBeLessThan(overcast.horizontalLux);
  });
});

describe('sky and shade', () => {
  it('cloud dims steadily through the named divisors, and takes the beam', () => {
    expect([0, 50, 85, 100].map(divisorOfCloud)).toEqual([1, 2, 3, 5]);
    for (let pct = 1; pct <= 100; pct++) {
      expect(divisorOfCloud(pct)).toBeGreaterThan(divisorOfCloud(pct - 1));
      expect(beamShareOf(divisorOfCloud(pct))).toBeLessThanOrEqual(beamShareOf(divisorOfCloud(pct - 1)));
    }
    expect(beamShareOf(1)).toBe(1);
    expect(beamShareOf(3)).toBe(0);
    expect(beamShareOf(10)).toBe(0);
  });

  it('a shade takes less when the beam is gone already, and never gives', () => {
    expect(SHADES.map((shade) => shadeStops(shade, 1))).toEqual([0, -3, -4, -6.5, -4.5]);
    for (const shade of SHADES) {
      expect(shadeStops(shade, 0)).toBeLessThanOrEqual(0);
      expect(shadeStops(shade, 0)).toBeGreaterThanOrEqual(shadeStops(shade, 1));
    }
  });

  it('an hour told stands for its hour, others keep the sky of the shot', () => {
    const clouds = [
      { at: '2026-10-03T12:00:00+02:00', cloudPct: 50, spreadPct: 35, by: 'forecast' as const },
    ];
    expect(skyAt('clear', clouds, at('12:30'))).toEqual({
      least: divisorOfCloud(15),
      likely: 2,
      most: 3,
      named: false,
    });
    expect(skyAt('clear', clouds, at('15:00'))).toEqual({ least: 1, likely: 1, most: 1, named: true });
    expect(skyAt('dark', undefined, at('15:00')).likely).toBe(10);
  });
});

describe('what stands around', () => {
  const gorge = horizonFromTimes(TARNHOLT, { fromMs: at('11:20'), toMs: at('14:40') }, 62, 'gorge');
  const midnight = at('00:00');
  const day = { fromMs: midnight, toMs: midnight + 86_400_000 };

  it('lets the sun into the gorge at the stated hours, to the minute', () => {
    const { reached, sunUp } = daySpansOf(TARNHOLT, gorge, day);
    expect(reached).toHaveLength(1);
    expect(Math.abs(reached![0]!.fromMs - at('11:20'))).toBeLessThan(60_000);
    expect(Math.abs(reached![0]!.toMs - at('14:40'))).toBeLessThan(60_000);
    expect(sunUp[0]!.fromMs).toBeLessThan(at('07:30'));
    expect(sunUp[0]!.toMs).toBeGreaterThan(at('18:30'));
  });

  it('goes round past north without a seam', () => {
    const horizon = {
      behind: 'gorge' as const,
      points: [
        { azimuthDeg: 350, altitudeDeg: 10 },
        { azimuthDeg: 30, altitudeDeg: 30 },
      ],
    };
    expect(horizonAltitudeDeg(horizon, 350)).toBe(10);
    expect(horizonAltitudeDeg(horizon, 0)).toBeCloseTo(15, 9);
    expect(horizonAltitudeDeg(horizon, 360)).toBeCloseTo(15, 9);
    expect(horizonAltitudeDeg(horizon, 30)).toBe(30);
    expect(horizonAltitudeDeg({ ...horizon, points: [horizon.points[0]!] }, 123)).toBe(10);
  });

  it('a polar day is one whole span, a polar night none, and blue and golden hours touch', () => {
    const span = (iso: string): { fromMs: number; toMs: number } => {
      const fromMs = Date.parse(iso);
      return { fromMs, toMs: fromMs + 86_400_000 };
    };
    const north = { lat: 78, lon: 15 };
    const summer = span('2026-06-21T00:00:00Z');
    expect(daySpansOf(north, undefined, summer).sunUp).toEqual([summer]);
    expect(daySpansOf(north, undefined, span('2026-12-21T00:00:00Z')).sunUp).toEqual([]);
    const { golden, blue, reached } = daySpansOf(TARNHOLT, undefined, day);
    expect(reached).toBeNull();
    expect(golden).toHaveLength(2);
    expect(blue).toHaveLength(2);
    expect(Math.abs(blue[0]!.toMs - golden[0]!.fromMs)).toBeLessThan(3000);
    expect(Math.abs(golden[1]!.toMs - blue[1]!.fromMs)).toBeLessThan(3000);
  });
});

describe('the light of a run', () => {
  const run: SunLight = {
    kind: 'sun',
    ...TARNHOLT,
    from: '2026-10-03T12:40:00+02:00',
    to: '2026-10-03T13:10:00+02:00',
    sky: 'clear',
    shade: ['open', 'gorge'],
    ground: 'water',
  };

  it('reaches from the darkest shade to the brightest open', () => {
    const { evMin, evMax } = sunLightRange(run);
    const noon = ev100OfIlluminance(daylightAt(TARNHOLT, at('13:00'), 1).horizontalLux);
    expect(evMax).toBeGreaterThan(noon + 0.5);
    expect(evMax).toBeLessThan(noon + 1.5);
    expect(evMin).toBeGreaterThan(noon - 4.5);
    expect(evMin).toBeLessThan(noon - 3.5);
  });

  it('is only ever widened by more shade, a longer run or more spread of cloud; and darkened by cloud', () => {
    const { evMin, evMax } = sunLightRange(run);
    const wider: Partial<SunLight>[] = [
      { shade: ['open', 'gorge', 'denseWood'] },
      { to: '2026-10-03T17:00:00+02:00' },
    ];
    for (const change of wider) {
      const after = sunLightRange({ ...run, ...change });
      expect(after.evMin).toBeLessThanOrEqual(evMin);
      expect(after.evMax).toBeGreaterThanOrEqual(evMax);
      expect(after.evMax - after.evMin, JSON.stringify(change)).toBeGreaterThan(evMax - evMin);
    }
    const cloudy = (spreadPct: number): number => {
      const hour = { at: '2026-10-03T12:00:00+02:00', cloudPct: 40, spreadPct, by: 'forecast' as const };
      const range = sunLightRange({ ...run, clouds: [hour, { ...hour, at: '2026-10-03T13:00:00+02:00' }] });
      return range.evMax - range.evMin;
    };
    expect(cloudy(40)).toBeGreaterThan(cloudy(0) + 0.5);
    const brightest = SKIES.map((sky) => sunLightRange({ ...run, sky }).evMax);
    expect([...brightest].sort((a, b) => b - a)).toEqual(brightest);
  });

  it('knows the camera that turns its back to the sun from the one that looks into it', () => {
    const open: SunLight = { ...run, shade: ['open'], ground: 'grass', from: run.to, to: run.to };
    const low = { ...open, from: '2026-10-03T17:30:00+02:00', to: '2026-10-03T17:30:00+02:00' };
    const { azimuthDeg } = sunPosition(TARNHOLT, Date.parse(low.from));
    const away = sunLightRange({ ...low, headingsDeg: [(azimuthDeg + 180) % 360] });
    const into = sunLightRange({ ...low, headingsDeg: [azimuthDeg] });
    expect(away.evMax).toBeGreaterThan(into.evMax);
    expect(into.evMin).toBeLessThan(away.evMin);
  });

  it('behind a wall no shade is lighter than the wall’s own', () => {
    const horizon = horizonFromTimes(TARNHOLT, { fromMs: at('11:20'), toMs: at('14:40') }, 62, 'gorge');
    const light: SunLight = { ...run, shade: ['open'], horizon };
    const before = sunLightAt(light, at('11:00'));
    const after = sunLightAt(light, at('11:40'));
    expect(before.reached).toBe(false);
    expect(after.reached).toBe(true);
    expect(after.evMax - before.evMax).toBeGreaterThan(4);
  });

  it('a day has a sample every five minutes, 25 hours on the last Sunday of October', () => {
    const day = {
      fromMs: Date.parse('2026-10-25T00:00:00+02:00'),
      toMs: Date.parse('2026-10-26T00:00:00+01:00'),
    };
    expect(dayLightOf(run, day).samples).toHaveLength(25 * 12 + 1);
  });
});

describe('the sun in the frame', () => {
  const sun = { altitudeDeg: 20, apparentAltitudeDeg: 20, azimuthDeg: 180 };
  const aim = { headingDeg: 180, pitchDeg: 0, horizontalDeg: 100, verticalDeg: 60 };

  it('is found ahead, to the side, just outside and away', () => {
    expect(sunInView(sun, aim)).toMatchObject({ where: 'frame' });
    const right = sunInView(sun, { ...aim, headingDeg: 150 });
    expect(right).toMatchObject({ where: 'frame' });
    expect(right.where === 'frame' && right.acrossDeg).toBeCloseTo(30, 0);
    expect(sunInView(sun, { ...aim, headingDeg: 120 })).toMatchObject({ where: 'justOutside' });
    expect(sunInView(sun, { ...aim, headingDeg: 0 })).toEqual({ where: 'away' });
    expect(sunInView(sun, { ...aim, pitchDeg: 40 })).toMatchObject({ where: 'away' });
    expect(sunInView({ ...sun, apparentAltitudeDeg: -1 }, aim)).toEqual({ where: 'away' });
  });

  it('agrees with the angle between two directions', () => {
    fc.assert(
      fc.property(between(0, 359), between(1, 80), between(-60, 60), (headingDeg, altitude, pitchDeg) => {
        const here = { ...sun, altitudeDeg: altitude, apparentAltitudeDeg: altitude };
        const seen = sunInView(here, { ...aim, headingDeg, pitchDeg, horizontalDeg: 360, verticalDeg: 180 });
        if (seen.where === 'away') expect.fail('nothing is outside the whole sphere');
        const off = Math.acos(Math.cos(seen.acrossDeg * RAD) * Math.cos(seen.upDeg * RAD)) / RAD;
        expect(off).toBeCloseTo(angleToSunDeg(here, headingDeg, -pitchDeg), 4);
      }),
    );
  });
});
