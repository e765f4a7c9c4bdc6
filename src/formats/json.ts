import * as messages from '@/language/formats';
import { FILE_VERSION } from '@/core/schema/versions';
import type { Checked } from '@/core/schema/fault';
import { worded } from '@/core/schema/fault';

/** Reads JSON text. A fault names line and column, where the text breaks. Never throws. */
export function parseJson(text: string): Checked<unknown> {
  try {
    return { ok: true, value: JSON.parse(text.replace(/^\uFEFF/, '')) as unknown };
  } catch (error) {
    const message = error instanceof Error ? error.message : '';
    const at = /position (\d+)/.exec(message)?.[1];
    const where = at === undefined ? '' : messages.atText({ text: place(text, Number(at)) });
    const what = text.trim() === '' ? messages.theFileIsEmpty : messages.thisIsNotJSON({ where });
    return {
      ok: false,
      faults: [worded('', messages.expectedALynxeyeFileVersion({ what, fileVersion: FILE_VERSION }))],
    };
  }
}

function place(text: string, position: number): string {
  const before = text.slice(0, position).split('\n');
  return messages.lineColumn({ count: before.length, count2: (before.at(-1)?.length ?? 0) + 1 });
}
