import type { Choice, LengthPlan } from './bars';
import { type Wanted, worthiest } from './patterns';
import type { Solver } from './solver';

/** s below which nothing is begun any more, and steps of one search for a filling. */
export const leastSlice = 0.01;
const searchSteps = 60_000;
/** Rounds of new fillings. */
const mostRounds = 200;

/** One way to cut one kind of bar. */
export interface Pattern {
  stock: Choice;
  take: number[];
}

/** A length with the ids that want it, so that pieces alike are one thing to the plan. */
export interface Length extends Wanted {
  length: number;
  ids: string[];
}

/** What every model is made of. */
export interface Model {
  lengths: readonly Length[];
  stock: readonly Choice[];
  solve: Solver;
  /** Money that every price is a whole number of; zero where there is none. */
  unit: number;
}

/** Rows of the model: each length as often as it is wanted, each bar as often as it is to be had. */
export function rows(patterns: readonly Pattern[], lengths: readonly Length[], stock: readonly Choice[]): string[] {
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

export function costs(patterns: readonly Pattern[]): string {
  return patterns.map(({ stock }, index) => `${stock.price} x${index}`).join('\n + ');
}

/** The fillings that a plan is made of. */
export function patternsOf(plan: LengthPlan, lengths: readonly Length[], stock: readonly Choice[]): Pattern[] {
  const placeOf = new Map(lengths.map(({ length }, place) => [Math.round(length * 1e7), place]));
  return plan.bars.flatMap((bar) => {
    const one = stock.find(({ id }) => id === bar.stock);
    const take = lengths.map(() => 0);
    for (const { length } of bar.pieces) {
      const place = placeOf.get(Math.round(length * 1e7)) ?? -1;
      if (place >= 0) take[place] = (take[place] ?? 0) + 1;
    }
    return one ? [{ stock: one, take }] : [];
  });
}

export const slack = ' slack';

/** A piece that is left out, at a price that nobody pays: with these there is a plan to begin with where too little seems to be had. */
function slackPatterns(lengths: readonly Length[], stock: readonly Choice[]): Pattern[] {
  const price = 1000 * (1 + Math.ceil(Math.max(0, ...stock.map((one) => one.price))));
  const none: Choice = { id: slack, length: 0, price, room: 0, left: Number.POSITIVE_INFINITY };
  return lengths.map((_, place) => ({ stock: none, take: lengths.map((__, other) => (other === place ? 1 : 0)) }));
}

/** Fillings worth having, how often the linear plan takes each, and its cost where the search was whole. */
export interface Generated {
  patterns: Pattern[];
  shares: number[];
  bound?: number;
}

/** Fillings as their shadow prices call for them, until no other one would make the linear plan cheaper. */
export function generate(
  { lengths, stock, solve, unit }: Model,
  fast: LengthPlan,
  short: boolean,
  left: () => number,
): Generated {
  const patterns: Pattern[] = [];
  const known = new Set<string>();
  const add = (pattern: Pattern): boolean => {
    const key = `${pattern.stock.id}|${pattern.take.join()}`;
    if (known.has(key)) return false;
    known.add(key);
    patterns.push(pattern);
    return true;
  };
  for (const pattern of patternsOf(fast, lengths, stock)) add(pattern);
  if (short) for (const pattern of slackPatterns(lengths, stock)) add(pattern);
  const endless = stock.every(({ left }) => left === Number.POSITIVE_INFINITY);
  let shares: number[] = [];
  let bound: number | undefined;
  for (let round = 0; round < mostRounds && left() > leastSlice; round += 1) {
    const solved = solve(
      `Minimize\n obj: ${costs(patterns)}\nSubject To\n${rows(patterns, lengths, stock).join('\n')}\nEnd`,
      left(),
    );
    if (solved.status !== 'Optimal') break;
    shares = patterns.map((_, index) => solved.columns.get(`x${index}`) ?? 0);
    const worths = lengths.map((_, place) => solved.duals.get(`d${place}`) ?? 0);
    let cheaper = false;
    let whole = true;
    let ratio = 1;
    stock.forEach((one, place) => {
      const filling = worthiest(lengths, worths, one.room, left() > leastSlice ? searchSteps : 1);
      whole &&= filling.whole;
      if (filling.worth > 1e-9) ratio = Math.min(ratio, one.price / filling.worth);
      const reduced = one.price - (solved.duals.get(`s${place}`) ?? 0) - filling.worth;
      if (reduced < -1e-7 && add({ stock: one, take: filling.take })) cheaper = true;
    });
    // A search cut short proves nothing.
    if (!cheaper) return { patterns, shares, ...(whole ? { bound: solved.objective } : {}) };
    // Shadow prices scaled until no filling is worth more than its bar are a bound already (Farley 1990).
    if (whole && endless) bound = Math.max(bound ?? 0, solved.objective * ratio);
    if (!short && bound !== undefined && roundUp(bound, unit) >= fast.cost - 1e-6) break;
  }
  return { patterns, shares, ...(bound === undefined ? {} : { bound }) };
}

/** Money that prices can add up to and that is not below a bound. */
export function roundUp(bound: number, unit: number): number {
  return unit > 0 ? Math.ceil(bound / unit - 1e-6) * unit : bound;
}
