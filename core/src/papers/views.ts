import type { Drawing } from '../draw';
import { mountOf, type OpenJob, sideOf } from '../job';

/** How a heater of a job is called on its sheets: `2 × panel-a`. */
export function heaterName({ count, id }: { count: number; id: string }): string {
  return count > 1 ? `${count} × ${id}` : id;
}

/** Views of one heater to be printed: all but metal laid flat, and the heater on its mount where none shows it from the side. */
export function printedViews(open: OpenJob, index: number): { words: string; drawing: Drawing }[] {
  const panel = open.panels[index];
  if (!panel) return [];
  const name = heaterName(panel.document);
  const views = Object.values(panel.design.drawings).filter(({ flat }) => !flat);
  return [
    ...views.map((view) => ({ words: `${name}: ${view.name.toLowerCase()}, ${view.words}`, drawing: view.draw() })),
    ...(views.some(({ side }) => side)
      ? []
      : [
          {
            words: mountOf(open, index) ? `${name} on its mount, from the side` : `${name} from the side`,
            drawing: sideOf(open, index),
          },
        ]),
  ];
}
