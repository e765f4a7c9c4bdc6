import { fireEvent } from '@testing-library/react';

/** Types into a field in place of what stands there, and leaves it. */
export function enter(field: HTMLElement, value: string): void {
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value } });
  fireEvent.blur(field);
}
