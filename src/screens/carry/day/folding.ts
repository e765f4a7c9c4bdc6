/** Which page stands where on a sheet that is folded to a booklet of eight, and which stand on their heads. */
export interface Panel {
  page: number;
  turned: boolean;
}

/** Left to right, upper row first: the upper row is upside down once the sheet is folded. */
const ORDER: readonly [page: number, turned: boolean][] = [
  [4, true],
  [3, true],
  [2, true],
  [1, true],
  [5, false],
  [6, false],
  [7, false],
  [0, false],
];

/** Sheets for so many pages; places beyond the last page stay empty. */
export function sheetsOf(pages: number): Panel[][] {
  return Array.from({ length: Math.max(1, Math.ceil(pages / 8)) }, (_, sheet) =>
    ORDER.map(([page, turned]) => ({ page: sheet * 8 + page, turned })),
  );
}
