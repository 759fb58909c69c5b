import { inks, lines, makeRoom, type Print } from './frame';

export interface Column<Row> {
  title: string;
  /** Share of the width. */
  share: number;
  align?: 'start' | 'end';
  words(row: Row): string;
}

/** mm of a line of a table. */
const size = 3.5;
const step = size * 1.3;

/** A table with a box to tick before each row, going on over as many sheets as it takes. */
export function table<Row>(print: Print, columns: readonly Column<Row>[], rows: readonly Row[], boxes = false): void {
  const shares = columns.reduce((sum, { share }) => sum + share, 0);
  const from = print.left + (boxes ? 7 : 0);
  const wide = (share: number) => ((print.right - from) * share) / shares;
  const places = columns.map((_, index) => columns.slice(0, index).reduce((sum, { share }) => sum + wide(share), from));
  const put = (words: string, index: number, y: number, colour: string = inks.ink) => {
    const column = columns[index];
    const x = places[index] ?? from;
    if (!column) return;
    const end = column.align === 'end';
    print.page.text(
      words,
      { x: end ? x + wide(column.share) - 1.5 : x, y },
      { size, colour, align: end ? 'end' : 'start' },
    );
  };
  const head = () => {
    print.y -= step;
    columns.forEach(({ title }, index) => {
      put(title, index, print.y + 1, inks.soft);
    });
    print.page.line(
      { x: print.left, y: print.y - 0.5 },
      { x: print.right, y: print.y - 0.5 },
      { stroke: inks.ink, width: 0.3 },
    );
    print.y -= 1.5;
  };
  makeRoom(print, 4 * step);
  head();
  for (const row of rows) {
    const cells = columns.map(({ words, share }) => lines(print.page, words(row), wide(share) - 3, { size }));
    const tall = Math.max(1, ...cells.map(({ length }) => length)) * step + 1.6;
    const before = print.page;
    makeRoom(print, tall);
    if (print.page !== before) head();
    cells.forEach((words, index) => {
      words.forEach((line, place) => {
        put(line, index, print.y - (place + 1) * step + 1);
      });
    });
    if (boxes) print.page.rect(print.left, print.y - step - 0.2, 4, 4, { stroke: inks.ink, width: 0.3 });
    print.y -= tall;
    print.page.line({ x: print.left, y: print.y }, { x: print.right, y: print.y }, { stroke: inks.line, width: 0.15 });
  }
  print.y -= 2;
}
