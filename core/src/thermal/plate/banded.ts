/** Linear equations whose unknowns only meet others up to `half` places before or after them. */
export interface BandedSystem {
  size: number;
  half: number;
  /** Row by row, `2 half + 1` coefficients each, the diagonal in the middle. Is used up. */
  rows: Float64Array;
  /** Right-hand side. Becomes the solution. */
  values: Float64Array;
}

/**
 * Solves a banded system in place by elimination without exchange of rows (Golub and Van Loan, Matrix Computations, 4.3),
 * which is stable for diagonally dominant rows as those of a heat balance are.
 */
export function solveBanded({ size, half, rows, values }: BandedSystem): Float64Array {
  const wide = 2 * half + 1;
  const at = (row: number, column: number) => row * wide + half + column - row;
  for (let pivot = 0; pivot < size; pivot += 1) {
    const last = Math.min(size - 1, pivot + half);
    const diagonal = rows[at(pivot, pivot)] ?? 1;
    for (let row = pivot + 1; row <= last; row += 1) {
      const below = rows[at(row, pivot)] ?? 0;
      if (below === 0) continue;
      const factor = below / diagonal;
      const from = at(pivot, pivot);
      const to = at(row, pivot);
      for (let column = 0; column <= last - pivot; column += 1)
        rows[to + column] = (rows[to + column] ?? 0) - factor * (rows[from + column] ?? 0);
      values[row] = (values[row] ?? 0) - factor * (values[pivot] ?? 0);
    }
  }
  for (let row = size - 1; row >= 0; row -= 1) {
    let sum = values[row] ?? 0;
    const last = Math.min(size - 1, row + half);
    for (let column = row + 1; column <= last; column += 1) sum -= (rows[at(row, column)] ?? 0) * (values[column] ?? 0);
    values[row] = sum / (rows[at(row, row)] ?? 1);
  }
  return values;
}
