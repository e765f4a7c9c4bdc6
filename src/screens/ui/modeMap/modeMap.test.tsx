import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { describe, expect, it } from 'vitest';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { modesOf } from '@/core/camera/modeTable';
import type { CameraProfile } from '@/core/camera/profile';
import { grants } from '@/core/camera/wishes';
import type { ModeWishes } from '@/core/camera/wishes';
import { mapOf } from './cells';
import { ModeMap } from './ModeMap';

const WISHES: ModeWishes[] = [
  {},
  { recording: 'video' },
  { recording: 'slowMotion' },
  { frameRate: 50, stabilization: 'standard' },
  { codec: 'avc', bitDepth: 8 },
  { viewId: 'wide', colour: 'log' },
];

describe('the map of a camera’s modes', () => {
  it('marks each mode where it stands: there, and lit where it is as wished', () => {
    for (const profile of Object.values(ARCHETYPES))
      for (const wishes of WISHES) {
        const map = mapOf(profile, wishes);
        const modes = modesOf(profile).filter(
          ({ recording }) => wishes.recording === undefined || recording === wishes.recording,
        );
        for (const [row, cells] of map.cells.entries())
          for (const [column, cell] of cells.entries()) {
            const here = modes.filter(
              ({ resolution, frameRate }) =>
                resolution.id === map.resolutions[row] && frameRate === map.frameRates[column],
            );
            const lit = here.filter((mode) => grants(mode, wishes));
            expect(cell.granted).toBe(lit.length);
            for (const [hold, stabilization] of map.stabilizations.entries())
              for (const [at, view] of map.views.entries()) {
                const is = (mode: (typeof modes)[number]): boolean =>
                  mode.stabilization === stabilization && mode.view.id === view;
                const expected = lit.some(is) ? 'lit' : here.some(is) ? 'dark' : 'none';
                expect(cell.marks[hold]![at], `${profile.id} ${row} ${column}`).toBe(expected);
              }
          }
      }
  });

  it('says how far a rate slows on the usual timeline, and nothing of an empty cell', () => {
    const { cells, frameRates } = mapOf(ARCHETYPES.main, {});
    for (const row of cells)
      for (const [at, cell] of row.entries()) {
        const empty = cell.marks.every((holds) => holds.every((mark) => mark === 'none'));
        expect(cell.slows).toBe(empty ? 1 : Math.max(1, Math.floor(frameRates[at]! / 25)));
        if (empty) expect([cell.granted, cell.slowMotionOnly, cell.tenBit]).toEqual([0, false, false]);
      }
    expect(cells.flat().some(({ slowMotionOnly }) => slowMotionOnly)).toBe(true);
  });
});

describe('the map on a screen', () => {
  let now: ModeWishes = {};
  function Mapped({ profile, first }: { profile: CameraProfile; first: ModeWishes }): ReactNode {
    const [wishes, setWishes] = useState(first);
    now = wishes;
    return <ModeMap profile={profile} wishes={wishes} onWishes={setWishes} />;
  }
  const show = (first: ModeWishes = {}): void => {
    render(<Mapped profile={ARCHETYPES.budget} first={first} />);
  };
  const cell = (row: number, column: number): HTMLElement =>
    document.querySelector<HTMLElement>(`[data-cell="${row}-${column}"]`)!;
  const verdict = (): string => screen.getByRole('status').textContent;

  it('takes a wish by its chip and lets it go, and counts what is left', () => {
    show();
    const all = modesOf(ARCHETYPES.budget).length;
    expect(verdict()).toContain(String(all));
    const [chip] = screen.getAllByRole('button', { name: /^1080p/ });
    fireEvent.click(chip!);
    expect(now).toEqual({ resolutionId: '1080p' });
    const left = modesOf(ARCHETYPES.budget).filter(({ resolution }) => resolution.id === '1080p').length;
    expect(verdict()).toContain(`${left} of ${all}`);
    fireEvent.click(chip!);
    expect(now).toEqual({});
  });

  it('takes size and rate of a cell at once, and lets both go', () => {
    show();
    fireEvent.click(cell(0, 0));
    const { resolutions, frameRates } = mapOf(ARCHETYPES.budget, {});
    expect(now).toEqual({ resolutionId: resolutions[0], frameRate: frameRates[0] });
    expect(cell(0, 0).getAttribute('aria-pressed')).toBe('true');
    fireEvent.click(cell(0, 0));
    expect(now).toEqual({});
  });

  it('says what to give up for what does not go together, and the way works', () => {
    show({ resolutionId: '2.7K', frameRate: 120 });
    expect(verdict()).toMatch(/give up/);
    const [way] = [...screen.getByRole('status').querySelectorAll('button')];
    fireEvent.click(way!);
    expect(Object.keys(now)).toHaveLength(1);
    expect(modesOf(ARCHETYPES.budget).some((mode) => grants(mode, now))).toBe(true);
  });

  it('is walked by arrow keys, one stop for the tab key, and not past its edges', () => {
    show();
    const { resolutions, frameRates } = mapOf(ARCHETYPES.budget, {});
    const key = (name: string): void => {
      fireEvent.keyDown(document.activeElement!, { key: name });
    };
    cell(0, 0).focus();
    key('ArrowLeft');
    key('ArrowUp');
    expect(document.activeElement).toBe(cell(0, 0));
    key('ArrowRight');
    key('ArrowDown');
    expect(document.activeElement).toBe(cell(1, 1));
    for (let at = 0; at < 30; at += 1) {
      key('ArrowRight');
      key('ArrowDown');
    }
    expect(document.activeElement).toBe(cell(resolutions.length - 1, frameRates.length - 1));
    const stops = [...document.querySelectorAll('[data-cell]')].filter(
      (one) => one.getAttribute('tabindex') === '0',
    );
    expect(stops).toEqual([document.activeElement]);
  });

  it('names each cell by what it grants', () => {
    show({ stabilization: 'standard' });
    const lit = [...document.querySelectorAll('[data-granted=true]')];
    expect(lit.length).toBeGreaterThan(0);
    for (const one of lit) expect(one.getAttribute('aria-label')).toMatch(/ fps: standard: /);
    expect(document.querySelector('[data-granted=false]')!.getAttribute('aria-label')).toMatch(/nothing/);
  });
});
