import type { KeyboardEvent } from 'react';

const WAYS: Readonly<Record<string, readonly [across: number, up: number]>> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** The step that an arrow key asks for, across and up; `most` times as far with Shift, null for any other key. */
export function arrowStep(event: KeyboardEvent, most = 1): { across: number; up: number } | null {
  const way = WAYS[event.key];
  if (!way) return null;
  event.preventDefault();
  const far = event.shiftKey ? most : 1;
  return { across: way[0] * far, up: way[1] * far };
}

/** The step along an axis from left to right; up and down are left to the page. */
export function acrossStep(event: KeyboardEvent, most = 1): number | null {
  return WAYS[event.key]?.[0] ? (arrowStep(event, most)?.across ?? null) : null;
}

/** The step of a slider: right and up are more. */
export function sliderStep(event: KeyboardEvent, most = 1): number | null {
  const step = arrowStep(event, most);
  return step && step.across + step.up;
}
