import equal from 'fast-deep-equal';
import { useState } from 'react';

/** The value as it was for as long as it equals itself: what is worked out of it is not worked out again. */
export function useSame<V>(value: V): V {
  const [kept, setKept] = useState(value);
  if (kept === value || equal(kept, value)) return kept;
  setKept(() => value);
  return value;
}
