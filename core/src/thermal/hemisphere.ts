const degrees = 180 / Math.PI;

/** How finely the half of the world before a plane is taken: rings, and ways in a quarter. */
export interface Fineness {
  rings: number;
  ways: number;
}

/**
 * Directions of light that comes alike from all of the half of the world before a plane, each of an equal share weighted by its cosine: rings
 * of equal share (sin² θ evenly), in one quarter of the ways, for what is alike in all four.
 *
 * @returns angles across and along, degrees
 */
export function hemisphereDirections({ rings, ways }: Fineness): { transversal: number; longitudinal: number }[] {
  return Array.from({ length: rings * ways }, (_, index) => {
    const tangent = Math.tan(Math.asin(Math.sqrt((Math.floor(index / ways) + 0.5) / rings)));
    const turn = (((index % ways) + 0.5) * Math.PI) / 2 / ways;
    return {
      transversal: Math.atan(tangent * Math.sin(turn)) * degrees,
      longitudinal: Math.atan(tangent * Math.cos(turn)) * degrees,
    };
  });
}

/**
 * Mean over `hemisphereDirections` of what is kept of a beam: what is kept of light that comes alike from everywhere.
 *
 * @param beam share kept of a beam by its angles across and along, degrees
 */
export function hemisphereMean(
  beam: (transversal: number, longitudinal: number) => number,
  fineness: Fineness,
): number {
  const directions = hemisphereDirections(fineness);
  return (
    directions.reduce((sum, { transversal, longitudinal }) => sum + beam(transversal, longitudinal), 0) /
    directions.length
  );
}
