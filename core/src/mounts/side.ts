import { type Drawing, dim, leader, type Point, type Shape, shape } from '../draw';

/** Where a tilted panel stands, seen from the side: its low edge at x = 0, the ground y = 0, the slope rising to the right. */
export function panelPoints(query: { upslope: number; depth: number; tilt: number; low: number }): {
  foot: Point;
  at(along: number, over?: number): Point;
} {
  const angle = (query.tilt * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const at = (along: number, over = 0): Point => ({
    x: along * cos - over * sin,
    y: query.low + along * sin + over * cos,
  });
  return { foot: at(0), at };
}

/** The box of a panel from the side with its pane on top; `at` gives its places along the slope and over it. */
export function panelOutline(
  { prefix, upslope, depth }: { prefix: string; upslope: number; depth: number },
  at: (along: number, over?: number) => Point,
): Shape[] {
  return [
    shape.outline('timber', [at(0), at(upslope), at(upslope, depth), at(0, depth)], { part: `${prefix}/side-low` }),
    shape.line('pane', at(0, depth), at(upslope, depth), { part: `${prefix}/pane` }),
  ];
}

/** The same with the ground under it. */
export function panelSide(query: {
  prefix: string;
  upslope: number;
  depth: number;
  tilt: number;
  low: number;
  base: number;
}): Shape[] {
  const { at } = panelPoints(query);
  return [
    ...panelOutline(query, at),
    shape.line(
      'note',
      { x: -0.2, y: 0 },
      { x: Math.max(query.base, query.upslope * Math.cos((query.tilt * Math.PI) / 180)) + 0.25, y: 0 },
    ),
  ];
}

/** The rails across under a panel, cut through, the middle of each so far up the slope; m. */
export function crossRails(
  prefix: string,
  { width, thickness }: { width: number; thickness: number },
  places: readonly number[],
  at: (along: number, over?: number) => Point,
): Shape[] {
  return places.map((place) =>
    bar(
      'rail',
      `${prefix}/stand-rail`,
      at(place - width / 2, -thickness / 2),
      at(place + width / 2, -thickness / 2),
      thickness,
    ),
  );
}

/** A bar between two points, so thick, as a closed path. */
export function bar(
  layer: Shape['layer'],
  part: string,
  from: Point,
  to: Point,
  thickness: number,
  hidden = false,
): Shape {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const [nx, ny] = [(-(to.y - from.y) / length) * (thickness / 2), ((to.x - from.x) / length) * (thickness / 2)];
  return shape.outline(
    layer,
    [
      { x: from.x + nx, y: from.y + ny },
      { x: to.x + nx, y: to.y + ny },
      { x: to.x - nx, y: to.y - ny },
      { x: from.x - nx, y: from.y - ny },
    ],
    { part, hidden },
  );
}

/** A panel that nothing holds yet, at its tilt on the ground. */
export function bareSide(query: { prefix: string; upslope: number; depth: number; tilt: number }): Drawing {
  const shapes = panelSide({ ...query, low: 0, base: 0 });
  const { at } = panelPoints({ ...query, low: 0 });
  const top = at(query.upslope);
  return {
    title: `Side of ${query.prefix}`,
    shapes,
    labels: [
      leader(`${Math.round(query.tilt)}°`, { x: 0.22, y: 0.05 }, { x: 0.22, y: 0.05 }),
      leader('no stand chosen', at(query.upslope / 2), { x: top.x + 0.1, y: 0.12 }),
    ],
    dimensions: [
      dim.between('side-height', 'high edge over the ground', { x: top.x, y: 0 }, top, { value: top.y, offset: -0.12 }),
    ],
  };
}
