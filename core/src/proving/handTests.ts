import type { Range } from '../catalogue';
import type { Job } from '../document';
import type { OpenJob } from '../job';
import type { HandTest } from '../thermal';

type Known = NonNullable<Job['panels'][number]['known']>;

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

/** The job's as-built list with a value found by hand laid over a panel; an older value of the same input makes room. */
export function withFound(job: Job, index: number, found: Found, source: string): Job['asBuilt'] {
  const path = knownPath(index);
  const isHere = (one: Job['asBuilt'][number]) => one.path.join('.') === path.join('.');
  const before = job.asBuilt.find(isHere);
  const drawn = job.panels[index]?.known ?? {};
  const value: Known = { ...drawn, ...(before?.value as Known | undefined), [found.input]: found.value };
  const sources = before ? `${before.source}; ${source}` : source;
  return [...job.asBuilt.filter((one) => !isHere(one)), { path, value, source: sources }];
}

/** The job with what was measured by hand laid over it; what fits no panel of it any more is left out. */
export function withMeasured(job: Job, asBuilt: Job['asBuilt']): Job {
  return { ...job, asBuilt: asBuilt.filter(({ path }) => path[0] !== 'panels' || job.panels[Number(path[1])]) };
}

/** The as-built list without one of the values found by hand. */
export function withoutFound(job: Job, index: number, input: Found['input']): Job['asBuilt'] {
  return job.asBuilt.flatMap((one) => {
    if (one.path.join('.') !== knownPath(index).join('.')) return [one];
    const { [input]: _, ...rest } = one.value as Known;
    return Object.keys(rest).length > 0 ? [{ ...one, value: rest }] : [];
  });
}

/** Values found by hand for a panel, with where they come from. */
export function foundOf(job: Job, index: number): { values: Known; source: string } | undefined {
  const one = job.asBuilt.find(({ path }) => path.join('.') === knownPath(index).join('.'));
  return one && { values: one.value as Known, source: one.source };
}

function knownPath(index: number): (string | number)[] {
  return ['panels', index, 'known'];
}
