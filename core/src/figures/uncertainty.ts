import type { OpenJob } from '../job';
import type { Workmanship } from '../thermal';

/** One uncertain input of a heater with its spread, and whether the builder set it. */
export interface UncertainRow {
  input: string;
  name: string;
  unit: string;
  digits: number;
  low: number;
  likely: number;
  high: number;
  spread: 'normal' | 'log-normal';
  kind: string;
  own: boolean;
}

/** The uncertain inputs of a heater, as its model owns them. */
export function uncertainRows(open: OpenJob, index: number, workmanship: Workmanship = 'well made'): UncertainRow[] {
  const panel = open.panels[index];
  if (!panel) throw new RangeError(`no heater ${index}`);
  return panel.design.thermal.inputs.map(({ id, name, unit, digits, spread, own }) => ({
    input: id,
    name,
    unit,
    digits,
    ...spread[workmanship],
    own,
  }));
}
