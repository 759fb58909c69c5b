import { bore, entry, type Timber, type Tube } from '../../catalogue';
import { evenlyAlong } from '../../shop';
import type { RoofTubeParameters } from './parameters';

/** m. A cap adds so much to each end, and is so much wider than its pipe. */
export const cap = { long: 0.06, wide: 0.012 } as const;
/** Share of a pipe's outside that lies in its seat. */
const seated = 0.25;
/** m. Saddle beyond the outer pipes, and from the ends of the pipes to the outer saddles. */
const beyond = 0.05;
const inset = 0.25;
/** m. Holes in the top of each pipe: filled through the one, vented through the other; left between them, and to the cap. */
export const fillHole = 0.04;
export const ventHole = 0.016;
const between = 0.03;
const toCap = 0.015;
/** m. Hole in the flat of the low cap for the outlet; its flange, and room from there to the pipe's own wall. */
export const outletHole = 0.021;
const outletFlange = 0.038;
const toWall = 0.002;
/** m. How deep a cap's socket takes the pipe: EN ISO 1452-3, solvent cement, half the pipe's outside and 6 mm. */
const socketOf = (diameter: number): number => diameter / 2 + 0.006;

/** Where everything is; x runs along the pipes from their low end, y across them. */
export interface RoofTubeLayout {
  parameters: RoofTubeParameters;
  pipe: Tube;
  bore: number;
  saddle: Timber;
  /** m, middle to middle. */
  pitch: number;
  /** y of each pipe, from the first end of a saddle. */
  places: number[];
  /** x of the middle of each saddle. */
  saddles: number[];
  /** m. Length of a saddle; depth of a seat. */
  width: number;
  seat: number;
  /** m³. */
  volume: number;
  outside: { length: number; width: number; depth: number };
  /** m. Socket of a cap; middles of vent and fill hole from the high end, both on the uppermost line; of the outlet over the bottom of the cap's outside. */
  socket: number;
  vent: number;
  fill: number;
  outlet: number;
  /** m. Farthest that a pipe goes from saddle to saddle. */
  span: number;
}

export function layOut(parameters: RoofTubeParameters): RoofTubeLayout {
  const { pipes, length, gap } = parameters;
  const pipe = entry('tube', parameters.pipe);
  const saddle = entry('timber', parameters.saddle);
  const inner = bore(pipe);
  const pitch = pipe.outerDiameter + gap;
  const first = beyond + pipe.outerDiameter / 2;
  const seat = seated * pipe.outerDiameter;
  const room = Math.min(inset, length / 5);
  const along = evenlyAlong(length - 2 * room, (length - 2 * room) / (parameters.saddles - 1), 0).map((x) => x + room);
  const width = (pipes - 1) * pitch + 2 * first;
  const socket = socketOf(pipe.outerDiameter);
  const vent = socket + toCap + ventHole / 2;
  return {
    parameters,
    pipe,
    bore: inner,
    saddle,
    pitch,
    places: Array.from({ length: pipes }, (_, index) => first + index * pitch),
    saddles: along,
    width,
    seat,
    volume: pipes * (Math.PI / 4) * inner ** 2 * length,
    outside: {
      length: length + 2 * cap.long,
      width,
      depth: saddle.width - seat + pipe.outerDiameter,
    },
    socket,
    vent,
    fill: vent + ventHole / 2 + between + fillHole / 2,
    outlet: cap.wide / 2 + (pipe.outerDiameter - inner) / 2 + toWall + outletFlange / 2,
    span: (along[1] ?? length) - (along[0] ?? 0),
  };
}
