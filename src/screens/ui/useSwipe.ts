import { useRef } from 'react';
import type { TouchEvent } from 'react';

/** A swipe is a horizontal move of at least this many pixels. */
const SWIPE = 70;

/** What turns a page by a swipe: a finger to the left asks for the next, to the right for the one before. */
export function useSwipe(onSwipe: (by: 1 | -1) => void): {
  onTouchStart: (event: TouchEvent) => void;
  onTouchEnd: (event: TouchEvent) => void;
} {
  const touched = useRef<number | null>(null);
  return {
    onTouchStart: (event) => {
      touched.current = event.touches[0]?.clientX ?? null;
    },
    onTouchEnd: (event) => {
      const moved = (event.changedTouches[0]?.clientX ?? 0) - (touched.current ?? 0);
      if (touched.current !== null && Math.abs(moved) > SWIPE) onSwipe(moved < 0 ? 1 : -1);
      touched.current = null;
    },
  };
}
