import type { Range } from '../../catalogue';
import { builtOnce } from '../builtOnce';
import { fitFlowThrough } from '../characteristic';
import {
  isFlowing,
  type OperatingConditions,
  type StandardNormals,
  type ThermalModel,
  type ThermalState,
} from '../contract';
import { tubeFilm } from '../convection';
import { lossCurve } from '../curve';
import { cylinderLoss, openCylinder } from '../cylinder';
import { fittedOnce } from '../fittedOnce';
import { fluidState } from '../fluids';
import { windCoefficient } from '../losses';
import { risingRoot } from '../root';
import { sectionOptics, troughAcceptance, troughDiffuse } from './acceptance';
import { type Built, build, inputsOf } from './build';
import { troughDerivations, troughReadouts } from './derivations';
import type { TroughDescription } from './description';
import { openingWidth } from './trace';

export interface TroughModel extends ThermalModel {
  description: TroughDescription;
  withKnownInputs(known: Readonly<Record<string, Range>>): TroughModel;
  /** °C of the water at the ends of even parts of its way, m from the inlet. */
  along(boundary: OperatingConditions, deviates?: StandardNormals): { at: number; temperature: number }[];
}

/** Parts of each pipe that are worked out one after the other. */
const parts = 3;
/**
 * A round mirror with a black pipe along it. What the pipe takes up is traced in the section (`trace.ts`, `acceptance.ts`); it loses as a
 * cylinder in the open does in the share of the wind that reaches it, and gives the rest to the water through the film in it, part after
 * part: useful heat = kept − loss(pipe) = ṁc (1 − exp(−hA / ṁc)) (pipe − water in). Troughs stand in series.
 */
export function troughModel(description: TroughDescription): TroughModel {
  const { count, section, length, bore } = description;
  const inputs = inputsOf(description);
  const width = openingWidth(section);
  const area = count * length * width;
  const optics = sectionOptics(section);
  const built = builtOnce((deviates, workmanship): Built => build(description, inputs, deviates, workmanship));

  // The same light from everywhere, asked for at every state.
  const diffuseKnown = new Map<number, number>();
  const diffuse = ({ mirror }: Built): number => {
    const found = diffuseKnown.get(mirror.reflectance) ?? troughDiffuse(optics, mirror.reflectance, length);
    diffuseKnown.set(mirror.reflectance, found);
    return found;
  };
  const beamOf = ({ mirror }: Built, transversal: number, longitudinal: number): number =>
    troughAcceptance(optics, mirror, length, { along: transversal, across: longitudinal });
  /** W that all pipes keep. */
  const keptBy = (one: Built, boundary: OperatingConditions): number => {
    const { transversal, longitudinal } = boundary.angles ?? { transversal: boundary.incidence, longitudinal: 0 };
    const beam = boundary.beamShare > 0 ? boundary.beamShare * beamOf(one, transversal, longitudinal) : 0;
    return boundary.irradiance * one.sun * area * one.absorptance * (beam + (1 - boundary.beamShare) * diffuse(one));
  };
  /** W that all pipes lose by the temperature of their wall: worked out at some, drawn through them. */
  const lossesOf = (one: Built, boundary: OperatingConditions): ((wall: number) => number) => {
    const { air, surroundings } = boundary;
    const cylinder = openCylinder({
      diameter: section.pipe,
      air,
      surroundings,
      wind: boundary.wind * one.wind,
      emittance: one.emittance,
    });
    return lossCurve(air, (surface) => cylinderLoss(cylinder, surface) * count * length);
  };
  const settled = (loss: (wall: number) => number, kept: number, air: number): number =>
    risingRoot((wall) => loss(wall) - kept, air - 90, air + 900, 1e-9);

  /** Water through all parts: W into it, and °C of water and pipe after each. */
  const through = (one: Built, boundary: OperatingConditions) => {
    const fluid = boundary.fluid ?? 'water';
    const kept = keptBy(one, boundary);
    const loss = lossesOf(one, boundary);
    const share = 1 / (count * parts);
    const carried = boundary.massFlow * fluidState(fluid, boundary.inlet).heatCapacity;
    const inside = (Math.PI * bore * length) / parts;
    let water = boundary.inlet;
    const waters: number[] = [];
    const walls: number[] = [];
    for (let part = 0; part < count * parts; part += 1) {
      const { coefficient } = tubeFilm({
        massFlow: boundary.massFlow,
        innerDiameter: bore,
        length,
        temperature: Math.min(99, Math.max(1, water)),
        fluid,
        stirring: {
          heatPerLength: Math.max(0, (kept - loss(water)) / (count * length)),
          tilt: 0,
          wallConductance: description.wallConductance,
        },
      });
      // Of the wall over the water that comes in, for each W that goes into it, the wall alike along the part: 1 / ṁc (1 − exp(−hA / ṁc)).
      const resistance = 1 / (carried * -Math.expm1((-coefficient * inside) / carried));
      const entering = water;
      const wall = risingRoot(
        (at) => (at - entering) / resistance - share * (kept - loss(at)),
        boundary.air - 90,
        boundary.air + 900,
        1e-9,
      );
      water = entering + (wall - entering) / resistance / carried;
      waters.push(water);
      walls.push(wall);
    }
    return { kept, waters, walls, useful: carried * (water - boundary.inlet), loss };
  };

  const stateOf = (
    one: Built,
    boundary: OperatingConditions,
    at: { kept: number; wall: number; water: number; useful: number; flowing: boolean },
  ): ThermalState => {
    const sun = boundary.irradiance * one.sun * area;
    // What the mirror takes of the sun, and half of what the pipe lets go, warm the trough; both of its faces give that to the air.
    const faces = 4 * section.radius * section.opening * length * count;
    const taken = (1 - one.mirror.reflectance) * sun + 0.5 * Math.max(0, at.kept - at.useful);
    const shell = boundary.air + taken / (windCoefficient(boundary.wind, length) * faces);
    return {
      sun,
      usefulHeat: at.useful,
      ...(at.flowing ? { outletTemperature: at.water, gain: at.water - boundary.inlet } : {}),
      efficiency: sun > 0.001 * area ? at.useful / sun : 0,
      places: { pipe: at.wall, water: at.water, mirror: shell },
      paths: [
        { id: 'water', words: 'to water', watts: at.useful },
        { id: 'optical', words: 'past the pipe, film, paint', watts: sun - at.kept },
        { id: 'top', words: 'off the pipe', watts: at.kept - at.useful },
      ],
      terms: {
        opticalShare: sun > 0 ? at.kept / sun : 0,
        absorbed: at.kept,
        reflectance: one.mirror.reflectance,
        slope: one.mirror.slope * 1000,
      },
    };
  };

  const model: TroughModel = {
    description,
    apertureArea: area,
    inputs,
    places: [
      { id: 'pipe', words: 'black pipe', short: 'pipe' },
      { id: 'water', words: 'water in the pipe', short: 'water' },
      { id: 'mirror', words: 'mirror and trough', short: 'mirror' },
    ],
    body: 'water',
    capacity: { ...description.capacity, box: 0 },
    drainsWhenIdle: false,
    integralStorage: false,
    hasLid: false,
    acceptance: {
      beam: (transversal, longitudinal) => {
        const one = built();
        return one.absorptance * beamOf(one, transversal, longitudinal);
      },
      sky: () => {
        const one = built();
        return one.absorptance * diffuse(one);
      },
      ground: () => {
        const one = built();
        return one.absorptance * diffuse(one);
      },
      round: false,
    },
    state: (boundary, deviates, workmanship) => {
      const one = built(deviates, workmanship);
      if (!isFlowing(boundary)) {
        const kept = keptBy(one, boundary);
        const wall = settled(lossesOf(one, boundary), kept, boundary.air);
        return stateOf(one, boundary, { kept, wall, water: wall, useful: 0, flowing: false });
      }
      const { kept, waters, walls, useful } = through(one, boundary);
      const water = waters.at(-1) ?? boundary.inlet;
      return stateOf(one, boundary, { kept, wall: Math.max(...walls), water, useful, flowing: true });
    },
    stagnantNetHeat: (boundary, deviates, workmanship) => {
      const one = built(deviates, workmanship);
      const kept = keptBy(one, boundary);
      const loss = lossesOf(one, boundary);
      return (temperature) => kept - loss(temperature);
    },
    along: (boundary, deviates) => {
      const { waters } = through(built(deviates), boundary);
      return [boundary.inlet, ...waters].map((temperature, index) => ({
        at: (index * length) / parts,
        temperature,
      }));
    },
    characteristic: fittedOnce((reference, effort) => fitFlowThrough(model, reference, { bent: true, effort })),
    withKnownInputs: (known) => troughModel({ ...description, known: { ...description.known, ...known } }),
    readouts: (state) => troughReadouts(description, state),
    derivations: (state, boundary) => troughDerivations(description, state, boundary),
  };
  return model;
}
