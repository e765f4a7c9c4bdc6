'use client';

import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { encode } from 'uqr';

/** A text or bytes as a code of squares, black on white in every theme so that a camera can read it. */
export function CodeDrawing({ content, label }: { content: string | Uint8Array; label: string }): ReactNode {
  const { size, path } = useMemo(() => {
    const { data, size: across } = encode(typeof content === 'string' ? content : [...content], {
      ecc: 'M',
      border: 4,
    });
    const squares = data.flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x},${y}h1v1h-1z`] : [])));
    return { size: across, path: squares.join('') };
  }, [content]);
  return (
    <svg viewBox={`0 0 ${size} ${size}`} role="img" aria-label={label} shapeRendering="crispEdges">
      <rect width={size} height={size} fill="var(--print)" />
      <path d={path} fill="var(--print-ink)" />
    </svg>
  );
}
