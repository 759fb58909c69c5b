import * as z from 'zod';
import { defineMember, entry, type Timber } from '../catalogue';
import { dim, leader, shape } from '../draw';
import { countField, lengthField } from '../field';
import { boltSized } from '../quantity';
import type { MountDesign, MountedPanel, MountMember } from './mount';
import { fixings, piece, timberField } from './piece';
import { bar, crossRails, panelPoints, panelSide } from './side';

/** m. Edge of the panel to what holds it. */
const holdIn = 0.1;
/** m. Between the panel's high edge and the plates, and how far a plate goes past its holds. */
const clearOfWall = 0.005;
const platePast = 0.1;
/** °. The flattest that a strut's end is cut to. */
const leastLean = 15;

/** A panel leaning from a wall: its high edge on the wall, its low edge pushed out by struts. */
export const wallBracket = defineMember({
  id: 'wall-bracket',
  name: 'Struts on a wall',
  meaning: 'Upright plates on a wall, the high edge hung from them, the low edge held off by struts.',
  schema: z.strictObject({
    timber: timberField('What plates and struts are made of.'),
    low: lengthField(0.2, 4, 1, 'Low edge', 'Low edge of the panel over the ground.'),
    anchors: countField(2, 8, 3, 'Anchors a plate', 'Masonry anchors or screws into studs, each plate.'),
  }),
  standard: (habit) => ({
    timber: habit === 'metric' ? 'planed-90x45' : 'ps20-2x4',
    low: habit === 'metric' ? 1 : 36 * 0.0254,
    anchors: 3,
  }),
  design: ({ timber, low, anchors }): MountMember => {
    const stuff = entry('timber', timber);
    return { under: (panel) => onWall(stuff, low, anchors, panel) };
  },
});

function onWall(timber: Timber, low: number, anchors: number, panel: MountedPanel): MountDesign {
  const { prefix, upslope, across } = panel;
  const { width, thickness } = timber;
  const tilt = panel.tilts[0]?.tilt ?? 0;
  const angle = (tilt * Math.PI) / 180;
  const { at } = panelPoints({ ...panel, tilt, low });
  // On the underside of the rails, where struts and angles meet them.
  const [foot, head] = [at(holdIn, -thickness), at(upslope - holdIn, -thickness)];
  // The plate's face clears the panel's high edge and the upper rail.
  const face = Math.max(at(upslope).x, at(upslope - holdIn + width / 2, -thickness).x) + clearOfWall;
  const wall = face + thickness;
  // A strut lies level; its end leans with the rail, the lower edge long. Lying nearly flat it would be all tip.
  const lean = Math.max(leastLean, tilt);
  const tip = thickness / Math.tan((lean * Math.PI) / 180);
  const strut = Math.max(0.05, face - foot.x + tip / 2);
  const plate = Math.max(0.3, head.y - foot.y + 2 * platePast);
  return {
    base: Math.max(0.1, upslope * Math.cos(angle)),
    low,
    rails: { count: 2, span: Math.max(0.1, across - width), wide: width, deep: thickness },
    held: { by: 'fixings', count: 2 * anchors, what: 'anchor in the wall' },
    parts: [
      piece(prefix, timber, { id: 'plate', name: 'Wall plate, upright', length: plate, count: 2 }),
      piece(prefix, timber, {
        id: 'strut',
        name: 'Strut, wall to low edge',
        length: strut,
        count: 2,
        operations: ['square at the wall'],
        ends: [{ kind: 'bevel', end: 'far', angle: 90 - lean, long: 'inner face' }],
        datum: { end: 'wall end', side: 'left' },
      }),
      piece(prefix, timber, { id: 'rail', name: 'Cross rail under the panel', length: across, count: 2 }),
    ],
    purchases: [
      fixings(prefix, {
        name: `Wall anchors ${boltSized(0.01)}`,
        quantity: 2 * anchors,
        priceKey: 'bolt',
        rule: `${anchors} a plate`,
        each: 0.1,
      }),
      fixings(prefix, {
        id: 'brackets',
        name: 'Steel angles for struts and rails',
        quantity: 8,
        priceKey: 'angle',
        rule: 'one at each end of strut and rail',
        each: 0.15,
      }),
    ],
    side: {
      title: `Side of ${prefix}`,
      shapes: [
        ...panelSide({ ...panel, tilt, low, base: wall }),
        shape.line('note', { x: wall, y: 0 }, { x: wall, y: head.y + 0.4 }),
        ...crossRails(prefix, timber, [holdIn, upslope - holdIn], at),
        bar(
          'rail',
          `${prefix}/stand-plate`,
          { x: wall - thickness / 2, y: foot.y - platePast },
          { x: wall - thickness / 2, y: foot.y - platePast + plate },
          thickness,
        ),
        shape.outline(
          'rail',
          [
            { x: face, y: foot.y - thickness / 2 },
            { x: face, y: foot.y + thickness / 2 },
            { x: face - strut + tip, y: foot.y + thickness / 2 },
            { x: face - strut, y: foot.y - thickness / 2 },
          ],
          { part: `${prefix}/stand-strut` },
        ),
      ],
      labels: [leader('wall', { x: wall, y: head.y + 0.3 }, { x: wall + 0.05, y: head.y + 0.3 })],
      dimensions: [
        dim.between(
          'stand-strut',
          'strut, long side',
          { x: face - strut, y: foot.y - thickness / 2 },
          { x: face, y: foot.y - thickness / 2 },
          { value: strut, offset: -0.15 },
        ),
        dim.up('stand-low', 'low edge', { x: 0, y: 0 }, low, { offset: 0.12 }),
      ],
    },
  };
}
