'use client';

import * as messages from '@/language/reasons';
import { Segmented } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { FORMULA_IDS, FORMULAS, STANDINGS } from '@/core/explain/formulas';
import type { Formula, Standing } from '@/core/explain/formulas';
import { slopesOf, standingOf } from '@/core/explain/losses';
import { TERMS } from '@/core/loss/table';
import { FORMULA_NAME, formulaLine, formulaSource } from '@/words/formulaText';
import { FigureTables } from './FigureTables';
import { LearnedFigures } from './LearnedFigures';
import { Slopes } from './Losses';
import styles from './reasons.module.css';
import { StandingTable } from './StandingTable';

/** Every figure the answers stand on, by how it is known. */
export function FiguresPage(): ReactNode {
  const [shown, setShown] = useState<Standing | 'all'>('all');
  const is = (standing: Standing): boolean => shown === 'all' || shown === standing;
  const formulas = FORMULA_IDS.filter((id) => is((FORMULAS[id] satisfies Formula).standing));
  const slopes = TERMS.flatMap(slopesOf).filter((slope) => is(standingOf(slope)));
  return (
    <>
      <dl className={styles.standings}>
        {STANDINGS.map((one) => (
          <div key={one}>
            <dt>{messages.standingLabel[one]}</dt>
            <dd>{messages.standingMeans[one]}</dd>
          </div>
        ))}
      </dl>
      <div data-screen>
        <Segmented<Standing | 'all'>
          aria-label={messages.figures.show}
          value={shown}
          onChange={setShown}
          options={[
            { value: 'all', label: messages.all },
            ...STANDINGS.map((one) => ({ value: one, label: messages.standingLabel[one] })),
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
      {is('learned') && <LearnedFigures of="all" />}
    </>
  );
}
