import { type Fluid, fluidState, NotConverged } from '../thermal';
import { frictionFactor } from './friction';

/** m. Drawn copper tube, Moody (1944). */
export const copperRoughness = 1.5e-6;
/** Loss coefficients of a riser's two ends, sharp edged: in 0.5, out 1 (Idelchik). */
const riserEnds = 1.5;

/** Of the pressure over a riser at an even share: what may be left open round a mesh. */
const settledShare = 1e-5;
/** Shares of the speed's pressure by which it is let in where the first way misses. */
const inertiaSteps = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1];

export interface ManifoldQuery {
  risers: number;
  /** m. */
  riserLength: number;
  /** m. */
  riserBore: number;
  /** m. */
  headerBore: number;
  /** m. Riser to riser along the header. */
  pitch: number;
  /** kg/s through the whole panel. */
  massFlow: number;
  /** °C. */
  temperature: number;
  /** Outlet at the far end of the other header, or at the inlet's own side. */
  connection: 'diagonal' | 'same-side';
  fluid?: Fluid;
  /** Sun into the risers: W in each, and m that its hot end stands above its cold one. Warm water lifts itself. */
  warming?: { heat: number; rise: number };
  /** Number of a riser, from 0 at the inlet, that nothing passes. */
  blocked?: number;
}

/**
 * How the water shares itself among the risers, numbered from the inlet. Friction in risers and headers; along the
 * feeding header the pressure regained as it slows (Bernoulli: the straight way through a tee loses little), along the
 * gathering header the pressure spent speeding up water that comes in square to it (momentum). In a sunlit panel the
 * lift of the warmer, slower riser, which evens the flows. Derived.
 *
 * The unknowns are the sums of flow up to each riser: the pressure round each mesh of two neighbouring risers then
 * depends on three of them, and Newton's method solves a band of three in one sweep.
 *
 * @returns share of the flow in each riser (they add up to 1); Pa that friction and speed take between the two ports, which a pump
 *   must give; and Pa by which warm water lifts itself, which help it. Throws NotConverged.
 */
export function manifoldFlow(query: ManifoldQuery): {
  fractions: number[];
  pressureDrop: number;
  buoyancyHead: number;
} {
  const { risers: count, massFlow: total } = query;
  if (count < 1) throw new RangeError('a panel has at least one riser');
  if (!(total > 0)) return { fractions: new Array<number>(count).fill(1 / count), pressureDrop: 0, buoyancyHead: 0 };
  const state = fluidState(query.fluid ?? 'water', query.temperature);
  const drag = resistance(state, query.riserBore, query.riserLength, riserEnds);
  const buoyancyHead = query.warming ? liftTimesFlow(query.fluid ?? 'water', query.temperature, query.warming) : 0;
  // Water that hardly moves would boil before it lifted more: the lift is held at that of a twentieth of an even share.
  const buoyancyOf = (flow: number) => buoyancyHead / Math.max(flow, total / count / 20);
  const open = (flow: number) => drag(flow) - buoyancyOf(flow);
  // A plug lets a millionth by: the network stays whole, and the share is zero to any gauge.
  const plug = (flow: number) => drag(flow * 1e6);
  const riser = (index: number, flow: number) => (index === query.blocked ? plug(flow) : open(flow));
  const header = resistance(state, query.headerBore, query.pitch, 0);
  const wholeInertia = 1 / (state.density * ((Math.PI / 4) * query.headerBore ** 2) ** 2);
  let inertia = wholeInertia;
  const sameSide = query.connection === 'same-side';

  const sums = Float64Array.from({ length: count + 1 }, (_, index) => (total * index) / count);
  const trial = new Float64Array(count + 1);
  const residual = new Float64Array(count);
  const upper = new Float64Array(count);
  const right = new Float64Array(count);
  const way = sameSide ? -1 : 1;

  /** Pressure of riser `i` less that of the next, less what the headers between them ask: zero when solved. */
  const mesh = (i: number, before: number, here: number, after: number): number => {
    const feed = total - here;
    const feedDrop = header(feed) - 0.5 * inertia * ((total - before) ** 2 - feed ** 2);
    const gather = sameSide ? feed : here;
    const gatherBefore = sameSide ? total - before : before;
    const gatherDrop = header(gather) + inertia * Math.abs(gather ** 2 - gatherBefore ** 2);
    return riser(i, after - here) - riser(i - 1, here - before) - (way * gatherDrop - feedDrop);
  };
  const worst = (at: Float64Array): number => {
    let most = 0;
    for (let i = 1; i < count; i += 1) {
      const value = mesh(i, at[i - 1] ?? 0, at[i] ?? 0, at[i + 1] ?? 0);
      residual[i] = value;
      most = Math.max(most, Math.abs(value));
    }
    return most;
  };
  const nudge = (total / count) * 1e-6;
  const slope = (tube: (flow: number) => number, flow: number) => (tube(flow + nudge) - tube(flow)) / nudge;

  const scale = drag(total / count);
  /** Newton's method from the sums as they stand; what is left of the worst mesh. */
  const settle = (limit: number): number => {
    let error = worst(sums);
    for (let pass = 0; error > 1e-9 * scale && pass < limit; pass += 1) {
      // Thomas algorithm over the band of derivatives.
      const slopeOf = (index: number, flow: number) => (riser(index, flow + nudge) - riser(index, flow)) / nudge;
      let slopeHere = slopeOf(0, sums[1] ?? 0);
      for (let i = 1; i < count; i += 1) {
        const before = sums[i - 1] ?? 0;
        const here = sums[i] ?? 0;
        const feed = total - here;
        const gather = sameSide ? feed : here;
        const gatherBefore = sameSide ? total - before : before;
        const sign = Math.sign(gather ** 2 - gatherBefore ** 2);
        const slopeNext = slopeOf(i, (sums[i + 1] ?? 0) - here);
        const feedByHere = -slope(header, feed) - inertia * feed;
        const feedByBefore = inertia * (total - before);
        const gatherByHere = way * (slope(header, gather) + 2 * inertia * sign * gather);
        const gatherByBefore = -way * 2 * inertia * sign * gatherBefore;
        const a = i > 1 ? slopeHere - way * gatherByBefore + feedByBefore : 0;
        const b = -slopeNext - slopeHere - way * gatherByHere + feedByHere;
        const c = i < count - 1 ? slopeNext : 0;
        const pivot = b - a * (upper[i - 1] ?? 0);
        upper[i] = c / pivot;
        right[i] = (-(residual[i] ?? 0) - a * (right[i - 1] ?? 0)) / pivot;
        slopeHere = slopeNext;
      }
      for (let i = count - 2; i >= 1; i -= 1) right[i] = (right[i] ?? 0) - (upper[i] ?? 0) * (right[i + 1] ?? 0);
      // Halve the step while it makes things worse: the friction curve has corners where the regime changes.
      let share = 1;
      let next = error;
      for (let halving = 0; halving < 20; halving += 1) {
        for (let i = 1; i < count; i += 1) trial[i] = (sums[i] ?? 0) + share * (right[i] ?? 0);
        trial[count] = total;
        next = worst(trial);
        if (next < error) break;
        share /= 2;
      }
      // No step makes it better: a corner, or no answer near here.
      if (next >= error) break;
      sums.set(trial);
      error = next;
    }
    return error;
  };
  const even = () =>
    sums.forEach((_, index) => {
      sums[index] = (total * index) / count;
    });
  let error = settle(120);
  if (error > settledShare * scale) {
    // Fast water in a narrow header pulls its neighbours along, and the first way there may miss the answer. Friction alone has
    // exactly one; from it the speed is let in by steps.
    even();
    for (const share of inertiaSteps) {
      inertia = wholeInertia * share;
      error = settle(60);
    }
  }
  if (error > settledShare * scale) throw new NotConverged('manifoldFlow', 120, error);

  const flow = (index: number) => (sums[index + 1] ?? 0) - (sums[index] ?? 0);
  const fractions = Array.from({ length: count }, (_, index) => flow(index) / total);
  // What the warm water lifts, over all risers by what each carries: friction is the rest, and never below zero.
  const lifted = fractions.reduce(
    (sum, share, index) => sum + share * (index === query.blocked ? 0 : buoyancyOf(flow(index))),
    0,
  );
  if (sameSide) return { fractions, pressureDrop: riser(0, flow(0)) + lifted, buoyancyHead: lifted };
  // From the inlet along the feeding header to the last riser, then through it: the outlet is there.
  let drop = riser(count - 1, flow(count - 1));
  for (let i = 1; i < count; i += 1) {
    const feed = total - (sums[i] ?? 0);
    drop += header(feed) - 0.5 * inertia * ((total - (sums[i - 1] ?? 0)) ** 2 - feed ** 2);
  }
  return { fractions, pressureDrop: drop + lifted, buoyancyHead: lifted };
}

/**
 * Pa kg/s. Lift of a riser times its flow: half its warming, since it warms evenly along its length. Water below 4 °C shrinks as it
 * warms; the little by which that holds its riser back is left out, since with it there may be no steady share at all.
 */
function liftTimesFlow(fluid: Fluid, temperature: number, warming: { heat: number; rise: number }): number {
  const { heatCapacity } = fluidState(fluid, temperature);
  const perKelvin = Math.max(
    0,
    fluidState(fluid, temperature - 0.5).density - fluidState(fluid, temperature + 0.5).density,
  );
  return (perKelvin * 9.80665 * warming.rise * warming.heat) / (2 * heatCapacity);
}

/** Pa over a tube for a flow in kg/s, odd in the flow. */
function resistance(
  state: { density: number; viscosity: number },
  bore: number,
  length: number,
  minor: number,
): (flow: number) => number {
  const area = (Math.PI / 4) * bore ** 2;
  return (flow) => {
    const speed = Math.abs(flow) / (state.density * area);
    if (speed === 0) return 0;
    const reynolds = (state.density * speed * bore) / state.viscosity;
    const heads = (frictionFactor(reynolds, copperRoughness / bore) * length) / bore + minor;
    return (Math.sign(flow) * heads * state.density * speed ** 2) / 2;
  };
}
