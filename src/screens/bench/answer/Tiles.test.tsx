import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { describe, expect, it } from 'vitest';
import { emptyShot } from '@/core/records/emptyShot';
import type { Shot } from '@/core/records/shot';
import { solveForScreen } from '../../data/useAnswer';
import type { Solved } from '../../data/useAnswer';
import type { ShotEditing } from '../../data/useShotEditing';
import { painted } from '../../testing/settled';
import { Tiles } from './Tiles';

interface Told {
  shot: Shot;
  previewed: string[];
  committed: string[];
}

/** The tiles over a shot that is kept in the page alone. */
function Answered({ first, told, stale = false }: { first: Shot; told: Told; stale?: boolean }): ReactNode {
  const [shot, setShot] = useState(first);
  const solved = useMemo(() => solveForScreen(shot), [shot]);
  if (!solved.solution) throw new Error('no answer');
  const change = (made: (shot: Shot) => Shot): void => {
    told.shot = made(told.shot);
    setShot(told.shot);
  };
  const editing = {
    shot,
    preview: (label, made) => {
      told.previewed.push(label);
      change(made);
    },
    commit: (label, made) => {
      told.committed.push(label);
      if (made) change(made);
    },
  } as ShotEditing;
  return <Tiles brief={solved.brief} solution={solved.solution} editing={editing} part={0} stale={stale} />;
}

const answer = (shot: Shot): Extract<Solved, { refusal: null; lapse: null }> => {
  const solved = solveForScreen(shot);
  if (!solved.solution) throw new Error('no answer');
  return solved;
};
const tile = (name: string): HTMLElement => screen.getByRole('button', { name: new RegExp(`^${name}: `) });

function show(first: Shot = emptyShot('one')): { told: Told; user: ReturnType<typeof userEvent.setup> } {
  const told: Told = { shot: first, previewed: [], committed: [] };
  render(<Answered first={first} told={told} />);
  return { told, user: userEvent.setup() };
}

describe('the tiles', () => {
  it('show the answer in its own order, with a reason for each of the eight', async () => {
    show();
    await painted();
    const names = screen
      .getAllByRole('button')
      .map((button) => button.getAttribute('aria-label') ?? '')
      .filter((label) => label.includes(': '))
      .map((label) => label.split(':')[0]);
    expect(names.slice(0, 8)).toEqual([
      'Frame rate',
      'Shutter',
      'Filter',
      'ISO',
      'Resolution',
      'View',
      'Bit rate',
      'Stabilization',
    ]);
    expect(names).toHaveLength(16);
    const { settings } = answer(emptyShot('one')).solution;
    expect(tile('Frame rate').textContent).toContain(String(settings.frameRate));
    const why = tile('Shutter').parentElement!.parentElement!.querySelector('p')!;
    expect(why.textContent.length).toBeGreaterThan(10);
  });

  it('step to the next value by an arrow, three by Shift, and no further than the last', async () => {
    const { told, user } = show();
    tile('Frame rate').focus();
    const before = answer(told.shot).solution.settings.frameRate;
    await user.keyboard('{ArrowUp}');
    const up = told.shot.pins!.frameRate!;
    expect(up).toBeGreaterThan(before);
    await user.keyboard('{ArrowDown}');
    expect(told.shot.pins!.frameRate).toBe(before);
    await user.keyboard('{Shift>}{ArrowUp}{/Shift}');
    const three = told.shot.pins!.frameRate!;
    expect(three).toBeGreaterThan(up);
    for (let press = 0; press < 8; press++) await user.keyboard('{Shift>}{ArrowDown}{/Shift}');
    const least = told.shot.pins!.frameRate!;
    await user.keyboard('{ArrowLeft}');
    expect(told.shot.pins!.frameRate).toBe(least);
    expect(told.committed).toEqual([]);
    expect(new Set(told.previewed)).toEqual(new Set(['set the frame rate']));
  });

  it('are pinned where they stand by Space or the pin, and let go again', async () => {
    const { told, user } = show();
    const { shutterSeconds, shutterMode } = answer(told.shot).solution.settings;
    tile('Shutter').focus();
    await user.keyboard(' ');
    expect(told.shot.pins).toMatchObject({ shutterSeconds, shutterMode });
    expect(tile('Shutter').getAttribute('aria-label')).toContain('pinned by you');
    const pin = within(tile('Shutter').parentElement!.parentElement!).getByRole('button', { pressed: true });
    await user.click(pin);
    expect(told.shot.pins).toBeUndefined();
    expect(told.committed).toHaveLength(2);
    expect(tile('Shutter').getAttribute('aria-label')).toContain('worked out');
  });

  it('say what a pin costs once that is worked out, and nothing of one that is not set', async () => {
    const { told, user } = show();
    await painted();
    expect(screen.queryByText(/^pinned/i)).toBeNull();
    const rates = told.shot;
    tile('Frame rate').focus();
    for (let press = 0; press < 4; press++) await user.keyboard('{ArrowUp}');
    await painted();
    const dearer = answer(told.shot).solution.score - answer(rates).solution.score;
    expect(dearer).toBeGreaterThan(0.02);
    const told1 = tile('Frame rate').parentElement!.parentElement!.textContent;
    expect(told1).toContain(dearer.toFixed(1));
  });

  it('offer their values in a menu, the one at hand marked, and take what is chosen', async () => {
    const { told, user } = show();
    await user.click(tile('Stabilization'));
    const items = await screen.findAllByRole('menuitem');
    const marked = items.filter((item) => item.className.includes('selected'));
    expect(marked).toHaveLength(1);
    const off = items.find((item) => item.textContent === 'off')!;
    await user.click(off);
    expect(told.shot.pins).toEqual({ stabilization: 'off' });
    expect(told.previewed).toEqual(['set the stabilization']);
  });

  it('act on what stands now, not on what stood when they were drawn', async () => {
    const { told, user } = show();
    tile('Frame rate').focus();
    await user.keyboard('{ArrowUp}');
    const { frameRate } = told.shot.pins!;
    // The filter's tile need not have been drawn anew; what it pins rests on the whole shot as it is now.
    tile('ISO').focus();
    await user.keyboard(' ');
    expect(told.shot.pins!.frameRate).toBe(frameRate);
    expect(told.shot.pins!.iso).toEqual(
      answer({ ...emptyShot('one'), pins: { frameRate: frameRate! } }).solution.settings.iso,
    );
  });
});
