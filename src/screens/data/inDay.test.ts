import { describe, expect, it } from 'vitest';
import { MADE_DATE, outingOf } from '../../../bench/madeDay';
import { emptyShot } from '@/core/records/emptyShot';
import type { Shot } from '@/core/records/shot';
import type { Outing, ShotEntry } from '@/core/records/outing';
import { editingInClock, followingEntry } from './inDay';
import type { ShotEditing } from './useShotEditing';

const sun = (from: string, more: Partial<Shot> = {}): Shot => ({
  ...emptyShot('x'),
  light: { kind: 'sun', lat: 46, lon: 12, from, to: from },
  ...more,
});
const made = outingOf([{ what: 'shot', id: 'e', shotId: 's', at: '10:00', recordSeconds: 60 }], {
  zone: 'Europe/Rome',
});
const later = { ...made.days[0]!, id: 'later', date: '2026-07-03', entries: [] };
const outing: Outing = { ...made, days: [...made.days, later] };
const standing = { outing, day: outing.days[0]!, entry: outing.days[0]!.entries[0] as ShotEntry };
const followed = (before: Shot, after: Shot): Outing =>
  followingEntry(standing).change(outing, before, after);
const entries = ({ days }: Outing): unknown =>
  days.map((day) => day.entries.map((entry) => [entry.at, 'recordSeconds' in entry]));

describe('an entry that follows its shot', () => {
  const before = sun(`${MADE_DATE}T08:00:00Z`);

  it('goes as far as the sun went, to another minute of its day', () => {
    const moved = followed(before, sun(`${MADE_DATE}T08:25:00Z`));
    expect(entries(moved)).toEqual([[['10:25', true]], []]);
  });

  it('goes on from where an earlier move left it, though that one is not seen here yet', () => {
    const { change } = followingEntry(standing);
    const half = sun(`${MADE_DATE}T08:30:00Z`);
    const once = change(outing, before, half);
    expect(entries(change(once, half, sun(`${MADE_DATE}T09:15:00Z`)))).toEqual([[['11:15', true]], []]);
    const away = change(outing, before, sun('2026-07-03T06:00:00Z'));
    const back = change(away, sun('2026-07-03T06:00:00Z'), sun('2026-07-03T06:20:00Z'));
    expect(entries(back)).toEqual([[], [['08:20', true]]]);
  });

  it('goes to the day of the outing that has the date, and nowhere where none has', () => {
    expect(entries(followed(before, sun('2026-07-03T06:00:00Z')))).toEqual([[], [['08:00', true]]]);
    expect(followed(before, sun('2026-08-20T08:00:00Z'))).toBe(outing);
  });

  it('stays for any other change, and where the light is not told by the sun', () => {
    expect(followed(before, { ...before, name: 'y' })).toBe(outing);
    expect(followed(emptyShot('x'), before)).toBe(outing);
    expect(followed(before, emptyShot('x'))).toBe(outing);
  });

  it('gives its own length up where the shot is given another', () => {
    const longer = sun(`${MADE_DATE}T08:00:00Z`, { limits: { recordSeconds: 900 } });
    expect(entries(followed(before, longer))).toEqual([[['10:00', false]], []]);
  });
});

describe('editing a shot as its day has it', () => {
  it('shows every change the shot there, and writes it as it is kept', () => {
    const written: Shot[] = [];
    const kept = emptyShot('kept');
    const plain: ShotEditing = {
      shot: kept,
      preview: (_, change) => void written.push(change(kept)),
      commit: (_, change) => change && written.push(change(kept)),
      save: (_, change) => {
        written.push(change(kept));
        return Promise.resolve();
      },
    };
    const shown = (shot: Shot): Shot => ({ ...shot, name: `${shot.name ?? ''} there` });
    const editing = editingInClock(plain, shown(kept), {
      shown,
      kept: (shot) => ({ ...shot, name: (shot.name ?? '').replace(' there', '') }),
    });
    expect(editing.shot.name).toBe('kept there');
    const loud = (shot: Shot): Shot => ({
      ...shot,
      name: (shot.name ?? '').toUpperCase().replace('THERE', 'there'),
    });
    editing.preview('a', loud);
    editing.commit('b', loud);
    editing.commit('c');
    void editing.save('d', loud);
    expect(written.map(({ name }) => name)).toEqual(['KEPT', 'KEPT', 'KEPT']);
  });
});
