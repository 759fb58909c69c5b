import type { Job } from '../document';
import type { Conditions } from '../job';
import { evaluateBands } from './bands';
import { evaluateJob, type Figures, type HeaterFigures, type WorkFigures } from './evaluate';

type Whole = Omit<Figures, 'perHeater'> &
  WorkFigures & { stagnationTemperature: number; cost: number; perHeater: WholePanel[] };
type WholePanel = HeaterFigures &
  WorkFigures & { stagnationTemperature: number; work: NonNullable<HeaterFigures['work']> };

/** A value that a test takes for granted. */
export function given<T>(value: T | undefined): T {
  if (value === undefined) throw new Error('what the test takes for granted is not there');
  return value;
}

/** Figures of a job that has all of them; throws where one is absent. */
export function wholeFigures(job: Job, conditions?: Partial<Conditions>): Whole {
  const figures = evaluateJob(job, conditions);
  if (figures.absent.length > 0) throw new Error(`absent: ${JSON.stringify(figures.absent)}`);
  return figures as Whole;
}

/** Bands of a job that has all of them. */
export function wholeBands(...query: Parameters<typeof evaluateBands>) {
  const bands = evaluateBands(...query);
  return {
    usefulHeat: given(bands.usefulHeat),
    gain: given(bands.gain),
    outletTemperature: given(bands.outletTemperature),
    efficiency: given(bands.efficiency),
    stagnationTemperature: given(bands.stagnationTemperature),
  };
}
