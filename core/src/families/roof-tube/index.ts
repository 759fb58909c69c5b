import { entry, materials, serviceLimits } from '../../catalogue';
import { pipeStoreModel } from '../../thermal';
import { type Family, fieldsOf, type HeaterDesign, problemsOf } from '../family';
import { litresOf } from '../kit/paint';
import { seatTemplate } from '../kit/seat';
import { massOf } from '../kit/totals';
import { roofTubeViews } from './drawing';
import { roofTubeFindings, roofTubeWords, waterIn } from './findings';
import { roofTubeHydraulic } from './hydraulic';
import { layOut } from './layout';
import { roofTubeParameters, standardRoofTube } from './parameters';
import { roofTubeParts, roofTubePurchases } from './parts';
import { roofTubePorts } from './ports';
import { roofTubeSections } from './sections';
import { fullSun } from './standing';
import { roofTubeSteps } from './steps';
import { roofTubeDescription } from './thermal';

/** A capped, black, vented pipe of plastic on a roof or a vehicle, full of water. */
export const roofTube: Family = {
  id: 'roof-tube',
  name: 'Roof tube',
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
  standard: (habit) => ({ family: 'roof-tube', parameters: standardRoofTube(habit), count: 1, turned: false }),
  problems: (panel) => problemsOf(roofTubeParameters, ['parameters'], panel.parameters),
  fields: (panel) => fieldsOf(roofTubeParameters, 'parameters', panel.parameters),
  open: (panel, path): HeaterDesign => {
    const layout = layOut(roofTubeParameters.parse(panel.parameters));
    const { parameters, pipe, outside } = layout;
    const thermal = pipeStoreModel(roofTubeDescription(layout, panel.known));
    const parts = roofTubeParts(panel.id, layout);
    const purchases = roofTubePurchases(panel.id, layout);
    const mass = massOf(parts, purchases);
    const at = (field: string) => `${path}.parameters.${field}`;
    const paint = entry('coating', parameters.paint);
    const stuff = materials[pipe.material ?? 'pvc'];
    return {
      areas: {
        aperture: thermal.apertureArea,
        absorber: thermal.apertureArea,
        gross: outside.length * outside.width,
      },
      outside,
      runs: { count: parameters.pipes, words: parameters.pipes === 1 ? 'pipe' : 'pipes' },
      ports: roofTubePorts(panel.id, layout),
      trials: [{ id: 'seat', words: 'saw one seat and lay the pipe itself in it; only then saw the others' }],
      drawings: roofTubeViews(panel.id, layout),
      parts,
      purchases,
      thermal,
      hydraulic: roofTubeHydraulic(layout),
      sections: () => roofTubeSections(layout, thermal, mass),
      materials: [
        { name: stuff.name, place: 'wall', limit: stuff.serviceLimit, path: at('pipe') },
        { name: paint.name, place: 'wall', limit: paint.serviceLimit, path: at('paint') },
        { ...serviceLimits.gasket, place: 'water' },
      ],
      growth: [],
      findings: roofTubeFindings(path, layout, {
        hottest: thermal.state(fullSun).places.water ?? fullSun.air,
        full: mass + waterIn(layout),
      }),
      underWind: () => [],
      templates: () => [
        seatTemplate(`${panel.id}/seat`, 'Seat of a pipe in its saddle', {
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
      steps: () => roofTubeSteps(panel.id, layout, mass, litresOf(purchases)),
      dryMass: mass,
    };
  },
};
