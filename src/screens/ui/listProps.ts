import type { ReactNode } from 'react';

export interface ListProps<T> {
  items: readonly T[];
  keyOf: (item: T) => string;
  /** Height of a row before it was drawn, pixels. */
  rowHeight: number;
  className?: string;
  ordered?: boolean;
  /** A list item: it must take these on its element, so that its height is known and its place is told. */
  children: (item: T, on: RowProps) => ReactNode;
}

export interface RowProps {
  ref?: (element: Element | null) => void;
  'data-index'?: number;
  'aria-posinset'?: number;
  'aria-setsize'?: number;
}
