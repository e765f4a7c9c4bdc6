/**
 * A camera's mode table as a sheet: one row a mode and codec, UTF-8, comma or semicolon, a header in any order. Lists
 * within a cell are parted by blanks. Everything a camera has beside its modes stays in the JSON profile.
 */
export const COLUMNS = [
  'recording',
  'resolution',
  'widthPx',
  'heightPx',
  'frameRateFps',
  'view',
  'horizontalDeg',
  'projection',
  'stabilization',
  'cropPerSide',
  'swingDeg',
  'colours',
  'codec',
  'bitDepth',
  'bitRatesMbps',
] as const;

export type Column = (typeof COLUMNS)[number];

/** A missing column or cell takes its usual value: plain video, eight bit, standard colour, swing by the crop. */
export const OPTIONAL: ReadonlySet<Column> = new Set<Column>([
  'recording',
  'swingDeg',
  'colours',
  'bitDepth',
]);
