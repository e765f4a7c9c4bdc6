'use client';

import { useRouter, useSearchParams } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { takeShared } from '@/store/shared';
import { useRepository } from '../data/repository';
import { opened } from '../files/opened';
import { useActions } from '../shell/actions';

/** What of the handling of files is used: it is no part of the standard page yet. */
interface Launching {
  launchQueue?: {
    setConsumer: (take: (launch: { files?: readonly FileSystemFileHandle[] }) => void) => void;
  };
}

/** Takes in files that the system hands the app: opened with it, or shared with it by another app. */
export function useHandedIn(): void {
  const { takeHandedIn } = useActions();
  const repository = useRepository();
  const router = useRouter();
  const shared = useSearchParams().get('shared') === 'yes';
  const take = useRef(takeHandedIn);
  useEffect(() => {
    take.current = takeHandedIn;
  });
  useEffect(() => {
    if (!repository) return;
    (window as Launching).launchQueue?.setConsumer(({ files = [] }) => {
      void Promise.all(files.map(opened)).then((all) => {
        if (all.length > 0) take.current(all);
      });
    });
  }, [repository]);
  useEffect(() => {
    if (!repository || !shared) return;
    void takeShared().then((files) => {
      if (files.length > 0) take.current(files.map((file) => ({ name: file.name, content: file })));
      router.replace('/handover?part=take');
    });
  }, [repository, shared, router]);
}
