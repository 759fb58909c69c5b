import type { CollectorDescription, HeatConditions } from './description';
import { type FieldQuery, type PlateField, plateField, plateMap } from './field';
import { fluidState } from './fluids';
import { bondAndFilm, type CollectorState } from './steady';
import { build } from './uncertain';

/** The plate of a panel at work, part by part. */
export interface PlateAtWork {
  /** W, from the sum over all parts. */
  heat: number;
  /** °C. */
  outlet: number;
  /** °C by run, line across the run's strip, and part along it. */
  plate: number[][][];
  /** °C of the water at the end of each part, by run. */
  water: number[][];
}

/**
 * The same steady state as `collectorState`, taken part by part along the water at its loss coefficient: how warm every
 * place of the plate is, and what an uneven flow does.
 *
 * @param state of the panel at these conditions
 * @param shares of the flow by run; even when left out. A run with none is blocked
 */
export function plateAtWork(
  description: CollectorDescription,
  conditions: HeatConditions,
  state: CollectorState,
  shares?: readonly number[],
): PlateAtWork {
  const query = fieldQuery(description, conditions, state, shares);
  const field: PlateField = plateField(query);
  return { heat: field.heat, outlet: field.outlet, plate: plateMap(query, field), water: field.water };
}

function fieldQuery(
  description: CollectorDescription,
  conditions: HeatConditions,
  state: CollectorState,
  shares?: readonly number[],
): FieldQuery {
  const built = build(description, {});
  const { tube, plate, absorberArea } = description;
  const mean = (conditions.inlet + state.outletTemperature) / 2;
  const { heatCapacity } = fluidState(conditions.fluid ?? 'water', mean);
  const carried = conditions.massFlow * heatCapacity;
  // Headers count as plate: their strips are spread over the runs.
  const runLength = absorberArea / (plate.width * tube.count);
  return {
    runLength,
    width: plate.width,
    tubeDiameter: tube.outerDiameter,
    steps: built.steps,
    whole: plate.whole,
    lossCoefficient: state.lossCoefficient,
    resistance: bondAndFilm(built, state.filmCoefficient),
    path: tube.path,
    carried: Array.from({ length: tube.count }, (_, run) =>
      tube.path === 'serpentine' ? carried : carried * (shares?.[run] ?? 1 / tube.count),
    ),
    inlet: conditions.inlet,
    still: conditions.air + (state.absorbed / absorberArea - state.lossAtAir) / state.lossCoefficient,
  };
}
