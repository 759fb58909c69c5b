import { entryName } from '../catalogue';
import { formatLength, formatMoney, formatNumber, sayWords } from '../quantity';
import {
  cutOrder,
  gangs,
  handedPairs,
  type LengthMaterial,
  type MaterialPlan,
  type Part,
  partLetters,
  ripLines,
  type SheetMaterial,
  type ShopPlan,
  workWords,
} from '../shop';
import { heading, inks, lines, makeRoom, newSheet, type Print, write } from './frame';
import { sizeOf } from './sizes';
import { table } from './table';

type Letters = ReadonlyMap<string, string>;

/** How the pieces come out of bars and sheets, the stops they are cut against, and every piece with its work. */
export function cutPages(print: Print, parts: readonly Part[], plan: ShopPlan): void {
  const { habit } = print.context;
  const letters = partLetters(parts);
  newSheet(print, 'Cut');
  for (const material of plan.materials) layoutOf(print, material, letters);
  stops(print, parts);
  heading(print, 'Every piece');
  table(
    print,
    [
      { title: '', share: 0.8, words: ({ id }) => letters.get(id) ?? '' },
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
/** mm. Of a line of cuts beside a sheet, and how wide a column of them is. */
const cutStep = 4;
const cutWide = 34;

function layoutOf(print: Print, material: MaterialPlan, letters: Letters): void {
  const { habit, job } = print.context;
  const proof = material.plan.proof.status === 'proved' ? ', cheapest possible' : '';
  const first = material.kind === 'sheet' && material.plan.sheets.length > 0 ? sheetRoom + 8 : barHeight + 8;
  heading(print, material.name, first);
  const kerf =
    material.kerf > 0 ? `, a cut takes ${formatLength(material.kerf, habit, { decimals: 1, fraction: 64 }).text}` : '';
  write(print, `${formatMoney(material.plan.cost, job.currency, 0)}${proof}${kerf}`, { size: 3.2, colour: inks.soft });
  if (material.kind === 'length') barsOf(print, material, letters);
  else sheetsOf(print, material, letters);
  namesOf(print, material, letters);
}

/** Letter and name of every piece that a material gives. */
function namesOf(print: Print, { parts }: MaterialPlan, letters: Letters): void {
  if (parts.length === 0) return;
  write(
    print,
    parts.map(({ id, name, count }) => `${letters.get(id) ?? ''} ${name}${count > 1 ? ` × ${count}` : ''}`).join('; '),
    {
      size: 3.2,
    },
  );
  print.y -= 1;
}

/** The letter of a piece on a bar; of a board that is ripped into several, all of theirs. */
export function letterOn(
  { rips }: Pick<LengthMaterial, 'rips'>,
  { id, length }: { id: string; length: number },
  letters: Letters,
): string {
  const rip = rips.find((one) => one.part === id && Math.abs(one.length - length) < 1e-6);
  const parts = rip ? rip.gives.map(({ part }) => part) : [id];
  return [...new Set(parts.map((part) => letters.get(part) ?? ''))].join('+');
}

function barsOf(print: Print, material: MaterialPlan & LengthMaterial, letters: Letters): void {
  const { habit } = print.context;
  const say = (value: number) => formatLength(value, habit, { bare: true }).text;
  for (const line of ripLines(material)) write(print, sayWords(line, habit), { size: 3.4 });
  const lengthOf = (id: string) => material.stock.find((one) => one.id === id)?.length ?? 1;
  const longest = Math.max(...material.plan.bars.map(({ stock }) => lengthOf(stock)), 0.001);
  const scale = (print.right - print.left - 16) / longest;
  for (const bar of material.plan.bars) {
    makeRoom(print, barHeight + 3);
    print.y -= barHeight + 1.5;
    const length = lengthOf(bar.stock);
    print.page.rect(print.left, print.y, length * scale, barHeight, { stroke: inks.ink, fill: '#F2EEE4', width: 0.3 });
    let x = print.left + material.trim * scale;
    for (const piece of bar.pieces) {
      const wide = piece.length * scale;
      print.page.rect(x, print.y, wide, barHeight, { stroke: inks.ink, fill: '#E3CDB4', width: 0.25 });
      const letter = letterOn(material, piece, letters);
      // Its letter and its length; its letter alone where it is short.
      const words = [`${letter}  ${say(piece.length)}`, letter].find(
        (one) => print.page.measure(one, { size: 3.4, heading: true }) < wide - 0.8,
      );
      if (words)
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
  print.y -= 1;
}

function sheetsOf(print: Print, material: MaterialPlan & SheetMaterial, letters: Letters): void {
  const { habit } = print.context;
  const say = (value: number) => formatLength(value, habit, { bare: true }).text;
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
    makeRoom(print, tall + 8);
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
      const letter = letters.get(piece.id) ?? '';
      const words = [`${letter}  ${say(w)} × ${say(h)}`, letter].find(
        (one) => print.page.measure(one, { size: 3 }) < w * scale - 1,
      );
      if (words && h * scale > 3.2)
        print.page.text(
          words,
          { x: print.left + (x + w / 2) * scale, y: top - (y + h / 2) * scale - 1 },
          { size: 3, align: 'middle' },
        );
    }
    const beside = print.left + long * scale + 4;
    const rows = Math.max(1, Math.floor(tall / cutStep));
    const columns = Math.max(1, Math.floor((print.right - beside) / cutWide));
    const said = cuts.map((cut, place) => {
      const lengthwise = (cut.direction === 'along') === lying;
      return `${place + 1}. ${lengthwise ? 'lengthwise' : 'crosswise'} at ${say(cut.at)}`;
    });
    said.slice(0, rows * columns).forEach((words, place) => {
      print.page.text(
        words,
        { x: beside + Math.floor(place / rows) * cutWide, y: top - 3 - (place % rows) * cutStep },
        { size: 3 },
      );
    });
    print.page.text(`× ${count}`, { x: print.left, y: top - tall - 4 }, { size: 3.4 });
    print.y = top - tall - 6;
    // What goes on is written under it, every cut of it: none is left to be guessed.
    const rest = said.slice(rows * columns).join('   ');
    if (rest)
      for (const line of lines(print.page, rest, print.right - print.left, { size: 3 }))
        write(print, line, { size: 3 });
  }
}
