import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { briefOf } from '../brief/brief';
import type { Brief } from '../brief/brief';
import { modesOf } from '../camera/modeTable';
import { emptyShot } from '../records/emptyShot';
import type { Shot } from '../records/shot';
import { ShotSchema } from '../records/shot';
import { workingsOf } from '../search/workings';
import { SCENE_CHANGES } from '../vocabulary/timeLapses';
import { lapseOf, lapseOr } from './lapseAnswer';
import type { LapseAnswer } from './lapseAnswer';
import { lapseWarnings } from './lapseWarnings';
import { trailSeconds } from './lapseWish';
import { loopPlan } from './loopPlan';

const nd = (factor: number) => ({ id: `nd${factor}`, kind: 'nd', stops: Math.log2(factor) }) as const;
const range = (evMin: number, evMax = evMin): Shot['light'] => ({ kind: 'range', evMin, evMax });

function briefed(more: Partial<Shot>): Brief {
  return briefOf(
    ShotSchema.parse({
      ...emptyShot('Clouds'),
      camera: { archetype: 'main' },
      mount: { kind: 'tripod' },
      playback: { timelineFps: 25 },
      timeLapse: {},
      filters: [4, 8, 16, 32, 64].map(nd),
      ...more,
    }),
  ).brief;
}

function lapse(more: Partial<Shot>): LapseAnswer {
  const found = lapseOf(briefed(more));
  if (!found) throw new Error('the camera makes none');
  return found;
}

/** EV100 that settings expose as middle grey: log2(N²/t) − log2(ISO/100) + filter. Source: ISO 2720. */
function exposedFor({ settings }: LapseAnswer, fNumber: number): { darkest: number; brightest: number } {
  const { shutterSeconds, shutterFloorSeconds = shutterSeconds, iso, filter } = settings;
  const ev = (seconds: number, at: number): number =>
    Math.log2(fNumber ** 2 / seconds) - Math.log2(at / 100) + filter.stops;
  return { darkest: ev(shutterSeconds, iso.max), brightest: ev(shutterFloorSeconds, iso.min) };
}

describe('the exposure of a time-lapse', () => {
  it.each([
    ['mist that clears', 'mist', 9, 11],
    ['clouds in full sun', 'slowClouds', 15, 15],
    ['clouds that race', 'fastClouds', 13, 15],
    ['a crowd at noon', 'crowd', 15, 15],
    ['a street at night', 'crowd', 5, 5],
    ['shadows over a day', 'shadows', 13, 15],
    ['a plant in a room', 'growth', 6, 6],
  ] as const)('%s is neither white nor dark, by the formula itself', (_, change, evMin, evMax) => {
    const one = lapse({ light: range(evMin, evMax), timeLapse: { change } });
    const { darkest, brightest } = exposedFor(one, briefed({}).camera.fNumber);
    expect(brightest).toBeGreaterThan(evMax - 0.7);
    expect(darkest).toBeLessThan(evMin + 0.7);
    expect(one.exposed).toBe(true);
  });

  it('comes before the drag: with no glass the shutter is as short as the light asks', () => {
    const bare = lapse({ light: range(15), timeLapse: { change: 'crowd' }, filters: [] });
    expect(bare.settings.shutterSeconds).toBeLessThan(1 / 2000);
    const glassed = lapse({ light: range(15), timeLapse: { change: 'crowd' } });
    expect(glassed.settings.filter.stops).toBe(6);
    expect(glassed.settings.shutterSeconds).toBeCloseTo(bare.settings.shutterSeconds * 64, 1);
  });

  it('people want glass for their drag, clouds do not', () => {
    for (const change of ['slowClouds', 'fastClouds', 'shadows'] as const)
      expect(lapse({ light: range(14), timeLapse: { change } }).settings.filter.ids).toEqual([]);
    expect(lapse({ light: range(14), timeLapse: { change: 'crowd' } }).settings.filter.ids).not.toEqual([]);
  });

  it('takes the drag whole where the light leaves it', () => {
    const { settings, plan } = lapse({ light: range(4), timeLapse: { change: 'crowd', intervalSeconds: 1 } });
    expect(settings.shutterSeconds).toBeCloseTo(0.5, 6);
    expect(plan.shutterAngleDeg).toBeCloseTo(180, 6);
  });

  it('loses no more with more glass in the bag, or a higher ceiling', () => {
    for (const change of SCENE_CHANGES) {
      const at = (more: Partial<Shot>): number =>
        lapse({ light: range(12), timeLapse: { change }, ...more }).loss;
      expect(at({ filters: [4, 8].map(nd) })).toBeGreaterThanOrEqual(at({}) - 1e-9);
      expect(at({ limits: { isoCeiling: 200 } })).toBeGreaterThanOrEqual(
        at({ limits: { isoCeiling: 1600 } }) - 1e-9,
      );
    }
  });

  it('follows a sunset from day to night, with white balance held and nothing before the lens', () => {
    const { settings, plan } = lapse({ light: range(2, 14), timeLapse: { change: 'sunset' } });
    expect(settings).toMatchObject({ shutterMode: 'auto', whiteBalance: 5400, filter: { ids: [] } });
    expect([plan.overStops, plan.underStops]).toEqual([0, 0]);
    expect(settings.shutterSeconds).toBeLessThanOrEqual(4.5);
  });

  it('says where a sunset is told by light that hardly moves', () => {
    const brief = briefed({ light: range(11, 12), timeLapse: { change: 'sunset' } });
    const seen = lapseWarnings(brief, lapseOf(brief)!).filter(({ code }) => code === 'exposeLapse');
    expect(seen).toMatchObject([{ seen: 'told', stops: 1 }]);
  });

  it('moving, is left to the camera and short', () => {
    const { settings, plan } = lapse({
      mount: { kind: 'chest', activity: 'walking' },
      light: range(11, 15),
      timeLapse: { moving: true, speedUp: 10 },
    });
    expect(settings).toMatchObject({ shutterMode: 'auto', recording: 'movingTimeLapse' });
    expect(settings.shutterSeconds).toBeLessThan(1 / 50);
    // One picture in ten frames of life at 25 a second.
    expect(plan.intervalSeconds).toBeCloseTo(10 / 25, 9);
  });
});

describe('stars', () => {
  it('stay points for t = k px / (15.04″/s · px per arc second)', () => {
    // A straight lens of 60° on 1920 px: 960 / tan 30° px a radian at the middle.
    const pxPerArcsec = 960 / Math.tan(Math.PI / 6) / ((180 * 3600) / Math.PI);
    const lens = { horizontalDeg: 60, projection: 'straight' } as const;
    expect(trailSeconds(lens, 1920, 2)).toBeCloseTo(2 / (15.041 * pxPerArcsec), 6);
    expect(trailSeconds(lens, 1920, 3)).toBeCloseTo(1.5 * trailSeconds(lens, 1920, 2), 9);
    expect(trailSeconds(lens, 1920, 2, 60)).toBeCloseTo(2 * trailSeconds(lens, 1920, 2), 6);
  });

  it('are never at base ISO, in the widest view, as long as interval and trails leave', () => {
    const { settings, plan } = lapse({ light: range(-6), timeLapse: { change: 'stars' } });
    const widest = Math.max(...briefed({}).camera.views.map(({ horizontalDeg }) => horizontalDeg));
    expect(settings.iso.min).toBeGreaterThan(400);
    expect(settings.view.horizontalDeg).toBeGreaterThan(widest - 1);
    expect(settings.shutterSeconds).toBeLessThanOrEqual(Math.min(24.5, plan.trailSeconds!) + 1e-9);
    expect(settings.shutterSeconds).toBeGreaterThanOrEqual(10);
    expect(Math.abs(exposedFor({ settings } as LapseAnswer, 2.8).darkest + 6)).toBeLessThan(1);
  });

  it('that cannot be exposed are not offered, and what would help is told with what it leaves', () => {
    const brief = briefed({ light: range(-6), timeLapse: { change: 'stars' }, limits: { isoCeiling: 400 } });
    const dark = lapseOf(brief)!;
    expect(dark.exposed).toBe(false);
    const [warning] = lapseWarnings(brief, dark);
    expect(warning).toMatchObject({ code: 'exposeLapse', seen: 'dark', severity: 'stop' });
    const helps = warning && 'helps' in warning ? warning.helps : [];
    const raised = helps.find((help) => help.code === 'raiseCeiling')!;
    const then = lapseOf({ ...brief, limits: { ...brief.limits, isoCeiling: raised.iso } })!;
    expect(then.plan.underStops).toBeCloseTo(raised.underStops, 9);
    expect(raised.underStops).toBeLessThan(dark.plan.underStops - 1);
  });
});

describe('a time-lapse under pins', () => {
  const clouds = { light: range(14), timeLapse: { change: 'slowClouds' } } as const;

  it('keeps every one of them', () => {
    const view = modesOf(briefed({}).camera).findLast(({ recording }) => recording === 'timeLapse')!.view.id;
    for (const pins of [
      { shutterSeconds: 1 / 500 },
      { iso: { min: 200, max: 200 } },
      { filter: { ids: ['nd8'] } },
      { shutterMode: 'auto' },
      { whiteBalance: 5000 },
      { view: { id: view } },
    ] as const satisfies readonly Shot['pins'][]) {
      const { settings } = lapse({ ...clouds, pins });
      expect(settings).toMatchObject(pins);
    }
  });

  it('says which of them leave nothing, and never bends one', () => {
    const refused = (pins: Shot['pins']): unknown => {
      const made = lapseOr(briefed({ ...clouds, pins }));
      return made.ok ? null : made.obstacle.code;
    };
    expect(refused({ shutterSeconds: 12 })).toBe('shutterLongerThanInterval');
    expect(refused({ iso: { min: 3200, max: 3200 } })).toBe('isoOutside');
    expect(refused({ filter: { ids: ['nd1000'] } })).toBe('filterNotInKit');
    expect(refused({ view: { id: 'elsewhere' } })).toBe('noSuchView');
    expect(refused({ frameRate: 999 })).toBe('noSuchMode');
    expect(refused({ shutterSeconds: 1e-6 })).toBe('shutterTooShort');
  });

  it('is told what to let go where a pinned shutter burns it out', () => {
    const brief = briefed({ ...clouds, pins: { shutterSeconds: 2.5 } });
    const [warning] = lapseWarnings(brief, lapseOf(brief)!);
    expect(warning).toMatchObject({ seen: 'white', severity: 'stop', helps: [{ code: 'letGo' }] });
  });
});

describe('a time-lapse in figures', () => {
  it('lasts as long as its pictures on the timeline, and fills the card by that', () => {
    const { plan } = lapse({
      light: range(15),
      timeLapse: { intervalSeconds: 2 },
      limits: { recordSeconds: 1800 },
    });
    // 1800 s at one picture every two, the first at once: 901 pictures at 25 a second.
    expect(plan.clipSeconds).toBeCloseTo(36.04, 6);
    const rate = Math.max(...plan.mode.encodings.map(({ bitRateMbps }) => bitRateMbps));
    expect(plan.gigabytes).toBeCloseTo((rate * 36.04) / 8000, 9);
  });

  it('the demo’s mist, and a sunset from its river, are exposed by the formula itself', () => {
    const { shot: mist } = makeDemo().shots.find(({ shot }) => shot.timeLapse !== undefined)!;
    const { shot: run } = makeDemo().shots.find(({ shot }) => shot.light?.kind === 'sun')!;
    const evening = { from: '2026-10-03T17:40:00+02:00', to: '2026-10-03T19:20:00+02:00' };
    const sunset: Shot = {
      ...mist,
      light: { ...run.light, ...evening, shade: ['open'] } as Shot['light'],
      timeLapse: { change: 'sunset' },
    };
    for (const shot of [mist, sunset]) {
      const one = lapseOf(briefOf(shot).brief)!;
      expect(one.exposed).toBe(true);
      const { darkest, brightest } = exposedFor(one, briefOf(shot).brief.camera.fNumber);
      const { light } = workingsOf(briefOf(shot).brief);
      expect(brightest).toBeGreaterThan(light.evMax - 0.25);
      expect(darkest).toBeLessThan(light.evMin + (shot === mist ? 0.25 : 3));
    }
  });

  it('is warned of what hours bring: power by its watts, a mount that sags, dew', () => {
    const brief = briefed({
      light: range(-5),
      timeLapse: { change: 'stars' },
      limits: { recordSeconds: 4 * 3600 },
    });
    const found = lapseWarnings(brief, lapseOf(brief)!);
    const power = found.find((one) => one.code === 'power')!;
    expect(power.wattHours).toBeCloseTo(4 * brief.camera.power.baseW, 9);
    const cautions = found.flatMap((one) => (one.code === 'safety' ? [one.caution] : []));
    expect(cautions).toEqual(expect.arrayContaining(['sags', 'dew']));
    const short = briefed({ light: range(12), timeLapse: {}, limits: { recordSeconds: 1200 } });
    expect(lapseWarnings(short, lapseOf(short)!).filter(({ code }) => code !== 'exposeLapse')).toEqual([]);
  });

  it('is none on a camera that records none', () => {
    const brief = briefed({});
    const camera = {
      ...brief.camera,
      rules: brief.camera.rules.map((rule) => ({ ...rule, recordings: ['video' as const] })),
    };
    expect(lapseOr({ ...brief, camera })).toMatchObject({ ok: false, obstacle: { code: 'noSuchMode' } });
  });
});

describe('a loop', () => {
  it('keeps its minutes in five pieces or more, each within what the camera can hold in one', () => {
    const one = briefed({ loop: { minutes: 20 } });
    const loop = loopPlan(one)!;
    expect(loop.mode.recording).toBe('loop');
    expect(loop.chapterSeconds).toBeLessThanOrEqual((20 * 60) / 5);
    const rate = Math.max(...loop.mode.encodings.map(({ bitRateMbps }) => bitRateMbps));
    expect((loop.chapterSeconds * rate) / 8000).toBeLessThanOrEqual(one.camera.chapter.gigabytes + 1e-9);
    expect(loop.keptSeconds).toBeLessThan(one.loop.minutes * 60);
  });

  it('is none on a camera that has none', () => {
    const none = briefed({ camera: { archetype: 'budget' } });
    const has = modesOf(none.camera).some(({ recording }) => recording === 'loop');
    expect(loopPlan(none) === null).toBe(!has);
  });
});
