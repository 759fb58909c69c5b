import { tubeMass } from '../../shop';
import type { PlateDescription } from '../../thermal';
import { plateDescription } from '../plate/thermal';
import type { PlateBuild } from '../plateFamily';
import { type HarpLayout, spanLength } from './layout';
import type { HarpParameters } from './parameters';

/** The panel as heat sees it. The headers count as plate over the width of the row. */
export function harpDescription(
  build: PlateBuild<HarpParameters>,
  layout: HarpLayout,
  waterVolume: number,
): PlateDescription {
  const { headerTube, parameters, riserCut, spans } = layout;
  const { riserCount, pitch, paint } = parameters;
  return plateDescription(build, layout, {
    paint,
    run: { length: riserCut, count: riserCount, path: 'parallel' },
    besides: 2 * headerTube.outerDiameter * riserCount * pitch,
    tubeLength: riserCut * riserCount,
    otherCopper: tubeMass(headerTube) * (spanLength(spans.cold) + spanLength(spans.hot)),
    waterVolume,
  });
}
