import { entryName } from '../catalogue';
import type { Drawing, Point, Shape } from '../draw';
import type { HeaterDesign } from '../families';
import type { OpenJob } from '../job';
import { formatLength, type Habit } from '../quantity';
import { type Part, partLetters } from '../shop';
import { bodyOf, roundLayers } from './body';
import { layDrawings } from './fill';
import { heading, inks, type Print, write } from './frame';
import { sizeOf } from './sizes';
import { table } from './table';
import { heaterName, printedViews } from './views';

type Letters = ReadonlyMap<string, string>;

/**
 * Every view of every heater with the letters of its pieces, as they stand on sticker, bar and card, and the place of each piece in figures:
 * what is put together is put together from this.
 */
export function assemblyPages(print: Print, open: OpenJob, parts: readonly Part[]): void {
  const { habit } = print.context;
  const letters = partLetters(parts);
  open.panels.forEach(({ document, design }, index) => {
    const name = heaterName(document);
    layDrawings(
      print,
      'Assembly',
      printedViews(open, index).map(({ words, drawing }) => ({
        words,
        drawing,
        over: (place) => letterPieces(print, drawing, place, letters),
      })),
    );
    const own = parts.filter(({ id }) => id.startsWith(`${document.id}/`));
    const places = placesOf(design, own, habit);
    heading(print, `Where each piece of ${name} lies`, 40);
    write(
      print,
      'From the left and from the lower edge of the box or frame as that view shows it, to the near edge of the piece; of tubes to the middle. What stands out beyond the edge has a minus.',
      { size: 3.2, colour: inks.soft },
    );
    table(
      print,
      [
        { title: '', share: 1, words: ({ part }) => letters.get(part.id) ?? '' },
        {
          title: 'piece',
          share: 5,
          words: ({ part }) => `${part.count > 1 ? `${part.count} × ` : ''}${part.name}: ${sizeOf(part, habit)}`,
        },
        { title: 'of', share: 3, words: ({ part }) => entryName(part.item) ?? part.item },
        { title: 'seen in', share: 2, words: ({ view }) => view },
        { title: 'from the left', share: 4, words: ({ left }) => left },
        { title: 'from below', share: 4, words: ({ up }) => up },
      ],
      places,
    );
  });
}

interface Box {
  left: number;
  bottom: number;
  right: number;
  top: number;
}

function boxOf(shape: Shape): Box {
  switch (shape.kind) {
    case 'rect':
      return { left: shape.x, bottom: shape.y, right: shape.x + shape.width, top: shape.y + shape.height };
    case 'circle': {
      const { centre, radius } = shape;
      return { left: centre.x - radius, bottom: centre.y - radius, right: centre.x + radius, top: centre.y + radius };
    }
    default: {
      const points = shape.kind === 'line' ? [shape.from, shape.to] : shape.points;
      const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
      return { left: Math.min(...xs), bottom: Math.min(...ys), right: Math.max(...xs), top: Math.max(...ys) };
    }
  }
}

/** mm. Of the circle round a letter; shares of a piece at which one may stand. */
const balloon = 2.1;
const along = [0.5, 0.3, 0.7, 0.15, 0.85, 0.08, 0.92] as const;

/** A letter on every piece that a view shows, clear of other letters where there is room. */
function letterPieces(print: Print, drawing: Drawing, place: (point: Point) => Point, letters: Letters): void {
  const taken: Point[] = [];
  const free = (at: Point) => taken.every((one) => Math.hypot(one.x - at.x, one.y - at.y) > 2 * balloon + 0.6);
  for (const [id, shapes] of shapesByPart(drawing, letters)) {
    const candidates = shapes.flatMap((shape) => spots(shape).map(place));
    const at = candidates.find(free) ?? candidates[0];
    if (!at) continue;
    taken.push(at);
    const letter = letters.get(id) ?? '';
    print.page.circle(at, balloon, { stroke: inks.ink, fill: '#FFFFFF', width: 0.25 });
    print.page.text(
      letter,
      { x: at.x, y: at.y - (letter.length > 1 ? 0.75 : 0.95) },
      { size: letter.length > 1 ? 2.2 : 2.9, heading: true, align: 'middle' },
    );
  }
}

/** Shapes of each lettered part, those that are seen before those behind something, large before small. */
function shapesByPart(drawing: Drawing, letters: Letters): Map<string, Shape[]> {
  const found = new Map<string, Shape[]>();
  for (const shape of drawing.shapes)
    if (shape.part && letters.has(shape.part)) found.set(shape.part, [...(found.get(shape.part) ?? []), shape]);
  const area = (shape: Shape) => {
    const { left, right, bottom, top } = boxOf(shape);
    return (right - left) * (top - bottom) * (shape.hidden ? 1e-6 : 1);
  };
  for (const [id, shapes] of found)
    found.set(
      id,
      shapes.toSorted((a, b) => area(b) - area(a)),
    );
  return found;
}

/** Points on a shape on which a letter may stand: along its length, or halfway along the edges of one that is no box. */
function spots(shape: Shape): Point[] {
  if (shape.kind === 'path')
    return [
      ...shape.points.map((point, index) => {
        const next = shape.points[(index + 1) % shape.points.length] ?? point;
        return { x: (point.x + next.x) / 2, y: (point.y + next.y) / 2 };
      }),
    ];
  const { left, right, bottom, top } = boxOf(shape);
  const lies = right - left >= top - bottom;
  return along.map((share) =>
    lies
      ? { x: left + share * (right - left), y: (bottom + top) / 2 }
      : { x: (left + right) / 2, y: bottom + share * (top - bottom) },
  );
}

/** Where a piece lies in the view that shows it best. */
interface Place {
  part: Part;
  view: string;
  left: string;
  up: string;
}

function placesOf(design: HeaterDesign, parts: readonly Part[], habit: Habit): Place[] {
  const views = Object.values(design.drawings)
    .filter(({ flat }) => !flat)
    // The view that is worked on first tells most.
    .toSorted((a, b) => Number(b.leads ?? false) - Number(a.leads ?? false))
    .map((view) => ({ name: view.name.toLowerCase(), drawing: view.draw() }));
  const made = new Set(parts.map(({ id }) => id));
  return parts.map((part): Place => {
    const shown = views.find(({ drawing }) => drawing.shapes.some((shape) => shape.part === part.id));
    if (!shown) return { part, view: 'no view', left: '', up: '' };
    const body = bodyOf(shown.drawing, made);
    // Holes are no places of the piece itself.
    const shapes = shown.drawing.shapes.filter(
      (shape) => shape.part === part.id && shape.kind !== 'line' && shape.kind !== 'circle',
    );
    const boxes = (shapes.length > 0 ? shapes : shown.drawing.shapes.filter((shape) => shape.part === part.id)).map(
      (shape) => ({ box: boxOf(shape), middle: roundLayers.has(shape.layer) || shape.kind === 'circle' }),
    );
    // The long way of a round piece begins at its end; across it the middle counts.
    const across = boxes.map(({ box, middle }) =>
      middle && box.right - box.left <= box.top - box.bottom ? (box.left + box.right) / 2 : box.left,
    );
    const upward = boxes.map(({ box, middle }) =>
      middle && box.top - box.bottom <= box.right - box.left ? (box.bottom + box.top) / 2 : box.bottom,
    );
    return {
      part,
      view: shown.name,
      left: runningWords(
        across.map((value) => value - body.left),
        habit,
      ),
      up: runningWords(
        upward.map((value) => value - body.bottom),
        habit,
      ),
    };
  });
}

/** m within which two places are one. */
const near = 5e-4;

/** Distances in ascending order, each from the same zero: steps would add up their rounding. */
export function runningWords(values: readonly number[], habit: Habit): string {
  const found: number[] = [];
  for (const value of values.toSorted((a, b) => a - b))
    if (found.length === 0 || value - (found.at(-1) as number) > near) found.push(value);
  return found
    .map((value) => (Math.abs(value) < near ? 0 : value))
    .map(
      (value) =>
        `${value < 0 ? '−' : ''}${formatLength(Math.abs(value), habit, { bare: true, inchesOnly: true }).text}`,
    )
    .join('  ');
}
