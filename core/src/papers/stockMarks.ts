import { formatLength, sayWords } from '../quantity';
import { type LengthMaterial, type Part, partLetters, type ShopPlan } from '../shop';
import { letterOn } from './cutList';
import { heading, inks, newSheet, type Print, write } from './frame';
import { table } from './table';

/** A mark on a bar: m from its datum end, to which side of the line the saw goes, and what lies before it. */
export interface StockMark {
  at: number;
  /** Letter of the piece that ends here; none where the end is squared. */
  letter: string;
}

/**
 * Marks along a bar from the end that is squared first, with the saw's kerf in them: the line is drawn at each, the saw goes on the far side
 * of it, and the next piece is measured by its own mark and not from the cut.
 */
export function stockMarks(
  { pieces }: LengthMaterial['plan']['bars'][number],
  { trim, kerf }: Pick<LengthMaterial, 'trim' | 'kerf'>,
  letterOf: (piece: { id: string; length: number }) => string,
): StockMark[] {
  const marks: StockMark[] = trim > 0 ? [{ at: trim, letter: '' }] : [];
  let from = trim;
  for (const piece of pieces) {
    marks.push({ at: from + piece.length, letter: letterOf(piece) });
    from += piece.length + kerf;
  }
  return marks;
}

/** What is marked on every bar before it is sawn, at the rack: running marks from one end, kerf in. */
export function stockPages(print: Print, parts: readonly Part[], plan: ShopPlan): void {
  const { habit } = print.context;
  const letters = partLetters(parts);
  newSheet(print, 'Stock marks');
  write(
    print,
    'Hook the tape once at the squared end and make every mark of a bar from there; the kerf is in the marks. Saw on the far side of each line, so that the line stays on the piece. Write the letter before the line.',
    { size: 3.4 },
  );
  const fine = { decimals: 0, bare: true, inchesOnly: true } as const;
  for (const material of plan.materials) {
    if (material.kind !== 'length' || material.plan.bars.length === 0) continue;
    heading(print, material.name, 20);
    const { kerf, trim } = material;
    const say = (value: number) => formatLength(value, habit, { decimals: 1, fraction: 64 }).text;
    write(
      print,
      `${kerf > 0 ? `a cut takes ${say(kerf)}` : 'nothing is lost in a cut'}${trim > 0 ? `; ${say(trim)} squared off at each end` : ''}`,
      {
        size: 3.2,
        colour: inks.soft,
      },
    );
    const lengthOf = (id: string) => material.stock.find((one) => one.id === id)?.length ?? 0;
    table(
      print,
      [
        {
          title: 'bars',
          share: 3,
          words: (bar) =>
            `${bar.count} × ${formatLength(lengthOf(bar.stock), habit).text}${bar.fixed?.by === 'lock' ? ', cut' : ''}`,
        },
        {
          title: 'marks from the squared end, and the piece that ends there',
          share: 10,
          words: (bar) =>
            stockMarks(bar, material, (piece) => letterOn(material, piece, letters))
              .map(({ at, letter }) => `${formatLength(at, habit, fine).text} ${letter || 'square'}`)
              .join('    '),
        },
        { title: 'left', share: 2, align: 'end', words: (bar) => formatLength(Math.max(0, bar.offcut), habit).text },
      ],
      material.plan.bars,
      true,
    );
    write(print, sayWords(material.parts.map(({ id, name }) => `${letters.get(id) ?? ''} ${name}`).join('; '), habit), {
      size: 3.2,
      colour: inks.soft,
    });
  }
}
