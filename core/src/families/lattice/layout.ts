import { entry, materials, type Sheet } from '../../catalogue';
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
  return {
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
