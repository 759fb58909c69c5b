import type { Tee } from '../../catalogue';
import { type Dimension, type Drawing, dim, type Label, leader, type Shape, shape } from '../../draw';
import { rowOf } from '../plate/layout';
import { boxShapes, outsideDimensions, paneShapes, railShapes, standOff, upArrow, upLabel } from '../plate/plan';
import { plateShapes } from '../plate/plates';
import type { PlateBuild } from '../plateFamily';
import type { HarpLayout } from './layout';
import { fieldRange, type HarpParameters } from './parameters';

/** Seen square on: the box with tubes, plate and rails, its free dimensions, and which way is up. */
export function plan(build: PlateBuild<HarpParameters>, layout: HarpLayout): Drawing {
  const { tube, headerTube, headers, spans, plateSpan } = layout;
  const prefix = build.id;
  const part = (name: string) => `${prefix}/${name}`;
  const shapes: Shape[] = [...boxShapes(prefix, layout), ...plateShapes(layout), ...railShapes(prefix, layout)];
  for (const y of layout.runs)
    shapes.push({
      kind: 'rect',
      layer: 'tube',
      part: part('riser'),
      // From header to header, as deep in as it goes.
      x: (plateSpan.from + plateSpan.to - layout.riserCut) / 2,
      y: y - tube.outerDiameter / 2,
      width: Math.max(0, layout.riserCut),
      height: tube.outerDiameter,
    });
  for (const which of ['cold', 'hot'] as const) {
    // Where two tees meet no piece stands between them.
    for (const piece of headerSpans(layout, which).filter(({ from, to }) => to > from))
      shapes.push(
        shape.rect('header', {
          part: part(piece.role),
          x: headers[which] - headerTube.outerDiameter / 2,
          y: piece.from,
          width: headerTube.outerDiameter,
          height: piece.to - piece.from,
        }),
      );
  }
  if (layout.tee) shapes.push(...teeShapes(part('tee'), layout, layout.tee));
  shapes.push(...paneShapes(prefix, layout), ...upArrow(build.turned, layout));

  const label = (which: 'cold' | 'hot', words: string): Label => {
    const span = spans[which];
    const beside = { x: headers[which] + 0.035, y: span.open - span.out * 0.012 };
    return leader(words, beside, beside, { tone: which });
  };
  return {
    title: `Plan of ${prefix}`,
    shapes,
    dimensions: planDimensions(build, layout),
    labels: [label('cold', 'cold in'), label('hot', 'hot out'), upLabel(build.turned, layout)],
  };
}

/** A header from end to end: one tube, or the pieces between its tees. */
function headerSpans(layout: HarpLayout, which: 'cold' | 'hot'): { role: string; from: number; to: number }[] {
  const { spans, runs, tee } = layout;
  const { open, closed } = spans[which];
  const [low, high] = [Math.min(open, closed), Math.max(open, closed)];
  if (!tee) return [{ role: `header-${which}`, from: low, to: high }];
  const [first = low, last = high] = [runs[0], runs[runs.length - 1]];
  const toLow = open < closed;
  return [
    { role: toLow ? 'header-open' : 'header-closed', from: low, to: first - tee.runLaying },
    ...runs.slice(1).map((y, index) => ({
      role: 'header-piece',
      from: (runs[index] ?? y) + tee.runLaying,
      to: y - tee.runLaying,
    })),
    { role: toLow ? 'header-closed' : 'header-open', from: last + tee.runLaying, to: high },
  ];
}

/** A tee at both ends of every riser, its branch toward the plate. */
function teeShapes(part: string, { headers, runs, tube, headerTube }: HarpLayout, tee: Tee): Shape[] {
  const reach = tee.runLaying + tee.runSocket;
  const wall = (tee.across - headerTube.outerDiameter) / 2;
  return (['cold', 'hot'] as const).flatMap((which) =>
    runs.flatMap((y): Shape[] => {
      const x = headers[which];
      const branch = tee.branchLaying + tee.branchSocket;
      const width = tube.outerDiameter + 2 * wall;
      return [
        shape.rect('header', { part, x: x - tee.across / 2, y: y - reach, width: tee.across, height: 2 * reach }),
        shape.rect('header', {
          part,
          x: which === 'cold' ? x : x - branch,
          y: y - width / 2,
          width: branch,
          height: width,
        }),
      ];
    }),
  );
}

function planDimensions(build: PlateBuild<HarpParameters>, layout: HarpLayout): Dimension[] {
  const { box, parameters, runs, plateSpan, tube } = layout;
  const { length, width } = box.outside;
  const tubes = box.inside.length - layout.mostClear;
  const count = parameters.riserCount;
  const riserRange = fieldRange('riserClear');
  const pitchRange = fieldRange('pitch');
  const { leastPitch } = build.absorber.on(
    rowOf(build, { tube, count, pitch: parameters.pitch, length: parameters.riserClear }),
  );
  const mostPitch = (box.room.width - 0.006) / count;
  const middle = Math.max(1, Math.floor(count / 2));
  return [
    ...outsideDimensions(layout, build.box, {
      length: parameters.riserClear + tubes + 2 * box.wall,
      lengthReason: 'the risers would not fit',
      width: (count - 1) * parameters.pitch + layout.finWidth + 0.006 + 2 * (box.wall + box.edgeStrip),
      widthReason: 'the plate would not fit',
    }),
    dim.across('riser-clear', 'riser, clear of headers', { x: plateSpan.from, y: width }, parameters.riserClear, {
      offset: standOff.near,
      edit: {
        ...riserRange,
        high: Math.min(riserRange.high, box.inside.length - tubes),
        highReason: 'the headers would meet the corner cleats',
        // A longer row is drawn out further in its holes.
        room: { path: 'glazing.parameters.length', share: 1.01 },
      },
    }),
    dim.up('pitch', 'riser pitch', { x: length, y: runs[middle - 1] ?? 0 }, parameters.pitch, {
      offset: -standOff.near,
      edit: {
        ...pitchRange,
        low: Math.max(pitchRange.low, leastPitch, layout.tee ? 2 * (layout.tee.runLaying + layout.tee.runSocket) : 0),
        high: Math.min(pitchRange.high, mostPitch),
        lowReason: 'the plates would overlap',
        highReason: 'the plate would meet the side boards',
        room: { path: 'glazing.parameters.width', share: count },
      },
    }),
  ];
}
