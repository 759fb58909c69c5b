import { tubePorts } from '../kit/ports';
import type { HeatPipeLayout } from './layout';

/** Both ends of the manifold. */
export function heatPipePorts(prefix: string, layout: HeatPipeLayout) {
  const { axis, places, tee, end, manifold, stile, hole } = layout;
  const beyond = tee.runLaying + end;
  const up = stile.thickness + hole.up;
  return tubePorts(prefix, {
    cold: { at: { x: axis, y: (places[0] ?? 0) - beyond }, up },
    hot: { at: { x: axis, y: (places.at(-1) ?? 0) + beyond }, up },
    outside: manifold.outerDiameter,
    fitting: 'unions',
  });
}
