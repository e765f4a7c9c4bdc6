/** Words of the trade, and words of this program, that open a sentence of what they mean. */
export const WORDS = [
  'stop',
  'ev',
  'stopRule',
  'window',
  'highlightGuard',
  'shakeFloor',
  'angle',
  'loss',
  'school',
  'weighIt',
  'hold',
  'holds',
  'pin',
  'setUp',
  'heldByTheDay',
] as const;
export type WordId = (typeof WORDS)[number];
