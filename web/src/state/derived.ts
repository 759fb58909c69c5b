import {
  evaluateOpen,
  type Figures,
  type Finding,
  type Job,
  jobFindings,
  jobShop,
  type OpenJob,
  openJob,
  type Part,
  type ShopPlan,
} from '@north-pane/core';
import { useDocument } from './job';

/** Everything that is worked out from a document, once for each document. */
export interface Derived {
  open: OpenJob;
  parts: Part[];
  plan: ShopPlan;
  figures: Figures;
  findings: Finding[];
}

const known = new WeakMap<Job, Derived>();

export function derive(job: Job): Derived {
  const found = known.get(job);
  if (found) return found;
  const open = openJob(job);
  const { parts, plan } = jobShop(open);
  const made = { open, parts, plan, figures: evaluateOpen(open, {}, plan), findings: jobFindings(open) };
  known.set(job, made);
  return made;
}

export function useDerived(): Derived {
  return derive(useDocument());
}
