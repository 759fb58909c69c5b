import { materials, screwFrom, screwUpTo } from '../../catalogue';
import { paneBarParts, paneBarPlaces, paneBarSlots } from '../../glazings';
import { sized } from '../../quantity';
import {
  bought,
  evenlyAlong,
  type HoleSchedule,
  holeRow,
  type Part,
  type Purchase,
  screws,
  sheetPiece,
  timberPiece,
} from '../../shop';
import { blackPaint, primer } from '../kit/paint';
import { canWall, gutter, type TrickleLayout } from './layout';

/** m. Clearance hole of a 4 mm screw, of a feed tube of 8 mm and of the gutter's outlet of 20 mm. */
const screwHole = 0.0045;
const feedHole = 0.009;
export const outletHole = 0.021;
/** m. A feed comes in over its strip by so much, to the middle of its hole. */
const feedOver = 0.007;
/** m that a screw goes into what it holds, and between the clips round a cover. */
const bite = 0.02;
const clipSpacing = 0.4;
/** m between the screws along a side, a batten or a bearer, and from their ends. */
const screwSpacing = 0.25;
const screwIn = 0.05;

/** kg of a can, cut and flat. */
function canMass({ flat, parameters }: TrickleLayout): number {
  return flat * parameters.height * canWall * materials.aluminium.density;
}

/** kg of all cans. */
export function cansMass(layout: TrickleLayout): number {
  return canMass(layout) * layout.parameters.cans * layout.parameters.strips;
}

/** Sides and ends of the tray, ripped to what they must hold. */
function trayParts(prefix: string, layout: TrickleLayout): Part[] {
  const { outside, sideBoard, wall, rise, strips, under, glazing, parameters } = layout;
  const section = { width: rise, thickness: wall };
  const inside = outside.width - 2 * wall;
  const corners = holeRow('low end', [wall / 2, outside.length - wall / 2], {
    diameter: screwHole,
    where: 'for the screws into the end boards',
    across: { from: 'bottom edge', distance: rise * 0.3, more: [rise * 0.7] },
  });
  const slots = paneBarSlots(paneBarPlaces(glazing.bars.count, outside.length), {
    up: rise,
    into: { from: 0, to: wall },
    tape: layout.batten.tape,
  });
  const side = (which: 'low' | 'high') =>
    timberPiece(
      prefix,
      sideBoard,
      which === 'low' ? 'side-outlet' : 'side',
      which === 'low' ? 'Side, with the gutter’s outlet' : 'Side',
      {
        length: outside.length,
        count: 1,
        section,
        holes: [
          ...(which === 'low'
            ? [
                holeRow('low end', [wall + gutter.width / 2], {
                  diameter: outletHole,
                  where: 'through the board, for the gutter’s outlet',
                  across: { from: 'bottom edge', distance: under / 2 },
                }),
              ]
            : []),
          corners,
        ],
        recesses: slots,
        datum: { end: 'low end', side: which === 'low' ? 'left' : 'right' },
      },
    );
  const end = (which: 'low' | 'high') =>
    timberPiece(
      prefix,
      sideBoard,
      which === 'low' ? 'end' : 'end-feeds',
      which === 'low' ? 'End, at the gutter' : 'End, at the feeds',
      {
        length: inside,
        count: 1,
        section,
        holes:
          which === 'low'
            ? [
                holeRow('first side', evenlyAlong(inside, 0.4, Math.min(0.05, inside / 3)), {
                  diameter: 0.008,
                  where: 'to let dew and steam out at the low edge, screened',
                  across: { from: 'bottom edge', distance: rise - 0.012 },
                }),
              ]
            : [
                holeRow(
                  'first side',
                  strips.map((y) => y - wall),
                  {
                    diameter: feedHole,
                    where: `for the feed of each of the ${parameters.strips} strips`,
                    across: { from: 'bottom edge', distance: under + feedOver },
                  },
                ),
              ],
        datum: { end: 'first side', side: which === 'low' ? 'right' : 'left' },
      },
    );
  return [side('low'), side('high'), end('low'), end('high')];
}

/** Where the screws from below go through the back: into sides, battens and bearers. */
function backRows(layout: TrickleLayout): HoleSchedule[] {
  const { outside, wall, strips, flat, parameters, support, bearers, wool } = layout;
  const { gapBetween } = parameters;
  const along = (positions: number[], where: string, distance: number, more: number[] = []) =>
    holeRow('low end', positions, {
      diameter: screwHole,
      where,
      across: { from: 'first side', distance, ...(more.length > 0 ? { more } : {}) },
    });
  const battens = [
    ...strips.map((y) => y - flat / 2 - gapBetween / 2),
    (strips.at(-1) ?? 0) + flat / 2 + gapBetween / 2,
  ];
  const [first = 0, ...rest] = battens;
  const long = evenlyAlong(support.to - support.from, screwSpacing, screwIn).map((at) => support.from + at);
  return [
    along(evenlyAlong(outside.length, screwSpacing, screwIn), 'for the screws into the sides', wall / 2, [
      outside.width - wall / 2,
    ]),
    // On bearers the battens are screwed from above, where they cross.
    ...(wool ? [along(long, 'for the screws into the battens', first, rest)] : []),
    ...bearers.map((x) =>
      holeRow(
        'first side',
        evenlyAlong(outside.width - 2 * wall, screwSpacing, screwIn).map((at) => wall + at),
        {
          axis: 'up',
          diameter: screwHole,
          where: 'for the screws into the bearer',
          across: { from: 'low end', distance: x },
        },
      ),
    ),
  ];
}

export function trickleParts(prefix: string, layout: TrickleLayout): { parts: Part[]; purchases: Purchase[] } {
  const { parameters, outside, batten, wall, back, stripLength, stripWidth, glazing, support, wool, bearers } = layout;
  const { cans, strips, gapBetween } = parameters;
  // A second skin is lapped, sealed and taped like the strips under it.
  const skins = parameters.film === 'sealed' ? 2 : 1;
  const laps = skins * (cans - 1) * strips;
  const tape = laps * stripWidth + skins * 2 * strips * stripLength;
  const tube = strips * (outside.width / 2 + 0.5);
  const area = stripLength * stripWidth * strips;
  const long = support.to - support.from;
  const woolPieces = wool ? Math.ceil(long / Math.max(wool.width, wool.height) - 1e-9) : 0;
  return {
    parts: [
      ...trayParts(prefix, layout),
      timberPiece(prefix, batten, 'batten', 'Batten between strips', {
        length: long,
        count: strips + 1,
        section: { width: layout.battenHeight, thickness: gapBetween },
        slack: { short: 0.01, long: 0, words: 'the strips lie on the wool; a batten may end short of them' },
      }),
      ...(bearers.length > 0
        ? [
            timberPiece(prefix, batten, 'bearer', 'Bearer under the strips', {
              length: outside.width - 2 * wall,
              count: bearers.length,
              section: { width: layout.bearerHeight, thickness: layout.bearerHeight },
            }),
          ]
        : []),
      sheetPiece(prefix, back, 'back', 'Back', {
        width: outside.length,
        height: outside.width,
        count: 1,
        holes: backRows(layout),
        datum: { end: 'low end', side: 'left' },
      }),
      ...(wool
        ? [
            sheetPiece(prefix, wool, 'wool', 'Wool under a strip', {
              width: long / woolPieces,
              height: stripWidth,
              count: strips * woolPieces,
            }),
          ]
        : []),
      ...paneBarParts(prefix, glazing.bars, {
        length: outside.width,
        stem: wall,
        tape: batten.tape,
      }),
    ],
    purchases: [
      bought(prefix, 'can', 'Drink cans, rinsed', [cans * strips, 'each'], {
        priceKey: 'can',
        rule: `${cans} a strip`,
        mass: cansMass(layout),
      }),
      bought(prefix, 'tape', 'Aluminium tape', [tape, 'm'], {
        priceKey: 'alu-tape',
        rule: 'every lap, and both edges of each strip',
        mass: 0.02 * tape,
      }),
      bought(prefix, 'lap-silicone', 'High-temperature silicone', [0.01 * laps * stripWidth, 'L'], {
        priceKey: 'silicone',
        rule: `a bead of ${sized(0.0035, true)} in every lap`,
        mass: 0.01 * laps * stripWidth,
      }),
      bought(prefix, 'feed', `Soft feed tube, ${sized(0.008)}`, [tube, 'm'], {
        priceKey: 'feed-tube',
        rule: 'from the manifold to the head of each strip',
        mass: 0.05 * tube,
      }),
      bought(prefix, 'gutter', 'Gutter with an outlet', [outside.width - 2 * wall, 'm'], {
        priceKey: 'gutter',
        rule: 'under all feet, between the sides',
        mass: 0.4 * outside.width,
      }),
      bought(prefix, 'gutter-end', 'Gutter ends', [2, 'each'], {
        priceKey: 'gutter-end',
        rule: 'one a side',
        mass: 0.04,
      }),
      ...(parameters.film === 'sealed'
        ? [
            bought(prefix, 'skin', 'Second skin over the film: flattened cans', [cans * strips, 'each'], {
              priceKey: 'can',
              rule: 'one over each',
              mass: cansMass(layout),
            }),
          ]
        : []),
      bought(prefix, 'wire-wool', 'Wire wool, pads', [Math.ceil((skins * cans * strips) / 40), 'each'], {
        priceKey: 'wire-wool',
        rule: 'one for forty cans',
        mass: 0,
      }),
      bought(prefix, 'manifold', `Feed manifold, ${strips} ${strips === 1 ? 'outlet' : 'outlets'}`, [1, 'each'], {
        priceKey: 'feed-manifold',
        rule: 'one outlet a strip',
        mass: 0.3,
      }),
      ...(parameters.wetting === 'dimpled'
        ? [
            bought(prefix, 'gauze', 'Wire mesh, to dimple the cans on', [2 * layout.flat * parameters.height, 'm²'], {
              priceKey: 'gauze',
              rule: 'as large as two flat cans',
              mass: 0,
            }),
          ]
        : []),
      ...screws(prefix, {
        id: 'corner-screws',
        quantity: 8,
        length: screwFrom(wall + bite, batten.tape),
        tape: batten.tape,
        rule: 'through the sides into the ends, two a corner',
      }),
      ...screws(prefix, {
        id: 'back-screws',
        quantity: backRows(layout).reduce(
          (sum, { positions, across }) => sum + positions.length * (1 + (across?.more?.length ?? 0)),
          0,
        ),
        // Not through a bearer: the strips lie close over it.
        length:
          bearers.length > 0
            ? screwUpTo(back.thickness + layout.bearerHeight - 0.002, batten.tape)
            : screwFrom(back.thickness + bite, batten.tape),
        tape: batten.tape,
        rule: 'through the back into sides, battens and bearers, as drilled',
      }),
      ...(bearers.length > 0
        ? screws(prefix, {
            id: 'batten-screws',
            quantity: bearers.length * (strips + 1),
            length: screwFrom(layout.battenHeight + bite / 2, batten.tape),
            tape: batten.tape,
            rule: 'one where a batten crosses a bearer',
          })
        : []),
      bought(
        prefix,
        'dew-screens',
        'Insect screens with staples',
        [evenlyAlong(outside.width - 2 * wall, 0.4, Math.min(0.05, (outside.width - 2 * wall) / 3)).length, 'each'],
        { priceKey: 'weep-screen', rule: 'one a hole at the low edge', mass: 0.002 },
      ),
      ...(glazing.cover
        ? [
            bought(
              prefix,
              'pane-clip',
              'Pane clips with screws, a rubber under each',
              [2 * Math.ceil((outside.length + outside.width) / clipSpacing), 'each'],
              { priceKey: 'pane-clip', rule: `round the cover, every ${sized(clipSpacing)}`, mass: 0.02 },
            ),
          ]
        : []),
      ...glazing.purchases(prefix),
      blackPaint(prefix, area),
      primer(prefix, area),
    ],
  };
}
