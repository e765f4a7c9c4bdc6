import * as messages from '@/language/kit/learned';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { ReactNode } from 'react';
import type { CorrectedFigure } from '@/core/learn/learn';
import { figureAt } from '@/core/records/figures';
import { figureAxisText, learnedFigureName, figureValue, withinText } from '@/words/learnedText';
import type { Names } from '@/words/learnedText';
import styles from './learned.module.css';

const WIDTH = 220;
const HEIGHT = 58;
const FOOT = 14;
/** Drawn to so many spreads of the figure before. */
const REACH = 2.6;
const POINTS = 61;

/** A figure before and after, as two curves on its natural scale; the taller, the surer. */
export function FigureCurves({ one, names }: { one: CorrectedFigure; names: Names }): ReactNode {
  const { figure, usual, off, spread, spreadBefore } = one;
  const reach = Math.max(REACH * spreadBefore, Math.abs(off) + REACH * spread);
  const x = scaleLinear([-reach, reach], [0, WIDTH]);
  const top = Math.max(1 / spread, 1 / spreadBefore);
  const y = scaleLinear([0, top], [HEIGHT - FOOT, 4]);
  const places = Array.from({ length: POINTS }, (_, at) => -reach + (2 * reach * at) / (POINTS - 1));
  const height = (place: number, middle: number, wide: number): number =>
    Math.exp(-0.5 * ((place - middle) / wide) ** 2) / wide;
  const before = line<number>()
    .x((place) => x(place))
    .y((place) => y(height(place, 0, spreadBefore)));
  const after = area<number>()
    .x((place) => x(place))
    .y0(y(0))
    .y1((place) => y(height(place, off, spread)));
  const ends = [-0.75 * reach, 0.75 * reach];
  return (
    <svg
      className={styles.curves}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={messages.curves({
        figure: learnedFigureName(figure, names),
        usual: figureValue(figure, usual),
        value: figureValue(figure, figureAt(one, off)),
        within: withinText(one),
      })}
    >
      <path className={styles.after} d={after(places) ?? ''} />
      <path className={styles.before} d={before(places) ?? ''} />
      <line className={styles.ground} x1={0} x2={WIDTH} y1={y(0)} y2={y(0)} />
      <line className={styles.usual} x1={x(0)} x2={x(0)} y1={y(0)} y2={y(0) + 4} />
      {ends.map((end) => (
        <text key={end} className={styles.end} x={x(end)} y={HEIGHT - 2}>
          {figureAxisText(figure, figureAt(one, end))}
        </text>
      ))}
    </svg>
  );
}
