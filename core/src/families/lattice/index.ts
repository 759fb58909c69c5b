import { entry, materials, serviceLimits } from '../../catalogue';
import { sheetModel } from '../../thermal';
import { type Family, fieldsOf, type HeaterDesign, problemsOf } from '../family';
import { flatSections } from '../kit/flatSections';
import { litresOf } from '../kit/paint';
import { areasOf, massOf } from '../kit/totals';
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
export const lattice: Family = {
  id: 'lattice',
  name: 'Lattice',
  meaning: 'Two thin metal sheets bolted face to face on a grid, water between them, for a low raised barrel.',
  words: latticeWords,
  standard: (habit) => ({ family: 'lattice', parameters: standardLattice(habit), count: 1, turned: false }),
  problems: (panel) => problemsOf(latticeParameters, ['parameters'], panel.parameters),
  fields: (panel) => fieldsOf(latticeParameters, 'parameters', panel.parameters),
  open: (panel, path): HeaterDesign => {
    const layout = layOut(latticeParameters.parse(panel.parameters));
    const { parameters, sheet, glazing, bolts, rimBolts } = layout;
    const thermal = sheetModel(latticeDescription(layout, panel.known));
    const parts = latticePieces(panel.id, layout);
    const purchases = latticePurchases(panel.id, layout);
    const paint = entry('coating', parameters.paint);
    const at = (field: string) => `${path}.parameters.${field}`;
    const metal = materials[sheet.material];
    return {
      areas: areasOf(thermal.description),
      outside: { length: parameters.length, width: parameters.width, depth: 0.04 + layout.coverHeight },
      runs: { count: bolts.length + rimBolts.length, words: 'bolts' },
      templates: () => [boltTemplate(panel.id, layout)],
      ports: latticePorts(panel.id, layout),
      trials: [],
      drawings: latticeViews(panel.id, layout),
      parts,
      purchases,
      thermal,
      sections: (work) => flatSections(thermal, work, 1),
      hydraulic: latticeHydraulic(layout),
      materials: [
        { name: metal.name, place: 'plate', limit: metal.serviceLimit, path: at('sheet') },
        { name: paint.name, place: 'plate', limit: paint.serviceLimit, path: at('paint') },
        { ...serviceLimits.gasket, place: 'plate' },
        { ...serviceLimits.sensor, place: 'plate' },
        ...(parameters.backing === 'foam'
          ? [
              {
                name: materials.mineralWool.name,
                place: 'insulation' as const,
                limit: materials.mineralWool.serviceLimit,
                path: at('backing'),
              },
            ]
          : []),
        ...(glazing.cover
          ? [{ name: glazing.name, place: 'inner pane' as const, limit: glazing.serviceLimit, path: at('cover') }]
          : []),
      ],
      growth: [],
      findings: latticeFindings(path, layout),
      underWind: (wind) => glazing.underWind(parameters.airGap, wind, { pane: at('cover') }),
      // Galvanised sheet and its gaskets are in the water, and so is whatever seals the rim.
      wettedMetal: sheet.material === 'steel' ? 'zinc' : sheet.material === 'aluminium' ? 'aluminium' : 'copper',
      neverDrunk: sheet.material === 'copper' ? 'gaskets and bolts' : `${metal.name} and gaskets`,
      steps: () => latticeSteps(panel.id, layout, massOf(parts, purchases), litresOf(purchases)),
      dryMass: massOf(parts, purchases),
    };
  },
};
