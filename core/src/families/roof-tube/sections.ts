import { pressureDerating } from '../../catalogue';
import { formatIn, measured } from '../../quantity';
import type { Readout, SectionSource } from '../../readout';
import { afterExposure, type PipeStoreModel } from '../../thermal';
import { fullSunLevel } from '../kit/fullSun';
import { airEnergy, waterIn } from './findings';
import { gravityFlow } from './hydraulic';
import type { RoofTubeLayout } from './layout';

/** A day to plan a shower by. */
const fairDay = { ...fullSunLevel, irradiance: 800, air: 22, surroundings: 12, wind: 2 };

/** Hours in the sun, and winds, that the water is told for. */
const hours = [1, 2, 3, 4, 6] as const;
const winds = [0.5, 2, 5] as const;
/** °C that it is filled at, and that the pipe's rating is told for. */
const filled = 15;
const heats = [20, 30, 40, 50, 60] as const;
/** m³/s of a shower: a trickle, a saving head, a full one; 2, 4 and 6 L/min. */
const flows = [3.333e-5, 6.667e-5, 1e-4] as const;

export function roofTubeSections(layout: RoofTubeLayout, thermal: PipeStoreModel, mass: number): SectionSource[] {
  const { parameters, pipe, volume } = layout;
  const flow = gravityFlow(parameters.head, parameters.hose);
  const lasts = (at: number) => formatIn('duration', volume / at, 'min', 0).text;
  const figure = (id: string, label: string, kind: Readout['kind'], value: number, digits: number): Readout => ({
    id,
    label,
    kind,
    digits,
    values: [value],
  });
  return [
    {
      id: 'rack',
      title: 'On the rack',
      deep: true,
      make: () => ({
        kind: 'figures',
        readouts: [
          figure('held', 'Holds', 'volume', volume, 1),
          figure('empty', 'Empty', 'mass', mass, 0),
          figure('full', 'Full', 'mass', mass + waterIn(layout), 0),
        ],
      }),
    },
    {
      id: 'sun',
      title: 'How warm it gets',
      deep: true,
      make: () => ({
        kind: 'table',
        columns: ['hours in the sun', ...winds.map((wind) => `wind ${measured('speed', wind, 1)}`)],
        rows: hours.map((hour) => [
          String(hour),
          ...winds.map((wind) =>
            measured(
              'temperature',
              afterExposure(thermal, { ...fairDay, wind }, { from: filled, seconds: 3600 * hour }),
              0,
            ),
          ),
        ]),
        note: `Filled at ${measured('temperature', filled, 0)}; ${measured('irradiance', fairDay.irradiance, 0)} of sun on the flat, air at ${measured('temperature', fairDay.air, 0)}. Measure it with a thermometer in the first water before anybody stands under it.`,
      }),
    },
    {
      id: 'shower',
      title: 'Minutes of shower',
      deep: true,
      make: () => ({
        kind: 'table',
        columns: ['flow', 'lasts'],
        rows: [
          ...(parameters.draw === 'gravity' ? [[`by gravity, ${measured('flow', flow, 1)}`, lasts(flow)]] : []),
          ...flows.map((one) => [measured('flow', one, 0), lasts(one)]),
        ],
        note: 'All of the water, unmixed. With cold mixed in it lasts longer.',
      }),
    },
    {
      id: 'rating',
      title: 'What the plastic bears, warm',
      deep: true,
      make: () => ({
        kind: 'table',
        columns: ['water at', 'rating left'],
        rows: heats.map((heat) => [
          measured('temperature', heat, 0),
          measured('pressure', (pipe.rating ?? 0) * pressureDerating('pvc', heat), 1),
        ]),
        note: `For water; beyond ${measured('temperature', 60, 0)} there is none. Air is another thing: ${measured('pressure', 1e5, 0)} of it in these pipes would hold ${(airEnergy(volume, 1e5) / 1000).toFixed(1)} kJ. Forbidden. Table of makers and ASTM F1970, over ${pipe.standard}.`,
      }),
    },
  ];
}
