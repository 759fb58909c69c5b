import { loopBoils } from '../cautions';
import { freezingAir, stagnationTemperature, timeToReach } from '../heat';
import type { OpenJob } from '../job';
import { nightConditions, stagnationConditions } from '../job';
import type { Derivation } from './derivations';
import type { Figures } from './evaluate';

/** A panel that stands still: by day in the sun, by night under the sky. */
export interface StillFigures {
  /** s from the air of the morning to its working temperature in the design sun, full; absent without a working point. */
  warmUp?: number;
  /** s until the water of a full, still panel boils in full sun; Infinity when it never does. Absent for a film, which runs off. */
  boils?: number;
  /** °C at which it boils there, in the open or against the relief valve. */
  boilingPoint: number;
  /** K by which the plate falls below the air on a clear night at 10 °C. */
  belowAir: number;
  /** °C of the air at which the plate of a full panel stands at freezing under a clear sky. Absent for a film. */
  freezesAt?: number;
}

const nightAir = 10;

export function stillFigures(open: OpenJob, figures: Figures, index: number): StillFigures {
  const panel = open.panels[index];
  const figure = figures.perPanel[index];
  if (!panel || !figure) throw new RangeError(`no panel ${index}`);
  const { heat } = panel.design;
  const { job } = open;
  const full = stagnationConditions(job);
  const boiling = loopBoils(open);
  const morning = { ...figures.conditions, massFlow: 0 };
  const { state } = figure;
  return {
    ...(state
      ? { warmUp: timeToReach(heat, morning, { from: morning.air, to: state.plateTemperature, full: true }) }
      : {}),
    ...(panel.design.water.kind === 'film'
      ? {}
      : {
          boils: timeToReach(heat, full, { from: full.air, to: boiling, full: true }),
          freezesAt: freezingAir(heat, (air) => nightConditions(job, air)),
        }),
    boilingPoint: boiling,
    belowAir: nightAir - stagnationTemperature(heat, nightConditions(job, nightAir)),
  };
}

/** Derivations of what a still panel does. */
export function stillDerivations(
  open: OpenJob,
  figures: Figures,
  index: number,
): Record<keyof StillFigures, Derivation> {
  const still = stillFigures(open, figures, index);
  const heat = open.panels[index]?.design.heat;
  const { capacity } = heat ?? { capacity: { dry: 0, water: 0 } };
  const full = stagnationConditions(open.job);
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
    formula: 'the plate at which back, rim, wind and sky take and give nothing in all',
    source: 'balance of the still plate; sky by Berdahl and Martin (1984) at 85 % humidity, wind 0.5 m/s',
  };
  return {
    warmUp: {
      name: 'Warm-up, full and still',
      formula: 'sum of (metal + water) × each step of temperature ÷ (sun kept − loss there)',
      source: 'one heat capacity, Duffie and Beckman section 6.12',
      inputs: [
        metal,
        water,
        { label: 'sun on the pane', value: figures.conditions.irradiance, kind: 'irradiance' },
        { label: 'from', value: figures.conditions.air, kind: 'temperature' },
        { label: 'to', value: figures.perPanel[index]?.state?.plateTemperature ?? 0, kind: 'temperature' },
      ],
    },
    boils: {
      name: 'Full and still, boils after',
      formula: 'sum of (metal + water) × each step of temperature ÷ (sun kept − loss there)',
      source:
        'one heat capacity, Duffie and Beckman section 6.12; boiling by IAPWS-IF97 at the site’s height and the loop’s pressure',
      inputs: [
        metal,
        water,
        { label: 'sun on the pane', value: full.irradiance, kind: 'irradiance' },
        { label: 'from', value: full.air, kind: 'temperature' },
        boiling,
      ],
    },
    boilingPoint: {
      name: 'Boiling point here',
      formula:
        'temperature at which steam has the pressure of the air at this height, and of the relief valve in a closed loop (3 bar)',
      source: 'IAPWS-IF97, region 4',
      inputs: [boiling],
    },
    belowAir: {
      name: 'Below the air on a clear night',
      ...nights,
      inputs: [
        { label: 'air', value: night.air, kind: 'temperature' },
        { label: 'sky and ground look like', value: night.surroundings, kind: 'temperature' },
      ],
    },
    freezesAt: {
      name: 'Freezes when the air is at',
      ...nights,
      inputs: [{ label: 'plate', value: 0, kind: 'temperature' }],
    },
  };
}
