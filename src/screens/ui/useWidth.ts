'use client';

import { useEffect, useState } from 'react';
import type { RefObject } from 'react';

/** Width in CSS pixels of an element as it is laid out; 0 before the first layout. */
export function useWidth(frame: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const element = frame.current;
    if (!element) return;
    const measure = (): void => {
      setWidth(element.clientWidth);
    };
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    measure();
    return () => {
      observer.disconnect();
    };
  }, [frame]);
  return width;
}
