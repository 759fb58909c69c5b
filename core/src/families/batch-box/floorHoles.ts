/** A hole in the floor: m from its front edge and from its first side. */
export interface FloorHole {
  id: 'drain' | 'cold' | 'discharge' | 'hot' | 'sensor';
  words: string;
  x: number;
  y: number;
  diameter: number;
}
/** m. Holes for pipes with the rubber round them, and for the sensor's wire; from the walls, and from pipe to pipe across. */
const pipeHole = 0.06;
const wireHole = 0.012;
const holeIn = 0.12;

/** Two holes at the front on one side, for drain and cold water; three behind on the other, for the relief's discharge, hot water and the wire. */
export function floorHoles(at: {
  wall: number;
  depth: number;
  width: number;
  front: readonly [number, number][];
  back: readonly [number, number][];
}): FloorHole[] {
  const { wall, depth, width } = at;
  /** The middle of the widest gap: nothing lies over it. */
  const middle = (gaps: readonly [number, number][]) => {
    const [from, to] = [...gaps].sort((a, b) => b[1] - b[0] - (a[1] - a[0]))[0] as [number, number];
    return (from + to) / 2;
  };
  const front = middle(at.front.map(([from, to]) => [Math.max(wall, from), to]));
  const back = middle(at.back.map(([from, to]) => [from, Math.min(depth - wall, to)]));
  const far = width - wall;
  return [
    { id: 'drain', words: 'drain', x: front, y: wall + holeIn, diameter: pipeHole },
    { id: 'cold', words: 'cold in', x: front, y: wall + 2 * holeIn, diameter: pipeHole },
    { id: 'discharge', words: 'the relief’s discharge', x: back, y: far - holeIn, diameter: pipeHole },
    { id: 'hot', words: 'hot out', x: back, y: far - 2 * holeIn, diameter: pipeHole },
    { id: 'sensor', words: 'the sensor’s wire', x: back, y: far - 2.7 * holeIn, diameter: wireHole },
  ];
}
