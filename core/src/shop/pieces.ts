import { type Bar, barMass, materials, type Sheet, sheetMass, type Timber, type Tube } from '../catalogue';
import type { HoleSchedule, PairCut, Part, RippedEdge, Section } from './part';
import { tubeMass } from './stock';

/** What any piece may have beside its size. */
type Work = Pick<Part, 'count'> &
  Partial<Pick<Part, 'operations' | 'holes' | 'recesses' | 'ends' | 'bends' | 'datum' | 'slack'>>;

/** Work without the lists that are empty. */
function workOf(id: string, name: string, { operations = [], holes = [], recesses = [], ends = [], ...rest }: Work) {
  return {
    ...rest,
    id,
    name,
    operations,
    ...(holes.length > 0 ? { holes } : {}),
    ...(recesses.length > 0 ? { recesses } : {}),
    ...(ends.length > 0 ? { ends } : {}),
  };
}

/** A piece of timber, weighed by its finished section. `role` is its id without the prefix. */
export function timberPiece(
  prefix: string,
  timber: Timber,
  role: string,
  name: string,
  one: Work & { length: number; section?: Section; ripped?: RippedEdge },
): Part & { kind: 'length' } {
  const { width, thickness } = one.section ?? timber;
  const { length, section, ripped, ...work } = one;
  return {
    ...workOf(`${prefix}/${role}`, name, work),
    item: timber.id,
    kind: 'length',
    stuff: 'timber',
    length,
    ...(section ? { section } : {}),
    ...(ripped ? { ripped } : {}),
    mass: length * width * thickness * materials.softwood.density,
  };
}

/** A piece of tube. */
export function tubePiece(
  prefix: string,
  tube: Tube,
  role: string,
  name: string,
  one: Work & { length: number },
): Part & { kind: 'length' } {
  const { length, ...work } = one;
  return {
    ...workOf(`${prefix}/${role}`, name, work),
    item: tube.id,
    kind: 'length',
    stuff: 'tube',
    length,
    mass: tubeMass(tube) * length,
  };
}

/** A piece of drawn bar. */
export function barPiece(
  prefix: string,
  bar: Bar,
  role: string,
  name: string,
  one: Work & { length: number },
): Part & { kind: 'length' } {
  const { length, ...work } = one;
  return {
    ...workOf(`${prefix}/${role}`, name, work),
    item: bar.id,
    kind: 'length',
    stuff: 'bar',
    length,
    mass: length * barMass(bar),
  };
}

/** A piece of sheet; it may be turned on the sheet that it is cut from. */
export function sheetPiece(
  prefix: string,
  sheet: Sheet,
  role: string,
  name: string,
  one: Work & { width: number; height: number; pair?: PairCut },
): Part & { kind: 'sheet' } {
  const { width, height, pair, ...work } = one;
  return {
    ...workOf(`${prefix}/${role}`, name, work),
    item: sheet.id,
    kind: 'sheet',
    width,
    height,
    turn: true,
    ...(pair ? { pair } : {}),
    mass: sheetMass(sheet, width * height),
  };
}

/** A row of holes, its middle half-way between the first and the last. A pilot of 3 mm where nothing else is said. */
export function holeRow(
  datum: string,
  positions: readonly number[],
  more: Pick<HoleSchedule, 'diameter' | 'where'> & Partial<HoleSchedule>,
): HoleSchedule {
  const middle = ((positions[0] ?? 0) + (positions[positions.length - 1] ?? 0)) / 2;
  return { datum, middle, positions, pilot: 0.003, ...more };
}

/** m along a piece, evenly, `inset` from both ends and no further apart than `spacing`; the middle one where it is too short for two. */
export function evenlyAlong(length: number, spacing: number, inset: number): number[] {
  const span = length - 2 * inset;
  if (span <= 0) return [length / 2];
  const fields = Math.max(1, Math.ceil(span / spacing - 1e-9));
  return Array.from({ length: fields + 1 }, (_, index) => inset + (span * index) / fields);
}
