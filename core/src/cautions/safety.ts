import type { Finding, Words } from '../care';
import { hottestStart } from '../catalogue';
import type { OpenJob } from '../job';
import { nightConditions, stagnationConditions } from '../job';
import { freezingAir, glycolFreezing, stagnationTemperature } from '../thermal';
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
/** °C of the air in the night that a panel's fall below it is told for. */
const clearNight = 10;
/** kg/m³ of the water in a full barrel. */
const waterDensity = 1000;

interface Rule {
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

/** Water that stands where it freezes. */
function frost(open: OpenJob): Finding[] {
  const { job } = open;
  const { need, loop } = job;
  if (!need.frost) return [];
  if (loop.glycol)
    return glycolFreezing(loop.glycol) > -10
      ? [
          found(
            { code: 'glycol-weak', severity: 'caution', path: 'loop.glycol', fix: 0.4 },
            { share: loop.glycol, freezes: glycolFreezing(loop.glycol), wanted: glycolFreezing(0.4) },
          ),
        ]
      : [];
  return open.panels.flatMap(({ design }, index): Finding[] => {
    // What runs empty by itself when the pump stops holds nothing that freezes.
    if ((loop.kind === 'drain-back' && design.hydraulic?.drains.empties) || design.thermal.runsDry) return [];
    const air = freezingAir(design.thermal, (one) => nightConditions(job, one));
    return [
      found(
        { code: 'plain-water-freezes', severity: 'caution', path: 'loop.glycol', fix: 0.4 },
        { air, panel: index + 1 },
      ),
    ];
  });
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
  const barrel = job.stores.find(({ kind }) => kind === 'barrel');
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
            { code: 'barrel-under-pressure', severity: 'stop', path: 'loop.pressurised' },
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

/** What is hot. */
function heat(open: OpenJob): Finding[] {
  const { job } = open;
  const { loop, need } = job;
  const dry = stagnationConditions(job);
  const plates = open.panels.map(({ design }) => stagnationTemperature(design.thermal, dry));
  const plate = Math.max(...plates);
  const pumped = loop.kind === 'pumped-direct' || loop.kind === 'pumped-coil' || loop.kind === 'drain-back';
  const washed = need.kind === 'showers' || need.kind === 'washing';
  return [
    ...(pumped && plate > hottestStart && !loop.cutout
      ? [
          found(
            { code: 'starts-on-hot-plate', severity: 'stop', path: 'loop.cutout', fix: true },
            { plate, most: hottestStart },
          ),
        ]
      : []),
    ...(washed && !loop.mixing && plate > scalds
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
  return [
    ...(need.kind === 'showers' && direct && need.target < disinfects
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
            { code: 'glycol-by-drinking-water', severity: 'stop', path: 'loop.backflow', fix: true },
            { share: loop.glycol },
          ),
        ]
      : []),
    ...(need.drinking && direct
      ? open.panels.flatMap(({ design }): Finding[] =>
          design.neverDrunk
            ? [
                found(
                  { code: 'never-drunk', severity: 'stop', path: 'loop.coil', fix: true },
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
  const volume = job.stores.reduce((sum, one) => sum + one.volume, 0);
  const area = open.groups.reduce((sum, { thermal: { apertureArea }, count }) => sum + apertureArea * count, 0);
  const per = (1000 * volume) / Math.max(1e-6, area);
  const barrel = job.loop.kind === 'thermosiphon' ? job.stores.find(({ kind }) => kind === 'barrel') : undefined;
  const pool = job.need.kind === 'pool';
  return [
    ...(job.stores.length > 0 && !pool && per < storePerArea.least
      ? [
          found(
            {
              code: 'store-small',
              severity: 'caution',
              path: 'stores.0.volume',
              fix: Math.ceil(area * storePerArea.usualLow) / 1000,
            },
            { volume, area, per: per / 1000, low: storePerArea.usualLow / 1000, high: storePerArea.usualHigh / 1000 },
          ),
        ]
      : []),
    ...(barrel
      ? [
          found(
            { code: 'barrel-topples', severity: 'caution', path: 'stores.0.kind' },
            { mass: barrel.volume * waterDensity },
          ),
        ]
      : []),
  ];
}

const stands = 'Your local code and a licensed plumber stand above this.';

export const safetyWords: Record<string, Words> = {
  'plain-water-freezes': (values, say) => ({
    headline: 'plain water freezes in it',
    detail: `Panel ${values.number('panel')} holds its water, and under a clear sky its plate stands at freezing when the air is still at ${say.quantity('temperature', values.number('air'), 0)}. Ice bursts tube and joint; insulation only delays it.`,
    remedy: `Let the loop fall empty when the pump stops, or fill it with propylene glycol. ${stands}`,
  }),
  'night-siphon': (values, say) => ({
    headline: 'the store may empty itself into the night',
    detail: `Under a clear sky the panel falls ${say.quantity('temperatureDifference', values.number('below'), 0)} below the air; warm water rises into it by itself, and a store is cold by morning.`,
    remedy: 'Plan a check valve, and look at it every autumn: a stuck one does the same.',
  }),
  'glycol-weak': (values, say) => ({
    headline: 'the glycol is thin',
    detail: `${Math.round(100 * values.number('share'))} % of glycol begins to freeze at ${say.quantity('temperature', values.number('freezes'), 0)}.`,
    remedy: `40 % holds to ${say.quantity('temperature', values.number('wanted'), 0)}; look at the coldest night you know, and test it every autumn.`,
  }),
  'no-relief': (values, say) => ({
    headline: 'no relief valve is planned',
    detail: `Water that is locked in gains ${say.quantity('pressure', values.number('gains'))} a kelvin, and a closed panel in the sun boils at ${say.quantity('temperature', values.number('boils'), 0)}: it bursts, with steam.`,
    remedy: `A new temperature-and-pressure relief valve that nothing can shut off, never a used one; its outlet full bore, falling, open at its end and away from people. No valve may shut both ends of a panel. ${stands}`,
  }),
  'no-expansion': (values, say) => ({
    headline: 'nowhere for the water to grow',
    detail: `From cold to hot the panels’ water alone grows by ${say.quantity('volume', values.number('grows'), 2)}, the store’s besides.`,
    remedy: `Plan an expansion vessel sized for all of it. ${stands}`,
  }),
  'barrel-under-pressure': (values, say) => ({
    headline: 'a barrel under mains pressure',
    detail: `A barrel of ${say.quantity('volume', values.number('volume'), 0)} is made to stand open: mains pressure bursts it.`,
    remedy: `Keep the barrel vented and the mains off it, or take a tank rated for the pressure. ${stands}`,
  }),
  'plastic-under-pressure': (values, say) => ({
    headline: `${values.text('pipe') === 'pvc' ? 'PVC pipe' : 'hose'} under pressure`,
    detail: `At ${say.quantity('temperature', 60, 0)} PVC holds 0.22 of its cold rating and nothing beyond; hose holds less.`,
    remedy: `Copper, and rated fittings, wherever sun-hot water is under pressure. ${stands}`,
  }),
  'starts-on-hot-plate': (values, say) => ({
    headline: 'the pump may start onto a hot plate',
    detail: `Dry in full sun the plate reaches ${say.quantity('temperature', values.number('plate'), 0)}; water that meets more than ${say.quantity('temperature', values.number('most'), 0)} flashes to steam, scalds and breaks joints and pane.`,
    remedy: 'Plan a controller that does not start above that, and fill in the evening or with the panel covered.',
  }),
  scalds: (values, say) => ({
    headline: 'hot enough to scald',
    detail: `The panel can bring ${say.quantity('temperature', values.number('plate'), 0)}; ${say.quantity('temperature', values.number('scalds'), 0)} scalds in 5 seconds, a child in half of that.`,
    remedy: `Plan a thermostatic mixing valve whose inlet stands that heat. ${stands}`,
  }),
  'hose-scalds': (values, say) => ({
    headline: 'the first litre of a hose scalds',
    detail: `Water that has lain in a hose in the sun can pass ${say.quantity('temperature', values.number('scalds'), 0)}.`,
    remedy: 'Let the first litre run away before anybody stands under it, or run copper that is insulated.',
  }),
  legionella: (values, say) => ({
    headline: 'germs grow in a lukewarm store',
    detail: `Between ${say.quantity('temperature', values.number('low'), 0)} and ${say.quantity('temperature', values.number('high'), 0)} legionella grows, and a shower is breathed in. This store is wanted at ${say.quantity('temperature', values.number('target'), 0)}.`,
    remedy: `Draw the shower’s water through a coil in the store, or heat all of it to ${say.quantity('temperature', values.number('disinfects'), 0)} before it is used, mix at the outlet and flush what has stood. ${stands}`,
  }),
  'glycol-by-drinking-water': (values) => ({
    headline: 'glycol beside drinking water',
    detail: `The loop holds ${Math.round(100 * values.number('share'))} % of glycol: one leak in a coil brings it into the water that is drunk.`,
    remedy: `Propylene glycol only, a coil with a double wall that shows its leak, and a backflow preventer. ${stands}`,
  }),
  'never-drunk': (values) => ({
    headline: `${values.text('what')}: never for drinking`,
    detail: `Water that runs over ${values.text('what')} takes up what nobody has tested: none of it may be drunk, at any dilution.`,
    remedy: `Keep it in a loop of its own and draw what is drunk through a coil. ${stands}`,
  }),
  'lead-free': (values) => ({
    headline: 'lead-free everywhere',
    detail: `The water that is drunk runs through every joint: solder, fittings and valves may hold ${values.number('share')} % of lead at the most.`,
    remedy: `Tin-antimony or tin-copper solder, flux that washes off, fittings marked for drinking water; or draw what is drunk through a coil. ${stands}`,
  }),
  'hose-not-drunk': (values, say) => ({
    headline: 'no drinking water through a garden hose',
    detail: `It lies in the sun between ${say.quantity('temperature', values.number('least'), 0)} and ${say.quantity('temperature', values.number('most'), 0)}, where germs grow, and gives off its softeners and lead.`,
    remedy: 'Take pipe that is marked for drinking water.',
  }),
  'zinc-by-copper': (values, say) => ({
    headline: 'zinc and copper in one water',
    detail: `They stand ${values.number('volts')} V apart: copper upstream eats the zinc in months, and above ${say.quantity('temperature', values.number('from'), 0)} zinc no longer guards the steel.`,
    remedy: 'Pipe of plastic that stands the heat, no copper before the sheets, and an inhibitor in a loop of its own.',
  }),
  'aluminium-by-copper': (values) => ({
    headline: 'aluminium and copper in one water',
    detail: `They stand about ${values.number('volts').toFixed(1)} V apart: copper in the water pits thin aluminium through in months.`,
    remedy: 'Plastic pipe that stands the heat, no copper or brass in the same water.',
  }),
  'store-small': (values, say) => ({
    headline: 'little store for so much pane',
    detail: `${say.quantity('volume', values.number('volume'), 0)} to ${say.quantity('area', values.number('area'))} of pane is ${say.quantity('volume', values.number('per'), 0)} a square metre: it boils, or stands dry all week.`,
    remedy: `The trade takes ${say.quantity('volume', values.number('low'), 0)} to ${say.quantity('volume', values.number('high'), 0)} a square metre. A larger store, or less pane.`,
  }),
  'barrel-topples': (values, say) => ({
    headline: 'a raised barrel can topple',
    detail: `Full it weighs ${say.quantity('mass', values.number('mass'), 0)}, over somebody’s head.`,
    remedy: `Braced legs on firm ground, tied to a wall. Your local code and an engineer decide.`,
  }),
};
