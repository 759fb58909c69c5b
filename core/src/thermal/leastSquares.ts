/**
 * Weighted linear least squares by the normal equations, columns scaled to length one, Gauss's elimination with the largest pivot.
 * For some fifteen columns and well over that many rows.
 *
 * @param rows values of each column, the value to be met, and the weight of its square
 * @returns a coefficient for each column; one that no row tells anything of is zero
 */
export function leastSquares(
  rows: readonly { x: readonly number[]; y: number; weight: number }[],
  columns: number,
): number[] {
  const scale = Array.from({ length: columns }, (_, column) =>
    Math.sqrt(rows.reduce((sum, { x, weight }) => sum + weight * (x[column] ?? 0) ** 2, 0)),
  );
  const matrix = Array.from({ length: columns }, () => new Float64Array(columns + 1));
  for (const { x, y, weight } of rows)
    for (let i = 0; i < columns; i += 1) {
      const own = scale[i] ? (x[i] ?? 0) / (scale[i] ?? 1) : 0;
      const row = matrix[i];
      if (!row || own === 0) continue;
      for (let j = 0; j < columns; j += 1)
        row[j] = (row[j] ?? 0) + weight * own * (scale[j] ? (x[j] ?? 0) / (scale[j] ?? 1) : 0);
      row[columns] = (row[columns] ?? 0) + weight * own * y;
    }
  return eliminated(matrix, columns).map((value, column) => (scale[column] ? value / (scale[column] ?? 1) : 0));
}

/** Solves a square system whose right side is its last column; what has no pivot is zero. */
function eliminated(matrix: Float64Array[], size: number): number[] {
  for (let column = 0; column < size; column += 1) {
    let best = column;
    for (let row = column + 1; row < size; row += 1)
      if (Math.abs(matrix[row]?.[column] ?? 0) > Math.abs(matrix[best]?.[column] ?? 0)) best = row;
    const [here, there] = [matrix[column], matrix[best]];
    if (!here || !there) continue;
    [matrix[column], matrix[best]] = [there, here];
    const pivot = there[column] ?? 0;
    if (Math.abs(pivot) < 1e-13) continue;
    for (let row = column + 1; row < size; row += 1) {
      const below = matrix[row];
      const factor = (below?.[column] ?? 0) / pivot;
      if (!below || factor === 0) continue;
      for (let index = column; index <= size; index += 1)
        below[index] = (below[index] ?? 0) - factor * (there[index] ?? 0);
    }
  }
  const solution = new Array<number>(size).fill(0);
  for (let row = size - 1; row >= 0; row -= 1) {
    const line = matrix[row];
    const pivot = line?.[row] ?? 0;
    if (!line || Math.abs(pivot) < 1e-13) continue;
    let rest = line[size] ?? 0;
    for (let index = row + 1; index < size; index += 1) rest -= (line[index] ?? 0) * (solution[index] ?? 0);
    solution[row] = rest / pivot;
  }
  return solution;
}
