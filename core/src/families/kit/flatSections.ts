import type { SectionSource } from '../../readout';
import { type FlatDescription, type FlatModel, temperaturesAlong } from '../../thermal';
import type { HeaterAtWork } from '../family';
import { gapSections } from './gapSection';

/**
 * What a flat absorber that is wet along its whole way can show: how warm it is along the water, and what another gap would do.
 *
 * @param strips rectangles of the plan's plate layer, all alike
 */
export function flatSections<D extends FlatDescription>(
  thermal: FlatModel<D>,
  work: HeaterAtWork,
  strips: number,
): SectionSource[] {
  const { boundary, state } = work;
  if (state.outletTemperature === undefined) return gapSections(thermal, work);
  return [
    {
      id: 'field',
      title: 'How warm it is',
      make: () => {
        const line = temperaturesAlong(thermal, boundary, state);
        return { kind: 'field', layer: 'plate', values: Array.from({ length: strips }, () => [line]) };
      },
    },
    ...gapSections(thermal, work),
  ];
}
