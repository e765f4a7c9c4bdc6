import { describe, expect, it } from 'vitest';
import { RecentAnswers } from './recentAnswers';
import { askedRecently } from './recentlyUsed';

describe('answers to large questions', () => {
  it('are found by content, and those asked for longest ago are let go', () => {
    const recent = new RecentAnswers<{ day: number[] }, string>(2);
    const first = { day: [1, 2] };
    recent.put(first, 'a');
    recent.put({ day: [3] }, 'b');
    expect(recent.get(first)).toBe('a');
    expect(recent.get({ day: [1, 2] })).toBe('a');
    expect(recent.get({ day: [2, 1] })).toBeUndefined();
    recent.put({ day: [4] }, 'c');
    expect([recent.get({ day: [3] }), recent.get({ day: [1, 2] }), recent.get({ day: [4] })]).toEqual([
      undefined,
      'a',
      'c',
    ]);
    recent.put({ day: [4] }, 'd');
    expect([recent.get({ day: [4] }), recent.get(first)]).toEqual(['d', 'a']);
  });

  it('one that was refused is asked for again', async () => {
    const recent = new RecentAnswers<{ day: number }, Promise<string>>(2);
    let asked = 0;
    const ask = (): Promise<string> => {
      asked += 1;
      return asked === 1 ? Promise.reject(new Error('no')) : Promise.resolve('yes');
    };
    await expect(askedRecently(recent, { day: 1 }, ask)).rejects.toThrow('no');
    expect(await askedRecently(recent, { day: 1 }, ask)).toBe('yes');
    expect(await askedRecently(recent, { day: 1 }, ask)).toBe('yes');
    expect(asked).toBe(2);
  });
});
