import * as messages from '@/language/reasons';
import type { ReactNode } from 'react';
import { slopesOf, knownByOf } from '@/core/explain/losses';
import type { Slope } from '@/core/explain/losses';
import type { TermId } from '@/core/vocabulary/terms';
import { trimmed } from '@/core/units/format';
import { capital } from '@/words/sentences';
import { TERM_LABEL } from '@/words/labels';
import { becauseText, lossFigureName, lossFormula, lossSeen } from '@/words/lossText';
import styles from './reasons.module.css';
import { StandingTable } from './StandingTable';

/** Faults that a viewer sees: what is seen, how it is counted, and every figure of it with its argument and standing. */
export function Losses({ terms }: { terms: readonly TermId[] }): ReactNode {
  return (
    <section aria-labelledby="losses-title">
      <h2 id="losses-title">{messages.losses}</h2>
      <p>{messages.lossesLead}</p>
      {terms.map((term) => (
        <section key={term} aria-labelledby={`loss-${term}`} id={`loss-of-${term}`} className={styles.loss}>
          <h3 id={`loss-${term}`}>{capital(TERM_LABEL[term])}</h3>
          <p>{capital(lossSeen(term) ?? '')}.</p>
          <p className={styles.line}>{lossFormula(term)}</p>
          <details>
            <summary>{messages.figuresOf({ name: TERM_LABEL[term] })}</summary>
            <Slopes slopes={slopesOf(term)} />
          </details>
        </section>
      ))}
    </section>
  );
}

/** Figures of losses with their arguments. */
export function Slopes({
  caption,
  slopes,
}: {
  /** Over those of several terms, each of which is then named. */
  caption?: string;
  slopes: readonly Slope[];
}): ReactNode {
  return (
    <StandingTable
      caption={caption}
      rows={slopes.map((slope) => ({
        key: `${slope.term} ${slope.name}`,
        name: (
          <>
            {caption !== undefined && <>{capital(TERM_LABEL[slope.term])}: </>}
            <code>{lossFigureName(slope)}</code>
          </>
        ),
        value: trimmed(slope.value, 3),
        standing: knownByOf(slope),
        because: becauseText(slope),
      }))}
    />
  );
}
