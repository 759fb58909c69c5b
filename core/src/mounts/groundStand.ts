import * as z from 'zod';
import { defineMember, entry, lengthField, type Timber } from '../catalogue';
import type { MountDesign, MountedPanel, MountMember } from './mount';
import { anchorField, fixings, piece, timberField } from './piece';
import { bar, panelPoints, panelSide } from './side';

/** m. How far in from its edges a panel is held. */
const overhang = 0.15;

/** Legs under a panel that stands at one tilt. */
export const groundStand = defineMember({
  id: 'ground-stand',
  name: 'Ground stand, one tilt',
  meaning: 'Four legs with bevelled tops, a brace and skids, for one tilt all year.',
  schema: z.strictObject({
    timber: timberField('What legs, skids and brace are made of.'),
    low: lengthField(0.1, 1.5, 0.3, 'Low edge', 'Low edge of the panel over the ground: over snow and splash.'),
    anchor: anchorField,
  }),
  standard: (habit) => ({
    timber: habit === 'metric' ? 'planed-90x45' : 'ps20-2x4',
    low: habit === 'metric' ? 0.3 : 12 * 0.0254,
    anchor: 'ballast' as const,
  }),
  design: ({ timber, low, anchor }): MountMember => {
    const stuff = entry('timber', timber);
    return { under: (panel) => ({ ...stand(stuff, low, panel), held: { by: anchor } }) };
  },
});

function stand(timber: Timber, low: number, panel: MountedPanel): Omit<MountDesign, 'held'> {
  const { prefix, upslope, across } = panel;
  const tilt = panel.tilts[0]?.tilt ?? 0;
  const { at } = panelPoints({ ...panel, tilt, low });
  const [front, rear] = [at(overhang), at(upslope - overhang)];
  const base = rear.x - front.x;
  const skid = base + 0.3;
  // From the foot of the rear leg to a third of the front one's height: a triangle, so that it does not rack.
  const brace = Math.hypot(base, rear.y * 0.75);
  const bevel = `bevel the top ${Math.round(tilt)}°, long side to the ${tilt > 0 ? 'high edge' : 'back'}`;
  const of = (one: Parameters<typeof piece>[2]) => piece(prefix, timber, one);
  return {
    base,
    low,
    parts: [
      of({ id: 'leg-front', name: 'Front leg', length: front.y, count: 2, operations: [bevel] }),
      of({ id: 'leg-rear', name: 'Rear leg', length: rear.y, count: 2, operations: [bevel] }),
      of({ id: 'skid', name: 'Skid', length: skid, count: 2, operations: ['chamfer the ends'] }),
      of({ id: 'rail', name: 'Cross rail under the panel', length: across, count: 2 }),
      of({ id: 'brace', name: 'Side brace', length: brace, count: 2, operations: ['bevel both ends to the legs'] }),
      of({
        id: 'cross',
        name: 'Cross brace at the back',
        length: Math.hypot(across - timber.thickness, rear.y),
        count: 1,
        operations: ['bevel both ends to the legs'],
      }),
    ],
    purchases: [
      fixings(prefix, {
        name: 'Galvanised coach bolts M8',
        quantity: 18,
        priceKey: 'bolt',
        rule: 'two a leg foot, one a brace end, four a rail',
        each: 0.06,
      }),
    ],
    side: {
      title: `Side of ${prefix}`,
      shapes: [
        ...panelSide({ ...panel, tilt, low, base: front.x + base + 0.1 }),
        bar('rail', `${prefix}/stand-leg-front`, { x: front.x, y: 0 }, front, timber.width),
        bar('rail', `${prefix}/stand-leg-rear`, { x: rear.x, y: 0 }, rear, timber.width),
        bar('rail', `${prefix}/stand-skid`, { x: front.x - 0.15, y: 0.02 }, { x: rear.x + 0.15, y: 0.02 }, 0.04),
        bar(
          'rail',
          `${prefix}/stand-brace`,
          { x: front.x, y: front.y * 0.3 },
          { x: rear.x, y: rear.y * 0.75 },
          timber.width * 0.7,
        ),
      ],
      labels: [
        {
          at: at(upslope / 2, panel.depth),
          to: at(upslope / 2, panel.depth + 0.08),
          words: `${Math.round(tilt)}°`,
          anchor: 'end',
        },
      ],
      dimensions: [
        {
          id: 'stand-base',
          label: 'foot to foot',
          from: { x: front.x, y: 0 },
          to: { x: rear.x, y: 0 },
          offset: -0.12,
          value: base,
        },
        { id: 'stand-rear', label: 'rear leg', from: { x: rear.x, y: 0 }, to: rear, offset: -0.16, value: rear.y },
        { id: 'stand-front', label: 'front leg', from: { x: front.x, y: 0 }, to: front, offset: 0.2, value: front.y },
      ],
    },
  };
}
