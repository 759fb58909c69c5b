import { tubePorts } from '../kit/ports';
import type { PlateBuild } from '../plateFamily';

import type { SerpentineLayout } from './layout';
import type { SerpentineParameters } from './parameters';

/** The ends of the first and of the last run, beyond the end boards. */
export function serpentinePorts({ id: prefix }: PlateBuild<SerpentineParameters>, layout: SerpentineLayout) {
  const { runs, sameEnd, parameters, box, tube, heights } = layout;
  const [first, last] = [runs[0] ?? 0, runs.at(-1) ?? 0];
  const far = box.outside.length + parameters.stub;
  return tubePorts(prefix, {
    cold: { at: { x: -parameters.stub, y: first }, up: heights.centre },
    hot: { at: { x: sameEnd ? -parameters.stub : far, y: last }, up: heights.centre },
    outside: tube.outerDiameter,
    fitting: 'unions',
  });
}
