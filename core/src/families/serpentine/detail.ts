import { elbowFor } from '../../catalogue';
import type { Dimension, Drawing, Shape } from '../../draw';
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
  const run = (index: number, y: number): Shape => ({
    kind: 'rect',
    layer: 'tube',
    part: `${prefix}/${runRole(layout, index)}`,
    x: straight.to - shown,
    y: y - tube.outerDiameter / 2,
    width: shown,
    height: tube.outerDiameter,
  });
  const middle = straight.to + bend.laying;
  const dimensions: Dimension[] = [
    {
      id: 'turn-pitch',
      label: 'pitch',
      from: { x: straight.to - shown, y: low },
      to: { x: straight.to - shown, y: high },
      offset: 0.014,
      value: pitch,
    },
  ];
  if (bend.stub !== undefined)
    dimensions.push(
      {
        id: 'turn-stub',
        label: 'stub',
        from: { x: middle, y: low + bend.laying },
        to: { x: middle, y: high - bend.laying },
        offset: -0.022,
        value: bend.stub,
      },
      {
        id: 'turn-laying',
        label: 'laying length',
        from: { x: straight.to, y: high },
        to: { x: middle, y: high },
        offset: 0.018,
        value: bend.laying,
      },
    );
  const { socket } = elbowFor(tube.outerDiameter);
  return {
    title: `Turn of ${prefix}`,
    shapes: [run(0, low), run(1, high), ...turnShapes(prefix, layout, 0)],
    labels:
      bend.joints > 0
        ? [
            {
              at: { x: straight.to - socket, y: low },
              to: { x: straight.to + 0.045, y: low - 0.012 },
              words: bend.calibrated ? 'as your dry fit has it' : 'dry-fit yours first',
              anchor: 'start',
            },
          ]
        : [],
    dimensions,
  };
}
