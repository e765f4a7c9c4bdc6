import type { Combination } from './modeTable';
import type { ProfileRule } from './profile';

/** One combination with what it records in. */
export type TableRow = Combination & Pick<ProfileRule, 'colours' | 'encodings'>;

type Box = Pick<ProfileRule, 'recordings' | 'resolutions' | 'frameRates' | 'views' | 'stabilizations'>;

const SIDES = ['stabilizations', 'views', 'frameRates', 'resolutions', 'recordings'] as const;

/**
 * The fewest rules found by joining rows that differ in one thing at a time: stabilizations first, since those go
 * together most. Exact: the rules name the rows, all of them and nothing else. Rows must not repeat a combination.
 */
export function rulesFrom(rows: readonly TableRow[]): ProfileRule[] {
  const recorded = new Map<string, { row: TableRow; boxes: Box[] }>();
  for (const row of rows) {
    const key = JSON.stringify([row.colours, row.encodings]);
    const group = recorded.get(key) ?? { row, boxes: [] };
    group.boxes.push({
      recordings: [row.recording],
      resolutions: [row.resolutionId],
      frameRates: [row.frameRate],
      views: [row.viewId],
      stabilizations: [row.stabilization],
    });
    recorded.set(key, group);
  }
  return [...recorded.values()].flatMap(({ row, boxes }) =>
    SIDES.reduce<Box[]>(joined, boxes).map((box) => ({
      ...box,
      colours: row.colours,
      encodings: row.encodings,
    })),
  );
}

/** Boxes that are equal but for one side become one, with both sides' values. */
function joined(boxes: Box[], side: (typeof SIDES)[number]): Box[] {
  const alike = new Map<string, Box>();
  for (const box of boxes) {
    const key = JSON.stringify(SIDES.filter((one) => one !== side).map((one) => box[one]));
    const known = alike.get(key);
    alike.set(key, known ? { ...known, [side]: [...known[side], ...box[side]] } : box);
  }
  return [...alike.values()];
}
