import { describe, expect, it } from 'vitest';
import { briefOf } from '@/core/brief/brief';
import { NO_FILTER } from '@/core/filters/kit';
import type { CheckWorth } from '@/core/rehearse/checks';
import type { ReadingBand } from '@/core/rehearse/reading';
import type { Slip } from '@/core/rehearse/unknowns';
import { readShot } from '@/core/records/shot';
import { solve } from '@/core/answer/solve';
import { bySaving, checksFor, lookTwiceText, savesText, worthALook } from './card';
import { readingTaskText, readTheLightText } from './readingText';

const read = readShot({ kind: 'lynxeye/shot', version: 3 });
if (!read.ok) throw new Error(JSON.stringify(read.faults));
const { brief } = briefOf(read.value);
const solved = solve(brief);
if (!solved.solved) throw new Error('it can be filmed');
const { settings } = solved.solution;

const worth = (slip: Slip, saves: number, id = 'a/0'): CheckWorth => ({
  id,
  entryId: 'a',
  slip,
  chance: 0.1,
  costs: 10 * saves,
  saves,
});

describe('the checks of a card', () => {
  const checks = checksFor(brief, settings, '2 Gorge');

  it('name the set-up where one is stored, and none where none is', () => {
    expect(checks.find(({ id }) => id === 'setup')?.text).toContain('2 Gorge');
    expect(checksFor(brief, settings).some(({ id }) => id === 'setup')).toBe(false);
  });

  it('mind the sound where somebody is to be heard, and only there', () => {
    const heard = {
      ...brief,
      sound: { speech: true, windMps: 1 },
      motion: { ...brief.motion, travelMps: 6 },
    };
    const sound = checksFor(heard, settings).filter(({ id }) => id.startsWith('sound-'));
    expect(sound.map(({ text }) => text)).toEqual(['Wind cover on, microphone out of the stream']);
    expect(checks.some(({ id }) => id.startsWith('sound-'))).toBe(false);
  });

  it('stand in the order of hands until it is known what they save, then those that save most first', () => {
    expect(bySaving(checks, []).map(({ id }) => id)).toEqual(checks.map(({ id }) => id));
    const told = bySaving(checks, [
      worth('wetLens', 0.2),
      worth('startedLate', 0.5),
      worth('wetLens', 0.4, 'a/1'),
    ]);
    // Both cameras' lenses are one check; so small a saving is none.
    expect(told.slice(0, 3).map(({ id, saves }) => [id, Number(saves.toFixed(3))])).toEqual([
      ['lens', 0.6],
      ['running', 0.5],
      [checks[0]?.id, 0],
    ]);
    expect(told.map(({ id }) => id).sort()).toEqual(checks.map(({ id }) => id).sort());
    expect(bySaving(checks, [worth('wetLens', 0.001)]).every(({ saves }) => saves === 0)).toBe(true);
  });

  it('of a whole day are those worth a look, no more than are kept in mind', () => {
    const all = [worth('forgottenFilter', 0.4), worth('wetLens', 0.2), worth('startedLate', 0.001)];
    expect(worthALook(all, 5)).toEqual(all.slice(0, 2));
    expect(worthALook(all, 1)).toEqual(all.slice(0, 1));
    expect(lookTwiceText('Hut evening', 'forgottenFilter')).toBe(
      'Hut evening: the filter changed and seated',
    );
    expect(savesText(0.3649)).toBe('saves 0.36');
  });
});

describe('a reading on a card', () => {
  const kit = [
    { id: 'nd8', kind: 'nd' as const, stops: 3 },
    { id: 'nd16', kind: 'nd' as const, stops: 4 },
  ];
  const bag = { fNumber: 2.8, kit, notation: 'factor' as const };
  const band = (fromEv: number | null, toEv: number | null, filter: ReadingBand['filter']): ReadingBand => ({
    fromEv,
    toEv,
    filter,
  });
  const nd = (id: string, stops: number): ReadingBand['filter'] => ({ ids: [id], stops, cast: 0, glare: 0 });

  it('says what is put on by what is read, in exposure values and in the time that a camera shows', () => {
    const bands = [band(null, 12, NO_FILTER), band(12, 14.9, nd('nd8', 3)), band(14.9, null, nd('nd16', 4))];
    // 2.8² over 2^12 is 1/522, over 2^14.9 1/3900.
    expect(readingTaskText('Sun gate', bands, bag)).toBe(
      'Read the light where it is brightest, for Sun gate: up to EV 12.0 (1/520 at f/2.8 and ISO 100) none, up to EV 14.9 (1/3900) ND8, from there ND16',
    );
  });

  it('says so where one filter serves all, and nothing where nothing is known yet', () => {
    expect(readingTaskText('Sun gate', [band(null, null, nd('nd8', 3))], bag)).toBe(
      'Read the light where it is brightest, for Sun gate: ND8 whatever it is',
    );
    expect(readingTaskText('Sun gate', [], bag)).toBe(readTheLightText('Sun gate'));
  });
});
