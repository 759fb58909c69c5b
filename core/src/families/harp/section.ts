import type { Drawing, Label, Shape } from '../../draw';
import type { PlateBuild } from '../plateFamily';
import type { HarpLayout } from './layout';
import { fieldRange, type HarpParameters } from './parameters';

/** Cut across the risers through the low side board and the first few risers, seen toward the hot end. */
export function section(build: PlateBuild<HarpParameters>, layout: HarpLayout): Drawing {
  const { box, glazing, heights, parameters, riserTube, headerTube } = layout;
  const prefix = build.id;
  const shown = layout.risers.slice(0, 4);
  const lastShown = shown[shown.length - 1] ?? 0;
  const cut = Math.min(lastShown + parameters.pitch / 2, box.outside.width - box.wall);
  const seat = 0.5 * (glazing.pane.width + 2 * glazing.clearance - box.inside.width);
  const shapes: Shape[] = [
    {
      kind: 'rect',
      layer: 'back',
      part: `${prefix}/back`,
      x: box.wall - 0.007,
      y: 0,
      width: cut - box.wall + 0.007,
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
        { x: box.wall - 0.007, y: 0 },
        { x: box.wall - 0.007, y: box.back },
        { x: box.wall, y: box.back },
        { x: box.wall, y: box.depth - glazing.seatDepth },
        { x: box.wall - seat, y: box.depth - glazing.seatDepth },
        { x: box.wall - seat, y: box.depth },
        { x: 0, y: box.depth },
      ],
    },
    {
      kind: 'rect',
      layer: 'header',
      hidden: true,
      part: `${prefix}/header-hot`,
      x: box.wall,
      y: heights.centre - headerTube.outerDiameter / 2,
      width: cut - box.wall,
      height: headerTube.outerDiameter,
    },
  ];
  for (const y of shown) {
    shapes.push({
      kind: 'rect',
      layer: 'plate',
      part: `${prefix}/strip`,
      x: y - layout.finWidth / 2,
      // A plate of a third of a millimetre is drawn as thick as a line can be seen.
      y: heights.plate - Math.max(0.0015, build.absorber.thickness),
      width: layout.finWidth,
      height: Math.max(0.0015, build.absorber.thickness),
    });
    shapes.push({
      kind: 'circle',
      layer: 'tube',
      part: `${prefix}/riser`,
      centre: { x: y, y: heights.centre },
      radius: riserTube.outerDiameter / 2,
    });
    shapes.push({
      kind: 'circle',
      layer: 'hole',
      part: `${prefix}/riser`,
      centre: { x: y, y: heights.centre },
      radius: riserTube.outerDiameter / 2 - riserTube.wall,
    });
  }
  shapes.push({
    kind: 'rect',
    layer: 'pane',
    part: `${prefix}/pane`,
    x: box.wall - seat + glazing.clearance,
    y: box.depth - glazing.pane.thickness,
    width: cut - box.wall + seat - glazing.clearance,
    height: glazing.pane.thickness,
  });
  const airGap = fieldRange('airGap');
  const first = shown[0] ?? 0;
  const second = shown[1] ?? first + parameters.pitch;
  const gapAt = (first + second) / 2;
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
        label: 'plate to pane',
        from: { x: gapAt, y: heights.plate },
        to: { x: gapAt, y: heights.pane },
        offset: 0,
        value: parameters.airGap,
        edit: {
          path: 'parameters.airGap',
          low: airGap.low,
          high: Math.min(airGap.high, parameters.airGap + layout.stack.available - layout.stack.needed),
          scale: 1,
          offset: 0,
          lowReason: 'the plate would touch the pane',
          highReason: 'the stack would be deeper than the board',
        },
      },
      {
        id: 'section-pitch',
        label: 'riser pitch',
        from: { x: first, y: 0 },
        to: { x: second, y: 0 },
        offset: -0.03,
        value: second - first,
      },
    ],
  };
}

/** One leader a layer, the words parted evenly so that thin layers do not write over each other. */
function stackLabels(layout: HarpLayout, cut: number): Label[] {
  const { box, glazing, heights, riserTube } = layout;
  const rows: { words: string; size?: number; height: number }[] = [
    { words: 'pane', size: glazing.pane.thickness, height: box.depth - glazing.pane.thickness / 2 },
    { words: 'air', size: layout.parameters.airGap, height: (heights.plate + heights.pane) / 2 },
    { words: 'plate on tube', size: riserTube.outerDiameter, height: heights.plate - 0.001 },
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
