import { NotConverged } from './notConverged';

/**
 * Where a rising function passes zero between two bounds. False position with the Illinois halving, which keeps the
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

/**
 * The same for a root that is looked for again and again while it moves a little each time, as that of a surface while the water behind it
 * warms: secant steps from the last root and slope, and the whole bracket again where a few of them do not settle it.
 *
 * @returns the root between two bounds, within a tolerance; throws NotConverged when the bounds do not hold one
 */
export function followedRoot(f: (x: number) => number): (low: number, high: number, tolerance: number) => number {
  let last = Number.NaN;
  let slope = 0;
  return (low, high, tolerance) => {
    if (slope > 0 && last > low && last < high) {
      let x = last;
      let value = f(x);
      for (let pass = 0; pass < 4; pass += 1) {
        const next = x - value / slope;
        if (!(next > low && next < high)) break;
        const there = f(next);
        const rise = (there - value) / (next - x);
        if (rise > 0) slope = rise;
        [x, value] = [next, there];
        if (Math.abs(value) < 1e-9) {
          last = x;
          return x;
        }
      }
    }
    last = risingRoot(f, low, high, tolerance);
    // A kelvin to one side: the slope need not be exact to begin with.
    slope = f(last + 1) - f(last);
    return last;
  };
}
