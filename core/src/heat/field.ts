import { type FinStep, finProfile, steppedFin } from './fin';

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
  /** W/K. Flow times heat capacity in each run; nought is a run that is blocked. */
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

const rounds = 400;
/** Times what a tube takes from its foot: neighbours that pass each other so much stand at one temperature within a few per cent. */
const levelled = 20;

/** The value of one run. */
function ofRun(values: number | readonly number[], run: number): number {
  return typeof values === 'number' ? values : (values[run] ?? 0);
}

/**
 * The plate part by part along the water: every run takes what its strip gathers and, on a whole sheet, what its
 * neighbours pass it through the plate (fin with two feet, derived). Solved by rounds along the water until a thousandth of
 * a millikelvin. With like runs it is Hottel, Whillier and Bliss to the last digit but one.
 */
export function plateField(query: FieldQuery): PlateField {
  const { carried } = query;
  const runs = carried.length;
  const parts = query.parts ?? 16;
  const step = query.runLength / parts;
  const fins = couplings(query);
  const excess: Float64Array[] = carried.map(() => new Float64Array(parts));
  const water: number[][] = carried.map(() => new Array<number>(parts).fill(query.inlet));
  let mixed = query.inlet;
  for (let round = 0; round < rounds; round += 1) {
    let moved = 0;
    let entering = query.inlet;
    for (let run = 0; run < runs; run += 1) {
      const backward = query.path === 'serpentine' && run % 2 === 1;
      let temperature = query.path === 'serpentine' ? entering : query.inlet;
      const flow = carried[run] ?? 0;
      const loss = ofRun(query.lossCoefficient, run);
      const still = ofRun(query.still, run);
      const own = loss * query.tubeDiameter + (fins.self[run] ?? 0);
      const mine = excess[run];
      for (let order = 0; order < parts; order += 1) {
        const part = backward ? parts - 1 - order : order;
        // What the neighbours pass, over this strip's own still temperature.
        const beside = (other: number) => {
          const neighbour = excess[other]?.[part];
          return neighbour === undefined ? 0 : neighbour + ofRun(query.still, other) - still;
        };
        const passed = fins.between * (beside(run - 1) + beside(run + 1));
        // The foot of the fin where no water cools it.
        const free = passed / own;
        let foot = free;
        if (flow > 0) {
          const pull = 1 / (query.resistance + 1 / own);
          const reach = Math.exp((-pull * step) / flow);
          const start = temperature;
          temperature = still + free + (temperature - still - free) * reach;
          const taken = (flow * (temperature - start)) / step;
          foot = free - taken / own;
        }
        moved = Math.max(moved, Math.abs(foot - (mine?.[part] ?? 0)));
        if (mine) mine[part] = foot;
        const line = water[run];
        if (line) line[order] = temperature;
      }
      entering = temperature;
    }
    mixed = entering;
    if (moved < 1e-6) break;
  }
  const total = carried.reduce((sum, flow) => sum + flow, 0);
  const outlet =
    query.path === 'serpentine'
      ? mixed
      : total > 0
        ? carried.reduce((sum, flow, run) => sum + flow * (water[run]?.[parts - 1] ?? query.inlet), 0) / total
        : query.inlet;
  const through = query.path === 'serpentine' ? (carried[0] ?? 0) : total;
  return {
    heat: through * (outlet - query.inlet),
    outlet,
    water,
    tube: excess.map((line, run) => Array.from(line, (one) => ofRun(query.still, run) + one)),
  };
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
