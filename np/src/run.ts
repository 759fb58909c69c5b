import { jobSteps, sayStep } from '@north-pane/core/building';
import { jobFindings, sayFinding, serviceMargins } from '@north-pane/core/cautions';
import { provedShop, sayPointFully, wasteFreePoints } from '@north-pane/core/cutting';
import { type Job, readDocument } from '@north-pane/core/document';
import { type Drawing, type PaperFonts, type PaperSize, paperSizes, writeDxf, writeSvg } from '@north-pane/core/draw';
import {
  evaluateBands,
  evaluateJob,
  evaluateOpen,
  heaterCharacteristic,
  heaterSections,
  sectionOf,
  stillFigures,
} from '@north-pane/core/figures';
import { storeDays } from '@north-pane/core/forecasting';
import { editableDimensions, jobShop, openJob, sideOf } from '@north-pane/core/job';
import { cutListCsv, paperKinds, paperLetters, printDrawing, printJob } from '@north-pane/core/papers';
import { compareDesignRules, compareKinds, reasonsOf } from '@north-pane/core/picking';
import { proposeMapping, readReadings, type Sensors, sayVerdict } from '@north-pane/core/proof';
import { compareJob } from '@north-pane/core/proving';
import { type Habit, sayWords } from '@north-pane/core/quantity';
import { layoutDrawing, workWords } from '@north-pane/core/shop';
import { foldEvents, parseEvents, type ShopState } from '@north-pane/core/shoplog';
import { jobAround, jobSky, jobStanding, jobStudy, siteDerivations, skySourceOf } from '@north-pane/core/site';
import { monthsOnPane, sayStanding, sharesOf } from '@north-pane/core/sky';
import { previewTable } from '@north-pane/core/table';
import { workmanships } from '@north-pane/core/thermal';

/** What a verb needs of the world outside. */
export interface World {
  read(path: string): string;
  /** Bytes of the fonts that papers with such words on them are written in. */
  fonts(words: string): PaperFonts;
  now(): Date;
}

/** Something the caller can mend: one line, and exit 2. */
export class Complaint extends Error {}

interface Call {
  job: Job;
  /** How it stands in the shop. */
  state: ShopState;
  options: Readonly<Record<string, string>>;
  world: World;
}

const verbs: Record<string, (call: Call) => unknown | Promise<unknown>> = {
  figures: ({ job }) => evaluateJob(job),
  bands: ({ job, options }) => {
    const workmanship = workmanships.find((one) => one === (options.make ?? 'well made'));
    if (!workmanship) throw new Complaint(`--make: “${options.make}” is none; there are: ${workmanships.join(', ')}`);
    return evaluateBands(job, {}, { seed: Number(options.seed ?? 1), workmanship });
  },
  characteristic: ({ job }) => {
    const open = openJob(job);
    return open.panels.map(({ document }, index) => ({ panel: document.id, ...heaterCharacteristic(open, index) }));
  },
  day: ({ job, options }) => {
    const month = Number(options.month ?? 9);
    if (!Number.isInteger(month) || month < 1 || month > 12)
      throw new Complaint(`--month: “${options.month}” is none; 1 is January, 12 is December`);
    const open = openJob(job);
    const stores = open.panels.flatMap(({ design, document: { id } }, index) =>
      design.thermal.integralStorage
        ? [{ panel: id, days: inUnits(storeDays(open, index, month - 1), job.units) }]
        : [],
    );
    if (stores.length === 0)
      throw new Complaint('heaters: none of them holds its own store; np figures says what flows');
    return stores;
  },
  pick: ({ job }) => ({
    kinds: compareKinds(job).map((one) => {
      if ('trouble' in one) return one;
      const { job: _, taken, stops, cautions, ...rest } = one;
      const reasons = reasonsOf(job, one, job.units);
      const said = (words: readonly string[]) => words.map((line) => sayWords(line, job.units));
      return {
        ...rest,
        taken: said(taken.map(({ words }) => words)),
        for: said(reasons.for),
        against: said(reasons.against),
      };
    }),
    arguments: compareDesignRules(job).map(({ verdict, ...rest }) => ({
      ...rest,
      verdict: sayWords(verdict, job.units),
    })),
  }),
  overheats: ({ job }) => serviceMargins(openJob(job)).map(({ words: _, short: __, order: ___, ...margin }) => margin),
  still: ({ job }) => {
    const open = openJob(job);
    const figures = evaluateOpen(open);
    return open.panels.map(({ document }, index) => ({ panel: document.id, ...stillFigures(open, figures, index) }));
  },
  water: ({ job }) => {
    const open = openJob(job);
    const figures = evaluateOpen(open);
    return open.panels.map(({ document }, index) => {
      const { water } = figures.perHeater[index]?.work ?? {};
      const hydraulic = open.panels[index]?.design.hydraulic;
      const own = water && hydraulic ? hydraulic.readouts(water.at, water.state) : [];
      const headers = sectionOf(heaterSections(open, figures, index), 'headers');
      return {
        panel: document.id,
        ...water?.state,
        ...Object.fromEntries(own.map(({ id, values }) => [id, values[0]])),
        ...(headers ? { headers: inUnits(headers, job.units) } : {}),
      };
    });
  },
  parts: ({ job, state }) =>
    jobShop(openJob(job, state)).parts.map((part) => ({
      ...part,
      operations: workWords(part).map((words) => sayWords(words, job.units)),
    })),
  cuts: async ({ job, state, options }) => {
    const open = openJob(job, state);
    const shop = jobShop(open);
    if (options.format === 'csv') return cutListCsv(shop.parts, job.units);
    if (options.format === 'dxf' || options.format === 'svg') {
      const { materials } = shop.plan;
      if (materials.length === 0) throw new Complaint('heaters: nothing in this job is cut');
      const wanted = options.material ?? materials[0]?.item;
      const material = materials.find(({ item }) => item === wanted);
      if (!material)
        throw new Complaint(
          `--material: “${options.material}” is not cut in this job; there are: ${materials.map(({ item }) => item).join(', ')}`,
        );
      const drawing = layoutDrawing(material);
      return options.format === 'dxf'
        ? writeDxf(drawing, { habit: job.units })
        : writeSvg(drawing, { habit: job.units });
    }
    if (options.format !== undefined && options.format !== 'json')
      throw new Complaint(`--format: “${options.format}” is none; there are: json, csv, svg, dxf`);
    if (options.proved !== undefined && options.proved !== 'yes' && options.proved !== 'no')
      throw new Complaint(`--proved: “${options.proved}” is neither yes nor no`);
    return options.proved === 'yes' ? provedShop({ open, shop }) : shop.plan;
  },
  waste: async ({ job, state, options }) => {
    const open = openJob(job, state);
    const index = Number(options.panel ?? 0);
    const dimensions = editableDimensions(open, index);
    const dimension = dimensions.find(({ id }) => id === options.dimension);
    if (!dimension)
      throw new Complaint(
        `--dimension: “${options.dimension ?? ''}” is none of panel ${index}; it has ${dimensions.map(({ id }) => id).join(', ')}`,
      );
    const { points } = await wasteFreePoints(open, index, dimension, unitsOf(options, job));
    return points.map((point) => ({ ...point, words: sayPointFully(point, job.currency) }));
  },
  print: async ({ job, state, options, world }) => {
    const kind = paperKinds.find((one) => one === (options.kind ?? 'pack'));
    if (!kind) throw new Complaint(`--kind: “${options.kind}” is none; there are: ${paperKinds.join(', ')}`);
    const open = openJob(job, state);
    const plan = await provedShop({ open, shop: jobShop(open) });
    return printJob(kind, open, plan, paperOf(options, job, world));
  },
  steps: ({ job, options }) => jobSteps(openJob(job)).map((step) => sayStep(step, unitsOf(options, job))),
  cautions: ({ job }) =>
    jobFindings(openJob(job)).map((finding) => ({ ...finding, words: sayFinding(finding, job.units) })),
  draw: async ({ job, options, world }) => {
    const view = options.view ?? 'plan';
    const open = openJob(job);
    const [panel] = open.panels;
    if (!panel) throw new Complaint('heaters: the job has none');
    const { design } = panel;
    const drawings: Record<string, (() => Drawing) | undefined> = {
      ...Object.fromEntries(Object.entries(design.drawings).map(([id, { draw }]) => [id, draw])),
      side: () => sideOf(open, 0),
    };
    const drawing = Object.hasOwn(drawings, view) ? drawings[view]?.() : undefined;
    if (!drawing)
      throw new Complaint(`--view: “${view}” is no view of this heater; it has ${Object.keys(drawings).join(', ')}`);
    const habit = unitsOf(options, job);
    switch (options.format ?? 'svg') {
      case 'svg':
        return writeSvg(drawing, { habit });
      case 'dxf':
        return writeDxf(drawing, { habit });
      case 'pdf':
        return printDrawing(drawing, job, paperOf(options, job, world));
      default:
        throw new Complaint(`--format: “${options.format}” is none; there are: svg, dxf, pdf`);
    }
  },
  place: ({ job }) => {
    const open = openJob(job);
    const sky = jobSky(job.site);
    const study = jobStudy(open, sky);
    const standing = jobStanding(job);
    const months = monthsOnPane(sky, jobAround(open, sky), standing);
    const { mains, wind } = siteDerivations(job.site);
    return {
      words: sayStanding(standing, sharesOf(months, study), study),
      weather: skySourceOf(job.site, false),
      standing,
      onPane: months,
      study,
      mains: mains.values,
      wind: { low: wind.low, likely: wind.likely, high: wind.high },
    };
  },
  compare: ({ job, options, world }) => {
    if (!options.readings) throw new Complaint('--readings: name a CSV file of readings');
    const text = world.read(options.readings);
    const table = previewTable(text) ?? { headings: [] };
    const { headings } = table;
    const proposal = proposeMapping(table);
    if (!proposal.time) throw new Complaint(`--readings: no time column found among ${headings.join(', ')}`);
    const file = readReadings(text, { time: proposal.time, columns: proposal.columns }, job.site.zone);
    if (file.trouble) throw new Complaint(`--readings: ${file.trouble}`);
    const sensors: Sensors = { thermometers: 'two digital', flow: 'meter', sun: 'pyranometer' };
    const { rows, left, draws, verdict } = compareJob(job, file.readings, sensors);
    return {
      verdict: { ...verdict, words: sayVerdict(verdict, job.units) },
      sensors,
      readings: rows.map(({ reading, predicted, ...row }) => ({
        time: new Date(reading.time).toISOString(),
        ...row,
        predictedGain: predicted.gain,
        predictedOutlet: predicted.outlet,
        predictedHeat: predicted.heat,
        low: predicted.low,
        high: predicted.high,
      })),
      draws: draws.map(({ from, to, ...test }) => ({
        from: new Date(from).toISOString(),
        to: new Date(to).toISOString(),
        ...test,
      })),
      leftOut: left,
      refused: file.refused,
    };
  },
};

/** A value with every sentence in it in the reader's units. */
function inUnits<T>(value: T, habit: Habit): T {
  return JSON.parse(JSON.stringify(value), (_, one: unknown) =>
    typeof one === 'string' ? sayWords(one, habit) : one,
  ) as T;
}

/** Options that a verb knows; any other is a slip of the caller's. */
const known: Readonly<Record<string, readonly string[]>> = {
  bands: ['seed', 'make'],
  day: ['month'],
  parts: ['events'],
  cuts: ['format', 'material', 'proved', 'events'],
  waste: ['panel', 'dimension', 'units', 'events'],
  print: ['kind', 'paper', 'revision', 'units', 'events'],
  steps: ['units'],
  draw: ['view', 'format', 'paper', 'revision', 'units'],
  compare: ['readings'],
};

function unitsOf(options: Readonly<Record<string, string>>, job: Job): Habit {
  const units = options.units ?? job.units;
  if (units !== 'metric' && units !== 'imperial')
    throw new Complaint(`--units: “${units}” is neither metric nor imperial`);
  return units;
}

function paperOf(options: Readonly<Record<string, string>>, job: Job, world: World) {
  const size = Object.keys(paperSizes).find((one) => one === (options.paper ?? 'a4')) as PaperSize | undefined;
  if (!size)
    throw new Complaint(`--paper: “${options.paper}” is none; there are: ${Object.keys(paperSizes).join(', ')}`);
  const revision = options.revision ?? 'no revision kept';
  const fonts = world.fonts(JSON.stringify([job, revision, paperLetters]));
  return { revision, at: world.now(), habit: unitsOf(options, job), size, fonts };
}

/** Runs one call and returns what to print, text or the bytes of a file. Throws Complaint for what the caller can mend. */
export async function run(args: readonly string[], world: World): Promise<string | Uint8Array> {
  const [verb, path, ...rest] = args;
  const usage = `np <${Object.keys(verbs).join('|')}> job.json [--option value]`;
  const act = verb && Object.hasOwn(verbs, verb) ? verbs[verb] : undefined;
  if (!act) throw new Complaint(verb ? `“${verb}” is no verb; ${usage}` : usage);
  if (!path) throw new Complaint(`which job? ${usage}`);
  const options: Record<string, string> = {};
  for (let index = 0; index < rest.length; index += 2) {
    const [name, value] = [rest[index], rest[index + 1]];
    if (!name?.startsWith('--') || value === undefined)
      throw new Complaint(`“${name}” is no option with a value; ${usage}`);
    const option = name.slice(2);
    const takes = known[verb ?? ''] ?? [];
    if (!takes.includes(option))
      throw new Complaint(
        `${name}: ${verb} has no such option; it takes ${takes.length > 0 ? takes.map((one) => `--${one}`).join(', ') : 'none'}`,
      );
    options[option] = value;
  }
  const parsed = readDocument(readJson(world, path));
  if (!parsed.ok)
    throw new Complaint(`${path}: ${parsed.errors.map((one) => `${one.path}: ${one.message}`).join('; ')}`);
  const events = options.events ? parseEvents(readJson(world, options.events)) : { ok: true as const, events: [] };
  if (!events.ok)
    throw new Complaint(`--events: ${events.errors.map((one) => `${one.path}: ${one.message}`).join('; ')}`);
  const state = foldEvents([...parsed.events, ...events.events]);
  const result = await act({ job: parsed.job, state, options, world });
  return typeof result === 'string' || result instanceof Uint8Array ? result : `${JSON.stringify(result, null, 2)}\n`;
}

function readJson(world: World, path: string): unknown {
  try {
    return JSON.parse(world.read(path));
  } catch (error) {
    if (error instanceof SyntaxError) throw new Complaint(`${path}: not JSON (${error.message})`);
    throw error;
  }
}
