import { NotConverged } from './notConverged';

/**
 * Where a rising function passes nought between two bounds. False position with the Illinois halving, which keeps the
 * bracket of plain halving and needs a fifth of its calls. Throws NotConverged when the bounds do not hold a root.
 */
export function risingRoot(f: (x: number) => number, low: number, high: number, tolerance: number): number {
  let a = low;
  let b = high;
  let atA = f(a);
  let atB = f(b);
  if (atA > 0 || atB < 0) throw new NotConverged('risingRoot', 0, atA > 0 ? atA : atB);
  let side = 0;
  for (let pass = 0; pass < 100; pass += 1) {
    const next = atB === atA ? (a + b) / 2 : (a * atB - b * atA) / (atB - atA);
    const value = f(next);
    if (Math.abs(value) < 1e-9 || b - a < tolerance) return next;
    if (value > 0) {
      if (b - next < tolerance && side === 1) return next;
      b = next;
      atB = value;
      if (side === 1) atA /= 2;
      side = 1;
    } else {
      if (next - a < tolerance && side === -1) return next;
      a = next;
      atA = value;
      if (side === -1) atB /= 2;
      side = -1;
    }
  }
  throw new NotConverged('risingRoot', 100, b - a);
}
