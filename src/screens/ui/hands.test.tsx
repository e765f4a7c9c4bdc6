import { act, fireEvent, render, renderHook, screen } from '@testing-library/react';
import type { KeyboardEvent, ReactNode } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { acrossStep, arrowStep, sliderStep } from './arrowKeys';
import { useAfterPaint } from './useAfterPaint';
import { pointIn, usePointerDrag } from './usePointerDrag';
import type { Drag } from './usePointerDrag';
import { sharing, useSame } from '../data/useSame';
import { useSwipe } from './useSwipe';

/** A press of a key, and whether it was kept from the page. */
interface Press extends KeyboardEvent {
  kept: boolean;
}
function key(name: string, shiftKey = false): Press {
  const press = { key: name, shiftKey, kept: false, preventDefault: () => (press.kept = true) };
  return press as unknown as Press;
}

describe('arrow keys', () => {
  it('step across and up, further with Shift, and keep the page from scrolling', () => {
    const right = key('ArrowRight');
    expect(arrowStep(right)).toEqual({ across: 1, up: 0 });
    expect(right.kept).toBe(true);
    expect(arrowStep(key('ArrowDown', true), 6)).toEqual({ across: 0, up: -6 });
    expect(sliderStep(key('ArrowUp'))).toBe(1);
    expect(sliderStep(key('ArrowLeft', true), 3)).toBe(-3);
  });

  it('leave every other key, and up and down along an axis, to the page', () => {
    for (const name of ['Enter', 'a', 'Tab', 'Home']) {
      const other = key(name);
      expect(arrowStep(other)).toBeNull();
      expect(sliderStep(other)).toBeNull();
      expect(other.kept).toBe(false);
    }
    const up = key('ArrowUp');
    expect(acrossStep(up)).toBeNull();
    expect(up.kept).toBe(false);
    expect(acrossStep(key('ArrowLeft'), 5)).toBe(-1);
  });
});

describe('a swipe', () => {
  function Page({ onSwipe }: { onSwipe: (by: 1 | -1) => void }): ReactNode {
    return <main {...useSwipe(onSwipe)} />;
  }
  const swiped = (from: number, to: number): number[] => {
    const by: number[] = [];
    const { unmount } = render(<Page onSwipe={(one) => by.push(one)} />);
    const page = screen.getByRole('main');
    fireEvent.touchStart(page, { touches: [{ clientX: from }] });
    fireEvent.touchEnd(page, { changedTouches: [{ clientX: to }] });
    unmount();
    return by;
  };

  it('to the left asks for the next, to the right for the one before', () => {
    expect(swiped(300, 100)).toEqual([1]);
    expect(swiped(100, 300)).toEqual([-1]);
  });

  it('is none when the finger hardly moved', () => {
    expect(swiped(200, 140)).toEqual([]);
    expect(swiped(200, 260)).toEqual([]);
  });
});

describe('moving a thing of a drawing by hand', () => {
  interface Told {
    pulled: Drag<string, number>[];
    dropped: Drag<string, number>[];
    cancelled: number;
  }
  function Drawing({ told }: { told: Told }): ReactNode {
    const { drag, grip } = usePointerDrag<string, number>(
      (event) => (event.clientX < 0 ? null : Math.round(event.clientX / 10)),
      {
        pull: (one) => told.pulled.push(one),
        drop: (one) => told.dropped.push(one),
        cancel: () => (told.cancelled += 1),
      },
    );
    return (
      <div role="img" {...grip('handle')}>
        {drag ? `${drag.held} ${drag.from} ${drag.to}` : 'still'}
      </div>
    );
  }
  const begin = (): { told: Told; thing: HTMLElement; captured: number[] } => {
    const told: Told = { pulled: [], dropped: [], cancelled: 0 };
    render(<Drawing told={told} />);
    const thing = screen.getByRole('img');
    const captured: number[] = [];
    thing.setPointerCapture = (pointer) => captured.push(pointer);
    return { told, thing, captured };
  };

  it('tells where it was taken and where it is, once for each place, and where it was let go', () => {
    const { told, thing, captured } = begin();
    fireEvent.pointerDown(thing, { button: 0, clientX: 100, pointerId: 4 });
    expect(captured).toEqual([4]);
    expect(thing.textContent).toBe('handle 10 10');
    for (const clientX of [120, 121, 150]) fireEvent.pointerMove(thing, { clientX });
    expect(told.pulled.map(({ to }) => to)).toEqual([12, 15]);
    fireEvent.pointerUp(thing);
    expect(told.dropped).toEqual([{ held: 'handle', from: 10, to: 15 }]);
    expect(thing.textContent).toBe('still');
    fireEvent.pointerMove(thing, { clientX: 300 });
    expect(told.pulled).toHaveLength(2);
  });

  it('is not begun by another button or where the drawing cannot tell the place', () => {
    const { told, thing } = begin();
    fireEvent.pointerDown(thing, { button: 2, clientX: 100 });
    fireEvent.pointerDown(thing, { button: 0, clientX: -5 });
    fireEvent.pointerMove(thing, { clientX: 120 });
    fireEvent.pointerUp(thing);
    expect(told).toEqual({ pulled: [], dropped: [], cancelled: 0 });
  });

  it('is given up when the page loses the pointer', () => {
    const { told, thing } = begin();
    fireEvent.pointerDown(thing, { button: 0, clientX: 100 });
    fireEvent.pointerMove(thing, { clientX: 200 });
    fireEvent.pointerCancel(thing);
    expect(told.cancelled).toBe(1);
    expect(told.dropped).toEqual([]);
  });

  it('measures a pointer from the left and top of its element', () => {
    const box = { left: 30, top: 10, width: 200, height: 50 };
    const element = { getBoundingClientRect: () => box } as Element;
    const event = { clientX: 130, clientY: 35 } as never;
    expect(pointIn(element, event)).toEqual({ x: 100, y: 25, width: 200, height: 50 });
    expect(pointIn(null, event)).toBeNull();
  });
});

describe('a value kept for as long as it equals itself', () => {
  it('is the same object until something in it is another', () => {
    const first = { name: 'a', list: [1, 2] };
    const { result, rerender } = renderHook(({ value }) => useSame(value), {
      initialProps: { value: first },
    });
    rerender({ value: { name: 'a', list: [1, 2] } });
    expect(result.current).toBe(first);
    const other = { name: 'a', list: [1, 3] };
    rerender({ value: other });
    expect(result.current).toBe(other);
  });

  it('keeps each part that is as it was, through whatever changes beside it', () => {
    const before = { camera: { modes: [{ fps: 25 }, { fps: 50 }] }, pins: { iso: 100 }, name: 'a' };
    const next = { ...structuredClone(before), pins: { iso: 200 } };
    const same = sharing(before, next);
    expect(same).toEqual(next);
    expect(same.camera).toBe(before.camera);
    expect(sharing(before, structuredClone(before))).toBe(before);
    // Fewer, more, and of another kind are not the same.
    for (const [from, to] of [
      [{ a: 1, b: 2 }, { a: 1 }],
      [{ a: 1 }, { a: 1, b: undefined }],
      [[1, 2], [1]],
      [[1], { 0: 1 }],
      [null, {}],
      [{}, null],
    ] as [unknown, unknown][])
      expect(sharing(from, to)).toEqual(to);
    expect(Object.keys(sharing<object>({ a: 1 }, { a: 1, b: undefined }))).toEqual(['a', 'b']);
    expect(sharing<unknown>([{ x: 1 }, 2], [{ x: 1 }, 3])).toEqual([{ x: 1 }, 3]);
  });
});

describe('a value that follows after the picture', () => {
  it('is the one before until a picture was painted, and skips those between', async () => {
    const frames: FrameRequestCallback[] = [];
    vi.stubGlobal('requestAnimationFrame', (frame: FrameRequestCallback) => frames.push(frame));
    vi.stubGlobal('cancelAnimationFrame', (at: number) => {
      frames[at - 1] = () => undefined;
    });
    const paint = (): Promise<void> =>
      act(async () => {
        frames.splice(0).forEach((frame) => {
          frame(0);
        });
        await new Promise((after) => setTimeout(after));
      });
    const seen: number[] = [];
    const { result, rerender } = renderHook(
      ({ value }) => {
        const later = useAfterPaint(value);
        seen.push(later);
        return later;
      },
      { initialProps: { value: 1 } },
    );
    rerender({ value: 2 });
    rerender({ value: 3 });
    expect(result.current).toBe(1);
    await paint();
    expect(result.current).toBe(3);
    expect(seen).not.toContain(2);
    vi.unstubAllGlobals();
  });
});
