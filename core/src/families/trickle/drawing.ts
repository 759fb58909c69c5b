import type { Drawing, Shape } from '../../draw';
import type { DrawnViews } from '../family';
import { coverBars, coverGap, coverLabel, coverOutline, coverShapes } from '../kit/cover';
import { detail } from './detail';
import { canWall, gutter, type TrickleLayout } from './layout';
import { fieldRange } from './parameters';

function plan(prefix: string, layout: TrickleLayout): Drawing {
  const {
    parameters,
    outside,
    wall,
    strips,
    stripLength,
    stripWidth,
    glazing,
    foot,
    support,
    wool,
    bearers,
    bearerHeight,
  } = layout;
  const { height, lap, cans, gapBetween } = parameters;
  const laps = Array.from({ length: cans - 1 }, (_, index) => foot + (index + 1) * (height - lap));
  const side = (y: number, part: string): Shape => ({
    kind: 'rect',
    layer: 'timber',
    part: `${prefix}/${part}`,
    x: 0,
    y,
    width: outside.length,
    height: wall,
  });
  const between = [...strips.map((y) => y - stripWidth / 2 - gapBetween), (strips.at(-1) ?? 0) + stripWidth / 2];
  return {
    title: `Plan of ${prefix}`,
    shapes: [
      { kind: 'rect', layer: 'back', part: `${prefix}/back`, x: 0, y: 0, width: outside.length, height: outside.width },
      side(0, 'side-outlet'),
      side(outside.width - wall, 'side'),
      ...(['end', 'end-feeds'] as const).map(
        (part): Shape => ({
          kind: 'rect',
          layer: 'timber',
          part: `${prefix}/${part}`,
          x: part === 'end' ? 0 : outside.length - wall,
          y: wall,
          width: wall,
          height: outside.width - 2 * wall,
        }),
      ),
      ...(wool
        ? strips.map(
            (y): Shape => ({
              kind: 'rect',
              layer: 'insulation',
              part: `${prefix}/wool`,
              x: support.from,
              y: y - stripWidth / 2,
              width: support.to - support.from,
              height: stripWidth,
            }),
          )
        : []),
      ...bearers.map(
        (x): Shape => ({
          kind: 'rect',
          layer: 'rail',
          part: `${prefix}/bearer`,
          x: x - bearerHeight / 2,
          y: wall,
          width: bearerHeight,
          height: outside.width - 2 * wall,
        }),
      ),
      ...between.map(
        (y): Shape => ({
          kind: 'rect',
          layer: 'rail',
          part: `${prefix}/batten`,
          x: support.from,
          y,
          width: support.to - support.from,
          height: gapBetween,
        }),
      ),
      ...strips.map(
        (y): Shape => ({
          kind: 'rect',
          layer: 'plate',
          part: `${prefix}/can`,
          x: foot,
          y: y - stripWidth / 2,
          width: stripLength,
          height: stripWidth,
        }),
      ),
      ...strips.flatMap((y) =>
        laps.map(
          (x): Shape => ({
            kind: 'line',
            layer: 'centre',
            part: `${prefix}/can`,
            from: { x, y: y - stripWidth / 2 },
            to: { x, y: y + stripWidth / 2 },
          }),
        ),
      ),
      {
        kind: 'rect',
        layer: 'header',
        part: `${prefix}/gutter`,
        x: wall,
        y: wall,
        width: gutter.width,
        height: outside.width - 2 * wall,
      },
      ...strips.map(
        (y): Shape => ({
          kind: 'rect',
          layer: 'tube',
          part: `${prefix}/feed`,
          x: foot + stripLength,
          y: y - 0.004,
          width: outside.length - foot - stripLength + 0.04,
          height: 0.008,
        }),
      ),
      ...coverBars(prefix, glazing, outside.length, outside.width),
      ...coverOutline(prefix, glazing, outside.length, outside.width),
    ],
    dimensions: [
      {
        id: 'length',
        label: 'box',
        from: { x: 0, y: 0 },
        to: { x: outside.length, y: 0 },
        offset: -0.09,
        value: outside.length,
      },
      {
        id: 'width',
        label: 'box',
        from: { x: 0, y: 0 },
        to: { x: 0, y: outside.width },
        offset: 0.09,
        value: outside.width,
      },
      {
        id: 'can-height',
        label: 'can, cut height',
        from: { x: foot, y: outside.width },
        to: { x: foot + height, y: outside.width },
        offset: 0.075,
        value: height,
        edit: {
          path: 'parameters.height',
          ...fieldRange('height'),
          scale: 1,
          offset: 0,
          lowReason: 'no such can is sold',
          highReason: 'no such can is sold',
        },
      },
      {
        id: 'flat',
        label: 'can, laid flat',
        from: { x: outside.length, y: (strips[0] ?? 0) - stripWidth / 2 },
        to: { x: outside.length, y: (strips[0] ?? 0) + stripWidth / 2 },
        offset: -0.1,
        value: stripWidth,
        edit: {
          path: 'parameters.diameter',
          low: fieldRange('diameter').low * Math.PI,
          high: fieldRange('diameter').high * Math.PI,
          scale: 1 / Math.PI,
          offset: 0,
          lowReason: 'no such can is sold',
          highReason: 'no such can is sold',
        },
      },
    ],
    labels: [
      {
        at: { x: wall + gutter.width / 2, y: -0.01 },
        to: { x: wall + gutter.width / 2, y: -0.028 },
        words: 'gutter, warm out',
        anchor: 'start',
        tone: 'hot',
      },
      {
        at: { x: outside.length + 0.045, y: outside.width * 0.8 },
        to: { x: outside.length + 0.06, y: outside.width * 0.8 },
        words: 'cold in, a tube a strip',
        anchor: 'start',
        tone: 'cold',
      },
    ],
  };
}

/** Cut across the first two strips, seen up the slope. */
function section(prefix: string, layout: TrickleLayout): Drawing {
  const { parameters, wall, back, strips, stripWidth, glazing, depth, under, face, wool, rise, battenHeight } = layout;
  const { gapBetween, airGap } = parameters;
  const shown = strips.slice(0, 2);
  const cut = (shown.at(-1) ?? 0) + stripWidth / 2 + gapBetween / 2;
  return {
    title: `Section of ${prefix}`,
    shapes: [
      { kind: 'rect', layer: 'back', part: `${prefix}/back`, x: 0, y: 0, width: cut, height: back.thickness },
      ...shown.map(
        (y): Shape => ({
          kind: 'rect',
          layer: wool ? 'insulation' : 'rail',
          part: `${prefix}/${wool ? 'wool' : 'bearer'}`,
          x: wool ? y - stripWidth / 2 : wall,
          y: back.thickness,
          width: wool ? stripWidth : cut - wall,
          height: under,
        }),
      ),
      {
        kind: 'rect',
        layer: 'timber',
        part: `${prefix}/side-outlet`,
        x: 0,
        y: back.thickness,
        width: wall,
        height: rise,
      },
      ...shown.map(
        (y): Shape => ({
          kind: 'rect',
          layer: 'plate',
          part: `${prefix}/can`,
          x: y - stripWidth / 2,
          y: face,
          width: stripWidth,
          // A tenth of a millimetre is drawn as thick as a line can be seen.
          height: Math.max(0.0015, canWall),
        }),
      ),
      ...shown.map(
        (y): Shape => ({
          kind: 'rect',
          layer: 'rail',
          part: `${prefix}/batten`,
          x: y - stripWidth / 2 - gapBetween,
          y: wool ? back.thickness : face,
          width: gapBetween,
          height: battenHeight,
        }),
      ),
      ...coverShapes(prefix, glazing, { x: 0, y: depth - glazing.pane.thickness, width: cut }),
    ],
    labels: [
      ...coverLabel(glazing, { x: cut, y: depth }),
      {
        at: { x: cut, y: face },
        to: { x: cut + 0.03, y: face + 0.004 },
        words: 'can',
        size: canWall,
        fine: true,
        anchor: 'start',
      },
      {
        at: { x: cut, y: back.thickness / 2 },
        to: { x: cut + 0.03, y: back.thickness / 2 },
        words: 'back',
        size: back.thickness,
        anchor: 'start',
      },
    ],
    dimensions: [
      ...coverGap(glazing, {
        x: shown[0] ?? 0,
        y: face,
        value: airGap,
        label: 'strips to cover',
        ...fieldRange('airGap'),
        lowReason: 'the film would splash the cover',
        highReason: 'the sides would shade the strips',
      }),
    ],
  };
}

/** The views of a trickle. */
export function trickleViews(prefix: string, layout: TrickleLayout): DrawnViews {
  return {
    plan: { name: 'Plan', words: 'from above', draw: () => plan(prefix, layout) },
    section: { name: 'Section', words: 'cut across', draw: () => section(prefix, layout) },
    detail: { name: 'Full size', words: 'the place that must be right', draw: () => detail(prefix, layout) },
  };
}
