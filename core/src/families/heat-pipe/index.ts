import { entry, materials, serviceLimits } from '../../catalogue';
import { heatPipeModel } from '../../thermal';
import { defineFamily } from '../defineFamily';
import { fullSunLeaning } from '../kit/fullSun';
import { grossOf } from '../kit/totals';
import { withstands } from '../kit/withstands';
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
import { heatPipeSteps } from './steps';
import { heatPipeDescription } from './thermal';

/** °C that a clear drink bottle keeps its shape at. Makers of PET: 65 to 75. */
const bottleLimit = 70;
/** °C of foam lagging. EN 14304, elastomeric: 105. */
const foamLimit = 105;

/** Sealed tubes with a little water in them, in sleeves of bottles, their tips in a manifold. */
export const heatPipe = defineFamily({
  id: 'heat-pipe',
  name: 'Heat pipes',
  subtitle: 'sealed pipes in glass bottles',
  meaning:
    'Sealed copper pipes with a little water, in clear bottles; their hot tips warm a manifold, and nothing runs back at night.',
  turns: false,
  notOn: (lays) => (lays === 'level' ? 'there it lies level, and nothing runs back down a heat pipe' : undefined),
  words: heatPipeWords,
  schema: heatPipeParameters,
  standard: standardHeatPipe,
  salvage: fitBottleSalvage,
  layOut,
  thermal: (layout, known) => heatPipeModel(heatPipeDescription(layout, known)),
  list: (id, layout) => ({ parts: heatPipeParts(id, layout), purchases: heatPipePurchases(id, layout) }),
  design: ({ id, path, at, parameters, layout, thermal, mass, standing, known }) => {
    const { outside, sleeved } = layout;
    const bare = () => heatPipeModel(heatPipeDescription(layOut({ ...parameters, sleeve: 'none' }), known));
    return {
      areas: grossOf(thermal, outside),
      outside,
      runs: { count: parameters.tubes, words: parameters.tubes === 1 ? 'heat pipe' : 'heat pipes' },
      ports: heatPipePorts(id, layout),
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
        ...(sleeved
          ? [
              {
                id: 'bottle',
                words:
                  'cut one bottle, measure its straight part and its breadth, and set them on the bench; only then drill the rails',
              },
            ]
          : []),
      ],
      drawings: heatPipeViews(id, layout),
      hydraulic: heatPipeHydraulic(layout),
      sections: (work) => heatPipeSections(layout, thermal, bare, work),
      materials: [
        withstands('tube', entry('coating', parameters.paint), at('paint')),
        withstands('tube', materials.copper, at('tube')),
        { ...serviceLimits.sensor, place: 'manifold' },
        ...(sleeved ? [{ name: 'clear bottles', place: 'sleeve', limit: bottleLimit, path: at('sleeve') }] : []),
        { name: 'pipe lagging', place: 'manifold', limit: foamLimit, path: at('lagging') },
      ],
      findings: heatPipeFindings(
        path,
        layout,
        thermal.state(fullSunLeaning).places.tube ?? fullSunLeaning.air,
        standing,
      ),
      templates: () => [jigTemplate(id, layout)],
      boilsInside: true,
      wettedMetal: 'copper',
      steps: () => heatPipeSteps(id, layout, mass),
    };
  },
});
