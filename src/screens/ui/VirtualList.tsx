'use client';

import dynamic from 'next/dynamic';
import { Fragment } from 'react';
import type { ReactNode } from 'react';
import type { ListProps } from './listProps';

/** Shorter lists are drawn whole. */
const WHOLE_UP_TO = 40;
/** A list that scrolls with the page and, when it is long, draws only the rows in view. */
export function VirtualList<T>(props: ListProps<T>): ReactNode {
  const { items, keyOf, className, ordered = false, children } = props;
  // The list itself knows nothing of what its items are.
  if (items.length > WHOLE_UP_TO) return <LongList {...(props as unknown as ListProps<unknown>)} />;
  const Tag = ordered ? 'ol' : 'ul';
  return (
    <Tag className={className}>
      {items.map((item) => (
        <Fragment key={keyOf(item)}>{children(item, {})}</Fragment>
      ))}
    </Tag>
  );
}

/** What draws long lists comes with the first of them. */
const LongList = dynamic(() => import('./LongList').then((module) => module.LongList), { ssr: false });
