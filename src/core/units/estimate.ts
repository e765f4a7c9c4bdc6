/** A figure with its argument; `start` marks a starting estimate that the log may correct. */
export interface Estimate {
  value: number;
  because: string;
  start: boolean;
}

/** A figure argued from practice alone: a starting estimate. */
export function start(value: number, because: string): Estimate {
  return { value, because, start: true };
}

/** A figure that follows from a source named in its argument. */
export function sourced(value: number, because: string): Estimate {
  return { value, because, start: false };
}
