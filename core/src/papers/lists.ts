import { entryName } from '../catalogue';
import { formatLength, formatMoney, formatNumber, type Habit, sayWords } from '../quantity';
import {
  cutOrder,
  gangs,
  handedPairs,
  type MaterialPlan,
  type Part,
  ripLines,
  type ShopPlan,
  workWords,
} from '../shop';
import { heading, inks, makeRoom, newSheet, type Print, write } from './frame';
import { buyAmount, buySize } from './listsCsv';
import { table } from './table';

function sizeOf(part: Part, habit: Habit): string {
  const fine = part.row ? ({ decimals: 1, fraction: 64 } as const) : {};
  const say = (value: number) => formatLength(value, habit, { inchesOnly: value < 1, ...fine }).text;
  return part.kind === 'length' ? say(part.length) : `${say(part.height)} × ${say(part.width)}`;
}

/** What to carry home, with what each thing comes to. */
export function buyPages(print: Print, plan: ShopPlan, tools: readonly string[] = []): void {
  const { job, habit } = print.context;
  newSheet(print, 'Buy');
  table(
    print,
    [
      {
        title: 'what',
        share: 5,
        words: ({ name, rule }) =>
          sayWords(`${name}${rule === 'stock' || rule === 'on hand' ? '' : `: ${rule}`}`, habit),
      },
      { title: 'size', share: 3, words: (line) => buySize(line, habit) },
      {
        title: 'how many',
        share: 2,
        align: 'end',
        words: (line) => buyAmount(line, habit),
      },
      {
        title: 'comes to',
        share: 2,
        align: 'end',
        words: ({ price, rule, have }) =>
          have
            ? 'have it'
            : rule === 'on hand'
              ? 'on hand'
              : price === undefined
                ? 'no price'
                : formatMoney(price, job.currency, 2),
      },
    ],
    plan.buy,
    true,
  );
  write(
    print,
    sayWords(
      `In all ${formatMoney(plan.cost, job.currency, 2)}${plan.unpriced.length > 0 ? `, without: ${plan.unpriced.join(', ')}` : ''}.`,
      habit,
    ),
    {
      heading: true,
      size: 5,
    },
  );
  if (tools.length === 0) return;
  heading(print, 'Tools, and what protects you');
  table(
    print,
    [
      { title: 'to have at hand', share: 5, words: ([one]) => one ?? '' },
      { title: '', share: 5, words: ([, other]) => other ?? '' },
    ],
    Array.from({ length: Math.ceil(tools.length / 2) }, (_, row) => tools.slice(2 * row, 2 * row + 2)),
  );
}

/** How the pieces come out of bars and sheets, the stops they are cut against, and every piece with its work. */
export function cutPages(print: Print, parts: readonly Part[], plan: ShopPlan): void {
  const { habit } = print.context;
  newSheet(print, 'Cut');
  for (const material of plan.materials) layoutOf(print, material);
  stops(print, parts);
  heading(print, 'Every piece');
  table(
    print,
    [
      { title: 'piece', share: 4, words: ({ name, count }) => (count > 1 ? `${count} × ${name}` : name) },
      { title: 'of', share: 3, words: ({ item }) => entryName(item) ?? item },
      { title: 'size', share: 3, words: (part) => sizeOf(part, habit) },
      { title: 'work', share: 7, words: (part) => sayWords(workWords(part).join('; '), habit) },
    ],
    parts,
    true,
  );
}

function stops(print: Print, parts: readonly Part[]): void {
  const { habit } = print.context;
  const many = gangs(parts).filter(({ count }) => count > 1);
  if (many.length > 0) {
    heading(print, 'Stops: like pieces against one stop, longest first');
    table(
      print,
      [
        { title: 'of', share: 4, words: ({ item }) => entryName(item) ?? item },
        {
          title: 'stop at',
          share: 3,
          // To a tenth: what the stop is off, every piece is off.
          words: ({ length }) =>
            formatLength(length, habit, { inchesOnly: length < 1, decimals: 1, fraction: 64 }).text,
        },
        { title: 'pieces', share: 1.5, words: ({ count }) => formatNumber(count) },
        { title: 'which', share: 6, words: (gang) => gang.parts.map(({ name }) => name).join(', ') },
      ],
      many,
      true,
    );
  }
  const pairs = handedPairs(parts);
  if (pairs.length > 0) {
    heading(print, 'Left and right: mark these together, laid face to face');
    for (const [one, other] of pairs) write(print, `${one.name} and ${other.name}`);
  }
}

/** mm. Of a bar, and at most of a sheet with the order of its cuts. */
const barHeight = 6;
const sheetRoom = 62;

function layoutOf(print: Print, material: MaterialPlan): void {
  const { habit, job } = print.context;
  const say = (value: number) => formatLength(value, habit, { bare: true }).text;
  const proof = material.plan.proof.status === 'proved' ? ', proved least' : '';
  const first = material.kind === 'sheet' && material.plan.sheets.length > 0 ? sheetRoom + 8 : barHeight + 8;
  heading(print, material.name, first);
  const kerf =
    material.kerf > 0 ? `, a cut takes ${formatLength(material.kerf, habit, { decimals: 1, fraction: 64 }).text}` : '';
  write(print, `${formatMoney(material.plan.cost, job.currency, 0)}${proof}${kerf}`, { size: 3.2, colour: inks.soft });
  if (material.kind === 'length')
    for (const line of ripLines(material)) write(print, sayWords(line, habit), { size: 3.4 });
  if (material.kind === 'length') {
    const lengthOf = (id: string) => material.stock.find((one) => one.id === id)?.length ?? 1;
    const longest = Math.max(...material.plan.bars.map(({ stock }) => lengthOf(stock)), 0.001);
    const scale = (print.right - print.left - 16) / longest;
    for (const bar of material.plan.bars) {
      makeRoom(print, barHeight + 3);
      print.y -= barHeight + 1.5;
      const length = lengthOf(bar.stock);
      print.page.rect(print.left, print.y, length * scale, barHeight, {
        stroke: inks.ink,
        fill: '#F2EEE4',
        width: 0.3,
      });
      let x = print.left;
      for (const piece of bar.pieces) {
        const wide = piece.length * scale;
        print.page.rect(x, print.y, wide, barHeight, { stroke: inks.ink, fill: '#E3CDB4', width: 0.25 });
        const words = say(piece.length);
        if (print.page.measure(words, { size: 3.4, heading: true }) < wide - 1)
          print.page.text(words, { x: x + wide / 2, y: print.y + 2 }, { size: 3.4, heading: true, align: 'middle' });
        x += wide + material.kerf * scale;
      }
      const left = `left ${say(bar.offcut)}`;
      if (print.page.measure(left, { size: 3 }) < bar.offcut * scale - 1)
        print.page.text(
          left,
          { x: print.left + length * scale - 1, y: print.y + 2 },
          { size: 3, align: 'end', colour: inks.soft },
        );
      print.page.text(
        `${bar.fixed?.by === 'lock' ? 'cut ' : ''}× ${bar.count}`,
        { x: print.left + length * scale + 2, y: print.y + 2 },
        { size: 3.4 },
      );
    }
    return;
  }
  const alike = new Map<string, { sheet: (typeof material.plan.sheets)[number]; count: number }>();
  for (const sheet of material.plan.sheets) {
    const key = JSON.stringify(sheet);
    const known = alike.get(key);
    if (known) known.count += 1;
    else alike.set(key, { sheet, count: 1 });
  }
  for (const { sheet, count } of alike.values()) {
    const lying = sheet.height > sheet.width;
    const [long, short] = lying ? [sheet.height, sheet.width] : [sheet.width, sheet.height];
    const scale = Math.min(120 / long, sheetRoom / short);
    const cuts = cutOrder(sheet, material.kerf);
    const tall = short * scale;
    makeRoom(print, Math.max(tall, Math.min(cuts.length, 14) * 4) + 8);
    const top = print.y - 2;
    print.page.rect(print.left, top - tall, long * scale, tall, { stroke: inks.ink, fill: '#F2EEE4', width: 0.4 });
    for (const piece of sheet.placed) {
      const [x, y, w, h] = lying
        ? [piece.y, piece.x, piece.height, piece.width]
        : [piece.x, piece.y, piece.width, piece.height];
      print.page.rect(print.left + x * scale, top - (y + h) * scale, w * scale, h * scale, {
        stroke: inks.ink,
        fill: '#E3CDB4',
        width: 0.2,
      });
      const words = `${say(w)} × ${say(h)}`;
      if (print.page.measure(words, { size: 3 }) < w * scale - 1 && h * scale > 4)
        print.page.text(
          words,
          { x: print.left + (x + w / 2) * scale, y: top - (y + h / 2) * scale - 1 },
          { size: 3, align: 'middle' },
        );
    }
    print.page.text(`× ${count}`, { x: print.left, y: top - tall - 4 }, { size: 3.4 });
    const beside = print.left + long * scale + 4;
    cuts.slice(0, 14).forEach((cut, place) => {
      const lengthwise = (cut.direction === 'along') === lying;
      print.page.text(
        `${place + 1}. ${lengthwise ? 'lengthwise' : 'crosswise'} at ${say(cut.at)}`,
        { x: beside, y: top - 3 - place * 4 },
        { size: 3 },
      );
    });
    if (cuts.length > 14)
      print.page.text(`and ${cuts.length - 14} more the same way`, { x: beside, y: top - 3 - 14 * 4 }, { size: 3 });
    print.y = top - Math.max(tall + 6, Math.min(cuts.length + 1, 15) * 4);
  }
}
