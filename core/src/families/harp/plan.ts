import type { Dimension, Drawing, Label, Shape } from '../../draw';
import type { PlateBuild } from '../plateFamily';
import { type HarpLayout, rowOf } from './layout';
import { fieldRange, type HarpParameters } from './parameters';

/** m. How far dimension lines stand off what they measure. */
const near = 0.075;
const far = 0.15;

/** Seen square on: the box with tubes, plate and rails, its free dimensions, and which way is up. */
export function plan(build: PlateBuild<HarpParameters>, layout: HarpLayout): Drawing {
  const { box, glazing, parameters, riserTube, headerTube, headers, spans } = layout;
  const { length, width } = box.outside;
  const prefix = build.id;
  const part = (name: string) => `${prefix}/${name}`;
  const crownCold = headers.cold + headerTube.outerDiameter / 2;
  const crownHot = headers.hot - headerTube.outerDiameter / 2;
  const shapes: Shape[] = [
    { kind: 'rect', layer: 'timber', part: part('side-low'), x: 0, y: 0, width: length, height: box.wall },
    {
      kind: 'rect',
      layer: 'timber',
      part: part('side-high'),
      x: 0,
      y: width - box.wall,
      width: length,
      height: box.wall,
    },
    { kind: 'rect', layer: 'timber', part: part('end'), x: 0, y: box.wall, width: box.wall, height: box.inside.width },
    {
      kind: 'rect',
      layer: 'timber',
      part: part('end'),
      x: length - box.wall,
      y: box.wall,
      width: box.wall,
      height: box.inside.width,
    },
    {
      kind: 'rect',
      layer: 'insulation',
      part: part('insulation'),
      x: box.wall,
      y: box.wall,
      width: box.inside.length,
      height: box.inside.width,
    },
  ];
  if (box.cleat > 0)
    for (const x of [box.wall, length - box.wall - box.cleat])
      for (const y of [box.wall, width - box.wall - box.cleat])
        shapes.push({ kind: 'rect', layer: 'rail', x, y, width: box.cleat, height: box.cleat });
  for (const y of layout.risers)
    shapes.push({
      kind: 'rect',
      layer: 'plate',
      part: part('strip'),
      x: crownCold,
      y: y - layout.finWidth / 2,
      width: crownHot - crownCold,
      height: layout.finWidth,
    });
  for (const middle of box.rails)
    shapes.push({
      kind: 'rect',
      layer: 'rail',
      hidden: true,
      part: part('rail'),
      x: box.wall + middle - box.wall / 2,
      y: box.wall,
      width: box.wall,
      height: box.inside.width,
    });
  for (const y of layout.risers)
    shapes.push({
      kind: 'rect',
      layer: 'tube',
      part: part('riser'),
      x: crownCold - parameters.entry,
      y: y - riserTube.outerDiameter / 2,
      width: layout.riserCut,
      height: riserTube.outerDiameter,
    });
  for (const which of ['cold', 'hot'] as const) {
    const span = spans[which];
    shapes.push({
      kind: 'rect',
      layer: 'header',
      part: part(`header-${which}`),
      x: headers[which] - headerTube.outerDiameter / 2,
      y: Math.min(span.open, span.closed),
      width: headerTube.outerDiameter,
      height: Math.abs(span.open - span.closed),
    });
  }
  const screws = new Set(box.cornerScrews.map((screw) => screw.along));
  for (const along of screws)
    for (const y of [box.wall / 2, width - box.wall / 2])
      shapes.push({ kind: 'circle', layer: 'fixing', centre: { x: along, y }, radius: 0.003 });
  const seat = box.wall - 0.5 * (glazing.pane.length + 2 * glazing.clearance - box.inside.length);
  shapes.push({
    kind: 'rect',
    layer: 'pane',
    hidden: true,
    part: part('pane'),
    x: seat + glazing.clearance,
    y: seat + glazing.clearance,
    width: glazing.pane.length,
    height: glazing.pane.width,
  });
  shapes.push(...upArrow(build.turned, length, width));

  const label = (which: 'cold' | 'hot', words: string): Label => {
    const span = spans[which];
    const x = headers[which];
    const beside = { x: x + 0.035, y: span.open - span.out * 0.012 };
    return { at: beside, to: beside, words, anchor: 'start', tone: which };
  };
  return {
    title: `Plan of ${prefix}`,
    shapes,
    dimensions: planDimensions(build, layout),
    labels: [label('cold', 'cold in'), label('hot', 'hot out'), upLabel(build.turned, length, width)],
  };
}

function planDimensions(build: PlateBuild<HarpParameters>, layout: HarpLayout): Dimension[] {
  const { box, glazing, parameters, headerTube, headers, risers } = layout;
  const { length, width } = box.outside;
  const grow = build.box.paneToOutside(glazing);
  const tubes = 2 * headerTube.outerDiameter + 2 * box.cleat + 0.006;
  const count = parameters.riserCount;
  const riserRange = fieldRange('riserClear');
  const pitchRange = fieldRange('pitch');
  const { leastPitch } = build.absorber.on(rowOf(build, layout.riserTube));
  const mostPitch = (box.inside.width - 0.006) / count;
  const crownCold = headers.cold + headerTube.outerDiameter / 2;
  const crownHot = headers.hot - headerTube.outerDiameter / 2;
  const middle = Math.max(1, Math.floor(count / 2));
  const lower = risers[middle - 1] ?? 0;
  const upper = risers[middle] ?? 0;
  return [
    {
      id: 'outside-length',
      label: 'pane and box',
      from: { x: 0, y: 0 },
      to: { x: length, y: 0 },
      offset: -far,
      value: length,
      edit: {
        path: 'glazing.parameters.length',
        low: parameters.riserClear + tubes + 2 * box.wall,
        high: 3.2 + grow,
        scale: 1,
        offset: -grow,
        lowReason: 'the risers would not fit',
        highReason: 'no such pane is sold',
      },
    },
    {
      id: 'outside-width',
      label: 'pane and box',
      from: { x: 0, y: 0 },
      to: { x: 0, y: width },
      offset: far,
      value: width,
      edit: {
        path: 'glazing.parameters.width',
        low: (count - 1) * parameters.pitch + layout.finWidth + 0.006 + 2 * box.wall,
        high: 3.2 + grow,
        scale: 1,
        offset: -grow,
        lowReason: 'the plate would not fit',
        highReason: 'no such pane is sold',
      },
    },
    {
      id: 'riser-clear',
      label: 'riser, clear of headers',
      from: { x: crownCold, y: width },
      to: { x: crownHot, y: width },
      offset: near,
      value: parameters.riserClear,
      edit: {
        path: 'parameters.riserClear',
        low: riserRange.low,
        high: Math.min(riserRange.high, box.inside.length - tubes),
        scale: 1,
        offset: 0,
        lowReason: 'too short to be worth a panel',
        highReason: 'the headers would meet the corner cleats',
      },
    },
    {
      id: 'pitch',
      label: 'riser pitch',
      from: { x: length, y: lower },
      to: { x: length, y: upper },
      offset: -near,
      value: parameters.pitch,
      edit: {
        path: 'parameters.pitch',
        low: Math.max(pitchRange.low, leastPitch),
        high: Math.min(pitchRange.high, mostPitch),
        scale: 1,
        offset: 0,
        lowReason: 'the plates would overlap',
        highReason: 'the plate would meet the side boards',
      },
    },
  ];
}

/** m. Of the arrow that shows which way is up. */
const arrow = 0.11;

/** Where the up arrow begins, and the way it points: along the risers, or across them when the panel is turned. */
function upFrom(turned: boolean, length: number, width: number) {
  const way = turned ? { x: 0, y: 1 } : { x: 1, y: 0 };
  return { way, tail: turned ? { x: length + 0.06, y: width - 0.15 } : { x: length + 0.04, y: 0.05 } };
}

function upArrow(turned: boolean, length: number, width: number): Shape[] {
  const { way, tail } = upFrom(turned, length, width);
  const at = (along: number, aside: number) => ({
    x: tail.x + way.x * along - way.y * aside,
    y: tail.y + way.y * along + way.x * aside,
  });
  return [
    { kind: 'path', layer: 'note', points: [at(0, 0), at(arrow, 0)], closed: false },
    {
      kind: 'path',
      layer: 'note',
      points: [at(arrow - 0.03, 0.016), at(arrow, 0), at(arrow - 0.03, -0.016)],
      closed: false,
    },
  ];
}

function upLabel(turned: boolean, length: number, width: number): Label {
  const { way, tail } = upFrom(turned, length, width);
  const tip = { x: tail.x + way.x * arrow, y: tail.y + way.y * arrow };
  const to = turned ? { x: tip.x, y: tip.y + 0.03 } : { x: tail.x + arrow / 2, y: tail.y - 0.035 };
  return { at: to, to, words: 'up', anchor: 'middle' };
}
