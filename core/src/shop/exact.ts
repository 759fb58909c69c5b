import {
  type Bar,
  type Choice,
  choices,
  gather,
  type LengthPiece,
  type LengthPlan,
  type LengthQuery,
  planLengthsFast,
} from './lengths';
import { fillings, type Wanted, worthiest } from './patterns';
import { loadSolver, type Solver } from './solver';

export interface ExactOptions {
  /** HiGHS beside the program when left out. */
  solver?: () => Promise<Solver>;
  /** s that an integer program may take, 2 by default; there are at most two, and a short one that thins set-ups. */
  seconds?: number;
  /** Told the best plan so far: the fast one at once. */
  onProgress?(plan: LengthPlan): void;
}

/** Fillings beyond which they are not all written down. */
const mostFillings = 3000;
/** Rounds of new fillings, and columns beyond which set-ups are not thinned out. */
const mostRounds = 200;
const mostThinned = 400;

/** One way to cut one kind of bar. */
interface Pattern {
  stock: Choice;
  take: number[];
}

/** A length with the ids that want it, so that pieces alike are one thing to the plan. */
interface Length extends Wanted {
  length: number;
  ids: string[];
}

/**
 * The cheapest plan of pieces on bars, and the proof of it (Gilmore and Gomory 1961). Fillings of a bar are made as their shadow
 * prices call for them; the linear optimum, rounded up to what prices can add up to, is a bound on every plan, and the best plan in
 * whole bars of those fillings stands beside it. Where that leaves a gap and all fillings can be written down, the integer program
 * over all of them closes it.
 *
 * @returns never worse than `planLengthsFast`; `proof.bound` is money that no plan can undercut
 * @throws RangeError on a length that is not above nought
 */
export async function planLengths(query: LengthQuery, options: ExactOptions = {}): Promise<LengthPlan> {
  const fast = planLengthsFast(query);
  options.onProgress?.(fast);
  const stock = choices(query);
  const longest = Math.max(0, ...stock.map(({ room }) => room));
  // What is short because too little is to be had has no plan to prove; what no bar holds is said and left out.
  const short = fast.unplaced.some(({ length }) => length + query.kerf <= longest + 1e-7);
  const lengths = gatherLengths(query.pieces, query.kerf, longest);
  if (fast.proof.status === 'proved' || short || lengths.length === 0) return fast;
  const solve = await (options.solver ?? loadSolver)();
  const seconds = options.seconds ?? 2;
  const made = generate(lengths, stock, fast, solve, seconds);
  const bound = Math.max(fast.proof.bound, made.bound === undefined ? 0 : roundUp(made.bound, stock));
  const model = { lengths, stock, solve };
  let best = solveWhole(made.patterns, model, seconds / 2);
  let least = bound;
  // Fillings made by shadow prices may lack one that whole bars want: where all can be written down, they are.
  const all = best && best.cost <= bound + 1e-6 ? undefined : everyPattern(lengths, stock);
  if (all) {
    const whole = solveWhole(all, model, seconds);
    if (whole && (!best || whole.cost < best.cost - 1e-6)) best = whole;
    if (whole?.optimal) least = Math.max(least, whole.cost);
  }
  // The solver's last digits must not set a bound above a plan that is there.
  const proof = (cost: number): LengthPlan['proof'] => ({
    status: cost <= least + 1e-6 ? 'proved' : 'gap',
    bound: Math.min(least, cost),
  });
  if (!best || best.cost > fast.cost + 1e-6) return { ...fast, proof: proof(fast.cost) };
  const plan = planOf(thinned(best, model), lengths, query, fast.unplaced);
  // At the same cost the one with fewer set-ups of the saw.
  const kept = plan.cost < fast.cost - 1e-6 || plan.bars.length < fast.bars.length ? plan : fast;
  return { ...kept, proof: proof(kept.cost) };
}

/** What every model is made of. */
interface Model {
  lengths: readonly Length[];
  stock: readonly Choice[];
  solve: Solver;
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

/** Rows of the model: each length as often as it is wanted, each bar as often as it is to be had. */
function rows(patterns: readonly Pattern[], lengths: readonly Length[], stock: readonly Choice[]): string[] {
  const terms = (of: (pattern: Pattern) => number) =>
    patterns.flatMap((pattern, index) => (of(pattern) > 0 ? [`${of(pattern)} x${index}`] : [])).join('\n + ');
  return [
    ...lengths.map(({ count }, place) => ` d${place}: ${terms(({ take }) => take[place] ?? 0)} >= ${count}`),
    ...stock.flatMap(({ left }, place) => {
      const sum = terms((pattern) => (pattern.stock === stock[place] ? 1 : 0));
      return Number.isFinite(left) && sum ? [` s${place}: ${sum} <= ${left}`] : [];
    }),
  ];
}

function costs(patterns: readonly Pattern[]): string {
  return patterns.map(({ stock }, index) => `${stock.price} x${index}`).join('\n + ');
}

/** Fillings as their shadow prices call for them, until no other one would make the linear plan cheaper. */
function generate(
  lengths: readonly Length[],
  stock: readonly Choice[],
  fast: LengthPlan,
  solve: Solver,
  seconds: number,
): { patterns: Pattern[]; bound?: number } {
  const patterns: Pattern[] = [];
  const known = new Set<string>();
  const add = (pattern: Pattern): boolean => {
    const key = `${pattern.stock.id}|${pattern.take.join()}`;
    if (known.has(key)) return false;
    known.add(key);
    patterns.push(pattern);
    return true;
  };
  const placeOf = new Map(lengths.map(({ length }, place) => [Math.round(length * 1e7), place]));
  for (const bar of fast.bars) {
    const one = stock.find(({ id }) => id === bar.stock);
    const take = lengths.map(() => 0);
    for (const { length } of bar.pieces) {
      const place = placeOf.get(Math.round(length * 1e7)) ?? -1;
      if (place >= 0) take[place] = (take[place] ?? 0) + 1;
    }
    if (one) add({ stock: one, take });
  }
  for (let round = 0; round < mostRounds; round += 1) {
    const solved = solve(
      `Minimize\n obj: ${costs(patterns)}\nSubject To\n${rows(patterns, lengths, stock).join('\n')}\nEnd`,
      seconds,
    );
    if (solved.status !== 'Optimal') return { patterns };
    const worths = lengths.map((_, place) => solved.duals.get(`d${place}`) ?? 0);
    let cheaper = false;
    let whole = true;
    stock.forEach((one, place) => {
      const filling = worthiest(lengths, worths, one.room);
      whole &&= filling.whole;
      const reduced = one.price - (solved.duals.get(`s${place}`) ?? 0) - filling.worth;
      if (reduced < -1e-7 && add({ stock: one, take: filling.take })) cheaper = true;
    });
    // A search cut short proves nothing.
    if (!cheaper) return whole ? { patterns, bound: solved.objective } : { patterns };
  }
  return { patterns };
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
  { lengths, stock, solve }: Model,
  seconds: number,
): Whole | undefined {
  const names = patterns.map((_, index) => `x${index}`).join('\n');
  const solved = solve(
    `Minimize\n obj: ${costs(patterns)}\nSubject To\n${rows(patterns, lengths, stock).join('\n')}\nGeneral\n${names}\nEnd`,
    seconds,
  );
  const counts = countsOf(solved, patterns);
  if (!enough(counts, patterns, lengths)) return undefined;
  return { patterns, counts, cost: moneyOf(counts, patterns), optimal: solved.status === 'Optimal' };
}

/** Among plans that cost the same, one with few set-ups of the saw. */
function thinned(whole: Whole, { lengths, stock, solve }: Model): Whole {
  const { patterns } = whole;
  if (patterns.length > mostThinned) return whole;
  const most = lengths.reduce((sum, { count }) => sum + count, 0);
  const uses = patterns.map((_, index) => ` u${index}: x${index} - ${most} y${index} <= 0`);
  const solved = solve(
    `Minimize\n obj: ${patterns.map((_, index) => `y${index}`).join('\n + ')}\nSubject To\n${rows(patterns, lengths, stock).join('\n')}\n${uses.join('\n')}\n cost: ${costs(patterns)} <= ${whole.cost + 1e-6}\nGeneral\n${patterns.map((_, index) => `x${index}`).join('\n')}\nBinary\n${patterns.map((_, index) => `y${index}`).join('\n')}\nEnd`,
    0.5,
  );
  const counts = countsOf(solved, patterns);
  return enough(counts, patterns, lengths) && moneyOf(counts, patterns) <= whole.cost + 1e-6
    ? { ...whole, counts }
    : whole;
}

/** A plan of whole bars with the pieces' own ids; what a filling makes too many of stays in the offcut. */
function planOf(
  { patterns, counts }: Whole,
  lengths: readonly Length[],
  { kerf, trim = 0 }: LengthQuery,
  unplaced: LengthPiece[],
): LengthPlan {
  const queues = lengths.map(({ ids }) => [...ids]);
  const made = patterns.flatMap((pattern, index) =>
    Array.from({ length: counts[index] ?? 0 }, () => ({
      stock: pattern.stock,
      used: 0,
      pieces: pattern.take.flatMap((count, place) =>
        (queues[place] ?? []).splice(0, count).map((id) => ({ id, length: lengths[place]?.length ?? 0 })),
      ),
    })),
  );
  const bars = made.filter(({ pieces }) => pieces.length > 0);
  return {
    bars: gather(bars, kerf, trim) satisfies Bar[],
    cost: bars.reduce((sum, { stock }) => sum + stock.price, 0),
    waste: bars.reduce(
      (sum, { stock, pieces }) => sum + stock.length - pieces.reduce((all, { length }) => all + length, 0),
      0,
    ),
    proof: { status: 'gap', bound: 0 },
    unplaced,
  };
}

/** Money that prices can add up to and that is not below a bound: prices in whole cents have a common measure. */
function roundUp(bound: number, stock: readonly Choice[]): number {
  const cents = stock.map(({ price }) => price * 100);
  if (cents.some((price) => Math.abs(price - Math.round(price)) > 1e-6)) return bound;
  const measure = (a: number, b: number): number => (b === 0 ? a : measure(b, a % b));
  const unit = cents.map(Math.round).reduce(measure, 0) / 100;
  return unit > 0 ? Math.ceil(bound / unit - 1e-6) * unit : bound;
}
