import { type OperatingConditions, type StandardNormals, stagnationTemperature, type ThermalModel } from './contract';
import { momentsOf, ninetyDeviate } from './spread';

/**
 * The uncertain inputs where the heater at rest is as hot as the upper edge of its band: each moved the way that warms it, in the
 * proportion in which it does (most probable point of the first-order reliability method). How far is told by the mean and the
 * variance of all of them, each a split normal of its own (sum of moments; the draws of the band bear it out in the tests).
 */
export function hottestNormals(model: ThermalModel, boundary: OperatingConditions): StandardNormals {
  const likely = stagnationTemperature(model, boundary);
  const moves = model.inputs.flatMap(({ id }) => {
    const at = (deviate: number) => stagnationTemperature(model, boundary, { [id]: deviate }) - likely;
    const above = at(ninetyDeviate);
    // A dry plate knows nothing of its bond.
    if (Math.abs(above) < 1e-6) return [];
    const below = at(-ninetyDeviate);
    return above > below
      ? [{ id, way: 1, warms: above, cools: -below }]
      : [{ id, way: -1, warms: below, cools: -above }];
  });
  const reach = Math.hypot(...moves.map(({ warms }) => warms));
  if (reach === 0) return {};
  const { mean, variance } = momentsOf(
    moves.map(({ warms, cools }) => ({ up: warms / ninetyDeviate, down: -cools / ninetyDeviate })),
  );
  const share = Math.max(0, mean + ninetyDeviate * Math.sqrt(variance)) / reach;
  return Object.fromEntries(moves.map(({ id, way, warms }) => [id, (way * share * ninetyDeviate * warms) / reach]));
}
