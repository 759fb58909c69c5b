import { type Drawing, dim, leader, shape } from '../../draw';
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
    shape.rect('plate', { part: `${prefix}/can`, x, y, width: height, height: Math.max(drawn, canWall) });
  return {
    title: `Lap of ${prefix}`,
    shapes: [
      strip(0, 0),
      strip(height - lap, drawn + bead),
      shape.rect('insulation', {
        part: `${prefix}/lap-silicone`,
        x: height - lap + inset,
        y: drawn,
        width: lap - 2 * inset,
        height: bead,
      }),
      shape.line(
        'rail',
        { x: height - lap - 0.012, y: drawn * 2 + bead + 0.0008 },
        { x: height - lap + 0.02, y: drawn * 2 + bead + 0.0008 },
        { part: `${prefix}/tape` },
      ),
    ],
    labels: [
      leader('lower can', { x: height / 3, y: drawn }, { x: height / 3, y: 0.014 }, { anchor: 'middle' }),
      leader('upper can, up the slope', { x: 1.6 * height, y: drawn + bead }, { x: 1.6 * height, y: -0.016 }),
      leader(
        'bead of silicone',
        { x: height - lap / 2, y: drawn + bead / 2 },
        { x: height - lap / 2, y: -0.016 },
        { anchor: 'middle' },
      ),
    ],
    dimensions: [
      dim.between('lap', 'lap', { x: height - lap, y: 0.006 }, { x: height, y: 0.006 }, { value: lap, offset: 0.03 }),
    ],
  };
}
