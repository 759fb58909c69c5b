import { entry, materials, serviceLimits } from '../../catalogue';
import { sheetModel } from '../../thermal';
import { defineFamily } from '../defineFamily';
import { flatSections } from '../kit/flatSections';
import { litresOf } from '../kit/paint';
import { areasOf } from '../kit/totals';
import { coverWithstands, withstands } from '../kit/withstands';
import { boltTemplate } from './boltTemplate';
import { latticeViews } from './drawing';
import { latticeFindings, latticeWords } from './findings';
import { latticeHydraulic } from './hydraulic';
import { layOut } from './layout';
import { latticeParameters, standardLattice } from './parameters';
import { latticePieces } from './pieces';
import { latticePorts } from './ports';
import { latticePurchases } from './purchases';
import { latticeSteps } from './steps';
import { latticeDescription } from './thermal';

/** Two thin sheets bolted face to face, water between them. */
export const lattice = defineFamily({
  id: 'lattice',
  name: 'Lattice',
  subtitle: 'two metal sheets, water between',
  meaning: 'Two thin metal sheets bolted face to face on a grid, water between them, for a low raised barrel.',
  words: latticeWords,
  schema: latticeParameters,
  standard: standardLattice,
  layOut,
  thermal: (layout, known) => sheetModel(latticeDescription(layout, known)),
  list: (id, layout) => ({ parts: latticePieces(id, layout), purchases: latticePurchases(id, layout) }),
  design: ({ id, path, at, parameters, layout, thermal, purchases, mass }) => {
    const { sheet, glazing, bolts, rimBolts } = layout;
    const metal = materials[sheet.material];
    return {
      areas: areasOf(thermal.description),
      outside: { length: parameters.length, width: parameters.width, depth: 0.04 + layout.coverHeight },
      runs: { count: bolts.length + rimBolts.length, words: 'bolts' },
      templates: () => [boltTemplate(id, layout)],
      ports: latticePorts(id, layout),
      drawings: latticeViews(id, layout),
      sections: (work) => flatSections(thermal, work, 1),
      hydraulic: latticeHydraulic(layout),
      materials: [
        withstands('plate', metal, at('sheet')),
        withstands('plate', entry('coating', parameters.paint), at('paint')),
        { ...serviceLimits.gasket, place: 'plate' },
        { ...serviceLimits.sensor, place: 'plate' },
        ...(parameters.backing === 'foam' ? [withstands('insulation', materials.mineralWool, at('backing'))] : []),
        ...coverWithstands(glazing, at('cover')),
      ],
      findings: latticeFindings(path, layout),
      underWind: (wind) => glazing.underWind(parameters.airGap, wind, { pane: at('cover') }),
      // Galvanised sheet and its gaskets are in the water, and so is whatever seals the rim.
      wettedMetal: sheet.material === 'steel' ? 'zinc' : sheet.material === 'aluminium' ? 'aluminium' : 'copper',
      neverDrunk: sheet.material === 'copper' ? 'gaskets and bolts' : `${metal.name} and gaskets`,
      steps: () => latticeSteps(id, layout, mass, litresOf(purchases)),
    };
  },
});
