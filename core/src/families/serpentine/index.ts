import { sized } from '../../quantity';
import { tubeMass } from '../../shop';
import { plateModel } from '../../thermal';
import type { HeaterDesign } from '../family';
import { plateDesign, plateViews } from '../plate/design';
import { layingRoom } from '../plate/findings';
import { downToMillimetre, fitRuns } from '../plate/fit';
import { plateSections } from '../plate/sections';
import { plateDescription } from '../plate/thermal';
import { definePlateFamily } from '../plateFamily';
import { detail } from './detail';
import { serpentineDrawing } from './drawing';
import { serpentineFindings, serpentineWords } from './findings';
import { serpentineHydraulic } from './hydraulic';
import { layOut } from './layout';
import { serpentineParameters, standardSerpentine } from './parameters';
import { serpentineParts, waterVolume } from './parts';
import { serpentinePorts } from './ports';
import { serpentineSteps } from './steps';

/** One long tube to and fro on a plate, in a glazed box. */
export const serpentine = definePlateFamily({
  id: 'serpentine',
  name: 'Serpentine',
  subtitle: 'one long pipe under glass',
  meaning: 'One long tube, to and fro on a plate, in a glazed box.',
  schema: serpentineParameters,
  standard: (habit) => ({
    parameters: standardSerpentine(habit),
    absorber: 'nested-fins',
    box: 'rebated-timber',
    glazing: 'tempered-glass',
    turned: true,
  }),
  words: serpentineWords,
  standardLoop: 'filled',
  fit: (build) => {
    const { box, bend } = layOut(build);
    const fixed = bend.fixedPitch;
    const { count, pitch } = fitRuns({
      inside: box.room.width,
      pitch: fixed ?? build.parameters.pitch,
      least: 2,
      most: 40,
      fixed: fixed !== undefined,
    });
    return { runs: count, pitch, runLength: downToMillimetre(box.room.length - 2 * (bend.reach + layingRoom)) };
  },
  design: (build): HeaterDesign => {
    const layout = layOut(build);
    const { parameters, bend, tube, wayLength } = layout;
    const { runs: count, pitch } = parameters;
    const volume = waterVolume(layout);
    const { parts, purchases } = serpentineParts(build, layout);
    const turns = count - 1;
    const description = plateDescription(build, layout, {
      paint: parameters.paint,
      run: { length: layout.plateSpan.to - layout.plateSpan.from, count, path: 'serpentine' },
      besides: turns * pitch * tube.outerDiameter,
      tubeLength: wayLength,
      otherCopper: 0.5 * turns * bend.fittings * tubeMass(tube) * bend.laying,
      waterVolume: volume,
    });
    const thermal = plateModel(description);
    const common = plateDesign(build, layout, {
      paint: parameters.paint,
      description,
      parts,
      purchases,
      grows: { length: parameters.runLength, field: 'runLength' },
    });
    return {
      ...common,
      runs: { count, words: 'runs' },
      ports: serpentinePorts(build, layout),
      trials: bend.calibrated
        ? []
        : [
            {
              id: 'bend',
              words: `dry-fit one return bend, measure it centre to centre (drawn: ${sized(bend.fixedPitch ?? pitch)}) and type it under Dry fit on the bench; only then cut the stubs`,
            },
          ],
      drawings: plateViews(build, layout, {
        plan: () => serpentineDrawing.plan(build, layout),
        section: () => serpentineDrawing.section(build, layout),
        detail: () => detail(build, layout),
      }),
      thermal,
      hydraulic: serpentineHydraulic(build, layout),
      sections: (work) => plateSections(thermal, work),
      findings: serpentineFindings(build, layout),
      steps: () => serpentineSteps(build, layout, common.dryMass),
    };
  },
});
