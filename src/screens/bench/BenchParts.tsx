'use client';

import dynamic from 'next/dynamic';
import { useRouter, useSearchParams } from 'next/navigation';
import { useEffect, useRef } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import type { Answer } from '@/core/records/answerFile';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { Solution } from '@/core/answer/solve';
import type { ShotEditing } from '../data/useShotEditing';
import styles from './bench.module.css';
import { Alternatives, HoldsPanel, Reasons, Warnings } from './Findings';
import { FromKitPanel } from './FromKitPanel';
import { Schools } from './Schools';
import tabStyles from './tabs.module.css';

const waiting = (): ReactNode => <p className="quiet">Drawing…</p>;
const FramingPanel = dynamic(() => import('./framing/FramingPanel').then((module) => module.FramingPanel), {
  ssr: false,
  loading: waiting,
});
const PreviewPanel = dynamic(() => import('./preview/PreviewPanel').then((module) => module.PreviewPanel), {
  ssr: false,
  loading: waiting,
});
const TradeOffPanel = dynamic(
  () => import('./tradeOff/TradeOffPanel').then((module) => module.TradeOffPanel),
  { ssr: false, loading: waiting },
);
const PairPanel = dynamic(() => import('./pair/PairPanel').then((module) => module.PairPanel), {
  ssr: false,
  loading: waiting,
});
const AnglesPanel = dynamic(() => import('./angles/AnglesPanel').then((module) => module.AnglesPanel), {
  ssr: false,
  loading: waiting,
});
const TimeLapsePanel = dynamic(
  () => import('./timeLapse/TimeLapsePanel').then((module) => module.TimeLapsePanel),
  {
    ssr: false,
    loading: waiting,
  },
);
const SteadinessPanel = dynamic(() => import('./SteadinessPanel').then((module) => module.SteadinessPanel), {
  ssr: false,
  loading: waiting,
});
const MountsPanel = dynamic(() => import('./MountsPanel').then((module) => module.MountsPanel), {
  ssr: false,
  loading: waiting,
});
const ModesPanel = dynamic(() => import('./ModesPanel').then((module) => module.ModesPanel), {
  ssr: false,
  loading: waiting,
});
const CamerasPanel = dynamic(() => import('./CamerasPanel').then((module) => module.CamerasPanel), {
  ssr: false,
  loading: waiting,
});

const LightPanel = dynamic(() => import('./light/LightPanel').then((module) => module.LightPanel), {
  ssr: false,
  loading: waiting,
});
const ReadingsPanel = dynamic(
  () => import('./readings/ReadingsPanel').then((module) => module.ReadingsPanel),
  { ssr: false, loading: waiting },
);
const LampsPanel = dynamic(() => import('./lamps/LampsPanel').then((module) => module.LampsPanel), {
  ssr: false,
  loading: waiting,
});

const PARTS = [
  ['choice', 'The choice'],
  ['preview', 'Preview'],
  ['tradeOff', 'Trade-offs'],
  ['light', 'Light'],
  ['readings', 'Readings'],
  ['lamps', 'Lamps and faces'],
  ['framing', 'Framing'],
  ['steadiness', 'Steadiness'],
  ['mounts', 'Mounts'],
  ['modes', 'Modes'],
  ['cameras', 'Cameras'],
  ['coverage', 'Angles'],
  ['pair', 'Pair'],
  ['lapse', 'Time-lapse'],
] as const;
type Part = (typeof PARTS)[number][0];

/** What stands below the rule: one part at a time, named in the address. */
export function BenchParts({
  record,
  compared,
  solution,
  editing,
  whole,
}: {
  record: ShotRecord;
  /** A moment behind while a hand moves, for what is slow to draw. */
  compared: { solution: Solution; answer: Answer };
  solution: Solution;
  editing: ShotEditing;
  whole: ShotEditing;
}): ReactNode {
  const params = useSearchParams();
  const router = useRouter();
  const tabs = useRef<HTMLDivElement>(null);
  const open: Part = PARTS.find(([id]) => id === params.get('part'))?.[0] ?? 'choice';
  useWarmPreview(solution, open === 'preview');
  const go = (part: Part): void => {
    const next = new URLSearchParams(params);
    next.set('part', part);
    router.replace(`/bench?${next.toString()}`, { scroll: false });
  };
  const step = (event: KeyboardEvent): void => {
    const way = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (way === undefined) return;
    event.preventDefault();
    const at = PARTS.findIndex(([id]) => id === open);
    const next = (at + way + PARTS.length) % PARTS.length;
    const part = PARTS[next];
    if (part) go(part[0]);
    tabs.current?.querySelectorAll<HTMLButtonElement>('[role="tab"]')[next]?.focus();
  };
  return (
    <>
      <div
        ref={tabs}
        role="tablist"
        aria-label="More about this shot"
        className={tabStyles.tabs}
        onKeyDown={step}
      >
        {PARTS.map(([id, label]) => (
          <button
            key={id}
            type="button"
            role="tab"
            id={`tab-${id}`}
            aria-selected={id === open}
            aria-controls="bench-part"
            tabIndex={id === open ? 0 : -1}
            onClick={() => go(id)}
          >
            {label}
          </button>
        ))}
      </div>
      <div role="tabpanel" id="bench-part" aria-labelledby={`tab-${open}`}>
        {open === 'choice' && (
          <div className={styles.columns}>
            <Schools solution={compared.solution} editing={editing} />
            <div className={styles.side}>
              <Warnings answer={compared.answer} />
              <FromKitPanel solution={compared.solution} whole={whole.shot} editing={editing} />
              <HoldsPanel solution={compared.solution} />
              <Alternatives solution={compared.solution} editing={editing} />
              <Reasons answer={compared.answer} />
            </div>
          </div>
        )}
        {open === 'preview' && <PreviewPanel solution={compared.solution} editing={editing} />}
        {open === 'tradeOff' && <TradeOffPanel solution={solution} editing={editing} />}
        {open === 'light' && <LightPanel solution={solution} editing={editing} />}
        {open === 'readings' && <ReadingsPanel solution={solution} editing={editing} />}
        {open === 'lamps' && <LampsPanel solution={compared.solution} editing={editing} />}
        {open === 'framing' && <FramingPanel solution={solution} editing={editing} />}
        {open === 'steadiness' && <SteadinessPanel solution={compared.solution} editing={editing} />}
        {open === 'mounts' && <MountsPanel solution={compared.solution} editing={editing} />}
        {open === 'modes' && <ModesPanel brief={solution.space.brief} editing={editing} />}
        {open === 'cameras' && <CamerasPanel id={record.id} whole={whole} />}
        {open === 'coverage' && <AnglesPanel shot={editing.shot} solution={compared.solution} />}
        {open === 'pair' && <PairPanel id={record.id} whole={whole} />}
        {open === 'lapse' && <TimeLapsePanel brief={solution.space.brief} editing={editing} />}
      </div>
    </>
  );
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
