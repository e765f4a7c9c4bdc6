import { Rating } from 'ts-fsrs';
import { describe, expect, it } from 'vitest';
import { solve } from '../answer/solve';
import { videoBytes } from '../camera/card';
import { coldShare } from '../camera/power';
import { lossOf } from '../search/candidate';
import { scoreOf } from '../loss/table';
import { schoolOf } from '../loss/schools';
import { meter } from '../preview/take';
import { TriedSchema } from '../records/practised';
import { DRILL_KINDS } from '../vocabulary/drills';
import type { Tried } from '../records/practised';
import type { DrillKind } from '../vocabulary/drills';
import type { Pins } from '../records/settings';
import { spaceFor } from '../search/space';
import { item } from '../units/items';
import { heldBySettings } from '../inspect/planned';
import type { Drill, DrillAnswer } from './drill';
import { drawnDrill } from './made';
import { cardsOf, drawnSkills, gradeOf, nextDrill, skillsOf } from './next';
import type { Skill } from './next';
import { ShotRecordSchema } from '../records/shotRecord';
import { LogEntrySchema } from '../records/logEntry';
import { samples } from '../../../testing/samples';

const EACH = samples(125);

const bestOf = (drill: Drill): DrillAnswer => item(drill.choices, drill.best).answer;

/** What the solver says of a shot with these pins, by itself. */
function scored(drill: Drill, pins: Pins, brief = drill.brief): number {
  const outcome = solve({ ...brief, pins });
  if (!outcome.solved) throw new Error(`nothing keeps ${JSON.stringify(pins)}`);
  return outcome.solution.score;
}

describe('drawn drills', () => {
  it.each(DRILL_KINDS)('%s: each has one answer that loses nothing, and others that lose', (kind) => {
    const asked = new Set<string>();
    for (let number = 0; number < EACH; number++) {
      const drill = drawnDrill(kind, number, null);
      expect(drill.choices.length).toBeGreaterThanOrEqual(3);
      expect(item(drill.choices, drill.best)).toMatchObject({ loss: 0, worse: [] });
      expect(item(drill.choices, drill.best).offStops ?? 0).toBe(0);
      for (const { loss } of drill.choices) expect(loss).toBeGreaterThanOrEqual(0);
      expect(Math.max(...drill.choices.map(({ loss }) => loss))).toBeGreaterThan(0.05);
      expect(new Set(drill.choices.map(({ answer }) => JSON.stringify(answer))).size).toBe(
        drill.choices.length,
      );
      asked.add(JSON.stringify([drill.brief.mount, drill.light, drill.choices.map(({ loss }) => loss)]));
    }
    expect(asked.size).toBeGreaterThan(EACH / 2);
  });
});

describe('the truth of a drill is the solver’s', () => {
  const some = Array.from({ length: 12 }, (_, at) => at);

  it.each(['filter', 'shutter', 'rate', 'view'] as const)('%s', (kind) => {
    const KEYS = { filter: 'filter', shutter: 'shutterSeconds', rate: 'frameRate', view: 'view' } as const;
    const first: Pins = kind === 'filter' || kind === 'shutter' ? { shutterMode: 'fixed' } : {};
    for (const number of some) {
      const drill = drawnDrill(kind, number, null);
      const answer = solve({ ...drill.brief, pins: first });
      if (!answer.solved) throw new Error('unsolved');
      const { settings, score } = answer.solution;
      const key = KEYS[kind];
      const best: Partial<Record<string, unknown>> = bestOf(drill);
      if (kind === 'view') expect(best.view).toMatchObject({ id: settings.view.id });
      else expect(best[key]).toEqual(settings[key]);
      for (const { film, loss } of drill.choices) {
        // The very settings of a choice, judged by themselves.
        const pins = heldBySettings(drill.brief, film!.settings);
        expect(scored(drill, pins) - score).toBeCloseTo(loss, 9);
      }
    }
  });

  it('light: the picture is as far off as the setting is from the light', () => {
    for (const number of some) {
      const drill = drawnDrill('light', number, null);
      if (drill.given.kind !== 'light') throw new Error(drill.given.kind);
      const { take, shutterSeconds, iso, fNumber } = drill.given;
      const { ev } = bestOf(drill) as { ev: number };
      expect(drill.light).toMatchObject({ evMin: ev, evMax: ev });
      const { offStops } = meter(take.exposure, ev);
      const set = Math.log2(fNumber ** 2 / shutterSeconds) - Math.log2(iso / 100);
      expect(set + offStops).toBeCloseTo(ev, 9);
      expect(Math.abs(offStops + 0.5)).toBeLessThan(2.8);
    }
  });

  it('stops: a shutter so much shorter wants a filter so much weaker', () => {
    for (const number of some) {
      const drill = drawnDrill('stops', number, null);
      if (drill.given.kind !== 'stops') throw new Error(drill.given.kind);
      const { settings, thenSeconds } = drill.given;
      const { filter } = bestOf(drill) as { filter: { stops: number } };
      expect(thenSeconds / 2 ** filter.stops).toBeCloseTo(
        settings.shutterSeconds / 2 ** settings.filter.stops,
        12,
      );
      expect(scored(drill, heldBySettings(drill.brief, settings), lit(drill))).toBeGreaterThanOrEqual(0);
    }
  });

  const lit = ({ brief, light }: Drill): Drill['brief'] => ({
    ...brief,
    light: { kind: 'range', evMin: light.evMin, evMax: light.evMax },
  });

  it('will it last: card and cell by their definitions, the first that ends', () => {
    for (const number of some) {
      const drill = drawnDrill('lasts', number, null);
      if (drill.given.kind !== 'lasts') throw new Error(drill.given.kind);
      const { settings, cardGb, cellWh, powerW, airC } = drill.given;
      const { minutes } = bestOf(drill) as { minutes: number };
      const written = settings.bitRateMbps * (drill.brief.camera.writesShare ?? 1);
      const lastsOn = (more: number): boolean =>
        videoBytes(written + 0.256, (minutes + more) * 60) <= cardGb * 0.97 * 1e9 &&
        ((minutes + more) / 60) * powerW <= cellWh * coldShare(airC);
      expect(lastsOn(0)).toBe(true);
      expect(lastsOn(1)).toBe(false);
    }
  });

  it('which school: the settings are its own, and another loses by them', () => {
    for (const number of some) {
      const drill = drawnDrill('school', number, null);
      const { school } = bestOf(drill) as { school: Drill['brief']['look']['school'] };
      const own = solve({ ...drill.brief, look: { ...drill.brief.look, school } });
      expect(own).toMatchObject({
        solved: true,
        solution: { settings: drill.given.kind === 'school' && drill.given.settings },
      });
      if (!own.solved) throw new Error('unsolved');
      for (const { answer, loss } of drill.choices) {
        const theirs = schoolOf(drill.brief.look, (answer as { school: typeof school }).school);
        const made = spaceFor(drill.brief, theirs);
        const best = solve({ ...drill.brief, look: { ...drill.brief.look, school: theirs.id } });
        if (!made.ok || !best.solved) throw new Error('unsolved');
        const seen = scoreOf(lossOf(made.space, own.solution.candidate), theirs.weights);
        expect(seen - best.solution.score).toBeCloseTo(loss, 9);
      }
    }
  });
});

describe('what is practised next', () => {
  const NOW = '2026-11-06T10:00:00.000Z';
  const after = (days: number): string => new Date(Date.parse(NOW) + days * 86_400_000).toISOString();
  const tried = (kind: DrillKind, at: string, loss: number): Tried =>
    TriedSchema.parse({ at, kind, from: 'drawn', loss, offStops: loss, seconds: 30 });
  const shot = {
    kind: 'lynxeye/shot',
    version: 3,
    name: 'Roots',
    light: { kind: 'range', evMin: 10, evMax: 13 },
  };
  const filters = [2, 3, 4, 5].map((stops) => ({ id: `nd${String(stops)}`, kind: 'nd', stops }));
  const record = ShotRecordSchema.parse({
    id: 's1',
    createdAt: NOW,
    updatedAt: NOW,
    shot: { ...shot, filters },
  });
  const settings = solvedSettings();

  function solvedSettings(): unknown {
    const { given } = drawnDrill('filter', 1, null);
    return given.kind === 'filter' ? given.settings : null;
  }

  it('comes back sooner where more was lost, and grows rarer where it is known', () => {
    const due = (...all: Tried[]): number => cardsOf(all).get('filter')!.due.getTime();
    expect(due(tried('filter', NOW, 3))).toBeLessThan(due(tried('filter', NOW, 0.4)));
    expect(due(tried('filter', NOW, 0.4))).toBeLessThan(due(tried('filter', NOW, 0)));
    const once = due(tried('filter', NOW, 0)) - Date.parse(NOW);
    const twice = due(tried('filter', NOW, 0), tried('filter', after(1), 0)) - Date.parse(after(1));
    expect(twice).toBeGreaterThan(once);
    expect(gradeOf({ loss: 0, seconds: 8 })).toBe(Rating.Easy);
    expect(gradeOf({ loss: 0, seconds: 60 })).toBe(Rating.Good);
  });

  it('goes through every kind before it asks one again, and then asks what was missed', () => {
    const all: Tried[] = [];
    for (let at = 0; at < DRILL_KINDS.length; at++) {
      const drill = nextDrill(drawnSkills(), all, after(at / 8640), null);
      all.push(tried(drill!.kind, after(at / 8640), drill!.kind === 'view' ? 4 : 0));
    }
    expect(new Set(all.map(({ kind }) => kind)).size).toBe(DRILL_KINDS.length);
    expect(nextDrill(drawnSkills(), all, after(0.1), null)?.kind).toBe('view');
  });

  it('asks of what came back wrong first, then of the next planned day, each on that very shot', () => {
    const entry = LogEntrySchema.parse({
      kind: 'lynxeye/log-entry',
      version: 3,
      id: 'l1',
      shotId: 's1',
      shotName: 'Roots',
      at: NOW,
      settings,
      shot: { ...shot, filters },
      verdicts: ['smear', 'noisy'],
    });
    const day = (id: string, date: string): object => ({
      id,
      date,
      entries: [{ what: 'shot', id: `e-${id}`, shotId: 's1', at: '09:00' }],
    });
    const outings = [{ days: [day('d1', '2026-11-05'), day('d2', '2026-11-07')] }];
    const skills = skillsOf([entry], outings as never, new Map([['s1', record]]), '2026-11-06');
    const named = skills.map(({ kind, from, own }: Skill) => `${from} ${kind} ${own?.id ?? ''}`.trim());
    expect(named.slice(0, 4)).toEqual([
      'miss shutter l1',
      'miss filter l1',
      'planned filter s1',
      'planned shutter s1',
    ]);
    expect(skillsOf([entry], outings as never, new Map([['s1', record]]), '2026-11-08')).toHaveLength(
      2 + DRILL_KINDS.length,
    );
    const drill = nextDrill(skills, [], NOW, null);
    expect(drill).toMatchObject({
      from: 'miss',
      id: 'l1',
      name: 'Roots',
      kind: 'shutter',
      light: { evMin: 10, evMax: 13 },
    });
  });
});
