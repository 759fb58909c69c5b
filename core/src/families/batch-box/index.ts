import { entry, materials, serviceLimits } from '../../catalogue';
import { storeModel } from '../../thermal';
import { type Family, fieldsOf, type HeaterDesign, type HeaterDocument, problemsOf, usualOrientation } from '../family';
import { litresOf } from '../kit/paint';
import { massOf } from '../kit/totals';
import { batchBoxFindings, batchBoxWords } from './findings';
import { batchBoxHydraulic } from './hydraulic';
import { type BatchBoxLayout, layOut } from './layout';
import { batchBoxParameters, standardBatchBox } from './parameters';
import { batchBoxParts, batchBoxPurchases, tankArea } from './parts';
import { detail, plan } from './plan';
import { batchBoxPorts } from './ports';
import { profile } from './profile';
import { fitBoxSalvage } from './salvage';
import { batchBoxSections } from './sections';
import { batchBoxSteps } from './steps';
import { batchBoxDescription } from './thermal';

/** What stands the heat in a box, and where. */
function boxMaterials(
  { parameters, insulation, sheathing, stud, glazing }: BatchBoxLayout,
  at: (field: string) => string,
): HeaterDesign['materials'] {
  const paint = entry('coating', parameters.paint);
  return [
    { name: paint.name, place: 'water', limit: paint.serviceLimit, path: at('paint') },
    { ...serviceLimits.sensor, place: 'water' },
    {
      name: materials[insulation.material].name,
      place: 'box',
      limit: materials[insulation.material].serviceLimit,
      path: at('insulation'),
    },
    { ...serviceLimits.gasket, place: 'inner pane' },
    { name: stud.name, place: 'frame', limit: materials.softwood.serviceLimit, path: at('stud') },
    {
      name: sheathing.name,
      place: 'frame',
      limit: materials[sheathing.material].serviceLimit,
      path: at('sheathing'),
    },
    { name: glazing.name, place: 'inner pane', limit: glazing.serviceLimit, path: at('cover') },
  ];
}

/** Tanks behind glass in an insulated box: their own absorber and store. */
export const batchBox: Family = {
  id: 'batch-box',
  name: 'Batch box',
  meaning:
    'Black tanks in an insulated box behind glass: mains runs through them on its way to the heater that stands.',
  standardLoop: 'preheat',
  turns: false,
  notOn: () => 'its pane leans by itself, and the box stands level on its own skids',
  words: batchBoxWords,
  standard: (habit) => ({ family: 'batch-box', parameters: standardBatchBox(habit), count: 1, turned: false }),
  problems: (panel) => problemsOf(batchBoxParameters, ['parameters'], panel.parameters),
  fields: (panel) => fieldsOf(batchBoxParameters, 'parameters', panel.parameters),
  fit: (panel, standing = usualOrientation) => fitTanks(panel, standing.tilt),
  argues: { 'behind glass': 'tanks in a box' },
  scrapOrNew: [
    {
      name: 'a box round old tanks',
      of: (panel) => ({ ...panel, parameters: { ...panel.parameters, tankKind: 'used' } }),
    },
    { name: 'round new ones', of: (panel) => ({ ...panel, parameters: { ...panel.parameters, tankKind: 'new' } }) },
  ],
  salvage: (panel, things, standing) => fitBoxSalvage(batchBox)(panel, things, standing),
  open: (panel, path, standing = usualOrientation): HeaterDesign => {
    const parameters = batchBoxParameters.parse(panel.parameters);
    const layout = layOut(parameters, standing.tilt);
    const thermal = storeModel(batchBoxDescription(layout, panel.known));
    const parts = batchBoxParts(panel.id, layout);
    const purchases = batchBoxPurchases(panel.id, layout);
    const mass = massOf(parts, purchases);
    const at = (field: string) => `${path}.parameters.${field}`;
    const { glazing, depth, width, back } = layout;
    return {
      areas: {
        aperture: thermal.apertureArea,
        absorber: tankArea(layout),
        gross: (depth / layout.slope.cos) * width,
      },
      outside: { length: depth / layout.slope.cos, width, depth: back * layout.slope.cos },
      runs: { count: parameters.tanks, words: parameters.tanks === 1 ? 'tank' : 'tanks' },
      drawings: {
        plan: { name: 'Plan', words: 'square to the pane', draw: () => plan(panel.id, layout) },
        section: {
          name: 'Profile',
          words: 'its side, cut open',
          draw: () => profile(panel.id, layout),
          leads: true,
          side: true,
        },
        detail: { name: 'Full size', words: 'the pane on its ripped rail', draw: () => detail(panel.id, layout) },
      },
      parts,
      purchases,
      thermal,
      hydraulic: batchBoxHydraulic(layout),
      sections: () =>
        batchBoxSections(layout, thermal, {
          purchases,
          mass,
          again: (lidAngle) =>
            storeModel(batchBoxDescription(layOut({ ...parameters, lidAngle }, standing.tilt), panel.known)),
        }),
      materials: boxMaterials(layout, at),
      growth: [
        {
          name: glazing.name,
          place: 'inner pane',
          length: Math.max(glazing.pane.length, glazing.pane.width),
          expansion: glazing.expansion,
          room: 2 * glazing.clearance,
          path: at('cover'),
          perSide: false,
        },
      ],
      findings: batchBoxFindings(path, layout, standing.path),
      underWind: (wind) => glazing.underWind(parameters.airGap, wind, { pane: at('cover') }),
      ports: batchBoxPorts(panel.id, layout),
      trials: [
        {
          id: 'pane',
          words: 'lay the pane itself on two straight edges and measure it; only then cut the sides',
        },
      ],
      wettedMetal: 'steel',
      steps: () => batchBoxSteps(panel.id, layout, mass, litresOf(purchases)),
      dryMass: mass,
    };
  },
};

/** The pane is given: as many tanks as go under it, as long as it lets them be. */
function fitTanks(panel: HeaterDocument, tilt: number): HeaterDocument {
  const parsed = batchBoxParameters.safeParse(panel.parameters);
  if (!parsed.success) return panel;
  for (let tanks = 4; tanks >= 1; tanks -= 1) {
    const parameters = { ...parsed.data, tanks };
    const { opening, taken } = layOut(parameters, tilt);
    const spare = parameters.stand === 'lying' ? opening.width - taken.width : opening.length - taken.length;
    const tankLength = Math.floor((parameters.tankLength + spare) * 1000) / 1000;
    const fitted = { ...parameters, tankLength };
    if (!batchBoxParameters.safeParse(fitted).success) continue;
    const again = layOut(fitted, tilt);
    if (again.taken.length <= again.opening.length + 1e-9 && again.taken.width <= again.opening.width + 1e-9)
      return { ...panel, parameters: fitted };
  }
  return panel;
}
