import { expose } from 'comlink';
import { learn } from '@/core/learn/learn';
import { wallClock } from '@/formats/clock';
import type { LearnWorker } from './learn';

const worker: LearnWorker = { learn: (kept) => learn(kept, wallClock) };

expose(worker);
