import type { HeaterDesign } from '../families';
import { formatNumber } from '../quantity';
import type { Derivation, Readout } from '../readout';
import type { Figures, HeaterFigures } from './evaluate';

/** The figure whose band goes with a readout. */
export const bandOf: Readonly<Record<string, 'gain' | 'efficiency' | 'stagnationTemperature'>> = {
  gain: 'gain',
  efficiency: 'efficiency',
  dry: 'stagnationTemperature',
};

/** A value where there is one. */
function valued(value: number | undefined): number[] {
  return value === undefined ? [] : [value];
}

function gainReadout(figures: Figures, { gain, usefulHeat, inlet, massFlow }: HeaterFigures): Readout {
  const common = { id: 'gain', kind: 'temperatureDifference', values: valued(gain) } as const;
  if (usefulHeat === undefined) return { ...common, label: 'Temperature rise at design flow' };
  const inputs: Derivation['inputs'] = [
    { label: 'useful heat', value: usefulHeat, kind: 'power' },
    ...(figures.exposure === undefined
      ? [{ label: 'flow, kg/s', value: massFlow, kind: 'number', digits: 4 } as const]
      : []),
    { label: 'water in', value: inlet, kind: 'temperature' },
  ];
  return figures.exposure === undefined
    ? {
        ...common,
        label: 'Temperature rise at design flow',
        derivation: {
          name: 'Temperature rise',
          formula: 'useful heat ÷ (flow × heat capacity of water)',
          source: 'heat balance of the water',
          inputs,
        },
      }
    : {
        ...common,
        label: `Warmer after ${formatNumber(figures.exposure / 3600, 1)} h in the sun`,
        derivation: {
          name: 'Gain, standing still',
          formula: 'sum of (sun kept − loss there) × each step of time ÷ (metal + water)',
          source: 'one heat capacity, Duffie and Beckman section 6.12',
          inputs,
        },
      };
}

/** Readouts of one heater of a job, in the order in which they are shown; what cannot be worked out has no value. */
export function heaterReadouts(figures: Figures, design: HeaterDesign, index: number): Readout[] {
  const heater = figures.perHeater[index];
  if (!heater) throw new RangeError(`no heater ${index}`);
  const { thermal, hydraulic } = design;
  const { work, efficiency, stagnationTemperature: dry, pressureDrop, buoyancyHead, dryMass, wetMass } = heater;
  const own = work && thermal.derivations(work.state, work.boundary);
  const water = work?.water;
  const flow = water && hydraulic?.derivations(water.at);
  const working = work?.state.outletTemperature === undefined ? undefined : work;
  return [
    gainReadout(figures, heater),
    {
      id: 'efficiency',
      label: 'Efficiency',
      kind: 'number',
      digits: 2,
      values: valued(efficiency),
      ...(own && efficiency !== undefined ? { derivation: own.efficiency } : {}),
    },
    {
      id: 'dry',
      label: 'Hottest when empty',
      kind: 'temperature',
      digits: 0,
      values: valued(dry),
      ...(own ? { derivation: own.dry } : {}),
    },
    ...(working ? thermal.readouts(working.state, working.boundary) : []),
    ...(water && hydraulic ? hydraulic.readouts(water.at, water.state) : []),
    ...(pressureDrop !== undefined && flow
      ? [
          {
            id: 'pressureDrop',
            label: 'Pressure drop',
            kind: 'pressure',
            values: [pressureDrop],
            derivation: flow.drop,
          } as const,
        ]
      : []),
    ...(buoyancyHead !== undefined && flow?.buoyancyHead
      ? [
          {
            id: 'buoyancyHead',
            label: 'Natural circulation',
            kind: 'pressure',
            values: [buoyancyHead],
            derivation: flow.buoyancyHead,
          } as const,
        ]
      : []),
    {
      id: 'weight',
      label: 'Weight, dry and wet',
      kind: 'mass',
      digits: 0,
      values: [dryMass, wetMass],
      derivation: {
        name: 'Weight',
        formula: 'every part and bought thing by its size and density; wet with the water in it',
        source: 'densities in the catalogue',
        inputs: [
          { label: 'dry', value: dryMass, kind: 'mass' },
          { label: 'wet', value: wetMass, kind: 'mass' },
        ],
      },
    },
  ];
}

/** Derivations of the readouts of one heater by their ids; of a figure that cannot be worked out there are none. */
export function heaterDerivations(
  figures: Figures,
  design: HeaterDesign,
  index: number,
): Readonly<Record<string, Derivation>> {
  return Object.fromEntries(
    heaterReadouts(figures, design, index).flatMap(({ id, derivation }) => (derivation ? [[id, derivation]] : [])),
  );
}
