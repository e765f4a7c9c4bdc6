import { proxy } from 'comlink';
import type { Remote } from 'comlink';
import type { Brief } from '@/core/brief/brief';
import type { Aligned } from '@/core/inspect/align';
import type { DayMatch, CamerasKnown } from '@/core/inspect/matching';
import type { PlannedTake } from '@/core/inspect/matchPath';
import type { ClipFacts } from '@/core/inspect/recordings';
import type { LookHow } from '@/core/inspect/windows';
import type { Clip, ClipFrame, Curves, Looked } from '@/core/records/clip';
import type { MeasuredClip } from '@/core/records/clipReport';
import type { Settings } from '@/core/records/settings';
import type { Checked } from '@/core/schema/fault';
import type { ClipOpened } from '@/formats/clip/look';
import type { SampleClip } from '@/formats/clip/sample';
import * as messages from '@/language/workers';
import { WorkerClient } from './workerClient';
import { WordedError } from '@/words/whyText';

/** The shot that a clip is held against, as it was carried. */
export interface HeldAgainst {
  brief: Brief;
  settings: Settings | null;
  recordSeconds: number | null;
  /** Where something is expected to go wrong, seconds from the beginning. */
  trouble: readonly number[];
}

/** A clip's file, the sound that lies beside an uncompressed one, and what an opening of it told already. */
export interface Given {
  file: Blob;
  beside: Blob | null;
  known: Pick<ClipOpened, 'container' | 'cutShort'> | null;
}

/** What a look at a clip gives to be kept. */
export interface ClipResult {
  looked: Looked;
  cutShort: boolean;
  measured: MeasuredClip;
  curves: Curves | null;
  frames: ClipFrame[];
  filmed: Clip['filmed'];
  rawShake: Clip['rawShake'];
}

/** What the worker for clips answers. */
export interface ClipsWorker {
  open: (file: Blob, name: string) => Promise<Checked<ClipOpened>>;
  /** Which clip is which shot's. */
  match: (clips: readonly ClipFacts[], takes: readonly PlannedTake[], known: CamerasKnown) => DayMatch;
  look: (
    given: Given,
    name: string,
    how: LookHow,
    wanted: HeldAgainst | null,
    onProgress: (share: number) => void,
  ) => Promise<Checked<ClipResult>>;
  /** By what both heard, how much later the second began; `null`: they share nothing that stands out. */
  align: (first: Blob, second: Blob) => Promise<Aligned | null>;
  /** Draws and writes a clip of the sample outing; `null`: nothing fits its shot any more. */
  film: (
    sample: SampleClip,
    brief: Brief,
    settings: Settings,
    onProgress: (share: number) => void,
  ) => Promise<File | null>;
  /** What was measured once, held against another shot. */
  judge: (kept: Pick<ClipResult, 'measured' | 'cutShort'>, wanted: HeldAgainst | null) => MeasuredClip;
}

const standing = clipsWorker().client;

export const matchClips = (
  clips: readonly ClipFacts[],
  takes: readonly PlannedTake[],
  known: CamerasKnown,
): Promise<DayMatch> => standing.ask((worker) => worker.match(clips, takes, known));

/** A minute of sound each: longer than this it does not take, seconds. */
const MOST_TO_ALIGN = 120;

export const alignClips = (first: Blob, second: Blob): Promise<Aligned | null> =>
  alone<Aligned | null>(async (worker) => worker.align(first, second), MOST_TO_ALIGN).done;

export const judgeClip = (...asked: Parameters<ClipsWorker['judge']>): Promise<MeasuredClip> =>
  standing.ask((worker) => worker.judge(...asked));

/** Work in a worker of its own: what comes of it, `null` when it was stopped, and the way to stop it at once. */
export interface UnderWay<T> {
  done: Promise<T | null>;
  stop: () => void;
}

function clipsWorker(): { client: WorkerClient<ClipsWorker>; end: () => void } {
  let end: () => void = () => undefined;
  const client = new WorkerClient<ClipsWorker>(() => {
    const worker = new Worker(new URL('./clips.worker.ts', import.meta.url), { type: 'module' });
    end = () => worker.terminate();
    return worker;
  });
  return { client, end: () => end() };
}

/** Work that ends at once when it is stopped, or when it has taken longer than it may. */
function stoppable<T>(work: Promise<T>, mostSeconds = Infinity): UnderWay<T> {
  let stop: () => void = () => undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const ended = new Promise<null>((settle, refuse) => {
    stop = () => settle(null);
    if (mostSeconds < Infinity)
      timer = setTimeout(
        () => refuse(new WordedError(messages.itTookLongerThanS({ mostSeconds }))),
        1000 * mostSeconds,
      );
  });
  return { done: Promise.race([work, ended]).finally(() => clearTimeout(timer)), stop };
}

/** The worker is ended with its work: stopping is at once, and its memory is given back. */
function alone<T>(ask: (worker: Remote<ClipsWorker>) => Promise<T>, mostSeconds = Infinity): UnderWay<T> {
  const { client, end } = clipsWorker();
  const { done, stop } = stoppable(client.ask<T>(ask), mostSeconds);
  return { done: done.finally(end), stop };
}

/** Longer than this no index of a recording takes to read, seconds. */
const MOST_TO_OPEN = 120;
/** Readers that opened a clip and wait for the next: one starts in the time that ten clips are opened in. */
const idle: ReturnType<typeof clipsWorker>[] = [];

/** Opens a clip in a reader of its own, so that none holds another up; stopped, or after two minutes, the reader is ended. */
export function openFile(file: Blob, name: string): UnderWay<Checked<ClipOpened>> {
  const reader = idle.pop() ?? clipsWorker();
  const work = reader.client.ask<Checked<ClipOpened>>(async (worker) => worker.open(file, name));
  const { done, stop } = stoppable(work, MOST_TO_OPEN);
  return {
    stop,
    done: done.then(
      (opened) => {
        if (opened) idle.push(reader);
        else reader.end();
        return opened;
      },
      (error: unknown) => {
        reader.end();
        throw error;
      },
    ),
  };
}

export const lookAtClip = (
  given: Given,
  name: string,
  how: LookHow,
  wanted: HeldAgainst | null,
  onProgress: (share: number) => void,
): UnderWay<Checked<ClipResult>> =>
  alone<Checked<ClipResult>>(async (worker) => worker.look(given, name, how, wanted, proxy(onProgress)));

export const filmSample = (
  sample: SampleClip,
  brief: Brief,
  settings: Settings,
  onProgress: (share: number) => void,
): UnderWay<File | null> =>
  alone<File | null>(async (worker) => worker.film(sample, brief, settings, proxy(onProgress)));
