import * as z from 'zod';
import { defineMember, entry, type Timber } from '../catalogue';
import { dim, leader, shape } from '../draw';
import { countField, lengthField } from '../field';
import type { MountDesign, MountedPanel, MountMember } from './mount';
import { fixings, piece, timberField } from './piece';
import { bar, panelPoints, panelSide } from './side';

/** m. Roof of a van over the ground, for the drawing; how far in a bar lies. */
const roof = 1.9;
const barIn = 0.35;
/** m. The lowest feet of a rack. */
const leastFeet = 0.02;

/** A panel clamped flat on the bars of a vehicle's roof, driven with and stood up for nobody. */
export const vehicleRack = defineMember({
  id: 'vehicle-rack',
  name: 'Rack on a vehicle',
  meaning:
    'Cross bars on a vehicle’s roof, the panel clamped flat on them. Empty it, and strap it, before it is driven.',
  schema: z.strictObject({
    timber: timberField('What the cross bars are made of.'),
    bars: countField(2, 4, 2, 'Bars', 'Cross bars over the roof.'),
    gap: lengthField(0.05, 0.3, 0.12, 'Over the roof', 'Roof to panel.'),
  }),
  standard: (habit) => ({
    timber: habit === 'metric' ? 'planed-90x45' : 'ps20-2x4',
    bars: 2,
    gap: habit === 'metric' ? 0.12 : 5 * 0.0254,
  }),
  design: ({ timber, bars, gap }): MountMember => {
    const stuff = entry('timber', timber);
    return { under: (panel) => rack(stuff, bars, gap, panel) };
  },
});

function rack(timber: Timber, bars: number, wanted: number, panel: MountedPanel): MountDesign {
  const { prefix, upslope, across } = panel;
  // A bar stands on edge on the rack's feet: the gap is never less than it takes.
  const gap = Math.max(wanted, timber.width + leastFeet);
  const { at } = panelPoints({ ...panel, tilt: 0, low: roof + gap });
  const places = Array.from({ length: bars }, (_, index) => barIn + ((upslope - 2 * barIn) * index) / (bars - 1));
  return {
    base: upslope,
    low: roof + gap,
    tilt: 0,
    held: { by: 'fixings', count: 2 * bars, what: 'clamp on the bars' },
    parts: [
      piece(prefix, timber, {
        id: 'bar',
        name: 'Cross bar',
        length: across + 0.2,
        count: bars,
        operations: ['round the front edge', 'bolt through the rack’s own feet'],
      }),
    ],
    purchases: [
      fixings(prefix, {
        id: 'clamp',
        name: 'Clamps, panel to bar',
        quantity: 2 * bars,
        priceKey: 'lid-clip',
        rule: 'two a bar, bolted through the side board',
        each: 0.15,
      }),
      fixings(prefix, {
        id: 'strap',
        name: 'Ratchet straps over it all',
        quantity: 2,
        priceKey: 'strap',
        rule: 'one near each end, whatever the clamps do',
        each: 0.6,
      }),
    ],
    side: {
      title: `Side of ${prefix}`,
      shapes: [
        ...panelSide({ ...panel, tilt: 0, low: roof + gap, base: 0 }).slice(0, 2),
        shape.line('note', { x: -0.4, y: roof }, { x: upslope + 0.4, y: roof }),
        ...places.map((along) =>
          bar(
            'rail',
            `${prefix}/stand-bar`,
            { x: along, y: at(0).y - timber.width },
            { x: along, y: at(0).y },
            timber.thickness,
          ),
        ),
      ],
      labels: [leader('roof of the vehicle', { x: upslope + 0.4, y: roof }, { x: upslope + 0.43, y: roof })],
      dimensions: [dim.up('stand-gap', 'roof to panel', { x: 0, y: roof }, gap, { offset: 0.12 })],
    },
  };
}
