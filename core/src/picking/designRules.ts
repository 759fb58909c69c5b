import { heatersOf, type Job, thingsOnHand } from '../document';
import { type ArgumentSide, type Family, families, type HeaterDocument } from '../families';
import { evaluateWithCost } from '../figures';
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
  const { cost, apertureArea } = evaluateWithCost(open);
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

/** The kind that stands for a side of an argument, and what it is called there. Throws RangeError where none does. */
function standsFor(side: ArgumentSide): { family: Family; name: string } {
  for (const family of Object.values<Family>(families)) {
    const name = family.argues?.[side];
    if (name !== undefined) return { family, name };
  }
  throw new RangeError(`no kind stands for: ${side}`);
}

/** The arguments of builders, each worked out for this place, need and price list. Seconds: for a worker. */
export function compareDesignRules(job: Job): School[] {
  const here = hereWeather(job);
  const side = (stands: ArgumentSide): SchoolSide => {
    const { family, name } = standsFor(stands);
    return sideOf(name, pickKind(job, family.id).job, here);
  };
  const { family: glazed } = standsFor('glazed');
  const bare = withPanel(pickKind(job, glazed.id).job, (panel) => glazed.bare?.(panel) ?? panel);
  return [
    argued(job, 'glazed', 'Under glass or bare', [side('glazed'), sideOf('the same bare', bare, here)]),
    argued(job, 'copper', 'Copper or plastic', [side('copper'), side('plastic')]),
    ...salvaged(job, here),
    argued(job, 'behind-glass', 'Tank behind glass or pumped', [side('behind glass'), side('pumped')]),
  ];
}

/** What is on hand against all of it new; with nothing on hand, a kind that can be had either way; nothing where there is none. */
function salvaged(job: Job, here: Here): School[] {
  const title = 'Salvaged or new';
  const [own] = heatersOf(job);
  if (own && (thingsOnHand(job.shop).length > 0 || Object.keys(job.shop.onHand).length > 0))
    return [
      argued(job, 'salvaged', title, [
        sideOf('what is on hand', pickKind(job, own.family).job, here),
        sideOf('all of it new', pickKind(allNew(job), own.family).job, here),
      ]),
    ];
  const either = Object.values<Family>(families).find(({ scrapOrNew }) => scrapOrNew);
  if (!either?.scrapOrNew) return [];
  const drawn = pickKind(job, either.id).job;
  const [scrap, bought] = either.scrapOrNew.map(({ name, of }) => sideOf(name, withPanel(drawn, of), here));
  return scrap && bought ? [argued(job, 'salvaged', title, [scrap, bought])] : [];
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
