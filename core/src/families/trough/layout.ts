import { bore, elbowFor, entry, type Sheet, type Timber, type Tube } from '../../catalogue';
import { evenlyAlong } from '../../shop';
import { openingWidth, rimHeight, type TroughSection } from '../../thermal';
import type { TroughParameters } from './parameters';

/** m that a circular saw takes at each rip. Trade. */
export const ripKerf = 0.003;
/** m that the black pipe goes on past the outside of a cap, to the stop of its elbow. */
const out = 0.045;
/** m. A pipe in its hole in a cap, all round: it grows and slides. */
const holeRoom = 0.001;
/** m. Bearers beyond the outer troughs; from the ends of a trough to its outer bearers; and the farthest from one to the next. */
const beyond = 0.03;
const inset = 0.2;
export const farthest = 1.2;
/** Share of a trough's outside that lies in its seat. */
const seated = 0.12;

/** Where everything is; x runs up the slope from the low ends of the bearers, y along the troughs. */
export interface TroughLayout {
  parameters: TroughParameters;
  pipe: Tube;
  receiver: Tube;
  cap: Sheet;
  bearer: Timber;
  /** Pieces that one length of pipe is ripped into. */
  ways: 2 | 3;
  section: TroughSection;
  /** m. Opening from edge to edge; the edges over the lowest line; film round the mirror. */
  opening: number;
  depth: number;
  filmWidth: number;
  /** m, middle to middle, and x of each middle. */
  pitch: number;
  places: number[];
  /** m between caps. */
  lit: number;
  /** m. Each black pipe, and the links between two, cut. */
  receiverLength: number;
  link: number;
  hole: number;
  /** y of each bearer's middle; depth of a seat; m. */
  bearers: number[];
  seat: number;
  bearerLength: number;
  /** m³ of water. */
  volume: number;
  /** m of the water's way. */
  way: number;
  outside: { length: number; width: number; depth: number };
}

export function layOut(parameters: TroughParameters): TroughLayout {
  const { troughs, length, gap } = parameters;
  const pipe = entry('tube', parameters.pipe);
  const receiver = entry('tube', parameters.receiver);
  const cap = entry('sheet', parameters.capSheet);
  const bearer = entry('timber', parameters.bearer);
  const ways = parameters.share === 'half' ? 2 : 3;
  const radius = bore(pipe) / 2;
  const half = Math.PI / ways - ripKerf / 2 / radius;
  const section: TroughSection = {
    radius,
    opening: half,
    film: Math.max(0.05, half - parameters.film / radius),
    pipe: receiver.outerDiameter,
    height: parameters.height,
  };
  const wide = pipe.outerDiameter * Math.sin(half);
  const pitch = wide + gap;
  const first = beyond + wide / 2;
  const seat = seated * pipe.outerDiameter;
  const elbow = elbowFor(receiver.outerDiameter);
  const receiverLength = length + 2 * out;
  const link = Math.max(0.005, pitch - 2 * elbow.laying);
  const room = Math.min(inset, length / 5);
  const spans = Math.max(1, Math.ceil((length - 2 * room) / farthest - 1e-9));
  const way = troughs * receiverLength + (troughs - 1) * pitch;
  const bearerLength = (troughs - 1) * pitch + 2 * first;
  return {
    parameters,
    pipe,
    receiver,
    cap,
    bearer,
    ways,
    section,
    opening: openingWidth(section),
    depth: rimHeight(section),
    filmWidth: 2 * section.film * radius,
    pitch,
    places: Array.from({ length: troughs }, (_, index) => first + index * pitch),
    lit: length - 2 * cap.thickness,
    receiverLength,
    link,
    hole: receiver.outerDiameter + 2 * holeRoom,
    bearers: evenlyAlong(length, (length - 2 * room) / spans, room),
    seat,
    bearerLength,
    volume: (Math.PI / 4) * bore(receiver) ** 2 * way,
    way,
    outside: {
      length: bearerLength,
      width: receiverLength + 2 * (elbow.laying + elbow.across / 2),
      depth: bearer.width - seat + pipe.wall + rimHeight(section),
    },
  };
}
