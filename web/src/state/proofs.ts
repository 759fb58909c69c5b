import { errorWords } from '@north-pane/core/care';
import { withSameParts } from '@north-pane/core/figures';
import { shopNow } from '@north-pane/core/job';
import {
  isProved,
  type MaterialPlan,
  type Purchase,
  proofKey,
  type Shop,
  type ShopPlan,
  sumShop,
} from '@north-pane/core/shop';
import { useEffect } from 'react';
import { create } from 'zustand';
import { workLine } from '../workers/cutWork';
import { beginWork } from './busy';
import { useDerived } from './derived';

interface Proofs {
  /** Plans by what they hang on; the best so far while they are worked on. */
  known: ReadonlyMap<string, MaterialPlan>;
  /** Keys of what is finished, whether it came out proved or with a gap. */
  done: ReadonlySet<string>;
  /** Why the planners that prove could not do their work, where they could not. */
  trouble: string | undefined;
}

export const useProofs = create<Proofs>()(() => ({ known: new Map(), done: new Set(), trouble: undefined }));

/** Proofs kept: a drag to and fro finds them again. */
const mostKept = 200;
/** ms of quiet before the planners that prove are asked. */
const quiet = 700;

function keep(key: string, material: MaterialPlan, done: boolean): void {
  const { known, done: finished } = useProofs.getState();
  const next = new Map(known);
  next.delete(key);
  next.set(key, material);
  const [oldest] = next.keys();
  const over = next.size > mostKept && oldest !== undefined;
  if (over) next.delete(oldest);
  const finishedNow = new Set(finished);
  if (done) finishedNow.add(key);
  // What is kept no longer is proved again when it is asked for.
  if (over) finishedNow.delete(oldest);
  useProofs.setState({ known: next, ...(done || over ? { done: finishedNow } : {}) });
}

const proofs = workLine();

/** Has every material of the open job proved, once its design has come to rest; what a change makes stale is ended. */
export function useProving(): void {
  const { plan } = useDerived();
  useEffect(() => {
    const { done } = useProofs.getState();
    const wanted = plan.materials
      .filter((material) => !isProved(material))
      .map((material) => ({ material, key: proofKey(material) }))
      .filter(({ key }) => !done.has(key));
    if (wanted.length === 0) return undefined;
    let stop: (() => void) | undefined;
    const waited = beginWork();
    const wait = window.setTimeout(() => {
      const byItem = new Map(wanted.map(({ material, key }) => [material.item, key]));
      const take = (done: boolean) => (material: MaterialPlan) => keep(byItem.get(material.item) ?? '', material, done);
      const work = proofs((cut, tell) =>
        cut.prove(
          wanted.map(({ material }) => material),
          tell(take(false)),
        ),
      );
      stop = work.stop;
      waited();
      work.done.then(
        (proved) => {
          proved.forEach(take(true));
          useProofs.setState({ trouble: undefined });
        },
        (error: unknown) => useProofs.setState({ trouble: errorWords(error) }),
      );
    }, quiet);
    return () => {
      window.clearTimeout(wait);
      waited();
      stop?.();
    };
  }, [plan]);
}

/** A plan with the proofs that are of it; names and parts stay those of now. */
export function withProofs(
  plan: ShopPlan,
  known: ReadonlyMap<string, MaterialPlan>,
  purchases: readonly Purchase[],
  shop: Shop,
): ShopPlan {
  let better = false;
  const materials = plan.materials.map((material) => {
    const proof = known.size === 0 || isProved(material) ? undefined : known.get(proofKey(material));
    if (!proof || proof.kind !== material.kind) return material;
    better = true;
    return { ...proof, name: material.name, parts: material.parts } as MaterialPlan;
  });
  return better ? sumShop(materials, purchases, shop) : plan;
}

/** The plan that was shown last. */
let shown: ShopPlan | undefined;

/** The plan with what is as it was shown last: nobody draws that anew. */
function keptSame(plan: ShopPlan): ShopPlan {
  shown = plan === shown ? plan : withSameParts(plan, shown);
  return shown;
}

/** The plan of the open job with every proof that has landed. */
export function useProvedPlan(): ShopPlan {
  const { open, plan, purchases } = useDerived();
  const known = useProofs((state) => state.known);
  return keptSame(withProofs(plan, known, purchases, shopNow(open)));
}

/** Items of a plan whose proofs are on the way. */
export function provingItems({ materials }: ShopPlan, done: ReadonlySet<string>): ReadonlySet<string> {
  return new Set(
    materials.flatMap((material) => (isProved(material) || done.has(proofKey(material)) ? [] : [material.item])),
  );
}

/** The same, with the materials that are still being proved. */
export function useShopPlan(): { plan: ShopPlan; proving: ReadonlySet<string>; trouble: string | undefined } {
  const { plan: quick } = useDerived();
  const plan = useProvedPlan();
  const done = useProofs((state) => state.done);
  const trouble = useProofs((state) => state.trouble);
  const proving = trouble ? new Set<string>() : provingItems(quick, done);
  return { plan, proving, trouble };
}
