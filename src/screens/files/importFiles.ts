import { code as LOCALE } from '@/language/locale';
import * as messages from '@/language/files';
import type { IncomingRead, Taking } from '@/formats/incoming';
import type { Repository } from '@/store/repository';
import { askFiles } from '@/workers/files';
import type { JobStop } from '@/workers/files';
import { mergePlan } from '@/store/merging';
import { changesOf, leftBehindText, take } from './importText';
import { isAsked, isChange } from './mergeRows';
import { writeFaultText } from '../data/writeFault';
import { useIncomingState } from './incomingState';
import type { CameBy, NotTaken } from './incomingState';
import { worded } from '@/core/schema/fault';

export interface Say {
  say: (text: string) => void;
  complain: (text: string) => void;
}

/** A file or a text on its way in; `null`: it could not be had. */
export interface ComingIn {
  name: string;
  content: File | string | null;
}

/** Reads files one after the other in the worker and keeps what they hold; says what became of each. One that fails stops no other. */
export async function importFiles(
  repository: Repository,
  files: readonly ComingIn[],
  by: CameBy,
  { say, complain }: Say,
): Promise<void> {
  for (const { name, content } of files) {
    const read = content === null ? notHad() : await readOne(name, content);
    if (read === null) complain(messages.stoppedReadingNothingWasTaken({ name }));
    else if (!read.ok) tellNotTaken({ name, by, ...read });
    else
      await keep(
        repository,
        { name, by, taking: read.taking, leftBehind: read.leftBehind },
        { say, complain },
      );
  }
}

let number = 0;

/**
 * Keeps what was read. What comes from without is asked about first whenever it would change anything, and what a person
 * brings themselves where it would change what is here, or every answer; a fault of the writing is told, and the next file
 * still comes.
 */
export async function keep(
  repository: Repository,
  {
    name,
    by,
    taking,
    leftBehind,
  }: { name: string; by: CameBy; taking: Taking; leftBehind: readonly string[] },
  { say, complain }: Say,
): Promise<void> {
  try {
    const rows = taking.kind === 'records' ? await mergePlan(repository, taking.records) : [];
    const changes = taking.kind === 'records' ? [] : await changesOf(repository, taking);
    const changing = rows.some(isChange) || changes.length > 0;
    if (rows.some(isAsked) || (changing && by === 'outside')) {
      number += 1;
      const one = { number, name, taking, rows, changes, leftBehind };
      useIncomingState.setState(({ toAsk }) => ({ toAsk: [...toAsk, one] }));
      return;
    }
    const took = await take(repository, taking);
    if (took.ok) say(`${took.said}${leftBehindText(leftBehind)}`);
    else tellNotTaken({ name, by, faults: [worded('', took.why)], sound: null, faulty: [] });
  } catch (error) {
    complain(`${name}: ${writeFaultText(error)}`);
  }
}

/** A file that was there and is not, or may not be read any more. */
function notHad(): IncomingRead {
  return { ok: false, faults: [worded('', messages.couldNotBeOpened)], sound: null, faulty: [] };
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
