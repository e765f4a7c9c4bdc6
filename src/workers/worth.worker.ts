import { expose } from 'comlink';
import { daysOf, worthOf } from '@/core/worth/worth';
import { wallClock } from '@/formats/clock';
import type { WorthWorker } from './worth';

const worker: WorthWorker = {
  worth: (outings, shots) =>
    worthOf(daysOf(outings, new Map(shots.map((shot) => [shot.id, shot])), wallClock)),
};

expose(worker);
