import { sized } from '../../quantity';
import { plateModel } from '../../thermal';
import type { HeaterDesign } from '../family';
import { plateDesign, plateViews } from '../plate/design';
import { layingRoom } from '../plate/findings';
import { downToMillimetre, fitRuns } from '../plate/fit';
import { definePlateFamily } from '../plateFamily';
import { harpDrawing } from './drawing';
import { harpFindings, harpWords } from './findings';
import { harpHydraulic } from './hydraulic';
import { layOut } from './layout';
import { harpParameters, standardHarp } from './parameters';
import { harpParts } from './parts';
import { harpPorts } from './ports';
import { harpSections } from './sections';
import { harpSteps } from './steps';
import { harpDescription } from './thermal';

/** Parallel risers between two headers, on a plate, in a glazed box. */
export const harp = definePlateFamily({
  id: 'harp',
  name: 'Harp',
  subtitle: 'parallel pipes under glass',
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
  argues: { glazed: 'a harp under glass', copper: 'a harp of copper', pumped: 'a harp with a pump' },
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
  design: (build): HeaterDesign => {
    const layout = layOut(build);
    const hydraulic = harpHydraulic(build, layout);
    const thermal = plateModel(harpDescription(build, layout, hydraulic.volume));
    const { parts, purchases } = harpParts(build, layout);
    const { parameters, riserCut } = layout;
    const common = plateDesign(build, layout, {
      paint: parameters.paint,
      description: thermal.description,
      parts,
      purchases,
      grows: { length: riserCut, field: 'riserClear' },
    });
    return {
      ...common,
      runs: { count: parameters.riserCount, words: parameters.riserCount === 1 ? 'riser' : 'risers' },
      ports: harpPorts(build, layout),
      trials: [
        {
          id: 'riser',
          words: `cut one riser at ${sized(riserCut)} and dry-fit it in both headers; only then set the stop and cut the rest`,
        },
      ],
      drawings: plateViews(build, layout, {
        plan: () => harpDrawing.plan(build, layout),
        section: () => harpDrawing.section(build, layout),
        detail: () => harpDrawing.detail(build, layout),
      }),
      thermal,
      hydraulic,
      sections: (work) => harpSections(thermal, hydraulic, work),
      findings: harpFindings(build, layout),
      steps: () => harpSteps(build, layout, common.dryMass),
    };
  },
});
