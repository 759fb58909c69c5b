import type { OperatingConditions } from '../contract';
import { tubeFilm } from '../convection';
import { efficiencyFactor, type FinStep, heatRemovalFactor, steppedFin } from '../fin';
import type { Built } from '../flat/build';
import type { TransferQuery, Transferred } from '../flat/working';
import type { PlateDescription } from './description';
import { serpentineRemoval } from './field';

/** One side of the plate beside a tube, at the conductance that the panel was built with. */
export function builtSteps({ description, value }: Built<PlateDescription>): FinStep[] {
  const share = value('plate', 1);
  return description.plate.steps.map((step) => ({ ...step, conductance: step.conductance * share }));
}

/** mK/W from the plate's foot to the water: bond and film in series. */
export function bondAndFilm({ description, value }: Built<PlateDescription>, filmCoefficient: number): number {
  const bond = description.plate.mount === 'in' ? 0 : 1 / value('bond', description.bond.likely);
  return bond + 1 / (Math.PI * description.tube.innerDiameter * filmCoefficient);
}

/** F, F', F_R and the film of tubes on a plate at a loss coefficient (D&B 6.5 to 6.7; a serpentine on a whole plate by its field). */
export function plateTransfer(
  built: Built<PlateDescription>,
  boundary: OperatingConditions,
): (query: TransferQuery) => Transferred {
  const { tube, plate, absorberArea } = built.description;
  const { massFlow, tilt, fluid = 'water' } = boundary;
  const steps = builtSteps(built);
  const serpentine = tube.path === 'serpentine';
  return ({ lossCoefficient, heat, mean, heatCapacity }) => {
    const film = tubeFilm({
      massFlow: serpentine ? massFlow : massFlow / tube.count,
      innerDiameter: tube.innerDiameter,
      length: serpentine ? tube.length * tube.count : tube.length,
      temperature: mean,
      fluid,
      stirring: {
        heatPerLength: heat / (tube.length * tube.count),
        tilt: tube.across ? 0 : tilt,
        wallConductance: tube.wallConductance,
      },
    });
    const fin = steppedFin(steps, lossCoefficient);
    const factor = efficiencyFactor({
      lossCoefficient,
      pitch: plate.width,
      outerDiameter: tube.outerDiameter,
      innerDiameter: tube.innerDiameter,
      finEfficiency: fin,
      bondConductance: built.value('bond', built.description.bond.likely),
      filmCoefficient: film.coefficient,
      mount: plate.mount,
    });
    const removal =
      serpentine && plate.whole
        ? serpentineRemoval({
            runLength: tube.length,
            width: plate.width,
            // Tubes drawn into each other share their plate.
            tubeDiameter: Math.min(tube.outerDiameter, plate.width),
            steps,
            whole: true,
            lossCoefficient,
            resistance: bondAndFilm(built, film.coefficient),
            carried: new Array<number>(tube.count).fill(massFlow * heatCapacity),
          })
        : heatRemovalFactor({
            massFlow,
            heatCapacity,
            area: absorberArea,
            lossCoefficient,
            efficiencyFactor: factor,
          });
    return {
      finEfficiency: fin,
      efficiencyFactor: factor,
      heatRemovalFactor: removal,
      filmCoefficient: film.coefficient,
      reynolds: film.reynolds,
    };
  };
}
