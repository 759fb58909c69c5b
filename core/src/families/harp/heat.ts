import type { CollectorDescription } from '../../heat';
import { tubeMass } from '../../shop';
import { plateHeat } from '../plate/heat';
import type { PlateBuild } from '../plateFamily';
import { type HarpLayout, spanLength } from './layout';
import type { HarpParameters } from './parameters';

/** The panel as heat sees it. The headers count as plate over the width of the row. */
export function harpHeat(
  build: PlateBuild<HarpParameters>,
  layout: HarpLayout,
  waterVolume: number,
): CollectorDescription {
  const { headerTube, parameters, riserCut, spans } = layout;
  const { riserCount, pitch, paint } = parameters;
  return plateHeat(build, layout, {
    paint,
    run: { length: riserCut, count: riserCount, path: 'parallel' },
    besides: 2 * headerTube.outerDiameter * riserCount * pitch,
    tubeLength: riserCut * riserCount,
    otherCopper: tubeMass(headerTube) * (spanLength(spans.cold) + spanLength(spans.hot)),
    waterVolume,
  });
}
