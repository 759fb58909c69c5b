import type { Finding, Words } from '../../care';
import { dirt, entry, materials, range, rimSpread, serviceLimits, sheetMass } from '../../catalogue';
import { glazingWords } from '../../glazings';
import { type CollectorDescription, fluidState, openArea, type Sunlit } from '../../heat';
import { sized, weighs } from '../../quantity';
import type { Part, Purchase } from '../../shop';
import { type Family, fieldsOf, type PanelDesign, type PanelDocument, problemsOf } from '../family';
import { areasOf, blackPaint, bought, massOf } from '../plate/design';
import { boltTemplate } from './boltTemplate';
import { latticeDrawing } from './drawing';
import { type LatticeLayout, layOut } from './layout';
import { latticeParameters, standardLattice } from './parameters';
import { latticeSteps } from './steps';

/** W/m²K. Outer surface of a sheltered back: EN ISO 6946. */
const sheltered = 15;
/** Long-wave emittance of zinc or aluminium that has stood outdoors: 0.2 to 0.3 in tables of D&B, rounded. */
const weatheredMetal = 0.25;

/** A wetted sheet is its own fin: everything it gathers meets water through its own thickness. */
function latticeHeat(layout: LatticeLayout, panel: PanelDocument): CollectorDescription {
  const { parameters, sheet, glazing, wetted, volume, gap } = layout;
  const { length, width, rim } = parameters;
  const paint = entry('coating', parameters.paint);
  const breadth = width - 2 * rim;
  const water = fluidState('water', 30);
  const wool = materials.mineralWool;
  const inside = { length: length - 2 * rim, width: breadth };
  const sunlit: Sunlit = {
    // The cover reaches to the edges; a bare lattice has no more than what is wetted.
    opening: glazing.cover ? { length, width } : inside,
    plate: inside,
    coverage: 1,
    depth: glazing.cover ? parameters.airGap : 0,
    bars: glazing.bars,
  };
  return {
    apertureArea: openArea(sunlit),
    absorberArea: wetted,
    sunlit,
    grossArea: length * width,
    covers: glazing.cover ? [{ ...glazing.cover, gap: parameters.airGap }] : [],
    dirt,
    absorptance: paint.absorptance,
    emittance: paint.emittance,
    plate: { width: breadth, steps: [], mount: 'in', whole: true },
    tube: {
      outerDiameter: breadth,
      // As wide as the sheet when it is unrolled: π times this is the breadth that the water wets.
      innerDiameter: breadth / Math.PI,
      length: length - 2 * rim,
      count: 1,
      path: 'parallel',
      across: false,
      wallConductance: materials[sheet.material].conductivity * sheet.thickness,
      slot: gap,
    },
    bond: range(1e4, 1e5, 1e6, 'textbook', 'log-normal'),
    bondHomeMade: range(1e4, 1e5, 1e6, 'textbook', 'log-normal'),
    back:
      parameters.backing === 'foam'
        ? { layers: [{ name: wool.name, thickness: 0.03, conductivity: wool.conductivity }], outside: sheltered }
        : { layers: [], outside: sheltered },
    ...(parameters.backing === 'bare' ? { bareBack: weatheredMetal } : {}),
    backFactor: parameters.backing === 'foam' ? range(1, 1.2, 1.5, 'judgement') : range(0.8, 1, 1.25, 'judgement'),
    rim: {
      area: 2 * (length + width) * (parameters.airGap + 0.01),
      layers: [{ name: 'lath', thickness: 0.02, conductivity: materials.softwood.conductivity }],
      inside: 8,
      outside: sheltered,
    },
    rimFactor: rimSpread,
    capacity: {
      dry: 2 * sheetMass(sheet, length * width) * materials[sheet.material].heatCapacity + 0.3 * glazing.heatCapacity,
      water: volume * water.density * water.heatCapacity,
      box: parameters.backing === 'foam' ? 0.25 * 0.03 * wool.density * wool.heatCapacity * wetted : 0,
    },
    known: panel.known,
  };
}

function latticeParts(prefix: string, layout: LatticeLayout): { parts: Part[]; purchases: Purchase[] } {
  const { parameters, sheet, bolts, rimBolts, glazing, wetted } = layout;
  const { length, width, rim } = parameters;
  const count = bolts.length + rimBolts.length;
  const piece = (id: string, name: string, operations: string[]): Part => ({
    id: `${prefix}/${id}`,
    name,
    item: sheet.id,
    kind: 'sheet',
    width: length,
    height: width,
    turn: true,
    count: 1,
    operations,
    mass: sheetMass(sheet, length * width),
  });
  const drill = `drill ${count} holes of ${sized(parameters.bolt, true)} through both sheets at once`;
  const perimeter = 2 * (length + width - 2 * rim);
  return {
    parts: [
      piece('front', 'Front sheet', [drill, 'deburr both faces', 'degrease, prime, paint black']),
      piece('back', 'Back sheet', [drill, `${parameters.ports} port holes in the corners`, 'deburr both faces']),
    ],
    purchases: [
      bought(prefix, {
        id: 'bolt',
        name: 'Stainless bolts with nuts',
        quantity: count,
        unit: 'each',
        priceKey: 'lattice-bolt',
        rule: `${bolts.length} in the grid, ${rimBolts.length} along the edge`,
        mass: 0.006 * count,
      }),
      bought(prefix, {
        id: 'washers',
        name: 'Washers, steel and rubber',
        quantity: 4 * count,
        unit: 'each',
        priceKey: 'washer',
        rule: 'one of each under head and nut',
        mass: 0.002 * 4 * count,
      }),
      bought(prefix, {
        id: 'gasket-strip',
        name: 'EPDM strip between the sheets',
        quantity: perimeter,
        unit: 'm',
        priceKey: 'gasket',
        rule: 'once round, corners in one piece',
        mass: 0.05 * perimeter,
      }),
      bought(prefix, {
        id: 'rim',
        name: 'Flat bar along the edge',
        quantity: 2 * perimeter,
        unit: 'm',
        priceKey: 'rim-bar',
        rule: 'front and back, once round',
        mass: 2 * perimeter * rim * 0.005 * 2700,
      }),
      bought(prefix, {
        id: 'ports',
        name: 'Bulkhead fittings',
        quantity: parameters.ports,
        unit: 'each',
        priceKey: 'bulkhead',
        rule: 'one a way in or out',
        mass: 0.12 * parameters.ports,
      }),
      ...(parameters.backing === 'foam'
        ? [
            bought(prefix, {
              id: 'backing',
              name: '30 mm mineral wool behind it',
              quantity: wetted,
              unit: 'm²',
              priceKey: 'wool-30',
              rule: 'all of the back',
              mass: 1.8 * wetted,
            }),
          ]
        : []),
      ...glazing.purchases(prefix),
      blackPaint(prefix, wetted),
    ],
  };
}

function latticeFindings(path: string, layout: LatticeLayout): Finding[] {
  const { parameters, mostHead, atFoot, held, bolts, glazing } = layout;
  const at = (name: string) => `${path}.parameters.${name}`;
  const found: Finding[] = [];
  if (parameters.head > mostHead)
    found.push({
      code: 'head-too-high',
      severity: 'clash',
      path: at('head'),
      values: { head: parameters.head, most: mostHead, stress: atFoot.stress, pull: atFoot.pull, bow: atFoot.bow },
      at: bolts[0] ?? { x: 0, y: 0 },
      fix: Math.max(0.1, Math.floor(mostHead * 20) / 20),
    });
  if (held.pitch < parameters.washer + 0.004)
    found.push({
      code: 'washers-meet',
      severity: 'clash',
      path: at('boltPitch'),
      values: { pitch: held.pitch, washer: parameters.washer },
      fix: Math.ceil((parameters.washer + 0.006) * 1000) / 1000,
    });
  if (glazing.cover && atFoot.bow + 0.005 > parameters.airGap)
    found.push({
      code: 'bow-meets-cover',
      severity: 'clash',
      path: at('airGap'),
      values: { bow: atFoot.bow, gap: parameters.airGap },
      fix: Math.ceil((atFoot.bow + 0.008) * 1000) / 1000,
    });
  found.push({ code: 'lattice-vacuum', severity: 'note', path: at('ports'), values: { head: parameters.head } });
  return found;
}

const latticeWords: Record<string, Words> = {
  ...glazingWords,
  'head-too-high': (values, say) => ({
    headline: 'more head than the bolts hold',
    detail: `Water ${say.length(values.number('head'))} over the foot pulls each bolt with ${say.quantity('mass', weighs(values.number('pull')), 1)}, bows each sheet ${say.quantity('length', values.number('bow'), 1)} and strains it with ${say.quantity('stress', values.number('stress'), 0)}; it bears ${say.length(values.number('most'))} for years.`,
    remedy:
      'Set the bolts closer, take thicker sheet or wider washers, or hang the barrel lower. A metre of water is nearly a tonne on every square metre.',
  }),
  'washers-meet': (values, say) => ({
    headline: 'washers meet',
    detail: `Washers of ${say.length(values.number('washer'))} on a grid of ${say.length(values.number('pitch'))} leave the water no way.`,
    remedy: 'Set the bolts wider or take smaller washers.',
  }),
  'bow-meets-cover': (values, say) => ({
    headline: 'the bow meets the cover',
    detail: `The front bows ${say.length(values.number('bow'))}; the cover is ${say.length(values.number('gap'))} off.`,
    remedy: 'Raise the cover, or set the bolts closer.',
  }),
  'lattice-vacuum': () => ({
    headline: 'let air in before it drains',
    detail: 'Water that runs out of a closed lattice sucks its sheets flat, and the barrel’s weight is on the way in.',
    remedy: 'Put an air cock at the top, and open it before the drain.',
  }),
};

/** Two thin sheets bolted face to face, water between them. */
export const lattice: Family = {
  id: 'lattice',
  name: 'Lattice',
  meaning: 'Two thin metal sheets bolted face to face on a grid, water between them, for a low raised barrel.',
  words: latticeWords,
  standard: (habit) => ({ family: 'lattice', parameters: standardLattice(habit), count: 1, turned: false }),
  problems: (panel) => problemsOf(latticeParameters, ['parameters'], panel.parameters),
  fields: (panel) => fieldsOf(latticeParameters, 'parameters', panel.parameters),
  open: (panel, path): PanelDesign => {
    const layout = layOut(latticeParameters.parse(panel.parameters));
    const { parameters, sheet, glazing, bolts, rimBolts } = layout;
    const heat = latticeHeat(layout, panel);
    const { parts, purchases } = latticeParts(panel.id, layout);
    const paint = entry('coating', parameters.paint);
    const at = (field: string) => `${path}.parameters.${field}`;
    const metal = materials[sheet.material];
    return {
      areas: areasOf(heat),
      outside: { length: parameters.length, width: parameters.width, depth: 0.04 + layout.coverHeight },
      runs: { count: bolts.length + rimBolts.length, words: 'bolts' },
      templates: () => [boltTemplate(panel.id, layout)],
      trials: [],
      drawing: (view) => latticeDrawing(view, panel.id, layout),
      plate: { thickness: sheet.thickness, density: metal.density },
      parts,
      purchases,
      heat,
      water: {
        kind: 'slot',
        length: parameters.length,
        breadth: parameters.width - 2 * parameters.rim,
        gap: layout.gap,
        volume: layout.volume,
        weakPoint: 'bolted sheets',
      },
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
      drains: { empties: true, how: 'through its lowest port with an air cock open at the top' },
      steps: () => latticeSteps(panel.id, layout, massOf(parts, purchases)),
      dryMass: massOf(parts, purchases),
    };
  },
};
