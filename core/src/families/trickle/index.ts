import { entry, materials, serviceLimits } from '../../catalogue';
import { filmModel } from '../../thermal';
import { defineFamily } from '../defineFamily';
import { flatSections } from '../kit/flatSections';
import { areasOf } from '../kit/totals';
import { coverWithstands, withstands } from '../kit/withstands';
import { trickleViews } from './drawing';
import { trickleFindings, trickleWords } from './findings';
import { trickleHydraulic } from './hydraulic';
import { layOut } from './layout';
import { standardTrickle, trickleParameters, withSideBoard } from './parameters';
import { trickleParts } from './parts';
import { tricklePorts } from './ports';
import { trickleSteps } from './steps';
import { trickleDescription } from './thermal';

/** Flattened cans end to end, water running down them in a film. */
export const trickle = defineFamily({
  id: 'trickle',
  name: 'Trickle',
  subtitle: 'water runs down an open face',
  meaning: 'Strips of flattened cans, taped end to end; water runs down them in a film and drains by itself.',
  words: trickleWords,
  notOn: (lays) => (lays === 'level' ? 'there it lies level, and no water runs down it' : undefined),
  schema: trickleParameters,
  standard: standardTrickle,
  upToDate: withSideBoard,
  layOut,
  thermal: (layout, known) => filmModel(trickleDescription(layout, known)),
  list: trickleParts,
  design: ({ id, path, at, parameters, layout, thermal, mass }) => {
    const { outside, glazing, batten, back } = layout;
    return {
      areas: areasOf(thermal.description),
      outside: { ...outside, depth: layout.depth },
      runs: { count: parameters.strips, words: parameters.strips === 1 ? 'strip' : 'strips' },
      ports: tricklePorts(id, layout),
      trials: [
        {
          id: 'can',
          words:
            'flatten one can as all will be, measure its height and breadth, and set them on the bench; only then cut the battens',
        },
      ],
      drawings: trickleViews(id, layout),
      sections: (work) => flatSections(thermal, work, parameters.strips),
      hydraulic: trickleHydraulic(layout),
      materials: [
        withstands('plate', { ...materials.aluminium, name: 'aluminium cans' }, at('wetting')),
        { ...serviceLimits.silicone, place: 'plate' },
        withstands('plate', entry('coating', parameters.paint), at('paint')),
        { ...serviceLimits.sensor, place: 'plate' },
        withstands('side', { ...materials.softwood, name: batten.name }, at('batten')),
        withstands('back', { ...materials[back.material], name: back.name }, at('back')),
        ...coverWithstands(glazing, at('cover')),
      ],
      findings: trickleFindings(path, layout),
      underWind: (wind) => glazing.underWind(parameters.airGap, wind, { pane: at('cover') }),
      wettedMetal: 'aluminium',
      neverDrunk: 'cans, paint and silicone',
      steps: () => trickleSteps(id, layout, mass),
    };
  },
});
