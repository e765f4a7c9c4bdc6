import type { Page } from '@playwright/test';
import { patchKept } from './records';

/** A name as long as names may be, without a blank to break at. */
const long = (letters: number, start: string): string => start.padEnd(letters, 'wideWIDEwide');

/** Gives everything that has a name one as long as it may be. */
export async function longNames(page: Page): Promise<void> {
  const entry = (day: number, at: number): (string | number)[] => ['days', day, 'entries', at, 'name'];
  await patchKept(page, [
    { table: 'shots', path: ['shot', 'name'], value: long(120, 'Zshot'), numbered: true },
    {
      table: 'shots',
      path: ['shot', 'camera', 'profile', 'name'],
      value: long(80, 'Zcamera'),
      numbered: true,
    },
    { table: 'shots', path: ['shot', 'light', 'place'], value: long(120, 'Zplace') },
    { table: 'outings', path: ['name'], value: long(120, 'Zouting') },
    ...[0, 1].flatMap((day) =>
      Array.from({ length: 17 }, (_, at) => ({
        table: 'outings' as const,
        path: entry(day, at),
        value: long(120, 'Zentry'),
      })),
    ),
    { table: 'log', path: ['shotName'], value: long(120, 'Zrecorded') },
    { table: 'log', path: ['note'], value: long(400, 'Znote') },
    { table: 'kit', path: ['thing', 'name'], value: long(80, 'Zthing'), numbered: true },
    { table: 'kit', path: ['thing', 'profile', 'name'], value: long(80, 'Zcamera'), numbered: true },
    { table: 'kit', path: ['note'], value: long(400, 'Znote') },
  ]);
}

/** A name that was given here, also where a drawing cuts it short. */
export const LONG_NAME = /\bZ[a-z]+[wideWIDE]*\d*…?/g;
