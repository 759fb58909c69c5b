import type { BoxDesign, Skin } from '../../boxes';
import { type Drawing, dim, type Label, leader, type Shape, shape } from '../../draw';
import type { ParameterRange } from '../../field';
import type { PlateBuild } from '../plateFamily';
import type { PlateLayout } from './layout';
import { plateOver } from './plates';

/** m. Runs shown of it: as many as tell the pitch. */
const mostShown = 4;
/** m. What a plate of a third of a millimetre is drawn as: as thick as a line can be seen. */
const leastDrawn = 0.0015;

/**
 * Cut across the tubes through the low side board and the first few runs, seen toward the far end.
 *
 * @param beyond metal that lies behind the cut, as thick as the layout's thickest
 */
export function plateSection(
  build: PlateBuild<unknown>,
  layout: PlateLayout,
  query: { airGap: ParameterRange; beyond?: string; tube?: (run: number) => string },
): Drawing {
  const { box, glazing, heights, tube, airGap } = layout;
  const prefix = build.id;
  // A plate that is wider than its box begins outside it: the side is seen with the runs that meet it.
  const from = Math.max(
    0,
    layout.runs.findIndex((y) => y + layout.finWidth / 2 > 0),
  );
  const shown = layout.runs.slice(from, from + mostShown);
  const last = shown[shown.length - 1] ?? 0;
  const cut = Math.max(box.wall + layout.pitch, Math.min(last + layout.pitch / 2, box.outside.width - box.wall));
  // Where the pane begins, and the room it has there.
  const paneFrom = (box.outside.width - glazing.pane.width) / 2;
  const seat = paneFrom - glazing.clearance;
  const shapes: Shape[] = [
    shape.rect('back', {
      part: `${prefix}/back`,
      x: box.wall - box.backUnder + box.backRoom,
      y: 0,
      width: cut - box.wall + box.backUnder - box.backRoom,
      height: box.back,
    }),
    {
      kind: 'rect',
      layer: 'insulation',
      // The bay that the cut goes through: away from the corners where there is one.
      part: `${prefix}/${box.insulationPieces.find(({ role }) => role === 'insulation')?.role ?? 'insulation-corner'}`,
      x: box.wall,
      y: box.back,
      width: cut - box.wall,
      height: box.insulation,
    },
    ...(box.flashed
      ? [
          {
            kind: 'rect' as const,
            layer: 'fixing' as const,
            part: `${prefix}/back-course`,
            x: 0,
            y: -3 * leastDrawn,
            width: cut,
            height: leastDrawn,
          },
        ]
      : []),
    ...sideSection(prefix, box, seat),
    ...stripSection(prefix, layout),
  ];
  if (query.beyond)
    shapes.push(
      shape.rect('header', {
        hidden: true,
        part: `${prefix}/${query.beyond}`,
        x: box.wall,
        y: heights.centre - layout.thickest / 2,
        width: cut - box.wall,
        height: layout.thickest,
      }),
    );
  const thickness = Math.max(leastDrawn, build.absorber.thickness);
  shown.forEach((y, place) => {
    const index = from + place;
    shapes.push(
      shape.rect('plate', {
        part: plateOver(layout, index) ?? `${prefix}/strip`,
        x: y - layout.finWidth / 2,
        y: heights.plate - thickness,
        width: layout.finWidth,
        height: thickness,
      }),
      shape.circle('tube', { x: y, y: heights.centre }, tube.outerDiameter / 2, {
        part: `${prefix}/${query.tube?.(index) ?? 'riser'}`,
      }),
      shape.circle('hole', { x: y, y: heights.centre }, tube.outerDiameter / 2 - tube.wall, {
        part: `${prefix}/${query.tube?.(index) ?? 'riser'}`,
      }),
    );
  });
  if (glazing.cover)
    shapes.push(
      shape.rect('pane', {
        part: `${prefix}/pane`,
        x: paneFrom,
        y: box.paneTop - glazing.pane.thickness,
        width: cut - paneFrom,
        height: glazing.pane.thickness,
      }),
    );
  const first = shown[0] ?? 0;
  const second = shown[1] ?? first + layout.pitch;
  const middle = (first + second) / 2;
  return {
    title: `Section of ${prefix}`,
    shapes,
    labels: [...stackLabels(layout, cut), ...seatLabels(layout, seat, paneFrom)],
    dimensions: [
      dim.up('board-depth', box.lid ? 'box and lid' : box.skin ? 'box' : 'board', { x: 0, y: 0 }, box.depth, {
        offset: 0.03,
      }),
      dim.between(
        'air-gap',
        glazing.cover ? 'plate to pane' : 'plate to rim',
        { x: middle, y: heights.plate },
        { x: middle, y: heights.pane },
        {
          value: airGap,
          offset: 0,
          edit: {
            ...query.airGap,
            high: Math.min(query.airGap.high, airGap + layout.stack.available - layout.stack.needed),
            highReason: 'the stack would be deeper than the board',
          },
        },
      ),
      dim.between(
        'section-pitch',
        'pitch',
        { x: first, y: 0 },
        { x: second, y: 0 },
        { value: second - first, offset: -0.03 },
      ),
    ],
  };
}

/** m over the section that the words about the pane's seat stand, and from line to line. */
const seatWords = { over: 0.036, step: 0.03 };

/** What the pane lies in: how deep its hollow is, what it bears on, and the room beside it. */
function seatLabels({ box, glazing }: PlateLayout, seat: number, paneFrom: number): Label[] {
  if (!glazing.cover || box.ledge <= 0) return [];
  const floor = box.paneTop - box.seatDepth;
  const top = box.depth + seatWords.over;
  const rows: { words: string; size: number; at: { x: number; y: number } }[] = [
    {
      words: box.skin ? 'pane and gasket' : 'rebate, deep',
      size: box.seatDepth,
      at: { x: seat, y: (floor + box.paneTop) / 2 },
    },
    { words: 'room beside the pane', size: glazing.clearance, at: { x: (seat + paneFrom) / 2, y: box.paneTop } },
    { words: 'ledge', size: box.ledge, at: { x: seat + box.ledge / 2, y: floor } },
  ];
  return rows.map(({ words, size, at }, index) =>
    leader(words, at, { x: seat + 0.03, y: top + (rows.length - 1 - index) * seatWords.step }, { size, fine: true }),
  );
}

/** The side cut through: boards and rebate, or the lid on it, or the metal round it. */
function sideSection(prefix: string, box: BoxDesign, seat: number): Shape[] {
  const { wall, backUnder, back, rimTop, solid, lid, skin } = box;
  const outer = skin?.thickness ?? 0;
  const closed = (layer: Shape['layer'], part: string, points: [number, number][]): Shape =>
    shape.outline(
      layer,
      points.map(([x, y]) => ({ x, y })),
      { part: `${prefix}/${part}` },
    );
  const shapes: Shape[] = [];
  if (skin)
    shapes.push(
      closed('timber', 'side-low', [
        [outer, back],
        [wall, back],
        [wall, solid],
        [outer, solid],
      ]),
      skinSection(prefix, box, skin),
    );
  else
    shapes.push(
      closed('timber', 'side-low', [
        [0, 0],
        [wall - backUnder, 0],
        [wall - backUnder, back],
        [wall, back],
        [wall, solid],
        ...((lid
          ? []
          : [
              [seat, solid],
              [seat, rimTop],
            ]) as [number, number][]),
        [0, rimTop],
      ]),
    );
  if (box.seam !== undefined && !skin)
    shapes.push(shape.line('note', { x: box.seam, y: 0 }, { x: box.seam, y: solid }));
  if (lid) {
    const floor = box.paneTop - box.seatDepth;
    shapes.push(
      closed('rail', 'lid-side', [
        [0, rimTop],
        [lid.width, rimTop],
        [lid.width, floor],
        [seat, floor],
        [seat, box.depth],
        [0, box.depth],
      ]),
    );
  }
  return shapes;
}

/** Bent metal: in under the back, up the side, over the pane; as thick as a line can be seen. */
function skinSection(prefix: string, { depth }: BoxDesign, skin: Skin): Shape {
  const drawn = Math.max(leastDrawn, skin.thickness);
  return shape.outline(
    'fixing',
    [
      { x: skin.under, y: -drawn },
      { x: -drawn, y: -drawn },
      { x: -drawn, y: depth + drawn },
      { x: skin.lip, y: depth + drawn },
      { x: skin.lip, y: depth },
      { x: 0, y: depth },
      { x: 0, y: 0 },
      { x: skin.under, y: 0 },
    ],
    { part: `${prefix}/edge-low` },
  );
}

/** Insulation on edge along the side. */
function stripSection(prefix: string, { box, heights }: PlateLayout): Shape[] {
  if (box.edgeStrip === 0) return [];
  return [
    shape.rect('insulation', {
      part: `${prefix}/strip-side`,
      x: box.wall,
      y: heights.insulationTop,
      width: box.edgeStrip,
      height: Math.max(0, Math.min(heights.pane, box.solid) - heights.insulationTop),
    }),
  ];
}

/** One leader a layer, the words parted evenly so that thin layers do not write over each other. */
function stackLabels(layout: PlateLayout, cut: number): Label[] {
  const { box, glazing, heights, tube } = layout;
  const rows: { words: string; size?: number; height: number }[] = [
    ...(glazing.cover
      ? [{ words: 'pane', size: glazing.pane.thickness, height: box.paneTop - glazing.pane.thickness / 2 }]
      : []),
    { words: 'air', size: layout.airGap, height: (heights.plate + heights.pane) / 2 },
    { words: 'plate on tube', size: tube.outerDiameter, height: heights.plate - 0.001 },
    { words: 'insulation', size: box.insulation, height: box.back + box.insulation / 2 },
    { words: 'back', size: box.back, height: box.back / 2 },
  ];
  const spacing = 0.026;
  const top = box.depth / 2 + ((rows.length - 1) / 2) * spacing;
  return rows.map((row, index) => ({
    at: { x: cut - 0.004, y: row.height },
    to: { x: cut + 0.035, y: top - index * spacing },
    words: row.words,
    ...(row.size === undefined ? {} : { size: row.size }),
    anchor: 'start',
  }));
}
