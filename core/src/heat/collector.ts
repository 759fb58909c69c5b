import type { Range } from '../catalogue';
import { tubeFilm } from './film';
import { efficiencyFactor, finEfficiency, heatRemovalFactor } from './fin';
import { fluidState } from './fluids';
import { topFlux, windCoefficient } from './losses';
import { NotConverged } from './notConverged';
import { diffuseIncidence, sheetsFor, transmittanceAbsorptance } from './optics';
import { risingRoot } from './root';
import { valueAt } from './spread';

/** A tube-and-plate panel as heat sees it: what a family hands over. Uncertain inputs keep their spread. */
export interface CollectorDescription {
  /** m². Lets sun in. */
  apertureArea: number;
  /** m². Plate that catches it. */
  absorberArea: number;
  /** m². Outside to outside. */
  grossArea: number;
  /** From the plate outward; none is a bare panel. */
  covers: readonly {
    index: number;
    sheets: number;
    transmittance: Range;
    emittance: number;
    /** m. */
    gap: number;
    /** W/m²K. */
    conductance: number;
  }[];
  /** Share let through by dirt and condensation. */
  dirt: Range;
  absorptance: Range;
  emittance: Range;
  /** W/K. Conductivity times thickness of the plate. */
  plateConductance: number;
  /** m. Width of plate on one tube. */
  finWidth: number;
  tube: { outerDiameter: number; innerDiameter: number; length: number; count: number };
  /** W/mK of tube. */
  bond: Range;
  /** W/m²K of plate through the book value of the back. */
  back: number;
  /** Times the book value, as built. */
  backFactor: Range;
  /** W/K of the whole rim. */
  edge: number;
  edgeFactor: Range;
  /** J/K of panel and water in it. */
  heatCapacity: number;
}

/** Sun, air and water at one moment. */
export interface HeatConditions {
  /** W/m² on the pane, in all. */
  irradiance: number;
  /** Share of it that is beam; of the rest, `groundShare` comes from the ground. */
  beamShare: number;
  groundShare: number;
  /** Degrees of the beam from square. */
  incidence: number;
  /** °C. */
  air: number;
  /** °C that the pane radiates to. */
  surroundings: number;
  /** m/s at the panel. */
  wind: number;
  /** °C. */
  inlet: number;
  /** kg/s through this panel; 0 stands still. */
  massFlow: number;
  /** Degrees from level. */
  tilt: number;
}

/** Names of what is uncertain, in the order of `sample`. */
export const uncertainInputs = [
  'bond',
  'transmittance',
  'dirt',
  'absorptance',
  'emittance',
  'back',
  'edge',
  'wind',
  'sun',
] as const;
export type UncertainInput = (typeof uncertainInputs)[number];
/** A standard normal deviate for each; what is left out is at its likely value. */
export type Deviates = Partial<Record<UncertainInput, number>>;

/** m/s at the panel, times what was said: judgement, from the spread of panel wind to station wind in `sky`. */
const windSpread: Range = { low: 0.67, likely: 1, high: 1.55, spread: 'log-normal', kind: 'judgement' };
/** Sun, times what was said: a good instrument, or a chosen design condition, read again on the day. */
const sunSpread: Range = { low: 0.95, likely: 1, high: 1.05, spread: 'normal', kind: 'data sheet' };

/** The description with one value for each uncertain input. */
interface Built {
  description: CollectorDescription;
  covers: { index: number; extinction: number; thickness: number }[];
  dirt: number;
  absorptance: number;
  emittance: number;
  bond: number;
  back: number;
  edge: number;
  wind: number;
  sun: number;
}

function build(description: CollectorDescription, deviates: Deviates): Built {
  const at = (input: UncertainInput, range: Range) => valueAt(range, deviates[input] ?? 0);
  return {
    description,
    covers: description.covers.flatMap((cover) =>
      sheetsFor({ ...cover, transmittance: at('transmittance', cover.transmittance) }),
    ),
    dirt: description.covers.length > 0 ? at('dirt', description.dirt) : 1,
    absorptance: at('absorptance', description.absorptance),
    emittance: at('emittance', description.emittance),
    bond: at('bond', description.bond),
    back: description.back * at('back', description.backFactor),
    edge: description.edge * at('edge', description.edgeFactor),
    wind: at('wind', windSpread),
    sun: at('sun', sunSpread),
  };
}

/** Share of the sun on the pane that the plate keeps, beam, sky and ground each at its own angle. */
function opticalShare(built: Built, conditions: HeatConditions): number {
  const at = (incidence: number) => transmittanceAbsorptance(built.covers, incidence, built.absorptance);
  const diffuse = diffuseIncidence(conditions.tilt);
  const rest = 1 - conditions.beamShare;
  const beam = conditions.beamShare > 0 ? conditions.beamShare * at(conditions.incidence) : 0;
  const sky = rest > 0 ? rest * (1 - conditions.groundShare) * at(diffuse.sky) : 0;
  const ground = rest > 0 && conditions.groundShare > 0 ? rest * conditions.groundShare * at(diffuse.ground) : 0;
  return (beam + sky + ground) * built.dirt;
}

/** W/m² of plate lost at a plate temperature, by way. */
function losses(built: Built, conditions: HeatConditions, plate: number): { top: number; back: number; edge: number } {
  const { description } = built;
  const top = topFlux({
    plateTemperature: plate,
    ambientTemperature: conditions.air,
    skyTemperature: conditions.surroundings,
    windCoefficient: windCoefficient(conditions.wind * built.wind, Math.sqrt(description.grossArea)),
    tilt: conditions.tilt,
    plateEmittance: built.emittance,
    covers: description.covers,
  });
  const rise = plate - conditions.air;
  return { top, back: built.back * rise, edge: (built.edge / description.absorberArea) * rise };
}

/** Everything a makings panel can show of one steady state. SI; W for the whole panel where it says heat. */
export interface CollectorState {
  usefulHeat: number;
  outletTemperature: number;
  gain: number;
  /** On aperture. */
  efficiency: number;
  /** °C, mean. */
  plateTemperature: number;
  opticalShare: number;
  /** W/m²K of plate. */
  lossCoefficient: number;
  finEfficiency: number;
  efficiencyFactor: number;
  heatRemovalFactor: number;
  filmCoefficient: number;
  reynolds: number;
  /** Heat by where it went, W: they add up to the sun on the aperture. */
  paths: { water: number; optical: number; top: number; back: number; edge: number };
}

/**
 * Steady state of a panel with water running through. Hottel, Whillier and Bliss as in D&B chapter 6, the loss taken
 * straight through the working point and iterated with the mean plate temperature. Throws NotConverged.
 */
export function collectorState(
  description: CollectorDescription,
  conditions: HeatConditions,
  deviates: Deviates = {},
): CollectorState {
  const built = build(description, deviates);
  const { absorberArea, apertureArea, tube, finWidth } = description;
  const sun = conditions.irradiance * built.sun;
  const optical = opticalShare(built, conditions);
  const absorbed = optical * sun;
  const total = (plate: number) => {
    const parts = losses(built, conditions, plate);
    return parts.top + parts.back + parts.edge;
  };
  // With a sky colder than the air, heat leaves a plate at air temperature: the line starts there and not at nought.
  const atAir = total(conditions.air);
  const fin = (lossCoefficient: number) =>
    finEfficiency({
      conductance: description.plateConductance,
      lossCoefficient,
      pitch: finWidth,
      tubeDiameter: tube.outerDiameter,
    });
  let plate = Math.max(conditions.inlet, conditions.air) + 10;
  let heat = 0;
  const limit = 100;
  for (let pass = 0; pass < limit; pass += 1) {
    const rise = plate - conditions.air;
    const secant =
      Math.abs(rise) > 0.5 ? (total(plate) - atAir) / rise : total(conditions.air + 0.5) - total(conditions.air - 0.5);
    const lossCoefficient = Math.max(0.05, secant);
    const mean = conditions.inlet + heat / Math.max(1e-9, 2 * conditions.massFlow * 4190);
    const film = tubeFilm({
      massFlow: conditions.massFlow / tube.count,
      innerDiameter: tube.innerDiameter,
      length: tube.length,
      temperature: mean,
      fluid: 'water',
    });
    const finShare = fin(lossCoefficient);
    const factor = efficiencyFactor({
      lossCoefficient,
      pitch: finWidth,
      outerDiameter: tube.outerDiameter,
      innerDiameter: tube.innerDiameter,
      finEfficiency: finShare,
      bondConductance: built.bond,
      filmCoefficient: film.coefficient,
    });
    const { heatCapacity } = fluidState('water', mean);
    const removal = heatRemovalFactor({
      massFlow: conditions.massFlow,
      heatCapacity,
      area: absorberArea,
      lossCoefficient,
      efficiencyFactor: factor,
    });
    heat = absorberArea * removal * (absorbed - atAir - lossCoefficient * (conditions.inlet - conditions.air));
    // Plate temperature that closes the balance: absorbed less useful is what it loses.
    const next = conditions.air + (absorbed - heat / absorberArea - atAir) / lossCoefficient;
    const moved = Math.abs(next - plate);
    plate += (next - plate) * 0.8;
    if (moved < 1e-5) {
      const parts = losses(built, conditions, plate);
      const gain = heat / (conditions.massFlow * heatCapacity);
      const water = heat;
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
        lossCoefficient: (parts.top + parts.back + parts.edge - atAir) / (plate - conditions.air || 1),
        finEfficiency: finShare,
        efficiencyFactor: factor,
        heatRemovalFactor: removal,
        filmCoefficient: film.coefficient,
        reynolds: film.reynolds,
        paths: { water, optical: sun * apertureArea - water - top - back - edge, top, back, edge },
      };
    }
  }
  throw new NotConverged('collectorState', limit, plate);
}

/** °C. The plate of a dry panel in that sun, nothing flowing. The loss only rises with the plate, so there is one. */
export function stagnationTemperature(
  description: CollectorDescription,
  conditions: HeatConditions,
  deviates: Deviates = {},
): number {
  const built = build(description, deviates);
  const absorbed = opticalShare(built, conditions) * conditions.irradiance * built.sun;
  const excess = (plate: number) => {
    const parts = losses(built, conditions, plate);
    return parts.top + parts.back + parts.edge - absorbed;
  };
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
export function efficiencyLine(description: CollectorDescription, conditions: HeatConditions): EfficiencyLine {
  const at = (rise: number) => collectorState(description, { ...conditions, inlet: conditions.air + rise }).efficiency;
  const cold = at(0);
  const warm = at(40);
  return { intercept: cold, slope: ((cold - warm) * conditions.irradiance) / 40 };
}
