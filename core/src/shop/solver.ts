/** What an integer program asks of a solver: a model as text, and what came of it. */
export interface Solved {
  status: string;
  objective: number;
  /** By column name. */
  columns: ReadonlyMap<string, number>;
  /** Shadow prices by row name; empty for a mixed-integer model. */
  duals: ReadonlyMap<string, number>;
}

/**
 * Solves a model in CPLEX LP format within a time limit in seconds; a mixed-integer one until what it found is within `gap` of its
 * bound. Blocks while it works: run it in a worker.
 */
export type Solver = (model: string, seconds: number, gap?: number) => Solved;

/**
 * HiGHS, compiled to WebAssembly. Where the binary cannot be found beside the program, as in a bundled worker, its address is
 * given.
 *
 * @param binary address of `highs.wasm`
 * @param work.nodes of the search tree after which it stops with what it has, beside the time
 */
export async function loadSolver(binary?: string, { nodes }: { nodes?: number } = {}): Promise<Solver> {
  const { default: load } = await import('highs');
  const highs = await load(binary === undefined ? {} : { locateFile: () => binary });
  return (model, seconds, gap = 0) => {
    const found = highs.solve(model, {
      output_flag: false,
      // A budget that is used up is no time, and no error.
      time_limit: Math.max(0, seconds),
      mip_rel_gap: 0,
      mip_abs_gap: gap,
      ...(nodes === undefined ? {} : { mip_max_nodes: nodes }),
    });
    const columns = new Map<string, number>();
    for (const [name, column] of Object.entries(found.Columns))
      if ('Primal' in column && typeof column.Primal === 'number') columns.set(name, column.Primal);
    const duals = new Map<string, number>();
    for (const row of found.Rows) if ('Dual' in row && typeof row.Dual === 'number') duals.set(row.Name, row.Dual);
    return { status: found.Status, objective: found.ObjectiveValue, columns, duals };
  };
}
