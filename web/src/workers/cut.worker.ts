import {
  editableDimensions,
  type Habit,
  type Job,
  loadSolver,
  type MaterialPlan,
  openJob,
  proveMaterial,
  type Solver,
  shrinkToSave,
  stretchToStock,
  sweepTogether,
  wasteFreePoints,
} from '@north-pane/core';
import { expose } from 'comlink';
import binary from 'highs/runtime?url';

let loading: Promise<Solver> | undefined;

/** The solver, fetched when a plan first needs it. */
function solver(): Promise<Solver> {
  loading ??= loadSolver(binary);
  return loading;
}

function dimensionOf(job: Job, index: number, id: string) {
  const found = editableDimensions(openJob(job), index).find((one) => one.id === id);
  if (!found) throw new RangeError(`no dimension ${id}`);
  return found;
}

const cut = {
  /** Plans materials again by the planners that prove; each better plan is told at once. */
  async prove(materials: readonly MaterialPlan[], onPlan: (material: MaterialPlan) => void): Promise<void> {
    for (const material of materials) onPlan(await proveMaterial(material, { solver, onProgress: onPlan }));
  },
  /** Sizes of a dimension at which less is wasted. */
  points: (job: Job, index: number, dimension: string, habit: Habit, onProgress: (share: number) => void) =>
    wasteFreePoints(job, index, dimensionOf(job, index, dimension), habit, { solver, onProgress }),
  stretch: (job: Job, index: number, habit: Habit, onProgress: (share: number) => void) =>
    stretchToStock(job, index, habit, { onProgress }),
  shrink: (job: Job, index: number, habit: Habit, onProgress: (share: number) => void) =>
    shrinkToSave(job, index, habit, { reach: 0.25, onProgress }),
  together: (
    job: Job,
    index: number,
    pair: readonly [string, string],
    habit: Habit,
    onProgress: (share: number) => void,
  ) =>
    sweepTogether(job, index, [dimensionOf(job, index, pair[0]), dimensionOf(job, index, pair[1])], habit, {
      reach: 0.2,
      onProgress,
    }),
};

export type CutWork = typeof cut;
expose(cut);
