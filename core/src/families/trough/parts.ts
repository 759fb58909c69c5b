import { elbowFor, screwFrom } from '../../catalogue';
import { sized } from '../../quantity';
import { bought, type Part, type Purchase, screws, sheetPiece, timberPiece, tubeMass, tubePiece } from '../../shop';
import { openEnds } from '../kit/freeEnd';
import { capillarySolder, solderLines } from '../kit/joints';
import { blackPaint } from '../kit/paint';
import { ripKerf, type TroughLayout } from './layout';

/** Screws through the wall of a trough into the edge of each cap. */
const screwsToCap = 3;
/** m that a screw goes into what it holds. */
const bite = 0.025;
/** kg of flux to a joint. */
const fluxEach = 0.002;
/** kg/m² of polyester film with its glue. */
const filmMass = 0.12;

/** Lengths of pipe that are ripped. */
export function pipesToRip({ parameters, ways }: TroughLayout): number {
  return Math.ceil(parameters.troughs / ways);
}

/** Soldered joints: two a link, and the unions. */
export function jointsOf({ parameters }: TroughLayout): number {
  return 4 * (parameters.troughs - 1) + 2;
}

export function troughParts(prefix: string, layout: TroughLayout): Part[] {
  const { parameters, pipe, receiver, cap, bearer, ways, section, opening, depth, receiverLength, link, bearerLength } =
    layout;
  const { troughs, length } = parameters;
  const rips = pipesToRip(layout);
  const apart = (Math.PI * pipe.outerDiameter) / ways;
  return [
    {
      ...tubePiece(prefix, pipe, 'trough-pipe', `Pipe, ripped into ${ways} troughs`, {
        length,
        count: rips,
        operations: [
          'square both ends',
          `scribe ${ways} lines along it, ${sized(apart)} from line to line round the outside`,
          `rip along all ${ways}: the blade takes ${sized(ripKerf, true)} at each`,
        ],
      }),
      // What is ripped and not used stays in the shed.
      mass: (tubeMass(pipe) * length * troughs) / ways / rips,
    },
    tubePiece(prefix, receiver, 'receiver', 'Black pipe', {
      length: receiverLength,
      count: troughs,
      operations: ['square and ream both ends, clean a socket deep'],
    }),
    ...(troughs > 1
      ? [
          tubePiece(prefix, receiver, 'link', 'Link, elbow to elbow', {
            length: link,
            count: troughs - 1,
            operations: ['square and ream both ends, clean a socket deep', 'cut every one alike against one stop'],
          }),
        ]
      : []),
    sheetPiece(prefix, cap, 'cap', 'Cap', {
      width: opening,
      height: depth,
      count: 2 * troughs,
      operations: [
        `saw it round by the template, to fit inside the trough: its round edge ${sized(section.radius)} from the middle`,
        `drill ${sized(layout.hole, true)} for the black pipe, ${sized(section.height)} over its lowest point`,
      ],
    }),
    timberPiece(prefix, bearer, 'bearer', 'Bearer', {
      length: bearerLength,
      count: layout.bearers.length,
      ...openEnds,
      operations: [`saw a round seat ${sized(layout.seat)} deep for each trough, by the template`],
    }),
  ];
}

export function troughPurchases(prefix: string, layout: TroughLayout): Purchase[] {
  const { parameters, pipe, receiver, bearer, filmWidth, lit, receiverLength, bearers } = layout;
  const { troughs } = parameters;
  const elbow = elbowFor(receiver.outerDiameter);
  const elbows = 2 * (troughs - 1);
  const area = troughs * filmWidth * lit;
  const joints = jointsOf(layout);
  return [
    bought(prefix, 'film', 'Mirror film with its own glue, for out of doors', [area, 'm²'], {
      priceKey: 'mirror-film',
      rule: `${troughs} of ${sized(filmWidth)} × ${sized(lit)}`,
      mass: filmMass * area,
    }),
    bought(prefix, 'alcohol', 'Cleaning alcohol', [0.1 * area, 'L'], {
      priceKey: 'alcohol',
      rule: 'a wipe over all that the film covers',
      mass: 0,
    }),
    ...(elbows > 0
      ? [
          bought(prefix, 'elbow', 'Elbows, 90°, sockets both ends', [elbows, 'each'], {
            priceKey: 'elbow',
            rule: 'two a link',
            mass: tubeMass(receiver) * 2 * (elbow.laying + elbow.socket) * 1.5 * elbows,
          }),
        ]
      : []),
    bought(prefix, 'unions', 'Unions', [2, 'each'], {
      priceKey: 'union',
      rule: 'one at each end of the way',
      mass: 0.3,
    }),
    ...solderLines(prefix, {
      joints,
      solder: capillarySolder({ joints, diameter: receiver.outerDiameter, socket: elbow.socket }),
      rule: 'four a link, and the unions',
      fluxEach,
    }),
    ...screws(prefix, {
      id: 'cap-screws',
      quantity: 2 * troughs * screwsToCap,
      length: screwFrom(pipe.wall + bite, bearer.tape),
      tape: bearer.tape,
      rule: `${screwsToCap} through the wall into the edge of each cap`,
    }),
    ...screws(prefix, {
      id: 'seat-screws',
      quantity: troughs * bearers.length,
      length: screwFrom(pipe.wall + bite, bearer.tape),
      tape: bearer.tape,
      rule: 'one a seat, countersunk, before the film goes over it',
    }),
    blackPaint(prefix, troughs * receiverLength * Math.PI * receiver.outerDiameter),
  ];
}
