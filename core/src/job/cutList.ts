import type { Job } from '../document';
import { onHandOf, soldOf } from '../document';
import {
  type CutDecisions,
  type Overrule,
  type Part,
  type Purchase,
  planShop,
  type Shop,
  type ShopPlan,
} from '../shop';
import { shelfOf } from '../shoplog';
import { jobParts } from './jobParts';
import type { JobInShop, OpenJob } from './open';

/** Everything to make and buy, and how it comes out of stock. */
export interface JobShop {
  parts: Part[];
  purchases: Purchase[];
  plan: ShopPlan;
}

/** Parts and what they are cut from, for the whole job, by the fast planners; of a list of one's own when it is given. */
export function jobShop(open: OpenJob, list: Pick<JobShop, 'parts' | 'purchases'> = jobParts(open)): JobShop {
  const { parts, purchases } = list;
  return { parts, purchases, plan: planShop(parts, purchases, shopNow(open), cutDecisions(open)) };
}

/** What the builder has settled about cutting. */
export function cutDecisions({ job, state }: JobInShop): CutDecisions {
  const { overrules = {}, ties = {} } = job.decisions;
  return { overrules: overruleList(overrules), locks: state.cuts, ties };
}

/** Bars laid out by hand, in the order of their ids. */
export function overruleList(overrules: NonNullable<Job['decisions']['overrules']>): Overrule[] {
  const numberOf = (id: string) => Number(/\d+$/.exec(id)?.[0] ?? 0);
  return Object.entries(overrules)
    .map(([id, one]) => ({ id, ...one }))
    .sort((a, b) => numberOf(a.id) - numberOf(b.id) || (a.id < b.id ? -1 : 1));
}

/** What shop and shed have now: what is listed and counted, and what the cuts have made of it. */
export function shopNow({ job, state }: JobInShop): Shop {
  const { sold: _, onHand: __, without, have, ...rest } = job.shop;
  return {
    ...rest,
    sold: soldOf(job.shop),
    onHand: shelfOf(onHandOf(job.shop), state),
    without: Object.keys(without ?? {}),
    have: Object.keys(have ?? {}),
  };
}
