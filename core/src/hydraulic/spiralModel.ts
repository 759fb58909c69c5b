import { fluidState } from '../thermal';
import { flowInput, flowing, type HydraulicModel, type WaterAt } from './contract';
import { coilFriction } from './fittings';

/** Hoses wound side by side into one flat spiral, all fed alike. */
export interface SpiralDescription {
  /** Hoses in parallel. */
  starts: number;
  /** m. */
  bore: number;
  /** Windings of each, from the inner one out: how far its hose lies from the middle, and m of hose in it. */
  windings: readonly { radius: number; length: number }[];
  /** m³. */
  volume: number;
  weakPoint?: string;
  drains: HydraulicModel['drains'];
}

/** m. Wall of drawn plastic pipe and hose. Makers' tables: 1.5 to 7 µm. */
const plasticRoughness = 7e-6;

/** Pa that a flow loses in one of the hoses, winding by winding: Darcy and Weisbach with the friction of a coil. */
export function spiralDrop({ starts, bore, windings }: SpiralDescription, at: WaterAt): number {
  const { massFlow, temperature, fluid = 'water' } = flowing(at);
  const { density, viscosity } = fluidState(fluid, temperature);
  const each = Math.abs(massFlow) / starts;
  const speed = each / (density * (Math.PI / 4) * bore ** 2);
  const reynolds = (density * speed * bore) / viscosity;
  const heads = windings.reduce(
    (sum, { radius, length }) =>
      sum +
      (coilFriction({ reynolds, bore, coilDiameter: 2 * radius, relativeRoughness: plasticRoughness / bore }) *
        length) /
        bore,
    0,
  );
  return (heads * density * speed ** 2) / 2;
}

/** Flat spirals of hose in parallel: each is as long as the next, and takes its like. */
export function spiralModel(description: SpiralDescription): HydraulicModel {
  const { starts, bore, windings, volume, weakPoint, drains } = description;
  const length = windings.reduce((sum, one) => sum + one.length, 0);
  return {
    volume,
    open: false,
    ...(weakPoint ? { weakPoint } : {}),
    drains,
    state: (at) => ({
      drop: spiralDrop(description, at),
      branches: starts > 1 ? Array.from({ length: starts }, () => 1 / starts) : [],
    }),
    readouts: () => [],
    derivations: (at) => ({
      drop: {
        name: 'Pressure drop',
        formula: 'friction of a coil × length ÷ bore × density × speed² ÷ 2, winding by winding',
        source: 'Darcy and Weisbach; friction in coils by Mishra and Gupta (1979)',
        inputs: [
          { label: 'each hose', value: length, kind: 'length' },
          { label: 'bore', value: bore, kind: 'length' },
          { label: 'hoses in parallel', value: starts, kind: 'number', digits: 0 },
          flowInput(at),
        ],
      },
    }),
  };
}
