import type { Tee } from '../../catalogue';
import { type Drawing, dim, leader } from '../../draw';
import { rectsOf } from '../kit/shapes';
import type { HarpLayout } from './layout';
import { pieceLengths } from './parts';

/** m of riser shown above its tee. */
const shown = 0.03;

/** Two tees of a header with the piece between them: what the pitch comes from. */
export function teeDetail(prefix: string, layout: HarpLayout, tee: Tee): Drawing {
  const { tube, headerTube, parameters } = layout;
  const { pitch } = parameters;
  const half = headerTube.outerDiameter / 2;
  const { between } = pieceLengths(layout, tee);
  const wall = (tee.across - headerTube.outerDiameter) / 2;
  const centres = [0, pitch];
  const reach = tee.runLaying + tee.runSocket;
  const rect = rectsOf(prefix);
  const branchTop = tee.branchLaying + tee.branchSocket;
  return {
    title: `Tees of ${prefix}`,
    shapes: [
      ...(between > 0 ? [rect('tube', 'header-piece', tee.runLaying, -half, between, headerTube.outerDiameter)] : []),
      ...centres.flatMap((x) => [
        rect('header', 'tee', x - reach, -half - wall, 2 * reach, tee.across),
        rect('header', 'tee', x - tube.outerDiameter / 2 - wall, half, tube.outerDiameter + 2 * wall, branchTop - half),
        rect('tube', 'riser', x - tube.outerDiameter / 2, branchTop, tube.outerDiameter, shown),
      ]),
      // How far the piece goes into its sockets.
      ...(between > 0
        ? [rect('hole', 'header-piece', tee.runLaying, -half, between, headerTube.outerDiameter, true)]
        : []),
    ],
    labels: [leader('dry-fit yours first', { x: pitch + reach, y: 0 }, { x: pitch + reach + 0.008, y: 0 })],
    dimensions: [
      dim.across('tee-pitch', 'pitch', { x: 0, y: branchTop + shown }, pitch, { offset: 0.014 }),
      dim.across('tee-piece', 'piece, stop to stop', { x: tee.runLaying, y: -half }, between, { offset: -0.02 }),
    ],
  };
}
