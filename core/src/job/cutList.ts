import type { Job } from '../document';
import { type CutDecisions, type Part, type Purchase, planShop, type ShopPlan } from '../shop';
import { jobParts } from './jobParts';
import type { OpenJob } from './open';

/** Everything to make and buy, and how it comes out of stock. */
export interface JobShop {
  parts: Part[];
  purchases: Purchase[];
  plan: ShopPlan;
}

/** Parts and what they are cut from, for the whole job, by the fast planners; of a list of one's own when it is given. */
export function jobShop(open: OpenJob, list: Pick<JobShop, 'parts' | 'purchases'> = jobParts(open)): JobShop {
  const { parts, purchases } = list;
  return { parts, purchases, plan: planShop(parts, purchases, open.job.shop, cutDecisions(open.job)) };
}

/** What the builder has settled about cutting. */
export function cutDecisions({ decisions: { overrules = [], locks = [], ties = {} } }: Job): CutDecisions {
  return { overrules, locks, ties };
}
