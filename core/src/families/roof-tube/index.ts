import { entry, materials, serviceLimits } from '../../catalogue';
import { pipeStoreModel } from '../../thermal';
import { defineFamily } from '../defineFamily';
import { fullSunLevel } from '../kit/fullSun';
import { litresOf } from '../kit/paint';
import { seatTemplate } from '../kit/seat';
import { grossOf } from '../kit/totals';
import { withstands } from '../kit/withstands';
import { roofTubeViews } from './drawing';
import { roofTubeFindings, roofTubeWords, waterIn } from './findings';
import { roofTubeHydraulic } from './hydraulic';
import { layOut } from './layout';
import { roofTubeParameters, standardRoofTube } from './parameters';
import { roofTubeParts, roofTubePurchases } from './parts';
import { roofTubePorts } from './ports';
import { roofTubeSections } from './sections';
import { roofTubeSteps } from './steps';
import { roofTubeDescription } from './thermal';

/** A capped, black, vented pipe of plastic on a roof or a vehicle, full of water. */
export const roofTube = defineFamily({
  id: 'roof-tube',
  name: 'Roof tube',
  subtitle: 'black pipes filled by hand',
  meaning:
    'Capped black pipes on a rack, filled through a plug and always vented: a shower by gravity at the end of the day.',
  standardLoop: 'by hand',
  turns: false,
  lies: 'level',
  notOn: (lays) =>
    lays === 'level'
      ? undefined
      : 'its pipes lie level: on a slope water stands in their low ends, and the vent is far above the outlet',
  words: roofTubeWords,
  schema: roofTubeParameters,
  standard: standardRoofTube,
  layOut,
  thermal: (layout, known) => pipeStoreModel(roofTubeDescription(layout, known)),
  list: (id, layout) => ({ parts: roofTubeParts(id, layout), purchases: roofTubePurchases(id, layout) }),
  design: ({ id, path, at, parameters, layout, thermal, purchases, mass }) => {
    const { pipe, outside } = layout;
    return {
      areas: grossOf(thermal, outside),
      outside,
      runs: { count: parameters.pipes, words: parameters.pipes === 1 ? 'pipe' : 'pipes' },
      ports: roofTubePorts(id, layout),
      trials: [{ id: 'seat', words: 'saw one seat and lay the pipe itself in it; only then saw the others' }],
      drawings: roofTubeViews(id, layout),
      hydraulic: roofTubeHydraulic(layout),
      sections: () => roofTubeSections(layout, thermal, mass),
      materials: [
        withstands('wall', materials[pipe.material ?? 'pvc'], at('pipe')),
        withstands('wall', entry('coating', parameters.paint), at('paint')),
        { ...serviceLimits.gasket, place: 'water' },
      ],
      findings: roofTubeFindings(path, layout, {
        hottest: thermal.state(fullSunLevel).places.water ?? fullSunLevel.air,
        full: mass + waterIn(layout),
      }),
      templates: () => [
        seatTemplate(`${id}/seat`, 'Seat of a pipe in its saddle', {
          diameter: pipe.outerDiameter,
          depth: layout.seat,
          board: layout.saddle.width,
          first: layout.places[0] ?? 0,
          pitch: layout.pitch,
          count: parameters.pipes,
        }),
      ],
      wettedMetal: 'none',
      neverDrunk: 'water that has stood warm in a pipe on a roof',
      steps: () => roofTubeSteps(id, layout, mass, litresOf(purchases)),
    };
  },
});
