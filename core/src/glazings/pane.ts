import * as z from 'zod';
import { defineMember, entry, entryField, lengthField, type Member, type Pane } from '../catalogue';
import type { GlazingDesign } from './glazing';

/** m. Sides of a pane that one or two people can carry, and that shops sell. */
const side = { low: 0.3, high: 3.2 };

interface Kind {
  id: string;
  name: string;
  meaning: string;
  material: Pane['material'];
  standardPane: { metric: string; imperial: string };
  clearance: number;
}

/** A pane bedded in the rebate of a box, on a gasket. Kinds differ by material alone. */
function bedded(kind: Kind): Member<GlazingDesign> {
  const ofKind = (id: string) => entry('pane', id).material === kind.material;
  return defineMember({
    id: kind.id,
    name: kind.name,
    meaning: kind.meaning,
    schema: z.strictObject({
      pane: entryField('pane', kind.standardPane.metric, 'Pane', 'What the pane is made of.', ofKind),
      length: lengthField(side.low, side.high, 2, 'Pane length', 'Pane, edge to edge, along the risers.'),
      width: lengthField(side.low, side.high, 1.1, 'Pane width', 'Pane, edge to edge, along the headers.'),
      clearance: lengthField(0.001, 0.015, kind.clearance, 'Clearance', 'Room round the pane for it to grow in.'),
      gasket: lengthField(0, 0.01, 0.003, 'Gasket', 'Strip that the pane lies on.'),
    }),
    standard: (habit) =>
      habit === 'metric'
        ? { pane: kind.standardPane.metric, length: 2, width: 1.1, clearance: kind.clearance, gasket: 0.003 }
        : {
            pane: kind.standardPane.imperial,
            length: 76 * 0.0254,
            width: 46 * 0.0254,
            clearance: kind.clearance === 0.003 ? 0.0254 / 8 : 0.0254 / 4,
            gasket: 0.0254 / 8,
          },
    design: ({ pane: paneId, length, width, clearance, gasket }): GlazingDesign => {
      const pane = entry('pane', paneId);
      const mass = pane.weight * length * width;
      return {
        name: pane.name,
        pane: { length, width, thickness: pane.thickness },
        clearance,
        seatDepth: pane.thickness + gasket,
        cover: {
          index: pane.index,
          sheets: pane.sheets,
          transmittance: pane.transmittance,
          emittance: pane.emittance,
          conductance: pane.conductance,
        },
        serviceLimit: pane.serviceLimit,
        mass,
        purchases: (prefix) => [
          {
            id: `${prefix}/pane`,
            name: `Pane, ${pane.name}`,
            quantity: length * width,
            unit: 'm²',
            priceKey: `pane/${pane.id}`,
            rule: 'one pane to size',
            mass,
          },
          {
            id: `${prefix}/gasket`,
            name: 'Glazing gasket',
            quantity: 2 * (length + width),
            unit: 'm',
            priceKey: 'gasket',
            rule: 'once round the pane',
            mass: 0.05 * 2 * (length + width),
          },
        ],
      };
    },
  });
}

export const temperedGlass = bedded({
  id: 'tempered-glass',
  name: 'Tempered glass',
  meaning: 'One sheet of tempered glass. It cannot be cut: the box is made to the pane.',
  material: 'glass',
  standardPane: { metric: 'tempered-low-iron-4', imperial: 'tempered-low-iron-5_32' },
  clearance: 0.003,
});

export const twinWall = bedded({
  id: 'twin-wall',
  name: 'Twin-wall polycarbonate',
  meaning: 'Twin-wall sheet, flutes running uphill, ends closed, printed face outward.',
  material: 'polycarbonate',
  standardPane: { metric: 'twin-wall-10', imperial: 'twin-wall-10' },
  clearance: 0.006,
});
