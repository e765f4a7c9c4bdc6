'use client';

import * as messages from '@/language/bench';
import { useRouter, useSearchParams } from 'next/navigation';
import { createContext, memo, useContext, useEffect, useMemo, useRef } from 'react';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { PANEL_RESULT } from '@/words/panelText';
import { usePreference } from '../../data/repository';
import { useAfterPaint } from '../../ui/useAfterPaint';
import { useWide } from '../../ui/useMediaQuery';
import type { PanelProps } from './panelProps';
import styles from './panels.module.css';
import { GROUPS, PANELS } from './table';
import type { PanelId } from './table';

const ALL: readonly PanelId[] = PANELS.map(({ id }) => id);

/** In the address, where no panel is to be open. */
const NONE = 'none';

/**
 * What stands below the rule, in groups by what is asked: each panel as a line that tells its result, and one of them open,
 * named in the address. Beside the lines where there is room, else under its own.
 */
export function BenchPanels({
  drawn,
  only = ALL,
}: {
  drawn: PanelProps;
  /** The panels there are, the usual one first. */
  only?: readonly PanelId[];
}): ReactNode {
  const asked = useSearchParams().get('part');
  const wide = useWide();
  const panels = PANELS.filter(({ id }) => only.includes(id));
  const named = panels.find(({ id }) => id === asked);
  const usual = panels.find(({ id }) => id === only[0]) ?? null;
  const open = named ?? (wide && asked !== NONE ? usual : null);
  const later = useAfterPaint(drawn);
  useWarmPreview(drawn.answered.solution, open?.id === 'preview');
  return (
    <DrawnContext value={open?.live ? drawn : later}>
      <LaterContext value={later}>
        <Panels open={open?.id ?? null} wide={wide} only={only} />
      </LaterContext>
    </DrawnContext>
  );
}

/** What the open panel draws on: it goes past the lines, which stay as they are while a hand moves. */
const DrawnContext = createContext<PanelProps | null>(null);
/** What the lines tell of. */
const LaterContext = createContext<PanelProps | null>(null);

const Panels = memo(function Panels({
  open,
  wide,
  only,
}: {
  open: PanelId | null;
  wide: boolean;
  only: readonly PanelId[];
}): ReactNode {
  const router = useRouter();
  const go = (id: PanelId): void => {
    const next = new URLSearchParams(window.location.search);
    // Where it stands beside its line, one is always open.
    next.set('part', id === open && !wide ? NONE : id);
    router.replace(`/bench?${next.toString()}`, { scroll: false });
  };
  return (
    <div className={styles.panels} role="group" aria-label={messages.moreAboutThisShot}>
      {groupsOf(only).map(({ id: group, label, panels }) => (
        <section key={group} aria-labelledby={`group-${group}`} className={styles.group}>
          <h2 id={`group-${group}`}>{label}</h2>
          {panels.map((panel) => (
            <div key={panel.id} className={styles.one}>
              <button
                type="button"
                className={styles.line}
                data-chosen={panel.id === open}
                aria-expanded={panel.id === open}
                aria-labelledby={`panel-${panel.id}`}
                aria-describedby={`result-${panel.id}`}
                onClick={() => go(panel.id)}
              >
                <span id={`panel-${panel.id}`} className={styles.name}>
                  {panel.label}
                </span>
                <span id={`result-${panel.id}`} className={`${styles.result ?? ''} numerals`}>
                  <Result id={panel.id} />
                </span>
              </button>
              {panel.id === open && (
                <div id="bench-part" className={styles.open}>
                  <Open id={panel.id} />
                </div>
              )}
            </div>
          ))}
        </section>
      ))}
    </div>
  );
});

/** The groups with the panels there are; an empty one is left out. */
function groupsOf(
  only: readonly PanelId[],
): { id: string; label: string; panels: { id: PanelId; label: string }[] }[] {
  return GROUPS.map(({ id, label, panels }) => ({
    id,
    label,
    panels: [...panels].filter((panel) => only.includes(panel.id)),
  })).filter(({ panels }) => panels.length > 0);
}

function Result({ id }: { id: PanelId }): ReactNode {
  const drawn = useContext(LaterContext);
  const [notation] = usePreference('filterNotation');
  return drawn ? PANEL_RESULT[id](drawn.answered.solution, drawn.whole.shot, notation) : '';
}

function Open({ id }: { id: PanelId }): ReactNode {
  const drawn = useContext(DrawnContext);
  const panel = PANELS.find((one) => one.id === id);
  // PanelProps anew only with something new to draw.
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
