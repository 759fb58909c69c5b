import { heatersOf, type Job, thingsOnHand } from '../document';
import { type Family, families, type HeaterDocument } from '../families';
import { evaluateOpen } from '../figures';
import { openJob } from '../job';
import { formatMoney, measured } from '../quantity';
import { hereWeather, screenYear } from './compareKinds';
import { sayHeat } from './energy';
import { pickKind } from './pickKind';

/** One side of an argument among builders, worked out here. */
export interface SchoolSide {
  name: string;
  /** J a year over the mains, all heaters. */
  year: number;
  cost: number | undefined;
  /** m² of aperture. */
  aperture: number;
}

/** An argument settled by number for a job. */
export interface School {
  id: string;
  title: string;
  sides: [SchoolSide, SchoolSide];
  /** What the numbers say, quantities by `measured`. */
  verdict: string;
}

type Here = ReturnType<typeof hereWeather>;

function sideOf(name: string, job: Job, here: Here): SchoolSide {
  const open = openJob(job);
  const { cost, apertureArea } = evaluateOpen(open);
  return { name, year: screenYear(open, here).given, cost, aperture: apertureArea };
}

/** A job of a kind with some of its first panel's parameters or members set otherwise. */
function withPanel(job: Job, change: (panel: HeaterDocument) => HeaterDocument): Job {
  const [panel] = heatersOf(job);
  if (!panel) return job;
  const { id, ...entry } = change(panel);
  return { ...job, heaters: { ...job.heaters, [id]: { ...entry, order: 0 } } as Job['heaters'] };
}

/** Nothing is on hand: what a thing costs new. */
function allNew(job: Job): Job {
  const { have: _, things: __, ...shop } = job.shop;
  return { ...job, shop: { ...shop, onHand: {} } };
}

/** The arguments of builders, each worked out for this place, need and price list. Seconds: for a worker. */
export function settleSchools(job: Job): School[] {
  const here = hereWeather(job);
  const kind = (family: string, from: Job = job) => pickKind(from, family).job;
  return [
    argued(job, 'glazed', 'Under glass or bare', [
      sideOf('a harp under glass', kind('harp'), here),
      sideOf('the same bare', bareHarp(kind('harp')), here),
    ]),
    argued(job, 'copper', 'Copper or plastic', [
      sideOf('a harp of copper', kind('harp'), here),
      sideOf('hose, bare', kind('spiral'), here),
    ]),
    salvaged(job, here),
    argued(job, 'behind-glass', 'Tank behind glass or pumped', [
      sideOf('tanks in a box', kind('batch-box'), here),
      sideOf('a harp with a pump', kind('harp'), here),
    ]),
  ];
}

/** What is on hand against all of it new; with nothing on hand, old tanks in a box against new ones. */
function salvaged(job: Job, here: Here): School {
  const has = thingsOnHand(job.shop).length > 0 || Object.keys(job.shop.onHand).length > 0;
  const title = 'Salvaged or new';
  if (has) {
    const own = heatersOf(job)[0]?.family ?? 'harp';
    return argued(job, 'salvaged', title, [
      sideOf('what is on hand', pickKind(job, own).job, here),
      sideOf('all of it new', pickKind(allNew(job), own).job, here),
    ]);
  }
  const box = pickKind(job, 'batch-box').job;
  const tanks = (tankKind: string) =>
    withPanel(box, (panel) => ({ ...panel, parameters: { ...panel.parameters, tankKind } }));
  return argued(job, 'salvaged', title, [
    sideOf('a box round old tanks', tanks('used'), here),
    sideOf('round new ones', tanks('new'), here),
  ]);
}

/** A harp without its pane, where the kind has one that is none. */
function bareHarp(job: Job): Job {
  const family: Family = families.harp;
  return withPanel(job, (panel) => {
    const bare = { ...panel, glazing: { kind: 'none', parameters: sizeOf(panel) } };
    return family.problems(bare).length === 0 ? bare : panel;
  });
}

function sizeOf({ glazing }: HeaterDocument): Record<string, unknown> {
  const { length, width } = glazing?.parameters ?? {};
  return { ...(length === undefined ? {} : { length }), ...(width === undefined ? {} : { width }) };
}

/** How much better the better side must be, as a share, before it is called so: less than what a screening is off by is a tie. */
const tells = 0.1;

function argued(job: Job, id: string, title: string, sides: [SchoolSide, SchoolSide]): School {
  const [a, b] = sides;
  const each = ({ year, aperture }: SchoolSide) => year / Math.max(1e-6, aperture);
  const heat = (side: SchoolSide) =>
    `${side.name}: ${sayHeat(side.year)} a year from ${measured('area', side.aperture)}`;
  const money = (side: SchoolSide) =>
    side.cost === undefined ? '' : ` for ${formatMoney(side.cost, job.currency, 0)}`;
  const told = `${heat(a)}${money(a)}; ${heat(b)}${money(b)}.`;
  const [more, less] = a.year >= b.year ? [a, b] : [b, a];
  const gives =
    more.year <= 0
      ? 'Neither gives anything here.'
      : more.year - less.year < tells * more.year
        ? 'In heat there is nothing between them here.'
        : `In heat ${more.name} comes first here${each(more) >= each(less) ? '' : `, but for its area ${less.name} gives more`}.`;
  const price = (side: SchoolSide) => (side.cost === undefined || side.year <= 0 ? undefined : side.cost / side.year);
  const [priceA, priceB] = [price(a), price(b)];
  const worth =
    priceA === undefined || priceB === undefined
      ? ''
      : Math.abs(priceA - priceB) < tells * Math.max(priceA, priceB)
        ? ' For the money they are alike.'
        : ` For the money ${priceA < priceB ? a.name : b.name} comes first.`;
  return { id, title, sides, verdict: `${capital(told)} ${gives}${worth}` };
}

function capital(words: string): string {
  return `${(words[0] ?? '').toUpperCase()}${words.slice(1)}`;
}
