import { memberOf } from '../catalogue';
import { jobFindings, sayFinding } from '../cautions';
import { lastLook } from '../cutting';
import { type Drawing, drawOn, extent } from '../draw';
import { type Family, families } from '../families';
import { evaluateOpen, keyFigures } from '../figures';
import { type OpenJob, sideOf, tiltOf } from '../job';
import { mounts } from '../mounts';
import { formatMoney, formatNumber, formatQuantity, measured, sayWords } from '../quantity';
import { sayReadout } from '../readout';
import type { ShopPlan } from '../shop';
import { heading, inks, makeRoom, newSheet, type Print, write } from './frame';

/** mm that a picture of a heater may take, beside another. */
const picture = { height: 80, apart: 10 } as const;

/** What it is, what it gives, what it weighs and costs, how it looks, what is dangerous in it, and what to be sure of before the saw. */
export function coverPages(print: Print, open: OpenJob, plan: ShopPlan): void {
  const { habit, job } = print.context;
  newSheet(print, 'Shop pack');
  const figures = evaluateOpen(open, {}, plan);
  for (const words of whatItIs(open)) write(print, sayWords(words, habit), { heading: true, size: 5 });
  print.y -= 1;
  const { need } = job;
  write(
    print,
    `For ${formatQuantity('volume', need.volumePerDay, habit).text} a day at ${formatQuantity('temperature', need.target, habit, 0).text}.`,
    { size: 3.6 },
  );
  pictures(print, open);
  factLines(print, [
    ...keyFigures(figures)
      .filter(({ values }) => values[0] !== undefined)
      .map((vital): [string, string] => [sayWords(vital.label, habit), sayReadout(vital, habit)]),
    ...(figures.usefulHeat === undefined
      ? []
      : ([['heat at that working point', formatQuantity('power', figures.usefulHeat, habit, 0).text]] as const)),
    [
      'weighs',
      `${formatQuantity('mass', figures.dryMass, habit, 0).text} dry, ${formatQuantity('mass', figures.wetMass, habit, 0).text} full`,
    ],
    [
      'to buy',
      `${formatMoney(plan.cost, job.currency, 0)}${plan.unpriced.length > 0 ? `, ${plan.unpriced.length} things without a price` : ''}`,
    ],
  ]);
  const grave = jobFindings(open).filter(({ severity }) => severity !== 'note');
  if (grave.length > 0) {
    heading(print, 'What is dangerous, and what to look at');
    for (const finding of grave) {
      const { headline, detail, remedy } = sayFinding(finding, habit);
      write(print, `${headline[0]?.toUpperCase()}${headline.slice(1)}. ${detail} ${remedy}`, {
        colour: finding.severity === 'stop' ? inks.brick : inks.ochre,
      });
      print.y -= 1.5;
    }
  }
  heading(print, 'A last look before the saw');
  for (const { words, settled } of lastLook(open, plan)) {
    makeRoom(print, 8);
    print.page.rect(print.left, print.y - 4.6, 4, 4, { stroke: inks.ink, width: 0.3 });
    const said = sayWords(words, habit);
    write(print, `${said[0]?.toUpperCase()}${said.slice(1)}.${settled ? ' (found right)' : ''}`, { indent: 7 });
    print.y -= 1.5;
  }
}

/** Each heater in one line: its kind, how large, and how it stands. */
function whatItIs(open: OpenJob): string[] {
  return open.panels.map(({ document, design }) => {
    const family: Family = families[document.family as keyof typeof families];
    const { length, width } = design.outside;
    const { mount } = document;
    return [
      `${document.count > 1 ? `${formatNumber(document.count)} × ` : ''}${family.name}, ${design.runs.count} ${design.runs.words}`,
      `${measured('height', length, 2)} by ${measured('height', width, 2)}`,
      `${mount ? `${memberOf<{ name: string }>(mounts, 'mount', mount.kind).name.toLowerCase()}, ` : ''}leaning ${measured('angle', tiltOf(open.job), 0)}`,
    ].join('; ');
  });
}

/** Figures with what they are, in two columns. */
function factLines(print: Print, facts: readonly (readonly [string, string])[]): void {
  const wide = (print.right - print.left) / 2;
  const rows = Math.ceil(facts.length / 2);
  makeRoom(print, rows * 8 + 4);
  print.y -= 4;
  facts.forEach(([words, value], place) => {
    const x = print.left + Math.floor(place / rows) * wide;
    const y = print.y - 5 - (place % rows) * 8;
    print.page.text(value, { x, y }, { size: 5, heading: true });
    print.page.text(words, { x, y: y - 3.2 }, { size: 2.8, colour: inks.soft });
  });
  print.y -= rows * 8 + 2;
}

/** The first heater from above and as it stands, without figures: what one knows it by. */
function pictures(print: Print, open: OpenJob): void {
  const [panel] = open.panels;
  if (!panel) return;
  const views = Object.values(panel.design.drawings);
  const standing = views.find(({ side }) => side)?.draw() ?? sideOf(open, 0);
  const bare = (drawing: Drawing): Drawing => ({ ...drawing, dimensions: [], labels: [] });
  const drawings = [bare(panel.design.drawings.plan.draw()), bare(standing)];
  const wide = (print.right - print.left - picture.apart) / drawings.length;
  makeRoom(print, picture.height + 8);
  const top = print.y - 4;
  drawings.forEach((drawing, place) => {
    const box = extent(drawing);
    const scale = Math.min(wide / box.width, picture.height / box.height);
    const left = print.left + place * (wide + picture.apart) + (wide - box.width * scale) / 2;
    drawOn(print.page, drawing, {
      scale,
      origin: {
        x: left - box.left * scale,
        y: top - (picture.height + box.height * scale) / 2 - box.bottom * scale,
      },
      habit: print.context.habit,
    });
  });
  print.y = top - picture.height - 4;
}
