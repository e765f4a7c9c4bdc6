import { describe, expect, it } from 'vitest';
import { season } from '../../../bench/season';
import { makeDemo } from '../../../demo/makeDemo';
import { briefOf } from '../brief/brief';
import { solve } from '../answer/solve';
import { logbookOf } from '../inspect/logbook';
import { blurOf, pulsingOf } from '../inspect/sharpness';
import { heldBySettings } from '../inspect/planned';
import { happenedTake } from '../preview/happened';
import { Renderer } from '../preview/render';
import { sceneOf } from '../preview/scene';
import type { Clip } from '../records/clip';
import { figureAt, figureId } from '../records/figures';
import type { Outing } from '../records/outing';
import { item } from '../units/items';
import { lastTimes } from './lastTime';
import { learn } from './learn';
import type { CorrectedFigure } from './learn';
import { rawShakeOf } from './rawShake';
import type { Kept } from './takes';
import { whole } from '../../../testing/samples';

const utc = () => (date: string, time: string) => Date.parse(`${date}T${time}:00Z`);
const { kept: SEASON } = season(3, { noise: 'normal', days: 5 });

/** What is learned of one figure, once records are changed so. */
function learned(id: string, change: (kept: Kept) => Kept): CorrectedFigure | undefined {
  return learn(change(SEASON), utc).find(({ figure }) => figureId(figure) === id);
}
const value = (one: CorrectedFigure | undefined): number => (one ? figureAt(one, one.off) : NaN);
const everyClip =
  (change: (clip: Clip) => Partial<Clip>) =>
  (kept: Kept): Kept => ({ ...kept, clips: kept.clips.map((clip) => ({ ...clip, ...change(clip) })) });
const everyDay =
  (change: (day: Outing['days'][number]) => Partial<Outing['days'][number]>) =>
  (kept: Kept): Kept => ({
    ...kept,
    outings: kept.outings.map((outing) => ({
      ...outing,
      days: outing.days.map((day) => ({ ...day, ...change(day) })),
    })),
  });

describe('what each thing that came back says', () => {
  it('brighter pictures under a fixed exposure: brighter light, weaker glass', () => {
    const lighter = (stops: number) =>
      everyClip(({ measured }) => ({
        verdicts: [],
        looked: 'quick',
        measured: {
          ...measured,
          pictures: measured.pictures && {
            ...measured.pictures,
            middleStops: {
              ...measured.pictures.middleStops,
              median: measured.pictures.middleStops.median + stops,
            },
          },
        },
      }));
    const [plain, bright] = [0, 0.6].map((stops) => value(learned('scene/openSun', lighter(stops))));
    expect(bright! - plain!).toBeGreaterThan(0.1);
    expect(value(learned('filter/nd16', lighter(0.6)))).toBeLessThan(
      value(learned('filter/nd16', lighter(0))),
    );
  });

  it('white skies and dark pictures bound the light, grain the ISO, smear the shake', () => {
    const said = (verdicts: Clip['verdicts']) => everyClip(() => ({ verdicts }));
    const under = (id: string, verdicts: Clip['verdicts']): number => value(learned(id, said(verdicts)));
    expect(under('scene/openSun', ['whiteSky'])).toBeGreaterThan(under('scene/openSun', ['good']));
    expect(under('scene/gorgeFloor', ['tooDark'])).toBeLessThan(under('scene/gorgeFloor', ['good']));
    expect(under('guard/main', ['whiteSky'])).toBeLessThan(under('guard/main', ['good']));
    expect(under('iso/main', ['noisy'])).toBeLessThan(under('iso/main', ['good']));
    const held = (verdicts: Clip['verdicts']) =>
      everyClip(({ measured }) => ({
        verdicts,
        measured: { ...measured, pictures: measured.pictures && { ...measured.pictures, movement: null } },
      }));
    const shake = 'shake/helmet/riding/rough';
    expect(value(learned(shake, held(['smear'])))).toBeGreaterThan(value(learned(shake, held(['good']))));
  });

  it('what pulses through a hold says what shake there was', () => {
    const raw = (degPerSRms: number) =>
      everyClip(({ measured }) => ({
        verdicts: [],
        rawShake: { degPerSRms, spread: 0.3 },
        measured: { ...measured, pictures: null },
      }));
    const shake = 'shake/helmet/riding/rough';
    expect(value(learned(shake, raw(70)))).toBeGreaterThan(50);
    expect(value(learned(shake, raw(25)))).toBeLessThan(35);
  });

  it('bit rates, cells and cards of an evening; a file that was written anew says nothing', () => {
    const rate = (share: number) =>
      everyClip(({ measured }) => ({
        measured: { ...measured, container: { ...measured.container, bitRateMbps: 100 * share } },
      }));
    expect(value(learned('bitRate/main', rate(0.9)))).toBeCloseTo(0.9, 1);
    expect(learned('bitRate/main', rate(0.01))).toBeUndefined();
    const cells = (times: number) =>
      everyDay(({ ends }) => ({
        ends: ends?.map((one) => ({ ...one, cellsUsed: (one.cellsUsed ?? 0) * times })),
      }));
    const draw = 'power/main/2160/50';
    expect(value(learned(draw, cells(1.2)))).toBeGreaterThan(1.05 * value(learned(draw, cells(1))));
    // Ten times the cells: something ran that nobody noted.
    expect(learned(draw, cells(10))).toBeUndefined();
    const card = (kept: Kept): Kept => {
      const bare = everyClip(({ measured }) => ({
        measured: { ...measured, container: { ...measured.container, bitRateMbps: null } },
      }))(kept);
      const count = (id: string): number => bare.clips.filter(({ dayId }) => dayId === id).length;
      return everyDay(({ id }) => ({
        ends: [{ cameraId: 'main', cardGb: (1.1 * count(id) * 100.256 * 120) / 8000 }],
      }))(bare);
    };
    expect(value(learned('bitRate/main', card))).toBeCloseTo(1.1, 1);
  });

  it('how long it ran until it was too hot, or that it never was', () => {
    const hot = (minutes: number, cutReason?: 'tooHot') =>
      everyClip(({ measured }) => ({
        ...(cutReason ? { cutReason } : {}),
        measured: { ...measured, container: { ...measured.container, durationSeconds: 60 * minutes } },
      }));
    const soon = value(learned('heat/main', hot(6, 'tooHot')));
    const late = value(learned('heat/main', hot(25, 'tooHot')));
    const never = value(learned('heat/main', hot(60)));
    expect(soon).toBeGreaterThan(late);
    expect(late).toBeGreaterThan(never);
    expect(learned('heat/main', (kept) => kept)).toBeUndefined();
  });

  it('how late the last of a day began', () => {
    const late = (minutesAnHour: number) => (kept: Kept) => {
      const planned = new Map(
        kept.outings.flatMap(({ days }) =>
          days.flatMap(({ date, entries }) =>
            entries.map(({ id, at }) => [id, Date.parse(`${date}T${at}:00Z`)] as const),
          ),
        ),
      );
      return everyClip(({ entryId }) => {
        const ms = planned.get(entryId ?? '') ?? 0;
        const hours = (ms - Date.parse(`${new Date(ms).toISOString().slice(0, 10)}T09:00Z`)) / 3_600_000;
        return { startAt: new Date(ms + minutesAnHour * hours * 60_000).toISOString() };
      })(kept);
    };
    expect(value(learned('lateness', late(10)))).toBeGreaterThan(8);
    expect(Math.abs(value(learned('lateness', late(0))))).toBeLessThan(1.5);
  });

  it('what was filmed off the plan, or at settings that nobody knows, says nothing', () => {
    expect(
      learn({ ...everyClip(() => ({ entryId: null }))(SEASON), log: [] }, utc).filter(
        ({ figure }) => figure.of !== 'power',
      ),
    ).toEqual([]);
  });
});

describe('shake behind a hold', () => {
  it('is found again within its spread, of clips drawn with another seed', () => {
    const { shots, clips } = makeDemo();
    const { filmed } = item(
      clips.filter((clip) => clip.measured.file.name === 'OTR_0046.MP4'),
      0,
    );
    const { shot } = item(
      shots.filter(({ id }) => id === 'demo-skate-5'),
      0,
    );
    if (!filmed) throw new Error('its settings are known');
    // Smear is told where the shutter is long for the shake.
    const settings = { ...filmed, shutterSeconds: 1 / 50, shutterAngleDeg: 180 };
    const { brief } = briefOf(shot);
    for (const times of whole ? [0.6, 2.4] : [2.4]) {
      const shakeDegPerSRms = brief.motion.shakeDegPerSRms * times;
      const shaken = { ...brief, motion: { ...brief.motion, shakeDegPerSRms } };
      const outcome = solve({ ...shaken, pins: heldBySettings(brief, settings) });
      if (!outcome.solved) throw new Error('it is answered');
      const take = happenedTake(outcome.solution.space, outcome.solution.candidate, { seconds: 3, seed: 41 });
      const renderer = new Renderer(
        take,
        sceneOf(take.scene, take.movement.sideDistanceM, take.heightM),
        whole ? 320 : 160,
      );
      const blurs = Array.from({ length: 50 }, (_, number) => {
        const { rgba, width, height } = renderer.picture({ number, atSeconds: number / take.captureFps });
        const luma = Float32Array.from({ length: width * height }, (__, at) => (rgba[4 * at + 1] ?? 0) / 255);
        return blurOf({ width, height, luma }) ?? 0;
      });
      const raw = rawShakeOf(brief, settings, 100 * pulsingOf(blurs, take.captureFps));
      if (!raw) throw new Error(`nothing told at ${times}`);
      expect(Math.abs(Math.log2(raw.degPerSRms / shakeDegPerSRms)), `${times}`).toBeLessThan(2 * raw.spread);
    }
    expect(rawShakeOf(brief, settings, 0.5)).toBeNull();
  });
});

describe('last time', () => {
  const { shots, log, clips, outings } = makeDemo();
  const kept = new Map(shots.map(({ id, shot }) => [id, shot]));
  const lastTime = lastTimes(logbookOf(log, clips, outings), kept);
  const shotOf = (id: string) => kept.get(id) ?? item(shots, 0).shot;

  it('is that of the very shot, with the change that its findings ask for until it has it', () => {
    const shot = shotOf('demo-skate-1');
    const last = lastTime('demo-skate-1', shot);
    expect(last?.verdicts).toContain('smear');
    const change = last?.findings.find(({ code }) => code === 'smear')?.change;
    expect(change).toBeTruthy();
    const taken = { ...shot, pins: { ...shot.pins, ...change } };
    expect(lastTime('demo-skate-1', taken)?.findings.every(({ done, change: its }) => done || !its)).toBe(
      true,
    );
  });

  it('is that of a shot filmed alike where it was never filmed itself, and none where none is like it', () => {
    expect(lastTime('fresh', shotOf('demo-skate-2'))?.recording.shotId).toMatch(/^demo-skate/);
    expect(lastTime('demo-02', shotOf('demo-02'))).toBeNull();
  });
});
