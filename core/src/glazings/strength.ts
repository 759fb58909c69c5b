import { type Material, materials, type Pane } from '../catalogue';

/** Pa. Snow that a pane is looked at under. Judgement: what the local code says stands above. */
export const snowLoad = 750;
/** Degrees from which snow slides off. EN 1991-1-3, 5.3. */
export const snowSlides = 60;

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
 * E1300, hollow sheets and stresses by Timoshenko and Woinowsky-Krieger, Theory of Plates and Shells (1959), table 8; where a pane
 * bends by more than its thickness the less of that and of bending and pull together.
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
  // Under half its thickness a leaf only bends, and the plain formula holds better than the fit.
  const deflection = linear < thickness / 2 ? linear : Math.min(linear, bent);
  const stress = (numbers.moment * load * short ** 2) / ((count * thickness ** 2) / 6);
  // Bent by more than its thickness it pulls too: bending by its share of the deflection, and the pull of a sine wave between edges
  // that do not give, which real edges do (derived, an upper bound).
  const slope = (Math.PI * deflection) ** 2 / 8;
  const stretch = (modulus / (1 - poisson ** 2)) * slope * (1 / short ** 2 + poisson / long ** 2);
  return { deflection, stress: Math.min(stress, (stress * deflection) / linear + stretch) };
}

/** How long a load lies: a storm's gusts, weeks of snow, the pane's own weight for good. */
export type Duration = 'storm' | 'weeks' | 'years';

/** Strength left of annealed glass by how long it is loaded, k_mod of EN 16612, table 6: storm of 10 minutes, snow, permanent. */
const glassByDuration: Record<Duration, number> = { storm: 0.74, weeks: 0.45, years: 0.29 };
/** Pa. Characteristic strength of float and of tempered glass, EN 572-1 and EN 12150-1; partial factors of EN 16612. */
const float = 45e6;
const tempered = 120e6;
const annealedFactor = 1.8;
const prestressFactor = 1.2;
/** Plastics bear about twice as much for minutes as for years. Judgement, from creep curves of acrylic and polycarbonate. */
const plasticByDuration: Record<Duration, number> = { storm: 2, weeks: 1.3, years: 1 };

/** Pa that a pane bears in bending under a load that lies so long; nothing for a film. */
export function bears(pane: Pane, duration: Duration): number | undefined {
  const stiffness = stiffnessOf(pane);
  if (!stiffness) return undefined;
  if (pane.material !== 'glass') return stiffness.bears * plasticByDuration[duration];
  const annealed = (glassByDuration[duration] * float) / annealedFactor;
  return pane.kind === 'tempered' ? annealed + (tempered - float) / prestressFactor : annealed;
}
