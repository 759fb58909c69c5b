import type { Finding, Words } from '../../care';
import { dirt, entry, materials, range, rimSpread, screwUpTo, serviceLimits, sheetMass } from '../../catalogue';
import { glazingWords } from '../../glazings';
import { type CollectorDescription, fluidState, openArea, type Sunlit } from '../../heat';
import { sized, weighs } from '../../quantity';
import { bought, type Purchase, screws } from '../../shop';
import { type Family, fieldsOf, type PanelDesign, type PanelDocument, problemsOf } from '../family';
import { blackPaint, primer } from '../kit/paint';
import { areasOf, massOf } from '../kit/totals';
import { boltTemplate } from './boltTemplate';
import { latticeDrawing } from './drawing';
import { type LatticeLayout, layOut } from './layout';
import { latticeParameters, standardLattice } from './parameters';
import { lathBolts, latticePieces, portHole } from './pieces';
import { latticeSteps } from './steps';

/** W/m²K. Outer surface of a sheltered back: EN ISO 6946. */
const sheltered = 15;
/** Long-wave emittance of zinc or aluminium that has stood outdoors: 0.2 to 0.3 in tables of D&B, rounded. */
const weatheredMetal = 0.25;

/** A wetted sheet is its own fin: everything it gathers meets water through its own thickness. */
function latticeHeat(layout: LatticeLayout, panel: PanelDocument): CollectorDescription {
  const { parameters, sheet, glazing, wetted, volume, gap } = layout;
  const behind = layout.wool?.thickness ?? 0;
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
        ? { layers: [{ name: wool.name, thickness: behind, conductivity: wool.conductivity }], outside: sheltered }
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
      box: parameters.backing === 'foam' ? 0.25 * behind * wool.density * wool.heatCapacity * wetted : 0,
    },
    known: panel.known,
  };
}

/** m of wire for each metre of width that crosses the wool, and between two crossings. */
const wireSpacing = 0.3;
/** m between the screws of a cover. */
const coverSpacing = 0.15;

function latticePurchases(prefix: string, layout: LatticeLayout): Purchase[] {
  const { parameters, bolts, rimBolts, glazing, wetted, lines, boltLengths, wool } = layout;
  const { length, width, rim } = parameters;
  const perimeter = 2 * (length + width - 2 * rim);
  const laths = glazing.cover ? 2 * (lathBolts(lines.along).long.length + lathBolts(lines.across).long.length) : 0;
  const bolt = (id: string, quantity: number, long: number, rule: string): Purchase[] =>
    quantity > 0
      ? [
          bought(prefix, {
            id,
            name: `Stainless bolts with nuts, ${sized(parameters.bolt)} × ${sized(long)}`,
            quantity,
            unit: 'each',
            priceKey: 'lattice-bolt',
            rule,
            mass: 0.006 * quantity,
          }),
        ]
      : [];
  const wire = wool ? (Math.ceil(length / wireSpacing) + 1) * width * 1.2 : 0;
  return [
    ...bolt('bolt', bolts.length, boltLengths.grid, 'in the grid'),
    ...bolt('bolt-rim', rimBolts.length - laths, boltLengths.rim, 'along the edge, through both rim bars'),
    ...bolt('bolt-lath', laths, boltLengths.lath, 'along the edge, on through the laths'),
    bought(prefix, {
      id: 'washers',
      name: 'Washers, steel and rubber',
      quantity: 4 * bolts.length,
      unit: 'each',
      priceKey: 'washer',
      rule: 'one of each under head and nut of the grid; the rim bars spread the rest',
      mass: 0.002 * 4 * bolts.length,
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
      id: 'ports',
      name: 'Bulkhead fittings',
      quantity: parameters.ports,
      unit: 'each',
      priceKey: 'bulkhead',
      rule: 'one a way in or out',
      mass: 0.12 * parameters.ports,
    }),
    ...(wool
      ? [
          bought(prefix, {
            id: 'wool-wire',
            name: 'Binding wire, to hold the wool',
            quantity: wire,
            unit: 'm',
            priceKey: 'wire',
            rule: `to and fro over the back between the rim bolts, every ${sized(wireSpacing)}`,
            mass: 0.01 * wire,
          }),
        ]
      : []),
    bought(prefix, {
      id: 'air-cock',
      name: 'Air cock for the upper port',
      quantity: 1,
      unit: 'each',
      priceKey: 'air-cock',
      rule: 'one, at the top',
      mass: 0.1,
    }),
    ...(glazing.cover
      ? screws(prefix, {
          id: 'cover-screws',
          quantity: Math.ceil((2 * (length + width)) / coverSpacing),
          length: screwUpTo(Math.max(0.016, layout.lathHeight + glazing.pane.thickness - 0.002), layout.sheet.tape),
          tape: layout.sheet.tape,
          rule: `round the cover into the laths, every ${sized(coverSpacing)}, a rubber washer under each`,
        })
      : []),
    ...(glazing.cover
      ? [
          bought(prefix, {
            id: 'cover-washers',
            name: 'Rubber washers for the cover',
            quantity: Math.ceil((2 * (length + width)) / coverSpacing),
            unit: 'each',
            priceKey: 'washer',
            rule: 'one a screw',
            mass: 0.01,
          }),
        ]
      : []),
    ...glazing.purchases(prefix),
    blackPaint(prefix, wetted),
    primer(prefix, 2 * wetted),
  ];
}

/** m. Least height of a lath that holds a screw, and the flange of a bulkhead fitting of half an inch. Trade. */
const leastLath = 0.008;
const portFlange = 0.034;

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
  found.push(...glazing.findings(path, parameters.airGap));
  const { rimBar, lathHeight, grid, ports } = layout;
  if (rimBar.width < parameters.rim - 1e-9)
    found.push({
      code: 'rim-bar-not-sold',
      severity: 'clash',
      path: at('rim'),
      values: { rim: parameters.rim, most: rimBar.width },
      at: { x: parameters.length / 2, y: parameters.rim / 2 },
      fix: rimBar.width,
    });
  if (glazing.cover && lathHeight < leastLath - 1e-9)
    found.push({
      code: 'lath-too-thin',
      severity: 'clash',
      path: at('airGap'),
      values: { gap: parameters.airGap, bar: rimBar.thickness, least: leastLath },
      at: { x: parameters.length / 2, y: parameters.rim / 2 },
      fix: Math.ceil((rimBar.thickness + leastLath) * 1000 - 1e-6) / 1000,
    });
  // Nut and flange of a fitting lie inside its field, clear of the washers at its corners.
  const diagonal = Math.hypot(grid.along, grid.across) / 2;
  const [port] = ports;
  const toBolts = diagonal - parameters.washer / 2 - portFlange / 2;
  if (port && (toBolts < -1e-9 || Math.min(grid.along, grid.across) < portHole + 0.004))
    found.push({
      code: 'port-meets-bolts',
      severity: 'clash',
      path: at('boltPitch'),
      values: { grid: Math.min(grid.along, grid.across), flange: portFlange, washer: parameters.washer },
      at: port,
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
  'rim-bar-not-sold': (values, say) => ({
    headline: 'no rim bar is so wide',
    detail: `The rim is ${say.length(values.number('rim'))}; flat bar goes to ${say.length(values.number('most'))}.`,
    remedy: 'Take a narrower rim.',
  }),
  'lath-too-thin': (values, say) => ({
    headline: 'no room for laths',
    detail: `Under a gap of ${say.length(values.number('gap'))} the rim bar of ${say.length(values.number('bar'))} leaves a lath less than ${say.length(values.number('least'))}.`,
    remedy: 'Raise the cover.',
  }),
  'port-meets-bolts': (values, say) => ({
    headline: 'ports meet bolts',
    detail: `A fitting is ${say.length(values.number('flange'))} across; between washers of ${say.length(values.number('washer'))} on a grid of ${say.length(values.number('grid'))} there is no room for one.`,
    remedy: 'Set the bolts wider or take smaller washers.',
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
    const parts = latticePieces(panel.id, layout);
    const purchases = latticePurchases(panel.id, layout);
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
