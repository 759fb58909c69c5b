import * as z from 'zod';
import type { Words } from '../care';
import { defineMember, entry, entryField } from '../catalogue';
import type { BoxMember } from './box';
import { timberFields, timberStandard } from './fields';
import { timberBox } from './timberBox';

/** An inner tray that stands on the back, in outer boards that hold the pane: no rebates to cut. */
export const layeredTimber = defineMember({
  id: 'layered-timber',
  name: 'Layered timber',
  meaning: 'An inner tray on the back sheet, the pane on its edges, outer boards round both. No rebates to cut.',
  schema: z.strictObject({
    ...timberFields,
    cladding: entryField(
      'timber',
      'planed-140x19',
      'Outer board',
      'Board round the outside; it is ripped to the depth of the box.',
      (id) => entry('timber', id).width > 0.06,
    ),
  }),
  standard: (habit) => ({
    ...timberStandard[habit],
    cladding: habit === 'metric' ? 'planed-140x19' : 'ps20-1x8',
  }),
  design: ({ board, cladding, back, insulation, ...rest }): BoxMember =>
    timberBox({
      ...rest,
      ledge: 0,
      board: entry('timber', board),
      cladding: entry('timber', cladding),
      back: entry('sheet', back),
      insulation: entry('sheet', insulation),
    }),
});

export const boxWords: Record<string, Words> = {
  'cladding-too-narrow': (values, say) => ({
    headline: 'outer board too narrow',
    detail: `The box is ${say.length(values.number('needed'))} deep from under the back to the top of the pane; the outer board is ${say.length(values.number('board'))}.`,
    remedy: 'Take a wider outer board, or a shallower inner one.',
  }),
};
