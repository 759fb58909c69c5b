import { measured } from '../../quantity';
import type { Readout, SectionSource } from '../../readout';
import { isPane, type Purchase } from '../../shop';
import type { StoreModel } from '../../thermal';
import type { BatchBoxLayout } from './layout';

/** Lid angles that are held against each other, degrees between pane and lid; and heights of the sun over square. */
const angles = [80, 90, 100, 110, 120, 135, 150] as const;
const noons = [0, 15, 30] as const;

/** What only a box of tanks can show: what it weighs at each stage, and what its lid brings by its angle. */
export function batchBoxSections(
  layout: BatchBoxLayout,
  thermal: StoreModel,
  { purchases, mass, again }: { purchases: readonly Purchase[]; mass: number; again(lidAngle: number): StoreModel },
): SectionSource[] {
  const { parameters, tankVolume } = layout;
  const tanks = purchases.filter(({ id }) => id.endsWith('/tank')).reduce((sum, one) => sum + one.mass, 0);
  const pane = purchases.filter(isPane).reduce((sum, one) => sum + one.mass, 0);
  const weight = (id: string, label: string, value: number): Readout => ({
    id,
    label,
    kind: 'mass',
    digits: 0,
    values: [value],
  });
  return [
    {
      id: 'stages',
      title: 'Weight, stage by stage',
      deep: true,
      make: () => ({
        kind: 'figures',
        readouts: [
          weight('box', 'Box, without tanks and pane', mass - tanks - pane),
          weight('tanks', `${parameters.tanks === 1 ? 'Tank' : 'Tanks'}, empty`, tanks),
          weight('pane', 'Pane', pane),
          weight('empty', 'All of it, empty', mass),
          weight('full', 'All of it, full', mass + parameters.tanks * tankVolume * 992),
        ],
      }),
    },
    ...(parameters.lid === 'none'
      ? []
      : [
          {
            id: 'lid',
            title: 'What the lid brings, by its angle',
            deep: true as const,
            make: () => {
              const gain = (model: StoreModel, longitudinal: number) => {
                const share = model.lidShare({ transversal: 0, longitudinal });
                const square = Math.cos((longitudinal * Math.PI) / 180);
                return share ? 1 + share.added / square - share.shaded : 1;
              };
              const row = noons.map((noon) => `${noon}° over square: ${gain(thermal, noon).toFixed(2)}`).join(', ');
              return {
                kind: 'choices' as const,
                path: 'parameters.lidAngle',
                lead: `Beam on the pane with the lid open, times what falls on it without: ${row}. Below, for a sun ${measured('angle', 15, 0)} over square to the pane.`,
                choices: angles.map((angle) => ({
                  set: angle,
                  name: { value: angle, kind: 'angle' as const, digits: 0 },
                  value: { value: gain(again(angle), 15), kind: 'number' as const, digits: 2 },
                  chosen: angle === parameters.lidAngle,
                })),
                tail: 'Shut it at night and under a dull sky: what it saves then is more than what it throws in.',
              };
            },
          },
        ]),
  ];
}
