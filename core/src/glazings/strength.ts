import { type Material, materials, type Pane } from '../catalogue';

/** Pa. Wind or snow that a pane is looked at under, its own weight besides. Judgement: what the local code says stands above. */
export const designLoad = 750;

/** Long side over short side, with the numbers of the most deflection and the most bending moment at the middle. */
const table: readonly (readonly [ratio: number, deflection: number, moment: number])[] = [
  [1, 0.00406, 0.0479],
  [1.2, 0.00564, 0.0627],
  [1.4, 0.00705, 0.0755],
  [1.6, 0.0083, 0.0862],
  [1.8, 0.00931, 0.0948],
  [2, 0.01013, 0.1017],
  [3, 0.01223, 0.1189],
  [5, 0.01297, 0.1246],
];

function numbersAt(ratio: number): { deflection: number; moment: number } {
  const after = table.findIndex(([at]) => at >= ratio);
  const last = table[table.length - 1];
  const high = table[after] ?? last;
  const low = table[Math.max(0, after - 1)] ?? last;
  if (!high || !low) return { deflection: 0.013, moment: 0.125 };
  if (after < 0) return { deflection: 0.01302, moment: 0.125 };
  const share = high[0] === low[0] ? 0 : (ratio - low[0]) / (high[0] - low[0]);
  return { deflection: low[1] + (high[1] - low[1]) * share, moment: low[2] + (high[2] - low[2]) * share };
}

/** m. Skin of a hollow plastic sheet, about. */
const skin = 0.00045;
/** Poisson's ratio of glass; plastics near 0.35 come out a tenth stiffer. */
const poisson = 0.22;

function leavesOf(pane: Pane): { count: number; thickness: number } {
  return pane.leaf === undefined
    ? { count: 1, thickness: pane.thickness }
    : { count: pane.sheets, thickness: pane.leaf };
}

function stiffnessOf(pane: Pane): Material['stiffness'] {
  return materials[pane.material].stiffness;
}

/** N m. Bending stiffness of a pane; nothing for a film, which only pulls. */
export function rigidityOf(pane: Pane): number | undefined {
  if (pane.rigidity !== undefined) return pane.rigidity;
  const stiffness = stiffnessOf(pane);
  const { count, thickness } = leavesOf(pane);
  return stiffness && (count * stiffness.modulus * thickness ** 3) / (12 * (1 - poisson ** 2));
}

/**
 * m. How far one solid leaf bends in its middle, so far that it also pulls: ASTM E1300, appendix X2 (Dalgliesh), recalled.
 * For long over short side up to 5.
 *
 * @param query.load Pa on this leaf
 */
export function leafDeflection(query: {
  long: number;
  short: number;
  thickness: number;
  modulus: number;
  load: number;
}): number {
  const { thickness } = query;
  const a = Math.min(5, query.long / query.short);
  const r0 = 0.553 - 3.83 * a + 1.11 * a ** 2 - 0.0969 * a ** 3;
  const r1 = -2.29 + 5.83 * a - 2.17 * a ** 2 + 0.2067 * a ** 3;
  const r2 = 1.485 - 1.908 * a + 0.815 * a ** 2 - 0.0822 * a ** 3;
  const load = (query.load * (query.long * query.short) ** 2) / (query.modulus * thickness ** 4);
  // Under a load of three the leaf bends less than its thickness, and the fit has nothing to say.
  const x = Math.log(Math.log(Math.max(3, load)));
  const bent = thickness * Math.exp(r0 + r1 * x + r2 * x ** 2);
  return load < 3 ? (bent * load) / 3 : bent;
}

/**
 * How far a pane held on four edges, or over bars across it, bends under a load, and how hard. Solid leaves by ASTM
 * E1300, hollow sheets and all stresses by Timoshenko and Woinowsky-Krieger, Theory of Plates and Shells (1959), table 8, which errs
 * to the safe side where a pane bends by more than its thickness.
 *
 * @param query.bars evenly spaced under it, across its length
 * @param query.load Pa
 * @returns m, and Pa in its face; nothing for a film
 */
export function bending(query: {
  pane: Pane;
  length: number;
  width: number;
  bars: number;
  load: number;
}): { deflection: number; stress: number } | undefined {
  const { pane, load } = query;
  const rigidity = rigidityOf(pane);
  if (rigidity === undefined) return undefined;
  const span = query.length / (query.bars + 1);
  const [short, long] = [Math.min(span, query.width), Math.max(span, query.width)];
  const numbers = numbersAt(long / short);
  const { count, thickness } = leavesOf(pane);
  const linear = (numbers.deflection * load * short ** 4) / rigidity;
  // A hollow sheet carries its moment in two skins.
  if (pane.rigidity !== undefined)
    return { deflection: linear, stress: (numbers.moment * load * short ** 2) / (skin * pane.thickness) };
  const modulus = stiffnessOf(pane)?.modulus ?? 1;
  const bent = leafDeflection({ long, short, thickness, modulus, load: load / count });
  return {
    // Under half its thickness a leaf only bends, and the plain formula holds better than the fit.
    deflection: linear < thickness / 2 ? linear : Math.min(linear, bent),
    stress: (numbers.moment * load * short ** 2) / ((count * thickness ** 2) / 6),
  };
}

/** Pa that a pane bears for years. Tempered glass three times what annealed does, EN 16612. */
export function bears(pane: Pane): number | undefined {
  const stiffness = stiffnessOf(pane);
  return stiffness && (pane.kind === 'tempered' ? 3 : 1) * stiffness.bears;
}
