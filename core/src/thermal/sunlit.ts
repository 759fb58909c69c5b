/** What of the plate the sun reaches through the opening. */
export interface Sunlit {
  /** m. The hole that lets the sun in: inside the bearing of the pane, or the plate's own edges where nothing stands round it. */
  opening: { length: number; width: number };
  /** m. Outline of the plate under it, middle under middle. */
  plate: { length: number; width: number };
  /** Share of that outline that is plate and not a gap between fins, 0 to 1. */
  coverage: number;
  /** m from the rim of the opening down to the plate. */
  depth: number;
  /** Bars of T section under the pane, across its length: how many, m of the flange under the pane, m that the web hangs down. */
  bars: { count: number; width: number; depth: number };
}

/** Directions of the beam in the plane of the pane that are averaged over, degrees from its length: a quarter stands for all. */
const directions = [11.25, 33.75, 56.25, 78.75].map((angle) => {
  const radians = (angle * Math.PI) / 180;
  return { along: Math.cos(radians), across: Math.sin(radians) };
});

/** m of a strip of plate that a strip of opening of another length lights, shifted by so much. */
function overlap(opening: number, plate: number, shift: number): number {
  return Math.max(0, Math.min(opening / 2 + shift, plate / 2) - Math.max(shift - opening / 2, -plate / 2));
}

/**
 * m² of plate, measured square to the pane, that a beam at an angle reaches: the opening shifted by depth × tan(incidence) laid
 * over the plate, less what the bars take. The beam's direction in the plane of the pane is not known here: an average over all.
 * Derived from the geometry of shadows.
 *
 * @param incidence degrees from square, 0 to 90; nothing is lit from 89.9 on
 */
export function litArea(sunlit: Sunlit, incidence: number): number {
  if (incidence >= 89.9) return 0;
  const { opening, plate, coverage, depth, bars } = sunlit;
  const lean = Math.tan((Math.max(0, incidence) * Math.PI) / 180);
  let sum = 0;
  for (const { along, across } of directions) {
    const length = overlap(opening.length, plate.length, depth * lean * along);
    const width = overlap(opening.width, plate.width, depth * lean * across);
    // The web's shadow shows where it is longer than half of the flange.
    const beyond = Math.max(0, bars.depth * lean * along - bars.width / 2);
    const barred = Math.min(1, (bars.count * (bars.width + beyond)) / opening.length);
    sum += length * width * (1 - barred);
  }
  return (coverage * sum) / directions.length;
}

/** m² that let the sun in, bars off: the aperture of ISO 9488. */
export function openArea({ opening, bars }: Sunlit): number {
  return opening.length * opening.width * (1 - Math.min(1, (bars.count * bars.width) / opening.length));
}
