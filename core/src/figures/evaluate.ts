import type { Finding } from '../care';
import { loopBoils } from '../cautions';
import { type Job, mostSpecificFlow } from '../document';
import type { HeaterAtWork } from '../families';
import type { WaterAt } from '../hydraulic';
import { attempt, type Conditions, heatConditions, jobShop, type OpenJob, openJob, stagnationConditions } from '../job';
import {
  type HeatersState,
  heatersAtRest,
  heatersInLoop,
  heatersState,
  hottestOutlet,
  standsBeside,
  totalAperture,
} from '../loop';
import type { ShopPlan } from '../shop';
import { fluidState, type OperatingConditions, stagnationTemperature, type ThermalState } from '../thermal';
import { type StandingState, standingTogether, usualExposure } from './standing';

/** What a panel or a job does at its working point. Absent together: where one cannot be worked out, none can. */
export interface WorkFigures {
  usefulHeat: number;
  gain: number;
  outletTemperature: number;
  efficiency: number;
}

/** Figures of one panel of a group, at its own share of the flow. What has no meaning, or cannot be worked out, is absent. */
export interface HeaterFigures extends Partial<WorkFigures> {
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
  buoyancyHead?: number;
  /** Share of the flow in each branch, from the inlet; none where all of it goes one way. */
  branches: readonly number[];
  /** What it meets, and what heat and water do; absent where the balance does not settle. */
  work?: HeaterAtWork;
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
  /** Pa of friction, and of the buoyancy head of warm water. Absent where no panel has one. */
  pressureDrop?: number;
  buoyancyHead?: number;
  conditions: OperatingConditions;
  /** s that the heaters stand in the sun, where nothing flows: heat is then a mean, gain and outlet are those at the end. */
  exposure?: number;
  perHeater: HeaterFigures[];
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
  return evaluateWithCost(openJob(job), conditions);
}

/** The figures of a job already opened, its cut list planned for what it costs: that takes longer than all the rest. */
export function evaluateWithCost(open: OpenJob, given: Partial<Conditions> = {}): Figures {
  const absent: Finding[] = [];
  const plan = attempt('cost', 'heaters', absent, () => jobShop(open).plan);
  const figures = evaluateOpen(open, given, plan);
  return { ...figures, absent: [...figures.absent, ...absent] };
}

/** The figures of a job already opened; what it costs only by a plan that is made already. */
export function evaluateOpen(open: OpenJob, given: Partial<Conditions> = {}, plan?: ShopPlan): Figures {
  const { job, groups, panels } = open;
  const absent: Finding[] = [];
  const conditions = heatConditions(job, groups, given);
  const whole = workingPoint(open, conditions, absent);
  const exposure = given.exposure ?? usualExposure;
  const still = heatersAtRest(groups, conditions);
  const standing =
    still.length === 0
      ? undefined
      : coolStanding(open, absent, () => standingTogether(still, { ...conditions, massFlow: 0 }, exposure));
  const perHeater = panels.map((panel, index): HeaterFigures => {
    const { document, design } = panel;
    const { thermal, hydraulic, areas } = design;
    const { path } = panel;
    const at = whole?.perGroup[index];
    const boundary = at?.boundary ?? ownBoundary(open, conditions, index);
    const work = at && workOfHeater(panel, path, absent, at);
    const group = groups[index];
    const stands = group && standing?.perGroup[still.indexOf(group)];
    const waterVolume = hydraulic?.volume ?? 0;
    const waterMass = waterVolume * fluidState(conditions.fluid ?? 'water', conditions.inlet).density;
    const stagnation = attempt('dry', path, absent, () =>
      stagnationTemperature(thermal, stagnationConditions(job, thermal)),
    );
    return {
      id: document.id,
      count: document.count,
      apertureArea: areas.aperture,
      absorberArea: areas.absorber,
      grossArea: areas.gross,
      massFlow: boundary.massFlow,
      inlet: boundary.inlet,
      ...(stands ? workFigures(stands) : at ? workFigures(at.state) : {}),
      ...(work ? { work } : {}),
      ...(stagnation === undefined ? {} : { stagnationTemperature: stagnation }),
      waterVolume,
      dryMass: design.dryMass,
      wetMass: design.dryMass + waterMass,
      ...(work?.water?.state.drop === undefined ? {} : { pressureDrop: work.water.state.drop }),
      ...(work?.water?.state.buoyancyHead === undefined ? {} : { buoyancyHead: work.water.state.buoyancyHead }),
      branches: work?.water?.state.branches ?? [],
    };
  });
  const sum = (of: (panel: HeaterFigures) => number) =>
    perHeater.reduce((total, panel) => total + panel.count * of(panel), 0);
  const stagnations = perHeater.flatMap(({ stagnationTemperature: one }) => (one === undefined ? [] : [one]));
  return {
    apertureArea: sum((panel) => panel.apertureArea),
    absorberArea: sum((panel) => panel.absorberArea),
    grossArea: sum((panel) => panel.grossArea),
    ...workTogether(open, conditions, whole, standing),
    ...(stagnations.length > 0 ? { stagnationTemperature: Math.max(...stagnations) } : {}),
    waterVolume: sum((panel) => panel.waterVolume),
    dryMass: sum((panel) => panel.dryMass),
    wetMass: sum((panel) => panel.wetMass),
    ...(plan ? { cost: plan.cost } : {}),
    unpriced: plan?.unpriced ?? [],
    massFlow: conditions.massFlow,
    ...togetherOf(perHeater, job.loop.connection, 'pressureDrop'),
    ...togetherOf(perHeater, job.loop.connection, 'buoyancyHead'),
    conditions,
    ...(standing ? { exposure } : {}),
    perHeater,
    absent,
  };
}

/**
 * What all heaters do: those of a loop, those that stand still, or both. Of both the heat is added up; gain and outlet are those of the water
 * that flows. Nothing where a part of it cannot be worked out.
 */
export function workTogether(
  { groups }: Pick<OpenJob, 'groups'>,
  conditions: OperatingConditions,
  loop: HeatersState | undefined,
  standing: StandingState | undefined,
): Partial<WorkFigures> {
  const still = heatersAtRest(groups, conditions).length;
  if (still === groups.length) return standing ? workFigures(standing) : {};
  const work = loop ? workFigures(loop) : {};
  if (still === 0) return work;
  if (work.usefulHeat === undefined || !standing) return {};
  const usefulHeat = work.usefulHeat + standing.usefulHeat;
  const sun = conditions.irradiance * totalAperture(groups);
  return { ...work, usefulHeat, efficiency: sun > 0 ? usefulHeat / sun : 0 };
}

/** Heaters that stand still; nothing where their water would boil before the exposure is over. */
function coolStanding<T extends StandingState>(
  open: OpenJob,
  absent: Finding[],
  work: () => T | undefined,
): T | undefined {
  const standing = attempt('gain', 'loop.specificFlow', absent, work);
  const boils = loopBoils(open);
  if (!standing || standing.outletTemperature <= boils) return standing;
  absent.push({
    code: 'outlet-boils',
    severity: 'stop',
    path: 'loop.specificFlow',
    measure: standing.outletTemperature - boils,
    values: { outlet: standing.outletTemperature, boils, flow: 0 },
  });
  return undefined;
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

/** The figures of a working point, those that it has: where nothing flows there is no outlet. */
export function workFigures(state: HeatersState | ThermalState | StandingState): Partial<WorkFigures> {
  const { usefulHeat, gain, outletTemperature, efficiency } = state;
  return gain === undefined || outletTemperature === undefined
    ? {}
    : { usefulHeat, gain, outletTemperature, efficiency };
}

/** What one heater would meet: its share of the flow in parallel, all of it in series. */
function ownBoundary({ job, groups }: OpenJob, whole: OperatingConditions, index: number): OperatingConditions {
  const group = groups[index];
  if (!group || standsBeside(group, groups)) return { ...whole, massFlow: 0 };
  const share =
    job.loop.connection === 'parallel' ? group.thermal.apertureArea / totalAperture(heatersInLoop(groups)) : 1;
  return { ...whole, massFlow: whole.massFlow * share };
}

/** The working point of all panels; nothing where the balance does not settle or water would leave a panel as steam. */
function workingPoint(open: OpenJob, conditions: OperatingConditions, absent: Finding[]): HeatersState | undefined {
  const { job, groups } = open;
  const whole = attempt('gain', 'loop.specificFlow', absent, () =>
    heatersState(groups, job.loop.connection, conditions),
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
    measure: outlet - boils,
    values: { outlet, boils, flow: conditions.massFlow },
    ...(fix === undefined ? {} : { fix }),
  });
  return undefined;
}

/** Heat and water of one heater; where its network does not settle, what would let it is among the findings. */
function workOfHeater(
  { design: { hydraulic } }: OpenJob['panels'][number],
  path: string,
  absent: Finding[],
  { boundary, state }: HeatersState['perGroup'][number],
): HeaterAtWork {
  if (!hydraulic || state.outletTemperature === undefined) return { boundary, state };
  const at: WaterAt = {
    massFlow: boundary.massFlow,
    inlet: boundary.inlet,
    temperature: (boundary.inlet + state.outletTemperature) / 2,
    ...(boundary.fluid ? { fluid: boundary.fluid } : {}),
    tilt: boundary.tilt,
    heat: state.usefulHeat,
  };
  const trouble: Finding[] = [];
  const water = attempt('flow', path, trouble, () => hydraulic.state(at));
  const [found] = trouble;
  if (found && hydraulic.mend) {
    const { path: field, ...fix } = hydraulic.mend(at);
    absent.push({ ...found, path: `${path}.${field}`, ...fix });
  } else absent.push(...trouble);
  return water ? { boundary, state, water: { at, state: water } } : { boundary, state };
}

/** K below boiling at which a mended flow leaves the water. */
const boilMargin = 10;

/** The loop's flow with which no panel's outlet comes near boiling, doubled until it does not; nothing where none does. */
function coolFlow(open: OpenJob, conditions: OperatingConditions, boils: number): number | undefined {
  const { job, groups } = open;
  for (let times = 2; job.loop.specificFlow * times <= mostSpecificFlow; times *= 2) {
    const massFlow = conditions.massFlow * times;
    if (hottestOutlet(heatersState(groups, job.loop.connection, { ...conditions, massFlow })) <= boils - boilMargin)
      return Math.ceil(job.loop.specificFlow * times * 1e4) / 1e4;
  }
  return undefined;
}

/** Pressure drop, or buoyancy head, of the panels together: the most of those side by side, the sum of those in a row. */
function togetherOf(
  panels: readonly HeaterFigures[],
  connection: 'parallel' | 'series',
  figure: 'pressureDrop' | 'buoyancyHead',
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
