/**
 * Two solutions of a thin elastic plate under even pressure, held flat by round washers on a square grid, that know nothing of the
 * formulas they check: finite differences, and a series. Both for a pitch of 1, a load of 1 and a rigidity of 1.
 */

/** 13-point stencil of ∇⁴w. */
const stencil: readonly (readonly [number, number, number])[] = [
  [0, 0, 20],
  [1, 0, -8],
  [-1, 0, -8],
  [0, 1, -8],
  [0, -1, -8],
  [1, 1, 2],
  [1, -1, 2],
  [-1, 1, 2],
  [-1, -1, 2],
  [2, 0, 1],
  [-2, 0, 1],
  [0, 2, 1],
  [0, -2, 1],
];

/**
 * Finite differences on a quarter of one cell, mirrored at all four edges, the washers' points held at zero; banded Cholesky.
 *
 * @returns deflection at any place, from the middle of a washer
 */
export function byDifferences(washerOverPitch: number, cells: number): (x: number, y: number) => number {
  const n = cells + 1;
  const h = 0.5 / cells;
  const fold = (i: number) => (i < 0 ? -i : i > cells ? 2 * cells - i : i);
  // Rows at a mirror stand for half a field: weighed so, the system is symmetric.
  const weight = (i: number) => (i === 0 || i === cells ? 0.5 : 1);
  const size = n * n;
  const band = 2 * n + 1;
  const held = (i: number, j: number) => Math.hypot(i, j) * h <= washerOverPitch / 2 + 1e-9;
  const rows = Array.from({ length: size }, () => new Float64Array(band + 1));
  const right = new Float64Array(size);
  for (let i = 0; i < n; i += 1)
    for (let j = 0; j < n; j += 1) {
      const row = i * n + j;
      const line = rows[row] as Float64Array;
      if (held(i, j)) {
        line[0] = 1;
        continue;
      }
      const share = weight(i) * weight(j);
      right[row] = share * h ** 4;
      for (const [a, b, factor] of stencil) {
        const [p, q] = [fold(i + a), fold(j + b)];
        const back = row - (p * n + q);
        if (back >= 0 && !held(p, q)) line[back] = (line[back] ?? 0) + share * factor;
      }
    }
  // rows[r][k] holds the element (r, r − k); factored in place.
  const at = (row: number, back: number) => rows[row]?.[back] ?? 0;
  for (let row = 0; row < size; row += 1) {
    const line = rows[row] as Float64Array;
    for (let back = Math.min(band, row); back >= 0; back -= 1) {
      const column = row - back;
      let sum = at(row, back);
      for (let k = Math.max(0, row - band, column - band); k < column; k += 1)
        sum -= at(row, row - k) * at(column, column - k);
      line[back] = back === 0 ? Math.sqrt(sum) : sum / at(column, 0);
    }
  }
  const w = Float64Array.from(right);
  for (let row = 0; row < size; row += 1) {
    let sum = w[row] ?? 0;
    for (let back = 1; back <= Math.min(band, row); back += 1) sum -= at(row, back) * (w[row - back] ?? 0);
    w[row] = sum / at(row, 0);
  }
  for (let row = size - 1; row >= 0; row -= 1) {
    let sum = w[row] ?? 0;
    for (let ahead = 1; ahead <= band && row + ahead < size; ahead += 1)
      sum -= at(row + ahead, ahead) * (w[row + ahead] ?? 0);
    w[row] = sum / at(row, 0);
  }
  return (x, y) => {
    const [i, j] = [Math.min(cells - 1, Math.floor(x / h)), Math.min(cells - 1, Math.floor(y / h))];
    const [u, v] = [x / h - i, y / h - j];
    const of = (p: number, q: number) => w[p * n + q] ?? 0;
    return (1 - u) * ((1 - v) * of(i, j) + v * of(i, j + 1)) + u * ((1 - v) * of(i + 1, j) + v * of(i + 1, j + 1));
  };
}

type Radial = (r: number, order: number) => number;

/** A power of r with its derivatives; `scale` keeps the numbers near 1. */
const power =
  (exponent: number, scale: number): Radial =>
  (r, order) => {
    let value = (r / scale) ** exponent;
    for (let k = 0; k < order; k += 1) value *= (exponent - k) / r;
    return value;
  };
const logarithm: Radial = (r, order) => [Math.log(r), 1 / r, -1 / r ** 2, 2 / r ** 3][order] ?? 0;
const logSquare: Radial = (r, order) =>
  [r ** 2 * Math.log(r), 2 * r * Math.log(r) + r, 2 * Math.log(r) + 3, 2 / r][order] ?? 0;

/**
 * The series of plate functions r⁴/64, r² ln r, ln r, r², 1 and r^±m, r^(2±m) cos mθ (m = 4, 8 ...), clamped at the washer's edge in
 * closed form, the mirror lines met by least squares. The load of a whole cell goes into the washer.
 *
 * @returns M / (q s²) at the washer's edge on the way to the next bolt and to the middle of four, and D w / (q s⁴) in the middle
 */
export function bySeries(washerOverPitch: number): { axis: number; diagonal: number; middle: number } {
  const edge = washerOverPitch / 2;
  const part = (r: number, order: number) => power(4, 1)(r, order) / 64 - logSquare(r, order) / (8 * Math.PI);
  /** Adds two functions to one so that value and slope at the washer's edge are zero. */
  const clamp = (f: Radial, a: Radial, b: Radial): Radial => {
    const det = a(edge, 0) * b(edge, 1) - b(edge, 0) * a(edge, 1);
    const p = (b(edge, 0) * f(edge, 1) - f(edge, 0) * b(edge, 1)) / det;
    const q = (f(edge, 0) * a(edge, 1) - a(edge, 0) * f(edge, 1)) / det;
    return (r, order) => f(r, order) + p * a(r, order) + q * b(r, order);
  };
  const one = power(0, 1);
  const given = { m: 0, radial: clamp(part, logarithm, one) };
  const terms = [
    { m: 0, radial: clamp(power(2, 1), logarithm, one) },
    ...[4, 8, 12, 16].flatMap((m) => {
      const near = [power(-m, edge), power(2 - m, edge)] as const;
      return [
        { m, radial: clamp(power(m, 0.5), ...near) },
        { m, radial: clamp(power(m + 2, 0.5), ...near) },
      ];
    }),
  ];
  /** Slope across the mirror line x = ½, and that of the Laplacian: both are zero there. */
  const across = ({ m, radial }: { m: number; radial: Radial }, angle: number): [number, number] => {
    const r = 0.5 / Math.cos(angle);
    const [cos, sin] = [Math.cos(m * angle), Math.sin(m * angle)];
    const f = (order: number) => radial(r, order);
    const bent = f(2) + f(1) / r - (m * m * f(0)) / r ** 2;
    const change = f(3) + f(2) / r - f(1) / r ** 2 - (m * m * f(1)) / r ** 2 + (2 * m * m * f(0)) / r ** 3;
    return [
      Math.cos(angle) * f(1) * cos + (Math.sin(angle) / r) * m * f(0) * sin,
      0.05 * (Math.cos(angle) * change * cos + (Math.sin(angle) / r) * m * bent * sin),
    ];
  };
  const angles = Array.from({ length: 40 }, (_, index) => (index * Math.PI) / 4 / 39);
  const lines = angles.flatMap((angle) =>
    ([0, 1] as const).map((which) => [
      ...terms.map((term) => across(term, angle)[which]),
      -across(given, angle)[which],
    ]),
  );
  const shares = leastSquares(lines);
  const all = [{ share: 1, ...given }, ...terms.map((term, index) => ({ share: shares[index] ?? 0, ...term }))];
  const at = (r: number, angle: number, order: number) =>
    all.reduce((sum, { share, m, radial }) => sum + share * radial(r, order) * Math.cos(m * angle), 0);
  return { axis: at(edge, 0, 2), diagonal: at(edge, Math.PI / 4, 2), middle: at(Math.SQRT1_2, Math.PI / 4, 0) };
}

/** Solves rows of [coefficients, right side] in the least-squares sense by modified Gram and Schmidt. */
export function leastSquares(rows: readonly number[][]): number[] {
  const columns = (rows[0]?.length ?? 1) - 1;
  const q = Array.from({ length: columns + 1 }, (_, column) => rows.map((row) => row[column] ?? 0));
  const dot = (a: readonly number[], b: readonly number[]) =>
    a.reduce((sum, value, index) => sum + value * (b[index] ?? 0), 0);
  const r = Array.from({ length: columns }, () => new Array<number>(columns + 1).fill(0));
  for (let pivot = 0; pivot < columns; pivot += 1) {
    const column = q[pivot] ?? [];
    const length = Math.sqrt(dot(column, column));
    const unit = column.map((value) => value / length);
    (r[pivot] as number[])[pivot] = length;
    for (let other = pivot + 1; other <= columns; other += 1) {
      const share = dot(unit, q[other] ?? []);
      (r[pivot] as number[])[other] = share;
      q[other] = (q[other] ?? []).map((value, index) => value - share * (unit[index] ?? 0));
    }
  }
  const solution = new Array<number>(columns).fill(0);
  for (let row = columns - 1; row >= 0; row -= 1) {
    let sum = r[row]?.[columns] ?? 0;
    for (let column = row + 1; column < columns; column += 1) sum -= (r[row]?.[column] ?? 0) * (solution[column] ?? 0);
    solution[row] = sum / (r[row]?.[row] ?? 1);
  }
  return solution;
}
