/** Choice that counts the changes since everything was last exported. */
export const CHANGES_SINCE_EXPORT = 'changesSinceExport';

/** "13 shots, 1 outing, 3 log entries and 17 things of the kit" */
export function countsText({
  shots,
  log,
  kit,
  outings,
}: Record<'shots' | 'log' | 'kit' | 'outings', number>): string {
  const days = outings === 1 ? '1 outing' : `${outings} outings`;
  return `${shots} shots, ${days}, ${log} log entries and ${kit} things of the kit`;
}
