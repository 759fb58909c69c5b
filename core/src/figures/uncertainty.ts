import { spreadsOf, type UncertainInput, uncertainInputs, type Workmanship } from '../heat';
import type { OpenJob } from '../job';

/** What an uncertain input is called, and what its numbers are. */
export const uncertainWords: Record<UncertainInput, { name: string; unit: string; digits: number }> = {
  bond: { name: 'Bond of tube and plate', unit: 'W/mK', digits: 0 },
  transmittance: { name: 'Pane lets through', unit: 'share', digits: 3 },
  dirt: { name: 'Dirt and condensation', unit: 'share', digits: 2 },
  absorptance: { name: 'Paint takes up', unit: 'share', digits: 2 },
  emittance: { name: 'Paint radiates', unit: 'share', digits: 2 },
  plate: { name: 'Plate conducts', unit: '× drawn', digits: 2 },
  back: { name: 'Back loses', unit: '× book', digits: 2 },
  edge: { name: 'Rim loses', unit: '× book', digits: 2 },
  wind: { name: 'Wind at the panel', unit: '× said', digits: 2 },
  sun: { name: 'Sun on the pane', unit: '× said', digits: 2 },
};

/** One uncertain input of a panel with its spread, and whether the builder set it. */
export interface UncertainRow {
  input: UncertainInput;
  low: number;
  likely: number;
  high: number;
  spread: 'normal' | 'log-normal';
  kind: string;
  own: boolean;
}

export function uncertainRows(open: OpenJob, index: number, workmanship: Workmanship = 'well made'): UncertainRow[] {
  const panel = open.panels[index];
  if (!panel) throw new RangeError(`no panel ${index}`);
  const spreads = spreadsOf(panel.design.heat, workmanship);
  const known = panel.document.known ?? {};
  const { plate, covers } = panel.design.heat;
  // What a panel does not have is not uncertain: a wetted sheet has no bond and no fin, a bare panel no pane.
  const absent: Partial<Record<UncertainInput, boolean>> = {
    bond: plate.mount === 'in',
    plate: plate.steps.length === 0,
    transmittance: covers.length === 0,
    dirt: covers.length === 0,
  };
  return uncertainInputs
    .filter((input) => !absent[input])
    .map((input) => ({ input, ...spreads[input], own: known[input] !== undefined }));
}
