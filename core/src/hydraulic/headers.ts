import { type ManifoldQuery, manifoldFlow } from './manifold';

/** How evenly a header feeds its risers. */
export interface HeaderEvenness {
  /** m. */
  bore: number;
  /** Header's bore area over the bore areas of all risers: the rule of thumb asks for 1 or more. */
  areaRatio: number;
  /** Most over least of the risers' flows. */
  unevenness: number;
  /** Pa. */
  pressureDrop: number;
  shares: number[];
}

/** Most over least of the flows of some branches; a branch that stands still makes it very large, not endless. */
export function unevenness(shares: readonly number[]): number {
  return Math.max(...shares) / Math.max(1e-9, Math.min(...shares));
}

/** Each header bore with what the network makes of it, all else alike. */
export function headersCompared(query: ManifoldQuery, bores: readonly number[]): HeaderEvenness[] {
  return bores.map((bore) => {
    const { fractions, pressureDrop } = manifoldFlow({ ...query, headerBore: bore });
    const open = fractions.filter((_, riser) => riser !== query.blocked);
    return {
      bore,
      areaRatio: bore ** 2 / (query.risers * query.riserBore ** 2),
      unevenness: unevenness(open),
      pressureDrop,
      shares: fractions,
    };
  });
}

/** Most over least that hardly costs anything: the gain then falls by about a thousandth, as the plate part by part shows. */
export const evenEnough = 1.5;

/** The narrowest of some headers that feeds evenly enough; the widest when none does. */
export function narrowestEven(compared: readonly HeaderEvenness[], most = evenEnough): HeaderEvenness | undefined {
  const byBore = [...compared].sort((a, b) => a.bore - b.bore);
  return byBore.find(({ unevenness }) => unevenness <= most) ?? byBore[byBore.length - 1];
}
