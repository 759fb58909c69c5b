import type { Drawing, Label, Shape } from '../../draw';
import type { PlateBuild } from '../plateFamily';
import type { PlateLayout } from './layout';

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
  query: { airGap: { low: number; high: number }; beyond?: string; strip?: string },
): Drawing {
  const { box, glazing, heights, tube, airGap } = layout;
  const prefix = build.id;
  const shown = layout.runs.slice(0, mostShown);
  const last = shown[shown.length - 1] ?? 0;
  const cut = Math.min(last + layout.pitch / 2, box.outside.width - box.wall);
  const seat = 0.5 * (glazing.pane.width + 2 * glazing.clearance - box.inside.width);
  const shapes: Shape[] = [
    {
      kind: 'rect',
      layer: 'back',
      part: `${prefix}/back`,
      x: box.wall - box.backUnder,
      y: 0,
      width: cut - box.wall + box.backUnder,
      height: box.back,
    },
    {
      kind: 'rect',
      layer: 'insulation',
      part: `${prefix}/insulation`,
      x: box.wall,
      y: box.back,
      width: cut - box.wall,
      height: box.insulation,
    },
    {
      kind: 'path',
      layer: 'timber',
      part: `${prefix}/side-low`,
      closed: true,
      points: [
        { x: 0, y: 0 },
        { x: box.wall - box.backUnder, y: 0 },
        { x: box.wall - box.backUnder, y: box.back },
        { x: box.wall, y: box.back },
        { x: box.wall, y: box.depth - glazing.seatDepth },
        { x: box.wall - seat, y: box.depth - glazing.seatDepth },
        { x: box.wall - seat, y: box.depth },
        { x: 0, y: box.depth },
      ],
    },
  ];
  if (box.seam !== undefined)
    shapes.push({
      kind: 'line',
      layer: 'note',
      from: { x: box.seam, y: 0 },
      to: { x: box.seam, y: box.depth - glazing.seatDepth },
    });
  if (query.beyond)
    shapes.push({
      kind: 'rect',
      layer: 'header',
      hidden: true,
      part: `${prefix}/${query.beyond}`,
      x: box.wall,
      y: heights.centre - layout.thickest / 2,
      width: cut - box.wall,
      height: layout.thickest,
    });
  const thickness = Math.max(leastDrawn, build.absorber.thickness);
  for (const y of shown) {
    shapes.push(
      {
        kind: 'rect',
        layer: 'plate',
        part: `${prefix}/${query.strip ?? 'strip'}`,
        x: y - layout.finWidth / 2,
        y: heights.plate - thickness,
        width: layout.finWidth,
        height: thickness,
      },
      {
        kind: 'circle',
        layer: 'tube',
        part: `${prefix}/riser`,
        centre: { x: y, y: heights.centre },
        radius: tube.outerDiameter / 2,
      },
      {
        kind: 'circle',
        layer: 'hole',
        part: `${prefix}/riser`,
        centre: { x: y, y: heights.centre },
        radius: tube.outerDiameter / 2 - tube.wall,
      },
    );
  }
  if (glazing.cover)
    shapes.push({
      kind: 'rect',
      layer: 'pane',
      part: `${prefix}/pane`,
      x: box.wall - seat + glazing.clearance,
      y: box.depth - glazing.pane.thickness,
      width: cut - box.wall + seat - glazing.clearance,
      height: glazing.pane.thickness,
    });
  const first = shown[0] ?? 0;
  const second = shown[1] ?? first + layout.pitch;
  const middle = (first + second) / 2;
  return {
    title: `Section of ${prefix}`,
    shapes,
    labels: stackLabels(layout, cut),
    dimensions: [
      {
        id: 'board-depth',
        label: 'board',
        from: { x: 0, y: 0 },
        to: { x: 0, y: box.depth },
        offset: 0.03,
        value: box.depth,
      },
      {
        id: 'air-gap',
        label: glazing.cover ? 'plate to pane' : 'plate to rim',
        from: { x: middle, y: heights.plate },
        to: { x: middle, y: heights.pane },
        offset: 0,
        value: airGap,
        edit: {
          path: 'parameters.airGap',
          low: query.airGap.low,
          high: Math.min(query.airGap.high, airGap + layout.stack.available - layout.stack.needed),
          scale: 1,
          offset: 0,
          lowReason: 'the plate would touch the pane',
          highReason: 'the stack would be deeper than the board',
        },
      },
      {
        id: 'section-pitch',
        label: 'pitch',
        from: { x: first, y: 0 },
        to: { x: second, y: 0 },
        offset: -0.03,
        value: second - first,
      },
    ],
  };
}

/** One leader a layer, the words parted evenly so that thin layers do not write over each other. */
function stackLabels(layout: PlateLayout, cut: number): Label[] {
  const { box, glazing, heights, tube } = layout;
  const rows: { words: string; size?: number; height: number }[] = [
    ...(glazing.cover
      ? [{ words: 'pane', size: glazing.pane.thickness, height: box.depth - glazing.pane.thickness / 2 }]
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
