import type { CollectorDescription, HeatConditions } from './description';
import { topLoss } from './losses';
import { stackFaces } from './stack';
import { stagnationTemperature } from './steady';
import { build, type Deviates, type Make, topQuery } from './uncertain';

/**
 * Places in a panel that have a temperature of their own: the plate with its tubes, joints, paint and sensor; the hot face
 * of the insulation; that of the back sheet; the sides; the inner and the outer pane, hotter face; and where the pane bears.
 */
export const panelPlaces = ['plate', 'insulation', 'back', 'side', 'inner pane', 'outer pane', 'bearing'] as const;
export type PanelPlace = (typeof panelPlaces)[number];

/** °C at every place of a still panel in that sun. */
export function layerTemperatures(
  description: CollectorDescription,
  conditions: HeatConditions,
  deviates: Deviates = {},
  make: Make = 'well made',
): Record<PanelPlace, number> {
  const plate = stagnationTemperature(description, conditions, deviates, make);
  const built = build(description, deviates, make);
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
