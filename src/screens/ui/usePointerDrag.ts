import { useState } from 'react';
import type { PointerEvent } from 'react';

/** Moving a thing of a drawing by hand: what is held, and where the pointer took it and is now, in the drawing's own units. */
export interface Drag<Held, Place> {
  held: Held;
  from: Place;
  to: Place;
}

interface Grip {
  onPointerDown: (event: PointerEvent) => void;
  onPointerMove: (event: PointerEvent) => void;
  onPointerUp: () => void;
  onPointerCancel: () => void;
}

/** Where a pointer is in an element, and the element's size: CSS pixels from its left and top. */
export function pointIn(
  element: Element | null,
  event: PointerEvent,
): { x: number; y: number; width: number; height: number } | null {
  const box = element?.getBoundingClientRect();
  if (!box) return null;
  const { width, height } = box;
  return { x: event.clientX - box.left, y: event.clientY - box.top, width, height };
}

/**
 * Moves things of a drawing by the pointer, which is kept until it lets go, wherever it goes.
 * @param at where a pointer is, in the drawing's own units; null where the drawing cannot tell
 * @param on what to do while a thing is pulled, when it is let go, and when the pointer is taken away from the page
 */
export function usePointerDrag<Held, Place>(
  at: (event: PointerEvent) => Place | null,
  on: {
    pull?: (drag: Drag<Held, Place>) => void;
    drop: (drag: Drag<Held, Place>) => void;
    cancel?: () => void;
  },
): { drag: Drag<Held, Place> | null; grip: (held: Held) => Grip } {
  const [drag, setDrag] = useState<Drag<Held, Place> | null>(null);
  const end = (then: (drag: Drag<Held, Place>) => void): void => {
    if (!drag) return;
    setDrag(null);
    then(drag);
  };
  return {
    drag,
    grip: (held) => ({
      onPointerDown: (event) => {
        const place = event.button === 0 ? at(event) : null;
        if (place === null) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setDrag({ held, from: place, to: place });
      },
      onPointerMove: (event) => {
        const to = drag ? at(event) : null;
        if (!drag || to === null || Object.is(to, drag.to)) return;
        const pulled = { ...drag, to };
        setDrag(pulled);
        on.pull?.(pulled);
      },
      onPointerUp: () => end(on.drop),
      onPointerCancel: () => end(on.cancel ?? on.drop),
    }),
  };
}
