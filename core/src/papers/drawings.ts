import type { OpenJob } from '../job';
import { mountOf, sideOf } from '../job';
import { layDrawings, type SheetDrawing } from './fill';
import type { Print } from './frame';

/** Every view of every heater, and the heater from the side on its mount. */
export function drawingPages(print: Print, open: OpenJob): void {
  const drawings = open.panels.flatMap(({ document, design }, index): SheetDrawing[] => {
    const mount = mountOf(open, index);
    const name = document.count > 1 ? `${document.count} × ${document.id}` : document.id;
    const views = Object.values(design.drawings);
    return [
      ...views
        .filter(({ flat }) => !flat)
        .map((view) => ({ words: `${name}: ${view.name.toLowerCase()}, ${view.words}`, drawing: view.draw() })),
      ...(views.some(({ side }) => side)
        ? []
        : [
            {
              words: mount ? `${name} on its mount, from the side` : `${name} from the side`,
              drawing: sideOf(open, index),
            },
          ]),
    ];
  });
  layDrawings(print, 'Drawings', drawings);
}
