import { measured } from '../../quantity';
import type { SectionSource } from '../../readout';
import { type CoilDescription, type FlatModel, stagnationTemperature, timeToReach, tubesLitRound } from '../../thermal';
import { fullSunLevel as fullSun } from '../kit/fullSun';
import { type SpiralLayout, turnsOf } from './layout';

/** Heights of the sun over the plane that shade is told for, degrees. */
const heights = [90, 75, 60, 50, 40, 30, 20, 15, 10] as const;
/** °C between which still water is timed. */
const warmUp = { from: 15, to: 40 } as const;

/** What only a spiral can show: rolls, shade of hose by hose, and how it warms while it stands. */
export function spiralSections(layout: SpiralLayout, thermal: FlatModel<CoilDescription>): SectionSource[] {
  const { parameters, hose, volume } = layout;
  return [
    {
      id: 'roll',
      title: 'What a roll of hose gives',
      deep: true,
      make: () => ({
        kind: 'choices',
        path: 'parameters.rounds',
        lead: `Whole turns of each hose from one roll, its tails left over; ${parameters.starts === 1 ? 'one roll' : `${parameters.starts} rolls`} in all.`,
        choices: hose.rolls
          .map((roll) => ({ roll, ...turnsOf(roll, layout) }))
          .filter(({ rounds }) => rounds >= 2 && rounds <= 40)
          .map(({ roll, rounds, across }) => ({
            set: rounds,
            name: { value: roll, kind: 'height' as const },
            value: { value: across, kind: 'height' as const },
            chosen: rounds === parameters.rounds,
            advised: `${rounds} turns`,
          })),
        tail: 'The size is over the outermost hose.',
      }),
    },
    {
      id: 'in-the-sun',
      title: 'While it stands in the sun',
      deep: true,
      make: () => {
        const hot = stagnationTemperature(thermal, fullSun);
        const seconds = timeToReach(thermal, fullSun, { ...warmUp, full: true });
        return {
          kind: 'figures',
          readouts: [
            {
              id: 'first-litre',
              label: 'First water after hours of full sun',
              kind: 'temperature',
              digits: 0,
              values: [hot],
              derivation: {
                name: 'First water after hours of full sun',
                formula: 'the temperature at which the still hose loses what it takes up',
                source: 'heat balance at rest; wind by Mitchell (1976), sky by its own radiation',
                inputs: [
                  { label: 'sun', value: fullSun.irradiance, kind: 'irradiance' },
                  { label: 'air', value: fullSun.air, kind: 'temperature' },
                ],
              },
            },
            {
              id: 'warm-up',
              label: `From ${measured('temperature', warmUp.from, 0)} to ${measured('temperature', warmUp.to, 0)}, standing`,
              kind: 'duration',
              values: [seconds],
              derivation: {
                name: 'Warm-up of still water',
                formula: 'heat capacity ÷ what is gathered, over the temperature',
                source: 'one heat capacity, Duffie and Beckman section 6.12',
                inputs: [{ label: 'water held', value: volume, kind: 'volume' }],
              },
            },
          ],
        };
      },
    },
    {
      id: 'shade',
      title: 'What the hoses catch of a low sun',
      deep: true,
      make: () => ({
        kind: 'curve',
        x: { title: 'sun over the plane', kind: 'angle' },
        y: { title: 'beam that is caught', kind: 'number', digits: 2 },
        points: heights.map((height) => {
          const { hit } = tubesLitRound({ diameter: hose.outerDiameter, pitch: parameters.pitch }, 90 - height);
          return { x: height, low: hit, likely: hit, high: hit };
        }),
        note: 'Share of the beam on the plane of the spiral that hits a hose. Round hoses lean into a low sun until they shade each other: then all of it is caught.',
      }),
    },
  ];
}
