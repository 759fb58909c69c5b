import type { Job } from '../document';
import { type Conditions, designConditions } from '../job';
import { type Workmanship, workmanships } from '../thermal';
import { type Bands, evaluateBands } from './bands';

/** Bands of a job as drawn and well made, and those of a typical home-made one. */
export type BothBands = Record<Workmanship, Bands>;

/** Draws for the bands that stand beside figures, for those along a curve, and for a curve whose middle alone is drawn. */
const samplesOf = { figures: 120, curve: 60, line: 40 } as const;

/** Shares of the flow that the curves over flow reach to. */
const flowShares = [0.2, 0.3, 0.4, 0.5, 0.65, 0.8, 1, 1.25, 1.5, 1.8, 2.2, 2.6, 3].map((share) => share / 3);
/** Times the design flow that those curves reach to, so that the design point stands at a third of them. */
export const flowReach = 3;
/** K of inlet over air along an efficiency curve. */
const inletRises = [0, 8, 16, 24, 32, 40, 48, 56, 64];
/** K of inlet over air that an efficiency curve reaches to. */
export const riseReach = Math.max(...inletRises);
/** The same for the short curve beside the figures of a panel. */
const benchRises = [0, 10, 20, 30, 40, 50, 60, 70];

/** Both bands of a job at its design conditions but for those given; the same at every call. */
export function bothBands(
  job: Job,
  conditions: Partial<Conditions> = {},
  samples: number = samplesOf.figures,
): BothBands {
  const band = (workmanship: Workmanship) => evaluateBands(job, conditions, { samples, seed: 1, workmanship });
  return Object.fromEntries(workmanships.map((one) => [one, band(one)])) as BothBands;
}

/** Bands over flows from a fifteenth of `span` (kg/s) up to it. */
export function bandsOverFlow(
  job: Job,
  conditions: Partial<Conditions>,
  span: number,
): { massFlow: number; bands: BothBands }[] {
  return flowShares.map((share) => {
    const massFlow = share * span;
    return { massFlow, bands: bothBands(job, { ...conditions, massFlow }, samplesOf.curve) };
  });
}

/** Bands over inlets from the air's temperature to `riseReach` above it. */
export function bandsOverInlet(job: Job, conditions: Partial<Conditions>): { rise: number; bands: BothBands }[] {
  return inletRises.map((rise) => ({
    rise,
    bands: bothBands(job, { ...conditions, inlet: (conditions.air ?? designConditions.air) + rise }, samplesOf.curve),
  }));
}

/** K m²/W. How far the water comes in above the air for the sun there is: the abscissa of an efficiency line (ISO 9806:2017). */
export function reducedTemperature({ inlet, air, irradiance }: { inlet: number; air: number; irradiance: number }) {
  return (inlet - air) / irradiance;
}

/** °C of the inlet at a place on that line. */
export function inletAt(reduced: number, { air, irradiance }: { air: number; irradiance: number }): number {
  return air + reduced * irradiance;
}

/** Efficiency with its band over the rise of the inlet above design air, well made. */
export function efficiencyCurve(job: Job): { rise: number; efficiency: Bands['efficiency'] }[] {
  return benchRises.map((rise) => {
    const inlet = designConditions.air + rise;
    const { efficiency } = evaluateBands(job, { inlet }, { samples: samplesOf.line, seed: 1 });
    return { rise, efficiency };
  });
}
