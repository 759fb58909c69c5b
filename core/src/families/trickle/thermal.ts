import { dirt, entry, materials, range, rimSpread } from '../../catalogue';
import { type FilmDescription, fluidState, openArea, type Sunlit } from '../../thermal';
import type { HeaterDocument } from '../family';
import type { TrickleLayout } from './layout';
import { cansMass } from './parts';

/** m. Water that runs down a wetted face, thick: Nusselt's film at a few grams a second and metre, 0.2 to 0.4 mm. */
export const filmThickness = 0.0003;
/** W/m²K through such a film: conductivity over its thickness, less for its waves. Nusselt (1916). */
const filmCoefficient = 1500;
/** m. Wall of a drink can, flattened out. Trade. */
const canWall = 0.0001;

/** Strips of cans as heat sees them: streaks of water on thin metal, the dry metal between them a fin. */
export function trickleDescription(layout: TrickleLayout, known: HeaterDocument['known']): FilmDescription {
  const { parameters, outside, stripLength, stripWidth, glazing, share, back } = layout;
  const { strips } = parameters;
  const paint = entry('coating', parameters.paint);
  const area = stripLength * stripWidth * strips;
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
    strips: {
      count: strips,
      length: stripLength,
      width: stripWidth,
      conductance: materials.aluminium.conductivity * canWall * skins,
      thickness: canWall,
      density: materials.aluminium.density,
    },
    wetted: share,
    filmCoefficient,
    open: parameters.film === 'open' && glazing.cover !== undefined,
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
    known,
  };
}
