import type { Job } from '@north-pane/core/document';
import { type Reading, type Sensors, sayVerdict } from '@north-pane/core/proof';
import { compareJob } from '@north-pane/core/proving';
import type { Habit } from '@north-pane/core/quantity';

/**
 * What a reading that is being typed says of the heater, in words; with the `last` one where the water stands, since only the rise between two
 * says something there.
 *
 * @param typed the reading as JSON: the form makes another object of it with every key
 */
export function useReadingVerdict(
  typed: string | undefined,
  built: Job,
  last: Reading | undefined,
  sensors: Sensors,
  habit: Habit,
): ReturnType<typeof sayVerdict> | undefined {
  if (typed === undefined) return undefined;
  const reading = { ...(JSON.parse(typed) as Omit<Reading, 'time'>), time: Date.now() };
  const { rows, verdict } = compareJob(built, last ? [last, reading] : [reading], { ...sensors, sun: 'words' });
  return rows.length === 0 ? undefined : sayVerdict(verdict, habit);
}
