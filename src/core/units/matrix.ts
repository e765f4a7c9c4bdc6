import { item } from './items';

/** Lower Cholesky factor of a symmetric positive definite matrix. Source: Golub & Van Loan 2013, alg. 4.2.1. */
export function choleskyOf(matrix: readonly ArrayLike<number>[]): Float64Array[] {
  const size = matrix.length;
  const factor = matrix.map(() => new Float64Array(size));
  for (let row = 0; row < size; row++) {
    const own = item(factor, row);
    const given = item(matrix, row);
    for (let column = 0; column <= row; column++) {
      const other = item(factor, column);
      let left = given[column] ?? 0;
      for (let at = 0; at < column; at++) left -= (own[at] ?? 0) * (other[at] ?? 0);
      own[column] = row === column ? Math.sqrt(Math.max(left, 1e-12)) : left / (other[column] ?? 1);
    }
  }
  return factor;
}

/** What times the matrix of this factor gives the right side. */
export function solvedBy(factor: readonly Float64Array[], right: ArrayLike<number>): Float64Array {
  const size = factor.length;
  const found = Float64Array.from(right);
  for (let row = 0; row < size; row++) {
    const own = item(factor, row);
    let left = found[row] ?? 0;
    for (let at = 0; at < row; at++) left -= (own[at] ?? 0) * (found[at] ?? 0);
    found[row] = left / (own[row] ?? 1);
  }
  for (let row = size - 1; row >= 0; row--) {
    let left = found[row] ?? 0;
    for (let below = row + 1; below < size; below++)
      left -= (item(factor, below)[row] ?? 0) * (found[below] ?? 0);
    found[row] = left / (item(factor, row)[row] ?? 1);
  }
  return found;
}

/** Inverse of a symmetric positive definite matrix, by its Cholesky factor. */
export function inverseOf(matrix: readonly ArrayLike<number>[]): number[][] {
  const factor = choleskyOf(matrix);
  return matrix.map((_, at) => {
    const unit = new Float64Array(matrix.length);
    unit[at] = 1;
    return [...solvedBy(factor, unit)];
  });
}
