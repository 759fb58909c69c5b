import { type Drawing, dim, leader, type Shape, shape } from '../../draw';
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
  const side = (y: number, part: string): Shape =>
    shape.rect('timber', { part: `${prefix}/${part}`, x: 0, y, width: outside.length, height: wall });
  const between = [...strips.map((y) => y - stripWidth / 2 - gapBetween), (strips.at(-1) ?? 0) + stripWidth / 2];
  return {
    title: `Plan of ${prefix}`,
    shapes: [
      shape.rect('back', { part: `${prefix}/back`, x: 0, y: 0, width: outside.length, height: outside.width }),
      side(0, 'side-outlet'),
      side(outside.width - wall, 'side'),
      ...(['end', 'end-feeds'] as const).map(
        (part): Shape =>
          shape.rect('timber', {
            part: `${prefix}/${part}`,
            x: part === 'end' ? 0 : outside.length - wall,
            y: wall,
            width: wall,
            height: outside.width - 2 * wall,
          }),
      ),
      ...(wool
        ? strips.map(
            (y): Shape =>
              shape.rect('insulation', {
                part: `${prefix}/wool`,
                x: support.from,
                y: y - stripWidth / 2,
                width: support.to - support.from,
                height: stripWidth,
              }),
          )
        : []),
      ...bearers.map(
        (x): Shape =>
          shape.rect('rail', {
            part: `${prefix}/bearer`,
            x: x - bearerHeight / 2,
            y: wall,
            width: bearerHeight,
            height: outside.width - 2 * wall,
          }),
      ),
      ...between.map(
        (y): Shape =>
          shape.rect('rail', {
            part: `${prefix}/batten`,
            x: support.from,
            y,
            width: support.to - support.from,
            height: gapBetween,
          }),
      ),
      ...strips.map(
        (y): Shape =>
          shape.rect('plate', {
            part: `${prefix}/can`,
            x: foot,
            y: y - stripWidth / 2,
            width: stripLength,
            height: stripWidth,
          }),
      ),
      ...strips.flatMap((y) =>
        laps.map(
          (x): Shape =>
            shape.line('centre', { x, y: y - stripWidth / 2 }, { x, y: y + stripWidth / 2 }, { part: `${prefix}/can` }),
        ),
      ),
      shape.rect('header', {
        part: `${prefix}/gutter`,
        x: wall,
        y: wall,
        width: gutter.width,
        height: outside.width - 2 * wall,
      }),
      ...strips.map(
        (y): Shape =>
          shape.rect('tube', {
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
      dim.across('length', 'box', { x: 0, y: 0 }, outside.length, { offset: -0.09 }),
      dim.up('width', 'box', { x: 0, y: 0 }, outside.width, { offset: 0.09 }),
      dim.across('can-height', 'can, cut height', { x: foot, y: outside.width }, height, {
        offset: 0.075,
        edit: fieldRange('height'),
      }),
      dim.up('flat', 'can, laid flat', { x: outside.length, y: (strips[0] ?? 0) - stripWidth / 2 }, stripWidth, {
        offset: -0.1,
        edit: {
          ...fieldRange('diameter'),
          low: fieldRange('diameter').low * Math.PI,
          high: fieldRange('diameter').high * Math.PI,
          scale: 1 / Math.PI,
        },
      }),
    ],
    labels: [
      leader(
        'gutter, warm out',
        { x: wall + gutter.width / 2, y: -0.01 },
        { x: wall + gutter.width / 2, y: -0.028 },
        { tone: 'hot' },
      ),
      leader(
        'cold in, a tube a strip',
        { x: outside.length + 0.045, y: outside.width * 0.8 },
        { x: outside.length + 0.06, y: outside.width * 0.8 },
        { tone: 'cold' },
      ),
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
      shape.rect('back', { part: `${prefix}/back`, x: 0, y: 0, width: cut, height: back.thickness }),
      ...shown.map(
        (y): Shape =>
          shape.rect(wool ? 'insulation' : 'rail', {
            part: `${prefix}/${wool ? 'wool' : 'bearer'}`,
            x: wool ? y - stripWidth / 2 : wall,
            y: back.thickness,
            width: wool ? stripWidth : cut - wall,
            height: under,
          }),
      ),
      shape.rect('timber', { part: `${prefix}/side-outlet`, x: 0, y: back.thickness, width: wall, height: rise }),
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
        (y): Shape =>
          shape.rect('rail', {
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
      leader('can', { x: cut, y: face }, { x: cut + 0.03, y: face + 0.004 }, { size: canWall, fine: true }),
      leader(
        'back',
        { x: cut, y: back.thickness / 2 },
        { x: cut + 0.03, y: back.thickness / 2 },
        { size: back.thickness },
      ),
    ],
    dimensions: [
      ...coverGap(glazing, {
        x: shown[0] ?? 0,
        y: face,
        value: airGap,
        label: 'strips to cover',
        range: fieldRange('airGap'),
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
