import type { Habit, Job, WasteFreePoint } from '@north-pane/core';
import { useEffect } from 'react';
import { create } from 'zustand';
import { told, workLine } from '../workers/cutWork';

interface WasteFree {
  /** Panel and dimension that the points are of. */
  of: string | undefined;
  points: readonly WasteFreePoint[];
  /** Share of the sweep that is done; undefined when nothing is under way. */
  share: number | undefined;
}

/** Sizes worth stopping at of the dimension in hand, as the worker found them last. */
export const useWasteFree = create<WasteFree>()(() => ({ of: undefined, points: [], share: undefined }));

const sweeps = workLine();
/** ms of quiet before a sweep begins. */
const quiet = 900;

/** Looks for the points of the dimension in hand, again whenever the job has come to rest. */
export function useSweep(job: Job, index: number, dimension: string | undefined, habit: Habit): void {
  useEffect(() => {
    const of = dimension && `${index} ${dimension}`;
    if (useWasteFree.getState().of !== of) useWasteFree.setState({ of, points: [] });
    if (dimension === undefined) return undefined;
    let stop: (() => void) | undefined;
    const wait = window.setTimeout(() => {
      const onProgress = told((share: number) => useWasteFree.setState({ share }));
      const work = sweeps((cut) => cut.points(job, index, dimension, habit, onProgress));
      stop = work.stop;
      void work.done.then(({ points }) => useWasteFree.setState({ of, points, share: undefined }));
    }, quiet);
    return () => {
      window.clearTimeout(wait);
      stop?.();
      useWasteFree.setState({ share: undefined });
    };
  }, [job, index, dimension, habit]);
}
