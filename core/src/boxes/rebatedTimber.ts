import * as z from 'zod';
import { defineMember, entry, lengthField } from '../catalogue';
import type { BoxMember } from './box';
import { timberFields, timberStandard } from './fields';
import { timberBox } from './timberBox';

/** Board sides with a rebated sheet back and cross rails that carry the absorber. */
export const rebatedTimber = defineMember({
  id: 'rebated-timber',
  name: 'Rebated timber',
  meaning: 'Board sides, the back sheet let into a rebate below, the pane bedded in a rebate above.',
  schema: z.strictObject({
    ...timberFields,
    ledge: lengthField(0.004, 0.015, 0.01, 'Bearing', 'Ledge that the pane bears on, all round.'),
  }),
  standard: (habit) => ({ ...timberStandard[habit], ledge: habit === 'metric' ? 0.01 : (3 / 8) * 0.0254 }),
  design: ({ board, back, insulation, ...rest }): BoxMember =>
    timberBox({
      ...rest,
      board: entry('timber', board),
      back: entry('sheet', back),
      insulation: entry('sheet', insulation),
    }),
});
