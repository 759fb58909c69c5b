import { bore, dirt, entry, range } from '../../catalogue';
import type { CollectorDescription } from '../../heat';
import type { PlateBuild } from '../plateFamily';
import { type HarpLayout, rowOf } from './layout';
import type { HarpParameters } from './parameters';
import { plateArea, tubeHeatCapacity } from './parts';

/** The panel as heat sees it. The headers lie in the sun, painted like the plate, and count as plate. */
export function harpHeat(
  build: PlateBuild<HarpParameters>,
  layout: HarpLayout,
  waterVolume: number,
): CollectorDescription {
  const { box, riserTube, headerTube, parameters } = layout;
  const plate = build.absorber.on(rowOf(build, riserTube));
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
    plateConductance: plate.plateConductance,
    finWidth: plate.finWidth,
    tube: {
      outerDiameter: riserTube.outerDiameter,
      innerDiameter: bore(riserTube),
      length: layout.riserCut,
      count: parameters.riserCount,
    },
    bond: plate.bond,
    back: box.backLoss,
    backFactor: range(1.1, 1.2, 1.3, 'judgement'),
    edge: box.edgeLoss(layout.heights.pane - layout.heights.insulationTop),
    edgeFactor: range(0.5, 1, 2, 'judgement', 'log-normal'),
    // Glass and box swing with the plate by about a third of its swing (D&B section 6.12, effective heat capacity).
    heatCapacity: plate.heatCapacity + tubeHeatCapacity(layout, waterVolume) + 0.3 * layout.glazing.mass * 750,
  };
}
