import { entry, materials, serviceLimits } from '../../catalogue';
import { storeModel } from '../../thermal';
import { defineFamily } from '../defineFamily';
import { type HeaterDocument, usualOrientation } from '../family';
import { litresOf } from '../kit/paint';
import { withstands } from '../kit/withstands';
import { batchBoxFindings, batchBoxWords } from './findings';
import { batchBoxHydraulic } from './hydraulic';
import { layOut } from './layout';
import { batchBoxParameters, standardBatchBox } from './parameters';
import { batchBoxParts, batchBoxPurchases, tankArea } from './parts';
import { detail, plan } from './plan';
import { batchBoxPorts } from './ports';
import { profile } from './profile';
import { fitBoxSalvage } from './salvage';
import { batchBoxSections } from './sections';
import { batchBoxSteps } from './steps';
import { batchBoxDescription } from './thermal';

/** Tanks behind glass in an insulated box: their own absorber and store. */
export const batchBox = defineFamily({
  id: 'batch-box',
  name: 'Batch box',
  subtitle: 'black tanks in a glazed box',
  meaning:
    'Black tanks in an insulated box behind glass: mains runs through them on its way to the heater that stands.',
  standardLoop: 'preheat',
  turns: false,
  notOn: () => 'its pane leans by itself, and the box stands level on its own skids',
  words: batchBoxWords,
  schema: batchBoxParameters,
  standard: standardBatchBox,
  fit: (panel, standing = usualOrientation) => fitTanks(panel, standing.tilt),
  argues: { 'behind glass': 'tanks in a box' },
  scrapOrNew: [
    {
      name: 'a box round old tanks',
      of: (panel) => ({ ...panel, parameters: { ...panel.parameters, tankKind: 'used' } }),
    },
    { name: 'round new ones', of: (panel) => ({ ...panel, parameters: { ...panel.parameters, tankKind: 'new' } }) },
  ],
  salvage: fitBoxSalvage,
  layOut: (parameters, standing) => layOut(parameters, standing.tilt),
  thermal: (layout, known) => storeModel(batchBoxDescription(layout, known)),
  list: (id, layout) => ({ parts: batchBoxParts(id, layout), purchases: batchBoxPurchases(id, layout) }),
  design: ({ id, path, at, parameters, layout, thermal, purchases, mass, standing, known }) => {
    const { glazing, depth, width, back, insulation, sheathing, stud } = layout;
    return {
      areas: {
        aperture: thermal.apertureArea,
        absorber: tankArea(layout),
        gross: (depth / layout.slope.cos) * width,
      },
      outside: { length: depth / layout.slope.cos, width, depth: back * layout.slope.cos },
      runs: { count: parameters.tanks, words: parameters.tanks === 1 ? 'tank' : 'tanks' },
      drawings: {
        plan: { name: 'Plan', words: 'square to the pane', draw: () => plan(id, layout) },
        section: {
          name: 'Profile',
          words: 'its side, cut open',
          draw: () => profile(id, layout),
          leads: true,
          side: true,
        },
        detail: { name: 'Full size', words: 'the pane on its ripped rail', draw: () => detail(id, layout) },
      },
      hydraulic: batchBoxHydraulic(layout),
      sections: () =>
        batchBoxSections(layout, thermal, {
          purchases,
          mass,
          again: (lidAngle) =>
            storeModel(batchBoxDescription(layOut({ ...parameters, lidAngle }, standing.tilt), known)),
        }),
      materials: [
        withstands('water', entry('coating', parameters.paint), at('paint')),
        { ...serviceLimits.sensor, place: 'water' },
        withstands('box', materials[insulation.material], at('insulation')),
        { ...serviceLimits.gasket, place: 'inner pane' },
        withstands('frame', { ...materials.softwood, name: stud.name }, at('stud')),
        withstands('frame', { ...materials[sheathing.material], name: sheathing.name }, at('sheathing')),
        withstands('inner pane', glazing, at('cover')),
      ],
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
      ports: batchBoxPorts(id, layout),
      trials: [
        {
          id: 'pane',
          words: 'lay the pane itself on two straight edges and measure it; only then cut the sides',
        },
      ],
      wettedMetal: 'steel',
      steps: () => batchBoxSteps(id, layout, mass, litresOf(purchases)),
    };
  },
});

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
