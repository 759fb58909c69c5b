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

/** A part of the plate beside a tube, counted from the tube outward: fins that lap under each other are thicker near it. */
export interface FinStep {
  /** m. */
  width: number;
  /** W/K. Conductivity times thickness, all layers of it. */
  conductance: number;
}

/**
 * Efficiency of a plate whose thickness changes in steps away from the tube, its outer end giving nothing away. Each step
 * is solved in closed form and handed to the next (derived; one step is D&B 6.5.12).
 *
 * @returns 0 to 1
 */
export function steppedFin(steps: readonly FinStep[], lossCoefficient: number): number {
  const loss = Math.max(0, lossCoefficient);
  let width = 0;
  /** W/mK that the part farther out takes from its foot, for a kelvin there. */
  let taken = 0;
  for (let index = steps.length - 1; index >= 0; index -= 1) {
    const step = steps[index];
    if (!step || step.width <= 0) continue;
    width += step.width;
    const reach = Math.sqrt(loss * step.conductance);
    const tanh = Math.tanh(Math.sqrt(loss / step.conductance) * step.width);
    taken = reach === 0 ? 0 : (reach * (taken + reach * tanh)) / (reach + taken * tanh);
  }
  return width === 0 || loss === 0 ? 1 : taken / (loss * width);
}

/**
 * Temperature along a stepped plate from the tube to its outer end, as excess over the plate that nothing cools: 1 at the
 * tube's edge. Derived.
 *
 * @param points how many, evenly spaced over the whole width, the tube's edge and the outer end among them
 */
export function finProfile(steps: readonly FinStep[], lossCoefficient: number, points: number): number[] {
  const loss = Math.max(1e-9, lossCoefficient);
  const wide = steps.filter(({ width }) => width > 0);
  const total = wide.reduce((sum, { width }) => sum + width, 0);
  /** What each step's outer end takes, from the last one inward. */
  const beyond: number[] = [];
  let taken = 0;
  for (const step of [...wide].reverse()) {
    beyond.unshift(taken);
    const reach = Math.sqrt(loss * step.conductance);
    const tanh = Math.tanh(Math.sqrt(loss / step.conductance) * step.width);
    taken = (reach * (taken + reach * tanh)) / (reach + taken * tanh);
  }
  const profile: number[] = [];
  let foot = 1;
  let from = 0;
  let next = 0;
  wide.forEach((step, index) => {
    const m = Math.sqrt(loss / step.conductance);
    const reach = m * step.conductance;
    const leak = (beyond[index] ?? 0) / reach;
    const at = (x: number) => {
      const left = m * (step.width - x);
      const whole = m * step.width;
      return (foot * (Math.cosh(left) + leak * Math.sinh(left))) / (Math.cosh(whole) + leak * Math.sinh(whole));
    };
    const last = index === wide.length - 1;
    for (; next < points; next += 1) {
      const x = (total * next) / (points - 1) - from;
      if (x > step.width + 1e-12 && !last) break;
      profile.push(at(Math.min(x, step.width)));
    }
    foot = at(step.width);
    from += step.width;
  });
  return profile.length === points ? profile : new Array<number>(points).fill(1);
}

/**
 * How a tube sits on its plate. `under`: below it or in a groove of it, all heat passes the bond. `over`: on top of it, the
 * tube itself lies in the sun and only the plate's heat passes the bond. `in`: tube and plate of one piece, no bond.
 */
export type TubeMount = 'under' | 'over' | 'in';

/**
 * Collector efficiency factor F'. D&B equation 6.5.18 for a tube under the plate, and their figure 6.5.4 for the others.
 *
 * @param query.bondConductance W/mK of tube; Infinity is a perfect bond
 * @param query.filmCoefficient W/m²K inside the tube
 * @param query.mount a tube under the plate when left out
 */
export function efficiencyFactor(query: {
  lossCoefficient: number;
  pitch: number;
  outerDiameter: number;
  innerDiameter: number;
  finEfficiency: number;
  bondConductance: number;
  filmCoefficient: number;
  mount?: TubeMount;
}): number {
  const { lossCoefficient: loss, pitch, mount = 'under' } = query;
  // Tubes drawn into each other share their plate: none lies wider than its strip.
  const outer = Math.min(query.outerDiameter, pitch);
  const film = 1 / (Math.PI * query.innerDiameter * query.filmCoefficient);
  const bond = mount === 'in' ? 0 : 1 / query.bondConductance;
  const fins = loss * (pitch - outer) * query.finEfficiency;
  const tube = loss * outer;
  if (mount === 'over') {
    // The tube takes its own sun; the plate beside it comes by way of the bond.
    const gather = tube + (fins > 0 ? 1 / (1 / fins + bond) : 0);
    return 1 / loss / (pitch * (1 / gather + film));
  }
  return 1 / loss / (pitch * (1 / (tube + fins) + bond + film));
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
  // A loss of nearly zero: the limit is F' itself.
  return share < 1e-9 ? query.efficiencyFactor : (carried / lost) * -Math.expm1(-share);
}
