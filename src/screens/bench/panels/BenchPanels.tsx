'use client';

import * as messages from '@/language/bench';
import { useRouter, useSearchParams } from 'next/navigation';
import { createContext, memo, useContext, useEffect, useMemo, useRef } from 'react';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { PlaceTabs } from '../../ui/PlaceTabs';
import { useAfterPaint } from '../../ui/useAfterPaint';
import type { Drawn } from './drawn';
import { PANELS } from './table';
import type { PanelId } from './table';

/** What stands below the rule: one panel at a time, named in the address. */
export function BenchPanels({ drawn }: { drawn: Drawn }): ReactNode {
  const params = useSearchParams();
  const open = PANELS.find(({ id }) => id === params.get('part')) ?? PANELS[0];
  const later = useAfterPaint(drawn);
  useWarmPreview(drawn.answered.solution, open.id === 'preview');
  return (
    <DrawnContext value={open.live ? drawn : later}>
      <Panels open={open.id} />
    </DrawnContext>
  );
}

/** What the open panel draws on: it goes past the tabs, which stay as they are while a hand moves. */
const DrawnContext = createContext<Drawn | null>(null);

const Panels = memo(function Panels({ open }: { open: PanelId }): ReactNode {
  const router = useRouter();
  const go = (id: PanelId): void => {
    const next = new URLSearchParams(window.location.search);
    next.set('part', id);
    router.replace(`/bench?${next.toString()}`, { scroll: false });
  };
  return (
    <PlaceTabs label={messages.moreAboutThisShot} tabs={PANELS} open={open} onOpen={go}>
      <div id="bench-part">
        <Open id={open} />
      </div>
    </PlaceTabs>
  );
});

function Open({ id }: { id: PanelId }): ReactNode {
  const drawn = useContext(DrawnContext);
  const panel = PANELS.find((one) => one.id === id);
  // Drawn anew only with something new to draw.
  return useMemo(() => (panel && drawn ? panel.draw(drawn) : null), [panel, drawn]);
}

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
