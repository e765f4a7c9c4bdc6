import { expose } from 'comlink';
import { shotOfPart } from '@/core/records/secondAngles';
import { shortAnswerOf } from './shortAnswer';
import type { ShotsWorker } from './shots';

const worker: ShotsWorker = {
  solve: (shot) => shortAnswerOf(shotOfPart(shot, 0), {}),
};

expose(worker);
