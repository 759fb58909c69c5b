import { entryName } from '../catalogue';
import { formatLength, sayWords } from '../quantity';
import {
  diagonalOf,
  type HoleSchedule,
  holeReach,
  type Mate,
  matesOf,
  mateWords,
  type Part,
  partLetters,
  workWords,
} from '../shop';
import { inks, lines, newSheet, type Print } from './frame';

/** mm. Two cards stand side by side, as many under each other as they need. */
const gap = 6;

/** A card for every piece, in figures that are read from the saw table. */
export function cardPages(print: Print, parts: readonly Part[]): void {
  const mates = matesOf(parts);
  const letters = partLetters(parts);
  newSheet(print, 'Mark out');
  let column = 0;
  let low = print.y;
  let top = print.y;
  const cards = parts.flatMap((part) => {
    return splitTall(
      contents(print, part, { mate: mates.get(part.id), letter: letters.get(part.id) ?? '' }),
      part.name,
      print.y - print.bottom - around,
    );
  });
  for (const card of cards) {
    const tall = heightOf(card) + around;
    if (top - tall < print.bottom) {
      newSheet(print, 'Mark out');
      column = 0;
      top = print.y;
      low = top;
    }
    const wide = (print.right - print.left - gap) / 2;
    const x = print.left + column * (wide + gap);
    print.page.rect(x, top - tall, wide, tall, { stroke: inks.line, width: 0.3 });
    let y = top - 3;
    for (const { words, size, step, heading, colour } of card) {
      y -= step;
      print.page.text(words, { x: x + 4, y: y + step * 0.28 }, { size, heading, colour });
    }
    low = Math.min(low, top - tall - gap);
    if (column === 0) column = 1;
    else {
      column = 0;
      top = low;
    }
  }
}

/** Holes of a row beyond which their figures are set smaller. */
const manyHoles = 14;

/** mm over and under the words of a card. */
const around = 8;

function heightOf(card: readonly Line[]): number {
  return card.reduce((sum, { step }) => sum + step, 0);
}

/** A card higher than a sheet goes on in another, under its name. */
function splitTall(card: Line[], name: string, most: number): Line[][] {
  if (heightOf(card) <= most) return [card];
  const found: Line[][] = [];
  let current: Line[] = [];
  for (const line of card) {
    if (current.length > 0 && heightOf(current) + line.step > most) {
      found.push(current);
      current = [{ words: `${name}, goes on`, size: 3.6, step: 4.7, heading: true, colour: inks.ink }];
    }
    current.push(line);
  }
  return [...found, current];
}

interface Line {
  words: string;
  size: number;
  step: number;
  heading: boolean;
  colour: string;
}

function contents(print: Print, part: Part, { mate, letter }: { mate: Mate | undefined; letter: string }): Line[] {
  const { habit } = print.context;
  const wide = (print.right - print.left - gap) / 2 - 8;
  const say = (value: number, fine = false) =>
    formatLength(value, habit, fine ? { decimals: 1, fraction: 64 } : { inchesOnly: value < 1 }).text;
  const found: Line[] = [];
  const put = (words: string, size: number, heading = false, colour = inks.ink) => {
    for (const line of lines(print.page, words, wide, { size, heading }))
      found.push({ words: line, size, step: size * 1.3, heading, colour });
  };
  put(`${letter}  ${part.count > 1 ? `${part.name}, ${part.count} alike` : part.name}`, 4.6, true);
  put(entryName(part.item) ?? part.item, 3.2, false, inks.soft);
  put(
    part.kind === 'length' ? say(part.length, part.row !== undefined) : `${say(part.height)} × ${say(part.width)}`,
    part.kind === 'length' ? 11 : 8,
    true,
  );
  const { bends } = part;
  for (const holes of part.holes ?? []) {
    put(
      holes.positions.length === 1
        ? `Hole from the ${holes.datum}`
        : `Holes from the ${holes.datum}, centre line at ${say(holes.middle)}`,
      3.2,
      false,
      inks.soft,
    );
    put(
      holes.positions
        .map((position) => formatLength(position, habit, { bare: true, inchesOnly: true }).text)
        .join('   '),
      holes.positions.length > manyHoles ? 4 : 5.4,
      true,
    );
    put(`pilot ${say(holes.pilot, true)}, then ${say(holes.diameter, true)} ${holes.where}`, 3.2);
    put(
      edgeWords(holes, (value) => say(value, true)),
      3.2,
      false,
      inks.soft,
    );
    if (holes.across) {
      const { distance, more = [], from } = holes.across;
      put(`${[distance, ...more].map((one) => say(one)).join(', ')} from the ${from}`, 3.2);
    }
  }
  if (bends) {
    put(`Bend lines from the ${bends.datum}`, 3.2, false, inks.soft);
    put(
      bends.positions.map((position, place) => `${say(position, true)} ${bends.turns[place] ?? ''}`).join('   '),
      4.4,
      true,
    );
  }
  const diagonal = diagonalOf(part);
  if (diagonal !== undefined) put(`square when both diagonals are ${say(diagonal)}`, 3.2, false, inks.soft);
  if (mate) put(mateWords(mate), 3.2, false, inks.copper);
  const work = workWords(part);
  if (work.length > 0) put(sayWords(work.join('; '), habit), 3.4);
  put(
    `made  ${Array.from({ length: Math.min(part.count, 12) }, () => '[  ]').join('  ')}${part.count > 12 ? '  …' : ''}`,
    3.6,
  );
  return found;
}

/** Where the edges of every hole are, for whoever marks by edges. */
function edgeWords(holes: HoleSchedule, say: (metres: number) => string): string {
  const { least, most } = holeReach(holes);
  return most > least
    ? `edges of a hole: ${say(least)} and ${say(most)} from its centre, the longer outward`
    : `both edges of a hole: ${say(least)} to either side of its centre`;
}
