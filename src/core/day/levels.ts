/** A level over the day and where it ran out. */
export interface ResourceLevel {
  /** Share left, from 1 to 0, at the corners of its course. */
  course: readonly { atMs: number; share: number }[];
  /** `null`: it lasts. */
  out: Cut | null;
  /** What the whole day takes, and what there is: GB, or Wh. */
  needs: number;
  has: number;
}

export interface HeatLevel {
  course: readonly { atMs: number; celsius: number }[];
  hottestC: number;
  warn: Cut | null;
  screenOff: Cut | null;
  out: Cut | null;
}

/** An instant, and the part it fell into. */
export interface Cut {
  atMs: number;
  partId: string;
}

export type Act =
  | { what: 'card'; atMs: number; to: number; name: string }
  | { what: 'cell'; atMs: number; to: number }
  | { what: 'charge'; atMs: number; toMs: number; wattHours: number };

/** One file on a card. */
export interface Chapter {
  partId: string;
  card: number;
  fromMs: number;
  toMs: number;
  gigabytes: number;
}
