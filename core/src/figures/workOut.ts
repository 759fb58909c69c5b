import { type Finding, gravestFirst } from '../care';
import { jobFindings, type ServiceMargin, serviceMargins } from '../cautions';
import type { Job } from '../document';
import { same } from '../document';
import { attempt, type JobInShop, jobParts, jobShop, type OpenJob, openJob, shopNow } from '../job';
import { nothingDecided, type Part, type Purchase, planShop, type ShopPlan } from '../shop';
import { type ShopState, untouchedShop } from '../shoplog';
import { evaluateOpen, type Figures } from './evaluate';

/** Everything that is worked out from a document at once. */
export interface WorkedOut {
  open: OpenJob;
  parts: Part[];
  purchases: Purchase[];
  plan: ShopPlan;
  figures: Figures;
  /** Every material against the heat it meets, tightest first. */
  margins: ServiceMargin[];
  /** What is to be looked at, and what cannot be worked out, the gravest first. */
  findings: Finding[];
}

/** What of a job stands no different when only prices, stock, locks and ticks have changed: all but the money. */
interface Design {
  open: OpenJob;
  list: { parts: Part[]; purchases: Purchase[] } | undefined;
  figures: Figures;
  margins: ServiceMargin[];
  /** What is to be looked at in the design, and what of it cannot be worked out. */
  findings: Finding[];
}

/**
 * Works out a job, each thing by itself: what cannot be worked out is a finding at its place, and all the rest stands.
 *
 * @param state how it stands in the shop
 * @param before of the same job a moment ago: what does not hang on the fields that have changed since is taken over
 */
export function workOut(job: Job, state: ShopState = untouchedShop, before?: WorkedOut): WorkedOut {
  const kept = before && sameDesign(before.open.job, job) ? designs.get(before) : undefined;
  const design = kept ? { ...kept, open: { ...kept.open, job, state } } : workOutDesign(job, state);
  const { open, list } = design;
  const absent: Finding[] = [];
  const plan =
    kept && before && sameShop(before.open, open)
      ? before.plan
      : list && attempt('cost', 'heaters', absent, () => withSameParts(jobShop(open, list).plan, before?.plan));
  const { cost: _, ...figures } = design.figures;
  const worked: WorkedOut = {
    open,
    parts: list?.parts ?? [],
    purchases: list?.purchases ?? [],
    plan: plan ?? planShop([], [], shopNow(open), nothingDecided),
    figures: { ...figures, ...(plan ? { cost: plan.cost } : {}), unpriced: plan?.unpriced ?? [] },
    margins: design.margins,
    findings: absent.length === 0 ? design.findings : gravestFirst([...absent, ...design.findings]),
  };
  designs.set(worked, design);
  return worked;
}

/** A plan in which every list, material and line that came out as before is the same object as before: whoever draws it need not draw it anew. */
export function withSameParts(plan: ShopPlan, before: ShopPlan | undefined): ShopPlan {
  if (!before) return plan;
  const known = new Map<string, unknown>([
    ...before.materials.map((material) => [`material ${material.item}`, material] as const),
    ...before.buy.map((line) => [`line ${line.id}`, line] as const),
  ]);
  const last = <T>(key: string, now: T): T => {
    const then = known.get(key);
    return same(then, now) ? (then as T) : now;
  };
  const list = <T>(now: T[], then: T[]): T[] =>
    now.length === then.length && now.every((one, index) => one === then[index]) ? then : now;
  return {
    ...plan,
    materials: list(
      plan.materials.map((material) => last(`material ${material.item}`, material)),
      before.materials,
    ),
    buy: list(
      plan.buy.map((line) => last(`line ${line.id}`, line)),
      before.buy,
    ),
  };
}

/** The design under what was worked out, for the next time. */
const designs = new WeakMap<WorkedOut, Design>();

function workOutDesign(job: Job, state: ShopState): Design {
  const open = openJob(job, state);
  const absent: Finding[] = [];
  const list = attempt('cost', 'heaters', absent, () => jobParts(open));
  const margins = attempt('limits', 'heaters', absent, () => serviceMargins(open)) ?? [];
  const figures = evaluateOpen(open);
  const found = attempt('matters', 'heaters', absent, () => jobFindings(open, margins)) ?? [];
  return { open, list, figures, margins, findings: gravestFirst([...figures.absent, ...absent, ...found]) };
}

/** Fields of a job on which nothing of the design hangs. */
const besides: ReadonlySet<string> = new Set(['shop', 'decisions', 'name', 'currency']);

/** Whether two documents have the same design: their fields are the same objects, as copies with one field set share the rest. */
function sameDesign(a: Job, b: Job): boolean {
  return (Object.keys({ ...a, ...b }) as (keyof Job)[]).every((field) => besides.has(field) || a[field] === b[field]);
}

function sameShop({ job: a, state: one }: JobInShop, { job: b, state: other }: JobInShop): boolean {
  return (
    a.shop === b.shop &&
    a.decisions.overrules === b.decisions.overrules &&
    a.decisions.ties === b.decisions.ties &&
    // A tick moves no bar; folded again, the same cuts are another list.
    (one === other || (same(one.cuts, other.cuts) && same(one.moved, other.moved)))
  );
}
