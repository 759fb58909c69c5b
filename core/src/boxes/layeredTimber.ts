import * as z from 'zod';
import { defineMember, entry } from '../catalogue';
import { entryField } from '../field';
import type { BoxMember } from './box';
import { lidFields, lidStandard, timberFields, timberStandard } from './fields';
import { lidOf, openTimber, timberBox } from './timberBox';

/** An inner tray that stands on the back, in outer boards that hold the pane: no rebates to cut. */
export const layeredTimber = defineMember({
  id: 'layered-timber',
  name: 'Layered timber',
  meaning: 'An inner tray on the back sheet, the pane on its edges, outer boards round both. No rebates to cut.',
  schema: z.strictObject({
    ...timberFields,
    ...lidFields,
    cladding: entryField(
      'timber',
      'planed-140x19',
      'Outer board',
      'Board round the outside; it is ripped to the depth of the box.',
      (id) => entry('timber', id).width > 0.06,
    ),
  }),
  standard: (habit) => ({
    ...timberStandard(habit),
    ...lidStandard(habit),
    cladding: habit === 'metric' ? 'planed-140x19' : 'ps20-1x8',
  }),
  design: (parameters): BoxMember =>
    timberBox({
      ...openTimber(parameters),
      lid: lidOf(parameters),
      ledge: parameters.ledge,
      cladding: entry('timber', parameters.cladding),
    }),
});
