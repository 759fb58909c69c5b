import type { Finding, Words } from '../../care';
import { dirt, entries, entry, materials, range, rimSpread, serviceLimits } from '../../catalogue';
import { glazingWords } from '../../glazings';
import { type CollectorDescription, fluidState, openArea, type Sunlit } from '../../heat';
import { type Family, fieldsOf, type PanelDesign, type PanelDocument, problemsOf } from '../family';
import { areasOf, massOf } from '../kit/totals';
import { trickleDrawing } from './drawing';
import { layOut, longestPane, shortestPane, type TrickleLayout, wetted } from './layout';
import { standardTrickle, trickleParameters, withSideBoard } from './parameters';
import { cansMass, trickleParts } from './parts';
import { trickleSteps } from './steps';

/** m. Water that runs down a wetted face, thick: Nusselt's film at a few grams a second and metre, 0.2 to 0.4 mm. */
const filmThickness = 0.0003;
/** W/m²K through such a film: conductivity over its thickness, less for its waves. Nusselt (1916). */
const filmCoefficient = 1500;
/** Can strips between metal edges carry no pressure at all. */
const weakPoint = 'open strips';

/** Streaks of water on thin metal: the dry metal between them is a fin of a tenth of a millimetre. */
function trickleHeat(layout: TrickleLayout, panel: PanelDocument): CollectorDescription {
  const { parameters, outside, stripLength, stripWidth, glazing, share, back } = layout;
  const { strips } = parameters;
  const paint = entry('coating', parameters.paint);
  const area = stripLength * stripWidth * strips;
  const streak = share * stripWidth;
  const skins = parameters.film === 'sealed' ? 2 : 1;
  const wool = materials.mineralWool;
  const backing = { name: back.name, thickness: back.thickness, conductivity: materials[back.material].conductivity };
  const water = fluidState('water', 30);
  const rows = { length: stripLength, width: strips * stripWidth + (strips - 1) * parameters.gapBetween };
  const sunlit: Sunlit = {
    opening: glazing.cover
      ? { length: outside.length - 2 * layout.wall, width: outside.width - 2 * layout.wall }
      : rows,
    plate: rows,
    coverage: area / (rows.length * rows.width),
    depth: glazing.cover ? parameters.airGap : 0,
    bars: glazing.bars,
  };
  return {
    apertureArea: glazing.cover ? openArea(sunlit) : area,
    absorberArea: area,
    sunlit,
    grossArea: outside.length * outside.width,
    covers: glazing.cover ? [{ ...glazing.cover, gap: parameters.airGap }] : [],
    dirt,
    absorptance: paint.absorptance,
    emittance: paint.emittance,
    plate: {
      width: stripWidth,
      steps: [{ width: (stripWidth - streak) / 2, conductance: materials.aluminium.conductivity * 0.0001 * skins }],
      mount: 'in',
      whole: false,
    },
    tube: {
      outerDiameter: streak,
      // Unrolled: π times this is the breadth that the water wets.
      innerDiameter: streak / Math.PI,
      length: stripLength,
      count: strips,
      path: 'parallel',
      across: false,
      wallConductance: materials.aluminium.conductivity * 0.0001,
      film: filmCoefficient,
    },
    bond: range(1e4, 1e5, 1e6, 'textbook', 'log-normal'),
    bondHomeMade: range(1e4, 1e5, 1e6, 'textbook', 'log-normal'),
    ...(parameters.film === 'open' && glazing.cover ? { wet: share } : {}),
    back: {
      layers: [
        ...(parameters.insulation === 'wool'
          ? [{ name: wool.name, thickness: layout.under, conductivity: wool.conductivity }]
          : []),
        backing,
      ],
      ...(parameters.insulation === 'wool' ? {} : { inside: 6 }),
      outside: 15,
    },
    backFactor: range(1.1, 1.3, 1.6, 'judgement'),
    rim: {
      area: 2 * (outside.length + outside.width) * (parameters.airGap + 0.01),
      layers: [{ name: layout.batten.name, thickness: layout.wall, conductivity: materials.softwood.conductivity }],
      inside: 8,
      outside: 15,
    },
    rimFactor: rimSpread,
    capacity: {
      dry: cansMass(layout) * skins * materials.aluminium.heatCapacity + 0.3 * glazing.heatCapacity,
      water: area * share * filmThickness * water.density * water.heatCapacity,
      box: parameters.insulation === 'wool' ? 0.25 * layout.under * wool.density * wool.heatCapacity * area : 0,
    },
    known: panel.known,
  };
}

/** m. A thinner batten splits at its screws. Judgement. */
const leastBatten = 0.01;

function trickleFindings(path: string, layout: TrickleLayout): Finding[] {
  const { parameters, glazing } = layout;
  const at = (name: string) => `${path}.parameters.${name}`;
  const found: Finding[] = [];
  if (parameters.lap >= parameters.height / 2)
    found.push({
      code: 'lap-eats-can',
      severity: 'clash',
      path: at('lap'),
      values: { lap: parameters.lap, height: parameters.height },
      fix: Math.floor((parameters.height / 5) * 1000) / 1000,
    });
  const { rise, sideBoard, batten, battenHeight } = layout;
  if (rise > sideBoard.width + 1e-9) {
    const [deeper] = entries('timber')
      .filter((one) => one.tape === sideBoard.tape && one.thickness === sideBoard.thickness && one.width >= rise - 1e-9)
      .sort((a, b) => a.width - b.width);
    found.push({
      code: 'side-too-low',
      severity: 'clash',
      path: at('sideBoard'),
      values: { board: sideBoard.width, needed: rise },
      at: { x: layout.outside.length / 2, y: layout.wall / 2 },
      ...(deeper ? { fix: deeper.id } : {}),
    });
  }
  const [broad, narrow] = [
    Math.max(battenHeight, parameters.gapBetween),
    Math.min(battenHeight, parameters.gapBetween),
  ];
  const beside = { x: layout.outside.length / 2, y: layout.wall + parameters.gapBetween / 2 };
  if (parameters.gapBetween < leastBatten - 1e-9)
    found.push({
      code: 'batten-too-thin',
      severity: 'clash',
      path: at('gapBetween'),
      values: { gap: parameters.gapBetween, least: leastBatten },
      at: beside,
      fix: leastBatten,
    });
  else if (
    broad > Math.max(batten.width, batten.thickness) + 1e-9 ||
    narrow > Math.min(batten.width, batten.thickness) + 1e-9
  ) {
    const most = battenHeight <= Math.min(batten.width, batten.thickness) ? batten.width : batten.thickness;
    const [stouter] = entries('timber')
      .filter(
        (one) =>
          one.tape === batten.tape && one.width < 0.06 && one.width >= broad - 1e-9 && one.thickness >= narrow - 1e-9,
      )
      .sort((a, b) => a.width * a.thickness - b.width * b.thickness);
    found.push({
      code: 'batten-not-in-stock',
      severity: 'clash',
      path: stouter ? at('batten') : at('gapBetween'),
      values: { wide: parameters.gapBetween, high: battenHeight, batten: batten.name },
      at: beside,
      ...(stouter ? { fix: stouter.id } : { fix: Math.floor(most * 1000 + 1e-6) / 1000 }),
    });
  }
  const longest = Math.max(layout.outside.length, layout.outside.width);
  if (glazing.cover && longest > longestPane)
    found.push({
      code: 'no-such-pane',
      severity: 'clash',
      path: at(layout.outside.length > longestPane ? 'cans' : 'strips'),
      values: { side: longest, most: longestPane },
      at: { x: layout.outside.length / 2, y: layout.outside.width / 2 },
    });
  found.push(...glazing.findings(path, parameters.airGap));
  const shortest = Math.min(layout.outside.length, layout.outside.width);
  if (glazing.cover && shortest < shortestPane)
    found.push({
      code: 'pane-too-small',
      severity: 'clash',
      path: at(layout.outside.length < shortestPane ? 'cans' : 'strips'),
      values: { side: shortest, least: shortestPane },
      at: { x: layout.outside.length / 2, y: layout.outside.width / 2 },
    });
  if (parameters.film === 'open' && glazing.cover)
    found.push({ code: 'film-steams', severity: 'caution', path: at('film'), values: { share: layout.share } });
  if (parameters.wetting === 'plain')
    found.push({
      code: 'runs-in-streaks',
      severity: 'note',
      path: at('wetting'),
      values: { plain: wetted.plain, dimpled: wetted.dimpled },
    });
  return found;
}

const trickleWords: Record<string, Words> = {
  ...glazingWords,
  'lap-eats-can': (values, say) => ({
    headline: 'lap eats the can',
    detail: `Half of every can of ${say.length(values.number('height'))} would lie under the next with a lap of ${say.length(values.number('lap'))}.`,
    remedy: 'A lap of a tenth to a fifth of the can sheds the water.',
  }),
  'side-too-low': (values, say) => ({
    headline: 'side lower than what it holds',
    detail: `What lies under the cover is ${say.length(values.number('needed'))} high from the back; the side board is ${say.length(values.number('board'))}.`,
    remedy: 'Take a wider side board, or less air under the cover.',
  }),
  'batten-too-thin': (values, say) => ({
    headline: 'batten too thin for a screw',
    detail: `A batten ${say.length(values.number('gap'))} thick splits; ${say.length(values.number('least'))} is the least.`,
    remedy: 'Set the strips further apart.',
  }),
  'batten-not-in-stock': (values, say) => ({
    headline: 'batten larger than its stock',
    detail: `Battens are ${say.length(values.number('wide'))} by ${say.length(values.number('high'))}; that does not come out of ${values.text('batten')}.`,
    remedy: 'Take stouter stock, or set the strips closer.',
  }),
  'no-such-pane': (values, say) => ({
    headline: 'no such pane is sold',
    detail: `The panel is ${say.length(values.number('side'))} on a side; panes go to ${say.length(values.number('most'))}.`,
    remedy: 'Take fewer cans or strips, and more panels alike.',
  }),
  'pane-too-small': (values, say) => ({
    headline: 'no pane is sold so small',
    detail: `The tray is ${say.length(values.number('side'))} on a side; panes begin at ${say.length(values.number('least'))}.`,
    remedy: 'Take more cans or strips, or leave it bare.',
  }),
  'film-steams': (values) => ({
    headline: 'the film steams onto the cover',
    detail: `${Math.round(100 * values.number('share'))} % of the face is wet and open: its steam carries heat to the cover and clouds it.`,
    remedy: 'Seal the film under a second skin, or keep the water barely warm.',
  }),
  'runs-in-streaks': (values) => ({
    headline: 'water runs in streaks',
    detail: `On plain cans the film covers about ${Math.round(100 * values.number('plain'))} % of the face; dimpled or under gauze about ${Math.round(100 * values.number('dimpled'))} %. Pour and look.`,
    remedy: 'Dimple the cans over a mesh, or lay gauze on them.',
  }),
};

/** Flattened cans end to end, water running down them in a film. */
export const trickle: Family = {
  id: 'trickle',
  name: 'Trickle',
  meaning: 'Strips of flattened cans, taped end to end; water runs down them in a film and drains by itself.',
  words: trickleWords,
  standard: (habit) => ({ family: 'trickle', parameters: standardTrickle(habit), count: 1, turned: false }),
  problems: (panel) => problemsOf(trickleParameters, ['parameters'], withSideBoard(panel.parameters)),
  fields: (panel) => fieldsOf(trickleParameters, 'parameters', withSideBoard(panel.parameters)),
  open: (panel, path): PanelDesign => {
    const layout = layOut(trickleParameters.parse(withSideBoard(panel.parameters)));
    const { parameters, outside, glazing, share, stripLength, stripWidth } = layout;
    const heat = trickleHeat(layout, panel);
    const { parts, purchases } = trickleParts(panel.id, layout);
    const paint = entry('coating', parameters.paint);
    const at = (field: string) => `${path}.parameters.${field}`;
    return {
      areas: areasOf(heat),
      outside: { ...outside, depth: layout.depth },
      runs: { count: parameters.strips, words: parameters.strips === 1 ? 'strip' : 'strips' },
      trials: [
        {
          id: 'can',
          words:
            'flatten one can as all will be, measure its height and breadth, and set them on the bench; only then cut the battens',
        },
      ],
      drawing: (view) => trickleDrawing(view, panel.id, layout),
      plate: { thickness: 0.0001, density: materials.aluminium.density },
      parts,
      purchases,
      heat,
      water: {
        kind: 'film',
        strips: parameters.strips,
        volume: stripLength * stripWidth * parameters.strips * share * filmThickness,
        weakPoint,
      },
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
      drains: { empties: true, how: 'by itself when the pump stops' },
      steps: () => trickleSteps(panel.id, layout, massOf(parts, purchases)),
      dryMass: massOf(parts, purchases),
    };
  },
};
