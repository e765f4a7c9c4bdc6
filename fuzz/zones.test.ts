import { buildSync } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { whole } from '../testing/samples';

/** A machine's zone is fixed when its program starts, so each is a program of its own. */
const MACHINES = ['UTC', 'America/Los_Angeles', 'Europe/Rome', 'Asia/Kolkata'];
const DAY = Math.floor(Date.now() / 86_400_000);
/** A test run is on one machine, today's, and takes today's share of the zones; where all is looked at, each takes all. */
const machines = whole ? MACHINES : [MACHINES[DAY % MACHINES.length]!];
const SHARES = whole ? 1 : 20;

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

  it.each(machines)('moves nothing, in any zone, on a machine in %s', (zone) => {
    const { stdout, stderr } = spawnSync(
      process.execPath,
      [program(), String(DAY % SHARES), String(SHARES)],
      {
        env: { ...process.env, TZ: zone },
        encoding: 'utf8',
        maxBuffer: 1e8,
      },
    );
    expect(stderr).toBe('');
    const { zones, entries, wrong } = JSON.parse(stdout) as {
      zones: string[];
      entries: number;
      wrong: string[];
    };
    expect(wrong.slice(0, 20)).toEqual([]);
    expect(entries).toBe(zones.length * 64);
    expect(zones.length).toBeGreaterThan(400 / SHARES);
  });
});
