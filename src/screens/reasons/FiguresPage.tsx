'use client';

import * as messages from '@/language/reasons';
import { Segmented } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { FORMULA_IDS, FORMULAS, KNOWN_BY } from '@/core/explain/formulas';
import type { Formula, KnownBy } from '@/core/explain/formulas';
import { slopesOf, knownByOf } from '@/core/explain/losses';
import { TERMS } from '@/core/loss/table';
import { FORMULA_NAME, formulaLine, formulaSource } from '@/words/formulaText';
import { FigureTables } from './FigureTables';
import { LearnedInUse } from './LearnedFigures';
import { Slopes } from './Losses';
import styles from './reasons.module.css';
import { StandingTable } from './StandingTable';

/** Every figure the answers stand on, by how it is known. */
export function FiguresPage(): ReactNode {
  const [shown, setShown] = useState<KnownBy | 'all'>('all');
  const is = (standing: KnownBy): boolean => shown === 'all' || shown === standing;
  const formulas = FORMULA_IDS.filter((id) => is((FORMULAS[id] satisfies Formula).standing));
  const slopes = TERMS.flatMap(slopesOf).filter((slope) => is(knownByOf(slope)));
  return (
    <>
      <dl className={styles.standings}>
        {KNOWN_BY.map((one) => (
          <div key={one}>
            <dt>{messages.standingLabel[one]}</dt>
            <dd>{messages.standingMeans[one]}</dd>
          </div>
        ))}
      </dl>
      <div data-screen>
        <Segmented<KnownBy | 'all'>
          aria-label={messages.figures.show}
          value={shown}
          onChange={setShown}
          options={[
            { value: 'all', label: messages.all },
            ...KNOWN_BY.map((one) => ({ value: one, label: messages.standingLabel[one] })),
          ]}
        />
      </div>
      {formulas.length > 0 && (
        <StandingTable
          caption={messages.figures.formulasCaption}
          rows={formulas.map((id) => ({
            key: id,
            name: FORMULA_NAME[id],
            value: formulaLine(id),
            standing: FORMULAS[id].standing,
            because: formulaSource(id),
          }))}
        />
      )}
      {slopes.length > 0 && <Slopes caption={messages.figures.lossCaption} slopes={slopes} />}
      {is('start') && <FigureTables />}
      {is('learned') && <LearnedInUse of="all" />}
    </>
  );
}
