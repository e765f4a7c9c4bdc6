import { looks } from '@/core/eye/looks';
import { pairsOf } from '@/core/eye/pairs';
import { questionAfter } from '@/core/eye/question';
import { once } from '@/core/units/once';
import type * as Eye from '@/workers/eye';

const pairs = once(() => looks().flatMap(pairsOf));

/** What the worker for a person's eye does, in the page: there are no workers under the tests. */
export const inPage: Pick<typeof Eye, 'askAfter'> = {
  askAfter: (answers) => Promise.resolve(questionAfter(pairs(), answers)),
};
