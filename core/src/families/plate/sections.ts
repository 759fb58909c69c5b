import type { SectionSource } from '../../readout';
import { type PlateModel, plateAtWork } from '../../thermal';
import type { HeaterAtWork } from '../family';
import { gapSections } from '../kit/gapSection';

/** What any plate with tubes can show: how warm every place of it is. */
export function plateSections(thermal: PlateModel, work: HeaterAtWork): SectionSource[] {
  const { boundary, state, water } = work;
  const shares = water && water.state.branches.length > 0 ? water.state.branches : undefined;
  return [
    {
      id: 'field',
      title: 'How warm the plate is',
      make: () => ({
        kind: 'field',
        layer: 'plate',
        values: plateAtWork(thermal, boundary, state, shares).plate,
      }),
    },
    ...gapSections(thermal, work),
  ];
}
