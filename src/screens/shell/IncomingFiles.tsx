'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import type { ReactNode } from 'react';
import { isForReadings, useIncoming } from '../parts/incoming';
import { useToast } from '../parts/toast';
import { writeFaultText } from '../parts/writeFault';
import { useDeeds, useOverlay } from './deeds';

// The dialog comes when it is first needed.
const FaultsDialog = dynamic(() => import('./FaultsDialog').then((module) => module.FaultsDialog), {
  ssr: false,
});

/** A file dropped anywhere, or a shot pasted outside a field, is taken in; faults are listed and nothing written. */
export function IncomingFiles({ children }: { children: ReactNode }): ReactNode {
  const { takeIn, takeFile } = useDeeds();
  const { complain } = useToast();
  const router = useRouter();
  const dropReading = useIncoming((state) => state.drop);
  /** A photograph or track belongs to one shot: the one whose Bench is open. */
  const takeReading = (file: File): void => {
    const here = new URL(window.location.href);
    if (here.pathname !== '/bench' || !here.searchParams.has('shot')) {
      complain(`${file.name} tells the light of one shot: open that shot's Bench and drop it there.`);
      return;
    }
    here.searchParams.set('part', 'readings');
    dropReading(file);
    router.replace(`/bench?${here.searchParams.toString()}`, { scroll: false });
  };
  const faults = useOverlay((state) => state.faults);
  useEffect(() => {
    // A change that could not be written and that nobody waited for is told all the same.
    const tell = ({ reason }: PromiseRejectionEvent): void => complain(writeFaultText(reason));
    window.addEventListener('unhandledrejection', tell);
    return () => window.removeEventListener('unhandledrejection', tell);
  }, [complain]);
  useEffect(() => {
    const allow = (event: DragEvent): void => {
      if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
    };
    const drop = (event: DragEvent): void => {
      const file = event.dataTransfer?.files[0];
      if (!file) return;
      event.preventDefault();
      if (isForReadings(file)) {
        takeReading(file);
        return;
      }
      takeFile(file);
    };
    const paste = (event: ClipboardEvent): void => {
      const target = event.target as HTMLElement | null;
      if (target?.closest('input, textarea, [contenteditable]')) return;
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (text.trim() !== '') takeIn('what you pasted', text);
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
      {faults && <FaultsDialog {...faults} />}
    </>
  );
}
