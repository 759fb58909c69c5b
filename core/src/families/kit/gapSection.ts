import type { SectionSource } from '../../readout';
import type { FlatDescription, FlatModel } from '../../thermal';
import type { HeaterAtWork } from '../family';

/** The gap under the pane as drawn, and the shallow best of it, by what leaves there; nothing for a bare heater. */
export function gapSections<D extends FlatDescription>(
  thermal: FlatModel<D>,
  { boundary, state }: HeaterAtWork,
): SectionSource[] {
  if (thermal.description.covers.length === 0) return [];
  return [
    {
      id: 'gap',
      title: 'Gap under the pane',
      deep: true,
      make: () => {
        const found = thermal.gap(boundary, state.places[thermal.body] ?? boundary.air);
        if (!found) return undefined;
        const { drawn, best } = found;
        const choice = ({ gap, flux }: typeof best, more: { chosen: boolean; advised?: string }) => ({
          set: gap,
          name: { value: gap, kind: 'length' as const },
          value: { value: flux, kind: 'irradiance' as const },
          ...more,
        });
        return {
          kind: 'choices',
          path: 'parameters.airGap',
          lead: 'What leaves by the top, of each square metre of plate. Narrow gaps conduct, wide ones stir.',
          choices: [
            ...(Math.abs(best.gap - drawn.gap) < 1e-9 ? [] : [choice(best, { chosen: false, advised: 'loses least' })]),
            choice(drawn, { chosen: true, advised: 'as drawn' }),
          ],
          tail: '',
        };
      },
    },
  ];
}
