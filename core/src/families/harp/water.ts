import { bore, entries, type Tube } from '../../catalogue';
import type { ManifoldWater } from '../family';
import type { HarpLayout } from './layout';
import { waterVolume } from './parts';

export function harpWater(layout: HarpLayout): ManifoldWater {
  const { tube: riserTube, headerTube, parameters } = layout;
  return {
    kind: 'manifold',
    risers: parameters.riserCount,
    riserLength: layout.riserCut,
    riserBore: bore(riserTube),
    headerBore: bore(headerTube),
    pitch: parameters.pitch,
    connection: parameters.connection,
    headers: {
      choices: headerChoices(headerTube, riserTube),
      chosen: headerTube.id,
      path: 'parameters.headerTube',
    },
    volume: waterVolume(layout),
    weakPoint: layout.tee ? undefined : 'soft-soldered butt joints',
  };
}

/** Tubes of the same shop that the risers go into, one for each size: the thinnest wall. */
function headerChoices(header: Tube, riser: Tube): { id: string; name: string; bore: number }[] {
  const bySize = new Map<number, Tube>();
  for (const tube of entries('tube')) {
    if (tube.temper !== 'hard' || tube.tape !== header.tape || bore(tube) <= riser.outerDiameter) continue;
    const known = bySize.get(tube.outerDiameter);
    if (tube.id === header.id || (!known && tube.outerDiameter !== header.outerDiameter))
      bySize.set(tube.outerDiameter, tube);
    else if (known && known.id !== header.id && tube.wall < known.wall) bySize.set(tube.outerDiameter, tube);
  }
  return [...bySize.values()]
    .map((tube) => ({ id: tube.id, name: tube.name, bore: bore(tube) }))
    .sort((a, b) => a.bore - b.bore);
}
