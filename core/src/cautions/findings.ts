import { type Finding, type Wording, type Words, wordFinding } from '../care';
import { families } from '../families';
import type { OpenJob } from '../job';
import { absentWords, mountFindings, mountWords, paneWindFindings } from '../job';
import { doubtWords } from '../proof';
import type { Habit } from '../quantity';
import { hasSize } from '../shop';
import { growthFindings, growthWords } from './growth';
import { safetyFindings } from './safety';
import { safetyWords } from './safetyWords';
import { type ServiceMargin, serviceMargins } from './serviceMargins';

/** All that is to be looked at in a job: clashes in every panel, what overheats, what must not be under pressure. */
export function jobFindings(open: OpenJob, margins: readonly ServiceMargin[] = serviceMargins(open)): Finding[] {
  const { job } = open;
  const overheated = margins.filter(({ margin }) => margin < 0);
  const loop = overheated.filter(({ panel }) => panel === undefined);
  const panels = open.panels.flatMap(({ design, path: heater }, index): Finding[] => [
    ...design.findings,
    ...design.parts
      .filter((part) => !hasSize(part))
      .map(
        (part): Finding => ({
          code: 'piece-without-size',
          severity: 'clash',
          path: heater,
          values: { name: part.name, size: part.kind === 'length' ? part.length : Math.min(part.width, part.height) },
        }),
      ),
    ...overheated
      .filter(({ panel, joint }) => panel === index && !joint)
      .map((one) => (one.hotter ? sensorFinding(one, heater) : overheatedFinding(one, heater))),
    ...overheated
      .filter(({ panel, joint }) => panel === index && joint)
      .map(
        ({ name, limit, sees, high }): Finding => ({
          code: 'solder-melts',
          severity: 'caution',
          path: heater,
          values: { name, limit, sees, high },
        }),
      ),
    ...(job.loop.kind === 'drain-back' && design.hydraulic && !design.hydraulic.drains.empties
      ? [
          {
            code: 'panel-holds-water',
            severity: 'caution',
            path: `${heater}.turned`,
            values: { how: design.hydraulic.drains.how },
          } as const,
        ]
      : []),
    ...(job.loop.pressurised && design.hydraulic?.weakPoint
      ? [
          {
            code: 'weak-under-pressure',
            severity: 'stop',
            path: 'loop.pressurised',
            about: heater,
            values: { what: design.hydraulic.weakPoint },
          } as const,
        ]
      : []),
  ]);
  return [
    ...panels,
    ...safetyFindings(open),
    ...paneWindFindings(open),
    ...growthFindings(open, margins),
    ...mountFindings(open),
    ...loop.map((one) => overheatedFinding(one)),
  ];
}

/** A sensor, or its cable, that is too weak for its place. */
function sensorFinding({ name, words, limit, sees, high, hotter }: ServiceMargin, heater: string): Finding {
  return {
    code: 'sensor-overheats',
    severity: 'caution',
    path: 'loop.hotSensor',
    about: `${heater} ${name}`,
    values: { name, place: words, limit, sees, high, instead: hotter?.name ?? '', stands: hotter?.limit ?? limit },
    fix: true,
  };
}

/** A material that overheats. */
function overheatedFinding(
  { name, place, words, limit, sees, high, path }: ServiceMargin,
  heater = 'heaters',
): Finding {
  return {
    code: path === 'loop.glycol' ? 'glycol-overheats' : place === 'loop' ? 'loop-overheats' : 'material-overheats',
    severity: 'caution',
    path: path ?? heater,
    values: { name, place: words, limit, sees, high },
  };
}

/** `reaches 132 °C, in one panel of twenty 138 °C or more`. */
function reaches(values: Parameters<Words>[0], say: Parameters<Words>[1]): string {
  const [sees, high] = ['sees', 'high'].map((one) => say.quantity('temperature', values.number(one), 0));
  return `reaches ${sees}, in one panel of twenty ${high} or more`;
}

const jobWords: Record<string, Words> = {
  'panel-holds-water': (values) => ({
    headline: 'the panel does not drain',
    detail: `The loop drains back when the pump stops, but as this panel lies ${values.text('how')}: it freezes there.`,
    remedy:
      'Take a kind that runs empty, risers up the slope with 2 % of fall in the headers, or a filled loop with glycol.',
  }),
  ...absentWords,
  ...doubtWords,
  ...safetyWords,
  ...growthWords,
  ...mountWords,
  'piece-without-size': (values, say) => ({
    headline: `${values.text('name').toLowerCase()} has no length`,
    detail: `As drawn it comes to ${say.length(values.number('size'))}: nothing is left of it to cut.`,
    remedy: 'Draw what stands at its ends farther apart, or take a thinner tube or a shorter fitting.',
  }),
  'glycol-overheats': (values, say) => ({
    headline: 'the glycol turns acid when it stands',
    detail: `In a panel that stands still in full sun it meets ${say.quantity('temperature', values.number('sees'), 0)}, in one panel of twenty ${say.quantity('temperature', values.number('high'), 0)} or more; above ${say.quantity('temperature', values.number('limit'), 0)} it breaks down, and eats tube and joint.`,
    remedy:
      'Keep the pump running or the pane covered while nobody draws water, test the fluid every year, or take a loop that drains back.',
  }),
  'material-overheats': (values, say) => ({
    headline: `${values.text('name')} overheats`,
    detail: `Dry in full sun the ${values.text('place')} ${reaches(values, say)}; ${values.text('name')} is rated to ${say.quantity('temperature', values.number('limit'), 0)}.`,
    remedy: 'Take a material that stands the heat. A panel left dry in the sun gets this hot on the first day.',
  }),
  'sensor-overheats': (values, say) => ({
    headline: `${values.text('name')} gets too hot`,
    detail: `Dry in full sun the ${values.text('place')} ${reaches(values, say)}; ${values.text('name')} is rated to ${say.quantity('temperature', values.number('limit'), 0)}.`,
    remedy: `Use a ${values.text('instead')}: it is rated to ${say.quantity('temperature', values.number('stands'), 0)}.`,
  }),
  'solder-melts': (values, say) => ({
    headline: `${values.text('name')} would melt`,
    detail: `Dry in full sun the solder ${reaches(values, say)}; it begins to melt at ${say.quantity('temperature', values.number('limit'), 0)}.`,
    remedy: 'Solder with tin and 5 % antimony, or braze, and keep the panel from standing dry in the sun.',
  }),
  'loop-overheats': (values, say) => ({
    headline: `${values.text('name')} overheats`,
    detail: `When the panel boils dry its steam pushes water of ${say.quantity('temperature', values.number('sees'), 0)} back down the loop; ${values.text('name')} stands ${say.quantity('temperature', values.number('limit'), 0)}.`,
    remedy:
      'Run copper for the metres next to the panel, on both sides, and keep plastic behind them. Your local code says how far.',
  }),
  'weak-under-pressure': (values) => ({
    headline: `${values.text('what')} under mains pressure`,
    detail:
      'A riser let into a drilled header is a butt of wall thickness, no capillary joint; bolted sheets bow and tear at their bolts. They hold an open, low-pressure loop and no more.',
    remedy:
      'Keep this panel off mains pressure, or build one whose joints are rated for it. Your local code and a licensed plumber stand above this.',
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
