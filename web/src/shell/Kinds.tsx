import { defaultJob } from '@north-pane/core/document';
import type { Habit } from '@north-pane/core/quantity';
import { useCallback } from 'react';
import { LineUp } from '../parts/LineUp';

/** The kinds that a job can begin as, each as it comes. */
export function Kinds({ units, chosen, onChoose }: { units: Habit; chosen: string; onChoose(family: string): void }) {
  const jobOf = useCallback((family: string) => defaultJob(family, { units }), [units]);
  return <LineUp chosen={chosen} habit={units} jobOf={jobOf} onChoose={onChoose} />;
}
