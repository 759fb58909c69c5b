import { errorWords } from '@north-pane/core/care';
import type { WasteFreePoint } from '@north-pane/core/cutting';
import type { Job } from '@north-pane/core/document';
import type { Habit } from '@north-pane/core/quantity';
import { useEffect } from 'react';
import { create } from 'zustand';
import { workLine } from '../workers/cutWork';
import { beginWork } from './busy';
import { useJob } from './job';

interface WasteFree {
  /** Panel and dimension that the points are of. */
  of: string | undefined;
  points: readonly WasteFreePoint[];
  /** The job that they are of; another one is being looked at, or will be. */
  job: Job | undefined;
  /** Share of the sweep that is done; undefined when nothing is under way. */
  share: number | undefined;
  trouble: string | undefined;
}

/** Sizes worth stopping at of the dimension in hand, as the worker found them last. */
export const useWasteFree = create<WasteFree>()(() => ({
  of: undefined,
  points: [],
  job: undefined,
  share: undefined,
  trouble: undefined,
}));

const sweeps = workLine();
/** ms of quiet before a sweep begins. */
const quiet = 900;

/** Looks for the points of the dimension in hand, again whenever the job has come to rest. */
export function useSweep(job: Job, index: number, dimension: string | undefined, habit: Habit): void {
  useEffect(() => {
    const of = dimension && `${index} ${dimension}`;
    if (useWasteFree.getState().of !== of) useWasteFree.setState({ of, points: [], job: undefined });
    if (dimension === undefined) return undefined;
    let stop: (() => void) | undefined;
    const waited = beginWork();
    const wait = window.setTimeout(() => {
      const work = sweeps((cut, tell) => {
        const onProgress = tell((share: number) => useWasteFree.setState({ share }));
        return cut.points({ job, state: useJob.getState().shop }, index, dimension, habit, onProgress);
      });
      stop = work.stop;
      waited();
      work.done.then(
        ({ points }) => useWasteFree.setState({ of, points, job, share: undefined, trouble: undefined }),
        (error: unknown) => useWasteFree.setState({ share: undefined, trouble: errorWords(error) }),
      );
    }, quiet);
    return () => {
      window.clearTimeout(wait);
      waited();
      stop?.();
      // A new state, even an equal one, is drawn.
      if (useWasteFree.getState().share !== undefined) useWasteFree.setState({ share: undefined });
    };
  }, [job, index, dimension, habit]);
}
