import type { ManifoldWater, SerialWater, WaterDescription } from '../families';
import { type ManifoldQuery, manifoldFlow, seriesDrop, slotDrop } from '../flow';
import type { Fluid } from '../heat';

/** The water of one panel at work. */
export interface WaterAt {
  inlet: number;
  tilt: number;
  fluid?: Fluid;
  massFlow: number;
  usefulHeat: number;
  outletTemperature: number;
}

function common(at: WaterAt) {
  return {
    massFlow: at.massFlow,
    temperature: (at.inlet + at.outletTemperature) / 2,
    ...(at.fluid ? { fluid: at.fluid } : {}),
  };
}

/** The network of risers in the sun: what the manifold is asked. */
export function manifoldQuery(water: ManifoldWater, turned: boolean, at: WaterAt): ManifoldQuery {
  const rise = turned ? 0 : water.riserLength * Math.sin((at.tilt * Math.PI) / 180);
  return { ...water, ...common(at), warming: { heat: Math.max(0, at.usefulHeat) / water.risers, rise } };
}

/** Pa over one long way. */
export function serialDrop(water: SerialWater, at: WaterAt): number {
  return seriesDrop({ bore: water.bore, length: water.length, bends: water.bends, ...common(at) });
}

/** Pa of friction between the ports of a panel, Pa by which its warm water lifts itself, and the share of each riser where there are several. */
export function waterAtWork(
  water: WaterDescription,
  turned: boolean,
  at: WaterAt,
): { pressureDrop: number | undefined; lift: number | undefined; shares: number[] } {
  const none = { lift: undefined, shares: [] };
  if (water.kind === 'serial') return { pressureDrop: serialDrop(water, at), ...none };
  if (water.kind === 'film') return { pressureDrop: undefined, ...none };
  if (water.kind === 'slot') return { pressureDrop: slotDrop({ ...water, ...common(at) }), ...none };
  const { pressureDrop, lift, fractions } = manifoldFlow(manifoldQuery(water, turned, at));
  return { pressureDrop, lift: lift > 0 ? lift : undefined, shares: fractions };
}
