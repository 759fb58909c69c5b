import {
  fluidState,
  isFlowing,
  type OperatingConditions,
  type StandardNormals,
  type ThermalModel,
  type ThermalState,
  type Workmanship,
} from '../thermal';

/** Heaters of a job: each model with how many are alike. */
export interface HeaterGroup {
  thermal: ThermalModel;
  count: number;
}

export type Connection = 'parallel' | 'series';

export interface HeatersState {
  /** W. */
  usefulHeat: number;
  /** °C and K; absent where nothing flows. */
  outletTemperature?: number;
  gain?: number;
  efficiency: number;
  /** The first heater of each group: what it meets, at its own share of the flow and its own inlet, and what it does. */
  perGroup: { boundary: OperatingConditions; state: ThermalState }[];
  /** °C of the water as it leaves the last of each group; none where nothing flows. */
  outlets: number[];
}

/** °C of the hottest water that leaves any heater; minus infinity where none leaves. */
export function hottestOutlet({ outlets, perGroup }: HeatersState): number {
  return Math.max(
    ...outlets,
    ...perGroup.map(({ state }) => state.outletTemperature ?? Number.NEGATIVE_INFINITY),
    Number.NEGATIVE_INFINITY,
  );
}

/** m² of all heaters. */
export function totalAperture(groups: readonly HeaterGroup[]): number {
  return groups.reduce((sum, { thermal, count }) => sum + thermal.apertureArea * count, 0);
}

/** Whether a heater stands beside a loop that runs through others: its water is its own store, and no pump moves it. */
export function standsBeside({ thermal }: HeaterGroup, groups: readonly HeaterGroup[]): boolean {
  return thermal.integralStorage && groups.some((other) => !other.thermal.integralStorage);
}

/** The heaters that the water of the loop runs through. */
export function heatersInLoop(groups: readonly HeaterGroup[]): HeaterGroup[] {
  return groups.filter((group) => !standsBeside(group, groups));
}

/** The heaters that are heated where they stand: all of them where nothing flows, else those beside the loop. */
export function heatersAtRest<G extends HeaterGroup>(groups: readonly G[], whole: OperatingConditions): G[] {
  return groups.filter((group) => !isFlowing(whole) || standsBeside(group, groups));
}

/**
 * All heaters of a job at one moment. In parallel the water parts by aperture and mixes again; in series each heater is
 * fed by the one before it. With a flow of 0 each stands at rest, and so does one that stands beside the loop: its heat is not counted here.
 *
 * @param whole.massFlow kg/s through the whole job
 */
export function heatersState(
  groups: readonly HeaterGroup[],
  connection: Connection,
  whole: OperatingConditions,
  deviates: StandardNormals = {},
  workmanship: Workmanship = 'well made',
): HeatersState {
  const aperture = totalAperture(heatersInLoop(groups));
  const perGroup: HeatersState['perGroup'] = [];
  const outlets: number[] = [];
  let heat = 0;
  let { inlet } = whole;
  for (const group of groups) {
    const { thermal, count } = group;
    if (isFlowing(whole) && standsBeside(group, groups)) {
      const boundary = { ...whole, massFlow: 0 };
      perGroup.push({ boundary, state: thermal.state(boundary, deviates, workmanship) });
      continue;
    }
    if (connection === 'parallel') {
      const boundary = { ...whole, massFlow: (whole.massFlow * thermal.apertureArea) / aperture };
      const state = thermal.state(boundary, deviates, workmanship);
      perGroup.push({ boundary, state });
      if (state.outletTemperature !== undefined) outlets.push(state.outletTemperature);
      heat += state.usefulHeat * count;
      continue;
    }
    for (let copy = 0; copy < count; copy += 1) {
      const boundary = { ...whole, inlet };
      const state = thermal.state(boundary, deviates, workmanship);
      if (copy === 0) perGroup.push({ boundary, state });
      heat += state.usefulHeat;
      inlet = state.outletTemperature ?? inlet;
    }
    if (isFlowing(whole)) outlets.push(inlet);
  }
  const sun = whole.irradiance * aperture;
  const efficiency = sun > 0 ? heat / sun : 0;
  if (!isFlowing(whole)) return { usefulHeat: heat, efficiency, perGroup, outlets };
  const mean = whole.inlet + heat / (2 * whole.massFlow * 4190);
  const gain = heat / (whole.massFlow * fluidState(whole.fluid ?? 'water', mean).heatCapacity);
  return { usefulHeat: heat, gain, outletTemperature: whole.inlet + gain, efficiency, perGroup, outlets };
}
