import { buildSync } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

/** A machine's zone is fixed when its program starts, so each is a program of its own. */
const MACHINES = ['UTC', 'America/Los_Angeles', 'Europe/Rome', 'Asia/Kolkata'];

describe('an outing as a calendar and back', () => {
  it('moves nothing, in any zone, on a machine of any zone', () => {
    const folder = mkdtempSync(join(tmpdir(), 'lynxeye-zones-'));
    try {
      const outfile = join(folder, 'zones.mjs');
      buildSync({
        entryPoints: ['fuzz/zones.ts'],
        bundle: true,
        platform: 'node',
        format: 'esm',
        target: 'node20',
        alias: { '@': './src' },
        outfile,
        logLevel: 'warning',
      });
      for (const zone of MACHINES) {
        const { stdout, stderr } = spawnSync(process.execPath, [outfile], {
          env: { ...process.env, TZ: zone },
          encoding: 'utf8',
          maxBuffer: 1e8,
        });
        expect(stderr).toBe('');
        const { zones, entries, wrong } = JSON.parse(stdout) as {
          zones: number;
          entries: number;
          wrong: string[];
        };
        expect(wrong.slice(0, 20), zone).toEqual([]);
        expect(zones).toBeGreaterThan(400);
        expect(entries).toBe(zones * 64);
      }
    } finally {
      rmSync(folder, { recursive: true });
    }
  });
});
