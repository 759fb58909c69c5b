import { faceOf, type Part, type Recess, rowDistances } from '../../shop';

/** Axes of the frame that all pieces are put together in; m. */
export type Axis = 'x' | 'y' | 'z';
export type Place = Record<Axis, number>;
/** A block along the axes. */
export interface Block {
  low: Place;
  high: Place;
}
/** A round bar or hole along an axis, with where its middle lies in the two others. */
export interface Rod {
  axis: Axis;
  from: number;
  to: number;
  at: Partial<Place>;
  radius: number;
}
/** A piece where it stands: what is left of it as blocks, and the holes through it. */
export interface Solid {
  id: string;
  blocks: Block[];
  holes: Rod[];
}

/** How a piece's own axes lie in the frame: each goes along an axis, forward or backward, from an origin. */
export interface Pose {
  origin: Place;
  along: readonly [Axis, 1 | -1];
  up: readonly [Axis, 1 | -1];
  into: readonly [Axis, 1 | -1];
}

const axes: readonly Axis[] = ['x', 'y', 'z'];
/** m. Smaller than this is a rounding. */
export const tiny = 2e-5;

/** The block of a piece between two places in its own axes. */
export function posed(pose: Pose, low: [number, number, number], high: [number, number, number]): Block {
  const block: Block = { low: { ...pose.origin }, high: { ...pose.origin } };
  ([pose.along, pose.up, pose.into] as const).forEach(([axis, way], index) => {
    const [a, b] = [pose.origin[axis] + way * (low[index] ?? 0), pose.origin[axis] + way * (high[index] ?? 0)];
    block.low[axis] = Math.min(a, b);
    block.high[axis] = Math.max(a, b);
  });
  return block;
}

export function overlap(one: Block, other: Block): number {
  return axes.reduce((volume, axis) => {
    const shared = Math.min(one.high[axis], other.high[axis]) - Math.max(one.low[axis], other.low[axis]);
    return shared > tiny ? volume * shared : 0;
  }, 1);
}

/** A block without what another takes from it, as up to six blocks. */
function without(block: Block, taken: Block): Block[] {
  if (overlap(block, taken) === 0) return [block];
  const left: Block[] = [];
  let rest = block;
  for (const axis of axes) {
    if (taken.low[axis] > rest.low[axis] + tiny) {
      left.push({ low: rest.low, high: { ...rest.high, [axis]: taken.low[axis] } });
      rest = { low: { ...rest.low, [axis]: taken.low[axis] }, high: rest.high };
    }
    if (taken.high[axis] < rest.high[axis] - tiny) {
      left.push({ low: { ...rest.low, [axis]: taken.high[axis] }, high: rest.high });
      rest = { low: rest.low, high: { ...rest.high, [axis]: taken.high[axis] } };
    }
  }
  return left;
}

/** A piece of so much thickness set down in the frame: its recesses taken out, its holes kept. */
export function place(
  part: Part,
  thickness: number,
  pose: Pose,
  recesses: readonly Recess[] = part.recesses ?? [],
): Solid {
  const face = faceOf(part);
  let blocks = [posed(pose, [0, 0, 0], [face.along, face.up, thickness])];
  for (const { along, up, into } of recesses) {
    const taken = posed(pose, [along.from, up.from, into.from], [along.to, up.to, into.to]);
    blocks = blocks.flatMap((block) => without(block, taken));
  }
  const holes = (part.holes ?? []).flatMap((row) =>
    rowDistances(row, face).flatMap((distance) =>
      row.positions.map((position): Rod => {
        const [x, y] = row.axis === 'up' ? [distance, position] : [position, distance];
        const { low, high } = posed(pose, [x, y, 0], [x, y, thickness]);
        const axis = pose.into[0];
        const at = { ...low };
        return { axis, from: low[axis], to: high[axis], at, radius: row.diameter / 2 };
      }),
    ),
  );
  return { id: part.id, blocks, holes };
}

/** Every two of the solids that share room, but for pairs that may. */
export function clashesOf(solids: readonly Solid[]): string[] {
  const found: string[] = [];
  solids.forEach((one, index) => {
    for (const other of solids.slice(index + 1))
      for (const a of one.blocks)
        for (const b of other.blocks) {
          const shared = overlap(a, b);
          if (shared > 1e-9) found.push(`${one.id} and ${other.id} share ${(shared * 1e6).toFixed(2)} cm³`);
        }
  });
  return found;
}

/** m². How much of the face of one solid at a height lies on the other's. */
export function bearingArea(upper: Solid, lower: Solid, axis: Axis): number {
  const others = axes.filter((one) => one !== axis);
  let area = 0;
  for (const a of upper.blocks)
    for (const b of lower.blocks)
      if (Math.abs(a.low[axis] - b.high[axis]) < 10 * tiny)
        area += others.reduce((product, other) => {
          const shared = Math.min(a.high[other], b.high[other]) - Math.max(a.low[other], b.low[other]);
          return product * Math.max(0, shared);
        }, 1);
  return area;
}

/** Whether two solids touch with a face. */
export function touch(one: Solid, other: Solid): boolean {
  return axes.some((axis) => bearingArea(one, other, axis) > 1e-6 || bearingArea(other, one, axis) > 1e-6);
}

/** The solids that a rod goes into without a hole for it there. */
export function pierced(rod: Rod, solids: readonly Solid[]): string[] {
  const others = axes.filter((one) => one !== rod.axis);
  const hits = (block: Block) => {
    if (Math.min(rod.to, block.high[rod.axis]) - Math.max(rod.from, block.low[rod.axis]) <= tiny) return false;
    const gaps = others.map((axis) => {
      const at = rod.at[axis] ?? 0;
      return Math.max(block.low[axis] - at, at - block.high[axis], 0);
    });
    return Math.hypot(...gaps) < rod.radius - tiny;
  };
  return solids.flatMap(({ id, blocks, holes }) => {
    if (!blocks.some(hits)) return [];
    const through = holes.some(
      (hole) =>
        hole.axis === rod.axis &&
        Math.hypot(...others.map((axis) => (hole.at[axis] ?? 0) - (rod.at[axis] ?? 0))) + rod.radius <
          hole.radius + tiny,
    );
    return through ? [] : [id];
  });
}

/** m. The widest round, square to an axis about a point, that lies wholly in a solid, up to 12 mm; below zero outside of it. */
export function depthIn(point: Place, solid: Solid, along: Axis): number {
  const [one, other] = axes.filter((axis) => axis !== along) as [Axis, Axis];
  const inside = (at: Place) =>
    solid.blocks.some(({ low, high }) =>
      axes.every((axis) => at[axis] > low[axis] - tiny && at[axis] < high[axis] + tiny),
    );
  if (!inside(point)) return Number.NEGATIVE_INFINITY;
  for (let radius = 0.012; radius > 0; radius -= 0.0005) {
    const round = Array.from({ length: 24 }, (_, step) => (2 * Math.PI * step) / 24).every((angle) =>
      inside({
        ...point,
        [one]: point[one] + radius * Math.cos(angle),
        [other]: point[other] + radius * Math.sin(angle),
      }),
    );
    if (round) return radius;
  }
  return 0;
}
