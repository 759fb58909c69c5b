import type { AbsorberDesign, TubeRow } from '../../absorbers';
import type { BoxDesign, Exit } from '../../boxes';
import type { Tube } from '../../catalogue';
import type { GlazingDesign } from '../../glazings';
import type { Part } from '../../shop';

/**
 * What every panel of tubes on a plate has, whatever way its water goes. The cold end board's outer face is x = 0, the low side
 * board's outer face y = 0, the underside of the box z = 0; x runs along the tubes.
 */
export interface PlateLayout {
  box: BoxDesign;
  glazing: GlazingDesign;
  /** Tube that the plate lies on. */
  tube: Tube;
  /** y of each run of it, ascending. */
  runs: number[];
  /** m. */
  pitch: number;
  /** x of the plate. */
  plateSpan: { from: number; to: number };
  /** x from where to where metal lies that is thicker than the tubes. */
  thick: { from: number; to: number }[];
  /** m of metal in the sun beyond the plate at each end: a header, the bends. */
  endMetal: number;
  finWidth: number;
  /** Pieces of the plate, as the absorber has them. */
  plates: Part[];
  airGap: number;
  /** z of things. */
  heights: { insulationTop: number; railTop: number; centre: number; plate: number; pane: number };
  railDepth: number;
  /** m. Depth that the stack asks of the board, and what it has. */
  stack: { needed: number; available: number };
  /** m. The thickest metal in the plane of the tubes, and from its top to the pane. */
  thickest: number;
  metalToPane: number;
  exits: Exit[];
  /** m. Metal to end board, inside, at each end. */
  endGap: number;
}

/** The tubes as the absorber sees them. */
export function rowOf(build: { id: string; path: string }, row: Omit<TubeRow, 'prefix' | 'path'>): TubeRow {
  return { prefix: build.id, path: build.path, ...row };
}

/** m between the insulation and the pane: the sides of it lose heat. */
export function hotSpace({ heights }: Pick<PlateLayout, 'heights'>): number {
  return heights.pane - heights.insulationTop;
}

/**
 * From the pane down: the board's top edge fixes the pane, the air gap the plate, and the rails reach up to the tubes, or to the board
 * that they lie on.
 */
export function layStack(query: {
  absorber: AbsorberDesign;
  box: BoxDesign;
  glazing: GlazingDesign;
  airGap: number;
  tube: Tube;
  /** m. Across the thickest metal in the plane of the tubes: a header, a fitting. */
  thickest: number;
}): Pick<PlateLayout, 'heights' | 'railDepth' | 'stack' | 'thickest' | 'metalToPane' | 'airGap'> {
  const { absorber, box, glazing, airGap, tube, thickest } = query;
  const pane = box.paneTop - glazing.pane.thickness;
  const plate = pane - airGap;
  const radius = tube.outerDiameter / 2;
  const centre = absorber.bed ? plate + radius : plate - absorber.thickness - radius;
  const railTop = absorber.bed ? plate - absorber.thickness : centre - radius;
  // The lowest of what lies on the insulation: the thickest metal, or the rails under the board.
  const lowest = Math.min(centre - thickest / 2, railTop);
  const needed = box.back + box.insulation + (pane - lowest) + glazing.pane.thickness;
  return {
    heights: { insulationTop: box.back + box.insulation, railTop, centre, plate, pane },
    railDepth: railTop - box.back,
    stack: { needed, available: box.paneTop },
    thickest,
    metalToPane: pane - centre - thickest / 2,
    airGap,
  };
}
