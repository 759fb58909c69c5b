import { type Bar, entries, entry, materials, type Sheet, type Timber } from '../../catalogue';
import { type GlazingDesign, glazings } from '../../glazings';
import { type BoltLoad, boltLoad, type HeldSheet, mostPressure } from './bow';
import type { LatticeParameters } from './parameters';

/** Pa to a metre of water. */
export const perMetre = 9789;

/** Where everything is; x runs up the slope from the low edge, y across. */
export interface LatticeLayout {
  parameters: LatticeParameters;
  sheet: Sheet;
  held: HeldSheet;
  glazing: GlazingDesign;
  /** Bolts of the grid and of the edge, x and y. */
  bolts: { x: number; y: number }[];
  rimBolts: { x: number; y: number }[];
  /** m. True bolt to bolt, each way: the grid fills what is inside the rim. */
  grid: { along: number; across: number };
  /** At the low edge, where the head is most, and half way up. */
  atFoot: BoltLoad;
  atMiddle: BoltLoad;
  /** m. Mean between the sheets. */
  gap: number;
  /** m³. */
  volume: number;
  /** m of head that it bears for years. */
  mostHead: number;
  /** m². Wetted. */
  wetted: number;
  coverHeight: number;
  /** x of the bolts of the long rims, and y of those of the grid's rows. */
  lines: { along: number[]; across: number[] };
  /** m. Clearance hole of a bolt, and room over the head or nut of one that stays under a lath. */
  boltHole: number;
  headRoom: number;
  /** Ways in and out, each in the middle of a corner field of the grid. */
  ports: { x: number; y: number }[];
  /** The narrowest flat bar sold that covers the rim, and the widest there is where none does. */
  rimBar: Bar;
  /** What the laths under the cover are ripped from, and how high they stand on the rim bar. */
  lathTimber: Timber;
  lathHeight: number;
  /** Wool behind it; nothing where its back is bare. */
  wool: Sheet | undefined;
  /** m. Lengths of the bolts to buy: of the grid, of the rims, and of those that go through the laths. */
  boltLengths: { grid: number; rim: number; lath: number };
}

/** m. Room round a bolt in its hole: a tenth, and half a millimetre at least (ISO 273, medium, to M10). */
export function clearanceHole(bolt: number): number {
  return bolt + Math.max(0.0005, bolt / 10);
}

/** Times its thread that a head or a nut is across its corners, and a nut is high: ISO 4032, rounded up. */
const acrossCorners = 2;
const nutHigh = 0.9;
/** m. Rubber and steel washer, as in the detail. */
const washers = 0.0025;
/** m. Bolts are sold by this step. */
const boltStep = 0.005;

function boltLength(grip: number, bolt: number): number {
  return Math.ceil((grip + nutHigh * bolt + 0.002) / boltStep - 1e-9) * boltStep;
}

/** The least timber that a lath of a section comes out of, either way round; the stoutest where none does. */
function timberFor(tape: Sheet['tape'], width: number, height: number): Timber {
  const all = entries('timber')
    .filter((one) => one.tape === tape)
    .sort((a, b) => a.width * a.thickness - b.width * b.thickness);
  const holds = (one: Timber) =>
    Math.max(width, height) <= one.width + 1e-9 && Math.min(width, height) <= one.thickness + 1e-9;
  return all.find(holds) ?? (all[all.length - 1] as Timber);
}

export function layOut(parameters: LatticeParameters): LatticeLayout {
  const { length, width, boltPitch, rim, washer, gasket, head } = parameters;
  const sheet = entry('sheet', parameters.sheet);
  const stiffness = materials[sheet.material].stiffness ?? { modulus: 70e9, bears: 40e6 };
  const inside = { along: length - 2 * rim, across: width - 2 * rim };
  const fields = {
    along: Math.max(1, Math.ceil(inside.along / boltPitch - 1e-6)),
    across: Math.max(1, Math.ceil(inside.across / boltPitch - 1e-6)),
  };
  const grid = { along: inside.along / fields.along, across: inside.across / fields.across };
  const held: HeldSheet = {
    modulus: stiffness.modulus,
    thickness: sheet.thickness,
    pitch: Math.max(grid.along, grid.across),
    washer,
    bolt: parameters.bolt,
  };
  const bolts = Array.from({ length: fields.along - 1 }, (_, i) =>
    Array.from({ length: fields.across - 1 }, (__, j) => ({
      x: rim + (i + 1) * grid.along,
      y: rim + (j + 1) * grid.across,
    })),
  ).flat();
  const along = Array.from({ length: fields.along + 1 }, (_, i) => rim + i * grid.along);
  const across = Array.from({ length: fields.across - 1 }, (_, j) => rim + (j + 1) * grid.across);
  const rimBolts = [
    ...along.flatMap((x) => [
      { x, y: rim / 2 },
      { x, y: width - rim / 2 },
    ]),
    ...across.flatMap((y) => [
      { x: rim / 2, y },
      { x: length - rim / 2, y },
    ]),
  ];
  const atFoot = boltLoad(held, head * perMetre);
  const atMiddle = boltLoad(held, Math.max(0.05, head / 2) * perMetre);
  // Each sheet bows by half of its middle on average.
  const gap = gasket + atMiddle.bow;
  const wetted = inside.along * inside.across;
  const glazing = glazings[parameters.cover].open({
    ...glazings[parameters.cover].standard('metric'),
    length,
    width,
    ...(parameters.cover === 'none' ? {} : { bars: Math.min(5, Math.max(1, Math.ceil(length / 0.5) - 1)) }),
  });
  const flats = entries('bar').filter((one) => one.tape === sheet.tape && one.height === one.thickness);
  const rimBar = flats.find((one) => one.width >= rim - 1e-9) ?? (flats[flats.length - 1] as Bar);
  const lathHeight = Math.max(0.001, parameters.airGap - rimBar.thickness);
  const wool =
    parameters.backing === 'foam' ? entry('sheet', sheet.tape === 'metric' ? 'wool-30' : 'wool-1-1_4') : undefined;
  const rimGrip = 2 * (rimBar.thickness + sheet.thickness) + gasket;
  const half = { x: rim + grid.along / 2, y: rim + grid.across / 2 };
  return {
    lines: { along, across },
    boltHole: clearanceHole(parameters.bolt),
    headRoom: acrossCorners * parameters.bolt + 0.003,
    ports: [
      half,
      { x: length - half.x, y: width - half.y },
      { x: half.x, y: width - half.y },
      { x: length - half.x, y: half.y },
    ].slice(0, parameters.ports),
    rimBar,
    lathTimber: timberFor(sheet.tape, rim, lathHeight),
    lathHeight,
    wool,
    boltLengths: {
      grid: boltLength(2 * (sheet.thickness + washers) + gasket, parameters.bolt),
      rim: boltLength(rimGrip, parameters.bolt),
      lath: boltLength(rimGrip + lathHeight, parameters.bolt),
    },
    parameters,
    sheet,
    held,
    glazing,
    bolts,
    rimBolts,
    grid,
    atFoot,
    atMiddle,
    gap,
    volume: wetted * gap,
    mostHead: mostPressure(held, stiffness.bears) / perMetre,
    wetted,
    coverHeight: glazing.cover ? parameters.airGap + glazing.pane.thickness : 0,
  };
}
