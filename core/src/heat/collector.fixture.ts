import { dirt, entry, range } from '../catalogue';
import type { CollectorDescription, HeatConditions } from './collector';

/** A single-glazed flat black panel of 2 m², well built, whose plate nearly fills its box. */
export function glazedPanel(change: Partial<CollectorDescription> = {}): CollectorDescription {
  const pane = entry('pane', 'tempered-low-iron-4');
  const paint = entry('coating', 'flat-black');
  return {
    apertureArea: 2.06,
    absorberArea: 2,
    grossArea: 2.3,
    covers: [
      {
        index: pane.index,
        sheets: pane.sheets,
        transmittance: pane.transmittance,
        emittance: pane.emittance,
        gap: 0.025,
        conductance: pane.conductance,
      },
    ],
    dirt,
    absorptance: paint.absorptance,
    emittance: paint.emittance,
    plateConductance: 385 * 0.0003,
    finWidth: 0.104,
    tube: { outerDiameter: 0.015, innerDiameter: 0.0136, length: 1.886, count: 10 },
    bond: range(30, 100, 300, 'textbook', 'log-normal'),
    back: 0.44,
    backFactor: range(1.1, 1.2, 1.3, 'judgement'),
    edge: 1.2,
    edgeFactor: range(0.5, 1, 2, 'judgement', 'log-normal'),
    heatCapacity: 16000,
    ...change,
  };
}

export const fairDay: HeatConditions = {
  irradiance: 800,
  beamShare: 0.85,
  groundShare: 0.1,
  incidence: 0,
  air: 15,
  surroundings: 3,
  wind: 2,
  inlet: 20,
  massFlow: 0.042,
  tilt: 45,
};
