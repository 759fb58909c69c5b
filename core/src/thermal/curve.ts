/**
 * A smooth rising curve through points, by cubic pieces that never turn back between them (Fritsch and Carlson 1980); straight on beyond both
 * ends. For a function that is dear to work out and asked for many times.
 *
 * @param x ascending
 * @param y at each x
 */
export function risingCurve(x: readonly number[], y: readonly number[]): (at: number) => number {
  const last = x.length - 1;
  const steps = x.slice(1).map((value, index) => value - (x[index] ?? 0));
  const slopes = y.slice(1).map((value, index) => (value - (y[index] ?? 0)) / (steps[index] ?? 1));
  const tangents = x.map((_, index) => {
    const [before, after] = [slopes[index - 1], slopes[index]];
    if (before === undefined) return after ?? 0;
    if (after === undefined) return before;
    return before * after <= 0 ? 0 : (2 * before * after) / (before + after);
  });
  return (at) => {
    const [first, end] = [x[0] ?? 0, x[last] ?? 0];
    if (at <= first) return (y[0] ?? 0) + (tangents[0] ?? 0) * (at - first);
    if (at >= end) return (y[last] ?? 0) + (tangents[last] ?? 0) * (at - end);
    let [low, high] = [0, last];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if ((x[middle] ?? 0) <= at) low = middle;
      else high = middle;
    }
    const step = steps[low] ?? 1;
    const t = (at - (x[low] ?? 0)) / step;
    const [a, b, da, db] = [y[low] ?? 0, y[high] ?? 0, (tangents[low] ?? 0) * step, (tangents[high] ?? 0) * step];
    return a + t * (da + t * (3 * (b - a) - 2 * da - db + t * (2 * (a - b) + da + db)));
  };
}

/** Shares of a span at which a loss is worked out: closer together near the air, where it bends. */
const lossNodes = Array.from({ length: 11 }, (_, index) => ((index + 1) / 11) ** 1.8);

/** W that something loses by its temperature (°C), worked out from 90 K under the air to 450 K over it and drawn through. */
export function lossCurve(air: number, loss: (surface: number) => number): (surface: number) => number {
  const places = [
    ...lossNodes.map((share) => air - 90 * share).reverse(),
    air,
    ...lossNodes.map((share) => air + 450 * share),
  ];
  return risingCurve(places, places.map(loss));
}
