import * as z from 'zod';
import { defineMember, entry } from '../catalogue';
import { choiceField, entryField, lengthField } from '../field';
import type { BoxMember } from './box';
import { timberFields, timberStandard } from './fields';
import { openTimber, timberBox } from './timberBox';

/** A light tray on a sheet back, wrapped in bent metal that sheds the water and holds the pane down. */
export const foldedEdge = defineMember({
  id: 'folded-edge',
  name: 'Folded edge',
  meaning: 'Sheet back and inner boards wrapped in bent metal: under the back, up the side, over the pane.',
  schema: z.strictObject({
    ...timberFields,
    metal: entryField(
      'sheet',
      'edge-steel-0.6',
      'Edge metal',
      'Sheet that is bent round the box.',
      (id) => entry('sheet', id).use === 'edge',
    ),
    under: lengthField(0.02, 0.08, 0.04, 'Leg under the back', 'From the corner in under the back, screwed there.'),
    lip: lengthField(
      0.01,
      0.04,
      0.019,
      'Lip over the pane',
      'From the outside of the box in over the edge of the pane.',
    ),
    radius: lengthField(0.0005, 0.004, 0.001, 'Bend radius', 'Inside of the bend, as your folder makes it.'),
    flashing: choiceField(
      { courses: 'courses of metal, laid from the bottom up', none: 'none, the back is painted' },
      'courses',
      'Back',
      'What keeps the weather off the back.',
    ),
  }),
  standard: (habit) => ({
    ...timberStandard(habit),
    metal: habit === 'metric' ? 'edge-steel-0.6' : 'edge-steel-26ga',
    under: habit === 'metric' ? 0.04 : 1.5 * 0.0254,
    lip: habit === 'metric' ? 0.019 : 0.75 * 0.0254,
    radius: habit === 'metric' ? 0.001 : 0.04 * 0.0254,
    flashing: 'courses' as const,
  }),
  design: (parameters): BoxMember => {
    const { metal, under, lip, radius, flashing } = parameters;
    return timberBox({
      ...openTimber(parameters),
      lid: undefined,
      ledge: 0,
      edge: { sheet: entry('sheet', metal), under, lip, radius, flashing: flashing === 'courses' },
    });
  },
});
