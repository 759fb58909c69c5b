import { type Range, range } from '../catalogue';
import type { CollectorDescription, HeatConditions, UncertainInput } from './description';
import { type FinStep, steppedFin } from './fin';
import { topFlux, windCoefficient } from './losses';
import { diffuseIncidence, incidenceModifier, sheetsFor, transmittanceAbsorptance } from './optics';
import { valueAt } from './spread';
import { stackConductance } from './stack';
import { litArea } from './sunlit';

/** A standard normal deviate for each; what is left out is at its likely value. */
export type Deviates = Partial<Record<UncertainInput, number>>;

/** Whose panel: as drawn and well made, which a verdict is held against, or as home-made panels typically turn out. */
export const workmanships = ['well made', 'home-made'] as const;
export type Workmanship = (typeof workmanships)[number];

/** A plate as bought: rolling tolerance of thin sheet, EN 1652 and EN 485-4, about a twentieth. */
const plateSpread = range(0.95, 1, 1.05, 'standard');
/** m/s at the panel, times what was said: judgement, from the spread of panel wind to station wind in `sky`. */
const windSpread = range(0.67, 1, 1.55, 'judgement', 'log-normal');
/** Sun, times what was said: a good instrument, or a chosen design condition, read again on the day. */
const sunSpread = range(0.95, 1, 1.05, 'data sheet');

/** What home making does to a spread, times its low, likely and high. Judgement: worse is nearer than better. */
const homeMade: Partial<Record<UncertainInput, readonly [low: number, likely: number, high: number]>> = {
  transmittance: [0.94, 0.98, 1],
  dirt: [0.92, 0.97, 0.995],
  absorptance: [0.96, 0.99, 1],
  emittance: [0.97, 1, 1.02],
  plate: [0.9, 0.98, 1],
  back: [1, 1.2, 1.6],
  edge: [1, 1.4, 1.6],
};

function wellMade(description: CollectorDescription): Record<UncertainInput, Range> {
  const pane = description.covers[description.covers.length - 1];
  return {
    bond: description.bond,
    transmittance: pane?.transmittance ?? range(1, 1, 1, 'standard'),
    dirt: description.dirt,
    absorptance: description.absorptance,
    emittance: description.emittance,
    plate: plateSpread,
    back: description.backFactor,
    edge: description.rimFactor,
    wind: windSpread,
    sun: sunSpread,
  };
}

/** The spread of every uncertain input of a panel; what the builder knows stands above what is typical. */
export function spreadsOf(
  description: CollectorDescription,
  workmanship: Workmanship = 'well made',
): Record<UncertainInput, Range> {
  const spreads = wellMade(description);
  if (workmanship === 'home-made') {
    spreads.bond = description.bondHomeMade;
    for (const [name, [low, likely, high]] of Object.entries(homeMade) as [
      UncertainInput,
      readonly [number, number, number],
    ][]) {
      const base = spreads[name];
      spreads[name] = {
        ...base,
        low: base.low * low,
        likely: base.likely * likely,
        high: Math.max(base.likely * likely, base.high * high),
        kind: 'judgement',
      };
    }
  }
  return { ...spreads, ...description.known };
}

/** A panel with one value for each uncertain input. */
export interface Built {
  description: CollectorDescription;
  covers: { index: number; extinction: number; thickness: number }[];
  dirt: number;
  absorptance: number;
  emittance: number;
  bond: number;
  steps: FinStep[];
  /** W/m²K of plate, and times the book value. */
  back: number;
  backFactor: number;
  /** W/m²K of plate. */
  edge: number;
  wind: number;
  sun: number;
}

export function build(
  description: CollectorDescription,
  deviates: Deviates,
  workmanship: Workmanship = 'well made',
): Built {
  const spreads = spreadsOf(description, workmanship);
  const at = (input: UncertainInput) => valueAt(spreads[input], deviates[input] ?? 0);
  const outermost = description.covers.length - 1;
  const plate = at('plate');
  return {
    description,
    covers: description.covers.flatMap((cover, index) =>
      sheetsFor({
        ...cover,
        transmittance:
          index === outermost ? at('transmittance') : valueAt(cover.transmittance, deviates.transmittance ?? 0),
      }),
    ),
    dirt: description.covers.length > 0 ? at('dirt') : 1,
    absorptance: at('absorptance'),
    emittance: at('emittance'),
    bond: at('bond'),
    steps: description.plate.steps.map((step) => ({ ...step, conductance: step.conductance * plate })),
    back: stackConductance(description.back) * at('back'),
    backFactor: at('back'),
    edge: (stackConductance(description.rim) * description.rim.area * at('edge')) / description.absorberArea,
    wind: at('wind'),
    sun: at('sun'),
  };
}

/**
 * Share of the sun on the aperture that the plate keeps, (τα)e on aperture: beam, sky and ground each at its own angle through
 * covers and dirt, on the part of the plate that it lights there.
 */
export function opticalShare(built: Built, conditions: HeatConditions): number {
  const { sunlit, apertureArea } = built.description;
  const at = (incidence: number) =>
    transmittanceAbsorptance(built.covers, incidence, built.absorptance) * litArea(sunlit, incidence);
  const diffuse = diffuseIncidence(conditions.tilt);
  const rest = 1 - conditions.beamShare;
  const beam = conditions.beamShare > 0 ? conditions.beamShare * at(conditions.incidence) : 0;
  const sky = rest > 0 ? rest * (1 - conditions.groundShare) * at(diffuse.sky) : 0;
  const ground = rest > 0 && conditions.groundShare > 0 ? rest * conditions.groundShare * at(diffuse.ground) : 0;
  return ((beam + sky + ground) * built.dirt) / apertureArea;
}

/** W/m² of plate that it keeps of the sun. */
export function absorbedSun(built: Built, conditions: HeatConditions): number {
  const { apertureArea, absorberArea } = built.description;
  return (opticalShare(built, conditions) * conditions.irradiance * built.sun * apertureArea) / absorberArea;
}

/** Incidence angle modifiers of a panel: of beam at the conditions' own angle, of the sky, and of the ground before it. */
export function modifiersOf(
  description: CollectorDescription,
  conditions: Pick<HeatConditions, 'incidence' | 'tilt'>,
): { beam: number; sky: number; ground: number } {
  const { covers, absorptance } = build(description, {});
  const { sky, ground } = diffuseIncidence(conditions.tilt);
  const at = (incidence: number) => incidenceModifier(covers, incidence, absorptance);
  return { beam: at(conditions.incidence), sky: at(sky), ground: at(ground) };
}

/** What the top of a panel is asked at a plate temperature. */
export function topQuery(built: Built, conditions: HeatConditions, plate: number) {
  const { description } = built;
  return {
    plateTemperature: plate,
    ambientTemperature: conditions.air,
    skyTemperature: conditions.surroundings,
    windCoefficient: windCoefficient(conditions.wind * built.wind, Math.sqrt(description.grossArea)),
    tilt: conditions.tilt,
    plateEmittance: built.emittance,
    covers: description.covers,
    // A dry panel has nothing to steam.
    ...(description.wet && conditions.massFlow > 0 ? { wet: description.wet } : {}),
  };
}

/** W that steam carries from a wet, open plate to its cover, at a plate temperature; nothing where there is none. */
export function steamLoss(
  description: CollectorDescription,
  conditions: HeatConditions,
  plate: number,
): number | undefined {
  if (!description.wet) return undefined;
  const { wet, ...dry } = topQuery(build(description, {}), conditions, plate);
  return wet === undefined ? undefined : description.absorberArea * (topFlux({ ...dry, wet }) - topFlux(dry));
}

export interface Losses {
  top: number;
  back: number;
  edge: number;
}

/**
 * W/m² that a back open to the weather loses: wind as at the front, and radiation to ground at air temperature and, as far as it
 * leans over, sky. The sky's temperature follows from what the front sees (`surroundings` is the mean of both by the fourth power).
 */
function bareBackLoss(built: Built, conditions: HeatConditions, plate: number, emittance: number): number {
  const wind = windCoefficient(conditions.wind * built.wind, Math.sqrt(built.description.grossArea));
  const fourth = (celsius: number) => (celsius + 273.15) ** 4;
  const skyShare = (1 + Math.cos((conditions.tilt * Math.PI) / 180)) / 2;
  const air = fourth(conditions.air);
  // Upside down there is no sky in front to tell from.
  const sky = skyShare > 0.01 ? (fourth(conditions.surroundings) - (1 - skyShare) * air) / skyShare : air;
  const seen = (1 - skyShare) * sky + skyShare * air;
  return wind * (plate - conditions.air) + emittance * 5.670374e-8 * (fourth(plate) - seen);
}

/** W/m² of plate lost at a plate temperature, by way. */
export function losses(built: Built, conditions: HeatConditions, plate: number): Losses {
  const { bareBack } = built.description;
  const rise = plate - conditions.air;
  const back =
    bareBack === undefined ? built.back * rise : built.backFactor * bareBackLoss(built, conditions, plate, bareBack);
  return { top: topFlux(topQuery(built, conditions, plate)), back, edge: built.edge * rise };
}

export function lossSum({ top, back, edge }: Losses): number {
  return top + back + edge;
}

/** Fin efficiency of the panel's own plate. */
export function finOf(built: Built, lossCoefficient: number): number {
  return steppedFin(built.steps, lossCoefficient);
}
