import type { Tee } from '../../catalogue';
import type { Drawing } from '../../draw';
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
    labels: [
      {
        at: { x: pitch + reach, y: 0 },
        to: { x: pitch + reach + 0.008, y: 0 },
        words: 'dry-fit yours first',
        anchor: 'start',
      },
    ],
    dimensions: [
      {
        id: 'tee-pitch',
        label: 'pitch',
        from: { x: 0, y: branchTop + shown },
        to: { x: pitch, y: branchTop + shown },
        offset: 0.014,
        value: pitch,
      },
      {
        id: 'tee-piece',
        label: 'piece, stop to stop',
        from: { x: tee.runLaying, y: -half },
        to: { x: tee.runLaying + between, y: -half },
        offset: -0.02,
        value: between,
      },
    ],
  };
}
