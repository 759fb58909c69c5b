import { foot, type Habit, inch } from '../quantity';
import { type MaterialId, materials } from './materials';

/** A planed board, by what it really measures. */
export interface Timber {
  id: string;
  name: string;
  /** m. The wide face: the depth of a box made of it. */
  width: number;
  /** m. */
  thickness: number;
  lengths: readonly number[];
  /** Whose shops sell it. */
  tape: Habit;
  source: string;
}

/** A sheet, board or foil sold by the sheet or the roll. */
export interface Sheet {
  id: string;
  name: string;
  material: MaterialId;
  /** m. */
  thickness: number;
  /** m. As sold. */
  width: number;
  /** m. As sold. */
  height: number;
  use: 'back' | 'plate' | 'insulation' | 'edge';
  /** Whose shops sell it. */
  tape: Habit;
  source: string;
}

function american(nominal: string, thickness: number, width: number): Timber {
  return {
    id: `ps20-${nominal}`,
    name: `${nominal.replace('x', ' × ')} board`,
    width: width * inch,
    thickness: thickness * inch,
    lengths: [8, 10, 12].map((feet) => feet * foot),
    tape: 'imperial',
    source: 'American Softwood Lumber Standard, PS 20: dry, dressed actual size of the nominal size',
  };
}

function metric(width: number, thickness: number): Timber {
  return {
    id: `planed-${width}x${thickness}`,
    name: `${width} × ${thickness} planed board`,
    width: width / 1000,
    thickness: thickness / 1000,
    lengths: [2.4, 3, 3.6, 4.8],
    tape: 'metric',
    source: 'trade: planed sizes as sold; measure yours',
  };
}

export const timbers: readonly Timber[] = [
  metric(90, 19),
  metric(115, 19),
  metric(140, 19),
  metric(185, 19),
  metric(45, 19),
  metric(45, 45),
  metric(90, 45),
  metric(120, 45),
  metric(145, 45),
  american('1x2', 0.75, 1.5),
  american('1x4', 0.75, 3.5),
  american('1x5', 0.75, 4.5),
  american('1x6', 0.75, 5.5),
  american('1x8', 0.75, 7.25),
  american('2x2', 1.5, 1.5),
  american('2x4', 1.5, 3.5),
  american('2x6', 1.5, 5.5),
];

function sheet(
  tape: Habit,
  id: string,
  name: string,
  material: MaterialId,
  use: Sheet['use'],
  thickness: number,
  width: number,
  height: number,
  source: string,
): Sheet {
  return { id, name, material, use, thickness, width, height, tape, source };
}

export const sheets: readonly Sheet[] = [
  sheet('metric', 'ply-9', '9 mm plywood', 'plywood', 'back', 0.009, 1.2, 2.4, 'trade'),
  sheet('metric', 'ply-12', '12 mm plywood', 'plywood', 'back', 0.012, 1.2, 2.4, 'trade'),
  sheet('imperial', 'ply-3_8', '3/8″ plywood', 'plywood', 'back', 0.375 * inch, 4 * foot, 8 * foot, 'trade'),
  sheet('imperial', 'ply-1_2', '1/2″ plywood', 'plywood', 'back', 0.5 * inch, 4 * foot, 8 * foot, 'trade'),
  sheet('metric', 'polyiso-40', '40 mm polyisocyanurate', 'polyiso', 'insulation', 0.04, 1.2, 2.4, 'EN 13165'),
  sheet('metric', 'polyiso-50', '50 mm polyisocyanurate', 'polyiso', 'insulation', 0.05, 1.2, 2.4, 'EN 13165'),
  sheet('metric', 'wool-30', '30 mm mineral wool board', 'mineralWool', 'insulation', 0.03, 0.6, 1.2, 'EN 13162'),
  sheet('metric', 'wool-50', '50 mm mineral wool board', 'mineralWool', 'insulation', 0.05, 0.6, 1.2, 'EN 13162'),
  sheet(
    'imperial',
    'polyiso-1',
    '1″ polyisocyanurate',
    'polyiso',
    'insulation',
    inch,
    4 * foot,
    8 * foot,
    'ASTM C1289',
  ),
  sheet(
    'imperial',
    'polyiso-2',
    '2″ polyisocyanurate',
    'polyiso',
    'insulation',
    2 * inch,
    4 * foot,
    8 * foot,
    'ASTM C1289',
  ),
  sheet(
    'imperial',
    'wool-1-1_4',
    '1-1/4″ mineral wool board',
    'mineralWool',
    'insulation',
    1.25 * inch,
    2 * foot,
    4 * foot,
    'ASTM C612',
  ),
  sheet(
    'imperial',
    'wool-2',
    '2″ mineral wool board',
    'mineralWool',
    'insulation',
    2 * inch,
    2 * foot,
    4 * foot,
    'ASTM C612',
  ),
  sheet('metric', 'copper-0.3', '0.3 mm copper sheet', 'copper', 'plate', 0.0003, 1, 2, 'EN 1172'),
  sheet('metric', 'copper-0.2', '0.2 mm copper sheet', 'copper', 'plate', 0.0002, 1, 2, 'EN 1172'),
  sheet('metric', 'steel-0.7', '0.7 mm galvanised steel sheet', 'steel', 'plate', 0.0007, 1, 2, 'EN 10346, EN 10143'),
  sheet('metric', 'steel-1', '1 mm galvanised steel sheet', 'steel', 'plate', 0.001, 1, 2, 'EN 10346, EN 10143'),
  sheet(
    'imperial',
    'steel-24ga',
    '24 ga galvanised steel sheet',
    'steel',
    'plate',
    0.0276 * inch,
    4 * foot,
    8 * foot,
    'ASTM A653',
  ),
  sheet('metric', 'edge-steel-0.6', '0.6 mm painted steel sheet', 'steel', 'edge', 0.0006, 1.25, 2.5, 'EN 10169'),
  sheet('metric', 'edge-aluminium-0.7', '0.7 mm painted aluminium', 'aluminium', 'edge', 0.0007, 1, 2, 'EN 1396'),
  sheet(
    'imperial',
    'edge-steel-26ga',
    '26 ga painted steel sheet',
    'steel',
    'edge',
    0.0217 * inch,
    4 * foot,
    8 * foot,
    'ASTM A653',
  ),
  sheet('metric', 'aluminium-0.8', '0.8 mm aluminium sheet', 'aluminium', 'plate', 0.0008, 1, 2, 'EN 485-4'),
  sheet('metric', 'aluminium-0.5', '0.5 mm aluminium sheet', 'aluminium', 'plate', 0.0005, 1, 2, 'EN 485-4'),
  sheet(
    'imperial',
    'aluminium-1_32',
    '1/32″ aluminium sheet',
    'aluminium',
    'plate',
    0.032 * inch,
    4 * foot,
    8 * foot,
    'ASTM B209',
  ),
  sheet(
    'imperial',
    'copper-8oz',
    '8 oz copper sheet',
    'copper',
    'plate',
    0.0108 * inch,
    2 * foot,
    8 * foot,
    'ASTM B370',
  ),
  sheet(
    'imperial',
    'copper-16oz',
    '16 oz copper sheet',
    'copper',
    'plate',
    0.0216 * inch,
    3 * foot,
    8 * foot,
    'ASTM B370',
  ),
];

/** A formed aluminium track that clips over a tube, or a fin that a tube lies in. */
export interface Track {
  id: string;
  name: string;
  /** m. Across the tube. */
  width: number;
  /** m. Along the tube. */
  length: number;
  /** m. */
  thickness: number;
  /** Whose shops sell it. */
  tape: Habit;
  source: string;
}

export const tracks: readonly Track[] = [
  {
    id: 'track-100',
    name: 'aluminium track 100 × 1 200',
    width: 0.1,
    length: 1.2,
    thickness: 0.0005,
    tape: 'metric',
    source: 'trade: 0.4 to 0.6 mm formed sheet; weigh yours',
  },
  {
    id: 'track-4',
    name: 'aluminium track 4″ × 4′',
    width: 4 * inch,
    length: 4 * foot,
    thickness: 0.02 * inch,
    tape: 'imperial',
    source: 'trade: 0.016 to 0.024 inch formed sheet; weigh yours',
  },
  {
    id: 'fin-200',
    name: 'aluminium fin 200 × 600',
    width: 0.2,
    length: 0.6,
    thickness: 0.0004,
    tape: 'metric',
    source: 'trade: rolled from 0.35 to 0.5 mm sheet; weigh yours',
  },
  {
    id: 'fin-300',
    name: 'aluminium fin 300 × 600',
    width: 0.3,
    length: 0.6,
    thickness: 0.0004,
    tape: 'metric',
    source: 'trade: rolled from 0.35 to 0.5 mm sheet; weigh yours',
  },
  {
    id: 'fin-12',
    name: 'aluminium fin 12″ × 2′',
    width: 12 * inch,
    length: 2 * foot,
    thickness: 0.016 * inch,
    tape: 'imperial',
    source: 'trade: rolled from 0.014 to 0.02 inch sheet; weigh yours',
  },
];

/** kg. Mass of a piece of sheet. */
export function sheetMass(piece: Sheet, area: number): number {
  return materials[piece.material].density * piece.thickness * area;
}
