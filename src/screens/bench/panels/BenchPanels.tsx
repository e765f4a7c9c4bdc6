'use client';

import * as messages from '@/language/bench';
import { useRouter, useSearchParams } from 'next/navigation';
import { memo, useDeferredValue, useEffect, useRef } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import type { Drawn } from './drawn';
import { PANELS } from './table';
import type { PanelId } from './table';
import styles from './tabs.module.css';

/** What stands below the rule: one panel at a time, named in the address. */
export function BenchPanels({ drawn }: { drawn: Drawn }): ReactNode {
  const params = useSearchParams();
  const router = useRouter();
  const tabs = useRef<HTMLDivElement>(null);
  const open = PANELS.find(({ id }) => id === params.get('part')) ?? PANELS[0];
  const later = useDeferredValue(drawn);
  useWarmPreview(drawn.answered.solution, open.id === 'preview');
  const go = (id: PanelId): void => {
    const next = new URLSearchParams(params);
    next.set('part', id);
    router.replace(`/bench?${next.toString()}`, { scroll: false });
  };
  const step = (event: KeyboardEvent): void => {
    const way = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (way === undefined) return;
    event.preventDefault();
    const next = (PANELS.indexOf(open) + way + PANELS.length) % PANELS.length;
    const panel = PANELS[next];
    if (panel) go(panel.id);
    tabs.current?.querySelectorAll<HTMLButtonElement>('[role="tab"]')[next]?.focus();
  };
  return (
    <>
      <div
        ref={tabs}
        role="tablist"
        aria-label={messages.moreAboutThisShot}
        className={styles.tabs}
        onKeyDown={step}
      >
        {PANELS.map(({ id, label }) => (
          <button
            key={id}
            type="button"
            role="tab"
            id={`tab-${id}`}
            aria-selected={id === open.id}
            aria-controls="bench-part"
            tabIndex={id === open.id ? 0 : -1}
            onClick={() => go(id)}
          >
            {label}
          </button>
        ))}
      </div>
      <div role="tabpanel" id="bench-part" aria-labelledby={`tab-${open.id}`}>
        <Open panel={open} drawn={open.live ? drawn : later} />
      </div>
    </>
  );
}

/** Drawn anew only with something new to draw. */
const Open = memo(function Open({
  panel,
  drawn,
}: {
  panel: (typeof PANELS)[number];
  drawn: Drawn;
}): ReactNode {
  return panel.draw(drawn);
});

/** Once the bench has stood still for a moment, the preview is made ready, so that it opens with a picture. */
const STILL_MS = 1200;

function useWarmPreview(solution: Solution, open: boolean): void {
  const warmed = useRef(false);
  useEffect(() => {
    if (open) warmed.current = true;
    if (warmed.current) return;
    const timer = setTimeout(() => {
      warmed.current = true;
      void import('./preview/warm').then(({ warmPreview }) => warmPreview(solution));
    }, STILL_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [solution, open]);
}
