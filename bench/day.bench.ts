import { makeDemo } from '../demo/makeDemo';
import { daySheet } from '@/core/day/daySheet';
import type { Memo } from '@/core/day/partWork';
import { jointDay } from '@/core/cures/jointDay';
import { scheduleOf } from '@/core/day/schedule';
import { choosePresets } from '@/core/day/presets';
import { planFilterChanges } from '@/core/day/filterChanges';
import type { FilterChangeStage } from '@/core/day/filterChanges';
import type { Outing } from '@/core/records/outing';
import { clockTime } from '@/core/records/entries';
import type { ShotRecord } from '@/core/records/shotRecord';
import { item } from '@/core/units/items';

/** A day of so many shots, each filmed by three cameras at once: shots, mounts, speeds and lights of the demo, varied. */
function bigDay(shots: number): { outing: Outing; kept: Map<string, ShotRecord> } {
  const demo = makeDemo();
  const base = item(demo.outings, 0);
  const record = (id: string): ShotRecord => demo.shots.find((shot) => shot.id === id)!;
  const [run, bow, rungs] = ['demo-02', 'demo-03', 'demo-10'].map(record);
  const kept = new Map<string, ShotRecord>();
  const entries = Array.from({ length: shots }, (_, at) => {
    const id = `big-${at}`;
    const { shot } = run!;
    const evMin = 7 + (at % 6);
    kept.set(id, {
      ...run!,
      id,
      shot: {
        ...shot,
        name: `Shot ${at + 1}`,
        light: { kind: 'range', evMin, evMax: evMin + 1 + (at % 4) },
        motion: { travelMps: 1 + (at % 9), nearestM: 0.5 + (at % 5) },
        limits: { ...shot.limits, recordSeconds: 300 },
        secondAngles: [
          { ...pick(bow!), mount: { kind: 'hull', ground: 'rough', activity: 'paddling' } },
          { ...pick(rungs!), mount: { kind: 'chest', ground: 'mixed', activity: 'climbing' } },
        ],
      },
    });
    return {
      what: 'shot' as const,
      id,
      shotId: id,
      at: clockTime(6 * 60 + at * 25),
      pauses: [],
      note: '',
    };
  });
  return { outing: { ...base, days: [{ ...item(base.days, 0), entries }] }, kept };
}

function pick({ shot }: ShotRecord): Pick<ShotRecord['shot'], 'camera' | 'filters'> {
  const { camera, filters } = shot;
  return { ...(camera ? { camera } : {}), ...(filters ? { filters } : {}) };
}

function timed<T>(run: () => T): { ms: number; result: T } {
  const since = performance.now();
  const result = run();
  return { ms: performance.now() - since, result };
}

const clock = (date: string, time: string): number => Date.parse(`${date}T${time}:00+02:00`);
const { outing, kept } = bigDay(30);
const day = scheduleOf(outing, item(outing.days, 0).id, kept, clock);
const memo: Memo = new Map();
const first = timed(() => daySheet(day, outing.gear, memo));
const again = timed(() => daySheet(day, outing.gear, memo));
const solveTogether = (known: Memo) => {
  const steps = jointDay(day, outing.gear, known);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
};
const joint = timed(() => solveTogether(new Map()));
const known = timed(() => solveTogether(memo));
console.log(`day of 30 shots × 3 cameras: first ${first.ms.toFixed(0)} ms, known ${again.ms.toFixed(0)} ms`);
console.log(
  `solved together: ${known.ms.toFixed(0)} ms with the day on screen, ${joint.ms.toFixed(0)} ms from nothing; ` +
    `${joint.result.changes.length} changes, cost ${joint.result.before.total.toFixed(1)} → ${joint.result.after.total.toFixed(1)}`,
);

/** The same every time: a small generator of its own. */
function numbers(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return state / 2_147_483_648;
  };
}
const next = numbers(7);
const stages: FilterChangeStage[] = Array.from({ length: 200 }, () => ({
  reachable: next() < 0.5,
  loss: new Map(Array.from({ length: 12 }, (_, at) => [`f${at}`, 4 * next()])),
}));
const filterChanges = timed(() => planFilterChanges(stages));
console.log(
  `filter changes of 200 stages × 12 filters: ${filterChanges.ms.toFixed(0)} ms, ${filterChanges.result?.chosen.changes} changes`,
);
for (const size of [12, 40]) {
  const extra = Array.from({ length: size }, (_, shot) =>
    Array.from({ length: size }, (_, setup) => (shot === setup ? 0 : 2 * next())),
  );
  const presets = timed(() => choosePresets(extra, 5));
  console.log(
    `presets of ${size} shots in 5 slots: ${presets.ms.toFixed(1)} ms, ${presets.result?.exact ? 'exact' : 'by exchange'}`,
  );
}
