import { type Finding, type Wording, type Words, wordFinding } from '../care';
import { families } from '../families';
import { stagnationTemperature, topLoss, windCoefficient } from '../heat';
import type { Habit } from '../quantity';
import { stagnationConditions } from './conditions';
import type { OpenJob } from './open';

/** K that the face of the insulation stays below the plate of a dry panel: the room between, by judgement. */
const faceBelowPlate = 4;

/** All that is to be looked at in a job: clashes in every panel, what cooks, what must not be under pressure. */
export function jobFindings(open: OpenJob): Finding[] {
  const { job } = open;
  return open.panels.flatMap(({ design }, index): Finding[] => [
    ...design.findings,
    ...cooking(open, index),
    ...(job.loop.pressurised && design.water.lowPressureJoints
      ? [{ code: 'soft-joints-under-pressure', severity: 'stop', path: 'loop.pressurised', values: {} } as const]
      : []),
  ]);
}

/** Materials whose limit the dry panel passes in full sun. */
function cooking(open: OpenJob, index: number): Finding[] {
  const design = open.panels[index]?.design;
  if (!design) return [];
  const conditions = stagnationConditions(open.job);
  const plate = stagnationTemperature(design.heat, conditions);
  const cover = topLoss({
    plateTemperature: plate,
    ambientTemperature: conditions.air,
    skyTemperature: conditions.surroundings,
    windCoefficient: windCoefficient(conditions.wind, Math.sqrt(design.heat.grossArea)),
    tilt: conditions.tilt,
    plateEmittance: design.heat.emittance.likely,
    covers: design.heat.covers,
  }).coverTemperatures[0];
  const at = { plate, 'insulation face': plate - faceBelowPlate, cover: cover ?? conditions.air };
  return design.materials
    .filter(({ place, limit }) => at[place] > limit)
    .map(({ name, place, limit, path }) => ({
      code: 'material-cooks',
      severity: 'caution',
      path,
      values: { name, place, limit, sees: at[place] },
    }));
}

const jobWords: Record<string, Words> = {
  'material-cooks': (values, say) => ({
    headline: `${values.text('name')} cooks`,
    detail: `Dry in full sun the ${values.text('place')} reaches ${say.quantity('temperature', values.number('sees'), 0)}; ${values.text('name')} stands ${say.quantity('temperature', values.number('limit'), 0)}.`,
    remedy: 'Take a material that stands the heat. A panel left dry in the sun gets this hot on the first day.',
  }),
  'soft-joints-under-pressure': () => ({
    headline: 'soft-soldered joints under mains pressure',
    detail:
      'A riser let into a drilled header is a butt of wall thickness, no capillary joint: soft solder there holds an open, low-pressure loop and no more.',
    remedy:
      'Keep this panel off mains pressure, or braze it, or use formed fittings. Your local code and a licensed plumber stand above this.',
  }),
};

/** Words of every finding that a job can have. */
export const allWords: Readonly<Record<string, Words>> = Object.assign(
  {},
  ...Object.values(families).map((family) => family.words),
  jobWords,
);

/** A finding in words, in the builder's habit. Throws UnworthyFinding. */
export function sayFinding(finding: Finding, habit: Habit): Wording {
  return wordFinding(finding, allWords, habit);
}
