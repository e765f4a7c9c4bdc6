import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import type { Records, RecordTable } from '@/core/records/kinds';

/** The demo data as it ships. */
export const DEMO = JSON.parse(readFileSync('public/demo.json', 'utf8')) as Records;
/** The outing of two days. */
export const DEMO_OUTING = DEMO.outings.find(({ id }) => id === 'demo-outing')!;

export interface Patch {
  table: RecordTable;
  /** Of one record; left out, of every one. */
  id?: string;
  path: readonly (string | number)[];
  value: unknown;
  /** Ends the value, a text, with the number of its record, so that no two are the same. */
  numbered?: boolean;
}

/** Changes kept records behind the app's back, as an older version or a fault may have left them. */
export async function patchKept(page: Page, patches: readonly Patch[]): Promise<void> {
  await page.evaluate(
    (list) =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.open('lynxeye');
        request.onerror = () => reject(new Error('the data does not open'));
        request.onsuccess = () => {
          const transaction = request.result.transaction([...request.result.objectStoreNames], 'readwrite');
          // Each table is read once: a second reading would come before what the first one writes.
          for (const table of new Set(list.map((patch) => patch.table))) {
            const store = transaction.objectStore(table);
            const all = store.getAll();
            all.onsuccess = () => {
              for (const [at, record] of (all.result as { id: string }[]).entries()) {
                for (const { id, path, value, numbered } of list.filter((patch) => patch.table === table)) {
                  if (id !== undefined && record.id !== id) continue;
                  let place = record as unknown as Record<string | number, unknown> | undefined;
                  for (const key of path.slice(0, -1)) place = place?.[key] as typeof place;
                  if (place && path.at(-1)! in place)
                    place[path.at(-1)!] = numbered
                      ? String(value).slice(0, -3) + String(at).padStart(3, '0')
                      : value;
                }
                store.put(record);
              }
            };
          }
          transaction.oncomplete = () => {
            request.result.close();
            resolve();
          };
        };
      }),
    [...patches],
  );
}

/** Puts records in place of those that are kept. */
export async function putKept(page: Page, records: Records): Promise<void> {
  await page.evaluate(
    (all) =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.open('lynxeye');
        request.onerror = () => reject(new Error('the data does not open'));
        request.onsuccess = () => {
          const transaction = request.result.transaction([...request.result.objectStoreNames], 'readwrite');
          for (const [table, list] of Object.entries(all))
            for (const record of list as unknown[]) transaction.objectStore(table).put(record);
          transaction.oncomplete = () => {
            request.result.close();
            resolve();
          };
        };
      }),
    records,
  );
}

/** What a table holds now: what is shown may not be written yet, and a page that goes takes what is under way with it. */
export async function kept(page: Page, table: Patch['table']): Promise<unknown[]> {
  return page.evaluate(
    (name) =>
      new Promise<unknown[]>((resolve, reject) => {
        const request = indexedDB.open('lynxeye');
        request.onerror = () => reject(new Error('the data does not open'));
        request.onsuccess = () => {
          const all = request.result.transaction(name).objectStore(name).getAll();
          all.onerror = () => reject(new Error('the table does not open'));
          all.onsuccess = () => {
            request.result.close();
            resolve(all.result as unknown[]);
          };
        };
      }),
    table,
  );
}
