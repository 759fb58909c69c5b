import { type Drawing, drawOn, extent } from '../draw';
import type { OpenJob } from '../job';
import { mountOf, sideOf } from '../job';
import { formatNumber } from '../quantity';
import { inks, newSheet, type Print, write } from './frame';

/** mm beside and under a drawing for its dimensions and words. */
const around = 26;
/** Scales to which a drawing is brought down: what a rule reads. */
const scales = [1, 2, 5, 10, 20, 25, 50, 100];

/** Every view of every heater beside its plan, and the heater from the side on its mount, each on a sheet that lies. */
export function drawingPages(print: Print, open: OpenJob): void {
  open.panels.forEach(({ document, design }, index) => {
    const mount = mountOf(open, index);
    const name = document.count > 1 ? `${document.count} × ${document.id}` : document.id;
    for (const [id, view] of Object.entries(design.drawings))
      if (id !== 'plan' && !view.flat) drawingPage(print, view.name, `${name}, ${view.words}`, view.draw());
    if (!Object.values(design.drawings).some(({ side }) => side))
      drawingPage(print, 'Side', mount ? `${name} on its mount` : `${name} from the side`, sideOf(open, index));
  });
}

/** One drawing on a sheet, at the largest whole scale at which it goes on. */
function drawingPage(print: Print, title: string, words: string, drawing: Drawing): void {
  newSheet(print, title, true);
  const box = extent(drawing);
  const room = { width: print.right - print.left - 2 * around, height: print.y - print.bottom - around - 14 };
  const fits = Math.min(room.width / (box.width * 1000), room.height / (box.height * 1000));
  const part = scales.find((one) => 1 / one <= fits);
  const scale = 1000 * (part === undefined ? fits : 1 / part);
  write(
    print,
    `${words}. ${part === 1 ? 'At full size.' : `Scale 1 : ${formatNumber(1000 / scale, part === undefined ? 1 : 0)}.`}`,
    {
      size: 4,
      heading: true,
    },
  );
  drawOn(print.page, drawing, {
    scale,
    origin: {
      x: print.left + around + (room.width - box.width * scale) / 2 - box.left * scale,
      y: print.y - around / 2 - (room.height - box.height * scale) / 2 - (box.bottom + box.height) * scale,
    },
    habit: print.context.habit,
  });
  print.page.text(
    'Measure nothing off a drawing that can be read as a number.',
    { x: print.left, y: print.bottom + 2 },
    { size: 3, colour: inks.soft },
  );
}
