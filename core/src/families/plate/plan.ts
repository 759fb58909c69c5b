import { type BoxDesign, type BoxMember, type Exit, outerBoard } from '../../boxes';
import { type Dimension, dim, type Label, leader, type Point, type Shape, shape } from '../../draw';
import type { PlateLayout } from './layout';

/** m. How far dimension lines stand off what they measure. */
export const standOff = { near: 0.075, far: 0.15 } as const;

/** The box from above, without what lies in it. */
export function boxShapes(prefix: string, { box, exits }: PlateLayout): Shape[] {
  const { length, width } = box.outside;
  const part = (name: string) => `${prefix}/${name}`;
  const side = (name: string, y: number): Shape =>
    shape.rect('timber', { part: part(name), x: 0, y, width: length, height: box.wall });
  // Ends that tubes come out of are pieces of their own.
  const onEnds = exits.some(({ side: from }) => from === 'cold' || from === 'hot');
  const end = (which: 'cold' | 'hot', x: number): Shape =>
    shape.rect('timber', {
      part: part(onEnds ? `end-${which}` : 'end'),
      x,
      y: box.wall,
      width: box.wall,
      height: box.inside.width,
    });
  const cleats = box.cleat > 0 ? [box.wall, length - box.wall - box.cleat] : [];
  return [
    side('side-low', 0),
    side('side-high', width - box.wall),
    end('cold', 0),
    end('hot', length - box.wall),
    ...box.insulationPieces.map(
      ({ role, x, y, width: along, height }): Shape =>
        shape.rect('insulation', { part: part(role), x, y, width: along, height }),
    ),
    ...outerShapes(prefix, box, exits),
    ...stripShapes(prefix, box),
    ...cleats.flatMap((x): Shape[] =>
      [box.wall, width - box.wall - box.cleatThickness].map((y) =>
        shape.rect('rail', { part: part('cleat'), x, y, width: box.cleat, height: box.cleatThickness }),
      ),
    ),
  ];
}

/** Boards or bent metal round the outside, and where the leg of the metal lies under the back. */
function outerShapes(prefix: string, { seam, skin, outside }: BoxDesign, exits: readonly Exit[]): Shape[] {
  if (seam === undefined) return [];
  const { length, width } = outside;
  const names = skin
    ? { low: 'edge-left', high: 'edge-right', cold: 'edge-low', hot: 'edge-high' }
    : {
        low: outerBoard('low', exits),
        high: outerBoard('high', exits),
        cold: outerBoard('cold', exits),
        hot: outerBoard('hot', exits),
      };
  const rect = (part: string, x: number, y: number, along: number, across: number): Shape =>
    shape.rect(skin ? 'fixing' : 'timber', { part: `${prefix}/${part}`, x, y, width: along, height: across });
  return [
    rect(names.low, 0, 0, length, seam),
    rect(names.high, 0, width - seam, length, seam),
    rect(names.cold, 0, seam, seam, width - 2 * seam),
    rect(names.hot, length - seam, seam, seam, width - 2 * seam),
  ];
}

/** Insulation along the inner faces of the sides. */
function stripShapes(prefix: string, { edgeStrip, wall, inside, outside, cleat, cleatThickness }: BoxDesign): Shape[] {
  if (edgeStrip === 0) return [];
  const strip = (id: string, x: number, y: number, width: number, height: number): Shape =>
    shape.rect('insulation', { part: `${prefix}/${id}`, x, y, width, height });
  // Between the cleats, as it is cut.
  const corner = Math.max(edgeStrip, cleatThickness);
  const between = inside.width - 2 * corner;
  const long = inside.length - 2 * cleat;
  return [
    strip('strip-side', wall + cleat, wall, long, edgeStrip),
    strip('strip-side', wall + cleat, outside.width - wall - edgeStrip, long, edgeStrip),
    strip('strip-end', wall, wall + corner, edgeStrip, between),
    strip('strip-end', outside.length - wall - edgeStrip, wall + corner, edgeStrip, between),
  ];
}

/** m. A handle and a hanging plate as they are drawn. */
const handle = { along: 0.12, out: 0.035 };
const plate = 0.02;

/** What hands and hooks take hold of. */
function holds(prefix: string, { handles, hangers, outside }: BoxDesign): Shape[] {
  return [
    ...handles.map(({ x, y }): Shape => {
      const atEnd = x === 0 || x === outside.length;
      const [width, height] = atEnd ? [handle.out, handle.along] : [handle.along, handle.out];
      return shape.rect('note', {
        part: `${prefix}/handle`,
        x: x === 0 ? -width : x === outside.length ? x : x - width / 2,
        y: y === 0 ? -height : y === outside.width ? y : y - height / 2,
        width,
        height,
      });
    }),
    ...hangers.map((centre): Shape => shape.circle('rail', centre, plate, { hidden: true, part: `${prefix}/hanger` })),
  ];
}

/** The frame of a lid over the box, its joints as its corners are made. */
function lidShapes(prefix: string, { lid, outside }: BoxDesign): Shape[] {
  if (!lid) return [];
  const { width } = lid;
  const frame = (part: string, x: number, y: number, along: number, across: number): Shape =>
    shape.rect('timber', { hidden: true, part: `${prefix}/${part}`, x, y, width: along, height: across });
  const joint = (from: Point, to: Point): Shape => shape.line('timber', from, to, { hidden: true });
  const corners = [0, outside.length].flatMap((x) => [0, outside.width].map((y) => ({ x, y })));
  return [
    ...[0, outside.width - width].map((y) => frame('lid-side', 0, y, outside.length, width)),
    ...[0, outside.length - width].map((x) => frame('lid-end', x, width, width, outside.width - 2 * width)),
    ...corners.map(({ x, y }) => {
      const inner = { x: x === 0 ? width : x - width, y: y === 0 ? width : y - width };
      return joint(lid.corners === 'mitred' ? { x, y } : { x: inner.x, y }, inner);
    }),
  ];
}

/** The rails, hidden under the plate. */
export function railShapes(prefix: string, { box }: PlateLayout): Shape[] {
  return box.rails.map((middle) =>
    shape.rect('rail', {
      hidden: true,
      part: `${prefix}/rail`,
      x: box.wall + middle - box.board / 2,
      y: box.wall,
      width: box.board,
      height: box.inside.width,
    }),
  );
}

/** Corner screws, the pane over all of it and its bars. */
export function paneShapes(prefix: string, { box, glazing }: PlateLayout): Shape[] {
  const { length, width } = box.outside;
  const onSides = new Set(box.cornerScrews.filter(({ on }) => on === 'side').map(({ along }) => along));
  const onEnds = new Set(box.cornerScrews.filter(({ on }) => on === 'end').map(({ along }) => along));
  const screw = (x: number, y: number): Shape => shape.circle('fixing', { x, y }, 0.003);
  const screws = [
    ...[...onSides].flatMap((x) => [box.wall / 2, width - box.wall / 2].map((y) => screw(x, y))),
    ...[...onEnds].flatMap((y) => [box.wall / 2, length - box.wall / 2].map((x) => screw(x, y))),
  ];
  const over = [...screws, ...holds(prefix, box), ...lidShapes(prefix, box)];
  if (!glazing.cover) return over;
  const { count } = glazing.bars;
  return [
    ...over,
    ...Array.from({ length: count }, (_, bar): Shape => {
      const x = (length + box.opening.length * ((2 * (bar + 1)) / (count + 1) - 1)) / 2;
      return shape.line(
        'pane',
        { x, y: box.wall },
        { x, y: width - box.wall },
        { hidden: true, part: `${prefix}/pane-bar` },
      );
    }),
    shape.rect('pane', {
      hidden: true,
      part: `${prefix}/pane`,
      x: (length - glazing.pane.length) / 2,
      y: (width - glazing.pane.width) / 2,
      width: glazing.pane.length,
      height: glazing.pane.width,
    }),
  ];
}

/** Outside length and width, each solved back to the pane. `besideEnd` leaves room for what sticks out of the cold end. */
export function outsideDimensions(
  { box, glazing }: PlateLayout,
  member: BoxMember,
  least: { length: number; lengthReason: string; width: number; widthReason: string },
  besideEnd: number = standOff.far,
): Dimension[] {
  const { length, width } = box.outside;
  const grow = member.paneToOutside(glazing);
  const edit = { high: 3.2 + grow, scale: 1, offset: -grow, highReason: 'no such pane is sold' };
  return [
    dim.across('outside-length', 'pane and box', { x: 0, y: 0 }, length, {
      offset: -standOff.far,
      edit: { ...edit, path: 'glazing.parameters.length', low: least.length, lowReason: least.lengthReason },
    }),
    dim.up('outside-width', 'pane and box', { x: 0, y: 0 }, width, {
      offset: besideEnd,
      edit: { ...edit, path: 'glazing.parameters.width', low: least.width, lowReason: least.widthReason },
    }),
  ];
}

/** m. Of the arrow that shows which way is up. */
const arrow = 0.11;

/** Where the up arrow begins, and the way it points: along the tubes, or across them when the panel is turned. */
function upFrom(turned: boolean, length: number, width: number) {
  const way = turned ? { x: 0, y: 1 } : { x: 1, y: 0 };
  return { way, tail: turned ? { x: length + 0.06, y: width - 0.15 } : { x: length + 0.04, y: 0.05 } };
}

export function upArrow(turned: boolean, { box }: PlateLayout): Shape[] {
  const { way, tail } = upFrom(turned, box.outside.length, box.outside.width);
  const at = (along: number, aside: number) => ({
    x: tail.x + way.x * along - way.y * aside,
    y: tail.y + way.y * along + way.x * aside,
  });
  return [
    shape.path('note', [at(0, 0), at(arrow, 0)]),
    shape.path('note', [at(arrow - 0.03, 0.016), at(arrow, 0), at(arrow - 0.03, -0.016)]),
  ];
}

export function upLabel(turned: boolean, { box }: PlateLayout): Label {
  const { way, tail } = upFrom(turned, box.outside.length, box.outside.width);
  const tip = { x: tail.x + way.x * arrow, y: tail.y + way.y * arrow };
  const to = turned ? { x: tip.x, y: tip.y + 0.03 } : { x: tail.x + arrow / 2, y: tail.y - 0.035 };
  return leader('up', to, to, { anchor: 'middle' });
}
