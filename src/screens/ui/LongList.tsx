'use client';

import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { Fragment, useLayoutEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import type { ListProps } from './listProps';

/** Rows drawn beyond what is seen, so that a quick scroll or the Tab key finds them there. */
const BEYOND = 12;

/** A long list: the rows in view, and room for the others. */
export function LongList<T>({
  items,
  keyOf,
  rowHeight,
  className,
  ordered = false,
  children,
}: ListProps<T>): ReactNode {
  const list = useRef<HTMLElement | null>(null);
  const [top, setTop] = useState(0);
  // What stands above may grow or go at any time, and the page's height with it.
  useLayoutEffect(() => {
    const look = (): void => {
      if (list.current) setTop(Math.round(list.current.getBoundingClientRect().top + window.scrollY));
    };
    look();
    const watcher = new ResizeObserver(look);
    watcher.observe(document.body);
    return () => watcher.disconnect();
  }, []);
  const virtual = useWindowVirtualizer({
    count: items.length,
    estimateSize: () => rowHeight,
    getItemKey: (index) => {
      const item = items[index];
      return item === undefined ? index : keyOf(item);
    },
    overscan: BEYOND,
    scrollMargin: top,
  });
  const rows = virtual.getVirtualItems();
  const before = rows[0] ? rows[0].start - top : 0;
  const after = virtual.getTotalSize() - ((rows.at(-1)?.end ?? top) - top);
  const Tag = ordered ? 'ol' : 'ul';
  return (
    <Tag
      ref={(element) => {
        list.current = element;
      }}
      className={className}
      style={{ paddingTop: before, paddingBottom: after }}
    >
      {rows.map(({ index, key }) => {
        const item = items[index];
        if (item === undefined) return null;
        return (
          <Fragment key={key}>
            {children(item, {
              ref: virtual.measureElement,
              'data-index': index,
              'aria-posinset': index + 1,
              'aria-setsize': items.length,
            })}
          </Fragment>
        );
      })}
    </Tag>
  );
}
