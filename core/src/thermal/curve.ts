/** Values at given places, worked out when they are first asked for, and the slopes of a smooth rising curve through them. */
interface LazyCurve {
  x: readonly number[];
  /** Added to every place. */
  from: number;
  value(at: number): number;
  /** NaN where not known yet. */
  values: Float64Array;
  tangents: Float64Array;
}

function lazyCurve(x: readonly number[], from: number, value: (at: number) => number): LazyCurve {
  return {
    x,
    from,
    value,
    values: new Float64Array(x.length).fill(Number.NaN),
    tangents: new Float64Array(x.length).fill(Number.NaN),
  };
}

function valueAt(curve: LazyCurve, index: number): number {
  let value = curve.values[index] ?? Number.NaN;
  if (Number.isNaN(value)) {
    value = curve.value(curve.from + (curve.x[index] ?? 0));
    curve.values[index] = value;
  }
  return value;
}

/** Slope between a place and the next one. */
function slopeAfter(curve: LazyCurve, index: number): number {
  const step = (curve.x[index + 1] ?? 0) - (curve.x[index] ?? 0);
  return (valueAt(curve, index + 1) - valueAt(curve, index)) / step;
}

function tangentAt(curve: LazyCurve, index: number): number {
  let tangent = curve.tangents[index] ?? Number.NaN;
  if (Number.isNaN(tangent)) {
    const last = curve.x.length - 1;
    if (index === 0 || index === last) tangent = last === 0 ? 0 : slopeAfter(curve, index === 0 ? 0 : last - 1);
    else {
      const [before, after] = [slopeAfter(curve, index - 1), slopeAfter(curve, index)];
      tangent = before * after <= 0 ? 0 : (2 * before * after) / (before + after);
    }
    curve.tangents[index] = tangent;
  }
  return tangent;
}

function curveAt(curve: LazyCurve, place: number): number {
  const { x } = curve;
  const at = place - curve.from;
  const last = x.length - 1;
  const [first, end] = [x[0] ?? 0, x[last] ?? 0];
  if (at <= first) return valueAt(curve, 0) + tangentAt(curve, 0) * (at - first);
  if (at >= end) return valueAt(curve, last) + tangentAt(curve, last) * (at - end);
  let [low, high] = [0, last];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((x[middle] ?? 0) <= at) low = middle;
    else high = middle;
  }
  const step = (x[high] ?? 0) - (x[low] ?? 0);
  const t = (at - (x[low] ?? 0)) / step;
  const [a, b] = [valueAt(curve, low), valueAt(curve, high)];
  const [da, db] = [tangentAt(curve, low) * step, tangentAt(curve, high) * step];
  return a + t * (da + t * (3 * (b - a) - 2 * da - db + t * (2 * (a - b) + da + db)));
}

/**
 * A smooth rising curve through points, by cubic pieces that never turn back between them (Fritsch and Carlson 1980); straight on beyond both
 * ends. For a function that is dear to work out and asked for many times: only the points beside what is asked for are worked out.
 *
 * @param x ascending
 * @param value at an x
 */
export function risingCurve(x: readonly number[], value: (at: number) => number): (at: number) => number {
  const curve = lazyCurve(x, 0, value);
  return (at) => curveAt(curve, at);
}

/** Shares of a span at which a loss is worked out: closer together near the air, where it bends. */
const shares = Array.from({ length: 11 }, (_, index) => ((index + 1) / 11) ** 1.8);
/** K over the air. */
const lossNodes = [...shares.map((share) => -90 * share).reverse(), 0, ...shares.map((share) => 450 * share)];

/** W that something loses by its temperature (°C), worked out from 90 K under the air to 450 K over it and drawn through. */
export function lossCurve(air: number, loss: (surface: number) => number): (surface: number) => number {
  const curve = lazyCurve(lossNodes, air, loss);
  return (surface) => curveAt(curve, surface);
}
