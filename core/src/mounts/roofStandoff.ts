import * as z from 'zod';
import { defineMember, entry, type Timber } from '../catalogue';
import { dim, leader, shape } from '../draw';
import { countField, lengthField } from '../field';
import { boltSized, sized } from '../quantity';
import type { MountDesign, MountedPanel, MountMember } from './mount';
import { fixings, piece, timberField } from './piece';
import { bar, crossRails, panelOutline, panelPoints } from './side';

/** m. How far in from the panel's ends its rails lie. */
const railIn = 0.25;
/** m. The lowest bracket that a rail stands on. */
const leastBracket = 0.02;
/** m of roof drawn beyond the panel. */
const beyond = 0.3;

/** Rails on brackets, the panel lying with the roof. */
export const roofStandoff = defineMember({
  id: 'roof-standoff',
  name: 'Stand-offs on a roof',
  meaning: 'Two rails across on brackets into the rafters, the panel lying with the roof and air under it.',
  schema: z.strictObject({
    timber: timberField('What the rails are made of.'),
    gap: lengthField(0.03, 0.3, 0.08, 'Stand-off', 'Roof to panel: for air, leaves and melting snow.'),
    rafters: lengthField(0.3, 1.2, 0.6, 'Rafters', 'Rafter to rafter, centre to centre.'),
    bolts: countField(1, 4, 2, 'Screws a bracket', 'Coach screws into the rafter through each bracket.'),
  }),
  standard: (habit) => ({
    timber: habit === 'metric' ? 'planed-90x45' : 'ps20-2x4',
    gap: habit === 'metric' ? 0.08 : 3 * 0.0254,
    rafters: habit === 'metric' ? 0.6 : 24 * 0.0254,
    bolts: 2,
  }),
  design: ({ timber, gap, rafters, bolts }): MountMember => {
    const stuff = entry('timber', timber);
    return { under: (panel) => standoff(stuff, { gap, rafters, bolts }, panel) };
  },
});

function standoff(
  timber: Timber,
  { gap: wanted, rafters, bolts }: { gap: number; rafters: number; bolts: number },
  panel: MountedPanel,
): MountDesign {
  const { prefix, upslope, across } = panel;
  // A rail lies flat on its brackets: the gap is never less than it takes.
  const gap = Math.max(wanted, timber.thickness + leastBracket);
  const tilt = panel.tilts[0]?.tilt ?? 0;
  // A bracket on every rafter that the rail crosses, two at least.
  const perRail = Math.max(2, Math.floor(across / rafters) + 1);
  const rail = Math.max(across, (perRail - 1) * rafters + 0.1);
  const brackets = 2 * perRail;
  const { at } = panelPoints({ ...panel, tilt, low: 0.4 });
  const foot = (along: number) => at(along, -gap);
  const rails = [railIn, upslope - railIn];
  return {
    base: upslope,
    low: 0,
    rails: { count: 2, span: Math.min(rafters, across), wide: timber.width, deep: timber.thickness },
    held: { by: 'fixings', count: brackets * bolts, what: 'coach screw into the rafters' },
    exposure: 'roof',
    parts: [
      piece(prefix, timber, {
        id: 'rail',
        name: 'Rail under the panel',
        length: rail,
        count: 2,
        operations: ['treat the ends', 'bolt to the brackets, flashing under each'],
      }),
    ],
    purchases: [
      fixings(prefix, {
        id: 'bracket',
        name: 'Roof brackets with flashing',
        quantity: brackets,
        priceKey: 'roof-bracket',
        rule: 'one on every rafter under each rail',
        each: 0.6,
      }),
      fixings(prefix, {
        name: `Coach screws ${boltSized(0.008)} × ${sized(0.1)}, stainless`,
        quantity: brackets * bolts,
        priceKey: 'bolt',
        rule: `${bolts} a bracket, into the rafter and not the board`,
        each: 0.05,
      }),
    ],
    side: {
      title: `Side of ${prefix}`,
      shapes: [
        ...panelOutline(panel, at),
        shape.line('note', foot(-beyond), foot(upslope + beyond)),
        ...crossRails(prefix, timber, rails, at),
        ...rails.map((along) =>
          bar('fixing', `${prefix}/stand-bracket`, foot(along), at(along, -timber.thickness), 0.008),
        ),
      ],
      labels: [leader(`roof, ${Math.round(tilt)}°`, foot(upslope + beyond), foot(upslope + beyond + 0.03))],
      dimensions: [
        dim.between('stand-gap', 'roof to panel', foot(0), at(0), { value: gap, offset: 0.1 }),
        dim.between('stand-rails', 'rail to rail', foot(railIn), foot(upslope - railIn), {
          value: upslope - 2 * railIn,
          offset: -0.1,
        }),
      ],
    },
  };
}
