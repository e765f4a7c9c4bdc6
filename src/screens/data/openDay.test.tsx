import { renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { emptyShot } from '@/core/records/emptyShot';
import type { Outing } from '@/core/records/outing';
import type { Shot } from '@/core/records/shot';
import { makeDemo } from '../../../demo/makeDemo';
import { visit, visited } from '../testing/address';
import { outingUrl, placeUrl, usePart, usePlace } from '../routes';
import { openDayOf } from './outings';
import { partEditing } from './partEditing';
import type { ShotEditing } from './useShotEditing';

const demo = makeDemo().outings[0]!;
const dated = (id: string, dates: readonly string[], more: Partial<Outing> = {}): Outing => ({
  ...demo,
  id,
  days: dates.map((date) => ({ id: `${id}-${date}`, date, air: demo.days[0]!.air, entries: [] })),
  ...more,
});

describe('the day that is open', () => {
  afterEach(() => {
    vi.useRealTimers();
  });
  const on = (date: string): void => {
    vi.useFakeTimers({ now: Date.parse(`${date}T10:00:00Z`), toFake: ['Date'] });
  };
  const past = dated('past', ['2026-05-01', '2026-05-02']);
  const soon = dated('soon', ['2026-07-10', '2026-07-11']);
  const later = dated('later', ['2026-09-01']);

  it('is the one that the address names', () => {
    on('2026-07-01');
    expect(openDayOf([past, soon], 'past', 'past-2026-05-02')).toEqual({ outing: past, day: past.days[1] });
  });

  it('unnamed is the next to come, its first day that is not over', () => {
    on('2026-07-01');
    expect(openDayOf([later, soon, past], null, null)).toEqual({ outing: soon, day: soon.days[0] });
    on('2026-07-11');
    expect(openDayOf([later, soon, past], null, null)).toEqual({ outing: soon, day: soon.days[1] });
    on('2026-07-12');
    expect(openDayOf([later, soon, past], 'nobody', null)?.outing.id).toBe('later');
  });

  it('after all of them is the last there was, from its beginning', () => {
    on('2027-01-01');
    expect(openDayOf([soon, past, later], null, null)).toEqual({ outing: later, day: later.days[0] });
  });

  it('passes over the archive while there is another, and is none where there is none', () => {
    on('2026-07-01');
    const away = { ...soon, archived: true };
    expect(openDayOf([away, later], null, null)?.outing.id).toBe('later');
    expect(openDayOf([away], null, null)?.outing.id).toBe('soon');
    expect(openDayOf([], null, null)).toBeNull();
  });

  it('is that of the outing’s own clock', () => {
    // Ten at night in Greenwich is the next day in the far east.
    vi.useFakeTimers({ now: Date.parse('2026-07-10T22:00:00Z'), toFake: ['Date'] });
    const east = { ...soon, zone: 'Pacific/Auckland' };
    expect(openDayOf([east], null, null)?.day.date).toBe('2026-07-11');
    expect(openDayOf([{ ...soon, zone: 'UTC' }], null, null)?.day.date).toBe('2026-07-10');
  });
});

describe('addresses', () => {
  it('carry the shot to the places that show one, and its camera where it is not the first', () => {
    expect(placeUrl('/bench', 'a b')).toBe('/bench?shot=a%20b');
    expect(placeUrl('/carry', 'x', 2)).toBe('/carry?shot=x&angle=2');
    expect(placeUrl('/', 'x')).toBe('/');
    expect(placeUrl('/kit', 'x')).toBe('/kit');
    expect(placeUrl('/log', null)).toBe('/log');
    expect(outingUrl('/outing', 'o', null)).not.toContain('day=');
    visit(outingUrl('/carry', 'o', 'd', { card: 'c' }));
    expect(visited()).toBe('/carry?card=c&outing=o&day=d');
  });

  it('name the place, and a camera that is there', () => {
    const shot: Shot = { ...emptyShot('x'), secondAngles: [{}, {}] };
    const part = (query: string): number => {
      visit(`/bench?shot=x${query}`);
      return renderHook(() => usePart(shot)).result.current;
    };
    expect([part(''), part('&angle=2'), part('&angle=3'), part('&angle=-1'), part('&angle=1.5')]).toEqual([
      0, 2, 0, 0, 0,
    ]);
    expect(renderHook(() => usePlace()).result.current).toBe('/bench');
    visit('/camera');
    expect(renderHook(() => usePlace()).result.current).toBeNull();
  });
});

describe('editing one camera of a shot', () => {
  it('changes that camera alone, and what they share for all', () => {
    let shot: Shot = {
      ...emptyShot('Ride'),
      pins: { frameRate: 25 },
      secondAngles: [{ name: 'Bow', pins: { frameRate: 50 } }, { name: 'Pole' }],
    };
    const told: string[] = [];
    const whole: ShotEditing = {
      shot,
      preview: (label, change) => {
        told.push(`preview ${label}`);
        shot = change(shot);
      },
      commit: (label, change) => {
        told.push(`commit ${label}`);
        if (change) shot = change(shot);
      },
      save: (label, change) => {
        told.push(`save ${label}`);
        shot = change(shot);
        return Promise.resolve();
      },
    };
    const bow = partEditing(whole, 1, shot);
    bow.preview('a', (one) => ({ ...one, pins: { ...one.pins, colour: 'log' } }));
    bow.commit('b', (one) => ({ ...one, limits: { cardGb: 64 } }));
    void bow.save('c', (one) => ({ ...one, mount: { kind: 'chest' } }));
    bow.commit('d');
    expect(told).toEqual(['preview a', 'commit b', 'save c', 'commit d']);
    expect(shot).toMatchObject({
      name: 'Ride',
      pins: { frameRate: 25 },
      limits: { cardGb: 64 },
      secondAngles: [
        { name: 'Bow', pins: { frameRate: 50, colour: 'log' }, mount: { kind: 'chest' } },
        { name: 'Pole' },
      ],
    });
    expect(shot).not.toHaveProperty('mount');
  });
});
