import { dirt, entry, range } from '../../catalogue';
import type { StoreDescription } from './description';

/** Two tanks of 150 L behind 2 m² of glass, their box insulated all round, without a lid. */
export function twoTanks(change: Partial<StoreDescription> = {}): StoreDescription {
  const pane = entry('pane', 'tempered-low-iron-4');
  const paint = entry('coating', 'flat-black');
  const wall = {
    layers: [{ name: 'polyiso', thickness: 0.05, conductivity: 0.025 }],
    inside: 8,
    outside: 15,
  };
  return {
    apertureArea: 2,
    grossArea: 2.6,
    opening: { length: 1, width: 2, depth: 0.05 },
    covers: [
      {
        index: pane.index,
        sheets: pane.sheets,
        transmittance: pane.transmittance,
        emittance: pane.emittance,
        gap: 0.06,
        conductance: pane.conductance,
      },
    ],
    dirt,
    absorptance: paint.absorptance,
    emittance: paint.emittance,
    tanks: { count: 2, volume: 0.15, steel: 40, fill: 0.8, upright: false },
    lining: range(0.4, 0.55, 0.65, 'judgement'),
    walls: [
      { name: 'floor', area: 2, ...wall },
      { name: 'back', area: 2.2, ...wall },
      { name: 'sides', area: 1.6, ...wall },
    ],
    wallFactor: range(1.1, 1.3, 1.6, 'judgement'),
    ...change,
  };
}

/** A lid as long as the pane, at its low edge, with an inch of foam in it. */
export const lowLid: NonNullable<StoreDescription['lid']> = {
  hinge: 'low',
  length: 1,
  angle: 100,
  reflectance: range(0.7, 0.82, 0.9, 'judgement'),
  insulation: { thickness: 0.025, conductivity: 0.025 },
};
