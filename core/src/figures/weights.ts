import { lifters } from '../families';
import type { OpenJob } from '../job';
import { isPane } from '../shop';
import type { Figures } from './evaluate';

/** kg of one panel, as it is handled. */
export interface Weights {
  panel: string;
  count: number;
  dry: number;
  /** Full of water. */
  wet: number;
  /** Of the pane alone, and of the panel before it is glazed; absent where there is no pane. */
  pane?: number;
  unglazed?: number;
  /** The heaviest single piece that is cut, with its name. */
  heaviest: { name: string; mass: number };
  /** Who lifts it dry, in words. */
  lifters: string;
}

/** What each panel weighs on its way: dry, full, with and without the pane, and its heaviest piece. */
export function jobWeights({ panels }: OpenJob, figures: Figures): Weights[] {
  return panels.map(({ document, design }, index) => {
    const pane = design.purchases.filter(isPane).reduce((sum, { mass }) => sum + mass, 0);
    const heaviest = design.parts.reduce((most, { name, mass }) => (mass > most.mass ? { name, mass } : most), {
      name: '',
      mass: 0,
    });
    const dry = design.dryMass;
    return {
      panel: document.id,
      count: document.count,
      dry,
      wet: figures.perHeater[index]?.wetMass ?? dry,
      ...(pane > 0 ? { pane, unglazed: dry - pane } : {}),
      heaviest,
      lifters: lifters(dry),
    };
  });
}
