import { drawOn, extent, type PaperPage, paperSizes, tiles } from '../draw';
import type { OpenJob } from '../job';
import { formatLength, sayWords } from '../quantity';
import { type Part, partTemplates, type Template } from '../shop';
import { inks, margin, newSheet, type Print, write } from './frame';

/** Everything that is printed at full size for a job: by the holes of its parts, and what its kinds add. */
export function jobTemplates({ panels }: OpenJob, parts: readonly Part[]): Template[] {
  return merged([...parts.flatMap(partTemplates), ...panels.flatMap(({ design }) => design.templates?.() ?? [])]);
}

/** Metal of a job that is bent, flat at full size: dozens of sheets, printed when asked for. */
export function edgeTemplates({ panels }: OpenJob): Template[] {
  return merged(
    panels.flatMap(({ document, design }) =>
      Object.entries(design.drawings).flatMap(([id, view]): Template[] =>
        view.flat
          ? [
              {
                id: `${document.id}/${id}`,
                name: `${view.name}, laid flat`,
                words: ['lay it on the strip from the end and prick through the ends of every bend line and notch'],
                drawing: { ...view.draw(), dimensions: [], labels: [] },
              },
            ]
          : [],
      ),
    ),
  );
}

/** Templates that are the same once, under all their names. */
function merged(templates: readonly Template[]): Template[] {
  const found = new Map<string, Template>();
  for (const template of templates) {
    const { shapes, labels } = template.drawing;
    // How it is laid on is part of it: what is drilled alike in one board may be the other end of another.
    const { words } = template;
    // To a thousandth of a millimetre: the same place reckoned two ways is the same place.
    const key = JSON.stringify([words, shapes, labels], (_, value: unknown) =>
      typeof value === 'number' ? Math.round(value * 1e6) : value,
    );
    const known = found.get(key);
    found.set(key, known ? { ...known, name: `${known.name}; ${template.name}` } : template);
  }
  return [...found.values()];
}

/** m that one sheet shows again of the one before, at least. */
const leastLap = 0.01;
/** m more than the largest hole: one that a seam goes through is whole on one sheet or the other. */
const round = 0.004;
/** mm of an upright sheet that heading, words and ruler take. */
const uprightLess = 110;
/** m over and under a drawing for the words at its edges. */
const words = 0.005;
/** mm by which the last line of a drawing is let show. */
const edge = 0.3;
/** mm of the ruler's own room, at the foot of what is printed. */
const rulerRoom = 16;
/** mm beside what is printed for the upright ruler. */
const uprightRoom = 10;
/** mm. A strip is laid under the one before as long as there is room for it. */
const between = 9;

/** Pages of a template at full size, on sheets that lie, each with a ruler to measure before anything is cut. */
export function templatePages(print: Print, template: Template): void {
  const { habit } = print.context;
  const bare = extent(template.drawing);
  // Words at the edges are part of it.
  const box = { ...bare, bottom: bare.bottom - words, height: bare.height + 2 * words };
  const title = 'Full size';
  const { width, height } = paperSizes[print.context.size];
  // Upright where it goes on one sheet so; lying, as strips do, where it does not.
  const lying = box.width * 1000 > width - 2 * margin - uprightRoom || box.height * 1000 > height - uprightLess;
  const begin = () => {
    newSheet(print, title, lying);
    ruler(print.page, print.bottom + 4, habit);
  };
  begin();
  write(print, template.name, { heading: true, size: 4.6 });
  for (const said of template.words)
    write(print, `${sentence(sayWords(said, habit))}.`, { size: 3.2, colour: inks.soft });
  write(
    print,
    'Print at 100 %, not fitted to the page. Measure the ruler below; if it is not right, do not use the sheet.',
    {
      size: 3.2,
      colour: inks.brick,
    },
  );
  const room = {
    width: (print.right - print.left - uprightRoom) / 1000,
    height: (print.y - print.bottom - rulerRoom - between) / 1000,
  };
  const lap = lapOf(template);
  const all = tiles(box, room, lap);
  // Up the page first come the upper rows, so that the sheets lie in the order in which they are put together.
  for (const tile of all) {
    const tall = tile.height * 1000;
    if (print.y - tall - between < print.bottom + rulerRoom) begin();
    const top = print.y - between;
    const [x, y] = [print.left, top - tall];
    const origin = { x: x - tile.x * 1000, y: y - tile.y * 1000 };
    print.page.clipped(x - edge, y, tile.width * 1000 + 2 * edge, tall, () => {
      drawOn(print.page, template.drawing, { scale: 1000, origin, habit, bare: true });
    });
    if (all.length > 1) {
      const where = tile.rows > 1 ? `row ${tile.row + 1} of ${tile.rows}, ` : '';
      print.page.text(
        `${where}piece ${tile.column + 1} of ${tile.columns}`,
        { x, y: top + 1.2 },
        { size: 3, colour: inks.soft },
      );
      laps(print.page, lap, {
        x,
        y,
        width: tile.width * 1000,
        tall,
        first: tile.column === 0,
        last: tile.column === tile.columns - 1,
      });
    }
    print.y = y;
  }
}

/** m that neighbours show alike. */
function lapOf({ drawing }: Template): number {
  const across = drawing.shapes.map((shape) => {
    if (shape.layer !== 'hole') return 0;
    if (shape.kind === 'circle') return 2 * shape.radius;
    if (shape.kind !== 'path') return 0;
    const xs = shape.points.map(({ x }) => x);
    return Math.max(...xs) - Math.min(...xs);
  });
  return Math.max(leastLap, ...across.map((size) => size + round));
}

/** Where neighbours lap: the lines of two sheets are laid on each other. */
function laps(
  page: PaperPage,
  lap: number,
  {
    x,
    y,
    width,
    tall,
    first,
    last,
  }: { x: number; y: number; width: number; tall: number; first: boolean; last: boolean },
): void {
  const mark = (at: number) => {
    page.line({ x: at, y: y - 3 }, { x: at, y: y + tall + 3 }, { stroke: inks.copper, width: 0.2, dash: [2, 1.2] });
  };
  if (!first) mark(x + lap * 500);
  if (!last) mark(x + width - lap * 500);
}

/** mm of the ruler: ten centimetres, or four inches. */
const rulers = {
  metric: { long: 100, step: 5, tens: 2, words: '100 mm' },
  imperial: { long: 4 * 25.4, step: 25.4 / 4, tens: 4, words: '4″' },
} as const;

/** A ruler along the foot and one up the side, to see that the printer scaled neither way. */
export function ruler(page: PaperPage, y: number, habit: 'metric' | 'imperial'): void {
  const { long, step, tens, words } = rulers[habit];
  const pen = { stroke: '#000000', width: 0.15 };
  const count = Math.round(long / step);
  page.line({ x: margin, y }, { x: margin + long, y }, pen);
  for (let tick = 0; tick <= count; tick += 1) {
    const tall = tick % tens === 0 ? 4 : 2;
    page.line({ x: margin + tick * step, y }, { x: margin + tick * step, y: y + tall }, pen);
  }
  page.text(`${words} from end to end`, { x: margin + long + 3, y: y + 0.5 }, { size: 3.2 });
  // Beside what is drawn, twelve millimetres from the edge: nearer, many printers print nothing.
  const x = page.width - margin;
  const upright = long / 2;
  page.line({ x, y }, { x, y: y + upright }, pen);
  for (let tick = 0; tick <= count / 2; tick += 1) {
    const wide = tick % tens === 0 ? 4 : 2;
    page.line({ x: x - wide, y: y + tick * step }, { x, y: y + tick * step }, pen);
  }
  page.text(`${formatLength(upright / 1000, habit).text} up`, { x: x - 5, y: y + 0.5 }, { size: 3.2, align: 'end' });
}

function sentence(said: string): string {
  return `${said[0]?.toUpperCase() ?? ''}${said.slice(1)}`;
}
