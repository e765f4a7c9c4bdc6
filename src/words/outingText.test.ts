import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import type { Cure } from '@/core/cures/cure';
import { solve } from '@/core/answer/solve';
import { briefOf } from '@/core/brief/brief';
import {
  changeText,
  cureText,
  leavesText,
  holdsText,
  packText,
  PRESET_NAME_LENGTH,
  presetNames,
  presetsText,
  filterChangeText,
} from './outingText';

const shot = makeDemo().shots[1]!.shot;
const outcome = solve(briefOf(shot).brief);
const settings = outcome.solved ? outcome.solution.settings : null;
if (!settings) throw new Error('the demo shot has no answer');
const kit = shot.filters ?? [];

describe('words of a day', () => {
  it('names set-ups shortly and apart', () => {
    const many = Array.from({ length: 5 }, () => ({
      settings,
      intervalSeconds: null,
      mount: 'vehicleOutside' as const,
    }));
    const names = presetNames([...many, { settings, intervalSeconds: 3, mount: 'tripod' }]);
    expect(new Set(names).size).toBe(names.length);
    for (const name of names) expect(name.length).toBeLessThanOrEqual(PRESET_NAME_LENGTH);
    expect(names[0]).toBe('Outsid 25');
    expect(names.at(-1)).toBe('Tripod lapse');
  });

  it('says what holds, and what of the light is lost', () => {
    expect(holdsText({ overStops: 0.1, underStops: 0.2 })).toBe('holds');
    expect(holdsText({ overStops: 0.72, underStops: 1.5 })).toBe('0.7 stops white, 1.5 stops dark');
  });

  it('says how a filter is changed by hand', () => {
    expect(filterChangeText('Otter', ['nd8'], ['nd64'], kit, 'factor')).toBe('Otter: ND8 off, ND64 on');
    expect(filterChangeText('Otter', [], ['variable'], kit, 'factor')).toBe('Otter: variable on');
    expect(filterChangeText('Otter', ['nd8'], [], kit, 'stops')).toBe('Otter: 3 stops off');
  });

  it('says each cure as something to do, with its time', () => {
    const base = { cameraId: 'otter', what: 'card' as const, addedLoss: 0, leaves: [], changes: [] };
    const at = (): number => Date.parse('2026-10-03T10:10:00Z');
    const stop = { entryId: 'e', afterMinutes: 20, minutes: 5 };
    const cures: [Cure, string][] = [
      [{ ...base, how: 'bitRate', mbps: 45 }, 'Record at 45 Mbit/s'],
      [{ ...base, how: 'card', capacityGb: 128 }, 'Put in a card of 128 GB'],
      [{ ...base, how: 'spareCard', capacityGb: 64, stop }, 'Stop at 10:30 for 5 min and change the card'],
      [{ ...base, how: 'spareCell', count: 2, stop: null }, 'Take 2 cells, changed at breaks'],
      [
        { ...base, how: 'stops', entryId: 'e', stops: [{ afterMinutes: 11, minutes: 8 }] },
        'Stop once for 8 min to cool, first at 10:21',
      ],
    ];
    for (const [cure, text] of cures) expect(cureText(cure, 'UTC', at)).toBe(text);
    const [first] = cures[0]!;
    expect(leavesText(first)).toBe('');
    expect(leavesText({ ...first, leaves: ['power', 'heat'] })).toBe(
      '; the cell and its heat margin still run out',
    );
  });

  it('tells a joint change setting by setting', () => {
    const before = { ...settings, filter: { ids: ['nd8'], stops: 3 } };
    const after = { ...settings, frameRate: 50, filter: { ids: ['nd16'], stops: 4 } };
    expect(changeText({ before, after }, kit, 'factor')).toMatch(
      /^Frame rate 25 fps → 50 fps; Filter ND8 → ND16$/,
    );
    expect(changeText({ before: settings, after: settings }, kit, 'factor')).toBe('Held as it is');
  });

  it('says how well the slots serve', () => {
    expect(presetsText({ within: true, exact: true, extra: [0, 0.1] }, 2, 5)).toBe(
      '2 of 5 slots serve every shot, at most 0.1 worse than its own.',
    );
    expect(presetsText({ within: false, exact: false, extra: [1.4] }, 2, 2)).toMatch(
      /costs up to 1\.4: more than is seen.*by exchange/,
    );
    expect(presetsText(null, 4, 2)).toMatch(/^Needs 4 set-ups and has 2 slots/);
    expect(presetsText(null, 0, 0)).toMatch(/^Stores no set-ups/);
  });

  it('packs by name', () => {
    const kits = new Map([['otter', kit]]);
    expect(
      packText(
        { id: 'f', what: 'filter', camera: 'Otter', cameraId: 'otter', filterId: 'nd16', count: 1 },
        kits,
      ),
    ).toBe('Filter ND16 for Otter');
    expect(packText({ id: 'c', what: 'cell', camera: 'Otter', count: 3 }, kits)).toBe(
      '3 cells for Otter, charged',
    );
  });
});
