import type { Range } from '../catalogue';
import type { Job } from '../document';
import {
  type BondReading,
  bareEmittance,
  bondFromTest,
  type PaneReading,
  type PlateWeighing,
  paneFromTest,
  type TestBench,
  thicknessByWeight,
} from '../heat';
import type { OpenJob } from '../job';

type Known = NonNullable<Job['panels'][number]['known']>;

/** A value found by hand, ready to be laid over the design as built. */
export interface Found {
  input: 'bond' | 'transmittance' | 'plate';
  value: Range;
}

/**
 * The bond of a panel from a touch probe, before it is boxed.
 *
 * @param probe K by which two touches of it differ
 * @param bench whether the face is painted yet, and whether air reaches the back: a bare back gives away nearly as much again
 */
export function bondTest(
  open: OpenJob,
  index: number,
  readings: readonly BondReading[],
  probe: number,
  bench: TestBench,
): Found | undefined {
  const { heat, outside } = panelOf(open, index);
  const value = bondFromTest({
    readings,
    probe,
    width: heat.plate.width,
    tubeDiameter: heat.tube.outerDiameter,
    steps: heat.plate.steps,
    emittance: bench.painted ? heat.emittance.likely : bareEmittance,
    ...(bench.backOpen ? { back: bareEmittance } : {}),
    side: heat.absorberArea / (2 * (outside.length + outside.width)),
  });
  return value && { input: 'bond', value };
}

/** The pane of a panel from a small solar cell. */
export function paneTest(readings: readonly PaneReading[]): Found | undefined {
  const value = paneFromTest(readings);
  return value && { input: 'transmittance', value };
}

/**
 * The plate of a panel from a piece on a scale: how thick it is beside how thick it was bought, and the thickness itself.
 *
 * @param thickness m, as drawn
 */
export function plateTest(weighing: PlateWeighing, thickness: number): (Found & { thickness: Range }) | undefined {
  const found = thicknessByWeight(weighing);
  if (!found) return undefined;
  const share = (value: number) => value / thickness;
  return {
    input: 'plate',
    value: { ...found, low: share(found.low), likely: share(found.likely), high: share(found.high) },
    thickness: found,
  };
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

function panelOf(open: OpenJob, index: number) {
  const panel = open.panels[index];
  if (!panel) throw new RangeError(`no panel ${index}`);
  return panel.design;
}
