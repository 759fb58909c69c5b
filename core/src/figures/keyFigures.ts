import { formatNumber } from '../quantity';
import type { Readout } from '../readout';
import type { Figures } from './evaluate';

/** One of a job's vital figures: how it is told, and which way is better. */
export interface Vital extends Readout {
  /** Which way a change of it is for the better; left out where neither is. */
  better?: 'more' | 'less';
  /** Stands also where there is hardly room. */
  first?: true;
}

/** What of a job is always in sight, money and clashes apart; labels with quantities by `measured`. */
export function keyFigures(figures: Figures): Vital[] {
  const { apertureArea, gain, stagnationTemperature: dry, waterVolume, exposure } = figures;
  const values = (value: number | undefined) => (value === undefined ? [] : [value]);
  return [
    { id: 'area', label: 'pane area', kind: 'area', values: [apertureArea], better: 'more' },
    {
      id: 'gain',
      label: exposure === undefined ? 'temperature rise' : `warmer after ${formatNumber(exposure / 3600, 1)} h`,
      kind: 'temperatureDifference',
      values: values(gain),
      better: 'more',
      first: true,
    },
    { id: 'dry', label: 'hottest when empty', kind: 'temperature', digits: 0, values: values(dry) },
    { id: 'holds', label: 'water content', kind: 'volume', values: [waterVolume] },
  ];
}
