import { expect } from 'chai';
import * as fc from 'fast-check';
import { jobSteps, jobTools } from '../building';
import { defaultJob, familyIds, withValueAt } from '../document';
import { jobShop, openJob } from '../job';
import { mounts } from '../mounts';
import { sayWords } from '../quantity';
import { someOf } from '../quantity/trials.fixture';
import type { Template } from '../shop';
import { assemblyPages } from './assembly';
import { buyPages } from './buyList';
import { cardPages } from './cards';
import { coverPages } from './cover';
import { cutPages } from './cutList';
import { drawingPages } from './drawings';
import { finishPrint, lines, makeRoom, margin, newSheet, write } from './frame';
import { labelPages } from './labels';
import { type Drawn, recordingPage, recordingPrint } from './paper.fixture';
import { plumbingPages } from './plumbing';
import { stepPages } from './steps';
import { stockPages } from './stockMarks';
import { table } from './table';
import { jobTemplates, ruler, templatePages } from './templates';

const job = defaultJob('harp');
const words = (drawn: Drawn) => drawn.texts.map((one) => one.words);

/** Nothing is written over the edges that a printer leaves white, nor over the foot of the sheet. */
function inside({ width, height, drawn }: { width: number; height: number; drawn: Drawn }, what: string): void {
  for (const text of drawn.texts) {
    expect(text.x, `${what}: ${text.words}`).at.least(margin - 0.1);
    expect(text.x + text.wide, `${what}: ${text.words}`).at.most(width - margin + 8);
    expect(text.y, `${what}: ${text.words}`).within(margin - 0.1, height - margin);
  }
}

describe('papers: words in lines', () => {
  const page = recordingPage(200, 300);
  it('lose no word, and are no wider than they may be unless a word is', () => {
    const sentence = fc.array(fc.string({ unit: fc.constantFrom('a', 'm', '1', 'x'), minLength: 1, maxLength: 12 }), {
      minLength: 1,
      maxLength: 30,
    });
    fc.assert(
      fc.property(sentence, fc.integer({ min: 10, max: 80 }), (said, width) => {
        const found = lines(page, said.join(' '), width);
        expect(found.join(' ')).equal(said.join(' '));
        for (const line of found) if (line.includes(' ')) expect(page.measure(line)).at.most(width + 1e-9);
      }),
    );
  });
  it('keep a whole number and its fraction together', () => {
    const found = lines(page, 'hole at 23 1/2 from the end', page.measure('hole at 23'));
    expect(found.some((line) => line.includes('23\u00a01/2'))).equal(true);
    expect(found.every((line) => !line.startsWith('1/2'))).equal(true);
  });
});

describe('papers: sheets', () => {
  it('go on when one is full, under the same name', () => {
    const { print, pages } = recordingPrint(job);
    newSheet(print, 'Buy');
    for (let line = 0; line < 120; line += 1) write(print, `line ${line}`);
    expect(pages.length).above(1);
    expect(new Set(print.titles)).deep.equal(new Set(['Buy']));
    const all = pages.flatMap(({ drawn }) => words(drawn));
    expect(all).deep.equal(Array.from({ length: 120 }, (_, line) => `line ${line}`));
    for (const page of pages) inside(page, 'lines');
  });
  it('begin anew for what must stay together', () => {
    const { print, pages } = recordingPrint(job);
    newSheet(print, 'Cut');
    const before = print.y;
    makeRoom(print, 50);
    expect([pages.length, print.y]).deep.equal([1, before]);
    makeRoom(print, 500);
    expect(pages.length).equal(2);
  });
  it('say job, name, revision, day, habit and number, each once, at the end', async () => {
    const { print, pages } = recordingPrint(job, { habit: 'imperial', size: 'letter' });
    newSheet(print, 'Buy');
    newSheet(print, 'Full size', true);
    await finishPrint(print);
    pages.forEach((page, index) => {
      const said = words(page.drawn);
      expect(said).include.members([job.name, ['Buy', 'Full size'][index], `${index + 1} of 2`]);
      expect(said.filter((one) => one === 'revision 1, 2026-05-01, sizes in feet, inches and sixteenths').length).equal(
        1,
      );
      inside(page, 'frame');
    });
    expect(pages[1]?.width).above(pages[1]?.height ?? 0);
  });
});

describe('papers: tables', () => {
  it('repeat their heading on every sheet, with a box for each row', () => {
    const { print, pages } = recordingPrint(job);
    newSheet(print, 'Cut');
    const rows = Array.from({ length: 90 }, (_, index) => ({ name: `piece ${index}`, size: `${index} mm` }));
    table(
      print,
      [
        { title: 'piece', share: 3, words: ({ name }) => name },
        { title: 'size', share: 1, align: 'end', words: ({ size }) => size },
      ],
      rows,
      true,
    );
    expect(pages.length).above(1);
    for (const page of pages) {
      expect(words(page.drawn).filter((one) => one === 'piece').length).equal(1);
      inside(page, 'table');
    }
    expect(pages.reduce((sum, { drawn }) => sum + drawn.rects.length, 0)).equal(90);
    const names = pages.flatMap(({ drawn }) => words(drawn)).filter((one) => one.startsWith('piece '));
    expect(names).deep.equal(rows.map(({ name }) => name));
  });
});

describe('papers: lists and cards', () => {
  for (const family of familyIds)
    for (const habit of ['metric', 'imperial'] as const)
      it(`name every piece and every purchase of a ${family}, ${habit}, inside the sheet`, () => {
        const own = defaultJob(family, { units: habit });
        const open = openJob(own);
        const { parts, plan } = jobShop(open);
        const { print, pages } = recordingPrint(own, { habit, size: habit === 'metric' ? 'a4' : 'letter' });
        buyPages(print, plan);
        const bought = pages.flatMap(({ drawn }) => words(drawn)).join(' ');
        expect(bought).not.match(/[⟦⟧]/);
        for (const { name } of plan.buy)
          for (const word of sayWords(name, habit).split(/\s/)) expect(bought, name).include(word);
        cutPages(print, parts, plan);
        const before = pages.length;
        cardPages(print, parts);
        const cards = pages.slice(before);
        const said = cards.flatMap(({ drawn }) => words(drawn)).join(' ');
        for (const { name } of parts) for (const word of name.split(' ')) expect(said, name).include(word);
        for (const page of pages) inside(page, `${family} ${habit}`);
        // Cards lie beside and under each other and never over.
        for (const { drawn } of cards)
          for (const one of drawn.rects)
            for (const other of drawn.rects)
              expect(
                one === other ||
                  one.x + one.width <= other.x + 1e-6 ||
                  other.x + other.width <= one.x + 1e-6 ||
                  one.y + one.height <= other.y + 1e-6 ||
                  other.y + other.height <= one.y + 1e-6,
              ).equal(true);
      });
});

/** How many round holes of a template lie whole on one tile at least. */
function wholeHoles(template: Template, pages: readonly { drawn: Drawn }[]): number {
  const holes = template.drawing.shapes.flatMap((shape) => (shape.kind === 'circle' ? [shape] : []));
  // Every tile draws all holes in order and shows those inside it.
  const shown = pages.flatMap(({ drawn }) =>
    drawn.clips.map((clip, place) => ({ clip, circles: drawn.circles.filter((one) => one.clip === place) })),
  );
  return holes.filter(({ radius }, index) =>
    shown.some(({ clip, circles }) => {
      const one = circles[index];
      if (!one) return false;
      expect(one.radius).closeTo(radius * 1000, 1e-9);
      return (
        one.centre.x - one.radius >= clip.x &&
        one.centre.x + one.radius <= clip.x + clip.width &&
        one.centre.y - one.radius >= clip.y &&
        one.centre.y + one.radius <= clip.y + clip.height
      );
    }),
  ).length;
}

describe('papers: in the reader’s own units', () => {
  it('say no millimetre, kilogram, litre or square metre to a builder with an inch tape, whatever is built', () => {
    const foreign = /\bmm\b|\bkg\b|m²|\d\s?L\b|°C|litre|metre|\bcm\b/;
    for (const family of familyIds)
      for (const mount of someOf(Object.keys(mounts) as (keyof typeof mounts)[], family === 'harp' ? 9 : 2)) {
        const chosen = { kind: mount, parameters: mounts[mount].standard('imperial') };
        const own = withValueAt(defaultJob(family, { units: 'imperial' }), ['heaters', 'panel-a', 'mount'], chosen);
        const open = openJob(own);
        const { parts, plan } = jobShop(open);
        const { print, pages } = recordingPrint(own, { habit: 'imperial', size: 'letter' });
        buyPages(print, plan, jobTools(open));
        cutPages(print, parts, plan);
        cardPages(print, parts);
        labelPages(print, parts);
        drawingPages(print, open);
        coverPages(print, open, plan);
        stockPages(print, parts, plan);
        assemblyPages(print, open, parts);
        plumbingPages(print, open);
        for (const { drawn } of pages)
          for (const one of words(drawn)) expect(one, `${family} on ${mount}`).not.match(foreign);
      }
  });
  it('have a sticker for every piece, with its name and size, and every drawing of a panel and its mount', () => {
    for (const family of familyIds) {
      const own = defaultJob(family);
      const open = openJob(own);
      const { parts } = jobShop(open);
      const { print, pages } = recordingPrint(own);
      labelPages(print, parts);
      const stickers = pages.flatMap(({ drawn }) => drawn.rects);
      expect(stickers.length, family).equal(parts.reduce((sum, { count }) => sum + count, 0));
      for (const page of pages) inside(page, `${family} labels`);
      const before = pages.length;
      drawingPages(print, open);
      // Every view that is not laid flat, and the side where none shows it, each with its scale.
      const views = Object.values(open.panels[0]?.design.drawings ?? {}).filter(({ flat }) => !flat);
      const captions = pages
        .slice(before)
        .flatMap(({ drawn }) => words(drawn).filter((one) => /Scale|full size/.test(one)));
      expect(captions.length, family).equal(views.length + (views.some(({ side }) => side) ? 0 : 1));
      for (const page of pages.slice(before)) inside(page, `${family} drawings`);
    }
  });
});

describe('papers: the order of work', () => {
  it('has every step once and in order, with its dangers, a box for each check and for the step, and a line where a number is found', () => {
    for (const family of familyIds)
      for (const habit of ['metric', 'imperial'] as const) {
        const own = defaultJob(family, { units: habit });
        const open = openJob(own);
        const { print, pages } = recordingPrint(own, { habit });
        stepPages(print, open);
        for (const page of pages) inside(page, `${family} steps`);
        const steps = jobSteps(open);
        const written = pages.flatMap(({ drawn }) => words(drawn)).join(' ');
        expect(written, family).not.match(/[⟦⟧]|undefined|NaN/);
        let from = 0;
        for (const [index, { name, beware }] of steps.entries()) {
          const at = written.indexOf(`${index + 1}. ${name}`, from);
          expect(at, `${family}: ${name}`).at.least(from);
          from = at;
          for (const danger of beware)
            expect(written.replaceAll(/\s/g, ''), `${family}: ${danger}`).include(
              sayWords(danger, habit).replaceAll(/\s/g, ''),
            );
        }
        const checks = steps.flatMap((one) => one.checks);
        const boxes = pages.flatMap(({ drawn }) => drawn.rects);
        const blanks = pages.flatMap(({ drawn }) => drawn.lines);
        expect(boxes.length, family).equal(checks.length + steps.length);
        expect(blanks.length, family).equal(checks.filter(({ expects }) => expects).length + steps.length);
      }
  });
});

describe('papers: templates', () => {
  it('are at full size, each hole whole on one tile at least, on either paper', () => {
    for (const family of familyIds)
      for (const size of ['a4', 'letter'] as const) {
        const units = size === 'a4' ? 'metric' : 'imperial';
        const open = openJob(defaultJob(family, { units }));
        for (const template of jobTemplates(open, jobShop(open).parts)) {
          const { print, pages } = recordingPrint(open.job, { size });
          templatePages(print, template);
          const holes = template.drawing.shapes.flatMap((shape) => (shape.kind === 'circle' ? [shape] : []));
          for (const page of pages) {
            expect(page.drawn.clips.length, template.name).above(0);
            for (const clip of page.drawn.clips) {
              expect(clip.x).at.least(margin - 0.5);
              expect(clip.x + clip.width).at.most(page.width - margin + 0.5);
              expect(clip.y).at.least(margin);
            }
          }
          expect(wholeHoles(template, pages), template.name).equal(holes.length);
        }
      }
  });
  it('cut no hole in two at a seam, wherever it is and however large', () => {
    for (const radius of [0.004, 0.0075, 0.016])
      for (let x = 0.05; x < 0.9; x += 0.0031) {
        const template: Template = {
          id: 't',
          name: 'Strip',
          words: [],
          drawing: {
            title: 'Strip',
            shapes: [
              { kind: 'rect', layer: 'note', x: 0, y: -0.02, width: 1, height: 0.04 },
              { kind: 'circle', layer: 'hole', centre: { x, y: 0 }, radius },
            ],
            dimensions: [],
            labels: [],
          },
        };
        const { print, pages } = recordingPrint(job);
        templatePages(print, template);
        expect(wholeHoles(template, pages), `hole at ${x}`).equal(1);
      }
  });
  it('carry a ruler whose ticks are as far apart as they say, both ways', () => {
    for (const [habit, step, long] of [
      ['metric', 5, 100],
      ['imperial', 25.4 / 4, 101.6],
    ] as const) {
      const page = recordingPage(297, 210);
      ruler(page, 24, habit);
      const upright = page.drawn.lines.filter(({ from, to }) => from.x === to.x && from.y === 24 && to.y <= 28.001);
      const xs = upright.map(({ from }) => from.x - margin).sort((a, b) => a - b);
      expect(xs.length).equal(Math.round(long / step) + 1);
      xs.forEach((x, index) => {
        expect(x).closeTo(index * step, 1e-9);
      });
    }
  });
  it('of headers drilled alike are printed once, under both names', () => {
    const open = openJob(job);
    const found = jobTemplates(open, jobShop(open).parts);
    expect(found.filter(({ name }) => name.includes('drill strip')).map(({ name }) => name)).deep.equal([
      'Header, cold: drill strip; Header, hot: drill strip',
    ]);
  });
});
