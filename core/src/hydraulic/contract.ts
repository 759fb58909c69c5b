import type { Derivation, Readout } from '../readout';
import type { Fluid } from '../thermal';

/** Water of one heater at work. */
export interface WaterAt {
  /** kg/s through the heater (ṁ). */
  massFlow: number;
  /** °C as it comes in, and mean of the water in it. */
  inlet: number;
  temperature: number;
  /** Water when left out. */
  fluid?: Fluid;
  /** Degrees of the heater from level (β). */
  tilt: number;
  /** W into the water. */
  heat: number;
}

/** What the water does there. */
export interface WaterState {
  /** Pa that friction and speed take between the ports; absent where nothing presses, in a film. */
  drop?: number;
  /** Pa by which warm water lifts itself: it helps the pump. Absent where nothing warms on a rise. */
  buoyancyHead?: number;
  /** Share of the flow in each branch, from the inlet; none where all of it goes one way. They add up to 1. */
  branches: readonly number[];
}

/** A heater as its water sees it. */
export interface HydraulicModel {
  /** m³. */
  volume: number;
  /** Runs openly, with no pressure to stand. */
  open: boolean;
  /** What gives under mains pressure, in words that fit “… under mains pressure”; absent where it may stand there. */
  weakPoint?: string;
  /** Whether it empties by itself when it lies as drawn, and how. */
  drains: { empties: boolean; how: string };
  /** Throws NotConverged where a network does not settle. */
  state(at: WaterAt): WaterState;
  /** Where its network does not settle: the field of the heater that would let it, and the value with which it does, if there is one. */
  mend?(at: WaterAt): { path: string; fix?: string };
  /** What only this model can show. */
  readouts(at: WaterAt, state: WaterState): Readout[];
  /** How pressure and lift come about. */
  derivations(at: WaterAt): { drop: Derivation; buoyancyHead?: Derivation };
}

/** The flow of a heater as an input of a derivation. */
export function flowInput({ massFlow }: WaterAt): Derivation['inputs'][number] {
  return { label: 'flow, kg/s', value: massFlow, kind: 'number', digits: 4 };
}

/** What every model is asked of its fluid and flow. */
export function flowing({ massFlow, temperature, fluid }: WaterAt) {
  return { massFlow, temperature, ...(fluid ? { fluid } : {}) };
}
