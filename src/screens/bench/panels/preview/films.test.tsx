import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { solve } from '@/core/answer/solve';
import type { Solution } from '@/core/answer/solve';
import { briefOf } from '@/core/brief/brief';
import { emptyShot } from '@/core/records/emptyShot';
import type { Picture } from '@/core/preview/develop';
import type { PreviewTake } from '@/core/preview/take';
import type { DrawOrder, DrawReply } from '@/workers/preview';
import type * as Films from './useFilms';
import { NO_VARIANT, useSides, useTakes } from './useSides';

/** A worker that draws when it is told to. */
class SlowWorker {
  static all: SlowWorker[] = [];
  orders: DrawOrder[] = [];
  private listeners = new Map<string, (event: unknown) => void>();
  constructor() {
    SlowWorker.all.push(this);
  }
  addEventListener(kind: string, listener: (event: unknown) => void): void {
    this.listeners.set(kind, listener);
  }
  postMessage(order: DrawOrder): void {
    this.orders.push(order);
  }
  /** Draws what it was asked first; `null` where there is nothing. */
  draw(failed?: string): DrawOrder | null {
    const order = this.orders.shift();
    if (!order) return null;
    const { film, frame, width } = order;
    const reply: DrawReply =
      failed === undefined
        ? { film, number: frame.number, picture: { width } as Picture, sharpness: width }
        : { film, number: frame.number, failed };
    this.listeners.get('message')?.({ data: reply });
    return order;
  }
  break(message: string): void {
    this.listeners.get('error')?.({ message });
  }
}

let useFilms: typeof Films.useFilms;
let joinedFilms: typeof Films.joinedFilms;
let pictureAt: typeof Films.pictureAt;
beforeEach(async () => {
  SlowWorker.all = [];
  vi.stubGlobal('Worker', SlowWorker);
  vi.resetModules();
  ({ useFilms, joinedFilms, pictureAt } = await import('./useFilms'));
});
afterEach(() => vi.unstubAllGlobals());

const solution = ((): Solution => {
  const outcome = solve(
    briefOf({
      ...emptyShot('Ride'),
      mount: { kind: 'helmet', ground: 'rough', activity: 'riding' },
      light: { kind: 'range', evMin: 10, evMax: 13 },
    }).brief,
  );
  if (!outcome.solved) throw new Error('no answer');
  return outcome.solution;
})();

const takesOf = (): PreviewTake[] => {
  const { sides } = renderHook(() => useSides(solution, NO_VARIANT)).result.current;
  return renderHook(() => useTakes(sides, { slowdown: 1, moment: 'run', scene: 'fits' })).result.current;
};
/** Lets every worker draw until none has anything left; gives what was drawn. */
const drawAll = async (): Promise<DrawOrder[]> => {
  const drawn: DrawOrder[] = [];
  for (let quiet = 0; quiet < 3;) {
    const round = SlowWorker.all.flatMap((worker) => worker.draw() ?? []);
    drawn.push(...round);
    quiet = round.length === 0 ? quiet + 1 : 0;
    await act(() => Promise.resolve());
  }
  return drawn;
};

describe('films of a take', () => {
  it('begin with one quick picture, then the loop, then the same loop finer', async () => {
    const takes = takesOf();
    const { result } = renderHook(() => useFilms(takes, 640));
    const [film] = result.current.films;
    expect(film).toBeUndefined();
    const drawn = await drawAll();
    const frames = result.current.films[0]!.reel.captured.length;
    expect(drawn.map(({ width }) => width)).toEqual([
      160,
      ...Array.from({ length: frames }, () => 320),
      ...Array.from({ length: frames }, () => 640),
    ]);
    expect(drawn[0]!.rays).toBe(1);
    expect(result.current).toMatchObject({ drawn: frames, wanted: frames, fine: true, failed: null });
    expect(result.current.firstMs).not.toBeNull();
    expect(result.current.films[0]!.pictures.every((picture) => picture?.width === 640)).toBe(true);
    // How sharp a frame is counts at the size of the loop, at which all are measured.
    expect(result.current.films[0]!.sharpness.every((one) => one === 320)).toBe(true);
  });

  it('of another wish take the place of what was drawn, whose pictures no longer count', async () => {
    const [take] = takesOf();
    const { result, rerender } = renderHook(({ takes }) => useFilms(takes, 320), {
      initialProps: { takes: [take!] },
    });
    await act(() => Promise.resolve());
    const under = SlowWorker.all.find(({ orders }) => orders.length > 0)!;
    rerender({ takes: [{ ...take! }] });
    act(() => void under.draw());
    expect(result.current.firstMs).toBeNull();
    await drawAll();
    expect(result.current).toMatchObject({ fine: true, failed: null });
  });

  it('that could not be drawn say why, and stop', async () => {
    const takes = takesOf();
    const { result } = renderHook(() => useFilms(takes, 640));
    await act(() => Promise.resolve());
    act(() => void SlowWorker.all.find(({ orders }) => orders.length > 0)!.draw('no such scene'));
    await waitFor(() => expect(result.current.failed).toBe('no such scene'));
    expect(await drawAll()).toEqual([]);
  });

  it('whose worker did not start say so', async () => {
    const takes = takesOf();
    const { result } = renderHook(() => useFilms(takes, 320));
    await act(() => Promise.resolve());
    act(() => SlowWorker.all[0]!.break('blocked'));
    await waitFor(() => expect(result.current.failed).toContain('did not start'));
  });

  it('show at each place the frame itself, or the nearest before it that is drawn', () => {
    const picture = (width: number): Picture => ({ width }) as Picture;
    const film = {
      take: takesOf()[0]!,
      reel: { captured: [], shown: [0, 0, 1, 1, 2] },
      pictures: [picture(1), null, picture(3)],
      sharpness: [],
    };
    expect([0, 1, 2, 3, 4, 5].map((place) => pictureAt(film, place)?.width)).toEqual([1, 1, 1, 1, 3, 1]);
    expect(pictureAt({ ...film, pictures: [null, null, null] }, 4)).toBeNull();
    expect(pictureAt({ ...film, reel: { captured: [], shown: [] } }, 0)).toBeNull();
  });

  it('of two halves play one after the other as one', () => {
    const take = takesOf()[0]!;
    const film = (count: number) => ({
      take,
      reel: {
        captured: Array.from({ length: count }, (_, number) => ({ number, atSeconds: number / 10 })),
        shown: Array.from({ length: count }, (_, at) => at),
      },
      pictures: Array.from({ length: count }, () => ({ width: count }) as Picture),
      sharpness: Array.from({ length: count }, () => count),
    });
    const none = { films: [], drawn: 0, wanted: 0, fine: false, failed: null, firstMs: null, loopMs: null };
    expect(joinedFilms(none)).toBe(none);
    const [one] = joinedFilms({ ...none, films: [film(2), film(3)] }).films;
    expect(one!.reel.shown).toEqual([0, 1, 2, 3, 4]);
    expect(one!.pictures.map((picture) => picture?.width)).toEqual([2, 2, 3, 3, 3]);
    expect(pictureAt(one!, 2)?.width).toBe(3);
  });
});

describe('the sides of a preview', () => {
  const sides = (wanted: string | null) => renderHook(() => useSides(solution, wanted)).result.current;

  it('are the answer and, unasked, the way that is most worth a look', () => {
    const { choices, chosen, sides: both } = sides(null);
    expect(choices.at(-1)!.value).toBe(NO_VARIANT);
    expect(choices.map(({ value }) => value)).toContain(chosen);
    expect(chosen).not.toBe(NO_VARIANT);
    expect(both).toHaveLength(2);
    expect(both[0]!.settings).toEqual(solution.settings);
    expect(both[1]!.settings).not.toEqual(solution.settings);
  });

  it('are what was asked for, the answer alone for nothing, and the usual for what is not offered', () => {
    for (const { value } of sides(null).choices) expect(sides(value).chosen).toBe(value);
    expect(sides(NO_VARIANT).sides).toHaveLength(1);
    expect(sides('no-such-way').chosen).toBe(sides(null).chosen);
  });

  it('ask for the same pictures while their takes are the same', () => {
    const { result, rerender } = renderHook(
      ({ slowdown }) => {
        const { sides: shown } = useSides(solution, NO_VARIANT);
        return useTakes(shown, { slowdown, moment: 'run', scene: 'fits' });
      },
      { initialProps: { slowdown: 1 } },
    );
    const before = result.current;
    rerender({ slowdown: 1 });
    expect(result.current).toBe(before);
    rerender({ slowdown: 2 });
    expect(result.current).not.toEqual(before);
  });
});
