import { materials, serviceLimits } from '../../catalogue';
import { coilModel, stagnationTemperature } from '../../thermal';
import { type Family, fieldsOf, type HeaterDesign, problemsOf } from '../family';
import { areasOf, massOf } from '../kit/totals';
import { combTemplate } from './comb';
import { spiralViews } from './drawing';
import { spiralFindings, spiralWords } from './findings';
import { spiralHydraulic } from './hydraulic';
import { layOut, type SpiralLayout } from './layout';
import { spiralParameters, standardSpiral } from './parameters';
import { spiralParts, spiralPurchases } from './parts';
import { spiralPorts } from './ports';
import { fitHoseSalvage } from './salvage';
import { spiralSections } from './sections';
import { fullSun } from './standing';
import { spiralSteps } from './steps';
import { spiralDescription } from './thermal';

/** What stands the heat in a spiral, and where. */
function spiralMaterials(
  { hose, slat, tray, glazing }: SpiralLayout,
  at: (field: string) => string,
): HeaterDesign['materials'] {
  return [
    { name: hose.name, place: 'plate', limit: materials[hose.material].serviceLimit, path: at('hose') },
    { ...serviceLimits.sensor, place: 'plate' },
    {
      name: tray ? tray.back.name : slat.name,
      place: 'back',
      limit: tray ? materials[tray.back.material].serviceLimit : materials.softwood.serviceLimit,
      path: at(tray ? 'back' : 'slat'),
    },
    ...(glazing.cover
      ? [{ name: glazing.name, place: 'inner pane', limit: glazing.serviceLimit, path: at('cover') }]
      : []),
  ];
}

/** Black hose wound flat: its own absorber, bare or under a cover. */
export const spiral: Family = {
  id: 'spiral',
  name: 'Spiral',
  meaning: 'Black hose wound flat on slats: cheap, bare, and for warm months only.',
  standardLoop: 'summer',
  turns: false,
  words: spiralWords,
  standard: (habit) => ({ family: 'spiral', parameters: standardSpiral(habit), count: 1, turned: false }),
  argues: { plastic: 'hose, bare' },
  salvage: (panel, things) => fitHoseSalvage(spiral)(panel, things),
  problems: (panel) => problemsOf(spiralParameters, ['parameters'], panel.parameters),
  fields: (panel) => fieldsOf(spiralParameters, 'parameters', panel.parameters),
  open: (panel, path): HeaterDesign => {
    const layout = layOut(spiralParameters.parse(panel.parameters));
    const thermal = coilModel(spiralDescription(layout, panel.known));
    const parts = spiralParts(panel.id, layout);
    const purchases = spiralPurchases(panel.id, layout);
    const mass = massOf(parts, purchases);
    const at = (field: string) => `${path}.parameters.${field}`;
    const { parameters, hose, side, glazing } = layout;
    return {
      areas: areasOf(thermal.description),
      outside: { length: side, width: side, depth: layout.depth },
      runs: { count: parameters.starts * parameters.rounds, words: 'windings' },
      ports: spiralPorts(panel.id, layout),
      trials: [
        {
          id: 'bend',
          words:
            'bend a warm arm’s length of the hose round the hole in the middle as drawn and look for a flat place; only then wind',
        },
      ],
      drawings: spiralViews(panel.id, layout),
      parts,
      purchases,
      thermal,
      hydraulic: spiralHydraulic(layout),
      sections: () => spiralSections(layout, thermal),
      materials: spiralMaterials(layout, at),
      growth: [],
      findings: spiralFindings(path, layout, stagnationTemperature(thermal, fullSun)),
      underWind: (wind) => glazing.underWind(parameters.airGap, wind, { pane: at('cover') }),
      templates: () => [combTemplate(panel.id, layout)],
      wettedMetal: 'none',
      ...(hose.material === 'polyethylene' ? {} : { neverDrunk: hose.name }),
      steps: () => spiralSteps(panel.id, layout, mass),
      dryMass: mass,
    };
  },
};
