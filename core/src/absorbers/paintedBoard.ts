import * as z from 'zod';
import { defineMember, entry, materials, range, sheetMass } from '../catalogue';
import { entryField } from '../field';
import { sized } from '../quantity';
import type { AbsorberDesign } from './absorber';

/**
 * W/mK of tube from the warm board and the air over it to a tube that lies on it. Judgement, log-normal. No fin: wood hardly conducts,
 * the air in the box carries the warmth along the board to the tube.
 */
const airPath = range(0.5, 1, 2, 'judgement', 'log-normal');
const airPathHomeMade = range(0.3, 0.8, 1.8, 'judgement', 'log-normal');
/** W/K. So much that the board is of one warmth between two tubes: the air evens it out. */
const evenedOut = 5;
/** m between staples. */
const spacing = 0.3;

/** Tube on a black board: a poor bond, and cheap. */
export const paintedBoard = defineMember({
  id: 'painted-board',
  name: 'Black board under the tube',
  meaning: 'The tube lies on a board painted black. Cheap; the air must carry the heat.',
  schema: z.strictObject({
    board: entryField(
      'sheet',
      'ply-9',
      'Board',
      'Sheet that is painted black.',
      (id) => entry('sheet', id).use === 'back',
    ),
  }),
  standard: (habit) => ({ board: habit === 'metric' ? 'ply-9' : 'ply-3_8' }),
  design: ({ board: boardId }): AbsorberDesign => {
    const board = entry('sheet', boardId);
    const material = materials[board.material];
    return {
      name: `${board.name}, painted black`,
      thickness: board.thickness,
      bed: true,
      density: material.density,
      work: {
        does: ['lay the tubes on the painted board', 'staple them down, close enough that they touch all along'],
        needs: ['staple gun'],
        beware: ['Timber behind hot tube browns and can char: keep it under its limit.'],
      },
      on: ({ prefix, tube, count, pitch, length }) => {
        const area = count * pitch * length;
        const mass = sheetMass(board, area);
        const staples = Math.ceil(length / spacing) * count;
        return {
          plate: {
            width: pitch,
            steps: [{ width: Math.max(0, (pitch - tube.outerDiameter) / 2), conductance: evenedOut }],
            // The tube lies on top, in the sun itself.
            mount: 'over',
            whole: false,
          },
          leastPitch: tube.outerDiameter + 0.01,
          bond: airPath,
          bondHomeMade: airPathHomeMade,
          limit: { name: `${board.name} as absorber`, temperature: material.serviceLimit },
          parts: [
            {
              id: `${prefix}/absorber-board`,
              name: 'Absorber board',
              item: board.id,
              kind: 'sheet',
              width: count * pitch,
              height: length,
              turn: true,
              count: 1,
              operations: ['prime both faces', 'paint black, let it bake out before glazing'],
              mass,
            },
          ],
          purchases: [
            {
              id: `${prefix}/staples`,
              name: 'Pipe staples',
              quantity: staples,
              unit: 'each',
              priceKey: 'staple',
              rule: `one every ${sized(spacing)} of tube`,
              mass: 0.004 * staples,
            },
          ],
          mass: mass + 0.004 * staples,
          heatCapacity: mass * material.heatCapacity,
          findings: [],
        };
      },
    };
  },
});
