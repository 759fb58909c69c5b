import * as z from 'zod';
import { defineMember, entry, materials, type Range, range, sheetMass } from '../catalogue';
import { choiceField, entryField } from '../field';
import { sized } from '../quantity';
import type { AbsorberDesign } from './absorber';

const bonds: Record<'clips' | 'wire', Range> = {
  clips: range(1, 3, 6, 'judgement', 'log-normal'),
  wire: range(1, 2.5, 5, 'judgement', 'log-normal'),
};
const bondsHomeMade: typeof bonds = {
  clips: range(0.7, 2, 5, 'judgement', 'log-normal'),
  wire: range(0.6, 1.7, 4, 'judgement', 'log-normal'),
};
/** m between clips or turns of wire. */
const spacing = 0.2;
/** m. Lap of one sheet over the next. */
const lap = 0.02;

/** One flat plate under all tubes, held to them by clips or wire. */
export const clippedPlate = defineMember({
  id: 'clipped-plate',
  name: 'Flat plate, clipped on',
  meaning: 'One flat plate over all tubes, held to them by clips or wire.',
  schema: z.strictObject({
    sheet: entryField(
      'sheet',
      'aluminium-0.8',
      'Sheet',
      'What the plate is cut from.',
      (id) => entry('sheet', id).use === 'plate',
    ),
    hold: choiceField(
      { clips: 'screwed clips', wire: 'twisted wire' },
      'clips',
      'Held by',
      'What presses the plate to the tubes.',
    ),
  }),
  standard: (habit) => ({ sheet: habit === 'metric' ? 'aluminium-0.8' : 'aluminium-1_32', hold: 'clips' as const }),
  design: ({ sheet: sheetId, hold }): AbsorberDesign => {
    const sheet = entry('sheet', sheetId);
    const material = materials[sheet.material];
    return {
      name: `${sheet.name}, ${hold === 'clips' ? 'clipped on' : 'wired on'}`,
      thickness: sheet.thickness,
      density: material.density,
      work: {
        does: [
          'lay the plate on the tubes and mark every tube on it',
          hold === 'clips'
            ? 'screw a clip over the tube at every mark, tight enough that no card goes between'
            : 'wind wire through pairs of holes and twist it tight',
        ],
        needs: ['drill', 'gloves: cut edges'],
        beware: [],
      },
      on: ({ prefix, tube, count, pitch, length }) => {
        const across = count * pitch;
        const widest = Math.max(sheet.width, sheet.height);
        // As few pieces side by side as the sheet allows, lapped.
        const pieces = Math.max(1, Math.ceil((across - lap) / (Math.min(sheet.width, sheet.height) - lap)));
        const width = across / pieces + (pieces > 1 ? (lap * (pieces - 1)) / pieces : 0);
        const lengths = Math.ceil(length / widest);
        const mass = sheetMass(sheet, width * (length / lengths));
        const holds = Math.ceil(length / spacing) * count;
        return {
          plate: {
            width: pitch,
            steps: [
              {
                width: Math.max(0, (pitch - tube.outerDiameter) / 2),
                conductance: material.conductivity * sheet.thickness,
              },
            ],
            mount: 'under',
            whole: true,
          },
          leastPitch: tube.outerDiameter + 0.01,
          bond: bonds[hold],
          bondHomeMade: bondsHomeMade[hold],
          limit: { name: material.name, temperature: material.serviceLimit },
          parts: [
            {
              id: `${prefix}/plate`,
              name: 'Plate',
              item: sheet.id,
              kind: 'sheet',
              width,
              height: length / lengths,
              turn: true,
              count: pieces * lengths,
              operations: ['break the sharp edges', ...(hold === 'clips' ? ['drill for the clips'] : [])],
              mass,
            },
          ],
          purchases: [
            {
              id: `${prefix}/holds`,
              name: hold === 'clips' ? 'Pipe clips with screws' : 'Stainless binding wire, turns',
              quantity: holds,
              unit: 'each',
              priceKey: hold === 'clips' ? 'clip' : 'wire-turn',
              rule: `one every ${sized(spacing)} of tube`,
              mass: 0.006 * holds,
            },
          ],
          mass: mass * pieces * lengths + 0.006 * holds,
          heatCapacity: mass * pieces * lengths * material.heatCapacity,
          findings: [],
        };
      },
    };
  },
});
