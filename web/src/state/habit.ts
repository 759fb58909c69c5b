import type { Habit } from '@north-pane/core/quantity';
import { useDocument } from './job';
import { useView } from './view';

/** The unit habit in use: the one chosen, else the job's own. */
export function useHabit(): Habit {
  const own = useDocument().units;
  return useView((view) => view.habit) ?? own;
}
