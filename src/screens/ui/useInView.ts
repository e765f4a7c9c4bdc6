import { useEffect, useState } from 'react';
import type { RefObject } from 'react';

/** Whether some of an element is in sight; true until it is known. */
export function useInView(ref: RefObject<Element | null>): boolean {
  const [inView, setInView] = useState(true);
  useEffect(() => {
    const { current } = ref;
    if (!current || typeof IntersectionObserver === 'undefined') return undefined;
    const observer = new IntersectionObserver((entries) => {
      const last = entries.at(-1);
      if (last) setInView(last.isIntersecting);
    });
    observer.observe(current);
    return () => observer.disconnect();
  }, [ref]);
  return inView;
}
