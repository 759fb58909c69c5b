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
/** m. Holes in the top of each pipe: filled through the one, vented through the other; and how far from its ends. */
export const fillHole = 0.04;
export const ventHole = 0.016;
export const holeIn = 0.12;
/** m. Hole in the low end's side for the link and the outlet. */
export const linkHole = 0.021;

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
    span: (along[1] ?? length) - (along[0] ?? 0),
  };
}
