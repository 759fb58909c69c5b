import { jobSteps } from '../building';
import { jobParts, type OpenJob } from '../job';
import { formatIn, sayWords } from '../quantity';
import { partLetters } from '../shop';
import { heading, inks, lines, makeRoom, newSheet, type Print, write } from './frame';

/** mm. A box to tick, and the line on which what was measured is written. */
const box = 4;
const blank = 34;
const indent = 7;

/**
 * The order of work, to be ticked and written on: each step with what may harm, what is done, what it takes, and when it is good; where that is a number, a
 * line for the number that was found.
 */
export function stepPages(print: Print, open: OpenJob): void {
  const { habit } = print.context;
  newSheet(print, 'Steps');
  const { parts, purchases } = jobParts(open);
  const letters = partLetters(parts);
  const named = new Map([
    ...purchases.map(({ id, name }) => [id, sayWords(name, habit)] as const),
    ...parts.map(
      ({ id, name, count }) =>
        [id, `${letters.get(id) ?? ''} ${sayWords(name, habit)}${count > 1 ? ` × ${count}` : ''}`] as const,
    ),
  ]);
  const many = open.panels.filter(({ document }) => document.count > 1);
  for (const { document } of many)
    write(
      print,
      `${document.id} is built ${document.count} times: all of them are cut at once, every other step is done for each, and what is counted in it is of one.`,
      { size: 3.4, colour: inks.copper },
    );
  jobSteps(open).forEach((step, index) => {
    heading(print, `${index + 1}. ${step.name}`, 24);
    for (const words of step.beware) written(print, sayWords(words, habit), { colour: inks.brick });
    step.does.forEach((words, order) => {
      written(print, `${order + 1}. ${sayWords(words, habit)}`, { indent: 2 });
    });
    const pieces = step.parts.flatMap((id) => named.get(id) ?? []);
    if (pieces.length > 0) written(print, `Pieces: ${pieces.join(', ')}.`, { colour: inks.soft, size: 3 });
    if (step.needs.length > 0) written(print, `At hand: ${step.needs.join(', ')}.`, { colour: inks.soft, size: 3 });
    for (const { words, expects } of step.checks) tickLine(print, sayWords(words, habit), expects !== undefined);
    if (step.waits) written(print, `Then wait ${formatIn('duration', step.waits, 'h', 0).text}.`, { size: 3.2 });
    tickLine(print, 'Done', true);
  });
}

function written(print: Print, words: string, lettering: Parameters<typeof write>[2]): void {
  write(print, words, lettering);
  print.y -= 0.8;
}

/** Words behind a box, and a line after them to write on. */
function tickLine(print: Print, words: string, line: boolean): void {
  const room = print.right - print.left - indent - (line ? blank + 4 : 0);
  const tall = lines(print.page, words, room).length * 3.5 * 1.35;
  makeRoom(print, tall + 3);
  const top = print.y;
  print.page.rect(print.left, top - 4.6, box, box, { stroke: inks.ink, width: 0.3 });
  write(print, words, { indent, room });
  if (line)
    print.page.line(
      { x: print.right - blank, y: print.y },
      { x: print.right, y: print.y },
      { stroke: inks.ink, width: 0.3 },
    );
  print.y -= 2;
}
