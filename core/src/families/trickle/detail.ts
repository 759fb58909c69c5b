import type { Drawing } from '../../draw';
import { canWall, type TrickleLayout } from './layout';

/** m. What a wall of a tenth of a millimetre is drawn as, and the bead between two cans. */
const drawn = 0.0012;
const bead = 0.0015;

/** Two cans where they lap, seen from the side of the strip: the upper one over the lower, the bead between. */
export function detail(prefix: string, { parameters }: TrickleLayout): Drawing {
  const { height, lap } = parameters;
  // The bead stays inside the lap, however short that is.
  const inset = Math.min(0.002, lap / 4);
  const strip = (x: number, y: number) =>
    ({
      kind: 'rect',
      layer: 'plate',
      part: `${prefix}/can`,
      x,
      y,
      width: height,
      height: Math.max(drawn, canWall),
    }) as const;
  return {
    title: `Lap of ${prefix}`,
    shapes: [
      strip(0, 0),
      strip(height - lap, drawn + bead),
      {
        kind: 'rect',
        layer: 'insulation',
        part: `${prefix}/lap-silicone`,
        x: height - lap + inset,
        y: drawn,
        width: lap - 2 * inset,
        height: bead,
      },
      {
        kind: 'line',
        layer: 'rail',
        part: `${prefix}/tape`,
        from: { x: height - lap - 0.012, y: drawn * 2 + bead + 0.0008 },
        to: { x: height - lap + 0.02, y: drawn * 2 + bead + 0.0008 },
      },
    ],
    labels: [
      { at: { x: height / 3, y: drawn }, to: { x: height / 3, y: 0.014 }, words: 'lower can', anchor: 'middle' },
      {
        at: { x: 1.6 * height, y: drawn + bead },
        to: { x: 1.6 * height, y: -0.016 },
        words: 'upper can, up the slope',
        anchor: 'start',
      },
      {
        at: { x: height - lap / 2, y: drawn + bead / 2 },
        to: { x: height - lap / 2, y: -0.016 },
        words: 'bead of silicone',
        anchor: 'middle',
      },
    ],
    dimensions: [
      {
        id: 'lap',
        label: 'lap',
        from: { x: height - lap, y: 0.006 },
        to: { x: height, y: 0.006 },
        offset: 0.03,
        value: lap,
      },
    ],
  };
}
