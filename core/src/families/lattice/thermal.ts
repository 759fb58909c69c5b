import { dirt, entry, materials, range, rimSpread, sheetMass } from '../../catalogue';
import { fluidState, openArea, type SheetDescription, type Sunlit } from '../../thermal';
import type { HeaterDocument } from '../family';
import type { LatticeLayout } from './layout';

/** W/m²K. Outer surface of a sheltered back: EN ISO 6946. */
const sheltered = 15;
/** Long-wave emittance of zinc or aluminium that has stood outdoors: 0.2 to 0.3 in tables of D&B, rounded. */
const weatheredMetal = 0.25;

/** A bolted lattice as heat sees it: a sheet wet from rim to rim. */
export function latticeDescription(layout: LatticeLayout, known: HeaterDocument['known']): SheetDescription {
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
    gap,
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
    known,
  };
}
