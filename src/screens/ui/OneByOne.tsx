'use client';

import { Children, startTransition, useEffect, useState } from 'react';
import type { ReactNode } from 'react';

/** Shows its children one more at a time, so that a place of many parts is never put up in one go that holds the hand. */
export function OneByOne({ children }: { children: ReactNode }): ReactNode {
  const all = Children.toArray(children);
  const [shown, setShown] = useState(1);
  const more = shown < all.length;
  useEffect(() => {
    if (!more) return undefined;
    const timer = setTimeout(() => startTransition(() => setShown((before) => before + 1)));
    return () => clearTimeout(timer);
  }, [more, shown]);
  return all.slice(0, shown);
}
