/**
 * Fin efficiency of a straight plate between two tubes. D&B equation 6.5.12.
 *
 * @param query.conductance W/K. Conductivity times thickness of the plate
 * @param query.lossCoefficient W/m²K
 * @param query.pitch m. Tube to tube, or width of the fin on one tube
 * @param query.tubeDiameter m. Outside
 * @returns 0 to 1
 * @example finEfficiency({ conductance: 385 * 0.0005, lossCoefficient: 8, pitch: 0.15, tubeDiameter: 0.01 }) // 0.937
 */
export function finEfficiency(query: {
  conductance: number;
  lossCoefficient: number;
  pitch: number;
  tubeDiameter: number;
}): number {
  const half = (query.pitch - query.tubeDiameter) / 2;
  const reach = Math.sqrt(Math.max(0, query.lossCoefficient) / query.conductance) * Math.max(0, half);
  return reach < 1e-6 ? 1 : Math.tanh(reach) / reach;
}

/**
 * Collector efficiency factor F' with the tube under the plate. D&B equation 6.5.18.
 *
 * @param query.bondConductance W/mK of tube; Infinity is a perfect bond
 * @param query.filmCoefficient W/m²K inside the tube
 */
export function efficiencyFactor(query: {
  lossCoefficient: number;
  pitch: number;
  outerDiameter: number;
  innerDiameter: number;
  finEfficiency: number;
  bondConductance: number;
  filmCoefficient: number;
}): number {
  const { lossCoefficient: loss, pitch, outerDiameter: outer } = query;
  const gather = loss * (outer + (pitch - outer) * query.finEfficiency);
  const chain = 1 / gather + 1 / query.bondConductance + 1 / (Math.PI * query.innerDiameter * query.filmCoefficient);
  return 1 / loss / (pitch * chain);
}

/**
 * Heat removal factor F_R. D&B equation 6.7.4. Without flow it is 0.
 *
 * @param query.massFlow kg/s
 * @param query.heatCapacity J/kgK
 * @param query.area m² of plate
 */
export function heatRemovalFactor(query: {
  massFlow: number;
  heatCapacity: number;
  area: number;
  lossCoefficient: number;
  efficiencyFactor: number;
}): number {
  const carried = query.massFlow * query.heatCapacity;
  const lost = query.area * query.lossCoefficient;
  if (carried <= 0) return 0;
  const share = (lost * query.efficiencyFactor) / carried;
  // A loss of nearly nought: the limit is F' itself.
  return share < 1e-9 ? query.efficiencyFactor : (carried / lost) * -Math.expm1(-share);
}
