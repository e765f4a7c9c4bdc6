'use client';

import * as messages from '@/language/bench/choice';
import { Button } from 'antd';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { fromKit } from '@/core/compare/fromKit';
import type { FromKit } from '@/core/compare/fromKit';
import { fromKitText } from '@/words/kitRemedyText';
import { USUAL_FILTERS } from '@/core/brief/usual';
import { filterName } from '@/words/settingText';
import { useOwnThings } from '../../../data/kit';
import type { ShotEditing } from '../../../data/useShotEditing';
import styles from '../../bench.module.css';

/** Where this bag leaves a stop or a caution: the filters of the kit that would not. */
export function FromKitPanel({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  const { filters } = useOwnThings();
  const better = useMemo(() => fromKit(solution, filters), [solution, filters]);
  if (better.length === 0) return null;
  const take = ({ filter }: FromKit): void =>
    editing.commit(messages.takeAnotherFilterAlong, (shot) => ({
      ...shot,
      filters: [...(shot.filters ?? USUAL_FILTERS), filter],
    }));
  return (
    <section aria-labelledby="from-kit-title" className={styles.findings}>
      <h2 id="from-kit-title">{messages.fromYourKit}</h2>
      <ul>
        {better.map((remedy) => {
          const name = filterName(remedy.filter);
          return (
            <li key={remedy.filter.id} className={styles.alternative}>
              <span>{fromKitText(remedy, solution.score)}</span>
              <Button onClick={() => take(remedy)} aria-label={messages.takeOfYourKit({ name })}>
                {messages.take}
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
