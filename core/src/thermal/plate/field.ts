import { type FinStep, finProfile, steppedFin } from '../fin';
import { solveBanded } from './banded';

/** A plate with its runs of tube, each strip at its own loss coefficient. */
export interface FieldQuery {
  /** m. Of one run. */
  runLength: number;
  /** m. Plate on one tube. */
  width: number;
  tubeDiameter: number;
  /** One side of a tube. */
  steps: readonly FinStep[];
  /** One sheet over all runs: heat passes from tube to tube through it. */
  whole: boolean;
  /** W/m²K, of each run's strip: one number where all are alike. */
  lossCoefficient: number | readonly number[];
  /** mK/W. Bond and film in series. */
  resistance: number;
  path: 'parallel' | 'serpentine';
  /** W/K. Flow times heat capacity in each run; zero is a run that is blocked. */
  carried: readonly number[];
  /** °C. */
  inlet: number;
  /** °C. The plate where nothing cools it, of each run's strip: one number where all are alike. */
  still: number | readonly number[];
  /** Parts that each run is taken in; 16 when left out. */
  parts?: number;
}

/** What runs and plate come to. */
export interface PlateField {
  /** W into the water. */
  heat: number;
  /** °C of all runs mixed, or of the last one. */
  outlet: number;
  /** °C of the water at the end of each part, by run, in the order of the water. */
  water: number[][];
  /** °C of the plate over the tube, by run and part, counted from the end where the first run begins. */
  tube: number[][];
}

/** Rounds along the water after which the plate is solved at one stroke: tubes that stand close settle slowly. */
const rounds = 60;
/** Times what a tube takes from its foot: neighbours that pass each other so much stand at one temperature within a few per cent. */
const levelled = 20;

/** The value of one run. */
function ofRun(values: number | readonly number[], run: number): number {
  return typeof values === 'number' ? values : (values[run] ?? 0);
}

/** What one run does to its water and its plate, the same in every part of it. */
interface Strip {
  /** W/K. */
  flow: number;
  /** °C of the plate where nothing cools it. */
  still: number;
  /** W/mK from the foot of the fin to the surroundings and the neighbours. */
  own: number;
  /** Share of its distance to the plate that the water keeps over one part. */
  reach: number;
  /** The water goes from the last part to the first. */
  backward: boolean;
}

/** Temperatures of foot, over the still plate of its run, and of the water after each part; both by run and place. */
interface Temperatures {
  excess: Float64Array[];
  water: Float64Array[];
}

/**
 * The plate part by part along the water: every run takes what its strip gathers and, on a whole sheet, what its
 * neighbours pass it through the plate (fin with two feet, derived). Solved by rounds along the water until a thousandth of
 * a millikelvin, or at one stroke where they do not settle. With like runs it is Hottel, Whillier and Bliss to the last digit
 * but one.
 */
export function plateField(query: FieldQuery): PlateField {
  const { carried } = query;
  const runs = carried.length;
  const plate = plateOf(query);
  const { strips, parts } = plate;
  const { excess, water } = settledByRounds(plate) ?? solvedAtOnce(plate);
  const end = (run: number) => water[run]?.[strips[run]?.backward ? 0 : parts - 1] ?? query.inlet;
  const total = carried.reduce((sum, flow) => sum + flow, 0);
  const outlet =
    query.path === 'serpentine'
      ? end(runs - 1)
      : total > 0
        ? carried.reduce((sum, flow, run) => sum + flow * end(run), 0) / total
        : query.inlet;
  const through = query.path === 'serpentine' ? (carried[0] ?? 0) : total;
  return {
    heat: through * (outlet - query.inlet),
    outlet,
    water: water.map((line, run) => (strips[run]?.backward ? Array.from(line).reverse() : Array.from(line))),
    tube: excess.map((line, run) => Array.from(line, (one) => ofRun(query.still, run) + one)),
  };
}

/** The coefficients of a plate's equations. */
export function plateOf(query: FieldQuery): Plate {
  const { carried, inlet, path } = query;
  const parts = query.parts ?? 16;
  const step = query.runLength / parts;
  const fins = couplings(query);
  const strips = carried.map((flow, run): Strip => {
    const own = ofRun(query.lossCoefficient, run) * query.tubeDiameter + (fins.self[run] ?? 0);
    const pull = 1 / (query.resistance + 1 / own);
    return {
      flow,
      own,
      still: ofRun(query.still, run),
      reach: flow > 0 ? Math.exp((-pull * step) / flow) : 1,
      backward: path === 'serpentine' && run % 2 === 1,
    };
  });
  return { strips, parts, step, between: fins.between, inlet, path };
}

/** A plate as its equations take it. */
export interface Plate {
  strips: readonly Strip[];
  parts: number;
  step: number;
  between: number;
  inlet: number;
  path: FieldQuery['path'];
}

/** The plate by rounds along the water; undefined when after `most` of them one still moves it by `within` K. */
export function settledByRounds(plate: Plate, most = rounds, within = 1e-6): Temperatures | undefined {
  const { strips, parts, step, between, inlet, path } = plate;
  const excess = strips.map(() => new Float64Array(parts));
  const water = strips.map(() => new Float64Array(parts).fill(inlet));
  const none = new Float64Array(parts);
  for (let round = 0; round < most; round += 1) {
    let moved = 0;
    let entering = inlet;
    for (const [run, { flow, still, own, reach, backward }] of strips.entries()) {
      const mine = excess[run] ?? none;
      const line = water[run] ?? none;
      // What the neighbours pass, over this strip's own still temperature.
      const before = excess[run - 1] ?? none;
      const after = excess[run + 1] ?? none;
      const beside = apart(strips, run - 1, still) + apart(strips, run + 1, still);
      let temperature = path === 'serpentine' ? entering : inlet;
      for (let order = 0; order < parts; order += 1) {
        const part = backward ? parts - 1 - order : order;
        // The foot of the fin where no water cools it.
        const free = (between * ((before[part] ?? 0) + (after[part] ?? 0) + beside)) / own;
        const start = temperature;
        temperature = still + free + (temperature - still - free) * reach;
        const foot = free - (flow * (temperature - start)) / step / own;
        moved = Math.max(moved, Math.abs(foot - (mine[part] ?? 0)));
        mine[part] = foot;
        line[part] = temperature;
      }
      entering = temperature;
    }
    if (moved < within) return { excess, water };
  }
  return undefined;
}

/** K that the plate beside a run would stand over this one's, nothing cooling either; zero past the last. */
function apart(strips: readonly Strip[], other: number, still: number): number {
  const neighbour = strips[other];
  return neighbour ? neighbour.still - still : 0;
}

/** The same equations solved together: water and foot of each part, run by run. */
export function solvedAtOnce({ strips, parts, step, between, inlet, path }: Plate): Temperatures {
  const size = 2 * strips.length * parts;
  const half = 2 * parts + 1;
  const wide = 2 * half + 1;
  const rows = new Float64Array(size * wide);
  const values = new Float64Array(size);
  const place = (run: number, part: number) => 2 * (run * parts + part);
  const put = (row: number, column: number, coefficient: number) => {
    const at = row * wide + half + column - row;
    rows[at] = (rows[at] ?? 0) + coefficient;
  };
  for (const [run, { flow, still, own, reach, backward }] of strips.entries()) {
    const share = between / own;
    const beside = share * (apart(strips, run - 1, still) + apart(strips, run + 1, still));
    const neighbours = [run - 1, run + 1].filter((other) => strips[other]);
    // What the foot gives its water, of what it would be without it.
    const given = (flow * (1 - reach)) / step / own;
    for (let part = 0; part < parts; part += 1) {
      const water = place(run, part);
      const foot = water + 1;
      put(water, water, 1);
      put(foot, foot, 1);
      values[water] = (1 - reach) * (still + beside);
      values[foot] = (1 - given) * beside - given * still;
      for (const other of neighbours) {
        put(water, place(other, part) + 1, -(1 - reach) * share);
        put(foot, place(other, part) + 1, -(1 - given) * share);
      }
      const first = part === (backward ? parts - 1 : 0);
      const upstream = first
        ? path === 'serpentine' && run > 0
          ? place(run - 1, part)
          : undefined
        : place(run, part + (backward ? 1 : -1));
      if (upstream === undefined) {
        values[water] += reach * inlet;
        values[foot] += given * inlet;
      } else {
        put(water, upstream, -reach);
        put(foot, upstream, -given);
      }
    }
  }
  const solution = solveBanded({ size, half, rows, values });
  const of = (run: number, which: 0 | 1) =>
    Float64Array.from({ length: parts }, (_, part) => solution[place(run, part) + which] ?? 0);
  return { excess: strips.map((_, run) => of(run, 1)), water: strips.map((_, run) => of(run, 0)) };
}

/** W/mK between neighbouring runs, and what each run's own plate takes from its foot. */
function couplings(query: FieldQuery): { between: number; self: number[] } {
  const { steps, width, tubeDiameter } = query;
  const beside = (width - tubeDiameter) / 2;
  const count = query.carried.length;
  const losses = Array.from({ length: count }, (_, run) => ofRun(query.lossCoefficient, run));
  const alone = losses.map((loss) => loss * beside * steppedFin(steps, loss));
  const apart = { between: 0, self: alone.map((one) => 2 * one) };
  if (!query.whole || beside <= 0) return apart;
  // A whole sheet is of one thickness: the mean of what lies beside the tube.
  const conductance = steps.reduce((sum, one) => sum + one.conductance * one.width, 0) / beside;
  // Strips of unlike loss pass heat by the mean of it.
  const loss = losses.reduce((sum, one) => sum + one, 0) / count;
  const m = Math.sqrt(Math.max(1e-9, loss) / conductance);
  const gap = 2 * beside * m;
  if (gap > 40) return apart;
  const most = levelled * (1 / query.resistance + loss * tubeDiameter);
  // Tubes that all but touch pass whatever levels them; without a bound the rounds would not settle.
  const between = Math.min(most, (conductance * m) / Math.sinh(gap));
  const inner = between * Math.cosh(gap);
  return {
    between,
    self: losses.map((one, run) => {
      const share = one / loss;
      const outer = alone[run] ?? 0;
      return (run > 0 ? inner * share : outer) + (run < count - 1 ? inner * share : outer);
    }),
  };
}

/** Heat removal factor of a panel whose runs follow each other, from the field. Independent of sun and inlet. */
export function serpentineRemoval(
  query: Omit<FieldQuery, 'inlet' | 'still' | 'path' | 'lossCoefficient'> & { lossCoefficient: number },
): number {
  const { heat } = plateField({ ...query, path: 'serpentine', inlet: 0, still: 1, parts: 12 });
  const area = query.carried.length * query.runLength * query.width;
  return heat / (area * query.lossCoefficient);
}

/**
 * °C over the plate: for each run, `across` lines of points from one edge of its strip to the other, evenly spaced, each
 * with the parts along the run.
 */
export function plateMap(query: FieldQuery, field: PlateField, across = 5): number[][][] {
  const { width, tubeDiameter, steps } = query;
  const half = Math.ceil(across / 2);
  const beside = (width - tubeDiameter) / 2;
  return field.tube.map((line, run) => {
    const profile = finProfile(steps, ofRun(query.lossCoefficient, run), 41);
    const still = ofRun(query.still, run);
    const share = (distance: number) => {
      const x = Math.max(0, distance - tubeDiameter / 2) / Math.max(1e-9, beside);
      return profile[Math.round(Math.min(1, x) * 40)] ?? 1;
    };
    return Array.from({ length: across }, (_, index) => {
      const distance = Math.abs((index - (across - 1) / 2) * (width / Math.max(1, 2 * half - 1)));
      return line.map((foot) => still + (foot - still) * share(distance));
    });
  });
}
