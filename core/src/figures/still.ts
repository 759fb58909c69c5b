import { loopBoils } from '../cautions';
import type { OpenJob } from '../job';
import { nightConditions, stagnationConditions } from '../job';
import type { Derivation, Readout } from '../readout';
import { bodyTemperature, freezingAir, stagnationTemperature, timeToReach } from '../thermal';
import type { Figures } from './evaluate';

/** A heater that stands still: by day in the sun, by night under the sky. */
export interface StillFigures {
  /** s from the air of the morning to its working temperature in the design sun, full; absent without a working point. */
  warmUp?: number;
  /** s until the water of a full, still heater boils in full sun; Infinity when it never does. Absent where water runs off. */
  boils?: number;
  /** °C at which it boils there, in the open or against the relief valve. */
  boilingPoint: number;
  /** K by which it falls below the air on a clear night at 10 °C. */
  belowAir: number;
  /** °C of the air at which a full heater stands at freezing under a clear sky. Absent where water runs off. */
  freezesAt?: number;
}

const nightAir = 10;

function atWork(open: OpenJob, figures: Figures, index: number) {
  const panel = open.panels[index];
  const figure = figures.perHeater[index];
  if (!panel || !figure) throw new RangeError(`no heater ${index}`);
  const { thermal } = panel.design;
  const state = figure.work?.state;
  // A store is warm when its water is what it is wanted at.
  const body = thermal.integralStorage
    ? open.job.need.target
    : state?.outletTemperature === undefined
      ? undefined
      : bodyTemperature(thermal, state);
  return { thermal, body };
}

export function stillFigures(open: OpenJob, figures: Figures, index: number): StillFigures {
  const { thermal, body } = atWork(open, figures, index);
  const { job } = open;
  const full = stagnationConditions(job, thermal);
  const boiling = loopBoils(open);
  const morning = { ...figures.conditions, massFlow: 0 };
  return {
    ...(body === undefined
      ? {}
      : { warmUp: timeToReach(thermal, morning, { from: morning.air, to: body, full: true }) }),
    ...(thermal.drainsWhenIdle
      ? {}
      : {
          boils: timeToReach(thermal, full, { from: full.air, to: boiling, full: true }),
          freezesAt: freezingAir(thermal, (air) => nightConditions(job, air)),
        }),
    boilingPoint: boiling,
    belowAir: nightAir - stagnationTemperature(thermal, nightConditions(job, nightAir)),
  };
}

/** Readouts of what a still heater does, each with its derivation. */
export function stillReadouts(open: OpenJob, figures: Figures, index: number): Readout[] {
  const still = stillFigures(open, figures, index);
  const { thermal, body } = atWork(open, figures, index);
  const { capacity } = thermal;
  const name = thermal.places.find(({ id }) => id === thermal.body)?.short ?? thermal.body;
  const full = stagnationConditions(open.job, thermal);
  const night = nightConditions(open.job, nightAir);
  const metal = {
    label: 'metal and a third of the pane, kJ/K',
    value: capacity.dry / 1000,
    kind: 'number',
    digits: 1,
  } as const;
  const water = { label: 'water, kJ/K', value: capacity.water / 1000, kind: 'number', digits: 1 } as const;
  const boiling = { label: 'water boils here at', value: still.boilingPoint, kind: 'temperature' } as const;
  const nights = {
    formula: `the temperature of the ${name} at which all its losses and gains are zero together`,
    source: 'balance of the still heater; sky by Berdahl and Martin (1984) at 85 % humidity, wind 0.5 m/s',
  };
  const warming = 'sum of (metal + water) × each step of temperature ÷ (sun kept − loss there)';
  const readout = (
    id: keyof StillFigures,
    label: string,
    kind: Readout['kind'],
    derivation: Derivation,
    digits?: number,
  ): Readout => {
    const value = still[id];
    return {
      id,
      label,
      kind,
      ...(digits === undefined ? {} : { digits }),
      values: value === undefined ? [] : [value],
      derivation,
    };
  };
  return [
    readout('warmUp', 'Warms up, full, in', 'duration', {
      name: 'Warm-up, full and still',
      formula: warming,
      source: 'one heat capacity, Duffie and Beckman section 6.12',
      inputs: [
        metal,
        water,
        { label: 'sun on the pane', value: figures.conditions.irradiance, kind: 'irradiance' },
        { label: 'from', value: figures.conditions.air, kind: 'temperature' },
        { label: 'to', value: body ?? figures.conditions.air, kind: 'temperature' },
      ],
    }),
    ...(still.boils === undefined
      ? []
      : [
          readout('boils', 'Full and still, boils after', 'duration', {
            name: 'Full and still, boils after',
            formula: warming,
            source:
              'one heat capacity, Duffie and Beckman section 6.12; boiling by IAPWS-IF97 at the site’s height and the loop’s pressure',
            inputs: [
              metal,
              water,
              { label: 'sun on the pane', value: full.irradiance, kind: 'irradiance' },
              { label: 'from', value: full.air, kind: 'temperature' },
              boiling,
            ],
          }),
        ]),
    readout('belowAir', 'Below the air by clear night', 'temperatureDifference', {
      name: 'Below the air on a clear night',
      ...nights,
      inputs: [
        { label: 'air', value: night.air, kind: 'temperature' },
        { label: 'sky and ground look like', value: night.surroundings, kind: 'temperature' },
      ],
    }),
    ...(still.freezesAt === undefined
      ? []
      : [
          readout(
            'freezesAt',
            'Freezes, full, when the air is',
            'temperature',
            {
              name: 'Freezes when the air is at',
              ...nights,
              inputs: [{ label: name, value: 0, kind: 'temperature' }],
            },
            0,
          ),
        ]),
  ];
}
