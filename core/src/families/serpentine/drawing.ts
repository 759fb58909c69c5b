import { type Dimension, type Drawing, dim, type Label, leader, type Point, type Shape, shape } from '../../draw';
import { layingRoom } from '../plate/findings';
import { rowOf } from '../plate/layout';
import { boxShapes, outsideDimensions, paneShapes, railShapes, standOff, upArrow, upLabel } from '../plate/plan';
import { plateShapes } from '../plate/plates';
import { plateSection } from '../plate/section';
import type { PlateBuild } from '../plateFamily';
import type { SerpentineLayout } from './layout';
import { fieldRange, type SerpentineParameters } from './parameters';

/** m. Room for the words at the way in, beside the stub. */
const wordsRoom = 0.27;

/** The turn between two runs at one end of the box. */
export function turnShapes(prefix: string, layout: SerpentineLayout, index: number): Shape[] {
  const { tube, bend, straight, runs } = layout;
  const [low, high] = [runs[index] ?? 0, runs[index + 1] ?? 0];
  const atHot = index % 2 === 0;
  const end = atHot ? straight.to : straight.from;
  const way = atHot ? 1 : -1;
  const diameter = tube.outerDiameter;
  if (bend.fitting === 'elbow-90') {
    const middle = end + way * bend.laying;
    const leg = (y: number): Shape =>
      shape.rect('header', {
        part: `${prefix}/elbow`,
        x: Math.min(end - way * layout.bend.laying * 0.4, middle + (way * diameter) / 2),
        y: y - diameter / 2,
        width: Math.abs(middle + (way * diameter) / 2 - (end - way * layout.bend.laying * 0.4)),
        height: diameter,
      });
    return [
      shape.rect('tube', {
        part: `${prefix}/${bend.stub === undefined ? 'street-elbow' : 'stub'}`,
        x: middle - diameter / 2,
        y: low,
        width: diameter,
        height: high - low,
      }),
      leg(low),
      leg(high),
    ];
  }
  // Half a ring, with a straight piece in the middle when the pitch is wider than the bend.
  const radius = Math.min((high - low) / 2, bend.reach - diameter / 2);
  const quarter = (at: number, from: number, to: number, reach: number): Point[] =>
    Array.from({ length: 9 }, (_, step) => {
      const angle = ((from + ((to - from) * step) / 8) * Math.PI) / 180;
      return { x: end + way * reach * Math.cos(angle), y: at + reach * Math.sin(angle) };
    });
  const outer = radius + diameter / 2;
  const inner = Math.max(0.001, radius - diameter / 2);
  return [
    shape.outline(
      'tube',
      [
        ...quarter(low + radius, -90, 0, outer),
        ...quarter(high - radius, 0, 90, outer),
        ...quarter(high - radius, 90, 0, inner),
        ...quarter(low + radius, 0, -90, inner),
      ],
      { part: `${prefix}/${bend.joints === 0 ? 'coil' : 'return-bend'}` },
    ),
  ];
}

/** The piece that a run is cut as: its own, or all of one coil. */
export function runRole({ runs, bend }: Pick<SerpentineLayout, 'runs' | 'bend'>, index: number): string {
  if (bend.joints === 0) return 'coil';
  return index === 0 ? 'run-first' : index === runs.length - 1 ? 'run-last' : 'run';
}

function plan(build: PlateBuild<SerpentineParameters>, layout: SerpentineLayout): Drawing {
  const { tube, straight, runs, sameEnd, box, parameters } = layout;
  const prefix = build.id;
  const last = runs.length - 1;
  const shapes: Shape[] = [...boxShapes(prefix, layout), ...plateShapes(layout), ...railShapes(prefix, layout)];
  runs.forEach((y, index) => {
    const from = index === 0 || (index === last && sameEnd) ? -parameters.stub : straight.from;
    const to = index === last && !sameEnd ? box.outside.length + parameters.stub : straight.to;
    shapes.push(
      shape.rect('tube', {
        part: `${prefix}/${runRole(layout, index)}`,
        x: from,
        y: y - tube.outerDiameter / 2,
        width: to - from,
        height: tube.outerDiameter,
      }),
    );
    if (index < last) shapes.push(...turnShapes(prefix, layout, index));
  });
  shapes.push(...paneShapes(prefix, layout), ...upArrow(build.turned, layout));
  const label = (words: string, tone: 'cold' | 'hot', y: number, atCold: boolean): Label => {
    const at = { x: atCold ? -parameters.stub - 0.012 : box.outside.length + parameters.stub + 0.012, y };
    return leader(words, at, at, { anchor: atCold ? 'end' : 'start', tone });
  };
  return {
    title: `Plan of ${prefix}`,
    shapes,
    dimensions: planDimensions(build, layout),
    labels: [
      label('cold in', 'cold', runs[0] ?? 0, true),
      label('hot out', 'hot', runs[last] ?? 0, sameEnd),
      upLabel(build.turned, layout),
    ],
  };
}

function planDimensions(build: PlateBuild<SerpentineParameters>, layout: SerpentineLayout): Dimension[] {
  const { box, parameters, bend, straight, runs, tube, plateSpan } = layout;
  const { runs: count, pitch, runLength } = parameters;
  const { leastPitch } = build.absorber.on(rowOf(build, { tube, count, pitch, length: plateSpan.to - plateSpan.from }));
  const middle = Math.max(1, Math.floor(count / 2));
  const lengthRange = fieldRange('runLength');
  const pitchRange = fieldRange('pitch');
  const pitchEdit = {
    ...pitchRange,
    low: Math.max(pitchRange.low, leastPitch, bend.leastPitch),
    high: Math.min(pitchRange.high, (box.room.width - 2 * layingRoom) / count),
    lowReason: 'the bends could not be made',
    highReason: 'the plate would meet the side boards',
    room: { path: 'glazing.parameters.width', share: count },
  };
  return [
    ...outsideDimensions(
      layout,
      build.box,
      {
        length: runLength + 2 * (bend.reach + layingRoom + box.wall + box.edgeStrip),
        lengthReason: 'the runs would not fit',
        width: (count - 1) * pitch + layout.finWidth + 2 * (layingRoom + box.wall + box.edgeStrip),
        widthReason: 'the plate would not fit',
      },
      parameters.stub + wordsRoom,
    ),
    dim.between(
      'run-length',
      'run, stop to stop',
      { x: straight.from, y: box.outside.width },
      { x: straight.to, y: box.outside.width },
      {
        value: runLength,
        offset: standOff.near,
        edit: {
          ...lengthRange,
          high: Math.min(lengthRange.high, box.room.length - 2 * (bend.reach + layingRoom)),
          highReason: 'the bends would meet the end boards',
          room: { path: 'glazing.parameters.length', share: 1 },
        },
      },
    ),
    dim.up('pitch', 'pitch', { x: box.outside.length, y: runs[middle - 1] ?? 0 }, pitch, {
      offset: -standOff.near,
      edit: bend.fixedPitch === undefined ? pitchEdit : undefined,
    }),
    dim.up('way-out', 'corner to the way in', { x: box.outside.length, y: 0 }, runs[0] ?? 0, {
      offset: -standOff.near,
    }),
  ];
}

/** From above and cut across; the turn at full size has a file of its own. */
export const serpentineDrawing = {
  plan,
  section: (build: PlateBuild<SerpentineParameters>, layout: SerpentineLayout): Drawing =>
    plateSection(build, layout, { airGap: fieldRange('airGap'), tube: (run) => runRole(layout, run) }),
};
