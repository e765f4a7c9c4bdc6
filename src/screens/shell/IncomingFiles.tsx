'use client';

import * as messages from '@/language/shell';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import type { ReactNode } from 'react';
import { isClip } from '../files/clipFiles';
import { isForReadings, useIncoming } from '../files/incoming';
import { useToast } from '../ui/toast';
import { isRefusal, writeFaultText } from '../data/writeFault';
import { useActions } from './actions';
import { useIncomingState } from '../files/incomingState';
import { isLostChunk, loadAnewOnce } from './lostChunk';

// What is rarely seen comes when it is first needed.
const FaultsDialog = dynamic(() => import('./FaultsDialog').then((module) => module.FaultsDialog), {
  ssr: false,
});

const IncomingDialog = dynamic(() => import('./IncomingDialog').then((module) => module.IncomingDialog), {
  ssr: false,
});

const ReadingNotice = dynamic(() => import('./ReadingNotice').then((module) => module.ReadingNotice), {
  ssr: false,
});

/** A file dropped anywhere, or a shot pasted outside a field, is taken in; faults are listed and nothing written. */
export function IncomingFiles({ children }: { children: ReactNode }): ReactNode {
  const { importText, importFiles } = useActions();
  const { complain } = useToast();
  const router = useRouter();
  const dropReadings = useIncoming((state) => state.drop);
  /** Photographs and tracks belong to one shot: the one whose Bench is open. */
  const takeReadings = (files: readonly File[]): void => {
    const here = new URL(window.location.href);
    if (here.pathname !== '/bench' || !here.searchParams.has('shot')) {
      const names = files.map(({ name }) => name).join(', ');
      complain(messages.tellsTheLightOfOne({ count: files.length, names }));
      return;
    }
    here.searchParams.set('part', 'readings');
    dropReadings(files);
    router.replace(`/bench?${here.searchParams.toString()}`, { scroll: false });
  };
  const dropClips = useIncoming((state) => state.dropClips);
  /** Clips belong to a day: the one whose Debrief is open, else the one that it opens with. */
  const takeClips = (clips: readonly File[]): void => {
    dropClips(clips);
    if (window.location.pathname !== '/debrief') router.push('/debrief');
  };
  const reading = useIncomingState((state) => state.reading !== null);
  const notTaken = useIncomingState((state) => state.notTaken[0]);
  const toAsk = useIncomingState((state) => state.toAsk[0]);
  useEffect(() => {
    // A change that could not be written and that nobody waited for is told all the same.
    const tell = (event: PromiseRejectionEvent): void => {
      const reason: unknown = event.reason;
      if (isLostChunk(reason)) loadAnewOnce();
      // Told to the person: nothing is left for the browser to report.
      if (isRefusal(reason)) event.preventDefault();
      complain(writeFaultText(reason));
    };
    window.addEventListener('unhandledrejection', tell);
    return () => window.removeEventListener('unhandledrejection', tell);
  }, [complain]);
  useEffect(() => {
    const allow = (event: DragEvent): void => {
      if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
    };
    const drop = (event: DragEvent): void => {
      const files = [...(event.dataTransfer?.files ?? [])];
      if (files.length === 0) return;
      event.preventDefault();
      const readings = files.filter(isForReadings);
      const clips = files.filter(isClip);
      const others = files.filter((file) => !isForReadings(file) && !isClip(file));
      if (clips.length > 0) takeClips(clips);
      if (readings.length > 0) takeReadings(readings);
      if (others.length > 0) importFiles(others);
    };
    const paste = (event: ClipboardEvent): void => {
      const target = event.target as HTMLElement | null;
      // oxlint-disable-next-line catalogue/no-sentence -- A selector.
      if (target?.closest('input, textarea, [contenteditable]')) return;
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (text.trim() !== '') importText(messages.whatYouPasted, text);
    };
    window.addEventListener('dragover', allow);
    window.addEventListener('drop', drop);
    window.addEventListener('paste', paste);
    return () => {
      window.removeEventListener('dragover', allow);
      window.removeEventListener('drop', drop);
      window.removeEventListener('paste', paste);
    };
  });
  return (
    <>
      {children}
      {reading && <ReadingNotice />}
      {notTaken && <FaultsDialog one={notTaken} />}
      {toAsk && !notTaken && <IncomingDialog key={toAsk.number} one={toAsk} />}
    </>
  );
}
