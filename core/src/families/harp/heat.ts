import { bore, dirt, entry, materials, rimSpread } from '../../catalogue';
import type { CollectorDescription } from '../../heat';
import type { PlateBuild } from '../plateFamily';
import { type HarpLayout, rowOf } from './layout';
import type { HarpParameters } from './parameters';
import { plateArea, tubeHeatCapacity, waterHeatCapacity } from './parts';

/** The panel as heat sees it. The headers lie in the sun, painted like the plate, and count as plate. */
export function harpHeat(
  build: PlateBuild<HarpParameters>,
  layout: HarpLayout,
  waterVolume: number,
): CollectorDescription {
  const { box, riserTube, headerTube, parameters } = layout;
  const onTubes = build.absorber.on(rowOf(build, riserTube));
  const paint = entry('coating', parameters.paint);
  const headerArea = 2 * headerTube.outerDiameter * parameters.riserCount * parameters.pitch;
  return {
    apertureArea: box.inside.length * box.inside.width,
    absorberArea: plateArea(layout) + headerArea,
    grossArea: box.outside.length * box.outside.width,
    covers: [{ ...layout.glazing.cover, gap: parameters.airGap }],
    dirt,
    absorptance: paint.absorptance,
    emittance: paint.emittance,
    plate: onTubes.plate,
    tube: {
      outerDiameter: riserTube.outerDiameter,
      innerDiameter: bore(riserTube),
      length: layout.riserCut,
      count: parameters.riserCount,
      path: 'parallel',
      across: build.turned,
      wallConductance: materials.copper.conductivity * riserTube.wall,
    },
    bond: onTubes.bond,
    bondHomeMade: onTubes.bondHomeMade,
    back: box.backStack,
    backFactor: box.backFactor,
    rim: box.rim(layout.heights.pane - layout.heights.insulationTop),
    rimFactor: rimSpread,
    // Glass and box swing with the plate by about a third of its swing (D&B section 6.12, effective heat capacity).
    capacity: {
      dry: onTubes.heatCapacity + tubeHeatCapacity(layout) + 0.3 * layout.glazing.mass * materials.glass.heatCapacity,
      water: waterHeatCapacity(waterVolume),
    },
    known: build.known,
  };
}
