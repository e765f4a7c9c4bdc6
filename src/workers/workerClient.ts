import * as messages from '@/language/workers';
import { wrap } from 'comlink';
import type { Remote } from 'comlink';
import { WordedError } from '@/words/whyText';

/**
 * A worker that is asked again and again: started by the first question, and started anew by the next after it broke. What
 * it was asked when it broke is refused with why, instead of waiting for ever.
 */
export class WorkerClient<T> {
  private started: { remote: Remote<T>; broken: Promise<never> } | null = null;

  constructor(private readonly make: () => Worker) {}

  ask<R>(question: (worker: Remote<T>) => Promise<R> | R): Promise<R> {
    const { remote, broken } = this.running();
    return Promise.race([question(remote), broken]);
  }

  private running(): { remote: Remote<T>; broken: Promise<never> } {
    if (this.started) return this.started;
    const worker = this.make();
    const broken = new Promise<never>((_, reject) => {
      worker.addEventListener('error', () => {
        this.started = null;
        worker.terminate();
        reject(new WordedError(messages.theWorkerDidNotStart));
      });
    });
    // Those who asked hear of it; that nobody did is no fault.
    broken.catch(() => undefined);
    this.started = { remote: wrap<T>(worker), broken };
    return this.started;
  }
}
