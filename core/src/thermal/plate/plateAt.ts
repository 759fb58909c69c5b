import type { OperatingConditions, ThermalState } from '../contract';
import { type LossesAt, lossesAt } from '../flat/build';
import { termOf } from '../flat/derivations';
import type { FlatModel } from '../flat/flatModel';
import { fluidState } from '../fluids';
import { risingRoot } from '../root';
import type { PlateDescription } from './description';
import { type FieldQuery, type PlateField, plateField, plateMap } from './field';
import { bondAndFilm, builtSteps } from './transfer';

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

/** Rounds in which every strip finds the loss that belongs to its own temperature. */
const lossRounds = 4;

/**
 * The same steady state as the model's `state`, taken part by part along the water: how warm every place of the plate is, and what an
 * uneven flow does. A strip that gets less water than its like runs hotter and loses more: its loss coefficient is that of its own
 * mean temperature, so that a blocked one stands at the temperature of the still plate and never above it.
 *
 * @param state of the panel at these boundary
 * @param shares of the flow by run; even when left out. A run with none is blocked
 */
export function plateAtWork(
  model: FlatModel<PlateDescription>,
  boundary: OperatingConditions,
  state: ThermalState,
  shares?: readonly number[],
): PlateAtWork {
  const built = model.built();
  const lost = lossesAt(built, boundary);
  const { tube, plate, absorberArea } = model.description;
  const lossCoefficient = termOf(state, 'lossCoefficient');
  const lossAtAir = termOf(state, 'lossAtAir');
  const mean = (boundary.inlet + (state.outletTemperature ?? boundary.inlet)) / 2;
  const { heatCapacity } = fluidState(boundary.fluid ?? 'water', mean);
  const carried = boundary.massFlow * heatCapacity;
  const absorbed = termOf(state, 'absorbed') / absorberArea;
  const stillAt = (loss: number) => boundary.air + (absorbed - lossAtAir) / loss;
  // Headers count as plate: their strips are spread over the runs.
  const runLength = absorberArea / (plate.width * tube.count);
  let query: FieldQuery = {
    runLength,
    width: plate.width,
    tubeDiameter: Math.min(tube.outerDiameter, plate.width),
    steps: builtSteps(built),
    whole: plate.whole,
    lossCoefficient,
    resistance: bondAndFilm(built, termOf(state, 'filmCoefficient')),
    path: tube.path,
    carried: Array.from({ length: tube.count }, (_, run) =>
      tube.path === 'serpentine' ? carried : carried * (shares?.[run] ?? 1 / tube.count),
    ),
    inlet: boundary.inlet,
    still: stillAt(lossCoefficient),
  };
  let field = plateField(query);
  // Runs fed alike are alike, and what one round found for them holds.
  if (shares)
    for (let round = 0; round < lossRounds; round += 1) {
      const losses = lossesOfRuns(query, field, { lost, boundary, lossCoefficient, lossAtAir, absorbed });
      query = { ...query, lossCoefficient: losses, still: losses.map(stillAt) };
      field = plateField(query);
    }
  return { heat: field.heat, outlet: field.outlet, plate: plateMap(query, field), water: field.water };
}

/** W/m²K of every strip: the slope of the loss from the air to the temperature at which it closes its own balance. */
function lossesOfRuns(
  { carried, runLength, width, inlet }: FieldQuery,
  field: PlateField,
  at: { lost: LossesAt; boundary: OperatingConditions; lossCoefficient: number; lossAtAir: number; absorbed: number },
): number[] {
  const { lost, boundary, lossCoefficient, lossAtAir, absorbed } = at;
  return carried.map((flow, run) => {
    const line = field.water[run] ?? [];
    const taken = (flow * ((line[line.length - 1] ?? inlet) - inlet)) / (runLength * width);
    const excess = (plate: number) => lost.total(plate) - (absorbed - taken);
    const plate = risingRoot(excess, boundary.air - 80, boundary.air + 500, 1e-4);
    const rise = plate - boundary.air;
    // Near the air the slope of the whole panel serves: there is hardly a loss to get wrong.
    return Math.abs(rise) < 2 ? lossCoefficient : Math.max(0.05, (absorbed - taken - lossAtAir) / rise);
  });
}
