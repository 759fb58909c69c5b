import { type HydraulicModel, serialModel } from '../../hydraulic';
import { gravity } from '../../quantity';
import type { RoofTubeLayout } from './layout';

/** m. Bore of the links and the outlet. */
export const linkBore = 0.013;

/** Pipes on a roof as their water sees them: next to no friction in them, narrow links between. */
export function roofTubeHydraulic({ parameters, volume }: RoofTubeLayout): HydraulicModel {
  return serialModel({
    bore: linkBore,
    length: parameters.hose,
    bends: { fitting: 'elbow-90', count: 2 * parameters.pipes },
    volume,
    weakPoint: 'plastic pipe that the sun has softened, vented and never closed,',
    drains: { empties: true, how: 'by its outlet at the low end, its vent open' },
  });
}

/** K of a shower head, a tap and the elbows. Trade: 8 to 15 velocity heads. */
const fittings = 12;

/**
 * m³/s out of a shower head by gravity: √(2 g h / (1 + f L / d + K)) through the hose, friction of smooth hose by Blasius (1913), found in
 * a few rounds.
 */
export function gravityFlow(head: number, hose: number): number {
  const area = (Math.PI / 4) * linkBore ** 2;
  let friction = 0.03;
  let speed = 0;
  for (let round = 0; round < 20; round += 1) {
    speed = Math.sqrt((2 * gravity * head) / (1 + (friction * hose) / linkBore + fittings));
    // Water at 40 °C: ν 0.66e-6 m²/s.
    const reynolds = Math.max(1, (speed * linkBore) / 0.66e-6);
    friction = reynolds < 2300 ? 64 / reynolds : 0.316 / reynolds ** 0.25;
  }
  return speed * area;
}
