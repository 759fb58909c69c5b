import { totalAperture } from '../loop';
import { momentsOf, ninetyDeviate } from '../thermal';
import type { Comparison } from './comparison';
import { leastSun, plantCapacity } from './drift';
import { effectsOf, judge } from './effects';
import { instrumentsOf, type Plant } from './predict';
import { type Reading, type Sensors, sensorErrors, skyShares } from './reading';
import { meanOf, riseOver, standingInterval } from './warmUp';

/** s. A warm-up this long in the sun says most. */
const longWarmUp = 2 * 3600;

/** A reading of water that stands against the one before it; undefined where nothing can be made of the two. */
export function compareStanding(
  plant: Plant,
  before: Reading,
  reading: Reading,
  sensors: Sensors,
): Comparison | undefined {
  const standing = standingInterval(plant, before, reading);
  if (!standing) return undefined;
  const { groups } = plant;
  const { mean, seconds, start } = standing;
  const capacity = plantCapacity(groups);
  const inputs = new Set(groups.flatMap(({ thermal }) => thermal.inputs.map(({ id }) => id)));
  const gain = riseOver(groups, standing);
  const effects = effectsOf(inputs, mean, instrumentsOf(reading, sensors), (change, deviates) => {
    const sun = mean.irradiance > 0 ? (change.irradiance ?? mean.irradiance) / mean.irradiance : 1;
    return { gain: riseOver(groups, standing, { sun }, deviates) };
  });
  const drawn = Object.entries(effects).filter(([name]) => !/^(flow|thermometers):/.test(name));
  const spread = momentsOf(drawn.map(([, effect]) => effect));
  const half = ninetyDeviate * Math.sqrt(spread.variance);
  const measured = meanOf(reading) - start;
  const all = momentsOf(Object.values(effects));
  const score = (measured - gain - all.mean) / Math.sqrt(all.variance);
  const sun = mean.irradiance * totalAperture(groups);
  const heatOf = (rise: number) => (capacity * rise) / seconds;
  const worded = reading.irradiance === undefined && reading.sky ? skyShares[reading.sky].judge : true;
  const fit = worded && mean.irradiance >= leastSun;
  return {
    reading,
    since: before,
    predicted: {
      irradiance: mean.irradiance,
      incidence: mean.incidence,
      outlet: start + gain,
      gain,
      heat: heatOf(gain),
      low: Math.min(gain, gain + spread.mean - half),
      high: Math.max(gain, gain + spread.mean + half),
      effects,
    },
    measuredGain: measured,
    measuredHalf: ninetyDeviate * sensorErrors(sensors).difference,
    settledGain: measured,
    measuredHeat: heatOf(measured),
    efficiency: {
      x: (start + measured / 2 - mean.air) / Math.max(1, mean.irradiance),
      measured: sun > 0 ? heatOf(measured) / sun : 0,
      predicted: sun > 0 ? heatOf(gain) / sun : 0,
    },
    score,
    judgement: judge(score),
    steady: fit && seconds >= longWarmUp,
    drift: { known: true, rate: measured / seconds },
    fit,
  };
}
