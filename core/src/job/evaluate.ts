import {
  type CollectorState,
  collectorState,
  type Deviates,
  fluidState,
  type HeatConditions,
  type Make,
  stagnationTemperature,
  steamLoss,
  uncertainInputs,
  volumeFlow,
} from '../heat';
import { panelsState, totalAperture } from '../loop';
import { normals } from '../quantity';
import type { ShopPlan } from '../shop';
import { type Conditions, heatConditions, stagnationConditions } from './conditions';
import { jobShop } from './cutList';
import { waterAtWork } from './network';
import { type OpenJob, openJob } from './open';
import type { Job } from './schema';

/** Figures of one panel of a group, at its own share of the flow. */
export interface PanelFigures {
  id: string;
  count: number;
  apertureArea: number;
  absorberArea: number;
  grossArea: number;
  massFlow: number;
  usefulHeat: number;
  gain: number;
  outletTemperature: number;
  efficiency: number;
  stagnationTemperature: number;
  waterVolume: number;
  dryMass: number;
  wetMass: number;
  /** Pa. Absent for a film that runs down openly. */
  pressureDrop?: number;
  /** m³/s down each strip, and W that steam carries from an open film to the cover; for films alone. */
  stripFlow?: number;
  steam?: number;
  /** Share of the flow in each riser, from the inlet; none where all of it goes one way. */
  riserShares: number[];
  state: CollectorState;
}

/** Figures of the whole job. SI; meanings as in the house plan. */
export interface Figures {
  apertureArea: number;
  absorberArea: number;
  grossArea: number;
  usefulHeat: number;
  gain: number;
  outletTemperature: number;
  efficiency: number;
  stagnationTemperature: number;
  waterVolume: number;
  dryMass: number;
  wetMass: number;
  cost: number;
  /** Names of what has no price and is not in the cost. */
  unpriced: string[];
  massFlow: number;
  /** Pa. Absent where no panel has one. */
  pressureDrop?: number;
  conditions: HeatConditions;
  perPanel: PanelFigures[];
}

/**
 * Design figures of a job, at once. Nothing is kept between calls.
 *
 * @param conditions what differs from the design conditions (800 W/m² at 0.85 beam, air 15 °C under a clear sky, wind
 *   2 m/s, inlet 20 °C, the loop's own flow)
 */
export function evaluateJob(job: Job, conditions: Partial<Conditions> = {}): Figures {
  return evaluateOpen(openJob(job), conditions);
}

/** The same for a job already opened; with `shop` when it is planned already. */
export function evaluateOpen(open: OpenJob, given: Partial<Conditions> = {}, shop?: ShopPlan): Figures {
  const { job, groups, panels } = open;
  const conditions = heatConditions(job, groups, given);
  const dry = stagnationConditions(job);
  const whole = panelsState(groups, job.loop.connection, conditions);
  const aperture = totalAperture(groups);
  const perPanel = panels.map((panel, index): PanelFigures => {
    const { document, design } = panel;
    const { heat, water, areas } = design;
    const share = job.loop.connection === 'parallel' ? heat.apertureArea / aperture : 1;
    const massFlow = conditions.massFlow * share;
    const state = whole.perGroup[index] ?? collectorState(heat, { ...conditions, massFlow });
    const flow = waterAtWork(water, document.turned, { ...conditions, ...state, massFlow });
    const waterMass = water.volume * fluidState('water', conditions.inlet).density;
    const steam = steamLoss(heat, { ...conditions, massFlow }, state.plateTemperature);
    return {
      id: document.id,
      count: document.count,
      apertureArea: areas.aperture,
      absorberArea: areas.absorber,
      grossArea: areas.gross,
      massFlow,
      usefulHeat: state.usefulHeat,
      gain: state.gain,
      outletTemperature: state.outletTemperature,
      efficiency: state.efficiency,
      stagnationTemperature: stagnationTemperature(heat, dry),
      waterVolume: water.volume,
      dryMass: design.dryMass,
      wetMass: design.dryMass + waterMass,
      ...(flow.pressureDrop === undefined ? {} : { pressureDrop: flow.pressureDrop }),
      ...(water.kind === 'film' ? { stripFlow: volumeFlow(massFlow / water.strips, conditions.inlet) } : {}),
      ...(steam === undefined ? {} : { steam }),
      riserShares: flow.shares,
      state,
    };
  });
  const sum = (of: (panel: PanelFigures) => number) =>
    perPanel.reduce((total, panel) => total + panel.count * of(panel), 0);
  const plan = shop ?? jobShop(open).plan;
  return {
    apertureArea: sum((panel) => panel.apertureArea),
    absorberArea: sum((panel) => panel.absorberArea),
    grossArea: sum((panel) => panel.grossArea),
    usefulHeat: whole.usefulHeat,
    gain: whole.gain,
    outletTemperature: whole.outletTemperature,
    efficiency: whole.efficiency,
    stagnationTemperature: Math.max(...perPanel.map((panel) => panel.stagnationTemperature)),
    waterVolume: sum((panel) => panel.waterVolume),
    dryMass: sum((panel) => panel.dryMass),
    wetMass: sum((panel) => panel.wetMass),
    cost: plan.cost,
    unpriced: plan.unpriced,
    massFlow: conditions.massFlow,
    ...dropOf(perPanel, job.loop.connection),
    conditions,
    perPanel,
  };
}

/** What the panels drop together: the most of those side by side, the sum of those in a row. */
function dropOf(panels: readonly PanelFigures[], connection: 'parallel' | 'series'): Pick<Figures, 'pressureDrop'> {
  const drops = panels.flatMap(({ pressureDrop, count }) =>
    pressureDrop === undefined ? [] : [{ pressureDrop, count }],
  );
  if (drops.length === 0) return {};
  return {
    pressureDrop:
      connection === 'parallel'
        ? Math.max(...drops.map(({ pressureDrop }) => pressureDrop))
        : drops.reduce((sum, { pressureDrop, count }) => sum + pressureDrop * count, 0),
  };
}

/** About nine in ten of what may be met lies between `low` and `high`. */
export interface Band {
  low: number;
  likely: number;
  high: number;
}

const banded = ['usefulHeat', 'gain', 'outletTemperature', 'efficiency', 'stagnationTemperature'] as const;
export type BandedFigure = (typeof banded)[number];

/**
 * Bands of the figures that the uncertain inputs move: bond, pane, dirt, paint, plate, back, rim, wind at the panel and
 * sun, each drawn from its spread. For a panel as drawn and well made likely is the figure itself; for a home-made one, what
 * its likely inputs give.
 *
 * @param options.samples 200 by default
 * @param options.seed the same seed gives the same bands
 * @param options.make well made when left out
 */
export function evaluateBands(
  job: Job,
  conditions: Partial<Conditions> = {},
  options: { samples?: number; seed?: number; make?: Make } = {},
): Record<BandedFigure, Band> {
  const open = openJob(job);
  const at = heatConditions(job, open.groups, conditions);
  const dry = stagnationConditions(job);
  const samples = Math.max(20, options.samples ?? 200);
  const normal = normals(options.seed ?? 1);
  const make = options.make ?? 'well made';
  const rows: Record<BandedFigure, number[]> = {
    usefulHeat: [],
    gain: [],
    outletTemperature: [],
    efficiency: [],
    stagnationTemperature: [],
  };
  const figures = (deviates: Deviates): Record<BandedFigure, number> => ({
    ...panelsState(open.groups, job.loop.connection, at, deviates, make),
    stagnationTemperature: Math.max(...open.groups.map(({ heat }) => stagnationTemperature(heat, dry, deviates, make))),
  });
  for (let sample = 0; sample < samples; sample += 1) {
    const deviates: Deviates = {};
    for (const input of uncertainInputs) deviates[input] = normal();
    const row = figures(deviates);
    for (const name of banded) rows[name].push(row[name]);
  }
  const likely = figures({});
  return Object.fromEntries(
    banded.map((name) => {
      const sorted = rows[name].sort((a, b) => a - b);
      const quantile = (share: number) => sorted[Math.round(share * (sorted.length - 1))] ?? likely[name];
      const low = Math.min(quantile(0.05), likely[name]);
      const high = Math.max(quantile(0.95), likely[name]);
      return [name, { low, likely: likely[name], high }];
    }),
  ) as Record<BandedFigure, Band>;
}
