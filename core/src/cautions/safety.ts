import type { Finding } from '../care';
import { hottestStart } from '../catalogue';
import { type Job, storesOf } from '../document';
import type { HeaterDesign } from '../families';
import type { OpenJob } from '../job';
import { nightConditions, stagnationConditions } from '../job';
import { freezingAir, glycolFreezing, stagnationTemperature, timeToReach } from '../thermal';
import { loopBoils } from './boiling';

/** °C. A shower's store is heated to this now and then, or legionella lives in it: WHO, Legionella and the prevention of legionellosis (2007). */
const disinfects = 60;
/** °C. Between these it grows. */
const growsBetween = { low: 20, high: 45 };
/** °C that scalds an adult in five seconds: Moritz and Henriques (1947). */
const scalds = 60;
/** L of store for each m² of pane: trade. */
const storePerArea = { least: 40, usualLow: 50, usualHigh: 75 };
/** Share by which water grows from 10 to 95 °C: steam tables. */
const growth = 0.039;
/** °C of the air of a hard night, and of the store that meets it. Judgement. */
export const hardNight = { air: -10, water: 10 } as const;
/** °C of the air in the night that a panel's fall below it is told for. */
const clearNight = 10;
/** kg/m³ of the water in a full barrel. */
const waterDensity = 1000;

interface Rule extends Pick<Finding, 'about' | 'measure'> {
  code: string;
  severity: Finding['severity'];
  /** Field that mends it, and the value that does. */
  path: string;
  fix?: Finding['fix'];
}

/** A finding of the whole job. */
function found(rule: Rule, values: Finding['values']): Finding {
  const { fix, ...rest } = rule;
  return { ...rest, values, ...(fix === undefined ? {} : { fix }) };
}

/**
 * Dangers of the whole job that its design alone decides: frost, pressure, scald, germs, what may be drunk, metals that eat each other, the
 * store against the pane. Judged for every kind of heater; each with its number.
 */
export function safetyFindings(open: OpenJob): Finding[] {
  return [
    ...frost(open),
    ...night(open),
    ...pressure(open),
    ...heat(open),
    ...health(open),
    ...metals(open),
    ...store(open),
  ];
}

/** A store that goes round by itself at night, through a panel colder than the air. */
function night(open: OpenJob): Finding[] {
  const { job } = open;
  const { loop } = job;
  // By itself the store stands above its panel, and the cold stays below.
  if ((loop.kind !== 'pumped-direct' && loop.kind !== 'pumped-coil') || loop.check) return [];
  const falls = open.panels.map(
    ({ design }) => clearNight - stagnationTemperature(design.thermal, nightConditions(job, clearNight)),
  );
  return [
    found({ code: 'night-siphon', severity: 'caution', path: 'loop.check', fix: true }, { below: Math.max(...falls) }),
  ];
}

/**
 * Seconds in which a full heater that is its own store comes from 10 to 0 °C through a hard night, its lid shut; Infinity when
 * it does not.
 */
export function timeToFreeze({ job, panels }: OpenJob, index: number): number {
  const thermal = panels[index]?.design.thermal;
  if (!thermal) throw new RangeError(`no heater ${index}`);
  const night = { ...nightConditions(job, hardNight.air), covered: thermal.hasLid };
  return timeToReach(thermal, night, { from: hardNight.water, to: 0, full: true });
}

/** Whether a heater runs empty by itself when the pump stops, and holds nothing that freezes. */
export function runsEmpty({ hydraulic, thermal }: HeaterDesign, { kind }: Pick<Job['loop'], 'kind'>): boolean {
  return thermal.drainsWhenIdle || (kind === 'drain-back' && hydraulic?.drains.empties === true);
}

/** Mains water stands in it: glycol has no place there, and the store itself is slower than the pipe that feeds it. */
function storeFrost(open: OpenJob, index: number): Finding {
  const thermal = open.panels[index]?.design.thermal;
  return found(
    { code: 'store-freezes', severity: 'caution', path: 'need.frost' },
    {
      heater: index + 1,
      air: thermal ? freezingAir(thermal, (air) => nightConditions(open.job, air)) : 0,
      hard: hardNight.air,
      seconds: timeToFreeze(open, index),
    },
  );
}

/** Water that stands where it freezes, heater by heater: one that is its own store takes nothing off the others. */
function frost(open: OpenJob): Finding[] {
  const { job } = open;
  const { need, loop } = job;
  if (!need.frost) return [];
  const circulated = open.panels.some(({ design }) => !design.thermal.integralStorage);
  const weak =
    loop.glycol && circulated && glycolFreezing(loop.glycol) > hardNight.air
      ? [
          found(
            { code: 'glycol-weak', severity: 'caution', path: 'loop.glycol', fix: 0.4 },
            { share: loop.glycol, freezes: glycolFreezing(loop.glycol), wanted: glycolFreezing(0.4) },
          ),
        ]
      : [];
  return [
    ...weak,
    ...open.panels.flatMap(({ design }, index): Finding[] => {
      if (design.thermal.integralStorage) return [storeFrost(open, index)];
      if (loop.glycol || runsEmpty(design, loop)) return [];
      const air = freezingAir(design.thermal, (one) => nightConditions(job, one));
      return [
        found(
          { code: 'plain-water-freezes', severity: 'caution', path: 'loop.glycol', fix: 0.4 },
          { air, panel: index + 1 },
        ),
      ];
    }),
  ];
}

/** What presses. */
function pressure(open: OpenJob): Finding[] {
  const { job } = open;
  const { loop } = job;
  if (!loop.pressurised) return [];
  const volume = open.panels.reduce(
    (sum, { design, document }) => sum + (design.hydraulic?.volume ?? 0) * document.count,
    0,
  );
  const barrel = storesOf(job).find(({ kind }) => kind === 'barrel');
  const plastic = loop.pipe !== undefined && loop.pipe !== 'copper' ? loop.pipe : undefined;
  return [
    ...(loop.relief
      ? []
      : [
          found(
            { code: 'no-relief', severity: 'stop', path: 'loop.relief', fix: true },
            { gains: 2.5e5, boils: loopBoils(open) },
          ),
        ]),
    ...(loop.expansion
      ? []
      : [
          found(
            { code: 'no-expansion', severity: 'caution', path: 'loop.expansion', fix: true },
            { grows: growth * volume },
          ),
        ]),
    ...(barrel
      ? [
          found(
            { code: 'barrel-under-pressure', severity: 'stop', path: 'loop.pressurised', measure: barrel.volume },
            { volume: barrel.volume },
          ),
        ]
      : []),
    ...(plastic === 'pvc' || plastic === 'hose'
      ? [
          found(
            { code: 'plastic-under-pressure', severity: 'stop', path: 'loop.pipe', fix: 'copper' },
            { pipe: plastic },
          ),
        ]
      : []),
  ];
}

/** Whether people stand in its water. */
function washed({ kind }: OpenJob['job']['need']): boolean {
  return kind === 'showers' || kind === 'washing';
}

/** What is hot. */
function heat(open: OpenJob): Finding[] {
  const { job } = open;
  const { loop, need } = job;
  const plates = open.panels.map(({ design }) =>
    stagnationTemperature(design.thermal, stagnationConditions(job, design.thermal)),
  );
  const plate = Math.max(...plates);
  const pumped = loop.kind === 'pumped-direct' || loop.kind === 'pumped-coil' || loop.kind === 'drain-back';
  return [
    ...(pumped && plate > hottestStart && !loop.cutout
      ? [
          found(
            { code: 'starts-on-hot-plate', severity: 'stop', path: 'loop.cutout', fix: true, measure: plate },
            { plate, most: hottestStart },
          ),
        ]
      : []),
    ...(washed(need) && !loop.mixing && plate > scalds
      ? [found({ code: 'scalds', severity: 'caution', path: 'loop.mixing', fix: true }, { scalds, plate })]
      : []),
    ...(loop.pipe === 'hose'
      ? [found({ code: 'hose-scalds', severity: 'caution', path: 'loop.pipe', fix: 'copper' }, { scalds })]
      : []),
  ];
}

/** What is drunk, or breathed under a shower. */
function health(open: OpenJob): Finding[] {
  const { job } = open;
  const { loop, need } = job;
  const direct = !loop.coil;
  const soldered = open.panels.some(({ design }) => design.materials.some(({ joint }) => joint !== undefined));
  const integralStorage = open.panels.some(({ design }) => design.thermal.integralStorage);
  const circulated = open.panels.some(({ design }) => !design.thermal.integralStorage);
  return [
    ...(integralStorage && (washed(need) || need.drinking)
      ? [found({ code: 'tepid-store', severity: 'caution', path: 'need.target' }, { ...growsBetween, disinfects })]
      : []),
    ...(need.kind === 'showers' && direct && circulated && need.target < disinfects
      ? [
          found(
            { code: 'legionella', severity: 'caution', path: 'loop.coil', fix: true },
            { ...growsBetween, target: need.target, disinfects },
          ),
        ]
      : []),
    ...(need.drinking && loop.glycol && !loop.backflow
      ? [
          found(
            {
              code: 'glycol-by-drinking-water',
              severity: 'stop',
              path: 'loop.backflow',
              fix: true,
              measure: loop.glycol,
            },
            { share: loop.glycol },
          ),
        ]
      : []),
    ...(need.drinking && direct
      ? open.panels.flatMap(({ design, path }): Finding[] =>
          design.neverDrunk
            ? [
                found(
                  { code: 'never-drunk', severity: 'stop', path: 'loop.coil', fix: true, about: path },
                  { what: design.neverDrunk },
                ),
              ]
            : [],
        )
      : []),
    ...(need.drinking && direct && soldered
      ? [found({ code: 'lead-free', severity: 'caution', path: 'loop.coil', fix: true }, { share: 0.1 })]
      : []),
    ...(need.drinking && loop.pipe === 'hose'
      ? [
          found(
            { code: 'hose-not-drunk', severity: 'stop', path: 'loop.pipe', fix: 'copper' },
            { least: growsBetween.low, most: growsBetween.high },
          ),
        ]
      : []),
  ];
}

/** Metals that meet in one water. */
function metals(open: OpenJob): Finding[] {
  const { loop } = open.job;
  const copper = loop.pipe === 'copper';
  const wetted = new Set(open.panels.map(({ design }) => design.wettedMetal));
  const zinc = wetted.has('zinc');
  const aluminium = wetted.has('aluminium');
  const mixed = copper || wetted.has('copper');
  return [
    ...(zinc && mixed
      ? [
          found(
            { code: 'zinc-by-copper', severity: 'caution', path: 'loop.pipe', fix: 'pex' },
            { from: 60, volts: 1.1 },
          ),
        ]
      : []),
    ...(aluminium && mixed
      ? [found({ code: 'aluminium-by-copper', severity: 'caution', path: 'loop.pipe', fix: 'pex' }, { volts: 1.0 })]
      : []),
  ];
}

/** The store against the pane that heats it. */
function store(open: OpenJob): Finding[] {
  const { job } = open;
  const volume = storesOf(job).reduce((sum, one) => sum + one.volume, 0);
  const area = open.groups.reduce((sum, { thermal: { apertureArea }, count }) => sum + apertureArea * count, 0);
  const per = (1000 * volume) / Math.max(1e-6, area);
  const barrel = job.loop.kind === 'thermosiphon' ? storesOf(job).find(({ kind }) => kind === 'barrel') : undefined;
  const pool = job.need.kind === 'pool';
  const [first] = storesOf(job);
  return [
    ...(first && !pool && per < storePerArea.least
      ? [
          found(
            {
              code: 'store-small',
              severity: 'caution',
              path: `stores.${first.id}.volume`,
              fix: Math.ceil(area * storePerArea.usualLow) / 1000,
            },
            { volume, area, per: per / 1000, low: storePerArea.usualLow / 1000, high: storePerArea.usualHigh / 1000 },
          ),
        ]
      : []),
    ...(barrel
      ? [
          found(
            { code: 'barrel-topples', severity: 'caution', path: `stores.${barrel.id}.kind` },
            { mass: barrel.volume * waterDensity },
          ),
        ]
      : []),
  ];
}
