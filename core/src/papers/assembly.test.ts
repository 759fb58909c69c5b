import { expect } from 'chai';
import { defaultJob, familyIds } from '../document';
import type { Drawing } from '../draw';
import { jobShop, openJob } from '../job';
import { lettersAt, partLetters } from '../shop';
import { assemblyPages, runningWords } from './assembly';
import { cardPages } from './cards';
import { coverPages } from './cover';
import { cutPages } from './cutList';
import { layDrawings } from './fill';
import { labelPages } from './labels';
import { type Drawn, recordingPrint } from './paper.fixture';
import { plumbingPages, portPlace } from './plumbing';
import { stepPages } from './steps';
import { stockMarks, stockPages } from './stockMarks';

const words = ({ texts }: Drawn) => texts.map((one) => one.words);
const all = (pages: readonly { drawn: Drawn }[]) => pages.flatMap(({ drawn }) => words(drawn));

describe('papers: letters of pieces', () => {
  it('are A to Z without I and O, then AA', () => {
    expect([0, 7, 8, 13, 23, 24, 47, 48].map(lettersAt)).deep.equal(['A', 'H', 'J', 'P', 'Z', 'AA', 'AZ', 'BA']);
  });
  for (const family of familyIds)
    it(`are the same on sticker, card, cut list, stock marks, steps and drawing: ${family}`, () => {
      const own = defaultJob(family);
      const open = openJob(own);
      const { parts, plan } = jobShop(open);
      const letters = partLetters(parts);
      expect(new Set(letters.values()).size).equal(parts.length);
      const printed = (print: (into: ReturnType<typeof recordingPrint>['print']) => void) => {
        const { print: into, pages } = recordingPrint(own);
        print(into);
        return all(pages);
      };
      const stickers = printed((print) => labelPages(print, parts));
      const cards = printed((print) => cardPages(print, parts));
      const cuts = printed((print) => cutPages(print, parts, plan));
      const marks = printed((print) => stockPages(print, parts, plan));
      const steps = printed((print) => stepPages(print, open)).join(' ');
      const assembly = printed((print) => assemblyPages(print, open, parts));
      for (const part of parts) {
        const letter = letters.get(part.id) ?? '';
        expect(stickers.filter((one) => one === letter).length, `${letter}: a sticker for each piece`).equal(
          part.count,
        );
        expect(
          cards.some((one) => one.startsWith(`${letter}  `)),
          `${letter} on a card`,
        ).equal(true);
        expect(cuts, `${letter} in the cut list`).include(letter);
        // Once in the table at the least, and on a view that shows it.
        expect(assembly.filter((one) => one === letter).length, `${letter} in the assembly`).at.least(2);
        if (part.kind === 'length') expect(marks.join('  '), `${letter} on a bar`).match(new RegExp(`\\b${letter}\\b`));
        if (steps.includes(part.name)) expect(steps).include(`${letter} ${part.name.split(' ')[0]}`);
      }
    });
});

describe('papers: the assembly sheet', () => {
  for (const family of familyIds)
    it(`tells where every piece lies, letters clear of each other: ${family}`, () => {
      const own = defaultJob(family);
      const open = openJob(own);
      const { parts } = jobShop(open);
      const { print, pages } = recordingPrint(own);
      assemblyPages(print, open, parts);
      const said = all(pages);
      expect(said.join(' ')).not.match(/no view|NaN|undefined|Infinity/);
      for (const { drawn, width, height } of pages) {
        for (const text of drawn.texts) {
          expect(text.x, text.words).within(0, width);
          expect(text.y, text.words).within(0, height);
        }
        const balloons = drawn.circles.filter(({ radius }) => Math.abs(radius - 2.1) < 1e-9);
        const over = balloons.filter((one, index) =>
          balloons
            .slice(index + 1)
            .some((other) => Math.hypot(one.centre.x - other.centre.x, one.centre.y - other.centre.y) < 3.2),
        );
        // In a small detail there may be no room for one.
        expect(over.length, `${over.length} of ${balloons.length} letters on each other`).at.most(1);
      }
    });
  it('gives the risers of a harp as they stand between the side boards, by hand', () => {
    const own = defaultJob('harp');
    const open = openJob(own);
    const { parts } = jobShop(open);
    const { print, pages } = recordingPrint(own);
    assemblyPages(print, open, parts);
    // 12 of 89 mm about the middle of 1 124: 562 − 5.5 × 89 = 72.5, to the mark 73, then 162, 251 (rounded after summing).
    const middle = 1.124 / 2;
    const pitch = own.heaters['panel-a']?.parameters.pitch as number;
    const wanted = Array.from({ length: 12 }, (_, index) => middle + (index - 5.5) * pitch);
    expect(all(pages).join(' ').replaceAll(/\s+/g, ' ')).include(
      runningWords(wanted.slice(0, 4), 'metric').replaceAll(/\s+/g, ' '),
    );
  });
  it('tells each place once, from the same zero, and what stands out with a minus', () => {
    expect(runningWords([0.3, 0.1, 0.1004, 0.2], 'metric')).equal('100  200  300');
    expect(runningWords([-0.05, 0.0964, 0.1928, 0.2892], 'metric')).equal('−50  96  193  289');
  });
});

describe('papers: marks on stock', () => {
  const bar = (lengths: readonly number[]) => ({
    stock: 's',
    count: 1,
    pieces: lengths.map((length, index) => ({ id: String(index), length })),
    offcut: 0,
  });
  it('run from the squared end with the kerf in: 10 squared off, three of 1 000, a saw of 3 (by hand)', () => {
    const marks = stockMarks(bar([1, 1, 1]), { trim: 0.01, kerf: 0.003 }, ({ id }) => id);
    expect(marks.map(({ at }) => Math.round(at * 1e4) / 10)).deep.equal([10, 1010, 2013, 3016]);
    expect(marks.map(({ letter }) => letter)).deep.equal(['', '0', '1', '2']);
  });
  it('begin with the first piece where nothing is squared off', () => {
    expect(stockMarks(bar([0.5, 0.25]), { trim: 0, kerf: 0 }, () => 'A').map(({ at }) => at)).deep.equal([0.5, 0.75]);
  });
  it('leave what the plan says is left, on every bar of every kind', () => {
    for (const family of familyIds) {
      const { plan } = jobShop(openJob(defaultJob(family)));
      for (const material of plan.materials) {
        if (material.kind !== 'length') continue;
        for (const one of material.plan.bars) {
          const length = material.stock.find(({ id }) => id === one.stock)?.length ?? 0;
          const last = stockMarks(one, material, () => '').at(-1)?.at ?? 0;
          expect(length - last, `${family}: ${material.name}`).at.least(-1e-9);
          expect(length - last - one.offcut, `${family}: ${material.name}`).within(
            -1e-6,
            material.kerf + material.trim + 1e-6,
          );
        }
      }
    }
  });
});

describe('papers: drawings fill their sheets', () => {
  const box = (width: number, height: number): Drawing => ({
    title: 'box',
    shapes: [{ kind: 'rect', layer: 'timber', x: 0, y: 0, width, height }],
    dimensions: [],
    labels: [],
  });
  const laid = (drawings: readonly Drawing[]) => {
    const { print, pages } = recordingPrint(defaultJob('harp'));
    layDrawings(
      print,
      'Drawings',
      drawings.map((drawing) => ({ words: 'one', drawing })),
    );
    return pages;
  };
  const captions = (pages: readonly { drawn: Drawn }[]) => all(pages).filter((one) => one.startsWith('one'));

  it('a long one lies and a tall one stands, at the largest usual scale that goes on', () => {
    const [long] = laid([box(1.2, 0.3)]);
    // 1 200 over 1 : 5 is 240 mm: no upright sheet has it.
    expect(long?.width).above(long?.height ?? 0);
    expect(captions(laid([box(1.2, 0.3)]))).deep.equal(['one. Scale 1 : 5.']);
    const [tall] = laid([box(0.3, 1.1)]);
    expect(tall?.height).above(tall?.width ?? 0);
    expect(captions(laid([box(0.3, 1.1)]))).deep.equal(['one. Scale 1 : 5.']);
    expect(captions(laid([box(0.02, 0.02)]))).deep.equal(['one. Scale 5 : 1.']);
  });
  it('two go on a sheet where they do, beside or under each other and never over', () => {
    const pages = laid([box(0.08, 0.05), box(0.08, 0.05)]);
    expect(pages.length).equal(1);
    const drawn = pages[0]?.drawn.rects ?? [];
    expect(drawn.length).equal(2);
    const [one, other] = drawn;
    if (!one || !other) throw new Error('two are drawn');
    const apart =
      one.x + one.width <= other.x ||
      other.x + other.width <= one.x ||
      one.y + one.height <= other.y ||
      other.y + other.height <= one.y;
    expect(apart).equal(true);
  });
  it('one that needs a sheet of its own gets it', () => {
    expect(laid([box(1.8, 2.4), box(1.8, 2.4)]).length).equal(2);
  });
  it('a drawing too large for every scale is still drawn on its sheet', () => {
    const [page] = laid([box(60, 20)]);
    const [rect] = page?.drawn.rects ?? [];
    expect(rect?.width).above(100);
  });
});

describe('papers: the plumbing sheet', () => {
  for (const family of familyIds)
    it(`has every port with its place, its fitting from the buy list and its fall: ${family}`, () => {
      const own = defaultJob(family);
      const open = openJob(own);
      const { design } = open.panels[0] ?? {};
      if (!design) throw new Error('no heater');
      const { ports, purchases, outside } = design;
      expect(new Set(ports.map(({ id }) => id)).size).equal(ports.length);
      expect(ports.map(({ id }) => id)).include('hot');
      expect(ports.some(({ id }) => id === 'cold' || id === 'fill')).equal(true);
      for (const { at, up, fitting, name, fall } of ports) {
        if (fitting)
          expect(
            purchases.map(({ id }) => id),
            name,
          ).include(fitting);
        expect(fall.length, name).above(10);
        // On the heater or a hand's breadth beside it; within its depth.
        expect(at.x, name).within(-0.3, Math.max(outside.length, outside.width) + 0.3);
        expect(at.y, name).within(-0.3, Math.max(outside.length, outside.width) + 0.3);
        expect(up, name).within(0, outside.depth + 0.001);
        expect(portPlace({ id: 'x', name, at, up, end: '', fall }, design, 'metric'), name).match(/edge/);
      }
      const { print, pages } = recordingPrint(own);
      plumbingPages(print, open);
      const said = all(pages).join(' ');
      expect(said).not.match(/[⟦⟧]|NaN|undefined/);
      for (const { name } of ports) for (const word of name.split(' ')) expect(said).include(word);
    });
  it('has the cold end of a harp 50 mm out from its board and 57 mm from the left, by hand', () => {
    const { design } = openJob(defaultJob('harp')).panels[0] ?? {};
    const cold = design?.ports.find(({ id }) => id === 'cold');
    if (!design || !cold) throw new Error('no port');
    // Stub 50; the box is 2 024 long, 1 882 clear between headers of 28: (2 024 − 1 882) / 2 − 14 = 57.
    expect(portPlace(cold, design, 'metric')).match(/^50\smm out from the lower edge, 57\smm from the left/);
  });
});

describe('papers: the front page', () => {
  it('says what it is, for whom, what it gives, weighs and costs, and shows it', () => {
    for (const family of familyIds) {
      const own = defaultJob(family);
      const open = openJob(own);
      const { plan } = jobShop(open);
      const { print, pages } = recordingPrint(own);
      coverPages(print, open, plan);
      const said = all(pages).join(' ');
      expect(said, family).match(/For [\d.]+\s?L a day at \d+\s?°C/);
      expect(said, family).match(/\d+\s?kg dry, [\d\s]+kg full/);
      expect(said, family).match(/to buy/);
      expect(said, family).match(/leaning \d+°/);
      expect(said, family).match(/last look before the saw/);
      expect(said, family).not.match(/[⟦⟧]|NaN|undefined/);
    }
  });
});
