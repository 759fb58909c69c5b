/** m³. Section modulus of a rectangle, b d²/6: `wide` across the load, `deep` along it. */
export function sectionModulus(wide: number, deep: number): number {
  return (wide * deep ** 2) / 6;
}

/** N at a place along a beam, m from its first support. */
export interface PointLoad {
  at: number;
  force: number;
}

/**
 * N·m. Largest moment in a beam on two supports under point loads, which stands under one of them.
 *
 * @param span m between the supports; loads beyond them are none of its own
 */
export function pointLoadMoment(span: number, loads: readonly PointLoad[]): number {
  const own = loads.filter(({ at }) => at > 0 && at < span);
  const first = own.reduce((sum, { at, force }) => sum + (force * (span - at)) / span, 0);
  const momentAt = (x: number) =>
    first * x - own.filter(({ at }) => at < x).reduce((sum, { at, force }) => sum + force * (x - at), 0);
  return Math.max(0, ...own.map(({ at }) => momentAt(at)));
}

/** N·m. Largest moment in a beam on two supports under a load spread evenly over `length` at its middle: F (L/4 − c/8). */
export function partialLoadMoment(span: number, length: number, force: number): number {
  return force * (span / 4 - Math.min(span, length) / 8);
}
