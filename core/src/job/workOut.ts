import { type Finding, gravestFirst } from '../care';
import { type Part, type Purchase, planShop, type ShopPlan } from '../shop';
import { attempt } from './attempt';
import { type Cooking, jobCooking } from './cooking';
import { cutDecisions, jobShop } from './cutList';
import { evaluateOpen, type Figures } from './evaluate';
import { jobFindings } from './findings';
import { type OpenJob, openJob } from './open';
import type { Job } from './schema';

/** Everything that is worked out from a document at once. */
export interface WorkedOut {
  open: OpenJob;
  parts: Part[];
  purchases: Purchase[];
  plan: ShopPlan;
  figures: Figures;
  /** Every material against the heat it meets, tightest first. */
  cooking: Cooking[];
  /** What is to be looked at, and what cannot be worked out, the gravest first. */
  findings: Finding[];
}

/** Works out a job, each thing by itself: what cannot be worked out is a finding at its place, and all the rest stands. */
export function workOut(job: Job): WorkedOut {
  const open = openJob(job);
  const absent: Finding[] = [];
  const shop = attempt('cost', 'panels', absent, () => jobShop(open));
  const cooking = attempt('limits', 'panels', absent, () => jobCooking(open)) ?? [];
  const figures = evaluateOpen(open, {}, shop?.plan ?? null);
  const found = attempt('matters', 'panels', absent, () => jobFindings(open, cooking)) ?? [];
  return {
    open,
    parts: shop?.parts ?? [],
    purchases: shop?.purchases ?? [],
    plan:
      shop?.plan ?? planShop([], [], job.shop, cutDecisions({ ...job, decisions: { ticks: {}, acknowledged: [] } })),
    figures,
    cooking,
    findings: gravestFirst([...figures.absent, ...absent, ...found]),
  };
}
