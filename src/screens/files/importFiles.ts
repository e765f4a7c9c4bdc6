import { code as LOCALE } from '@/language/locale';
import * as messages from '@/language/files';
import type { IncomingRead, Taking } from '@/formats/incoming';
import type { Repository } from '@/store/repository';
import { askFiles } from '@/workers/files';
import type { JobStop } from '@/workers/files';
import { mergePlan } from '@/store/merging';
import { leftBehindText, take } from './importText';
import { isAsked } from './mergeRows';
import { writeFaultText } from '../data/writeFault';
import { useIncomingState } from './incomingState';
import type { NotTaken } from './incomingState';
import { worded } from '@/core/schema/fault';

export interface Say {
  say: (text: string) => void;
  complain: (text: string) => void;
}

/** Reads files one after the other in the worker and keeps what they hold; says what became of each. */
export async function importFiles(
  repository: Repository,
  files: readonly { name: string; content: File | string }[],
  { say, complain }: Say,
): Promise<void> {
  for (const { name, content } of files) {
    const read = await readOne(name, content);
    if (read === null) complain(messages.stoppedReadingNothingWasTaken({ name }));
    else if (!read.ok) tellNotTaken({ name, ...read });
    else await keep(repository, name, read.taking, read.leftBehind, { say, complain });
  }
}

let asked = 0;

/** Keeps what was read, once the person has seen what would change of theirs; a fault of the writing is told, and the next file still comes. */
export async function keep(
  repository: Repository,
  name: string,
  taking: Taking,
  leftBehind: readonly string[],
  { say, complain }: Say,
): Promise<void> {
  try {
    if (taking.kind === 'records') {
      const rows = await mergePlan(repository, taking.records);
      if (rows.some(isAsked)) {
        asked += 1;
        const one = { number: asked, name, records: taking.records, rows, leftBehind };
        useIncomingState.setState(({ toMerge }) => ({ toMerge: [...toMerge, one] }));
        return;
      }
    }
    const took = await take(repository, taking);
    if (took.ok) say(`${took.said}${leftBehindText(leftBehind)}`);
    else tellNotTaken({ name, faults: [worded('', took.why)], sound: null, faulty: [] });
  } catch (error) {
    complain(`${name}: ${writeFaultText(error)}`);
  }
}

async function readOne(name: string, content: File | string): Promise<IncomingRead | null> {
  const stop: JobStop = { asked: false, now: () => undefined };
  const reading = (progress: string | null): void =>
    useIncomingState.setState({ reading: { name, progress, stop: () => stop.now() } });
  reading(null);
  try {
    return await askFiles<IncomingRead>(
      async (worker, told) =>
        typeof content === 'string'
          ? worker.readText(content, name, told)
          : worker.readIncoming(content, name, told),
      {
        stop,
        onProgress: ({ done, total }) =>
          reading(
            messages.doneOfTotal({
              done: done.toLocaleString(LOCALE),
              total: total.toLocaleString(LOCALE),
            }),
          ),
      },
    );
  } catch (error) {
    if (stop.asked) return null;
    const why = error instanceof RangeError ? messages.itIsTooLargeFor : messages.itCouldNotBeRead;
    return {
      ok: false,
      faults: [worded('', messages.nothingWasTaken({ why }))],
      sound: null,
      faulty: [],
    };
  } finally {
    useIncomingState.setState({ reading: null });
  }
}

function tellNotTaken(one: NotTaken): void {
  useIncomingState.setState(({ notTaken }) => ({ notTaken: [...notTaken, one] }));
}
