import { entry, materials, serviceLimits } from '../../catalogue';
import { heatPipeModel } from '../../thermal';
import { type Family, fieldsOf, type HeaterDesign, problemsOf } from '../family';
import { massOf } from '../kit/totals';
import { heatPipeViews } from './drawing';
import { heatPipeFindings, heatPipeWords } from './findings';
import { heatPipeHydraulic } from './hydraulic';
import { jigTemplate } from './jig';
import { layOut } from './layout';
import { heatPipeParameters, standardHeatPipe } from './parameters';
import { heatPipeParts, heatPipePurchases } from './parts';
import { heatPipePorts } from './ports';
import { fitBottleSalvage } from './salvage';
import { heatPipeSections } from './sections';
import { fullSun } from './standing';
import { heatPipeSteps } from './steps';
import { heatPipeDescription } from './thermal';

/** °C that a clear drink bottle keeps its shape at. Makers of PET: 65 to 75. */
const bottleLimit = 70;
/** °C of foam lagging. EN 14304, elastomeric: 105. */
const foamLimit = 105;

/** Sealed tubes with a little water in them, in sleeves of bottles, their tips in a manifold. */
export const heatPipe: Family = {
  id: 'heat-pipe',
  name: 'Heat pipes',
  meaning:
    'Sealed copper pipes with a little water, in clear bottles; their hot tips warm a manifold, and nothing runs back at night.',
  turns: false,
  notOn: (lays) => (lays === 'level' ? 'there it lies level, and nothing runs back down a heat pipe' : undefined),
  words: heatPipeWords,
  standard: (habit) => ({ family: 'heat-pipe', parameters: standardHeatPipe(habit), count: 1, turned: false }),
  salvage: (panel, things) => fitBottleSalvage(heatPipe)(panel, things),
  problems: (panel) => problemsOf(heatPipeParameters, ['parameters'], panel.parameters),
  fields: (panel) => fieldsOf(heatPipeParameters, 'parameters', panel.parameters),
  open: (panel, path, standing): HeaterDesign => {
    const layout = layOut(heatPipeParameters.parse(panel.parameters));
    const { parameters } = layout;
    const thermal = heatPipeModel(heatPipeDescription(layout, panel.known));
    const parts = heatPipeParts(panel.id, layout);
    const purchases = heatPipePurchases(panel.id, layout);
    const mass = massOf(parts, purchases);
    const at = (field: string) => `${path}.parameters.${field}`;
    const paint = entry('coating', parameters.paint);
    const bare = () => heatPipeModel(heatPipeDescription(layOut({ ...parameters, sleeve: 'none' }), panel.known));
    return {
      areas: {
        aperture: thermal.apertureArea,
        absorber: thermal.apertureArea,
        gross: layout.outside.length * layout.outside.width,
      },
      outside: layout.outside,
      runs: { count: parameters.tubes, words: parameters.tubes === 1 ? 'heat pipe' : 'heat pipes' },
      ports: heatPipePorts(panel.id, layout),
      trials: [
        ...(parameters.fill > 0
          ? []
          : [
              {
                id: 'fill',
                words:
                  'fill one pipe to the brim, weigh it dry and full, and type the difference on the bench; only then weigh in charges',
              },
            ]),
        ...(layout.sleeved
          ? [
              {
                id: 'bottle',
                words:
                  'cut one bottle, measure its straight part and its breadth, and set them on the bench; only then drill the rails',
              },
            ]
          : []),
      ],
      drawings: heatPipeViews(panel.id, layout),
      parts,
      purchases,
      thermal,
      hydraulic: heatPipeHydraulic(layout),
      sections: (work) => heatPipeSections(layout, thermal, bare, work),
      materials: [
        { name: paint.name, place: 'tube', limit: paint.serviceLimit, path: at('paint') },
        { name: materials.copper.name, place: 'tube', limit: materials.copper.serviceLimit, path: at('tube') },
        { ...serviceLimits.sensor, place: 'manifold' },
        ...(layout.sleeved ? [{ name: 'clear bottles', place: 'sleeve', limit: bottleLimit, path: at('sleeve') }] : []),
        { name: 'pipe lagging', place: 'manifold', limit: foamLimit, path: at('lagging') },
      ],
      growth: [],
      findings: heatPipeFindings(path, layout, thermal.state(fullSun).places.tube ?? fullSun.air, standing),
      underWind: () => [],
      templates: () => [jigTemplate(panel.id, layout)],
      boilsInside: true,
      wettedMetal: 'copper',
      steps: () => heatPipeSteps(panel.id, layout, mass),
      dryMass: mass,
    };
  },
};
