import type { Finding } from '../care';
import { loopBoils } from '../cautions';
import { type Job, mostSpecificFlow } from '../document';
import { evenEnough, headersCompared } from '../flow';
import {
  type CollectorState,
  type Deviates,
  fluidState,
  type HeatConditions,
  stagnationTemperature,
  steamLoss,
  uncertainInputs,
  volumeFlow,
  type Workmanship,
} from '../heat';
import {
  attempt,
  type Conditions,
  heatConditions,
  jobShop,
  manifoldQuery,
  type OpenJob,
  openJob,
  stagnationConditions,
  type WaterAt,
  waterAtWork,
} from '../job';
import { hottestOutlet, type PanelsState, panelsState, totalAperture } from '../loop';
import { normals } from '../quantity';
import type { ShopPlan } from '../shop';

/** What a panel or a job does at its working point. Absent together: where one cannot be worked out, none can. */
export interface WorkFigures {
  usefulHeat: number;
  gain: number;
  outletTemperature: number;
  efficiency: number;
}

/** Figures of one panel of a group, at its own share of the flow. What has no meaning, or cannot be worked out, is absent. */
export interface PanelFigures extends Partial<WorkFigures> {
  id: string;
  count: number;
  apertureArea: number;
  absorberArea: number;
  grossArea: number;
  massFlow: number;
  /** °C of the water as it comes to the first of the group. */
  inlet: number;
  stagnationTemperature?: number;
  waterVolume: number;
  dryMass: number;
  wetMass: number;
  /** Pa of friction between its ports. Absent for a film that runs down openly. */
  pressureDrop?: number;
  /** Pa by which warm water in it lifts itself: it helps the pump. Absent where nothing warms on a rise. */
  lift?: number;
  /** m³/s down each strip, and W that steam carries from an open film to the cover; for films alone. */
  stripFlow?: number;
  steam?: number;
  /** Share of the flow in each riser, from the inlet; none where all of it goes one way. */
  riserShares: number[];
  state?: CollectorState;
}

/** Figures of the whole job. SI; meanings as in the house plan. What cannot be worked out is absent and told in `absent`. */
export interface Figures extends Partial<WorkFigures> {
  apertureArea: number;
  absorberArea: number;
  grossArea: number;
  stagnationTemperature?: number;
  waterVolume: number;
  dryMass: number;
  wetMass: number;
  cost?: number;
  /** Names of what has no price and is not in the cost. */
  unpriced: string[];
  massFlow: number;
  /** Pa of friction, and of the lift of warm water. Absent where no panel has one. */
  pressureDrop?: number;
  lift?: number;
  conditions: HeatConditions;
  perPanel: PanelFigures[];
  /** Why a figure is not there. */
  absent: Finding[];
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

/** The same for a job already opened; with `shop` when it is planned already, null when no plan can be made. */
export function evaluateOpen(open: OpenJob, given: Partial<Conditions> = {}, shop?: ShopPlan | null): Figures {
  const { job, groups, panels } = open;
  const absent: Finding[] = [];
  const conditions = heatConditions(job, groups, given);
  const dry = stagnationConditions(job);
  const whole = workingPoint(open, conditions, absent);
  const aperture = totalAperture(groups);
  let inlet = conditions.inlet;
  const perPanel = panels.map((panel, index): PanelFigures => {
    const { document, design } = panel;
    const { heat, water, areas } = design;
    const path = `panels.${index}`;
    const share = job.loop.connection === 'parallel' ? heat.apertureArea / aperture : 1;
    const massFlow = conditions.massFlow * share;
    const state = whole?.perGroup[index];
    const here = { ...conditions, inlet: whole?.inlets[index] ?? inlet, massFlow };
    inlet = here.inlet;
    const flow = state && flowOf(panel, path, absent, { ...here, ...state, massFlow });
    const waterMass = water.volume * fluidState(conditions.fluid ?? 'water', conditions.inlet).density;
    const steam = state && attempt('steam', path, absent, () => steamLoss(heat, here, state.plateTemperature));
    const stagnation = attempt('dry', path, absent, () => stagnationTemperature(heat, dry));
    return {
      id: document.id,
      count: document.count,
      apertureArea: areas.aperture,
      absorberArea: areas.absorber,
      grossArea: areas.gross,
      massFlow,
      inlet: here.inlet,
      ...(state ? { ...workFigures(state), state } : {}),
      ...(stagnation === undefined ? {} : { stagnationTemperature: stagnation }),
      waterVolume: water.volume,
      dryMass: design.dryMass,
      wetMass: design.dryMass + waterMass,
      ...(flow?.pressureDrop === undefined ? {} : { pressureDrop: flow.pressureDrop }),
      ...(flow?.lift === undefined ? {} : { lift: flow.lift }),
      ...(water.kind === 'film'
        ? { stripFlow: volumeFlow(massFlow / water.strips, conditions.inlet, conditions.fluid) }
        : {}),
      ...(steam === undefined ? {} : { steam }),
      riserShares: flow?.shares ?? [],
    };
  });
  const sum = (of: (panel: PanelFigures) => number) =>
    perPanel.reduce((total, panel) => total + panel.count * of(panel), 0);
  const plan = shop === undefined ? attempt('cost', 'panels', absent, () => jobShop(open).plan) : shop;
  const stagnations = perPanel.flatMap(({ stagnationTemperature: one }) => (one === undefined ? [] : [one]));
  return {
    apertureArea: sum((panel) => panel.apertureArea),
    absorberArea: sum((panel) => panel.absorberArea),
    grossArea: sum((panel) => panel.grossArea),
    ...(whole ? workFigures(whole) : {}),
    ...(stagnations.length > 0 ? { stagnationTemperature: Math.max(...stagnations) } : {}),
    waterVolume: sum((panel) => panel.waterVolume),
    dryMass: sum((panel) => panel.dryMass),
    wetMass: sum((panel) => panel.wetMass),
    ...(plan ? { cost: plan.cost } : {}),
    unpriced: plan?.unpriced ?? [],
    massFlow: conditions.massFlow,
    ...togetherOf(perPanel, job.loop.connection, 'pressureDrop'),
    ...togetherOf(perPanel, job.loop.connection, 'lift'),
    conditions,
    perPanel,
    absent,
  };
}

/** W and money by which one design differs from another; nothing where either cannot be worked out. */
export function figureChange(before: Figures, after: Figures): { heat: number; cost: number } | undefined {
  if (before.usefulHeat === undefined || after.usefulHeat === undefined) return undefined;
  if (before.cost === undefined || after.cost === undefined) return undefined;
  return { heat: after.usefulHeat - before.usefulHeat, cost: after.cost - before.cost };
}

/** The figures of a working point, all of them; nothing where there is none. */
export function workOf(figures: Partial<WorkFigures>): WorkFigures | undefined {
  const { usefulHeat, gain, outletTemperature, efficiency } = figures;
  return usefulHeat === undefined || gain === undefined || outletTemperature === undefined || efficiency === undefined
    ? undefined
    : { usefulHeat, gain, outletTemperature, efficiency };
}

function workFigures({ usefulHeat, gain, outletTemperature, efficiency }: WorkFigures): WorkFigures {
  return { usefulHeat, gain, outletTemperature, efficiency };
}

/** The working point of all panels; nothing where the balance does not settle or water would leave a panel as steam. */
function workingPoint(open: OpenJob, conditions: HeatConditions, absent: Finding[]): PanelsState | undefined {
  const { job, groups } = open;
  const whole = attempt('gain', 'loop.specificFlow', absent, () =>
    panelsState(groups, job.loop.connection, conditions),
  );
  if (!whole) return undefined;
  const boils = loopBoils(open);
  const outlet = hottestOutlet(whole);
  if (outlet <= boils) return whole;
  const fix = coolFlow(open, conditions, boils);
  absent.push({
    code: 'outlet-boils',
    severity: 'stop',
    path: 'loop.specificFlow',
    values: { outlet, boils, flow: conditions.massFlow },
    ...(fix === undefined ? {} : { fix }),
  });
  return undefined;
}

/** The water of one panel; where its network does not settle, what header would feed it. */
function flowOf(
  { document, design: { water } }: OpenJob['panels'][number],
  path: string,
  absent: Finding[],
  at: WaterAt,
): ReturnType<typeof waterAtWork> | undefined {
  const trouble: Finding[] = [];
  const flow = attempt('flow', path, trouble, () => waterAtWork(water, document.turned, at));
  const [found] = trouble;
  if (found && water.kind === 'manifold') {
    const query = manifoldQuery(water, document.turned, at);
    const feeds = water.headers.choices.flatMap((choice) => {
      const compared = attempt('flow', path, [], () => headersCompared(query, [choice.bore])) ?? [];
      return compared.map((one) => ({ ...one, id: choice.id }));
    });
    const fix = feeds.find(({ unevenness }) => unevenness <= evenEnough)?.id;
    absent.push({ ...found, path: `${path}.${water.headers.path}`, ...(fix === undefined ? {} : { fix }) });
  } else absent.push(...trouble);
  return flow;
}

/** K below boiling at which a mended flow leaves the water. */
const boilMargin = 10;

/** The loop's flow with which no panel's outlet comes near boiling, doubled until it does not; nothing where none does. */
function coolFlow(open: OpenJob, conditions: HeatConditions, boils: number): number | undefined {
  const { job, groups } = open;
  for (let times = 2; job.loop.specificFlow * times <= mostSpecificFlow; times *= 2) {
    const massFlow = conditions.massFlow * times;
    if (hottestOutlet(panelsState(groups, job.loop.connection, { ...conditions, massFlow })) <= boils - boilMargin)
      return Math.ceil(job.loop.specificFlow * times * 1e4) / 1e4;
  }
  return undefined;
}

/** What the panels drop, or lift, together: the most of those side by side, the sum of those in a row. */
function togetherOf(
  panels: readonly PanelFigures[],
  connection: 'parallel' | 'series',
  figure: 'pressureDrop' | 'lift',
): Partial<Record<typeof figure, number>> {
  const all = panels.flatMap((panel) => {
    const value = panel[figure];
    return value === undefined ? [] : [{ value, count: panel.count }];
  });
  if (all.length === 0) return {};
  const value =
    connection === 'parallel'
      ? Math.max(...all.map((one) => one.value))
      : all.reduce((sum, one) => sum + one.value * one.count, 0);
  return { [figure]: value };
}

/** About nine in ten of what may be met lies between `low` and `high`. */
export interface Band {
  low: number;
  likely: number;
  high: number;
}

/** The band of one panel's heat: its share of that of the job. Nothing where there is no working point. */
export function panelBand(bands: Bands, figures: Figures, index: number): Band | undefined {
  const { usefulHeat: whole } = figures;
  const mine = figures.perPanel[index]?.usefulHeat;
  const band = bands.usefulHeat;
  if (!band || mine === undefined || !whole) return undefined;
  const share = mine / whole;
  return { low: band.low * share, likely: band.likely * share, high: band.high * share };
}

const banded = ['usefulHeat', 'gain', 'outletTemperature', 'efficiency', 'stagnationTemperature'] as const;
export type BandedFigure = (typeof banded)[number];
/** Bands by figure; those that have no meaning at the conditions are absent. */
export type Bands = Partial<Record<BandedFigure, Band>>;

/**
 * Bands of the figures that the uncertain inputs move: bond, pane, dirt, paint, plate, back, rim, wind at the panel and
 * sun, each drawn from its spread. For a panel as drawn and well made likely is the figure itself; for a home-made one, the
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
  const dry = stagnationConditions(job);
  const boils = loopBoils(open);
  const samples = Math.max(20, options.samples ?? 200);
  const normal = normals(options.seed ?? 1);
  const workmanship = options.workmanship ?? 'well made';
  const figures = (deviates: Deviates): Partial<Record<BandedFigure, number>> => {
    const state = panelsState(open.groups, job.loop.connection, at, deviates, workmanship);
    const stagnation = open.groups.map(({ heat }) => stagnationTemperature(heat, dry, deviates, workmanship));
    return {
      // Water that leaves as steam has no gain.
      ...(hottestOutlet(state) <= boils ? workFigures(state) : {}),
      stagnationTemperature: Math.max(...stagnation),
    };
  };
  const likely = figures({});
  const rows = Array.from({ length: samples }, () => {
    const deviates: Deviates = {};
    for (const input of uncertainInputs) deviates[input] = normal();
    return figures(deviates);
  });
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
