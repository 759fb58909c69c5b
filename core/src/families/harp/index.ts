import { sized } from '../../quantity';
import type { PanelDesign } from '../family';
import { plateDesign } from '../plate/design';
import { layingRoom } from '../plate/findings';
import { downToMillimetre, fitRuns } from '../plate/fit';
import { definePlateFamily } from '../plateFamily';
import { harpDrawing } from './drawing';
import { harpFindings, harpWords } from './findings';
import { harpHeat } from './heat';
import { layOut } from './layout';
import { harpParameters, standardHarp } from './parameters';
import { harpParts } from './parts';
import { harpSteps } from './steps';
import { harpWater } from './water';

/** Parallel risers between two headers, on a plate, in a glazed box. */
export const harp = definePlateFamily({
  id: 'harp',
  name: 'Harp',
  meaning: 'Parallel risers between two headers, on a plate, in a glazed box.',
  schema: harpParameters,
  standard: (habit) => ({
    parameters: standardHarp(habit),
    absorber: 'soldered-foil',
    box: 'rebated-timber',
    glazing: 'tempered-glass',
    turned: false,
  }),
  words: harpWords,
  fit: (build) => {
    const { box, mostClear } = layOut(build);
    const { count, pitch } = fitRuns({ inside: box.room.width, pitch: build.parameters.pitch, least: 2, most: 60 });
    // The header's closed end stays inside the side board.
    const side = (box.room.width - (count - 1) * pitch) / 2 - layingRoom;
    return {
      riserCount: count,
      pitch,
      riserClear: downToMillimetre(mostClear),
      closedEnd: Math.max(0.01, Math.min(build.parameters.closedEnd, downToMillimetre(side))),
    };
  },
  design: (build): PanelDesign => {
    const layout = layOut(build);
    const water = harpWater(layout);
    const heat = harpHeat(build, layout, water.volume);
    const { parts, purchases } = harpParts(build, layout);
    const { parameters, riserCut } = layout;
    const common = plateDesign(build, layout, {
      paint: parameters.paint,
      heat,
      parts,
      purchases,
      grows: { length: riserCut, field: 'riserClear' },
    });
    return {
      ...common,
      runs: { count: parameters.riserCount, words: parameters.riserCount === 1 ? 'riser' : 'risers' },
      trials: [
        {
          id: 'riser',
          words: `cut one riser at ${sized(riserCut)} and dry-fit it in both headers; only then set the stop and cut the rest`,
        },
      ],
      drawing: (view) => harpDrawing[view](build, layout),
      water,
      findings: harpFindings(build, layout),
      drains: build.turned
        ? { empties: true, how: 'with the whole panel tipped 2 % toward the cold header, so that no riser lies level' }
        : { empties: true, how: 'into the cold header, tipped 2 % toward its way out' },
      steps: () => harpSteps(build, layout, common.dryMass),
    };
  },
});
