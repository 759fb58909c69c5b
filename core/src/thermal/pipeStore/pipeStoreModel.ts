import type { Range } from '../../catalogue';
import type { Derivation } from '../../readout';
import { builtOnce } from '../builtOnce';
import type { OperatingConditions, ThermalModel, ThermalState } from '../contract';
import { cylinderLongWave, cylinderToAir, openCylinder } from '../cylinder';
import { fittedOnce } from '../fittedOnce';
import { fluidState } from '../fluids';
import { followedRoot } from '../root';
import { tubesLit } from '../roundTubes';
import { fitStorage } from '../store/fitStorage';
import { overcastLoss, overcastNight, storesInSeries } from '../store/inSeries';
import { dayInputs, paintInputs, valuesOf } from '../uncertain';

/** Black pipes full of water in the open, side by side: their own absorber and store. SI. */
export interface PipeStoreDescription {
  /** Pipes in series. */
  count: number;
  /** m. Outside, inside, and the length of each in the sun. */
  diameter: number;
  bore: number;
  length: number;
  /** m, middle to middle. */
  pitch: number;
  /** W/mK of the wall. */
  conductivity: number;
  /** m³ of all water, and J/K of all pipe. */
  volume: number;
  dry: number;
  absorptance: Range;
  emittance: Range;
  known?: Readonly<Record<string, Range>> | undefined;
}

export interface PipeStoreModel extends ThermalModel {
  description: PipeStoreDescription;
  withKnownInputs(known: Readonly<Record<string, Range>>): PipeStoreModel;
  /** W/K from the water to the air in a still overcast night, water at 40 °C and air at 10 °C. */
  shutLoss(): number;
}

interface Built {
  absorptance: number;
  emittance: number;
  wind: number;
  sun: number;
}

/**
 * Pipes of water in the open. Beam by its angles on round pipes, each shaded by its neighbour toward the sun, but for the outer one; sky
 * light on all that faces up, π / (1 + cos β) of what falls on a plane as broad, or what lies between the pipes where they stand close.
 * Losses of a cylinder in the open (Churchill and Bernstein 1977, Churchill and Chu 1975, long wave of two halves); the wall conducts
 * between its surface and the water, ln(D/d) / 2πk.
 */
export function pipeStoreModel(description: PipeStoreDescription): PipeStoreModel {
  const { count, diameter, bore, length, pitch, conductivity, volume, known } = description;
  const area = count * diameter * length;
  const wall = (2 * Math.PI * conductivity * count * length) / Math.log(diameter / bore);
  const inputs = [
    ...paintInputs(known, description),
    ...dayInputs(known, { wind: 'Wind at the pipes', sun: 'Sun on the pipes' }),
  ];
  const built = builtOnce((deviates, workmanship): Built => {
    const value = valuesOf(inputs, deviates, workmanship);
    return {
      absorptance: value('absorptance', 1),
      emittance: value('emittance', 1),
      wind: value('wind', 1),
      sun: value('sun', 1),
    };
  });
  /** Share of a beam on the plane, on the breadth of the pipes: one pipe stands free, the others beside each other. */
  const beamOn = (transversal: number, longitudinal: number): { hit: number; taken: number } => {
    const free = tubesLit({ diameter, pitch: 1000 * diameter }, transversal, longitudinal);
    const beside = tubesLit({ diameter, pitch }, transversal, longitudinal);
    const own = free.hit * 1000;
    const others = (beside.hit * pitch) / diameter;
    const hit = (own + (count - 1) * others) / count;
    return { hit, taken: (own * free.taken + (count - 1) * others * beside.taken) / count / hit };
  };
  /** What black paint takes up of light from everywhere, over square on: its hemispherical mean. */
  const diffuseTaken = 0.93;
  const skyOn = (tilt: number): number => {
    const plane = (1 + Math.cos((tilt * Math.PI) / 180)) / 2;
    const free = Math.PI / 2;
    const beside = Math.min(free, pitch / diameter);
    return (free + (count - 1) * beside) / count / Math.max(0.25, plane);
  };
  /** W that the paint keeps: beam, sky and ground on all that is round. */
  const keptBy = (one: Built, boundary: OperatingConditions): number => {
    const strength = boundary.irradiance * one.sun * area;
    const { transversal, longitudinal } = boundary.angles ?? { transversal: boundary.incidence, longitudinal: 0 };
    const beam = beamOn(transversal, longitudinal);
    const rest = 1 - boundary.beamShare;
    const sky = skyOn(boundary.tilt);
    const around = rest * ((1 - boundary.groundShare) * sky + boundary.groundShare);
    return strength * one.absorptance * (boundary.beamShare * beam.hit * beam.taken + around * diffuseTaken);
  };
  /** W that all pipes lose by the temperature of their surface (°C). */
  const lossAt = (one: Built, boundary: OperatingConditions) => {
    // Ends as so much more length.
    const long = count * (length + diameter / 2);
    const cylinder = openCylinder({
      diameter,
      air: boundary.air,
      surroundings: boundary.surroundings,
      wind: boundary.wind * one.wind,
      emittance: one.emittance,
    });
    return {
      air: (surface: number) => cylinderToAir(cylinder, surface) * long,
      longWave: (surface: number) => cylinderLongWave(cylinder, surface) * long,
    };
  };
  /** °C of the surface by that of the water: what it keeps goes to air, sky and water. */
  const surfaceAt = (one: Built, boundary: OperatingConditions, absorbed: number): ((water: number) => number) => {
    const { air, longWave } = lossAt(one, boundary);
    let water = 0;
    // The search begins where the last one ended: the loss there is known.
    let last = Number.NaN;
    let lost = Number.NaN;
    const settle = followedRoot((at) => {
      if (at !== last) {
        last = at;
        lost = air(at) + longWave(at);
      }
      return lost + wall * (at - water) - absorbed;
    });
    const [coldest, hottest] = [Math.min(boundary.air, boundary.surroundings), boundary.air];
    return (given) => {
      water = given;
      return settle(Math.min(water, coldest) - 20, Math.max(water, hottest) + 400, 1e-7);
    };
  };
  const net = (one: Built, boundary: OperatingConditions) => {
    const surface = surfaceAt(one, boundary, keptBy(one, boundary));
    return (water: number): number => wall * (surface(water) - water);
  };
  const stateOf = (
    one: Built,
    boundary: OperatingConditions,
    waters: readonly number[],
    usefulHeat: number,
  ): ThermalState => {
    const absorbed = keptBy(one, boundary);
    const surfaces = waters.map(surfaceAt(one, boundary, absorbed));
    const lost = lossAt(one, boundary);
    const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
    const onPlane = boundary.irradiance * one.sun * area;
    return {
      sun: onPlane,
      usefulHeat,
      efficiency: onPlane > 0.001 * area ? usefulHeat / onPlane : 0,
      places: {
        ...Object.fromEntries(waters.map((at, index) => [`pipe-${index + 1}`, at])),
        water: mean(waters),
        wall: Math.max(...surfaces),
      },
      paths: [
        { id: 'water', words: 'to water', watts: usefulHeat },
        { id: 'optical', words: 'paint, less what falls in at the sides', watts: onPlane - absorbed },
        { id: 'top', words: 'to the air', watts: mean(surfaces.map(lost.air)) },
        { id: 'back', words: 'to sky and roof', watts: mean(surfaces.map(lost.longWave)) },
      ],
      terms: { opticalShare: onPlane > 0 ? absorbed / onPlane : 0, absorbed },
    };
  };
  const water = fluidState('water', 30);
  const model: PipeStoreModel = {
    description,
    apertureArea: area,
    inputs,
    places: [
      { id: 'wall', words: 'wall of the pipe', short: 'wall' },
      ...Array.from({ length: count }, (_, index) => ({
        id: `pipe-${index + 1}`,
        words: count === 1 ? 'water in the pipe' : `water in pipe ${index + 1}`,
        short: count === 1 ? 'pipe' : `pipe ${index + 1}`,
      })),
      { id: 'water', words: 'water in the pipes', short: 'water' },
    ],
    body: 'water',
    capacity: { dry: description.dry, water: volume * water.density * water.heatCapacity, box: 0 },
    drainsWhenIdle: false,
    integralStorage: true,
    hasLid: false,
    acceptance: {
      beam: (transversal, longitudinal) => {
        const { hit, taken } = beamOn(transversal, longitudinal);
        return description.absorptance.likely * hit * taken;
      },
      sky: (tilt) => description.absorptance.likely * diffuseTaken * skyOn(tilt),
      ground: () => description.absorptance.likely * diffuseTaken,
      round: false,
    },
    ...storesInSeries({ count, net, stateOf, built }),
    characteristic: fittedOnce((reference, effort) =>
      fitStorage(
        { ...model, shutLoss: model.shutLoss() },
        { count, volume: volume / count, upright: false },
        reference,
        { bent: true, effort },
      ),
    ),
    withKnownInputs: (more) => pipeStoreModel({ ...description, known: { ...known, ...more } }),
    shutLoss: () => overcastLoss(net(built(), overcastNight)),
    readouts: () => [],
    derivations: (state, boundary) => pipeStoreDerivations(description, wall, state, boundary),
  };
  return model;
}

function pipeStoreDerivations(
  { count, diameter, length }: PipeStoreDescription,
  wall: number,
  state: ThermalState,
  boundary: OperatingConditions,
): { efficiency: Derivation; dry: Derivation } {
  const inputs: Derivation['inputs'] = [
    {
      label: 'share kept of the sun on their breadth, that from the sides too',
      value: state.terms.opticalShare ?? Number.NaN,
      kind: 'number',
      digits: 3,
    },
    { label: 'pipes', value: count, kind: 'number', digits: 0 },
    { label: 'pipe, outside', value: diameter, kind: 'length' },
    { label: 'each in the sun', value: length, kind: 'length' },
    { label: 'wall conducts, all of it, W/K', value: wall, kind: 'number', digits: 0 },
  ];
  return {
    efficiency: {
      name: 'Efficiency on the breadth of the pipes',
      formula: 'heat in the water at the end, less at the start, ÷ (time × sun × breadth × length)',
      source:
        'one heat capacity, Duffie and Beckman section 6.12; losses by Churchill and Bernstein (1977) and long wave',
      inputs: [
        ...inputs,
        { label: 'sun', value: boundary.irradiance, kind: 'irradiance' },
        { label: 'air', value: boundary.air, kind: 'temperature' },
      ],
    },
    dry: {
      name: 'At rest in sun',
      formula:
        'the temperature at which air, sky and roof take what the paint keeps: 1 000 W/m², air 30 °C, wind 0.5 m/s',
      source: 'heat balance of a cylinder in the open',
      inputs,
    },
  };
}
