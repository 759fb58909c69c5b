import { type CutStuff, lengthStuff, type MaterialPlan, sheetStuff } from './buying';

/** What a material is cut as: the saw and its kerf hang on it. */
export function materialClass(material: MaterialPlan): CutStuff {
  if (material.kind === 'sheet') return sheetStuff(material.item);
  const part = material.parts.find((one) => one.kind === 'length');
  return part?.kind === 'length' ? lengthStuff(part) : 'tube';
}

/** Share of the bars or sheets that is in no piece; zero where there are none. */
export function wasteShare(material: MaterialPlan): number {
  const { plan, kind } = material;
  const whole =
    kind === 'length'
      ? plan.bars.reduce(
          (sum, bar) => sum + bar.count * (material.stock.find(({ id }) => id === bar.stock)?.length ?? 0),
          0,
        )
      : plan.sheets.reduce((sum, { width, height }) => sum + width * height, 0);
  return whole > 0 ? plan.waste / whole : 0;
}

/** Pieces that a plan leaves out, and whether nothing to be had is large enough or there is too little of it. */
export function leftOut(material: MaterialPlan): { id: string; count: number; why: 'too large' | 'too few' }[] {
  if (material.kind === 'length') {
    const longest = Math.max(0, ...material.stock.filter(({ available }) => available !== 0).map((one) => one.length));
    return material.plan.unplaced.map(({ id, count, length }) => ({
      id,
      count,
      why: length <= longest - 2 * material.trim + 1e-7 ? 'too few' : 'too large',
    }));
  }
  const fits = (w: number, h: number) =>
    material.stock.some((one) => one.available !== 0 && w <= one.width + 1e-7 && h <= one.height + 1e-7);
  return material.plan.unplaced.map(({ id, count, width, height, turn }) => ({
    id,
    count,
    why: fits(width, height) || (turn && fits(height, width)) ? 'too few' : 'too large',
  }));
}
