import { loopBoils } from '../cautions';
import type { Job } from '../document';
import { type Conditions, heatConditions, openJob, stagnationConditions } from '../job';
import { type HeatersState, heatersAtRest, heatersState, hottestOutlet } from '../loop';
import { normalsOf } from '../quantity';
import {
  isFlowing,
  type OperatingConditions,
  type StandardNormals,
  stagnationTemperature,
  type Workmanship,
} from '../thermal';
import { type Figures, workTogether } from './evaluate';
import { type StandingState, standingTogether, usualExposure } from './standing';

/** About nine in ten of what may be met lies between `low` and `high`. */
export interface Band {
  low: number;
  likely: number;
  high: number;
}

/** The band of one panel's heat: its share of that of the job. Nothing where there is no working point. */
export function heaterBand(bands: Bands, figures: Figures, index: number): Band | undefined {
  const { usefulHeat: whole } = figures;
  const mine = figures.perHeater[index]?.usefulHeat;
  const band = bands.usefulHeat;
  if (!band || mine === undefined || !whole) return undefined;
  const share = mine / whole;
  return { low: band.low * share, likely: band.likely * share, high: band.high * share };
}

const banded = ['usefulHeat', 'gain', 'outletTemperature', 'efficiency', 'stagnationTemperature'] as const;
export type BandedFigure = (typeof banded)[number];
/** Bands by figure; those that have no meaning at the conditions are absent. */
export type Bands = Partial<Record<BandedFigure, Band>>;

/** °C of the hottest water that comes of a state. */
function outletOf(state: HeatersState | StandingState): number {
  return 'outlets' in state ? hottestOutlet(state) : state.outletTemperature;
}

/**
 * Bands of the figures that the uncertain inputs move: those that the models of its heaters own, each drawn
 * from its spread. For a panel as drawn and well made likely is the figure itself; for a home-made one, the
 * median of the draws.
 *
 * @param options.samples 200 by default
 * @param options.seed the same seed gives the same bands
 * @param options.workmanship well made when left out
 */
export function evaluateBands(
  job: Job,
  conditions: Partial<Conditions> = {},
  options: { samples?: number; seed?: number; workmanship?: Workmanship } = {},
): Bands {
  const open = openJob(job);
  const at = heatConditions(job, open.groups, conditions);
  const still = heatersAtRest(open.groups, at);
  const dry = new Map(open.groups.map(({ thermal }) => [thermal, stagnationConditions(job, thermal)]));
  const boils = loopBoils(open);
  const samples = Math.max(20, options.samples ?? 200);
  const workmanship = options.workmanship ?? 'well made';
  const figures = (deviates: StandardNormals): Partial<Record<BandedFigure, number>> => {
    const loop = isFlowing(at) ? heatersState(open.groups, job.loop.connection, at, deviates, workmanship) : undefined;
    const exposure = conditions.exposure ?? usualExposure;
    const standing =
      still.length === 0 ? undefined : standingTogether(still, { ...at, massFlow: 0 }, exposure, deviates, workmanship);
    const boiling = [loop, standing].some((state) => state && outletOf(state) > boils);
    const stagnation = open.groups.map(({ thermal }) =>
      stagnationTemperature(thermal, dry.get(thermal) as OperatingConditions, deviates, workmanship),
    );
    return {
      // Water that leaves as steam has no gain.
      ...(boiling ? {} : workTogether(open, at, loop, standing)),
      stagnationTemperature: Math.max(...stagnation),
    };
  };
  const likely = figures({});
  const seed = options.seed ?? 1;
  // Each input draws from a row of its own: the band of one heater does not hang on what others are uncertain of.
  const inputs = new Set(open.groups.flatMap(({ thermal }) => thermal.inputs.map(({ id }) => id)));
  const drawsOf = [...inputs].map((input) => [input, normalsOf(input, seed)] as const);
  const rows = Array.from({ length: samples }, () =>
    figures(Object.fromEntries(drawsOf.map(([input, draw]) => [input, draw()]))),
  );
  const bands: Bands = {};
  for (const name of banded) {
    const drawn = likely[name];
    if (drawn === undefined) continue;
    const sorted = rows.flatMap((row) => row[name] ?? []).sort((a, b) => a - b);
    const quantile = (share: number) => sorted[Math.round(share * (sorted.length - 1))] ?? drawn;
    // Of a home-made panel nobody has drawn the likely one: it is the middle of what turns out.
    const middle = workmanship === 'well made' ? drawn : quantile(0.5);
    bands[name] = { low: Math.min(quantile(0.05), middle), likely: middle, high: Math.max(quantile(0.95), middle) };
  }
  return bands;
}
