import { bore, entries, type Tube } from '../../catalogue';
import { type ManifoldModel, manifoldModel } from '../../hydraulic';
import type { PlateBuild } from '../plateFamily';
import type { HarpLayout } from './layout';
import type { HarpParameters } from './parameters';
import { waterVolume } from './parts';

/** Risers between two headers as their water sees them. */
export function harpHydraulic({ turned }: PlateBuild<HarpParameters>, layout: HarpLayout): ManifoldModel {
  const { tube: riserTube, headerTube, parameters } = layout;
  return manifoldModel({
    risers: parameters.riserCount,
    riserLength: layout.riserCut,
    riserBore: bore(riserTube),
    headerBore: bore(headerTube),
    pitch: parameters.pitch,
    connection: parameters.connection,
    across: turned,
    headers: {
      choices: headerChoices(headerTube, riserTube),
      chosen: headerTube.id,
      path: 'parameters.headerTube',
    },
    volume: waterVolume(layout),
    ...(layout.tee ? {} : { weakPoint: 'soft-soldered butt joints' }),
    drains: {
      empties: true,
      how: turned
        ? 'with the whole panel tipped 2 % toward the cold header, so that no riser lies level'
        : 'into the cold header, tipped 2 % toward its way out',
    },
  });
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
