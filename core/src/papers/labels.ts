import { entryName } from '../catalogue';
import { formatLength } from '../quantity';
import { type Part, partLetters } from '../shop';
import { inks, lines, newSheet, type Print } from './frame';

/** mm. A sticker; three stand beside each other, as label sheets and scissors have them. */
const high = 32;
const gap = 2;
const across = 3;

/** A sticker for every piece: its name, its size, and which end its measures are taken from. */
export function labelPages(print: Print, parts: readonly Part[]): void {
  const letters = partLetters(parts);
  newSheet(print, 'Labels');
  const { habit } = print.context;
  const wide = (print.right - print.left - (across - 1) * gap) / across;
  let place = 0;
  const say = (value: number) => formatLength(value, habit, { inchesOnly: value < 1 }).text;
  for (const part of parts)
    for (let piece = 1; piece <= part.count; piece += 1) {
      if (place > 0 && place % across === 0) print.y -= high + gap;
      if (print.y - high < print.bottom) {
        newSheet(print, 'Labels');
        place = 0;
      }
      const x = print.left + (place % across) * (wide + gap);
      const top = print.y;
      print.page.rect(x, top - high, wide, high, { stroke: inks.line, width: 0.2, dash: [1.2, 1] });
      let y = top - 1.5;
      const put = (words: string, size: number, heading = false, colour = inks.ink, most = 2) => {
        for (const line of lines(print.page, words, wide - 14, { size, heading }).slice(0, most)) {
          y -= size * 1.2;
          print.page.text(line, { x: x + 2, y: y + size * 0.25 }, { size, heading, colour });
        }
      };
      print.page.text(
        letters.get(part.id) ?? '',
        { x: x + wide - 2, y: top - 8.5 },
        { size: 9, heading: true, align: 'end', colour: inks.copper },
      );
      put(part.name, 4, true);
      put(part.kind === 'length' ? say(part.length) : `${say(part.height)} × ${say(part.width)}`, 6, true, inks.ink, 1);
      put(entryName(part.item) ?? part.item, 2.8, false, inks.soft, 1);
      const ends = part.datum ? `${part.datum.end} to the ${part.datum.side}, outer face up` : '';
      if (ends) put(ends, 3.4, true, inks.copper, 1);
      print.page.text(
        `${part.id}${part.count > 1 ? `  ${piece} of ${part.count}` : ''}`,
        { x: x + 2, y: top - high + 1.4 },
        { size: 2.4, colour: inks.soft },
      );
      place += 1;
    }
}
