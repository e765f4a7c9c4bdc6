import { expose } from 'comlink';
import { looks } from '@/core/eye/looks';
import { pairsOf } from '@/core/eye/pairs';
import { questionAfter } from '@/core/eye/question';
import { once } from '@/core/units/once';
import type { EyeWorker } from './eye';

const pairs = once(() => looks().flatMap(pairsOf));

const worker: EyeWorker = { ask: (answers) => questionAfter(pairs(), answers) };

expose(worker);
