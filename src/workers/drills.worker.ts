import { expose } from 'comlink';
import { nextDrill } from '@/core/drill/next';
import type { DrillWorker } from './drills';

const worker: DrillWorker = {
  next: ({ skills, tried, now, mine }) => nextDrill(skills, tried, now, mine),
};

expose(worker);
