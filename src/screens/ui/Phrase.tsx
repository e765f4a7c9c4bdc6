import { createElement, Fragment } from 'react';
import type { ReactNode } from 'react';

/** A sentence with things in it that are not text: `<0/>`, `<1/>` … in it stand for the parts, in whatever order a language has. */
export function Phrase({ of, parts }: { of: string; parts: readonly ReactNode[] }): ReactNode {
  const pieces = of.split(/<(\d+)\/>/).map((piece, at) => (at % 2 === 0 ? piece : parts[Number(piece)]));
  return createElement(Fragment, null, ...pieces);
}
