import { screwFrom } from '../../catalogue';
import { paneBarParts, paneBarPlaces, paneBarSlots } from '../../glazings';
import { sized } from '../../quantity';
import { bought, holeRow, hoseMass, type Part, type Purchase, screws, sheetPiece, timberPiece } from '../../shop';
import { openEnds } from '../kit/freeEnd';
import { type SpiralLayout, tail } from './layout';

/** m. Clearance hole of a 4 mm screw; how far a screw goes in; between screws along an edge and clips round a cover. */
const screwHole = 0.0045;
const bite = 0.02;
const screwSpacing = 0.25;
const clipSpacing = 0.4;
/** Ties to one turn of one hose. Judgement: a hose that is warm and full creeps. */
export const tiesATurn = 4;

export function spiralParts(prefix: string, layout: SpiralLayout): Part[] {
  const { side, slat, bearer, slats, bearers, tray, glazing } = layout;
  const corners = (rise: number) =>
    holeRow('one end', [0.5 * (tray?.wall ?? 0), side - 0.5 * (tray?.wall ?? 0)], {
      diameter: screwHole,
      where: 'for the screws into the end boards',
      across: { from: 'bottom edge', distance: rise * 0.3, more: [rise * 0.7] },
    });
  return [
    timberPiece(prefix, bearer, 'bearer', 'Bearer', { length: side, count: bearers.length, ...(tray ? {} : openEnds) }),
    ...(slats.length > 0
      ? [
          timberPiece(prefix, slat, 'slat', 'Slat', {
            length: side,
            count: slats.length,
            ...openEnds,
            holes: [
              holeRow('one end', bearers, {
                diameter: screwHole,
                where: 'for the screws into the bearers',
                across: { from: 'bottom edge', distance: slat.width / 2 },
              }),
            ],
          }),
        ]
      : []),
    ...(tray
      ? [
          sheetPiece(prefix, tray.back, 'back', 'Back, half of it', { width: side, height: side / 2, count: 2 }),
          timberPiece(prefix, tray.sideBoard, 'side', 'Side', {
            length: side,
            count: 2,
            section: { width: tray.rise, thickness: tray.wall },
            holes: [corners(tray.rise)],
            recesses: paneBarSlots(paneBarPlaces(glazing.bars.count, side), {
              up: tray.rise,
              into: { from: 0, to: tray.wall },
              tape: bearer.tape,
            }),
          }),
          timberPiece(prefix, tray.sideBoard, 'end', 'End', {
            length: side - 2 * tray.wall,
            count: 2,
            section: { width: tray.rise, thickness: tray.wall },
          }),
          ...paneBarParts(prefix, glazing.bars, { length: side, stem: tray.wall, tape: bearer.tape }),
        ]
      : []),
  ];
}

export function spiralPurchases(prefix: string, layout: SpiralLayout): Purchase[] {
  const { parameters, hose, each, side, slat, bearer, slats, bearers, tray, glazing } = layout;
  const { starts, rounds } = parameters;
  const metres = starts * (each + 2 * tail);
  const tape = bearer.tape;
  return [
    bought(prefix, 'hose', `Hose: ${hose.name}`, [metres, 'm'], {
      priceKey: `hose/${hose.id}`,
      rule: `${starts === 1 ? 'one piece' : `${starts} pieces`} of ${sized(each + 2 * tail)}, tails included, uncut from the roll`,
      mass: metres * hoseMass(hose),
    }),
    bought(prefix, 'tie', 'Cable ties, black, for outdoors', [tiesATurn * starts * rounds, 'each'], {
      priceKey: 'cable-tie',
      rule: `${tiesATurn} to a turn of each hose`,
      mass: 0.002 * tiesATurn * starts * rounds,
    }),
    ...(tray
      ? [
          bought(
            prefix,
            'tie-base',
            'Bases for cable ties, each with its screw',
            [tiesATurn * starts * rounds, 'each'],
            {
              priceKey: 'tie-base',
              rule: 'one under each tie: there is no slat to tie to',
              mass: 0.004 * tiesATurn * starts * rounds,
            },
          ),
          bought(
            prefix,
            'bulkhead',
            'Bulkhead elbows, a hose tail on both sides, with nut and washers',
            [2 * starts, 'each'],
            {
              priceKey: 'outlet',
              rule: `one through the back under each end, in a hole ${sized(tray.exits.hole, true)} across`,
              mass: 0.1 * 2 * starts,
            },
          ),
        ]
      : []),
    bought(prefix, 'hose-tail', 'Hose tails', [2 * starts, 'each'], {
      priceKey: 'hose-tail',
      rule: 'one at each end of each hose',
      mass: 0.06 * 2 * starts,
    }),
    bought(prefix, 'hose-clip', 'Hose clips, stainless', [(tray ? 6 : 2) * starts, 'each'], {
      priceKey: 'hose-clip',
      rule: tray ? 'one on each tail, and one on both sides of each bulkhead' : 'one on each tail',
      mass: 0.02 * (tray ? 6 : 2) * starts,
    }),
    ...(starts > 1
      ? [
          bought(prefix, 'manifold', `Manifolds of ${starts} outlets, full bore`, [2, 'each'], {
            priceKey: 'feed-manifold',
            rule: 'one that parts the water and one that gathers it',
            mass: 0.8,
          }),
        ]
      : []),
    ...screws(prefix, {
      id: 'slat-screws',
      quantity: slats.length * bearers.length,
      length: screwFrom(slat.thickness + bite, tape),
      tape,
      rule: 'one where a slat crosses a bearer',
    }),
    ...(tray
      ? [
          ...screws(prefix, {
            id: 'corner-screws',
            quantity: 8,
            length: screwFrom(tray.wall + bite, tape),
            tape,
            rule: 'through the sides into the ends, two a corner',
          }),
          ...screws(prefix, {
            id: 'back-screws',
            quantity: Math.ceil((4 * side + bearers.length * side) / screwSpacing),
            length: screwFrom(tray.back.thickness + bite, tape),
            tape,
            rule: `through the back into sides, ends and bearers, every ${sized(screwSpacing)}`,
          }),
          bought(
            prefix,
            'pane-clip',
            'Pane clips with screws, a rubber under each',
            [2 * Math.ceil((2 * side) / clipSpacing), 'each'],
            { priceKey: 'pane-clip', rule: `round the cover, every ${sized(clipSpacing)}`, mass: 0.02 },
          ),
          ...glazing.purchases(prefix),
        ]
      : []),
  ];
}
