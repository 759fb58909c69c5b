import * as z from 'zod';
import { defineMember, entry, lengthField, type Timber } from '../catalogue';
import { sized } from '../quantity';
import type { HoleSchedule } from '../shop';
import type { MountDesign, MountedPanel, MountMember } from './mount';
import { anchorField, fixings, piece, timberField } from './piece';
import { bar, panelPoints, panelSide } from './side';

/** m. Hinge in from the low edge of the panel. */
const hingeIn = 0.05;
/** Where on the slope the props are bolted, as a share of it, and how much longer than it must be a prop is. */
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
 * m along the base from the hinge to the pin of a prop of a length, for a tilt: a cos θ + √(p² − a² sin² θ), a the prop's
 * place on the slope. Derived.
 */
export function pinAlong(query: { tilt: number; place: number; prop: number }): number {
  const angle = (query.tilt * Math.PI) / 180;
  const height = query.place * Math.sin(angle);
  return query.place * Math.cos(angle) + Math.sqrt(Math.max(0, query.prop ** 2 - height ** 2));
}

function frame(timber: Timber, low: number, pin: number, panel: MountedPanel): Omit<MountDesign, 'held'> {
  const { prefix, upslope, across } = panel;
  const tilts = [...panel.tilts].sort((a, b) => a.tilt - b.tilt);
  const steepest = tilts[tilts.length - 1]?.tilt ?? 0;
  const now = panel.tilts[0]?.tilt ?? 0;
  const place = propAt * upslope - hingeIn;
  const prop = Math.max(0.3, place * Math.sin((steepest * Math.PI) / 180) * propSpare);
  const pins = tilts.map(({ tilt }) => pinAlong({ tilt, place, prop }));
  const base = Math.max(...pins) + 0.1;
  const { at } = panelPoints({ ...panel, tilt: now, low });
  const of = (one: Parameters<typeof piece>[2]) => piece(prefix, timber, one);
  const holesOf = (positions: number[]): HoleSchedule => ({
    datum: 'hinge end',
    middle: (Math.min(...positions) + Math.max(...positions)) / 2,
    positions: [...positions].sort((a, b) => a - b),
    diameter: pin,
    pilot: 0.003,
    where: 'through the narrow side, in its middle',
  });
  const feet = { x: at(hingeIn).x, y: low };
  return {
    base,
    low,
    parts: [
      of({
        id: 'base',
        name: 'Base, side',
        length: base + 0.1,
        count: 2,
        operations: tilts.map(
          ({ name, tilt }, index) => `${name}, ${Math.round(tilt)}°: pin ${sized(pins[index] ?? 0)} from the hinge`,
        ),
        holes: [holesOf(pins.map((along) => along + 0.05))],
      }),
      of({ id: 'base-cross', name: 'Base, cross', length: across, count: 2 }),
      of({
        id: 'prop',
        name: 'Prop',
        length: prop + 0.1,
        count: 2,
        operations: ['round both ends'],
        holes: [holesOf([0.05, prop + 0.05])],
      }),
      ...(low > 0.12
        ? [of({ id: 'foot', name: 'Foot', length: low, count: 4, operations: ['treat the end that meets the ground'] })]
        : []),
    ],
    purchases: [
      fixings(prefix, {
        name: 'Galvanised bolts for hinges and props',
        quantity: 12,
        priceKey: 'bolt',
        rule: 'two hinges, two ends of two props, base corners',
        each: 0.06,
      }),
    ],
    side: {
      title: `Side of ${prefix}`,
      shapes: [
        ...panelSide({ ...panel, tilt: now, low, base: feet.x + base }),
        bar(
          'rail',
          `${prefix}/stand-base`,
          { x: feet.x - 0.05, y: low - timber.width / 2 },
          { x: feet.x + base, y: low - timber.width / 2 },
          timber.width,
        ),
        ...tilts.map(({ tilt }, index) => {
          const other = panelPoints({ ...panel, tilt, low }).at(propAt * upslope);
          const foot = { x: feet.x + (pins[index] ?? 0), y: low - timber.width / 2 };
          return bar('rail', `${prefix}/stand-prop`, foot, other, timber.thickness, tilt !== now);
        }),
      ],
      labels: tilts.map(({ name, tilt }, index) => ({
        at: { x: feet.x + (pins[index] ?? 0), y: low - timber.width },
        to: { x: feet.x + (pins[index] ?? 0) + 0.03, y: low - timber.width - 0.09 - 0.1 * index },
        words: `${name} ${Math.round(tilt)}°`,
        anchor: 'start' as const,
      })),
      dimensions: [
        {
          id: 'stand-pin',
          label: 'hinge to pin',
          from: { x: feet.x, y: 0 },
          to: { x: feet.x + pinAlong({ tilt: now, place, prop }), y: 0 },
          offset: -0.3,
          value: pinAlong({ tilt: now, place, prop }),
        },
      ],
    },
  };
}
