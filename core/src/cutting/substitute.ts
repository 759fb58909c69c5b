import { insteadOf } from '../catalogue';
import type { Job } from '../document';
import { changesBetween, parseJob } from '../document';
import { evaluateWithCost, figureChange } from '../figures';
import { type OpenJob, openJob } from '../job';
import type { FieldChanges } from './cutting';

/** Something else in the place of a thing that the shop does not have. */
export interface Substitute {
  item: string;
  name: string;
  /** The heaters with it: fields to be set in the job together. */
  changes: FieldChanges;
  /** Money, W and kg of the whole job, against what they are. */
  cost: number;
  heat: number;
  mass: number;
  /** Clashes and cautions that it brings. */
  findings: number;
}

/**
 * What could stand in the place of a length or sheet of the job: tube of another wall, a board or sheet of another thickness or width.
 * Each with what it changes; those with which no panel can be drawn or worked out are left out. Fewest new matters first, then cheapest.
 */
export function substitutes(before: OpenJob, item: string): Substitute[] {
  const { job, state } = before;
  const now = evaluateWithCost(before);
  const mattersNow = before.panels.reduce((sum, { design }) => sum + design.findings.length, 0);
  const found = insteadOf(item).flatMap((other): Substitute[] => {
    const heaters = replaced(job.heaters, item, other.id) as Job['heaters'];
    const parsed = parseJob({ ...job, heaters });
    if (!parsed.ok) return [];
    const open = openJob(parsed.job, state);
    const then = evaluateWithCost(open);
    const change = figureChange(now, then);
    if (!change) return [];
    const matters = open.panels.reduce((sum, { design }) => sum + design.findings.length, 0);
    return [
      {
        item: other.id,
        name: other.name,
        changes: changesBetween(job.heaters, heaters, ['heaters']).map(({ path, after }) => ({ path, value: after })),
        ...change,
        mass: then.dryMass - now.dryMass,
        findings: Math.max(0, matters - mattersNow),
      },
    ];
  });
  return found.sort((a, b) => a.findings - b.findings || a.cost - b.cost);
}

/** A value of a panel with every mention of one thing of the catalogue put over to another. */
function replaced(value: unknown, item: string, other: string): unknown {
  if (value === item) return other;
  if (Array.isArray(value)) return value.map((one) => replaced(one, item, other));
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, replaced(one, item, other)]));
  return value;
}
