import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyShot } from '@/core/records/emptyShot';
import type { Shot } from '@/core/records/shot';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { Repository } from '@/store/repository';
import { untilSettled } from '../testing/settled';
import { RepositoryContext } from './repository';
import { useShotEditing } from './useShotEditing';

/** Writes as a slow store does: each is under way until it is let through or refused. */
class SlowStore {
  record: ShotRecord = record(emptyShot('one'), 1);
  readonly labels: string[] = [];
  private under: {
    change: (shot: Shot) => Shot;
    done: (at: string | null) => void;
    fail: (e: Error) => void;
  }[] = [];

  changeShot = (_: string, label: string, change: (shot: Shot) => Shot): Promise<string | null> => {
    this.labels.push(label);
    return new Promise((done, fail) => this.under.push({ change, done, fail }));
  };

  private writes: (() => Promise<void>) | null = null;
  readonly history = {
    before: (write: () => Promise<void>): (() => void) => {
      this.writes = write;
      return () => undefined;
    },
  };

  undo(): void {
    void this.writes?.();
  }

  /** Lets the first write through; gives the record that the page is told of. */
  async letThrough(): Promise<ShotRecord> {
    const write = this.under.shift()!;
    this.record = record(write.change(this.record.shot), Number(this.record.updatedAt.slice(-3)) + 1);
    await untilSettled(() => write.done(this.record.updatedAt));
    return this.record;
  }

  async refuse(): Promise<void> {
    await untilSettled(() => this.under.shift()!.fail(new Error('full')));
  }
}

function record(shot: Shot, at: number): ShotRecord {
  return {
    id: 'one',
    shot: structuredClone(shot),
    updatedAt: `at ${String(at).padStart(3, '0')}`,
  } as ShotRecord;
}

const named = (name: string) => (shot: Shot) => ({ ...shot, name });
const noted = (note: string) => (shot: Shot) => ({ ...shot, note }) as Shot;

let store: SlowStore;
beforeEach(() => {
  vi.useFakeTimers();
  store = new SlowStore();
});
afterEach(() => {
  vi.useRealTimers();
});

function edit() {
  const wrapper = ({ children }: { children: ReactNode }): ReactNode => (
    <RepositoryContext value={store as unknown as Repository}>{children}</RepositoryContext>
  );
  return renderHook(({ kept }) => useShotEditing(kept), { wrapper, initialProps: { kept: store.record } });
}

const pass = (ms: number): void =>
  act(() => {
    vi.advanceTimersByTime(ms);
  });

describe('editing a shot live', () => {
  it('shows a change at once, and writes those of one hand as one step after a pause', () => {
    const { result } = edit();
    act(() => result.current.preview('name', named('two')));
    expect(result.current.shot.name).toBe('two');
    pass(300);
    act(() => result.current.preview('name', named('three')));
    pass(300);
    expect(store.labels).toEqual([]);
    pass(200);
    expect(store.labels).toEqual(['name']);
    expect(result.current.shot.name).toBe('three');
  });

  it('writes at once what is committed, with what was previewed of the same label in one step', async () => {
    const { result, rerender } = edit();
    act(() => result.current.preview('name', named('two')));
    act(() => result.current.commit('name', named('three')));
    expect(store.labels).toEqual(['name']);
    rerender({ kept: await store.letThrough() });
    act(() => result.current.preview('name', named('four')));
    act(() => result.current.commit('name'));
    expect(store.labels).toEqual(['name', 'name']);
    pass(1000);
    expect(store.labels).toEqual(['name', 'name']);
  });

  it.each(['preview', 'commit'] as const)(
    'keeps what was previewed of another label a step of its own, however late its pause is noticed, by %s',
    async (way) => {
      const { result, rerender } = edit();
      act(() => result.current.preview('name', named('two')));
      act(() => result.current[way]('note', noted('wet')));
      expect(result.current.shot).toMatchObject({ name: 'two', note: 'wet' });
      pass(1000);
      expect(store.labels).toEqual(['name', 'note']);
      rerender({ kept: await store.letThrough() });
      expect(result.current.shot).toMatchObject({ name: 'two', note: 'wet' });
      expect((await store.letThrough()).shot).toMatchObject({ name: 'two', note: 'wet' });
    },
  );

  it('writes what it shows before a step is undone', () => {
    const { result } = edit();
    act(() => result.current.preview('name', named('two')));
    expect(store.labels).toEqual([]);
    act(() => store.undo());
    expect(store.labels).toEqual(['name']);
  });

  it('never shows an older shot while a write is under way, whichever comes first, record or answer', async () => {
    const { result, rerender } = edit();
    act(() => result.current.commit('name', named('two')));
    act(() => result.current.preview('note', noted('wet')));
    expect(result.current.shot).toMatchObject({ name: 'two', note: 'wet' });
    // Another record of the list was written: this one comes anew as it was.
    rerender({ kept: record(emptyShot('one'), 1) });
    expect(result.current.shot).toMatchObject({ name: 'two', note: 'wet' });
    const kept = await store.letThrough();
    expect(result.current.shot).toMatchObject({ name: 'two', note: 'wet' });
    rerender({ kept });
    expect(result.current.shot).toMatchObject({ name: 'two', note: 'wet' });
  });

  it('gives the same shot when what was shown comes back from the store', async () => {
    const { result, rerender } = edit();
    act(() => result.current.commit('name', named('two')));
    const shown = result.current.shot;
    const kept = await store.letThrough();
    rerender({ kept });
    expect(result.current.shot).toBe(shown);
    rerender({ kept: record({ ...kept.shot, name: 'of another window' }, 9) });
    expect(result.current.shot.name).toBe('of another window');
  });

  it('no longer shows what was refused, and tells the field that asked', async () => {
    const { result } = edit();
    let refused: unknown = null;
    act(() => {
      result.current.save('name', named('two')).catch((error: unknown) => {
        refused = error;
      });
    });
    expect(result.current.shot.name).toBe('two');
    await store.refuse();
    expect(refused).toEqual(new Error('full'));
    expect(result.current.shot.name).toBe('one');
  });

  it('writes what is not written yet when the screen is left', () => {
    const { result, unmount } = edit();
    act(() => result.current.preview('name', named('two')));
    unmount();
    expect(store.labels).toEqual(['name']);
  });
});
