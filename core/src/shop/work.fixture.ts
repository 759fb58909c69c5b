import { loadSolver, type Solver } from './solver';

/**
 * A clock that counts work and no time. The same on a busy machine.
 *
 * @param each ms that pass each time that it is looked at
 */
export function workClock(each = 1): () => number {
  let now = 0;
  return () => {
    now += each;
    return now;
  };
}

/** The solver by its work and not by time: what it finds does not hang on how busy the machine is. */
export async function patientSolver(): Promise<Solver> {
  const solve = await loadSolver(undefined, { nodes: 5 });
  return (model, _, gap) => solve(model, 3600, gap);
}

/** How planners that prove are asked in tests. */
export const patient = async (): Promise<{ solver: () => Promise<Solver>; clock: () => number }> => {
  const solver = await patientSolver();
  return { solver: async () => solver, clock: workClock() };
};
