import { startTransition, useEffect, useState } from 'react';

/**
 * A value that follows once what else changed with it has been painted, so that a hand never waits for it. A deferred value
 * alone may be worked on before the picture; this one is begun after it.
 */
export function useAfterPaint<V>(value: V): V {
  const [painted, setPainted] = useState(value);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | null = null;
    const frame = requestAnimationFrame(() => {
      timer = setTimeout(() => startTransition(() => setPainted(() => value)));
    });
    return () => {
      cancelAnimationFrame(frame);
      if (timer) clearTimeout(timer);
    };
  }, [value]);
  return painted;
}
