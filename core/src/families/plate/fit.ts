import type { BoxDesign } from '../../boxes';
import { layingRoom } from './findings';

/** m. Sizes are fitted down to the millimetre. */
export function downToMillimetre(metres: number): number {
  return Math.floor(metres * 1000 + 1e-6) / 1000;
}

/** m. For an array whose headers reach into the corners: between the cleats, or the strips that line the ends. */
export function betweenCorners(box: BoxDesign): number {
  return box.inside.length - 2 * (Math.max(box.cleat, box.edgeStrip) + layingRoom);
}

/**
 * As many runs of about a pitch as fill a width, and the pitch at which they fill it, plate from side to side.
 *
 * @param query.pitch m, wanted; a fixed one is kept and only the count follows
 */
export function fitRuns(query: {
  inside: number;
  pitch: number;
  least: number;
  most: number;
  fixed?: boolean | undefined;
}): { count: number; pitch: number } {
  const room = query.inside - 2 * layingRoom;
  const count = Math.max(query.least, Math.min(query.most, Math.floor(room / query.pitch + 1e-6)));
  return { count, pitch: query.fixed ? query.pitch : downToMillimetre(room / count) };
}
