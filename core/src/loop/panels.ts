import type { CollectorDescription, CollectorState, Deviates, HeatConditions, Workmanship } from '../heat';
import { collectorState, fluidState } from '../heat';

/** Panels of a job: each description with how many are alike. */
export interface PanelGroup {
  heat: CollectorDescription;
  count: number;
}

export type Connection = 'parallel' | 'series';

export interface PanelsState {
  usefulHeat: number;
  outletTemperature: number;
  gain: number;
  efficiency: number;
  /** One for each group; in series the first of the group. */
  perGroup: CollectorState[];
  /** °C of the water as it comes to the first of each group. */
  inlets: number[];
  /** °C as it leaves the last of each group. */
  outlets: number[];
}

/** °C of the hottest water that leaves any panel. */
export function hottestOutlet({ outlets, perGroup }: PanelsState): number {
  return Math.max(...outlets, ...perGroup.map((one) => one.outletTemperature));
}

/** m² of all panels. */
export function totalAperture(groups: readonly PanelGroup[]): number {
  return groups.reduce((sum, { heat, count }) => sum + heat.apertureArea * count, 0);
}

/**
 * All panels of a job at one moment. In parallel the water parts by aperture and mixes again; in series each panel is
 * fed by the one before it.
 *
 * @param conditions.massFlow kg/s through the whole job
 */
export function panelsState(
  groups: readonly PanelGroup[],
  connection: Connection,
  conditions: HeatConditions,
  deviates: Deviates = {},
  workmanship: Workmanship = 'well made',
): PanelsState {
  const aperture = totalAperture(groups);
  const perGroup: CollectorState[] = [];
  const inlets: number[] = [];
  const outlets: number[] = [];
  let heat = 0;
  let inlet = conditions.inlet;
  for (const group of groups) {
    if (connection === 'parallel') {
      const massFlow = (conditions.massFlow * group.heat.apertureArea) / aperture;
      const state = collectorState(group.heat, { ...conditions, massFlow }, deviates, workmanship);
      perGroup.push(state);
      inlets.push(inlet);
      outlets.push(state.outletTemperature);
      heat += state.usefulHeat * group.count;
      continue;
    }
    inlets.push(inlet);
    for (let copy = 0; copy < group.count; copy += 1) {
      const state = collectorState(group.heat, { ...conditions, inlet }, deviates, workmanship);
      if (copy === 0) perGroup.push(state);
      heat += state.usefulHeat;
      inlet = state.outletTemperature;
    }
    outlets.push(inlet);
  }
  const mean = conditions.inlet + heat / (2 * conditions.massFlow * 4190);
  const gain = heat / (conditions.massFlow * fluidState(conditions.fluid ?? 'water', mean).heatCapacity);
  const sun = conditions.irradiance * aperture;
  return {
    usefulHeat: heat,
    gain,
    outletTemperature: conditions.inlet + gain,
    efficiency: sun > 0 ? heat / sun : 0,
    perGroup,
    inlets,
    outlets,
  };
}
