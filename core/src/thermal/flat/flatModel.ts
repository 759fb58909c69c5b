import type { Range } from '../../catalogue';
import type { Readout } from '../../readout';
import { builtOnce } from '../builtOnce';
import { fitFlowThrough } from '../characteristic';
import {
  isFlowing,
  type OperatingConditions,
  type StandardNormals,
  type ThermalModel,
  type ThermalState,
  type UncertainInput,
  type Workmanship,
} from '../contract';
import { fittedOnce } from '../fittedOnce';
import { diffuseIncidence } from '../optics';
import { absorbedSun, type Built, beamAcceptance, build, type LossesAt, lossesAt, opticalShare } from './build';
import { flatDerivations } from './derivations';
import type { FlatDescription } from './description';
import { type GapAdvice, gapAdvice } from './gap';
import { flatPlaces, placeTemperatures } from './places';
import { type FlatState, restTemperature, type TransferQuery, type Transferred, workingState } from './working';

/** A model of a flat absorber: besides the contract it says how it was described, and what its gap does. */
export interface FlatModel<D extends FlatDescription = FlatDescription> extends ThermalModel {
  description: D;
  /** The absorber's working state in its own terms. Throws RangeError without flow. */
  working(boundary: OperatingConditions, deviates?: StandardNormals, workmanship?: Workmanship): FlatState;
  /** The description with one value for each uncertain input. */
  built(deviates?: StandardNormals, workmanship?: Workmanship): Built<D>;
  /** What another gap under the pane would do, the absorber at a temperature (°C); nothing for a bare one. */
  gap(boundary: OperatingConditions, plate: number): GapAdvice | undefined;
  withKnownInputs(known: Readonly<Record<string, Range>>): FlatModel<D>;
}

/** What a kind of flat absorber adds to what all of them share. */
export interface FlatKind<D extends FlatDescription> {
  /** What the absorber is called as a place. */
  absorber: { words: string; short: string };
  drainsWhenIdle: boolean;
  /** Uncertain inputs, those of covers, paint, back and rim among them. */
  inputs(description: D): UncertainInput[];
  /** How heat reaches the water. */
  transfer(built: Built<D>, boundary: OperatingConditions): (query: TransferQuery) => Transferred;
  /** The description at a boundary, where a flow changes it: how wet it is, and nothing that `build` takes. */
  atFlow?(description: D, boundary: OperatingConditions): D;
  readouts(at: { built: Built<D>; model: FlatModel<D>; state: ThermalState; boundary: OperatingConditions }): Readout[];
}

/** Degrees of a beam from square by its angles in two planes at right angles: tan²θ = tan²θ_t + tan²θ_l (ISO 9806:2017). */
function incidenceOf(transversal: number, longitudinal: number): number {
  const tangent = (degrees: number) => Math.tan((Math.min(89.999, Math.abs(degrees)) * Math.PI) / 180);
  return (Math.atan(Math.hypot(tangent(transversal), tangent(longitudinal))) * 180) / Math.PI;
}

/** What heat paths of a flat absorber are called. */
const pathWords = (covered: boolean): Record<keyof FlatState['paths'], string> => ({
  water: 'to water',
  optical: covered ? 'pane, paint' : 'paint',
  top: 'top',
  back: 'back',
  edge: 'rim',
});

/** A thermal model of a flat absorber from its description and its kind. */
export function flatModel<D extends FlatDescription>(description: D, kind: FlatKind<D>): FlatModel<D> {
  const inputs = kind.inputs(description);
  const words = pathWords(description.covers.length > 0);
  const built = builtOnce((deviates, workmanship) => build(description, inputs, deviates, workmanship));
  const builtAt = (boundary: OperatingConditions, deviates?: StandardNormals, workmanship?: Workmanship): Built<D> => {
    const one = built(deviates, workmanship);
    return kind.atFlow ? { ...one, description: kind.atFlow(description, boundary) } : one;
  };
  const pathsOf = (paths: FlatState['paths']) =>
    (Object.keys(words) as (keyof typeof words)[]).map((id) => ({ id, words: words[id], watts: paths[id] }));
  const atRest = (one: Built<D>, boundary: OperatingConditions, lost: LossesAt): ThermalState => {
    const { absorberArea, apertureArea } = description;
    const absorbed = absorbedSun(one, boundary);
    const plate = restTemperature(absorbed, boundary, lost);
    const parts = lost.byWay(plate);
    const kept = absorbed * absorberArea;
    return {
      sun: boundary.irradiance * one.sun * apertureArea,
      usefulHeat: 0,
      efficiency: 0,
      places: placeTemperatures(one, boundary, lost, plate),
      paths: pathsOf({
        water: 0,
        optical: boundary.irradiance * one.sun * apertureArea - kept,
        top: parts.top * absorberArea,
        back: parts.back * absorberArea,
        edge: parts.edge * absorberArea,
      }),
      terms: { opticalShare: opticalShare(one, boundary), absorbed: kept },
    };
  };
  const model: FlatModel<D> = {
    description,
    apertureArea: description.apertureArea,
    inputs,
    places: flatPlaces(kind.absorber, description),
    body: 'plate',
    capacity: description.capacity,
    drainsWhenIdle: kind.drainsWhenIdle,
    integralStorage: false,
    hasLid: false,
    acceptance: {
      beam: (transversal, longitudinal) => beamAcceptance(built(), incidenceOf(transversal, longitudinal)),
      sky: (tilt) => beamAcceptance(built(), diffuseIncidence(tilt).sky),
      ground: (tilt) => beamAcceptance(built(), diffuseIncidence(tilt).ground),
      round: true,
    },
    built: (deviates, workmanship) => built(deviates, workmanship),
    working: (boundary, deviates, workmanship) => {
      if (!isFlowing(boundary)) throw new RangeError(`no water flows: ${boundary.massFlow} kg/s`);
      const one = builtAt(boundary, deviates, workmanship);
      return workingState(one, boundary, lossesAt(one, boundary), kind.transfer(one, boundary));
    },
    state: (boundary, deviates, workmanship) => {
      const one = builtAt(boundary, deviates, workmanship);
      if (!isFlowing(boundary)) {
        const still = { ...boundary, massFlow: 0 };
        return atRest(one, still, lossesAt(one, still));
      }
      const lost = lossesAt(one, boundary);
      const { usefulHeat, outletTemperature, gain, efficiency, plateTemperature, paths, ...terms } = workingState(
        one,
        boundary,
        lost,
        kind.transfer(one, boundary),
      );
      return {
        sun: boundary.irradiance * one.sun * description.apertureArea,
        usefulHeat,
        outletTemperature,
        gain,
        efficiency,
        places: placeTemperatures(one, boundary, lost, plateTemperature),
        paths: pathsOf(paths),
        terms,
      };
    },
    stagnantNetHeat: (boundary, deviates, workmanship) => {
      const still = { ...boundary, massFlow: 0 };
      const one = builtAt(still, deviates, workmanship);
      const absorbed = absorbedSun(one, still);
      const { total } = lossesAt(one, still);
      return (temperature) => description.absorberArea * (absorbed - total(temperature));
    },
    characteristic: fittedOnce((reference, effort) => fitFlowThrough(model, reference, { effort })),
    withKnownInputs: (known) => flatModel({ ...description, known: { ...description.known, ...known } }, kind),
    gap: (boundary, plate) => gapAdvice(builtAt(boundary), boundary, plate),
    readouts: (state, boundary) => kind.readouts({ built: builtAt(boundary), model, state, boundary }),
    derivations: (state, boundary) => flatDerivations(built(), inputs, state, boundary),
  };
  return model;
}
