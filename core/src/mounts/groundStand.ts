import * as z from 'zod';
import { defineMember, entry, type Timber } from '../catalogue';
import { dim, leader } from '../draw';
import { lengthField } from '../field';
import { boltSized } from '../quantity';
import type { HoleSchedule } from '../shop';
import type { MountDesign, MountedPanel, MountMember } from './mount';
import { anchorField, fixings, piece, timberField } from './piece';
import { bar, crossRails, panelPoints, panelSide } from './side';

/** m. How far in from its edges a panel is held, how far a skid goes past its legs, and the least short side of a leg. */
const overhang = 0.15;
const skidPast = 0.15;
const leastLeg = 0.03;
/** m. Coach bolts of 8 mm. */
const bolt = 0.009;
/** Shares of the legs' heights between which a side brace runs, and of the rear legs' that the cross brace does. */
const braceLow = 0.3;
const braceHigh = 0.75;
const crossHigh = 0.9;

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

/** A straight brace lapped on the faces of two uprights, both ends cut plumb; m, in its own plane. */
export interface Brace {
  /** Tip to tip: what is cut. */
  length: number;
  /** ° off square of both ends, the lower edge long at the low end and the upper one at the high end. */
  angle: number;
  /** From a tip to the bolt in the middle of the upright it laps. */
  boltIn: number;
}

/**
 * A brace from the outer edge of one upright to the outer edge of the next.
 *
 * @param query.run m between the middles of the uprights, `rise` between the heights of its middle there
 * @param query.upright m, across an upright in the plane of the brace
 * @param query.width m, across the brace
 */
export function plumbBrace(query: { run: number; rise: number; upright: number; width: number }): Brace {
  const { run, rise, upright, width } = query;
  const angle = Math.atan2(Math.abs(rise), run);
  const tip = width * Math.tan(angle);
  return {
    length: (run + upright) / Math.cos(angle) + tip,
    angle: (angle * 180) / Math.PI,
    boltIn: upright / 2 / Math.cos(angle) + tip / 2,
  };
}

function stand(timber: Timber, wanted: number, panel: MountedPanel): Omit<MountDesign, 'held'> {
  const { prefix, upslope, across } = panel;
  const { width, thickness } = timber;
  const tilt = panel.tilts[0]?.tilt ?? 0;
  const angle = (tilt * Math.PI) / 180;
  // Legs are thin in the plane of the slope, so that a bevel is no longer than it must be.
  const slant = thickness * Math.tan(angle);
  const places = [overhang, upslope - overhang] as const;
  // The low edge is lifted where a front leg would have no short side left.
  const shortOf = (low: number) =>
    panelPoints({ ...panel, tilt, low }).at(overhang, -thickness).y - thickness - slant / 2;
  const low = wanted + Math.max(0, leastLeg - shortOf(wanted));
  const { at } = panelPoints({ ...panel, tilt, low });
  // Middle of the bearing of a rail on its leg: on the underside of the rail.
  const [front, rear] = places.map((place) => at(place, -thickness)) as [ReturnType<typeof at>, ReturnType<typeof at>];
  const base = rear.x - front.x;
  const legLength = (top: number) => top - thickness + slant / 2;
  const side = plumbBrace({
    run: base,
    rise: rear.y * braceHigh - front.y * braceLow,
    upright: thickness,
    width,
  });
  const cross = plumbBrace({ run: across - width, rise: rear.y * crossHigh - width, upright: width, width });
  const of = (one: Parameters<typeof piece>[2]) => piece(prefix, timber, one);
  const bevel = (long: 'inner face'): Parameters<typeof piece>[2]['ends'] =>
    tilt > 0 ? [{ kind: 'bevel', end: 'far', angle: tilt, long }] : [];
  const braceHoles = ({ length, boltIn }: Brace): HoleSchedule[] => [
    {
      datum: 'either tip',
      middle: length / 2,
      positions: [boltIn, length - boltIn],
      diameter: bolt,
      pilot: 0.003,
      where: 'for the bolts into the legs, in the middle of its width',
    },
  ];
  const braceEnds = ({ angle: lean }: Brace): Parameters<typeof piece>[2]['ends'] => [
    { kind: 'bevel', end: 'datum', angle: lean, long: 'bottom edge' },
    { kind: 'bevel', end: 'far', angle: lean, long: 'top edge' },
  ];
  const foot = { end: 'foot', side: 'left' as const };
  const parts = [
    of({
      id: 'leg-front',
      name: 'Front leg',
      length: legLength(front.y),
      count: 2,
      ends: bevel('inner face'),
      datum: foot,
    }),
    of({
      id: 'leg-rear',
      name: 'Rear leg',
      length: legLength(rear.y),
      count: 2,
      ends: bevel('inner face'),
      datum: foot,
    }),
    of({
      id: 'skid',
      name: 'Skid',
      length: base + 2 * skidPast,
      count: 2,
      operations: ['chamfer the ends'],
      slack: { short: 0.05, long: 0.1, words: 'its ends stand free' },
    }),
    of({
      id: 'rail',
      name: 'Cross rail under the panel',
      length: across,
      count: 2,
      slack: { short: 0.01, long: 0.02, words: 'its ends stand free' },
    }),
    of({
      id: 'brace',
      name: 'Side brace',
      length: side.length,
      count: 2,
      ends: braceEnds(side),
      holes: braceHoles(side),
    }),
    of({
      id: 'cross',
      name: 'Cross brace at the back',
      length: cross.length,
      count: 1,
      ends: braceEnds(cross),
      holes: braceHoles(cross),
    }),
  ];
  const legs = 4;
  const braceBolts = 2 * 3;
  const rails = 2;
  return {
    base,
    low,
    // On their flat, from leg to leg.
    rails: { count: rails, span: across - width, wide: width, deep: thickness },
    parts,
    purchases: [
      fixings(prefix, {
        name: `Galvanised coach bolts ${boltSized(0.008)}`,
        quantity: 2 * legs + braceBolts + 4 * rails,
        priceKey: 'bolt',
        rule: 'two a leg foot, one a brace end, four a rail',
        each: 0.06,
      }),
    ],
    side: {
      title: `Side of ${prefix}`,
      shapes: [
        ...panelSide({ ...panel, tilt, low, base: front.x + base + 0.1 }),
        ...crossRails(prefix, timber, places, at),
        ...(['front', 'rear'] as const).map((which) => {
          const top = which === 'front' ? front : rear;
          const short = top.y - slant / 2;
          return {
            kind: 'path' as const,
            layer: 'rail' as const,
            part: `${prefix}/stand-leg-${which}`,
            closed: true,
            points: [
              { x: top.x - thickness / 2, y: thickness },
              { x: top.x + thickness / 2, y: thickness },
              { x: top.x + thickness / 2, y: short + slant },
              { x: top.x - thickness / 2, y: short },
            ],
          };
        }),
        bar(
          'rail',
          `${prefix}/stand-skid`,
          { x: front.x - skidPast, y: thickness / 2 },
          { x: rear.x + skidPast, y: thickness / 2 },
          thickness,
        ),
        bar(
          'rail',
          `${prefix}/stand-brace`,
          { x: front.x, y: front.y * braceLow },
          { x: rear.x, y: rear.y * braceHigh },
          width,
        ),
        bar(
          'rail',
          `${prefix}/stand-cross`,
          { x: rear.x + thickness, y: width / 2 },
          { x: rear.x + thickness, y: rear.y * crossHigh },
          thickness,
          true,
        ),
      ],
      labels: [
        leader(`${Math.round(tilt)}°`, at(upslope / 2, panel.depth), at(upslope / 2, panel.depth + 0.08), {
          anchor: 'end',
        }),
      ],
      dimensions: [
        dim.between(
          'stand-base',
          'foot to foot',
          { x: front.x, y: 0 },
          { x: rear.x, y: 0 },
          { value: base, offset: -0.12 },
        ),
        dim.up('stand-rear', 'rear leg, long side', { x: rear.x + thickness / 2, y: thickness }, legLength(rear.y), {
          offset: -0.16,
        }),
        dim.up(
          'stand-front',
          'front leg, long side',
          { x: front.x + thickness / 2, y: thickness },
          legLength(front.y),
          { offset: 0.24 },
        ),
        dim.up('stand-low', 'low edge', { x: 0, y: 0 }, low, { offset: 0.12 }),
      ],
    },
  };
}
