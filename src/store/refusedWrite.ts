import * as messages from '@/language/store';
import type { Fault } from '@/core/schema/fault';
import type { RecordTable } from '@/core/records/kinds';

/** A record that does not fit the schema of its kind: it could not be read back, so nothing was written. */
export class RefusedWrite extends Error {
  constructor(
    readonly table: RecordTable,
    /** What the person calls the record. */
    readonly record: string,
    readonly faults: readonly Fault[],
  ) {
    super(messages.aRecordOfDoesNot({ table }));
    this.name = 'RefusedWrite';
  }
}
