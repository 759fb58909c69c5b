import { elbowFor } from '../../catalogue';
import { type Dimension, type Drawing, dim, leader, type Shape, shape } from '../../draw';
import type { PlateBuild } from '../plateFamily';
import { runRole, turnShapes } from './drawing';
import type { SerpentineLayout } from './layout';
import type { SerpentineParameters } from './parameters';

/** m of run shown beside a turn. */
const shown = 0.05;

/** The first turn: what its elbows and its stub come to. */
export function detail(build: PlateBuild<SerpentineParameters>, layout: SerpentineLayout): Drawing {
  const { tube, bend, runs, straight, pitch } = layout;
  const prefix = build.id;
  const [low, high] = [runs[0] ?? 0, runs[1] ?? 0];
  const run = (index: number, y: number): Shape =>
    shape.rect('tube', {
      part: `${prefix}/${runRole(layout, index)}`,
      x: straight.to - shown,
      y: y - tube.outerDiameter / 2,
      width: shown,
      height: tube.outerDiameter,
    });
  const middle = straight.to + bend.laying;
  const dimensions: Dimension[] = [
    dim.between(
      'turn-pitch',
      'pitch',
      { x: straight.to - shown, y: low },
      { x: straight.to - shown, y: high },
      { value: pitch, offset: 0.014 },
    ),
  ];
  if (bend.stub !== undefined)
    dimensions.push(
      dim.between(
        'turn-stub',
        'stub',
        { x: middle, y: low + bend.laying },
        { x: middle, y: high - bend.laying },
        { value: bend.stub, offset: -0.022 },
      ),
      dim.between(
        'turn-laying',
        'laying length',
        { x: straight.to, y: high },
        { x: middle, y: high },
        { value: bend.laying, offset: 0.018 },
      ),
    );
  const { socket } = elbowFor(tube.outerDiameter);
  return {
    title: `Turn of ${prefix}`,
    shapes: [run(0, low), run(1, high), ...turnShapes(prefix, layout, 0)],
    labels:
      bend.joints > 0
        ? [
            leader(
              bend.calibrated ? 'as your dry fit has it' : 'dry-fit yours first',
              { x: straight.to - socket, y: low },
              { x: straight.to + 0.045, y: low - 0.012 },
            ),
          ]
        : [],
    dimensions,
  };
}
