import type { OwnWeights } from '../vocabulary/schools';
import type { Figure, FigureKind, Learned, LearnedRecord } from './learned';
import type { Shot } from './shot';

/** Figures by name and in their own unit, and those of a person put with a shot. No schema is needed for that. */
/** One name for a figure wherever it is kept or compared. */
export function figureId(figure: Figure): string {
  switch (figure.of) {
    case 'scene':
      return `scene/${figure.scene}`;
    case 'shade':
      return `shade/${figure.shade}`;
    case 'sky':
      return `sky/${figure.sky}`;
    case 'shake':
      return `shake/${figure.mount}/${figure.activity}/${figure.ground}`;
    case 'filter':
      return `filter/${figure.filterId}`;
    case 'power':
      return `power/${figure.cameraId}/${figure.height}/${figure.frameRate}`;
    case 'heat':
    case 'bitRate':
    case 'iso':
    case 'guard':
      return `${figure.of}/${figure.cameraId}`;
    case 'lateness':
      return figure.of;
  }
}

/** Those whose natural scale is a ratio: an octave is one. */
const RATIOS: readonly FigureKind[] = ['shake', 'power', 'heat', 'bitRate', 'iso'];

export function isRatio({ of }: Pick<Figure, 'of'>): boolean {
  return RATIOS.includes(of);
}

/** A figure in its own unit, so far from the usual in its natural scale. */
export function figureAt({ figure, usual }: Pick<Learned, 'figure' | 'usual'>, off: number): number {
  return isRatio(figure) ? usual * 2 ** off : usual + off;
}

/** What is a person's own and goes with every shot: figures that stand in the place of usual ones, and their school. */
export interface OwnValues {
  learned: readonly Learned[];
  mine: OwnWeights | null;
}

export const NOTHING_OWN: OwnValues = { learned: [], mine: null };

/** A shot with what is the person's own, before what it brings along from elsewhere. */
export function withOwn<S extends Pick<Shot, 'learned' | 'look'>>(shot: S, { learned, mine }: OwnValues): S {
  const looked = mine ? { ...shot, look: { ...shot.look, mine } } : shot;
  if (learned.length === 0) return looked;
  const own = new Set(learned.map(({ figure }) => figureId(figure)));
  const others = (shot.learned ?? []).filter(({ figure }) => !own.has(figureId(figure)));
  // The very list where it can be: what is made by it is kept by it.
  return { ...looked, learned: others.length > 0 ? [...learned, ...others] : (learned as Learned[]) };
}

/** What of the decisions is in use. */
export function takenOf(records: readonly LearnedRecord[]): Learned[] {
  return records.flatMap(({ decided, learned }) => (decided === 'taken' ? [learned] : []));
}
