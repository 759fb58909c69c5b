import * as z from 'zod';
import { defineMember, entry, type Timber } from '../catalogue';
import { dim, leader, shape } from '../draw';
import { lengthField } from '../field';
import { sized } from '../quantity';
import type { HoleSchedule } from '../shop';
import type { MountDesign, MountedPanel, MountMember } from './mount';
import { anchorField, fixings, piece, timberField } from './piece';
import { bar, panelOutline, panelPoints } from './side';

/** m. Hinge in from the low edge of the panel; the base goes past it by so much, and past its last pin. */
const hingeIn = 0.05;
const past = 0.05;
/** m. From an end of a prop to its pin, and how far the pin of a lug stands off the panel's underside. */
const propEnd = 0.05;
const lug = 0.03;
/** m. A foot shorter than this is left out, and the base lies on the ground. */
const leastFoot = 0.05;
/** Where on the slope the props are pinned, as a share of it, and how much longer than it must be a prop is. */
const propAt = 0.8;
const propSpare = 1.06;

/** A base with a hinge at the low edge and props that are pinned for each tilt. */
export const hingedFrame = defineMember({
  id: 'hinged-frame',
  name: 'Hinged frame, several tilts',
  meaning: 'A base with a hinge at the low edge and two props, pinned for each tilt of the year.',
  schema: z.strictObject({
    timber: timberField('What base and props are made of.'),
    low: lengthField(0.1, 1, 0.2, 'Low edge', 'Hinge over the ground.'),
    pin: lengthField(0.006, 0.02, 0.012, 'Pin', 'Bolt that a prop is pinned with.'),
    anchor: anchorField,
  }),
  standard: (habit) => ({
    timber: habit === 'metric' ? 'planed-90x45' : 'ps20-2x4',
    low: habit === 'metric' ? 0.2 : 8 * 0.0254,
    pin: habit === 'metric' ? 0.012 : 0.5 * 0.0254,
    anchor: 'ballast' as const,
  }),
  design: ({ timber, low, pin, anchor }): MountMember => {
    const stuff = entry('timber', timber);
    return { under: (panel) => ({ ...frame(stuff, low, pin, panel), held: { by: anchor } }) };
  },
});

/**
 * m along the base from the hinge to the pin of a prop of a length, for a tilt. The hinge is where the panel's underside meets the top of
 * the base; the prop's upper pin stands off that underside by `lug`, its lower one lies `drop` under the hinge. With a the place on the
 * slope: x = a cos θ + l sin θ, y = a sin θ − l cos θ + d, and the pin at x + √(p² − y²). Derived.
 */
export function pinAlong(query: { tilt: number; place: number; prop: number; lug?: number; drop?: number }): number {
  const { x, y } = upperPin(query);
  return x + Math.sqrt(Math.max(0, query.prop ** 2 - y ** 2));
}

/** m. A prop's upper pin from the hinge along the base, and over the line of the lower pins. */
function upperPin(query: { tilt: number; place: number; lug?: number; drop?: number }): { x: number; y: number } {
  const { place, lug: off = 0, drop = 0 } = query;
  const angle = (query.tilt * Math.PI) / 180;
  return {
    x: place * Math.cos(angle) + off * Math.sin(angle),
    y: place * Math.sin(angle) - off * Math.cos(angle) + drop,
  };
}

function frame(timber: Timber, wanted: number, pin: number, panel: MountedPanel): Omit<MountDesign, 'held'> {
  const { prefix, upslope, across } = panel;
  const { width, thickness } = timber;
  const tilts = [...panel.tilts].sort((a, b) => a.tilt - b.tilt);
  const now = panel.tilts[0]?.tilt ?? 0;
  const place = propAt * upslope - hingeIn;
  // Pins go through the middle of the base, which stands on edge with the hinge on top of it.
  const held = { place, lug, drop: width / 2 };
  const highest = Math.max(...tilts.map(({ tilt }) => upperPin({ ...held, tilt }).y));
  const prop = Math.max(0.3, highest * propSpare);
  const pins = tilts.map(({ tilt }) => pinAlong({ ...held, tilt, prop }));
  const base = Math.max(...pins) + past;
  const foot = wanted - width;
  const onFeet = foot >= leastFoot;
  const low = onFeet ? wanted : width;
  const of = (one: Parameters<typeof piece>[2]) => piece(prefix, timber, one);
  const holesOf = (positions: number[], datum: string): HoleSchedule => ({
    datum,
    middle: (Math.min(...positions) + Math.max(...positions)) / 2,
    positions: [...positions].sort((a, b) => a - b),
    diameter: pin,
    pilot: 0.003,
    where: 'through its thickness, in the middle of its width',
  });
  // The slope begins before the hinge: the panel's low edge hangs over the base's end.
  const points = (tilt: number) => {
    const { at } = panelPoints({ ...panel, tilt, low: 0 });
    const hinge = at(hingeIn);
    const shift = { x: hingeIn - hinge.x, y: low - hinge.y };
    return {
      at: (along: number, over = 0) => {
        const point = at(along, over);
        return { x: point.x + shift.x, y: point.y + shift.y };
      },
    };
  };
  const { at } = points(now);
  const hinge = { x: hingeIn, y: low };
  const propLine = (tilt: number, along: number) => {
    const upper = points(tilt).at(propAt * upslope, -lug);
    return { foot: { x: hinge.x + along, y: low - width / 2 }, upper };
  };
  const corners = 4;
  return {
    base,
    low: low - hingeIn * Math.sin((Math.max(...tilts.map(({ tilt }) => tilt)) * Math.PI) / 180),
    parts: [
      of({
        id: 'base',
        name: 'Base, side',
        length: past + base,
        count: 2,
        operations: tilts.map(
          ({ name, tilt }, index) => `${name}, ${Math.round(tilt)}°: pin ${sized(pins[index] ?? 0)} from the hinge`,
        ),
        holes: [
          holesOf(
            pins.map((along) => along + past),
            'hinge end',
          ),
        ],
        datum: { end: 'hinge end', side: 'left' },
      }),
      of({ id: 'base-cross', name: 'Base, cross', length: across - 2 * thickness, count: 2 }),
      of({
        id: 'prop',
        name: 'Prop',
        length: prop + 2 * propEnd,
        count: 2,
        operations: ['round both ends'],
        holes: [holesOf([propEnd, prop + propEnd], 'either end')],
      }),
      ...(onFeet
        ? [
            of({
              id: 'foot',
              name: 'Foot',
              length: foot,
              count: 4,
              operations: ['treat the end that meets the ground with preservative'],
            }),
          ]
        : []),
    ],
    purchases: [
      fixings(prefix, {
        id: 'hinge',
        name: 'Galvanised strap hinges',
        quantity: 2,
        priceKey: 'hinge',
        rule: 'one a side, on top of the base',
        each: 0.3,
      }),
      fixings(prefix, {
        id: 'lug',
        name: 'Steel lugs under the panel, for the props',
        quantity: 2,
        priceKey: 'angle',
        rule: 'one a prop',
        each: 0.15,
      }),
      fixings(prefix, {
        name: 'Galvanised bolts for props, base and feet',
        quantity: 2 * 2 + 2 * corners + (onFeet ? 2 * corners : 0),
        priceKey: 'bolt',
        rule: `one an end of each prop, two a base corner${onFeet ? ', two a foot' : ''}`,
        each: 0.06,
      }),
    ],
    side: {
      title: `Side of ${prefix}`,
      shapes: [
        ...panelOutline(panel, at),
        shape.line('note', { x: -0.2, y: 0 }, { x: hinge.x + base + 0.25, y: 0 }),
        bar(
          'rail',
          `${prefix}/stand-base`,
          { x: hinge.x - past, y: low - width / 2 },
          { x: hinge.x + base, y: low - width / 2 },
          width,
        ),
        ...[hinge.x, hinge.x + base - past].map((x) =>
          bar('rail', `${prefix}/stand-base-cross`, { x, y: low - width }, { x, y: low }, thickness, true),
        ),
        ...(onFeet
          ? [hinge.x - past + width / 2, hinge.x + base - width / 2].map((x) =>
              bar('rail', `${prefix}/stand-foot`, { x, y: 0 }, { x, y: foot }, width),
            )
          : []),
        ...tilts.map(({ tilt }, index) => {
          const { foot: from, upper } = propLine(tilt, pins[index] ?? 0);
          return bar('rail', `${prefix}/stand-prop`, from, upper, thickness, tilt !== now);
        }),
      ],
      labels: tilts.map(({ name, tilt }, index) =>
        leader(
          `${name} ${Math.round(tilt)}°`,
          { x: hinge.x + (pins[index] ?? 0), y: low - width },
          { x: hinge.x + (pins[index] ?? 0) + 0.03, y: low - width - 0.09 - 0.1 * index },
        ),
      ),
      dimensions: [
        dim.across('stand-pin', 'hinge to pin', { x: hinge.x, y: 0 }, pinAlong({ ...held, tilt: now, prop }), {
          offset: -0.3,
        }),
      ],
    },
  };
}
