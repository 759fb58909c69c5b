import * as z from 'zod';
import {
  choiceField,
  countField,
  defineMember,
  entry,
  entryField,
  lengthField,
  materials,
  type Range,
  range,
} from '../catalogue';
import type { Part } from '../shop';
import type { BoxDesign, BoxMember } from './box';

/** m. Rebate along the bottom inner edge that the back lies in. */
const backLedge = 0.007;
/** W/m²K. Still air inside a warm cavity and sheltered air outside: ISO 6946 surface values, rounded. */
const inner = 8;
const outer = 15;
/** Conductivity as built, times the book value: gaps and squeezing; damp through a leaking lid or wet timber. */
const asBuilt: Record<'dry' | 'damp', Range> = {
  dry: range(1.1, 1.2, 1.3, 'judgement'),
  damp: range(1.3, 1.6, 2, 'judgement'),
};
/** m between screws along the rim. */
const screwSpacing = 0.15;

/** Board sides with a rebated sheet back and cross rails that carry the absorber. */
export const rebatedTimber = defineMember({
  id: 'rebated-timber',
  name: 'Rebated timber',
  meaning: 'Board sides, the back sheet let into a rebate below, the pane bedded in a rebate above.',
  schema: z.strictObject({
    board: entryField(
      'timber',
      'planed-115x19',
      'Side board',
      'Board that the sides are made of.',
      (id) => entry('timber', id).width > 0.06,
    ),
    back: entryField(
      'sheet',
      'ply-9',
      'Back',
      'Sheet that closes the back.',
      (id) => entry('sheet', id).use === 'back',
    ),
    insulation: entryField(
      'sheet',
      'wool-50',
      'Insulation',
      'Board behind the absorber.',
      (id) => entry('sheet', id).use === 'insulation',
    ),
    state: choiceField(
      { dry: 'dry', damp: 'damp' },
      'dry',
      'Insulation is',
      'Dry behind a tight lid, or laden with moisture.',
    ),
    rails: countField(0, 8, 3, 'Rails', 'Cross rails that carry the absorber.'),
    ledge: lengthField(0.004, 0.015, 0.01, 'Bearing', 'Ledge that the pane bears on, all round.'),
    cleat: lengthField(0, 0.045, 0.02, 'Corner cleat', 'Square cleat screwed into each corner; nought for none.'),
  }),
  standard: (habit) =>
    habit === 'metric'
      ? {
          board: 'planed-115x19',
          back: 'ply-9',
          insulation: 'wool-50',
          state: 'dry' as const,
          rails: 3,
          ledge: 0.01,
          cleat: 0.02,
        }
      : {
          board: 'ps20-1x6',
          back: 'ply-3_8',
          insulation: 'wool-2',
          state: 'dry' as const,
          rails: 3,
          ledge: (3 / 8) * 0.0254,
          cleat: 0.75 * 0.0254,
        },
  design: (parameters): BoxMember => {
    const board = entry('timber', parameters.board);
    const backSheet = entry('sheet', parameters.back);
    const wool = entry('sheet', parameters.insulation);
    const { rails: railCount, ledge, cleat } = parameters;
    const wall = board.thickness;
    return {
      paneToOutside: (glazing) => 2 * (glazing.clearance - ledge + wall),
      around: (glazing): BoxDesign => {
        const insideOf = (pane: number) => pane + 2 * (glazing.clearance - ledge);
        const inside = { length: insideOf(glazing.pane.length), width: insideOf(glazing.pane.width) };
        const outside = { length: inside.length + 2 * wall, width: inside.width + 2 * wall };
        const bay = (inside.length - railCount * wall) / (railCount + 1);
        const perimeter = 2 * (inside.length + inside.width);
        const rails = Array.from({ length: railCount }, (_, index) => (index + 1) * (bay + wall) - wall / 2);
        const density = materials.softwood.density;
        const boardMass = (length: number, width = board.width) => length * width * wall * density;
        const backArea = (inside.length + 2 * backLedge) * (inside.width + 2 * backLedge);
        const insulationArea = bay * (railCount + 1) * inside.width;
        const insulationMass = insulationArea * wool.thickness * materials[wool.material].density;
        const backMass = backArea * backSheet.thickness * materials[backSheet.material].density;
        const insulationValue = materials[wool.material];
        return {
          name: `${board.name}, ${backSheet.name} back, ${wool.name}`,
          inside,
          outside,
          wall,
          depth: board.width,
          back: backSheet.thickness,
          insulation: wool.thickness,
          cleat,
          cornerScrews: [0.3, 0.7].flatMap((share) =>
            [1, -1].map((end) => {
              const inset = cleat > 0 ? wall + cleat / 2 : wall / 2;
              return { along: end > 0 ? inset : outside.length - inset, up: board.width * share };
            }),
          ),
          rails,
          backStack: {
            layers: [
              { name: wool.name, thickness: wool.thickness, conductivity: insulationValue.conductivity },
              {
                name: backSheet.name,
                thickness: backSheet.thickness,
                conductivity: materials[backSheet.material].conductivity,
              },
            ],
            outside: outer,
          },
          backFactor: asBuilt[parameters.state],
          rim: (height) => ({
            area: perimeter * Math.max(0, height),
            layers: [{ name: board.name, thickness: wall, conductivity: materials.softwood.conductivity }],
            inside: inner,
            outside: outer,
          }),
          limits: {
            insulation: { name: wool.name, limit: insulationValue.serviceLimit },
            back: { name: backSheet.name, limit: materials[backSheet.material].serviceLimit },
            side: { name: board.name, limit: materials.softwood.serviceLimit },
          },
          mass: (railDepth) =>
            boardMass(2 * outside.length + 2 * inside.width) +
            boardMass(railCount * inside.width, railDepth) +
            4 * cleat ** 2 * (board.width - backSheet.thickness - glazing.seatDepth) * density +
            backMass +
            insulationMass,
          parts: ({ prefix, railDepth, exits }) => {
            const side = (which: 'low' | 'high'): Part => {
              const holes = exits.filter((exit) => exit.side === which).sort((a, b) => a.along - b.along);
              const first = holes[0];
              return {
                id: `${prefix}/side-${which}`,
                name: which === 'low' ? 'Side board, low' : 'Side board, high',
                item: board.id,
                kind: 'length',
                stuff: 'timber',
                length: outside.length,
                count: 1,
                operations: ['rebate the top inner edge for the pane', 'rebate the bottom inner edge for the back'],
                mass: boardMass(outside.length),
                ...(first
                  ? {
                      holes: {
                        datum: 'cold end',
                        middle: outside.length / 2,
                        positions: holes.map((hole) => hole.along),
                        diameter: first.diameter,
                        pilot: 0.003,
                        where: 'through the board, for the header',
                        across: { from: 'bottom edge', distance: first.up },
                      },
                    }
                  : {}),
              };
            };
            const end = (which: 'cold' | 'hot'): Part => {
              const holes = exits.filter((exit) => exit.side === which).sort((a, b) => a.along - b.along);
              const first = holes[0];
              return {
                id: `${prefix}/end-${which}`,
                name: which === 'cold' ? 'End board, low end' : 'End board, high end',
                item: board.id,
                kind: 'length',
                stuff: 'timber',
                length: inside.width,
                count: 1,
                operations: ['rebate the top inner edge for the pane', 'rebate the bottom inner edge for the back'],
                mass: boardMass(inside.width),
                ...(first
                  ? {
                      holes: {
                        datum: 'low side',
                        middle: inside.width / 2,
                        positions: holes.map((hole) => hole.along - wall),
                        diameter: first.diameter,
                        pilot: 0.003,
                        where: 'through the board, for the tube',
                        across: { from: 'bottom edge', distance: first.up },
                      },
                    }
                  : {}),
              };
            };
            const ends: Part[] = exits.some((exit) => exit.side === 'cold' || exit.side === 'hot')
              ? [end('cold'), end('hot')]
              : [{ ...end('cold'), id: `${prefix}/end`, name: 'End board', count: 2 }];
            const rail: Part = {
              id: `${prefix}/rail`,
              name: 'Cross rail',
              item: board.id,
              kind: 'length',
              stuff: 'timber',
              length: inside.width,
              count: railCount,
              operations: [`rip to depth`],
              mass: boardMass(inside.width, railDepth),
            };
            const back: Part = {
              id: `${prefix}/back`,
              name: 'Back',
              item: backSheet.id,
              kind: 'sheet',
              width: inside.length + 2 * backLedge,
              height: inside.width + 2 * backLedge,
              turn: true,
              count: 1,
              operations: [],
              mass: backMass,
            };
            // Boards of wool are smaller than a bay: pieces side by side, as few as will do.
            const across = Math.ceil(inside.width / Math.max(wool.width, wool.height) - 1e-9);
            const along = Math.ceil(bay / Math.min(wool.width, wool.height) - 1e-9);
            const fill: Part = {
              id: `${prefix}/insulation`,
              name: 'Insulation',
              item: wool.id,
              kind: 'sheet',
              width: bay / along,
              height: inside.width / across,
              turn: true,
              count: (railCount + 1) * across * along,
              operations: [],
              mass: insulationMass / ((railCount + 1) * across * along),
            };
            return [side('low'), side('high'), ...ends, ...(railCount > 0 ? [rail] : []), back, fill];
          },
          purchases: (prefix) => {
            const screws = 8 + railCount * 4 + Math.ceil((2 * (outside.length + outside.width)) / screwSpacing);
            return [
              {
                id: `${prefix}/screws`,
                name: 'Stainless screws 4 × 40',
                quantity: screws,
                unit: 'each',
                priceKey: 'screw',
                rule: 'two a corner, four a rail, every 150 mm round the back',
                mass: 0.004 * screws,
              },
              {
                id: `${prefix}/box-paint`,
                name: 'Exterior paint',
                quantity: (2 * (outside.length + outside.width) * board.width * 2 * 2) / 10,
                unit: 'L',
                priceKey: 'paint',
                rule: 'two coats inside and out, 10 m² to the litre',
                mass: 0.2,
              },
            ];
          },
        };
      },
    };
  },
});
