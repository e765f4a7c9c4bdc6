import { buildSync } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { RUNS } from './runs';

/** A machine's zone is fixed when its program starts, so each is a program of its own. */
const MACHINES = ['UTC', 'America/Los_Angeles', 'Europe/Rome', 'Asia/Kolkata'];

describe('an outing as a calendar and back', () => {
  let folder = '';
  const program = (): string => join(folder, 'zones.mjs');

  beforeAll(() => {
    folder = mkdtempSync(join(tmpdir(), 'lynxeye-zones-'));
    buildSync({
      entryPoints: ['fuzz/zones.ts'],
      bundle: true,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      alias: { '@': './src' },
      outfile: program(),
      logLevel: 'warning',
    });
  });
  afterAll(() => rmSync(folder, { recursive: true }));

  // In every test run each machine takes its share of the zones; asked for more, each takes all.
  const shares = RUNS > 1000 ? 1 : MACHINES.length;
  const seen = new Set<string>();

  it.each(MACHINES)('moves nothing, in any zone, on a machine in %s', (zone) => {
    const share = String(MACHINES.indexOf(zone) % shares);
    const { stdout, stderr } = spawnSync(process.execPath, [program(), share, String(shares)], {
      env: { ...process.env, TZ: zone },
      encoding: 'utf8',
      maxBuffer: 1e8,
    });
    expect(stderr).toBe('');
    const { zones, entries, wrong } = JSON.parse(stdout) as {
      zones: string[];
      entries: number;
      wrong: string[];
    };
    expect(wrong.slice(0, 20)).toEqual([]);
    expect(entries).toBe(zones.length * 64);
    for (const one of zones) seen.add(one);
  });

  it('was tried in every zone', () => {
    expect(seen.size).toBeGreaterThan(400);
  });
});
