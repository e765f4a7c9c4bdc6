import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { item } from '../units/items';
import { takesOf } from './takes';
import type { Kept } from './takes';

/** Clocks of three places, winter and summer alike. */
const AHEAD: Record<string, string> = { UTC: 'Z', 'America/Los_Angeles': '-07:00', 'Asia/Kolkata': '+05:30' };
const clock = (zone: string) => (date: string, time: string) =>
  Date.parse(`${date}T${time}:00${AHEAD[zone] ?? ''}`);

const demo = makeDemo();
const [outing] = demo.outings;
const [entry] = demo.log;
if (!outing || !entry) throw new Error('the demo has an outing and a log');
const [saturday, sunday] = outing.days;
if (!saturday || !sunday) throw new Error('its outing has two days');

/** One recording of a shot that is planned for both days of an outing, on the other side of the world. */
function takenAt(at: string, zone: string): ReturnType<typeof takesOf>[number] {
  const planned = {
    ...item(saturday!.entries, 0),
    what: 'shot' as const,
    id: 'e',
    shotId: entry!.shotId,
    at: '10:00',
    pauses: [],
    note: '',
  };
  const kept: Kept = {
    shots: demo.shots,
    outings: [
      {
        ...outing!,
        zone,
        days: [
          { ...saturday!, air: { lowC: 1, highC: 2 }, entries: [planned] },
          { ...sunday!, air: { lowC: 21, highC: 22 }, entries: [planned] },
        ],
      },
    ],
    log: [{ ...entry!, at }],
    clips: [],
    measured: [],
  };
  return item(takesOf(kept, clock), 0);
}

describe('a recording that no clip came of', () => {
  it.each([
    // The evening of the Saturday there is the Sunday of the universal clock.
    ['2026-10-04T01:00:00Z', 'America/Los_Angeles', '2026-10-03', 18],
    ['2026-10-04T06:59:00Z', 'America/Los_Angeles', '2026-10-03', 23.983],
    ['2026-10-04T07:00:00Z', 'America/Los_Angeles', '2026-10-04', 0],
    // The small hours of the Sunday are still its Saturday.
    ['2026-10-03T20:00:00Z', 'Asia/Kolkata', '2026-10-04', 1.5],
    ['2026-10-03T12:00:00Z', 'UTC', '2026-10-03', 12],
  ])('at %s in %s belongs to %s by the clock there, with its air', (at, zone, date, hour) => {
    const take = takenAt(at, zone);
    expect(take.date).toBe(date);
    expect(take.hour).toBeCloseTo(hour, 3);
    expect(take.day?.day.air.lowC).toBe(date === '2026-10-03' ? 1 : 21);
  });

  it('on a day of no plan is told by the clock of its shot’s sun, or by the universal one', () => {
    const off = takenAt('2026-11-04T01:00:00Z', 'America/Los_Angeles');
    expect(off.day).toBeNull();
    const { light } = entry.shot;
    const zone = (light?.kind === 'sun' ? light.zone : undefined) ?? 'UTC';
    expect(off.date).toBe(zone === 'UTC' || zone.startsWith('Europe') ? '2026-11-04' : '2026-11-03');
  });
});
