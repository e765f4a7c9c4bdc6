import { daysOf, worthOf } from '@/core/worth/worth';
import { wallClock } from '@/formats/clock';
import type * as WorthWork from '@/workers/worth';

/** What the worker for what to get next does, in the page: there are no workers under the tests. */
export const inPage: Pick<typeof WorthWork, 'worthIn'> = {
  worthIn: (outings, shots) =>
    Promise.resolve(worthOf(daysOf(outings, new Map(shots.map((shot) => [shot.id, shot])), wallClock))),
};
