import { afterEach, describe, expect, it, vi } from 'vitest';
import { handOut } from './handOut';

const saved: string[] = [];
vi.mock('./download', () => ({ download: (name: string) => saved.push(name) }));

const withShare = (share: () => Promise<void>, can = true): File[] => {
  const given: File[] = [];
  Object.assign(navigator, {
    canShare: () => can,
    share: ({ files }: { files: File[] }) => {
      given.push(...files);
      return share();
    },
  });
  return given;
};
afterEach(() => {
  saved.length = 0;
  Object.assign(navigator, { canShare: undefined, share: undefined });
  Reflect.deleteProperty(navigator, 'canShare');
});

describe('a file handed out', () => {
  it('goes to whatever the person sends files with, as a text that every share sheet takes', async () => {
    const given = withShare(() => Promise.resolve());
    expect(await handOut('gorge', '{"a":1}')).toBe('shared');
    expect(given.map(({ name, type }) => [name, type])).toEqual([['gorge.lynxeye.txt', 'text/plain']]);
    expect(await given[0]!.text()).toBe('{"a":1}');
    expect(saved).toEqual([]);
  });

  it('is saved where nothing is shared or the system does not take it, and is not when the person turns away', async () => {
    expect(await handOut('gorge', '{}')).toBe('saved');
    withShare(() => Promise.resolve(), false);
    expect(await handOut('gorge', '{}')).toBe('saved');
    withShare(() => Promise.reject(new DOMException('', 'NotAllowedError')));
    expect(await handOut('gorge', '{}')).toBe('saved');
    expect(saved).toEqual(['gorge.json', 'gorge.json', 'gorge.json']);
    withShare(() => Promise.reject(new DOMException('', 'AbortError')));
    expect(await handOut('gorge', '{}')).toBeNull();
    withShare(() => Promise.reject(new Error('broken')));
    await expect(handOut('gorge', '{}')).rejects.toThrow('broken');
    expect(saved).toHaveLength(3);
  });
});
