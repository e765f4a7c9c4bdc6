'use client';

import { useEffect, useState } from 'react';
import type { RefObject } from 'react';

/** Width in CSS pixels of an element as it is laid out; 0 before the first layout. */
export function useWidth(frame: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const element = frame.current;
    if (!element) return;
    // It tells of what it begins to observe too, once that is laid out: asking here would have it laid out at once.
    const observer = new ResizeObserver(() => setWidth(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, [frame]);
  return width;
}
