import { item } from '../units/items';

/** Inverse of a symmetric positive definite matrix, by its Cholesky factor. Source: Golub & Van Loan 2013, alg. 4.2.1. */
export function inverseOf(matrix: readonly (readonly number[])[]): number[][] {
  const size = matrix.length;
  const factor = matrix.map(() => new Float64Array(size));
  for (let row = 0; row < size; row++) {
    const own = item(factor, row);
    for (let column = 0; column <= row; column++) {
      const other = item(factor, column);
      let left = item(item(matrix, row), column);
      for (let at = 0; at < column; at++) left -= (own[at] ?? 0) * (other[at] ?? 0);
      own[column] = row === column ? Math.sqrt(Math.max(left, 1e-12)) : left / (other[column] ?? 1);
    }
  }
  const inverse = matrix.map(() => new Array<number>(size).fill(0));
  for (let column = 0; column < size; column++) {
    const half = new Float64Array(size);
    for (let row = column; row < size; row++) {
      const own = item(factor, row);
      let left = row === column ? 1 : 0;
      for (let at = column; at < row; at++) left -= (own[at] ?? 0) * (half[at] ?? 0);
      half[row] = left / (own[row] ?? 1);
    }
    for (let row = size - 1; row >= column; row--) {
      let left = half[row] ?? 0;
      for (let below = row + 1; below < size; below++)
        left -= (item(factor, below)[row] ?? 0) * (item(inverse, below)[column] ?? 0);
      const value = left / (item(factor, row)[row] ?? 1);
      item(inverse, row)[column] = value;
      item(inverse, column)[row] = value;
    }
  }
  return inverse;
}
