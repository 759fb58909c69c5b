import { evenly } from '../quantity';
import {
  type Choice,
  choices,
  type Filled,
  gather,
  type LengthPiece,
  type LengthPlan,
  type LengthQuery,
  wasteOf,
} from './bars';
import {
  costs,
  type Generated,
  generate,
  type Length,
  leastSlice,
  type Model,
  type Pattern,
  patternsOf,
  roundUp,
  rows,
  slack,
} from './columns';
import { consolidateOffcuts } from './consolidateOffcuts';
import { planLoose } from './lengths';
import { fillings } from './patterns';
import { loadSolver, type Solver } from './solver';
import { tieUp } from './ties';
import { tryEverything } from './tryEverything';

export interface ExactOptions {
  /** HiGHS beside the program when left out. */
  solver?: () => Promise<Solver>;
  /** s that everything after the fast plan may take together, 2 by default. */
  seconds?: number;
  /** ms that have passed; the clock of the machine when left out. */
  clock?(): number;
  /** Told the best plan so far: the fast one at once. */
  onProgress?(plan: LengthPlan): void;
}

/** Fillings beyond which they are not all written down. */
const mostFillings = 3000;
/** Different lengths beyond which trying everything is not begun. */
const mostTried = 12;
/** Different lengths beyond which no model of all of them is solved: parts of the plan are bettered one by one. */
const mostModelled = 250;
/** Bars of a part that is planned again by itself. */
const partBars = 8;
/** Columns beyond which set-ups are not thinned out. */
const mostThinned = 160;

/**
 * The cheapest plan of pieces on bars, and the proof of it (Gilmore and Gomory 1961). Fillings of a bar are made as their shadow
 * prices call for them; the linear optimum, rounded up to what prices can add up to, is a bound on every plan, and the best plan in
 * whole bars of those fillings stands beside it. Where that leaves a gap and all fillings can be written down, the integer program
 * over all of them closes it. Among plans of one cost: few set-ups of the saw, then long offcuts.
 *
 * @returns never worse than `planLengthsFast`; `proof.bound` is money that no plan can undercut
 * @throws RangeError on a length that is not above zero
 */
export async function planLengths(query: LengthQuery, options: ExactOptions = {}): Promise<LengthPlan> {
  const { query: loose, untie } = tieUp(query);
  const told = options.onProgress;
  const plan = await exact(loose, {
    ...options,
    ...(told ? { onProgress: (best: LengthPlan) => told(untie(best)) } : {}),
  });
  return untie(plan);
}

async function exact(query: LengthQuery, options: ExactOptions): Promise<LengthPlan> {
  const fast = consolidated(planLoose(query), query);
  options.onProgress?.(fast);
  const stock = choices(query);
  const longest = Math.max(0, ...stock.map(({ room }) => room));
  // What no bar holds is said and left out. What is short because too little is to be had may still go on it, laid otherwise.
  const holds = ({ length }: { length: number }) => length + query.kerf <= longest + 1e-7;
  const short = fast.unplaced.some(holds);
  const tooLong = fast.unplaced.filter((piece) => !holds(piece));
  const lengths = gatherLengths(query.pieces, query.kerf, longest);
  if ((fast.proof.status === 'proved' && !short) || lengths.length === 0) return fast;
  const tried = short || lengths.length > mostTried ? undefined : tryEverything(lengths, stock);
  if (tried) {
    const plan = consolidated(planOf(tried, lengths, query, tooLong), query);
    const better = plan.cost < fast.cost - 1e-6 || plan.bars.length < fast.bars.length;
    const best = better ? plan : fast;
    const proved: LengthPlan = { ...best, proof: { status: 'proved', bound: best.cost } };
    if (better) options.onProgress?.(proved);
    return proved;
  }
  const solve = await (options.solver ?? loadSolver)();
  const clock = options.clock ?? Date.now;
  const seconds = options.seconds ?? 2;
  const until = clock() + 1000 * seconds;
  /** s that are left, of them no more than a share of all. */
  const left = (share: number) => Math.min(share * seconds, (until - clock()) / 1000);
  const unit = priceUnit(stock);
  const model = { lengths, stock, solve, unit };
  if (lengths.length > mostModelled) return searched(fast, query, { ...options, until, clock, solve });
  const made = generate(model, fast, short, () => left(0.5));
  let least = Math.max(fast.proof.bound, made.bound === undefined ? 0 : roundUp(made.bound, unit));
  let best = fast;
  let complete = !short;
  const take = (whole: Whole | undefined) => {
    if (!whole || whole.patterns.some((one, index) => one.stock.id === slack && (whole.counts[index] ?? 0) > 0)) return;
    const plan = consolidated(planOf(whole, lengths, query, tooLong), query);
    const dearer = plan.cost > best.cost + 1e-6;
    const noSimpler = plan.cost > best.cost - 1e-6 && plan.bars.length >= best.bars.length;
    if (complete && (dearer || noSimpler)) return;
    best = plan;
    complete = true;
    options.onProgress?.({ ...best, proof: { status: 'gap', bound: Math.min(least, best.cost) } });
  };
  const proved = () => complete && best.cost <= least + 1e-6;
  take(rounded(made, model, query));
  if (!proved() && left(1) > leastSlice) take(solveWhole(made.patterns, model, left(0.25)));
  // Fillings made by shadow prices may lack one that whole bars want: where all can be written down, they are.
  const all = proved() || left(1) < leastSlice ? undefined : everyPattern(lengths, stock);
  if (all) {
    const whole = solveWhole(all, model, left(0.5));
    take(whole);
    if (whole?.optimal) least = Math.max(least, Math.min(whole.cost, best.cost));
  }
  if (!complete) return { ...fast, proof: { status: 'gap', bound: Math.min(fast.proof.bound, fast.cost) } };
  if (left(1) > leastSlice) take(thinned(best, made.patterns, model, left(0.12)));
  // The solver's last digits must not set a bound above a plan that is there.
  return { ...best, proof: { status: proved() ? 'proved' : 'gap', bound: Math.min(least, best.cost) } };
}

/**
 * Too many lengths for one model: a few bars at a time are planned again by themselves, and what comes out cheaper takes their place,
 * until the time is up. The bound stays that of the bare material.
 */
async function searched(
  fast: LengthPlan,
  query: LengthQuery,
  options: ExactOptions & { until: number; clock(): number; solve: Solver },
): Promise<LengthPlan> {
  const { until, clock, solve } = options;
  const stock = choices(query);
  // Bars that are few in the shed would have to be counted part by part.
  if (stock.some(({ left }) => Number.isFinite(left)) || fast.unplaced.some(({ count }) => count > 0)) return fast;
  const random = evenly(1);
  let bars = fast.bars.flatMap(({ count, ...bar }) => Array.from({ length: count }, () => ({ ...bar, count: 1 })));
  const priceOf = (id: string) => stock.find((one) => one.id === id)?.price ?? 0;
  let best = fast;
  while (clock() < until - 1000 * leastSlice) {
    const chosen = new Set<number>();
    while (chosen.size < Math.min(partBars, bars.length)) chosen.add(Math.floor(random() * bars.length));
    const part = bars.filter((_, index) => chosen.has(index));
    const pieces = part.flatMap((bar) => bar.pieces.map((piece) => ({ ...piece, count: 1 })));
    const again = await exact(
      { ...query, pieces },
      { solver: async () => solve, clock, seconds: Math.min(0.1, (until - clock()) / 1000) },
    );
    const before = part.reduce((sum, { stock: id }) => sum + priceOf(id), 0);
    if (again.unplaced.length > 0 || again.cost >= before - 1e-6) continue;
    bars = [
      ...bars.filter((_, index) => !chosen.has(index)),
      ...again.bars.flatMap(({ count, ...bar }) => Array.from({ length: count }, () => ({ ...bar, count: 1 }))),
    ];
    const filled = bars.flatMap(({ stock: id, pieces: held }) => {
      const one = stock.find((choice) => choice.id === id);
      return one ? [{ stock: one, pieces: held }] : [];
    });
    const now = barsOf(filled, query);
    best = { ...best, ...now, proof: { status: 'gap', bound: Math.min(fast.proof.bound, now.cost) } };
    options.onProgress?.(best);
  }
  return best;
}

/** A plan with its offcuts gathered, each bar by itself first. */
function consolidated(plan: LengthPlan, query: LengthQuery): LengthPlan {
  const stock = new Map(choices(query).map((one) => [one.id, one]));
  const each = plan.bars.flatMap(({ stock: id, count, pieces }) => {
    const one = stock.get(id);
    return one ? Array.from({ length: count }, () => ({ stock: one, pieces })) : [];
  });
  return { ...plan, ...barsOf(consolidateOffcuts(each, query.kerf), query) };
}

function barsOf(
  filled: readonly Filled[],
  { kerf, trim = 0, stock }: LengthQuery,
): Pick<LengthPlan, 'bars' | 'cost' | 'waste'> {
  const bars = gather(filled, kerf, trim);
  return { bars, cost: filled.reduce((sum, bar) => sum + bar.stock.price, 0), waste: wasteOf(bars, stock) };
}

function gatherLengths(pieces: readonly LengthPiece[], kerf: number, longest: number): Length[] {
  const byLength = new Map<number, Length>();
  for (const { id, length, count } of pieces) {
    if (count <= 0 || length + kerf > longest + 1e-7) continue;
    const key = Math.round(length * 1e7);
    const one = byLength.get(key) ?? { length, size: length + kerf, count: 0, ids: [] };
    one.count += count;
    for (let copy = 0; copy < count; copy += 1) one.ids.push(id);
    byLength.set(key, one);
  }
  return [...byLength.values()].sort((a, b) => b.length - a.length);
}

function everyPattern(lengths: readonly Length[], stock: readonly Choice[]): Pattern[] | undefined {
  const patterns: Pattern[] = [];
  for (const one of stock) {
    const ways = fillings(lengths, one.room, mostFillings - patterns.length);
    if (!ways) return undefined;
    patterns.push(...ways.map((take) => ({ stock: one, take })));
  }
  return patterns;
}

/** The linear plan's whole bars, and what is left over planned at once. */
function rounded({ patterns, shares }: Generated, { lengths, stock }: Model, query: LengthQuery): Whole | undefined {
  if (shares.length === 0) return undefined;
  const counts = patterns.map((_, index) => Math.floor((shares[index] ?? 0) + 1e-6));
  const missing = lengths.map(({ count }, place) =>
    Math.max(0, count - patterns.reduce((sum, { take }, index) => sum + (counts[index] ?? 0) * (take[place] ?? 0), 0)),
  );
  const taken = (id: string) =>
    patterns.reduce((sum, one, index) => sum + (one.stock.id === id ? (counts[index] ?? 0) : 0), 0);
  const rest = planLoose({
    ...query,
    pieces: lengths.map(({ length }, place) => ({ id: String(place), length, count: missing[place] ?? 0 })),
    stock: stock.map((one) =>
      one.left === Number.POSITIVE_INFINITY ? one : { ...one, available: one.left - taken(one.id) },
    ),
  });
  if (rest.unplaced.length > 0) return undefined;
  const more = rest.bars.flatMap(({ stock: id, pieces, count }) => {
    const one = stock.find((choice) => choice.id === id);
    const take = lengths.map((_, place) => pieces.filter((piece) => piece.id === String(place)).length);
    return one ? [{ pattern: { stock: one, take }, count }] : [];
  });
  const all = [...patterns, ...more.map(({ pattern }) => pattern)];
  const numbers = [...counts, ...more.map(({ count }) => count)];
  return { patterns: all, counts: numbers, cost: moneyOf(numbers, all), optimal: false };
}

interface Whole {
  patterns: readonly Pattern[];
  counts: number[];
  cost: number;
  optimal: boolean;
}

function countsOf(solved: { columns: ReadonlyMap<string, number> }, patterns: readonly Pattern[]): number[] {
  return patterns.map((_, index) => Math.round(solved.columns.get(`x${index}`) ?? 0));
}

function enough(counts: readonly number[], patterns: readonly Pattern[], lengths: readonly Length[]): boolean {
  return lengths.every(
    ({ count }, place) =>
      patterns.reduce((sum, { take }, index) => sum + (counts[index] ?? 0) * (take[place] ?? 0), 0) >= count,
  );
}

function moneyOf(counts: readonly number[], patterns: readonly Pattern[]): number {
  return patterns.reduce((sum, { stock }, index) => sum + (counts[index] ?? 0) * stock.price, 0);
}

/** The cheapest plan in whole bars over some fillings. */
function solveWhole(
  patterns: readonly Pattern[],
  { lengths, stock, solve, unit }: Model,
  seconds: number,
): Whole | undefined {
  const names = patterns.map((_, index) => `x${index}`).join('\n');
  const solved = solve(
    `Minimize\n obj: ${costs(patterns)}\nSubject To\n${rows(patterns, lengths, stock).join('\n')}\nGeneral\n${names}\nEnd`,
    seconds,
    // Costs are whole units apart: what is less than one unit above the bound is the least.
    0.99 * unit,
  );
  const counts = countsOf(solved, patterns);
  if (!enough(counts, patterns, lengths)) return undefined;
  return { patterns, counts, cost: moneyOf(counts, patterns), optimal: solved.status === 'Optimal' };
}

/** Among plans that cost the same, one with few set-ups of the saw. */
function thinned(
  plan: LengthPlan,
  made: readonly Pattern[],
  { lengths, stock, solve }: Model,
  seconds: number,
): Whole | undefined {
  const patterns = [...made.filter((one) => one.stock.id !== slack), ...patternsOf(plan, lengths, stock)];
  if (patterns.length > mostThinned || plan.bars.length < 2) return undefined;
  const most = lengths.reduce((sum, { count }) => sum + count, 0);
  const uses = patterns.map((_, index) => ` u${index}: x${index} - ${most} y${index} <= 0`);
  const solved = solve(
    `Minimize\n obj: ${patterns.map((_, index) => `y${index}`).join('\n + ')}\nSubject To\n${rows(patterns, lengths, stock).join('\n')}\n${uses.join('\n')}\n cost: ${costs(patterns)} <= ${plan.cost + 1e-6}\nGeneral\n${patterns.map((_, index) => `x${index}`).join('\n')}\nBinary\n${patterns.map((_, index) => `y${index}`).join('\n')}\nEnd`,
    seconds,
    0.99,
  );
  const counts = countsOf(solved, patterns);
  const cost = moneyOf(counts, patterns);
  return enough(counts, patterns, lengths) ? { patterns, counts, cost, optimal: false } : undefined;
}

/** A plan of whole bars with the pieces' own ids; what a filling makes too many of stays in the offcut. */
function planOf(
  { patterns, counts }: Whole,
  lengths: readonly Length[],
  query: LengthQuery,
  unplaced: LengthPiece[],
): LengthPlan {
  const queues = lengths.map(({ ids }) => [...ids]);
  const made = patterns.flatMap((pattern, index) =>
    Array.from({ length: counts[index] ?? 0 }, () => ({
      stock: pattern.stock,
      pieces: pattern.take.flatMap((count, place) =>
        (queues[place] ?? []).splice(0, count).map((id) => ({ id, length: lengths[place]?.length ?? 0 })),
      ),
    })),
  );
  return {
    ...barsOf(
      made.filter(({ pieces }) => pieces.length > 0),
      query,
    ),
    proof: { status: 'gap', bound: 0 },
    unplaced,
  };
}

/** What every price is a whole number of: prices in whole cents have a common measure. Zero where there is none. */
function priceUnit(stock: readonly Choice[]): number {
  const cents = stock.map(({ price }) => price * 100);
  if (cents.some((price) => Math.abs(price - Math.round(price)) > 1e-6)) return 0;
  const measure = (a: number, b: number): number => (b === 0 ? a : measure(b, a % b));
  return cents.map(Math.round).reduce(measure, 0) / 100;
}
