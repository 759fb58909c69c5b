/**
 * m along an Archimedean spiral r = b φ between two radii: [r √(r² + b²) + b² asinh(r / b)] / 2b, taken between them. Exact.
 *
 * @param b m that the radius grows for each radian; above zero
 */
export function spiralLength(from: number, to: number, b: number): number {
  const upTo = (r: number) => (r * Math.hypot(r, b) + b * b * Math.asinh(r / b)) / (2 * b);
  return upTo(to) - upTo(from);
}

/** m. Radius at which a spiral of so many metres ends that begins at `from`, by halving. */
export function spiralEnd(from: number, length: number, b: number): number {
  let [low, high] = [from, from + length];
  for (let pass = 0; pass < 80; pass += 1) {
    const middle = (low + high) / 2;
    if (spiralLength(from, middle, b) < length) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
