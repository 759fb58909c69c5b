import { materials, serviceLimits } from '../../catalogue';
import { coilModel, stagnationTemperature } from '../../thermal';
import { defineFamily } from '../defineFamily';
import { fullSunLevel } from '../kit/fullSun';
import { areasOf } from '../kit/totals';
import { coverWithstands, withstands } from '../kit/withstands';
import { combTemplate } from './comb';
import { spiralViews } from './drawing';
import { spiralFindings, spiralWords } from './findings';
import { spiralHydraulic } from './hydraulic';
import { layOut } from './layout';
import { spiralParameters, standardSpiral } from './parameters';
import { spiralParts, spiralPurchases } from './parts';
import { spiralPorts } from './ports';
import { fitHoseSalvage } from './salvage';
import { spiralSections } from './sections';
import { spiralSteps } from './steps';
import { spiralDescription } from './thermal';

/** Black hose wound flat: its own absorber, bare or under a cover. */
export const spiral = defineFamily({
  id: 'spiral',
  name: 'Spiral',
  subtitle: 'black hose wound flat',
  meaning: 'Black hose wound flat on slats: cheap, bare, and for warm months only.',
  standardLoop: 'summer',
  turns: false,
  words: spiralWords,
  schema: spiralParameters,
  standard: standardSpiral,
  argues: { plastic: 'hose, bare' },
  salvage: fitHoseSalvage,
  layOut,
  thermal: (layout, known) => coilModel(spiralDescription(layout, known)),
  list: (id, layout) => ({ parts: spiralParts(id, layout), purchases: spiralPurchases(id, layout) }),
  design: ({ id, path, at, parameters, layout, thermal, mass }) => {
    const { hose, side, slat, tray, glazing } = layout;
    return {
      areas: areasOf(thermal.description),
      outside: { length: side, width: side, depth: layout.depth },
      runs: { count: parameters.starts * parameters.rounds, words: 'windings' },
      ports: spiralPorts(id, layout),
      trials: [
        {
          id: 'bend',
          words:
            'bend a warm arm’s length of the hose round the hole in the middle as drawn and look for a flat place; only then wind',
        },
      ],
      drawings: spiralViews(id, layout),
      hydraulic: spiralHydraulic(layout),
      sections: () => spiralSections(layout, thermal),
      materials: [
        withstands('plate', { ...materials[hose.material], name: hose.name }, at('hose')),
        { ...serviceLimits.sensor, place: 'plate' },
        tray
          ? withstands('back', { ...materials[tray.back.material], name: tray.back.name }, at('back'))
          : withstands('back', { ...materials.softwood, name: slat.name }, at('slat')),
        ...coverWithstands(glazing, at('cover')),
      ],
      findings: spiralFindings(path, layout, stagnationTemperature(thermal, fullSunLevel)),
      underWind: (wind) => glazing.underWind(parameters.airGap, wind, { pane: at('cover') }),
      templates: () => [combTemplate(id, layout)],
      wettedMetal: 'none',
      ...(hose.material === 'polyethylene' ? {} : { neverDrunk: hose.name }),
      steps: () => spiralSteps(id, layout, mass),
    };
  },
});
