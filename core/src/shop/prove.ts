import type { LengthPlan } from './bars';
import type { MaterialPlan } from './buying';
import { joinLengths, joinSheets } from './decided';
import { type ExactOptions, planLengths } from './exact';
import { planSheets } from './sheetSearch';

export interface ProveOptions {
  solver?: ExactOptions['solver'];
  seconds?: number;
  /** ms that have passed; the clock of the machine when left out. */
  clock?(): number;
  /** Told of each better plan of the material. */
  onProgress?(material: MaterialPlan): void;
}

/**
 * A material planned again by the planners that prove, round what is cut and what is laid out by hand.
 *
 * @returns never dearer than what it was given
 */
export async function proveMaterial(material: MaterialPlan, options: ProveOptions = {}): Promise<MaterialPlan> {
  const { onProgress, ...exactly } = options;
  if (material.kind === 'sheet') {
    const { decided } = material;
    const { solver: _, ...timed } = exactly;
    return { ...material, plan: joinSheets(decided, await planSheets(decided.query, timed)) };
  }
  const { decided, unruled } = material;
  const joined = (plan: LengthPlan): MaterialPlan => ({ ...material, plan: joinLengths(decided, plan) });
  const plan = await planLengths(decided.query, {
    ...exactly,
    ...(onProgress ? { onProgress: (best) => onProgress(joined(best)) } : {}),
  });
  const proved = joined(plan);
  if (!unruled || proved.kind !== 'length') return proved;
  const least = await planLengths(unruled.decided.query, exactly);
  return { ...proved, unruled: { ...unruled, cost: joinLengths(unruled.decided, least).cost } };
}

/** Whether the planners that prove have anything to add to a plan. */
export function isProved(material: MaterialPlan): boolean {
  return material.plan.proof.status === 'proved' && !(material.kind === 'length' && material.unruled);
}

/** What a material's proof hangs on, as a key: the same key has the same proof. */
export function proofKey(material: MaterialPlan): string {
  return material.kind === 'sheet'
    ? JSON.stringify([material.decided.query, material.decided.sheets])
    : JSON.stringify([material.decided.query, material.decided.bars, material.unruled?.decided.query]);
}
