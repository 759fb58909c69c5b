import type { ManifoldQuery } from '../flow';
import type { Fluid } from '../heat';
import type { OpenJob } from './open';

/** The network of a panel's water in the sun: what the manifold is asked. */
export function waterNetwork(
  panel: OpenJob['panels'][number],
  at: { inlet: number; tilt: number; fluid?: Fluid; massFlow: number; usefulHeat: number; outletTemperature: number },
): ManifoldQuery {
  const { water } = panel.design;
  const rise = panel.document.turned ? 0 : water.riserLength * Math.sin((at.tilt * Math.PI) / 180);
  return {
    ...water,
    ...(at.fluid ? { fluid: at.fluid } : {}),
    massFlow: at.massFlow,
    temperature: (at.inlet + at.outletTemperature) / 2,
    warming: { heat: Math.max(0, at.usefulHeat) / water.risers, rise },
  };
}
