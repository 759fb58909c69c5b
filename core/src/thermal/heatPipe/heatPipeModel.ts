import type { Range } from '../../catalogue';
import { builtOnce } from '../builtOnce';
import { fitFlowThrough } from '../characteristic';
import {
  isFlowing,
  type OperatingConditions,
  type StandardNormals,
  type ThermalModel,
  type ThermalState,
  type Workmanship,
} from '../contract';
import { fittedOnce } from '../fittedOnce';
import { fluidState } from '../fluids';
import { sheetsFor } from '../optics';
import { type Built, build, inputsOf } from './build';
import { carrying, type Meets, type TubeState } from './carrying';
import { heatPipeDerivations, heatPipeReadouts } from './derivations';
import type { HeatPipeDescription } from './description';
import { tubeLoss } from './loss';
import { sleevedOptics, type WallTable, wallTables } from './sleeve';

export interface HeatPipeModel extends ThermalModel {
  description: HeatPipeDescription;
  withKnownInputs(known: Readonly<Record<string, Range>>): HeatPipeModel;
  /** K/W from the wall of one tube to the manifold's water, part by part in the order of the chain. */
  chain(
    deviates?: StandardNormals,
    workmanship?: Workmanship,
  ): readonly { id: string; words: string; resistance: number }[];
}

/** W/m². A fit to less would be one to the corner at which a bank begins to carry. */
const leastFitted = 40;
/** Transmittances of the sleeve whose light is remembered. */
const mostKnown = 6;
/**
 * Heat pipes: each tube keeps its sun, loses by its sleeve, and gives the rest up a chain of resistances (wall, boiling, condensing, wall,
 * film in the manifold) to water that passes tube after tube. Nothing goes back down: a tube colder than its water carries nothing. No
 * tube carries more than its flooding limit, and none once its charge is all steam; what it cannot carry it loses. In the manner of
 * D&B section 6.12 for heat pipes; limits by Wallis (1969).
 */
export function heatPipeModel(description: HeatPipeDescription): HeatPipeModel {
  const inputs = inputsOf(description);
  const { count, tube, pitch, sleeve } = description;
  const loss = tubeLoss(description);
  const { tubeIn, carriedInto } = carrying(description);
  const area = count * loss.breadth * tube.heated;
  const built = builtOnce((deviates, workmanship): Built => build(description, inputs, deviates, workmanship));

  const optics = sleevedOptics({
    diameter: tube.diameter,
    pitch,
    ...(description.strip ? { strip: description.strip.width } : {}),
    ...(sleeve ? { sleeve: sleeve.diameter } : {}),
  });
  const wallOf = sleeve && wallTables(sleeve.index);
  const known = new Map<number, { wall: WallTable | undefined; diffuse: number }>();
  /** Wall of the sleeve, and share of diffuse light that perfect paint keeps behind it: worked out once for each of the last few transmittances. */
  const light = ({ transmittance }: Built): { wall: WallTable | undefined; diffuse: number } => {
    const found = known.get(transmittance);
    if (found) return found;
    const [sheet] = sleeve ? sheetsFor({ index: sleeve.index, sheets: 1, transmittance }) : [];
    const wall = sheet && wallOf?.(sheet.extinction * sheet.thickness);
    const made = { wall, diffuse: optics.diffuse(1, wall) };
    if (known.size >= mostKnown) known.delete(known.keys().next().value as number);
    known.set(transmittance, made);
    return made;
  };
  const diffuse = (one: Built): number => one.absorptance * light(one).diffuse;
  const beam = (one: Built, transversal: number, longitudinal: number): number =>
    optics.beam(one.absorptance, light(one).wall, transversal, longitudinal);
  /** W that one tube keeps. */
  const keptBy = (one: Built, boundary: OperatingConditions): number => {
    const { transversal, longitudinal } = boundary.angles ?? { transversal: boundary.incidence, longitudinal: 0 };
    const strength = (boundary.irradiance * one.sun * area) / count;
    const direct = boundary.beamShare > 0 ? boundary.beamShare * beam(one, transversal, longitudinal) : 0;
    return strength * (direct + (1 - boundary.beamShare) * diffuse(one));
  };
  /** All that one tube meets in a boundary. */
  const meets = (one: Built, boundary: OperatingConditions): Meets => {
    const curve = loss.curve(one, boundary);
    const { air } = boundary;
    return {
      one,
      loss: curve,
      air,
      kept: keptBy(one, boundary),
      share: loss.gathered(curve, air),
      high: air + 900,
    };
  };
  const stateOf = (
    one: Built,
    boundary: OperatingConditions,
    at: { kept: number; tubes: readonly TubeState[]; water: number; useful: number; flowing: boolean },
  ): ThermalState => {
    const sun = boundary.irradiance * one.sun * area;
    const hottest = at.tubes.reduce((most, { wall }) => Math.max(most, wall), Number.NEGATIVE_INFINITY);
    const carried = at.tubes.reduce((sum, each) => sum + each.carried, 0);
    return {
      sun,
      usefulHeat: at.useful,
      ...(at.flowing ? { outletTemperature: at.water, gain: at.water - boundary.inlet } : {}),
      efficiency: sun > 0.001 * area ? at.useful / sun : 0,
      places: {
        ...(sleeve ? { sleeve: loss.sleeve(one, boundary, hottest) } : {}),
        tube: hottest,
        manifold: at.water,
        lagging: (at.water + boundary.air) / 2,
      },
      paths: [
        { id: 'water', words: 'to water', watts: at.useful },
        { id: 'optical', words: sleeve ? 'sleeve, paint' : 'paint', watts: sun - count * at.kept },
        { id: 'top', words: sleeve ? 'through sleeves' : 'off the tubes', watts: count * at.kept - carried },
        { id: 'back', words: 'manifold', watts: carried - at.useful },
      ],
      terms: {
        opticalShare: sun > 0 ? (count * at.kept) / sun : 0,
        absorbed: count * at.kept,
        resistance: one.resistance,
        each: carried / count,
        limited: at.tubes.some(({ limited }) => limited) ? 1 : 0,
        idle: at.tubes.filter(({ carried: one }) => one === 0).length,
      },
    };
  };

  const model: HeatPipeModel = {
    description,
    apertureArea: area,
    inputs,
    places: [
      ...(sleeve ? [{ id: 'sleeve', words: 'sleeve', short: 'sleeve' }] : []),
      { id: 'tube', words: 'heat pipe', short: 'heat pipe' },
      { id: 'manifold', words: 'water in the manifold', short: 'manifold' },
      { id: 'lagging', words: 'lagging of the manifold', short: 'lagging' },
    ],
    body: 'manifold',
    capacity: { dry: description.capacity.dry + (sleeve?.capacity ?? 0), water: description.capacity.water, box: 0 },
    drainsWhenIdle: false,
    integralStorage: false,
    hasLid: false,
    acceptance: {
      beam: (transversal, longitudinal) => beam(built(), transversal, longitudinal),
      sky: () => diffuse(built()),
      ground: () => diffuse(built()),
      round: false,
    },
    chain: (deviates, workmanship) => built(deviates, workmanship).chain,
    state: (boundary, deviates, workmanship) => {
      const one = built(deviates, workmanship);
      const met = meets(one, boundary);
      const { kept } = met;
      const loses = one.manifold / count;
      if (!isFlowing(boundary)) {
        const still = tubeIn(met, { carried: 0, entering: 0, loses });
        const tubes = new Array<TubeState>(count).fill(still);
        return stateOf(one, boundary, { kept, tubes, water: still.water, useful: 0, flowing: false });
      }
      const carried = boundary.massFlow * fluidState(boundary.fluid ?? 'water', boundary.inlet).heatCapacity;
      const tubes: TubeState[] = [];
      let water = boundary.inlet;
      for (let index = 0; index < count; index += 1) {
        const each = tubeIn(met, { carried, entering: water, loses });
        tubes.push(each);
        water = each.water;
      }
      return stateOf(one, boundary, { kept, tubes, water, useful: carried * (water - boundary.inlet), flowing: true });
    },
    stagnantNetHeat: (boundary, deviates, workmanship) => {
      const one = built(deviates, workmanship);
      const met = meets(one, boundary);
      return (temperature) => count * carriedInto(met, temperature) - one.manifold * (temperature - boundary.air);
    },
    // What is fitted is where all tubes carry: the equation of the standard is no line with a corner.
    characteristic: fittedOnce((reference, effort) => ({
      ...fitFlowThrough(model, reference, {
        fits: ({ terms, usefulHeat }) => terms.idle === 0 && terms.limited === 0 && usefulHeat > leastFitted * area,
        bent: true,
        effort,
      }),
      oneWay: true,
    })),
    withKnownInputs: (known) => heatPipeModel({ ...description, known: { ...description.known, ...known } }),
    readouts: (state) => heatPipeReadouts(description, state),
    derivations: (state, boundary) => heatPipeDerivations(description, built(), state, boundary),
  };
  return model;
}
