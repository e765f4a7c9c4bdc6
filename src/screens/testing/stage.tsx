import { render } from '@testing-library/react';
import userEvent, { PointerEventsCheckLevel } from '@testing-library/user-event';
import type { UserEvent } from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { RECORD_TABLES } from '@/core/records/kinds';
import type { Records } from '@/core/records/kinds';
import { openDatabase } from '@/store/database';
import type { Database } from '@/store/database';
import { Repository } from '@/store/repository';
import { makeDemo } from '../../../demo/makeDemo';
import { RepositoryContext } from '../data/repository';
import { Plain } from './plain';

/** A page over a person's data in a database of its own: the demo, or what is given. */
export interface Stage {
  database: Database;
  repository: Repository;
  user: UserEvent;
  /** What is shown, and what replaces it. */
  show: (screen: ReactNode) => void;
  close: () => Promise<void>;
}

export async function openStage(data: Records = makeDemo()): Promise<Stage> {
  let count = 0;
  const database = openDatabase(`stage-${Math.random()}`);
  const world = {
    tab: 'this',
    device: 'this',
    newCounter: () => 'this',
    now: () => new Date(Date.parse('2026-10-01T09:00:00Z') + ++count * 1000),
    newId: () => `new-${++count}`,
  };
  await database.transaction('rw', RECORD_TABLES, async () => {
    for (const table of RECORD_TABLES) await database.table(table).bulkPut([...data[table]]);
  });
  const repository = new Repository(database, world);
  const around = (screen: ReactNode): ReactNode => (
    <RepositoryContext value={repository}>
      <Plain>{screen}</Plain>
    </RepositoryContext>
  );
  let shown: ReturnType<typeof render> | null = null;
  return {
    database,
    repository,
    // Where no style is looked up, nothing stands over anything.
    user: userEvent.setup({ pointerEventsCheck: PointerEventsCheckLevel.Never }),
    show: (screen) => {
      if (shown) shown.rerender(around(screen));
      else shown = render(around(screen));
    },
    close: async () => {
      shown?.unmount();
      await database.delete();
    },
  };
}
