import { type CollectorDescription, type HeatConditions, uncertainInputs } from './description';
import { topLoss } from './losses';
import { momentsOf, ninetyDeviate } from './spread';
import { stackFaces } from './stack';
import { stagnationTemperature } from './steady';
import { build, type Deviates, topQuery, type Workmanship } from './uncertain';

/**
 * Places in a panel that have a temperature of their own: the plate with its tubes, joints, paint and sensor; the hot face
 * of the insulation; that of the back sheet; the sides; the inner and the outer pane, hotter face; and where the pane bears.
 */
export const panelPlaces = ['plate', 'insulation', 'back', 'side', 'inner pane', 'outer pane', 'bearing'] as const;
export type PanelPlace = (typeof panelPlaces)[number];

/**
 * The uncertain inputs where the still plate is as hot as the upper edge of its band: each moved the way that warms it, in the
 * proportion in which it does (most probable point of the first-order reliability method). How far is told by the mean and the
 * variance of all of them, each a split normal of its own (sum of moments; the draws of the band bear it out in the tests).
 */
export function hottestDeviates(description: CollectorDescription, conditions: HeatConditions): Deviates {
  const likely = stagnationTemperature(description, conditions);
  const moves = uncertainInputs.flatMap((input) => {
    const at = (deviate: number) => stagnationTemperature(description, conditions, { [input]: deviate }) - likely;
    const above = at(ninetyDeviate);
    // A dry plate knows nothing of its bond.
    if (Math.abs(above) < 1e-6) return [];
    const below = at(-ninetyDeviate);
    return above > below
      ? [{ input, way: 1, warms: above, cools: -below }]
      : [{ input, way: -1, warms: below, cools: -above }];
  });
  const reach = Math.hypot(...moves.map(({ warms }) => warms));
  if (reach === 0) return {};
  const { mean, variance } = momentsOf(
    moves.map(({ warms, cools }) => ({ up: warms / ninetyDeviate, down: -cools / ninetyDeviate })),
  );
  const share = Math.max(0, mean + ninetyDeviate * Math.sqrt(variance)) / reach;
  return Object.fromEntries(
    moves.map(({ input, way, warms }) => [input, (way * share * ninetyDeviate * warms) / reach]),
  );
}

/** °C at every place of a still panel in that sun. */
export function layerTemperatures(
  description: CollectorDescription,
  conditions: HeatConditions,
  deviates: Deviates = {},
  workmanship: Workmanship = 'well made',
): Record<PanelPlace, number> {
  const plate = stagnationTemperature(description, conditions, deviates, workmanship);
  const built = build(description, deviates, workmanship);
  const top = topLoss(topQuery(built, conditions, plate));
  const faces = top.innerTemperatures;
  const inner = faces[0] ?? conditions.air;
  const outer = faces[faces.length - 1] ?? conditions.air;
  const back = stackFaces(description.back, plate, conditions.air);
  // The sides see the plate below and the pane above: between the two, by judgement.
  const cavity = description.covers.length > 0 ? (plate + inner) / 2 : conditions.air;
  const side = stackFaces(description.rim, cavity, conditions.air)[0] ?? conditions.air;
  return {
    plate,
    insulation: back[0] ?? plate,
    back: back[Math.max(0, description.back.layers.length - 1)] ?? conditions.air,
    side,
    'inner pane': inner,
    'outer pane': outer,
    bearing: Math.max(outer, side),
  };
}
