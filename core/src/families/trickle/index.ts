import { entry, materials, serviceLimits } from '../../catalogue';
import { filmModel } from '../../thermal';
import { type Family, fieldsOf, type HeaterDesign, problemsOf } from '../family';
import { flatSections } from '../kit/flatSections';
import { areasOf, massOf } from '../kit/totals';
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
export const trickle: Family = {
  id: 'trickle',
  name: 'Trickle',
  meaning: 'Strips of flattened cans, taped end to end; water runs down them in a film and drains by itself.',
  words: trickleWords,
  notOn: (lays) => (lays === 'level' ? 'there it lies level, and no water runs down it' : undefined),
  standard: (habit) => ({ family: 'trickle', parameters: standardTrickle(habit), count: 1, turned: false }),
  problems: (panel) => problemsOf(trickleParameters, ['parameters'], withSideBoard(panel.parameters)),
  fields: (panel) => fieldsOf(trickleParameters, 'parameters', withSideBoard(panel.parameters)),
  open: (panel, path): HeaterDesign => {
    const layout = layOut(trickleParameters.parse(withSideBoard(panel.parameters)));
    const { parameters, outside, glazing } = layout;
    const thermal = filmModel(trickleDescription(layout, panel.known));
    const { parts, purchases } = trickleParts(panel.id, layout);
    const paint = entry('coating', parameters.paint);
    const at = (field: string) => `${path}.parameters.${field}`;
    return {
      areas: areasOf(thermal.description),
      outside: { ...outside, depth: layout.depth },
      runs: { count: parameters.strips, words: parameters.strips === 1 ? 'strip' : 'strips' },
      ports: tricklePorts(panel.id, layout),
      trials: [
        {
          id: 'can',
          words:
            'flatten one can as all will be, measure its height and breadth, and set them on the bench; only then cut the battens',
        },
      ],
      drawings: trickleViews(panel.id, layout),
      parts,
      purchases,
      thermal,
      sections: (work) => flatSections(thermal, work, parameters.strips),
      hydraulic: trickleHydraulic(layout),
      materials: [
        { name: 'aluminium cans', place: 'plate', limit: materials.aluminium.serviceLimit, path: at('wetting') },
        { name: serviceLimits.silicone.name, place: 'plate', limit: serviceLimits.silicone.limit },
        { name: paint.name, place: 'plate', limit: paint.serviceLimit, path: at('paint') },
        { ...serviceLimits.sensor, place: 'plate' },
        { name: layout.batten.name, place: 'side', limit: materials.softwood.serviceLimit, path: at('batten') },
        {
          name: layout.back.name,
          place: 'back',
          limit: materials[layout.back.material].serviceLimit,
          path: at('back'),
        },
        ...(glazing.cover
          ? [{ name: glazing.name, place: 'inner pane' as const, limit: glazing.serviceLimit, path: at('cover') }]
          : []),
      ],
      growth: [],
      findings: trickleFindings(path, layout),
      underWind: (wind) => glazing.underWind(parameters.airGap, wind, { pane: at('cover') }),
      wettedMetal: 'aluminium',
      neverDrunk: 'cans, paint and silicone',
      steps: () => trickleSteps(panel.id, layout, massOf(parts, purchases)),
      dryMass: massOf(parts, purchases),
    };
  },
};
