'use client';

import { useEffect, useState } from 'react';
import { whyText } from '@/words/whyText';

/** Work on a file in the background: under way, failed, or its result. */
export type FileJob<T> = { state: 'busy' } | { state: 'failed'; why: string } | { state: 'done'; result: T };

/** Runs once for the file it is mounted with; leaving drops the result. */
export function useFileJob<T>(file: File, work: (file: File) => Promise<T>): FileJob<T> {
  const [job, setJob] = useState<FileJob<T>>({ state: 'busy' });
  useEffect(() => {
    let gone = false;
    work(file).then(
      (result) => {
        if (!gone) setJob({ state: 'done', result });
      },
      (error: unknown) => {
        if (!gone) setJob({ state: 'failed', why: whyText(error) });
      },
    );
    return () => {
      gone = true;
    };
  }, [file, work]);
  return job;
}
