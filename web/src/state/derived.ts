import {
  type Cooking,
  evaluateOpen,
  type Figures,
  type Finding,
  type Job,
  jobCooking,
  jobFindings,
  jobShop,
  type OpenJob,
  openJob,
  type Part,
  type Purchase,
  type ShopPlan,
} from '@north-pane/core';
import { useDocument } from './job';

/** Everything that is worked out from a document, once for each document. */
export interface Derived {
  open: OpenJob;
  parts: Part[];
  purchases: Purchase[];
  plan: ShopPlan;
  figures: Figures;
  /** Every material against the heat it meets, tightest first. */
  cooking: Cooking[];
  findings: Finding[];
}

const known = new WeakMap<Job, Derived>();

export function derive(job: Job): Derived {
  const found = known.get(job);
  if (found) return found;
  const open = openJob(job);
  const { parts, purchases, plan } = jobShop(open);
  const cooking = jobCooking(open);
  const made = {
    open,
    parts,
    purchases,
    plan,
    figures: evaluateOpen(open, {}, plan),
    cooking,
    findings: jobFindings(open, cooking),
  };
  known.set(job, made);
  return made;
}

export function useDerived(): Derived {
  return derive(useDocument());
}
