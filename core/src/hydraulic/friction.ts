import { type Fluid, fluidState } from '../thermal';

/**
 * Darcy friction factor. Laminar 64/Re; turbulent from 4 000 by Colebrook and White (1939), solved by iteration from
 * Haaland's (1983) value; a straight bridge between, where no formula is known to hold.
 */
export function frictionFactor(reynolds: number, relativeRoughness: number): number {
  const re = Math.max(1e-9, reynolds);
  if (re <= 2300) return 64 / re;
  const turbulent = (at: number) => {
    let root = -1.8 * Math.log10((relativeRoughness / 3.7) ** 1.11 + 6.9 / at);
    for (let pass = 0; pass < 6; pass += 1) root = -2 * Math.log10(relativeRoughness / 3.7 + (2.51 * root) / at);
    return root ** -2;
  };
  if (re >= 4000) return turbulent(re);
  const bridge = (re - 2300) / (4000 - 2300);
  return (1 - bridge) * (64 / 2300) + bridge * turbulent(4000);
}

/**
 * Pressure lost along a straight tube and its fittings. Darcy and Weisbach.
 *
 * @param query.massFlow kg/s; the sign of the drop follows it
 * @param query.roughness m; drawn copper about 1.5e-6
 * @param query.minorLoss sum of the fittings' loss coefficients K
 * @returns Pa
 */
export function pressureDrop(query: {
  massFlow: number;
  innerDiameter: number;
  length: number;
  roughness: number;
  temperature: number;
  fluid: Fluid;
  minorLoss?: number;
}): number {
  const state = fluidState(query.fluid, query.temperature);
  const flow = Math.abs(query.massFlow);
  if (flow === 0) return 0;
  const bore = (Math.PI / 4) * query.innerDiameter ** 2;
  const speed = flow / (state.density * bore);
  const reynolds = (state.density * speed * query.innerDiameter) / state.viscosity;
  const friction = frictionFactor(reynolds, query.roughness / query.innerDiameter);
  const heads = (friction * query.length) / query.innerDiameter + (query.minorLoss ?? 0);
  return (Math.sign(query.massFlow) * heads * state.density * speed ** 2) / 2;
}
