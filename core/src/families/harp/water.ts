import { bore } from '../../catalogue';
import type { WaterDescription } from '../family';
import { type HarpLayout, spanLength } from './layout';

export function harpWater(layout: HarpLayout): WaterDescription {
  const { riserTube, headerTube, parameters } = layout;
  const section = (diameter: number) => (Math.PI / 4) * diameter ** 2;
  const headers = spanLength(layout.spans.cold) + spanLength(layout.spans.hot);
  // A riser's end inside a header takes the room of its whole round, and holds its own bore.
  const inHeader = Math.max(0, parameters.entry - headerTube.wall);
  const volume =
    section(bore(headerTube)) * headers +
    section(bore(riserTube)) * layout.riserCut * parameters.riserCount -
    section(riserTube.outerDiameter) * inHeader * 2 * parameters.riserCount;
  return {
    risers: parameters.riserCount,
    riserLength: layout.riserCut,
    riserBore: bore(riserTube),
    headerBore: bore(headerTube),
    pitch: parameters.pitch,
    connection: parameters.connection,
    volume,
    lowPressureJoints: true,
  };
}
