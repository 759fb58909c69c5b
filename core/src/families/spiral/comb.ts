import { type Shape, shape } from '../../draw';
import { sized } from '../../quantity';
import type { Template } from '../../shop';
import type { SpiralLayout } from './layout';

/** m. Of a sheet of paper, lying; what stands under the notches, and how far they reach up a hose. */
const room = 0.25;
const spine = 0.02;

/** A comb at full size that sets the windings apart: pushed down between them before they are tied. */
export function combTemplate(prefix: string, { parameters, hose }: SpiralLayout): Template {
  const { pitch } = parameters;
  const radius = hose.outerDiameter / 2;
  const count = Math.max(2, Math.floor(room / pitch));
  const width = count * pitch;
  const middles = Array.from({ length: count }, (_, index) => (index + 0.5) * pitch);
  return {
    id: `${prefix}/comb`,
    name: `Comb for ${count} windings`,
    words: [
      'stick it on a strip of plywood, drill the circles and saw down to them: what is left is a comb',
      `push it over the windings at every tie, so that they lie ${sized(pitch, true)} apart, middle to middle`,
    ],
    drawing: {
      title: 'Comb',
      shapes: [
        shape.rect('note', { x: 0, y: 0, width, height: spine + radius }),
        ...middles.flatMap((x): Shape[] => [
          shape.circle('hole', { x, y: spine + radius }, radius),
          shape.line('centre', { x, y: 0 }, { x, y: spine + 2 * radius }),
        ]),
      ],
      dimensions: [],
      labels: [],
    },
  };
}
