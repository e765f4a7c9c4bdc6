import { act, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { readIncoming } from '@/formats/incoming';
import { visit } from '../testing/address';
import { said } from '../testing/said';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { HandoverScreen } from './HandoverScreen';

const out: { name: string; text: string }[] = [];
vi.mock('../files/handOut', () => ({
  handOut: (name: string, text: string) => {
    out.push({ name, text });
    return Promise.resolve('saved');
  },
}));
vi.mock('@/workers/codes', () => ({ receiving: { begin: () => Promise.resolve() } }));

let stage: Stage;
beforeEach(async () => {
  out.length = 0;
  stage = await openStage();
});
afterEach(() => {
  vi.restoreAllMocks();
  return stage.close();
});

const sent = async (): Promise<Record<string, unknown[]>> => {
  await stage.user.click(await screen.findByRole('button', { name: 'Send the file' }));
  await waitFor(() => expect(out).not.toEqual([]));
  return JSON.parse(out.at(-1)!.text) as Record<string, unknown[]>;
};
const size = async (): Promise<number> =>
  Number(/(\d+) kB packed/.exec((await screen.findByText(/kB packed/)).textContent)![1]);

describe('handing over', () => {
  it('gives the outing that the address names, as codes and as a file that reads back', async () => {
    visit('/handover?what=outing%3Ademo-outing');
    stage.show(<HandoverScreen />);
    expect(await size()).toBeLessThan(10);
    expect(screen.getByRole('img', { name: /^Code 1 of Outing: Two days/ })).toBeDefined();
    const file = await sent();
    expect(out[0]!.name).toBe('outing-two-days-in-tarnholt-gorge');
    const { days } = (await stage.database.outings.get('demo-outing'))!;
    const planned = days.flatMap(({ entries }) =>
      entries.flatMap((one) => (one.what === 'shot' ? [one.shotId] : [])),
    );
    expect(file.shots).toHaveLength(new Set(planned).size);
    expect((await readIncoming(out[0]!.text, 'x.json')).ok).toBe(true);
    expect(said.at(-1)).toContain('saved to be sent by hand');
  });

  it('takes measured clips along only when asked, and tells how much more they are', async () => {
    visit('/handover?what=outing%3Ademo-holm');
    stage.show(<HandoverScreen />);
    const without = await size();
    expect((await sent()).clips).toEqual([]);
    await stage.user.click(screen.getByRole('checkbox', { name: /^With measured clips/ }));
    await waitFor(async () => expect(await size()).toBeGreaterThan(10 * without));
    expect((await sent()).clips).toHaveLength(await stage.database.clips.count());
  });

  it('gives what is changed meanwhile as it is now', async () => {
    visit('/handover?what=shot%3Ademo-02');
    stage.show(<HandoverScreen />);
    await screen.findByText(/kB packed/);
    await act(() => stage.repository.changeShot('demo-02', 'rename', (shot) => ({ ...shot, name: 'Anew' })));
    await screen.findByRole('img', { name: /of Shot: Anew$/ });
    await waitFor(async () => expect(JSON.stringify(await sent())).toContain('"Anew"'));
  });

  it('moves its codes only from a press on, as fast as is chosen', async () => {
    visit('/handover');
    stage.show(<HandoverScreen />);
    const number = (): string =>
      screen.getByRole('img', { name: /^Code \d+ of/ }).getAttribute('aria-label') ?? '';
    await screen.findByText(/kB packed/);
    expect(number()).toMatch(/^Code 1 of/);
    const [started, ended] = [vi.spyOn(globalThis, 'setInterval'), vi.spyOn(globalThis, 'clearInterval')];
    await stage.user.click(screen.getByRole('button', { name: 'Show the codes' }));
    await waitFor(() => expect(number()).toMatch(/^Code ([3-9]|\d\d+) of/));
    await stage.user.click(screen.getByRole('button', { name: 'Stop the codes' }));
    // Whatever moved them was let go of.
    for (const { value } of started.mock.results) expect(ended).toHaveBeenCalledWith(value);
    expect(started.mock.results.length).toBeGreaterThan(0);
  });

  it('takes with the camera, and says so where there is none', async () => {
    visit('/handover?part=take');
    stage.show(<HandoverScreen />);
    await stage.user.click(screen.getByRole('button', { name: 'Look with this camera' }));
    expect((await screen.findByRole('alert')).textContent).toContain('gives no camera');
    expect(screen.getByRole('button', { name: 'Look with this camera' })).toBeDefined();
  });
});
