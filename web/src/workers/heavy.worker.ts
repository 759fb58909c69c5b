import { type Conditions, compareJob, evaluateBands, type Job, type Reading, type Sensors } from '@north-pane/core';
import { expose } from 'comlink';

const heavy = {
  bands: (job: Job, conditions: Partial<Conditions>, samples: number) =>
    evaluateBands(job, conditions, { samples, seed: 1 }),
  /** Gain and heat over flows, with their bands at each. */
  overFlow: (job: Job, conditions: Partial<Conditions>, flows: readonly number[]) =>
    flows.map((massFlow) => {
      const { gain, usefulHeat } = evaluateBands(job, { ...conditions, massFlow }, { samples: 60, seed: 1 });
      return { massFlow, gain, usefulHeat };
    }),
  /** Efficiency over inlets above air, with its band at each. */
  overInlet: (job: Job, conditions: Partial<Conditions>, rises: readonly number[]) =>
    rises.map((rise) => {
      const air = conditions.air ?? 15;
      const { efficiency } = evaluateBands(job, { ...conditions, inlet: air + rise }, { samples: 60, seed: 1 });
      return { rise, efficiency };
    }),
  /** Readings against the job as it was built. */
  compare: (job: Job, readings: readonly Reading[], sensors: Sensors) => compareJob(job, readings, sensors),
};
export type Heavy = typeof heavy;
expose(heavy);
