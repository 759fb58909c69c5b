import * as z from 'zod';
import { defineMember } from '../catalogue';
import type { BoxMember } from './box';
import { lidFields, lidStandard, timberFields, timberStandard } from './fields';
import { lidOf, openTimber, timberBox } from './timberBox';

/** Board sides with a rebated sheet back and cross rails that carry the absorber. */
export const rebatedTimber = defineMember({
  id: 'rebated-timber',
  name: 'Rebated timber',
  meaning: 'Board sides, the back sheet let into a rebate below, the pane bedded in a rebate above or in a lid.',
  schema: z.strictObject({
    ...timberFields,
    ...lidFields,
  }),
  standard: (habit) => ({
    ...timberStandard(habit),
    ...lidStandard(habit),
  }),
  design: (parameters): BoxMember =>
    timberBox({
      ...openTimber(parameters),
      lid: lidOf(parameters),
      ledge: parameters.ledge,
    }),
});
