const degrees = 180 / Math.PI;

/**
 * Mean over the half of the world before a plane of what is kept of a beam, each way by its cosine: what is kept of light that comes alike
 * from everywhere. Rings of equal cosine-weighted share (sin² θ evenly), in one quarter of the ways: for what is alike in all four.
 *
 * @param beam share kept of a beam by its angles across and along, degrees
 * @param fineness rings, and ways in a quarter
 */
export function hemisphereMean(
  beam: (transversal: number, longitudinal: number) => number,
  { rings, ways }: { rings: number; ways: number },
): number {
  let sum = 0;
  for (let ring = 0; ring < rings; ring += 1) {
    const tangent = Math.tan(Math.asin(Math.sqrt((ring + 0.5) / rings)));
    for (let way = 0; way < ways; way += 1) {
      const turn = ((way + 0.5) * Math.PI) / 2 / ways;
      sum += beam(Math.atan(tangent * Math.sin(turn)) * degrees, Math.atan(tangent * Math.cos(turn)) * degrees);
    }
  }
  return sum / rings / ways;
}
