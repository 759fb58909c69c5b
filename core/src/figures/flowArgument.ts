import { loopBoils } from '../cautions';
import type { OpenJob } from '../job';
import { type Conditions, heatConditions } from '../job';
import { heatersState, hottestOutlet } from '../loop';
import { bodyTemperature } from '../thermal';

/** The job at one flow; SI. */
export interface FlowPoint {
  /** kg/s. */
  massFlow: number;
  gain: number;
  usefulHeat: number;
  efficiency: number;
  /** °C, mean of the warmest heater's absorber. */
  body: number;
}

/** The quarrel of slow and hot against fast and efficient, in this job's own numbers. */
export interface FlowArgument {
  /** Absent at a flow with which the water would boil. */
  slow?: FlowPoint;
  now?: FlowPoint;
  fast?: FlowPoint;
  /** °C at which water in this loop boils. */
  boils: number;
  /** kg/s for each m² of pane, as it stands. */
  specificFlow: number;
}

/** Shares of the flow as it stands that are held against it. */
export const comparedFlows = { slow: 0.3, now: 1, fast: 3 } as const;

export function flowArgument(open: OpenJob, given: Partial<Conditions>): FlowArgument {
  const { job, groups } = open;
  const conditions = heatConditions(job, groups, given);
  const boils = loopBoils(open);
  const at = (side: keyof typeof comparedFlows): Partial<FlowArgument> => {
    const massFlow = conditions.massFlow * comparedFlows[side];
    const state = heatersState(groups, job.loop.connection, { ...conditions, massFlow });
    if (state.gain === undefined || hottestOutlet(state) > boils) return {};
    const { gain = 0, usefulHeat, efficiency, perGroup } = state;
    const body = Math.max(
      ...perGroup.map((one, index) => {
        const thermal = groups[index]?.thermal;
        return thermal ? bodyTemperature(thermal, one.state) : Number.NEGATIVE_INFINITY;
      }),
    );
    return { [side]: { massFlow, gain, usefulHeat, efficiency, body } };
  };
  return { ...at('slow'), ...at('now'), ...at('fast'), boils, specificFlow: job.loop.specificFlow };
}

/** The loop's kg/s per m² that gives a flow through the whole job, from the flow that it gives now; to a millionth. */
export function specificFlowFor(wanted: number, now: { massFlow: number; specificFlow: number }): number {
  return Math.round(((now.specificFlow * wanted) / now.massFlow) * 1e6) / 1e6;
}

/** W/m²K. Fall of an efficiency curve between its first point and a later one. */
export function curveSlope(
  curve: readonly { rise: number; efficiency: number }[],
  irradiance: number,
  to: number,
): number {
  const [first] = curve;
  const later = curve[to];
  if (!first || !later || later.rise === first.rise) return 0;
  return ((first.efficiency - later.efficiency) * irradiance) / (later.rise - first.rise);
}
