import { tubePorts } from '../kit/ports';
import type { PlateBuild } from '../plateFamily';

import type { HarpLayout } from './layout';
import type { HarpParameters } from './parameters';

/** The open end of each header, beyond the side board. */
export function harpPorts({ id: prefix }: PlateBuild<HarpParameters>, layout: HarpLayout) {
  const { headers, spans, headerTube, heights } = layout;
  const end = (which: 'cold' | 'hot') => ({ at: { x: headers[which], y: spans[which].open }, up: heights.centre });
  return tubePorts(prefix, {
    cold: end('cold'),
    hot: end('hot'),
    outside: headerTube.outerDiameter,
    fitting: 'unions',
  });
}
