import { defaultJob, familyIds, type Habit } from '@north-pane/core';
import { useCallback } from 'react';
import { LineUp } from '../parts/LineUp';

/** The kinds that a job can begin as, each at the place where a new job stands. */
export function Kinds({
  units,
  chosen = familyIds[0] ?? '',
  onChoose,
}: {
  units: Habit;
  chosen: string | undefined;
  onChoose(family: string): void;
}) {
  const jobOf = useCallback((family: string) => defaultJob(family, { units }), [units]);
  return <LineUp chosen={chosen} habit={units} jobOf={jobOf} onChoose={onChoose} />;
}
