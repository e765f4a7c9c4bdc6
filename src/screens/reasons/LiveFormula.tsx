'use client';

import * as messages from '@/language/reasons';
import { Button, Slider } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { formulaCurve, FORMULAS, FORMULA_INPUTS, shareAt, valueAt, valuesOn } from '@/core/explain/formulas';
import type { Formula, FormulaId } from '@/core/explain/formulas';
import {
  FORMULA_NAME,
  formulaLine,
  formulaSource,
  INPUT_NAME,
  inputsText,
  inputText,
  resultText,
} from '@/words/formulaText';
import { Curve } from './Curve';
import styles from './reasons.module.css';

/** Steps of a slider between its ends. */
const STEPS = 200;
const POINTS = 60;

/** A formula with the numbers of a shot in it: each input a slider, the result in words, and its run over the first. */
export function LiveFormula({ id, solution }: { id: FormulaId; solution: Solution }): ReactNode {
  const { inputs, of, standing }: Formula = FORMULAS[id];
  const onShot = useMemo(() => valuesOn(id, solution), [id, solution]);
  const [moved, setMoved] = useState<readonly number[] | null>(null);
  const values = moved ?? onShot;
  const result = of(values, solution);
  const curve = useMemo(() => formulaCurve(id, values, solution, POINTS), [id, values, solution]);
  const [first] = inputs;
  const place = useRef<HTMLElement>(null);
  useEffect(() => {
    // The formula that the address names comes into sight once it is there.
    if (window.location.hash === `#${id}`) place.current?.scrollIntoView();
  }, [id]);
  return (
    <section ref={place} className={styles.formula} aria-labelledby={`formula-${id}`} id={id}>
      <h3 id={`formula-${id}`}>{FORMULA_NAME[id]}</h3>
      <p className={styles.line}>{formulaLine(id)}</p>
      <p role="status">
        {messages.given({ inputs: inputsText(id, values), result: resultText(id, result) })}
      </p>
      <div className={styles.sliders} data-screen>
        {inputs.map((name, at) => (
          <label key={name}>
            <span>{messages.input({ name: INPUT_NAME[name], value: inputText(name, values[at] ?? 0) })}</span>
            <Slider
              min={0}
              max={STEPS}
              value={Math.round(shareAt(FORMULA_INPUTS[name], values[at] ?? 0) * STEPS)}
              tooltip={{ open: false }}
              ariaLabelForHandle={messages.inputOf({ name: INPUT_NAME[name], formula: FORMULA_NAME[id] })}
              ariaValueTextFormatterForHandle={() => inputText(name, values[at] ?? 0)}
              onChange={(step) =>
                setMoved(
                  values.map((one, index) =>
                    index === at ? valueAt(FORMULA_INPUTS[name], step / STEPS) : one,
                  ),
                )
              }
            />
          </label>
        ))}
        {moved && (
          <Button size="small" onClick={() => setMoved(null)}>
            {messages.asOnTheShot}
          </Button>
        )}
      </div>
      {first && inputs.length > 0 && (
        <Curve
          points={curve}
          at={shareAt(FORMULA_INPUTS[first], values[0] ?? 0)}
          says={messages.drawing({
            name: FORMULA_NAME[id],
            first: INPUT_NAME[first],
            from: inputText(first, FORMULA_INPUTS[first].min),
            to: inputText(first, FORMULA_INPUTS[first].max),
            low: resultText(id, curve[0]?.result ?? 0),
            high: resultText(id, curve.at(-1)?.result ?? 0),
            at: inputText(first, values[0] ?? 0),
            result: resultText(id, result),
          })}
          ends={[inputText(first, FORMULA_INPUTS[first].min), inputText(first, FORMULA_INPUTS[first].max)]}
          result={resultText(id, result)}
        />
      )}
      <p className="quiet">
        {messages.source({ source: formulaSource(id), standing: messages.standingLabel[standing] })}
      </p>
    </section>
  );
}
