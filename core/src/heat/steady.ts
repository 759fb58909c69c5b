import type { CollectorDescription, HeatConditions } from './description';
import { serpentineRemoval } from './field';
import { slotFilm, tubeFilm } from './film';
import { efficiencyFactor, heatRemovalFactor } from './fin';
import { fluidState } from './fluids';
import { NotConverged } from './notConverged';
import { risingRoot } from './root';
import {
  absorbedSun,
  type Built,
  build,
  type Deviates,
  finOf,
  losses,
  lossSum,
  opticalShare,
  type Workmanship,
} from './uncertain';

/** Everything a derivations panel can show of one steady state. SI; W for the whole panel where it says heat. */
export interface CollectorState {
  usefulHeat: number;
  outletTemperature: number;
  gain: number;
  /** On aperture. */
  efficiency: number;
  /** °C, mean. */
  plateTemperature: number;
  opticalShare: number;
  /** W that the plate keeps of the sun. */
  absorbed: number;
  /** W/m²K of plate. */
  lossCoefficient: number;
  /** W/m² of plate that leaves when it stands at air temperature: the sky takes it. */
  lossAtAir: number;
  finEfficiency: number;
  efficiencyFactor: number;
  heatRemovalFactor: number;
  filmCoefficient: number;
  reynolds: number;
  /** Heat by where it went, W: they add up to the sun on the aperture. */
  paths: { water: number; optical: number; top: number; back: number; edge: number };
}

interface Chain {
  film: { coefficient: number; reynolds: number };
  heatCapacity: number;
  fin: number;
  factor: number;
  removal: number;
}

/** Fin, bond, film and removal at a loss coefficient. */
function chainAt(
  built: Built,
  conditions: HeatConditions,
  at: { lossCoefficient: number; heat: number; plate: number },
): Chain {
  const { description } = built;
  const { lossCoefficient, heat } = at;
  const { tube, plate, absorberArea } = description;
  const fluid = conditions.fluid ?? 'water';
  // The water never leaves the span between its inlet and the plate's hottest: at a trickle the quotient alone would.
  const rise = heat / Math.max(1e-9, 2 * conditions.massFlow * 4190);
  const span = Math.abs(at.plate - conditions.inlet);
  const mean = conditions.inlet + Math.min(span, Math.max(-span, rise));
  const { heatCapacity } = fluidState(fluid, mean);
  const serpentine = tube.path === 'serpentine';
  const film = filmOf(built, conditions, { heat, mean, serpentine });
  const fin = finOf(built, lossCoefficient);
  const factor = efficiencyFactor({
    lossCoefficient,
    pitch: plate.width,
    outerDiameter: tube.outerDiameter,
    innerDiameter: tube.innerDiameter,
    finEfficiency: fin,
    bondConductance: built.bond,
    filmCoefficient: film.coefficient,
    mount: plate.mount,
  });
  const removal =
    serpentine && plate.whole
      ? serpentineRemoval({
          runLength: tube.length,
          width: plate.width,
          // Tubes drawn into each other share their plate.
          tubeDiameter: Math.min(tube.outerDiameter, plate.width),
          steps: built.steps,
          whole: true,
          lossCoefficient,
          resistance: bondAndFilm(built, film.coefficient),
          carried: new Array<number>(tube.count).fill(conditions.massFlow * heatCapacity),
        })
      : heatRemovalFactor({
          massFlow: conditions.massFlow,
          heatCapacity,
          area: absorberArea,
          lossCoefficient,
          efficiencyFactor: factor,
        });
  return { film, heatCapacity, fin, factor, removal };
}

/** Film between metal and water: of a tube, of a slot between two sheets, or one that runs down the plate. */
function filmOf(
  { description }: Built,
  conditions: HeatConditions,
  at: { heat: number; mean: number; serpentine: boolean },
): { coefficient: number; reynolds: number } {
  const { tube } = description;
  const fluid = conditions.fluid ?? 'water';
  if (tube.film !== undefined) return { coefficient: tube.film, reynolds: 0 };
  if (tube.slot !== undefined) return slotFilm(tube.slot, at.mean, fluid);
  return tubeFilm({
    massFlow: at.serpentine ? conditions.massFlow : conditions.massFlow / tube.count,
    innerDiameter: tube.innerDiameter,
    length: at.serpentine ? tube.length * tube.count : tube.length,
    temperature: at.mean,
    fluid,
    stirring: {
      heatPerLength: at.heat / (tube.length * tube.count),
      tilt: tube.across ? 0 : conditions.tilt,
      wallConductance: tube.wallConductance,
    },
  });
}

/** mK/W from the plate's foot to the water. */
export function bondAndFilm(built: Built, filmCoefficient: number): number {
  const bond = built.description.plate.mount === 'in' ? 0 : 1 / built.bond;
  return bond + 1 / (Math.PI * built.description.tube.innerDiameter * filmCoefficient);
}

/** K. Nearer to the air than this the loss is taken by its slopes to either side, so that nothing is divided by nought. */
const near = 0.5;

/**
 * W/m²K. Slope of the loss from the air to the plate. Near the air it goes over from the slope on one side to that on the other without a
 * jump: at a jump there may be no working point to settle at.
 */
function slopeFromAir(
  total: (plate: number) => number,
  air: number,
  atAir: number,
  plate: number,
  lost: number,
): number {
  const rise = plate - air;
  if (Math.abs(rise) > near) return (lost - atAir) / rise;
  const above = (total(air + near) - atAir) / near;
  const below = (atAir - total(air - near)) / near;
  const share = (rise + near) / (2 * near);
  return below + (above - below) * share;
}

/** kg/s. Less flow than this is none: a drop in several minutes. */
export const leastFlow = 1e-7;

/**
 * Steady state of a panel with water running through. Hottel, Whillier and Bliss as in D&B chapter 6, the loss taken
 * straight through the working point. The mean plate temperature is the root of "absorbed less lost is what the water takes"; it
 * always lies between the inlet and the temperature of the still plate, so that no state is hotter than stagnation.
 * Throws RangeError for a flow below `leastFlow`, NotConverged never in range.
 */
export function collectorState(
  description: CollectorDescription,
  conditions: HeatConditions,
  deviates: Deviates = {},
  workmanship: Workmanship = 'well made',
): CollectorState {
  if (!(conditions.massFlow >= leastFlow)) throw new RangeError(`no water flows: ${conditions.massFlow} kg/s`);
  const built = build(description, deviates, workmanship);
  const { absorberArea, apertureArea } = description;
  const sun = conditions.irradiance * built.sun;
  const optical = opticalShare(built, conditions);
  const absorbed = (optical * sun * apertureArea) / absorberArea;
  const total = (plate: number) => lossSum(losses(built, conditions, plate));
  // With a sky colder than the air, heat leaves a plate at air temperature: the line starts there and not at nought.
  const atAir = total(conditions.air);
  const chainFor = (plate: number, lost: number): Chain & { lossCoefficient: number; heat: number } => {
    const lossCoefficient = Math.max(0.05, slopeFromAir(total, conditions.air, atAir, plate, lost));
    const chain = chainAt(built, conditions, { lossCoefficient, heat: absorberArea * (absorbed - lost), plate });
    const driving = absorbed - atAir - lossCoefficient * (conditions.inlet - conditions.air);
    return { ...chain, lossCoefficient, heat: absorberArea * chain.removal * driving };
  };
  // What the water takes less what is left for it: rising with the plate, nought at the working point.
  const excess = (plate: number) => {
    const lost = total(plate);
    return chainFor(plate, lost).heat / absorberArea - (absorbed - lost);
  };
  const plate = workingPoint(excess, conditions.inlet);
  const parts = losses(built, conditions, plate);
  const lost = lossSum(parts);
  const chain = chainFor(plate, lost);
  const { heat } = chain;
  const gain = heat / (conditions.massFlow * chain.heatCapacity);
  const top = parts.top * absorberArea;
  const back = parts.back * absorberArea;
  const edge = parts.edge * absorberArea;
  return {
    usefulHeat: heat,
    gain,
    outletTemperature: conditions.inlet + gain,
    efficiency: sun > 0 ? heat / (sun * apertureArea) : 0,
    plateTemperature: plate,
    opticalShare: optical,
    absorbed: absorbed * absorberArea,
    lossCoefficient: chain.lossCoefficient,
    lossAtAir: atAir,
    finEfficiency: chain.fin,
    efficiencyFactor: chain.factor,
    heatRemovalFactor: chain.removal,
    filmCoefficient: chain.film.coefficient,
    reynolds: chain.film.reynolds,
    paths: { water: heat, optical: sun * apertureArea - absorbed * absorberArea, top, back, edge },
  };
}

/**
 * °C. Where a function of the plate's temperature that rises passes nought, looked for from the inlet outward: it is below nought at
 * the inlet when the still plate would be warmer, and above when it would be colder.
 */
function workingPoint(excess: (plate: number) => number, inlet: number): number {
  const first = excess(inlet);
  if (first === 0) return inlet;
  const way = first < 0 ? 1 : -1;
  let near = inlet;
  for (let reach = 10; reach <= 1000; reach *= 2.5) {
    const far = inlet + way * Math.min(reach, way > 0 ? 600 : inlet + 200);
    if (excess(far) * way >= 0) return risingRoot(excess, Math.min(near, far), Math.max(near, far), 1e-7);
    near = far;
  }
  throw new NotConverged('collectorState', 6, near);
}

/** °C. The plate of a still panel in that sun: dry in full sun, or under the night sky without any. */
export function stagnationTemperature(
  description: CollectorDescription,
  conditions: HeatConditions,
  deviates: Deviates = {},
  workmanship: Workmanship = 'well made',
): number {
  const built = build(description, deviates, workmanship);
  const absorbed = absorbedSun(built, conditions);
  // The loss only rises with the plate, so there is one answer.
  const excess = (plate: number) => lossSum(losses(built, conditions, plate)) - absorbed;
  return risingRoot(excess, conditions.air - 60, conditions.air + 500, 1e-4);
}

/** The straight efficiency line of a panel on aperture, through two working points. */
export interface EfficiencyLine {
  /** Efficiency with the water entering at air temperature. */
  intercept: number;
  /** W/m²K. Lost for every kelvin of inlet over air, per W/m² of sun. */
  slope: number;
}

/** Fits the line over inlets from air temperature to 40 K above it, at the conditions' own sun and flow. */
export function efficiencyLine(
  description: CollectorDescription,
  conditions: HeatConditions,
  workmanship: Workmanship = 'well made',
): EfficiencyLine {
  const at = (rise: number) =>
    collectorState(description, { ...conditions, inlet: conditions.air + rise }, {}, workmanship).efficiency;
  const cold = at(0);
  const warm = at(40);
  return { intercept: cold, slope: ((cold - warm) * conditions.irradiance) / 40 };
}
