import { measured } from '../../quantity';
import type { Readout, SectionSource } from '../../readout';
import { dryOutTemperature, floodingLimit, type HeatPipeModel } from '../../thermal';
import type { HeaterAtWork } from '../family';
import { fullSunLeaning as fullSun } from '../kit/fullSun';
import { pressureInside } from './findings';
import type { HeatPipeLayout } from './layout';
import { leastTilt } from './parameters';

/** Suns and airs that one pipe's output is told for. */
const suns = [300, 600, 900] as const;
const airs = [0, 15, 30] as const;
/** °C of the water, and numbers of pipes that are told. */
const warm = 25;
const banks = [5, 8, 10, 15, 20, 30] as const;
/** °C that the pressure is told for. */
const steps = [100, 120, 150, 180, 200] as const;
/** Minutes of work at each stage of one pipe, and to set the stage up once. Judgement. */
const stages: readonly [name: string, setUp: number, each: number][] = [
  ['cut to the stop, ream, deburr', 10, 3],
  ['braze the foot cap', 15, 5],
  ['fill to the brim, weigh, pour', 10, 4],
  ['weigh in the charge', 5, 2],
  ['boil out open, outdoors, until steam has driven the air out', 30, 12],
  ['cap, let cool, weigh again', 10, 6],
  ['paint, let dry', 10, 3],
  ['cut bottles, thread, lap and tape', 15, 12],
];

export function heatPipeSections(
  layout: HeatPipeLayout,
  thermal: HeatPipeModel,
  bareOf: () => HeatPipeModel,
  { boundary }: HeaterAtWork,
): SectionSource[] {
  const { parameters, volume, charge } = layout;
  const dry = dryOutTemperature(charge, volume);
  const hottest = thermal.state(fullSun).places.tube ?? Number.NaN;
  const figure = (id: string, label: string, kind: Readout['kind'], value: number, digits?: number): Readout => ({
    id,
    label,
    kind,
    values: Number.isFinite(value) ? [value] : [],
    ...(digits === undefined ? {} : { digits }),
  });
  return [
    {
      id: 'pipe',
      title: 'One heat pipe',
      deep: true,
      make: () => ({
        kind: 'figures',
        readouts: [
          figure('volume', parameters.fill > 0 ? 'Holds, as it was filled' : 'Holds, as drawn', 'volume', volume, 3),
          figure('bore', parameters.fill > 0 ? 'Bore, by its fill' : 'Bore, as sold', 'length', layout.bore),
          figure('charge', 'Charge', 'mass', charge, 3),
          figure('hottest', 'Hottest, nothing drawn', 'temperature', hottest, 0),
          figure('pressure', 'Inside then, over the air outside', 'pressure', pressureInside(hottest), 1),
          figure('flooding', 'Carries at most, at 60 °C', 'power', floodingLimit(layout.bore, 60), 0),
          ...(Number.isFinite(dry) ? [figure('dry-out', 'All of it is steam at', 'temperature', dry, 0)] : []),
          figure('tilt', 'Least tilt', 'angle', leastTilt, 0),
        ],
      }),
    },
    {
      id: 'inside',
      title: 'Pressure inside, by temperature',
      deep: true,
      make: () => ({
        kind: 'table',
        columns: ['pipe at', 'over the air outside'],
        rows: steps.map((at) => [measured('temperature', at, 0), measured('pressure', pressureInside(at), 1)]),
        note: 'Saturated steam, whatever the charge: each sealed pipe is a pressure vessel. Never a flame on it.',
      }),
    },
    {
      id: 'output',
      title: 'What one pipe gives, by sun and air',
      deep: true,
      make: () => {
        const bare = bareOf();
        const watts = (model: HeatPipeModel, irradiance: number, air: number) => {
          const massFlow = 0.02 * model.apertureArea;
          const day = {
            ...boundary,
            irradiance,
            air,
            surroundings: air - 8,
            wind: 2,
            inlet: warm,
            massFlow,
            incidence: 0,
          };
          return Math.max(0, model.state(day).usefulHeat) / parameters.tubes;
        };
        return {
          kind: 'table',
          columns: ['sun', ...airs.map((air) => `air ${measured('temperature', air, 0)}`)],
          rows: suns.map((sun) => [
            measured('irradiance', sun, 0),
            ...airs.map((air) =>
              layout.sleeved
                ? `${measured('power', watts(thermal, sun, air), 0)}; bare ${measured('power', watts(bare, sun, air), 0)}`
                : measured('power', watts(thermal, sun, air), 0),
            ),
          ]),
          note: `Water at ${measured('temperature', warm, 0)}, sun square on, wind ${measured('speed', 2, 0)}. A pipe colder than its water gives nothing and takes nothing.`,
        };
      },
    },
    {
      id: 'bank',
      title: 'How many pipes',
      deep: true,
      make: () => {
        const each = Math.max(0, thermal.state(boundary).usefulHeat) / parameters.tubes;
        return {
          kind: 'choices',
          path: 'parameters.tubes',
          lead: `Each gives ${measured('power', each, 0)} at this sun and flow; more of them warm the water further and each gives a little less.`,
          choices: banks.map((tubes) => ({
            set: tubes,
            name: `${tubes} pipes`,
            value: { value: each * tubes, kind: 'power' as const, digits: 0 },
            chosen: tubes === parameters.tubes,
          })),
          tail: '',
        };
      },
    },
    {
      id: 'line',
      title: `The line: ${parameters.tubes} pipes, stage by stage`,
      deep: true,
      make: () => ({
        kind: 'table',
        columns: ['stage', 'all of them, minutes'],
        rows: [
          ...stages
            .slice(0, layout.sleeved ? stages.length : -1)
            .map(([name, setUp, each]) => [name, String(setUp + each * parameters.tubes)]),
          [
            'in all',
            String(
              stages
                .slice(0, layout.sleeved ? stages.length : -1)
                .reduce((sum, [, setUp, each]) => sum + setUp + each * parameters.tubes, 0),
            ),
          ],
        ],
        note: 'Each stage for all pipes before the next: one set-up, one stop, one scale. Times by judgement; write yours down on Build.',
      }),
    },
  ];
}
