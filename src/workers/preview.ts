import * as messages from '@/language/workers';
import type { Picture } from '@/core/preview/develop';
import type { CapturedFrame, PreviewTake } from '@/core/preview/take';
import { WordedError } from '@/words/whyText';

/** What goes to a worker that draws, and what comes back: one frame at a time, so that a change is felt at once. */
export interface DrawOrder {
  /** Frames of one number belong to one take at one size. */
  film: number;
  take: PreviewTake;
  width: number;
  frame: CapturedFrame;
  /** For a first quick look. */
  rays?: number;
}
export type DrawReply =
  | { film: number; number: number; picture: Picture; sharpness: number }
  | { film: number; number: number; failed: string };

/** A take wanted at a size, and what to do with its frames as they come. */
export interface FilmWish {
  take: PreviewTake;
  width: number;
  frames: readonly CapturedFrame[];
  rays?: number;
  onPicture: (number: number, picture: Picture, sharpness: number) => void;
}

/** More workers than this win nothing for a loop of two seconds. */
const MOST_WORKERS = 4;

/** Draws films in workers, frame by frame, the frames of several films in turn. */
export class Studio {
  private readonly idle: Worker[] = [];
  private queue: { order: DrawOrder; wish: FilmWish }[] = [];
  private readonly drawing = new Map<Worker, { wish: FilmWish; live: boolean }>();
  private films = 0;
  private settle: { done: () => void; failed: (error: Error) => void } | null = null;

  constructor(readonly workers = Math.min(MOST_WORKERS, Math.max(1, navigator.hardwareConcurrency || 1))) {
    for (let at = 0; at < workers; at++) {
      const worker = new Worker(new URL('./preview.worker.ts', import.meta.url), { type: 'module' });
      worker.addEventListener('message', ({ data }: MessageEvent<DrawReply>) => this.replied(worker, data));
      worker.addEventListener('error', () => this.fail(new WordedError(messages.thePreviewDidNotStart)));
      this.idle.push(worker);
    }
  }

  /** Drops what was asked before and draws these. Resolves when all are drawn; never when they are dropped. */
  film(wishes: readonly FilmWish[]): Promise<void> {
    this.stop();
    const numbered = wishes.map((wish) => ({ wish, film: ++this.films }));
    const longest = Math.max(0, ...wishes.map(({ frames }) => frames.length));
    for (let at = 0; at < longest; at++)
      for (const { wish, film } of numbered) {
        const frame = wish.frames[at];
        if (frame)
          this.queue.push({
            wish,
            order: {
              film,
              take: wish.take,
              width: wish.width,
              frame,
              ...(wish.rays === undefined ? {} : { rays: wish.rays }),
            },
          });
      }
    return new Promise((done, failed) => {
      this.settle = { done, failed };
      this.next();
    });
  }

  /** Nothing asked before is answered any more. A frame being drawn is thrown away when it comes. */
  stop(): void {
    this.queue = [];
    this.settle = null;
    for (const at of this.drawing.values()) at.live = false;
  }

  private next(): void {
    while (this.queue.length > 0) {
      const worker = this.idle.pop();
      if (!worker) return;
      const job = this.queue.shift();
      if (!job) return;
      this.drawing.set(worker, { wish: job.wish, live: true });
      worker.postMessage(job.order);
    }
    if (this.drawing.size === 0) this.settle?.done();
  }

  private replied(worker: Worker, reply: DrawReply): void {
    const at = this.drawing.get(worker);
    this.drawing.delete(worker);
    this.idle.push(worker);
    if (at?.live) {
      if ('failed' in reply) this.fail(new WordedError(reply.failed));
      else at.wish.onPicture(reply.number, reply.picture, reply.sharpness);
    }
    this.next();
  }

  private fail(error: Error): void {
    const { settle } = this;
    this.stop();
    settle?.failed(error);
  }
}
