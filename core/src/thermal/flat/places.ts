import type { OperatingConditions, Place } from '../contract';
import { stackFaces } from '../stack';
import type { Built, LossesAt } from './build';
import type { FlatDescription } from './description';

/**
 * Places in a flat absorber's panel that have a temperature of their own: the absorber with its joints, paint and sensor; the hot face of
 * the insulation; that of the back sheet; the sides; the inner and the outer pane, hotter face; and where the pane bears.
 */
export type FlatPlace = 'plate' | 'insulation' | 'back' | 'side' | 'inner pane' | 'outer pane' | 'bearing';

/** The places of a flat absorber from the sun inward, the absorber itself by the name that its model gives it. */
export function flatPlaces(
  absorber: { words: string; short: string },
  { covers }: FlatDescription,
): (Place & { id: FlatPlace })[] {
  return [
    ...(covers.length > 0
      ? ([
          { id: 'outer pane', words: 'outer pane', short: 'outer pane' },
          { id: 'inner pane', words: 'pane', short: 'pane' },
        ] as const)
      : []),
    { id: 'bearing', words: 'where the pane bears', short: 'pane’s bearing' },
    { id: 'plate', ...absorber },
    { id: 'side', words: 'sides, inside', short: 'sides' },
    { id: 'insulation', words: 'hot face of the insulation', short: 'insulation' },
    { id: 'back', words: 'back, inside', short: 'back' },
  ];
}

/** °C at every place with the absorber at a temperature. */
export function placeTemperatures(
  built: Built,
  boundary: OperatingConditions,
  { top }: LossesAt,
  plate: number,
): Record<FlatPlace, number> {
  const { description } = built;
  const faces = top.innerFaces(plate);
  const inner = faces[0] ?? boundary.air;
  const outer = faces[faces.length - 1] ?? boundary.air;
  const back = stackFaces(description.back, plate, boundary.air);
  // The sides see the absorber below and the pane above: between the two, by judgement.
  const cavity = description.covers.length > 0 ? (plate + inner) / 2 : boundary.air;
  const side = stackFaces(description.rim, cavity, boundary.air)[0] ?? boundary.air;
  return {
    plate,
    insulation: back[0] ?? plate,
    back: back[Math.max(0, description.back.layers.length - 1)] ?? boundary.air,
    side,
    'inner pane': inner,
    'outer pane': outer,
    bearing: Math.max(outer, side),
  };
}
