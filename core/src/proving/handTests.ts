import type { Range } from '../catalogue';
import type { Job } from '../document';
import { pointerOf, stepsOf } from '../document';
import type { OpenJob } from '../job';
import type { HandTest } from '../thermal';

type Known = NonNullable<Job['heaters'][string]['known']>;

/** A value found by hand, ready to be laid over the design as built. */
export interface Found {
  /** Id of the uncertain input that it settles. */
  input: string;
  value: Range;
}

/** Tests by hand that settle an uncertain input of a heater, as its model has them. */
export function handTestsOf(open: OpenJob, index: number): { input: string; test: HandTest }[] {
  const panel = open.panels[index];
  if (!panel) throw new RangeError(`no heater ${index}`);
  return panel.design.thermal.inputs.flatMap(({ id, handTest }) => (handTest ? [{ input: id, test: handTest }] : []));
}

/** The change that lays a value found by hand over a heater as built; an older value of the same input makes room. */
export function withFound(job: Job, heater: string, found: Found, source: string): { path: string[]; value: unknown } {
  const before = foundOf(job, heater);
  const drawn = job.heaters[heater]?.known ?? {};
  const value: Known = { ...drawn, ...before?.values, [found.input]: found.value };
  return {
    path: ['asBuilt', knownPath(heater)],
    value: { value, source: before ? `${before.source}; ${source}` : source },
  };
}

/** The job with what was measured by hand laid over it; what fits no heater of it any more is left out. */
export function withMeasured(job: Job, asBuilt: Job['asBuilt']): Job {
  const fits = (pointer: string) => {
    const [list, heater = ''] = stepsOf(pointer);
    return list !== 'heaters' || job.heaters[heater] !== undefined;
  };
  return { ...job, asBuilt: Object.fromEntries(Object.entries(asBuilt).filter(([pointer]) => fits(pointer))) };
}

/** The change that takes one of the values found by hand out again. */
export function withoutFound(job: Job, heater: string, input: Found['input']): { path: string[]; value: unknown } {
  const found = foundOf(job, heater);
  const { [input]: _, ...rest } = found?.values ?? {};
  return {
    path: ['asBuilt', knownPath(heater)],
    value: found && Object.keys(rest).length > 0 ? { value: rest, source: found.source } : undefined,
  };
}

/** Values found by hand for a heater, with where they come from. */
export function foundOf(job: Job, heater: string): { values: Known; source: string } | undefined {
  const one = job.asBuilt[knownPath(heater)];
  return one && { values: one.value as Known, source: one.source };
}

function knownPath(heater: string): string {
  return pointerOf(['heaters', heater, 'known']);
}
