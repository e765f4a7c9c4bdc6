import { act, renderHook } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { RefusedWrite } from '@/store/refusedWrite';
import { untilSettled } from '../testing/settled';
import { namedText, useTyped, useTypedText } from './useTyped';
import { worded } from '@/core/schema/fault';
import { WordedError } from '@/words/whyText';

/** A write that is under way until it is settled from outside. */
function slow(): { promise: Promise<void>; done: () => void; fail: (error: Error) => void } {
  let done = (): void => undefined;
  let fail: (error: Error) => void = () => undefined;
  const promise = new Promise<void>((yes, no) => {
    done = yes;
    fail = no;
  });
  return { promise, done, fail };
}

describe('what is typed into a field', () => {
  it('stands there until it is written, and then what is kept stands there', async () => {
    const { result } = renderHook(() => useTyped<string>());
    const write = slow();
    act(() => result.current.type('new'));
    act(() => result.current.give(() => write.promise));
    expect(result.current.typed).toBe('new');
    await untilSettled(() => write.done());
    expect(result.current.typed).toBeUndefined();
  });

  it('stays, with the reason, when it was refused; typing on takes the reason away', async () => {
    const { result } = renderHook(() => useTyped<string>());
    const write = slow();
    act(() => result.current.type('bad'));
    act(() => result.current.give(() => write.promise));
    await untilSettled(() => write.fail(new RefusedWrite('kit', 'Rook', [worded('name', 'too long')])));
    expect(result.current.typed).toBe('bad');
    expect(result.current.refused).toContain('Rook');
    expect(result.current.refused).toContain('too long');
    act(() => result.current.type('good'));
    expect(result.current.refused).toBeNull();
  });

  it('is not taken away by an earlier write that lands while one types on', async () => {
    const { result } = renderHook(() => useTyped<string>());
    const write = slow();
    act(() => result.current.type('first'));
    act(() => result.current.give(() => write.promise));
    act(() => result.current.type('second'));
    await untilSettled(() => write.done());
    expect(result.current.typed).toBe('second');
  });

  it('goes at once where nothing has to be waited for', () => {
    const { result } = renderHook(() => useTyped<number>());
    act(() => result.current.type(4));
    act(() => result.current.give(() => undefined));
    expect(result.current.typed).toBeUndefined();
  });
});

describe('a field of text', () => {
  const text = (kept: string, commit: (text: string) => unknown) =>
    renderHook(() => useTypedText(kept, namedText, commit));

  it('writes a new name without the blanks around it, once it is left', () => {
    const commit = vi.fn();
    const { result } = text('Rook', commit);
    act(() => result.current.onType('  Pika '));
    expect(result.current.value).toBe('  Pika ');
    expect(commit).not.toHaveBeenCalled();
    act(() => result.current.onLeave());
    expect(commit).toHaveBeenCalledExactlyOnceWith('Pika');
  });

  it.each(['', '   ', 'Rook', ' Rook '])('goes back to what is kept for "%s"', (typed) => {
    const commit = vi.fn();
    const { result } = text('Rook', commit);
    act(() => result.current.onType(typed));
    act(() => result.current.onLeave());
    expect(commit).not.toHaveBeenCalled();
    expect(result.current.value).toBe('Rook');
  });

  it('writes nothing when it is left untouched', () => {
    const commit = vi.fn();
    const { result } = text('Rook', commit);
    act(() => result.current.onLeave());
    expect(commit).not.toHaveBeenCalled();
  });

  it('marks what was refused', async () => {
    const { result } = text('Rook', () => Promise.reject(new WordedError('no room')));
    act(() => result.current.onType('Pika'));
    await untilSettled(() => result.current.onLeave());
    expect(result.current).toMatchObject({ value: 'Pika', status: 'error' });
    expect(result.current.refused).toContain('no room');
  });
});
