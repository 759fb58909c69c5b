import type { Derivation } from '../../readout';
import type { OperatingConditions, ThermalState, UncertainInput } from '../contract';
import { diffuseIncidence, incidenceModifier } from '../optics';
import { stackConductance } from '../stack';
import { type Built, build } from './build';

/** A named intermediate value of a state; not a number at rest, where it has none. */
export function termOf(state: ThermalState, name: string): number {
  return state.terms[name] ?? Number.NaN;
}

/** Incidence angle modifiers (K) of a flat absorber: of beam at the boundary's own angle, of the sky, and of the ground before it. */
export function modifiersOf(
  { covers, absorptance }: Built,
  boundary: Pick<OperatingConditions, 'incidence' | 'tilt'>,
): { beam: number; sky: number; ground: number } {
  const { sky, ground } = diffuseIncidence(boundary.tilt);
  const at = (incidence: number) => incidenceModifier(covers, incidence, absorptance);
  return { beam: at(boundary.incidence), sky: at(sky), ground: at(ground) };
}

/** The loss coefficient as an input of a derivation. */
export function lossInput(state: ThermalState): Derivation['inputs'][number] {
  return { label: 'loss of the plate, U', value: termOf(state, 'lossCoefficient'), kind: 'heatLoss' };
}

/** How efficiency and dry temperature of a flat absorber come about. */
export function flatDerivations(
  built: Built,
  inputs: readonly UncertainInput[],
  state: ThermalState,
  boundary: OperatingConditions,
): { efficiency: Derivation; dry: Derivation } {
  const { description } = built;
  const modifiers = modifiersOf(build(description, inputs, {}), boundary);
  const kept = {
    label: 'share of the sun on the pane that the plate keeps',
    value: termOf(state, 'opticalShare'),
    kind: 'number',
    digits: 3,
  } as const;
  const back = inputs.find(({ id }) => id === 'back')?.spread['well made'].likely ?? 1;
  return {
    efficiency: {
      name: 'Efficiency on the pane',
      formula:
        'F_R × (share kept × sun × pane area − plate area × (loss at air temperature + U × (water in − air))) ÷ (sun × pane area)',
      source: 'Hottel, Whillier and Bliss; Duffie and Beckman, Solar Engineering of Thermal Processes, chapter 6',
      inputs: [
        { label: 'plate area', value: description.absorberArea, kind: 'area' },
        { label: 'F_R', value: termOf(state, 'heatRemovalFactor'), kind: 'number', digits: 3 },
        kept,
        {
          label: 'loss of the plate at air temperature, W/m²',
          value: termOf(state, 'lossAtAir'),
          kind: 'number',
          digits: 0,
        },
        { label: 'incidence modifier of beam, K', value: modifiers.beam, kind: 'number', digits: 2 },
        { label: 'of the sky', value: modifiers.sky, kind: 'number', digits: 2 },
        { label: 'of the ground', value: modifiers.ground, kind: 'number', digits: 2 },
        { label: 'sun on the pane', value: boundary.irradiance, kind: 'irradiance' },
        lossInput(state),
        { label: 'water in', value: boundary.inlet, kind: 'temperature' },
        { label: 'air', value: boundary.air, kind: 'temperature' },
        { label: 'sky and ground look like', value: boundary.surroundings, kind: 'temperature' },
        { label: 'pane area', value: description.apertureArea, kind: 'area' },
      ],
    },
    dry: {
      name: 'Hottest when empty',
      formula: 'the plate temperature at which losses equal the sun kept: 1 000 W/m², air 30 °C, wind 0.5 m/s, no flow',
      source: 'top loss by Hollands (1976) and an iterated balance; Duffie and Beckman, section 6.4',
      inputs: [
        kept,
        { label: 'emittance of the plate', value: description.emittance.likely, kind: 'number', digits: 2 },
        { label: 'back, W/m²K', value: stackConductance(description.back) * back, kind: 'heatLoss' },
      ],
    },
  };
}
