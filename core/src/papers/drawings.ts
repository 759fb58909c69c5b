import type { OpenJob } from '../job';
import { layDrawings } from './fill';
import type { Print } from './frame';
import { printedViews } from './views';

/** Every view of every heater, and the heater from the side on its mount. */
export function drawingPages(print: Print, open: OpenJob): void {
  layDrawings(
    print,
    'Drawings',
    open.panels.flatMap((_, index) => printedViews(open, index)),
  );
}
