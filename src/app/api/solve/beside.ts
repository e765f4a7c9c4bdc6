import { availableParallelism } from 'node:os';
import { pathToFileURL } from 'node:url';
import Tinypool from 'tinypool';
import { solved } from './solved';
import type { Solved } from './solved';

/** Requests that wait for a thread; more are told to come again. */
const MOST_WAITING = 1000;
/** A thread that has nothing to do for so long ends, milliseconds. */
const IDLE_MS = 60_000;

let pool: Tinypool | null = null;

/**
 * Solves beside the thread that serves, so that pages and health are answered meanwhile; who asked and left is not worked
 * for. `null`: too many wait. Under tests, and while developing, it is solved at once.
 */
export async function solvedBeside(text: string, signal: AbortSignal): Promise<Solved | null> {
  const root = process.env.LYNXEYE_ROOT;
  if (root === undefined) return solved(text);
  pool ??= new Tinypool({
    filename: pathToFileURL(`${root}dist/solve.mjs`).href,
    runtime: 'worker_threads',
    minThreads: 0,
    maxThreads: Math.max(1, availableParallelism() - 1),
    maxQueue: MOST_WAITING,
    idleTimeout: IDLE_MS,
  });
  if (pool.queueSize >= MOST_WAITING) return null;
  return (await pool.run(text, { signal })) as Solved;
}
