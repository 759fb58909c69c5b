import { bore, entry, type Sheet, type Tee, type Timber, type Tube, teeFor } from '../../catalogue';
import { fluidState } from '../../thermal';
import type { HeatPipeParameters } from './parameters';

/** m of bare pipe below the sleeves and above them, where the rails hold it. */
const bare = 0.06;
/** m. Rails beyond the outer pipes, and manifold beyond its outer tees. */
const beside = 0.07;
const stub = 0.12;
/** m. A plug that closes the tip flush, so that it goes through its tee; and its room in the bore, for the braze. */
export const plugLength = 0.01;
const plugRoom = 0.0002;
/** m. Highest keeper, the part of a rail over the middle of its holes: screws go through it. */
const keeperHeight = 0.05;
/** m. A pipe in its hole in a rail. */
const holeRoom = 0.001;
/** °C at which a fill is weighed. */
const weighedAt = 20;

/** Where everything is; x runs up the slope from the feet of the pipes, y across from one end of the rails. */
export interface HeatPipeLayout {
  parameters: HeatPipeParameters;
  tube: Tube;
  manifold: Tube;
  tee: Tee;
  /** m. Bore as the fill tells it, else as drawn. */
  bore: number;
  /** m³ inside one pipe, and kg of water that stays in it. */
  volume: number;
  charge: number;
  sleeved: boolean;
  /** m. Sleeve, or bare length in the sun, and from where to where. */
  heated: number;
  sun: { from: number; to: number };
  /** Black strip on each pipe: m across as it lies, m of sheet before it is folded round. */
  strip: { width: number; flat: number; sheet: Sheet } | undefined;
  /** m. One pipe, foot to tip. */
  length: number;
  /** x of the manifold's middle. */
  axis: number;
  /** y of each pipe. */
  places: number[];
  /** m. Rails, and x of their middles; height of the holes over their lower edge; the hole. */
  width: number;
  rails: { low: number; high: number };
  rail: Timber;
  stile: Timber;
  hole: { up: number; diameter: number };
  /** m. Across a plug. */
  plug: number;
  /** y of the middle of each stile. */
  stiles: { low: number; high: number };
  /** m. Manifold pieces between tees, stop to stop, and the two at its ends. */
  piece: number;
  end: number;
  manifoldLength: number;
  /** m³ of water in the manifold. */
  water: number;
  outside: { length: number; width: number; depth: number };
}

export function layOut(parameters: HeatPipeParameters): HeatPipeLayout {
  const { tubes, bottles, bottleHeight, lap, pitch, immersion } = parameters;
  const tube = entry('tube', parameters.tube);
  const manifold = entry('tube', parameters.manifold);
  const tee = teeFor(manifold.outerDiameter, tube.outerDiameter);
  const heated = bottles * (bottleHeight - lap) + lap;
  const reach = tee.branchLaying + tee.branchSocket;
  const sun = { from: bare, to: bare + heated };
  const axis = sun.to + bare + reach;
  const length = axis - bore(manifold) / 2 + immersion;
  const drawnBore = bore(tube);
  // A brimful weighs what it holds: V = m / ρ, d = √(4 V / π L).
  const measured = parameters.fill > 0 ? parameters.fill / fluidState('water', weighedAt).density : undefined;
  const volume = measured ?? (Math.PI / 4) * drawnBore ** 2 * length;
  const rail = entry('timber', parameters.rail);
  const stile = entry('timber', parameters.stile);
  const width = (tubes - 1) * pitch + 2 * beside;
  const span = bore(manifold);
  const manifoldLength = (tubes - 1) * pitch + 2 * (stub + tee.runLaying);
  return {
    parameters,
    tube,
    manifold,
    tee,
    // A fill that no such pipe could hold is told as a finding: the wall stays a wall.
    bore: Math.min(tube.outerDiameter - 0.0002, Math.max(0.002, Math.sqrt((4 * volume) / (Math.PI * length)))),
    volume,
    charge: (parameters.charge / 100) * volume * fluidState('water', weighedAt).density,
    sleeved: parameters.sleeve === 'bottles',
    heated,
    sun,
    strip:
      parameters.strip > tube.outerDiameter
        ? {
            width: parameters.strip,
            // Half round the pipe in the place of straight across it.
            flat: parameters.strip + (Math.PI / 2 - 1) * tube.outerDiameter,
            sheet: entry('sheet', parameters.stripSheet),
          }
        : undefined,
    length,
    axis,
    places: Array.from({ length: tubes }, (_, index) => beside + index * pitch),
    width,
    rails: { low: bare / 2, high: sun.to + bare / 2 },
    rail,
    stile,
    hole: { up: Math.max(rail.width / 2, rail.width - keeperHeight), diameter: tube.outerDiameter + holeRoom },
    plug: drawnBore - plugRoom,
    stiles: { low: stile.width / 2, high: width - stile.width / 2 },
    piece: pitch - 2 * tee.runLaying,
    end: stub,
    manifoldLength,
    water: Math.max(
      1e-5,
      (Math.PI / 4) * span ** 2 * manifoldLength -
        tubes * (Math.PI / 4) * tube.outerDiameter ** 2 * Math.min(immersion, span),
    ),
    outside: {
      length: axis + manifold.outerDiameter / 2 + parameters.lagging,
      width: Math.max(width, manifoldLength),
      depth: stile.thickness + rail.width,
    },
  };
}
