import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShot } from '../bench/anyShot';
import { PLAIN_CLIP, y4mOf } from '../bench/madeClip';
import { makeDemo } from '../demo/makeDemo';
import { ClipReportSchema } from '@/core/records/clipReport';
import { run } from './main';
import { sampling } from '../testing/samples';

const solve = (text: string): ReturnType<typeof run> => run(['solve', '-'], () => text);
const shot = (rest: object): string => JSON.stringify({ kind: 'lynxeye/shot', version: 3, ...rest });

describe('lynxeye rehearse', () => {
  const demo = makeDemo();
  const file = { kind: 'lynxeye/outing-file', version: 3, outing: demo.outings[1], shots: demo.shots };
  const rehearse = (...args: string[]): ReturnType<typeof run> =>
    run(['rehearse', '-', ...args], () => JSON.stringify(file));

  it('lives through the days of an outing: chances, drivers and picks, the same bytes for the same seed', async () => {
    const { status, out, err } = await rehearse('--draws', '40', '--seed', '3');
    expect({ status, err }).toEqual({ status: 0, err: '' });
    const { kind, version, draws, seed, days } = JSON.parse(out) as {
      kind: string;
      version: number;
      draws: number;
      seed: number;
      days: {
        date: string;
        everythingLasts: { p: number; low: number; high: number };
        shots: {
          name: string;
          chances: Record<string, { p: number; low: number; high: number }>;
          lossMean: number;
          lossWorstTenth: number;
          drivers: { input: string; share: number }[];
          reading: { changesPct: number; savesLoss: number };
        }[];
      }[];
    };
    expect({ kind, version, draws, seed }).toEqual({
      kind: 'lynxeye/rehearsal',
      version: 1,
      draws: 40,
      seed: 3,
    });
    expect(days.map(({ date }) => date)).toEqual(['2026-01-17']);
    for (const { shots } of days)
      for (const { name, chances, lossMean, lossWorstTenth, drivers, reading } of shots) {
        expect(Object.keys(chances)).toEqual(['over', 'under', 'smear', 'card', 'power', 'heat', 'late']);
        for (const { p, low, high } of Object.values(chances)) {
          expect(low).toBeLessThanOrEqual(p);
          expect(p).toBeLessThanOrEqual(high);
        }
        expect(lossMean, name).toBeLessThanOrEqual(lossWorstTenth);
        expect(drivers.reduce((sum, { share }) => sum + share, 0)).toBeLessThanOrEqual(1 + 1e-9);
        expect(reading.savesLoss).toBeGreaterThanOrEqual(0);
      }
    expect(await rehearse('--draws', '40', '--seed', '3')).toEqual({ status, out, err });
    expect((await rehearse('--draws', '40', '--seed', '4')).out).not.toBe(out);
  });

  it('refuses draws and seeds that are none, and names them', async () => {
    for (const [args, place] of [
      [['--draws', '0'], '--draws'],
      [['--seed', 'x'], '--seed'],
      [['--much'], '"--much"'],
    ] as const) {
      const { status, out, err } = await rehearse(...args);
      expect({ status, out }).toEqual({ status: 2, out: '' });
      expect(err).toContain(place);
    }
  });
});

describe('lynxeye learn', () => {
  const backup = { kind: 'lynxeye/backup', version: 3, exportedAt: '2026-01-17T20:00:00Z', ...makeDemo() };

  it('tells every figure that the log of a backup corrects, before and after, the same each time', async () => {
    const { status, out, err } = await run(['learn', '-'], () => JSON.stringify(backup));
    expect({ status, err }).toEqual({ status: 0, err: '' });
    const { kind, figures } = JSON.parse(out) as {
      kind: string;
      figures: {
        figure: { of: string };
        before: { value: number; low: number; high: number };
        after: { value: number; low: number; high: number };
        from: number;
        text: string;
      }[];
    };
    expect(kind).toBe('lynxeye/learning');
    expect(figures.length).toBeGreaterThan(5);
    for (const { before, after, from, text } of figures) {
      expect(after.low).toBeLessThan(after.value);
      expect(after.value).toBeLessThan(after.high);
      expect(before.low).toBeLessThan(before.high);
      expect(from).toBeGreaterThan(0);
      expect(text).toMatch(/from \d+ (clips?|days?)/);
    }
    expect(await run(['learn', '-'], () => JSON.stringify(backup))).toEqual({ status, out, err });
  });

  it('refuses what is no backup, and names the place', async () => {
    const lacking = { ...backup, log: [{ ...makeDemo().log[0], at: 'yesterday' }] };
    const { status, out, err } = await run(['learn', '-'], () => JSON.stringify(lacking));
    expect({ status, out }).toEqual({ status: 2, out: '' });
    expect(err).toMatch(/^log\[0\]\.at/);
  });
});

describe('lynxeye worth', () => {
  const backup = { kind: 'lynxeye/backup', version: 3, exportedAt: '2026-01-17T20:00:00Z', ...makeDemo() };
  const worthOf = async (
    args: readonly string[],
    prices: readonly object[] = [],
  ): Promise<{
    things: { id: string; name: string; price: number | null; saves: number; text: string }[];
    advice: { code: string; ids?: string[]; price?: number; text: string };
    budget: number | null;
  }> => {
    const { status, out, err } = await run(['worth', '-', ...args], () =>
      JSON.stringify({ ...backup, prices }),
    );
    expect({ status, err }).toEqual({ status: 0, err: '' });
    return JSON.parse(out) as Awaited<ReturnType<typeof worthOf>>;
  };

  it('tells what each thing would save, and the best set for a budget at the prices of the backup', async () => {
    const bare = await worthOf([]);
    expect(bare.things.length).toBeGreaterThan(5);
    for (const { saves, text } of bare.things) {
      expect(saves).toBeGreaterThan(0);
      expect(text).toMatch(/^saves [\d.]+ of loss, over \d+ recordings? of \d+/);
    }
    expect(bare.advice.code).toBe('unpriced');
    const at = '2026-01-17T20:00:00Z';
    const prices = bare.things.slice(0, 3).map(({ id }, place) => ({
      kind: 'lynxeye/price',
      version: 3,
      id,
      createdAt: at,
      updatedAt: at,
      price: 40 + 30 * place,
    }));
    const told = await worthOf(['--budget', '75'], prices);
    expect(told.budget).toBe(75);
    expect(told.things[0]!.price).toBe(40);
    expect(told.advice).toMatchObject({ code: 'set' });
    expect(told.advice.price).toBeLessThanOrEqual(75);
    expect(told.advice.text).toMatch(/^Best for the money: /);
  });

  it('refuses a budget that is none, and what it does not know', async () => {
    for (const [args, says] of [
      [['--budget', 'much'], /^--budget: expected a number from 0 up/],
      [['--budget'], /^--budget: expected a number from 0 up/],
      [['--budget', '-5'], /^--budget/],
      [['--cheap'], /unexpected "--cheap"/],
      [['--budget', '5', 'more'], /unexpected "more"/],
    ] as const) {
      const { status, out, err } = await run(['worth', '-', ...args], () => JSON.stringify(backup));
      expect({ status, out }).toEqual({ status: 2, out: '' });
      expect(err).toMatch(says);
    }
  });
});

describe('lynxeye day', () => {
  const demo = makeDemo();
  const file = { kind: 'lynxeye/outing-file', version: 3, outing: demo.outings[0], shots: demo.shots };

  it('works an outing out: every part with its settings, filter changes in their break, nothing that runs out', async () => {
    const { status, out, err } = await run(['day', '-'], () => JSON.stringify(file));
    expect({ status, err }).toEqual({ status: 0, err: '' });
    const { days } = JSON.parse(out) as {
      days: {
        date: string;
        parts: { name: string; from: string; settings: object | null }[];
        cameras: { camera: string; swaps: { from: string; to: string }[]; runsOut: object[] }[];
      }[];
    };
    expect(days.map(({ date }) => date)).toEqual(['2026-10-03', '2026-10-04']);
    for (const part of days.flatMap(({ parts }) => parts)) expect(part.settings, part.name).not.toBeNull();
    expect(days[0]!.parts.find(({ name }) => name === 'Sun gate')!.from).toBe('2026-10-03T12:40:00+02:00');
    for (const camera of days.flatMap(({ cameras }) => cameras)) {
      expect(camera.runsOut).toEqual([]);
      for (const { from, to } of camera.swaps) expect(from < to).toBe(true);
    }
  });

  it('names a shot that is not in the file, in day and in check', async () => {
    const lacking = JSON.stringify({ ...file, shots: demo.shots.slice(1) });
    for (const command of ['day', 'check'])
      expect(await run([command, '-'], () => lacking)).toMatchObject({
        status: 2,
        out: '',
        err: expect.stringContaining('outing.days[0].entries[0].shotId: no shot "demo-01"') as string,
      });
    expect((await run(['check', '-'], () => JSON.stringify(file))).out).toBe('valid lynxeye/outing-file\n');
  });
});

describe('lynxeye inspect', () => {
  const folder = mkdtempSync(join(tmpdir(), 'lynxeye-'));
  const put = (name: string, content: string | Uint8Array): string => {
    writeFileSync(join(folder, name), content);
    return join(folder, name);
  };
  const clip = async (name: string, over: object): Promise<string> =>
    put(name, new Uint8Array(await y4mOf({ ...PLAIN_CLIP, seconds: 2, ...over }).arrayBuffer()));

  it('measures clips, one report each, and holds them against their shot', async () => {
    const white = await clip('white.y4m', { clipped: 0.06 });
    const right = await clip('right.y4m', {});
    const { status, out, err } = await run(['inspect', white, right]);
    expect({ status, err }).toEqual({ status: 0, err: '' });
    const reports = ClipReportSchema.array().parse(JSON.parse(out));
    expect(reports.map(({ file, findings }) => [file.name, findings.map(({ code }) => code)])).toEqual([
      ['white.y4m', ['over']],
      ['right.y4m', []],
    ]);
    expect(reports[0]?.pictures?.movement).not.toHaveProperty('shakeDegPerSRms');
    const filters = [3, 4, 5, 6].map((stops) => ({ id: `nd${2 ** stops}`, kind: 'nd', stops }));
    const file = shot({ filters, light: { kind: 'range', evMin: 12, evMax: 14 } });
    const held = await run(['inspect', white, '--shot', 'SHOT'], () => file);
    const [report] = ClipReportSchema.array().parse(JSON.parse(held.out));
    const over = report?.findings.find(({ code }) => code === 'over');
    expect(over?.change?.shutterMode).toBe('auto');
    expect(over?.text).toContain('would have cured it');
    expect(report?.pictures?.movement).toHaveProperty('shakeDegPerSRms');
  });

  it('refuses bad files with their names, prints nothing beside, and says what else is amiss', async () => {
    const right = await clip('also-right.y4m', {});
    const empty = put('empty.mp4', '');
    const notes = put('notes.mp4', 'what the day was like');
    const { status, out, err } = await run(['inspect', right, empty, notes, join(folder, 'none.mp4')]);
    expect({ status, out }).toEqual({ status: 2, out: '' });
    const lines = err.trim().split('\n');
    expect(lines).toHaveLength(3);
    expect(lines[0]).toContain('empty.mp4: the file is empty');
    expect(lines[1]).toContain('notes.mp4: this is no clip');
    expect(lines[2]).toContain('none.mp4: cannot be read');
    for (const words of [[], ['--loud', right], [right, '--shot']])
      expect((await run(['inspect', ...words])).status).toBe(2);
    expect(
      await run(['inspect', right, '--shot', 'SHOT'], () => shot({ light: { kind: 'dim' } })),
    ).toMatchObject({
      status: 2,
      err: expect.stringContaining('light') as string,
    });
  });
});

describe('lynxeye', () => {
  it('solves a shot that says nothing but what it is', async () => {
    const { status, out, err } = await solve(shot({}));
    expect({ status, err }).toEqual({ status: 0, err: '' });
    expect(JSON.parse(out)).toMatchObject({ kind: 'lynxeye/answer', version: 3 });
  });

  it('names every fault with its path, one a line, and prints nothing else', async () => {
    const { status, out, err } = await solve(
      shot({
        light: { kind: 'range', evMin: 'dim', evMax: 99 },
        pins: { iso: { min: 800, max: 100 } },
        extra: 1,
      }),
    );
    expect({ status, out }).toEqual({ status: 2, out: '' });
    expect(err.trim().split('\n')).toEqual([
      'pins.iso.max: expected at least min',
      'light.evMin: expected number, got string',
      'light.evMax: expected at most 24',
      'extra: unknown key; remove it',
    ]);
  });

  it('says where a file stops being JSON', async () => {
    expect(await solve('{\n  "kind": oops }')).toMatchObject({ status: 2, out: '' });
    expect((await solve('')).err).toContain('the file is empty');
  });

  it('refuses what the camera lacks on one line with the way out', async () => {
    const { status, err } = await solve(
      shot({ pins: { stabilization: 'rollHold', frameRate: 60, resolution: { width: 3840, height: 2160 } } }),
    );
    expect(status).toBe(2);
    expect(err.trim().split('\n')).toHaveLength(1);
    expect(err).toMatch(/^pins\.stabilization: .*nearest that works: /);
  });

  it('checks, prints schemas and cameras', async () => {
    expect(await run(['check', '-'], () => shot({}))).toMatchObject({
      status: 0,
      out: 'valid lynxeye/shot\n',
    });
    expect((await run(['check', '-'], () => '{"kind":"other"}')).err).toContain('kind: expected one of');
    expect(JSON.parse((await run(['schema', 'shot'])).out)).toMatchObject({ type: 'object' });
    expect((await run(['schema', 'constructor'])).status).toBe(2);
    const cameras = JSON.parse((await run(['cameras'])).out) as { id: string; modes: unknown[] }[];
    expect(cameras.map(({ id }) => id)).toEqual(['main', 'mini', 'budget', 'phone', 'sphere', 'long']);
    expect(cameras[0]?.modes.length).toBeGreaterThanOrEqual(60);
  });

  it('takes no unknown command and no missing file', async () => {
    for (const args of [
      [],
      ['dance'],
      ['solve'],
      ['solve', 'no-such-file.json'],
      ['cameras', 'x'],
      ['solve', 'a', 'b'],
    ])
      expect((await run(args)).status, args.join(' ')).toBe(2);
  });

  it('is not crashed by any JSON, nor by a shot with one value replaced by anything', async () => {
    await fc.assert(
      fc.asyncProperty(fc.oneof(fc.json(), fc.string()), async (text) =>
        [0, 2].includes((await solve(text)).status),
      ),
      sampling(500, 3),
    );
    await fc.assert(
      fc.asyncProperty(anyShot(), fc.nat(), fc.jsonValue(), async (input, where, value) => {
        const paths = leaves(input);
        const path = paths[where % paths.length] ?? [];
        const { status, out, err } = await solve(JSON.stringify(replaced(input, path, value)));
        expect(status === 0 ? err : out, 'both streams used').toBe('');
        expect([0, 2]).toContain(status);
      }),
      sampling(500, 4),
    );
  });

  it('starts as a program, reads standard input and sets its exit status', () => {
    execFileSync(process.execPath, ['-e', "import('./scripts/steps.mjs').then((s) => s.buildCommandLine())"]);
    const good = spawnSync('bin/lynxeye', ['solve', '-'], { input: shot({}), encoding: 'utf8' });
    expect({ status: good.status, err: good.stderr }).toEqual({ status: 0, err: '' });
    const bad = spawnSync('bin/lynxeye', ['solve', '-'], { input: '{}', encoding: 'utf8' });
    expect({ status: bad.status, out: bad.stdout }).toEqual({ status: 2, out: '' });
  });
});

type Path = (string | number)[];

function leaves(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([key, inner]) => leaves(inner, [...path, key]))];
}

function replaced(value: unknown, [key, ...rest]: Path, by: unknown): unknown {
  if (key === undefined || typeof value !== 'object' || value === null) return by;
  const copy: Record<string, unknown> = { ...(value as Record<string, unknown>) };
  copy[key] = replaced(copy[key], rest, by);
  return Array.isArray(value) ? Object.values(copy) : copy;
}
