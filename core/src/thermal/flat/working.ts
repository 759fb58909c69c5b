import type { OperatingConditions } from '../contract';
import { heatRemovalFactor } from '../fin';
import { fluidState } from '../fluids';
import { NotConverged } from '../notConverged';
import { risingRoot } from '../root';
import { type Built, type LossesAt, opticalShare } from './build';
import type { FlatDescription } from './description';

/** How the heat of a flat absorber reaches its water, at a loss coefficient: what plate, sheet and film differ by. */
export interface Transferred {
  /** F, fin efficiency; 1 where all of the absorber is wet. */
  finEfficiency: number;
  /** F', collector efficiency factor. */
  efficiencyFactor: number;
  /** F_R, heat removal factor. */
  heatRemovalFactor: number;
  /** W/m²K between metal and water. */
  filmCoefficient: number;
  reynolds: number;
}

/**
 * F_R, and all of it, of an absorber that gives its heat where it gathers it or by a factor F' of its own.
 *
 * @param query.area m² of absorber
 */
export function transferredBy(query: {
  finEfficiency?: number;
  efficiencyFactor: number;
  film: { coefficient: number; reynolds: number };
  massFlow: number;
  heatCapacity: number;
  area: number;
  lossCoefficient: number;
}): Transferred {
  const { finEfficiency = 1, efficiencyFactor, film, ...rest } = query;
  return {
    finEfficiency,
    efficiencyFactor,
    heatRemovalFactor: heatRemovalFactor({ ...rest, efficiencyFactor }),
    filmCoefficient: film.coefficient,
    reynolds: film.reynolds,
  };
}

/** What a transfer is asked. */
export interface TransferQuery {
  /** W/m²K (U_L). */
  lossCoefficient: number;
  /** W into the water. */
  heat: number;
  /** °C, mean of the water. */
  mean: number;
  /** J/kgK of the water there (c_f). */
  heatCapacity: number;
}

/** One steady state of a flat absorber. SI; W for the whole heater where it says heat. */
export interface FlatState extends Transferred {
  usefulHeat: number;
  outletTemperature: number;
  gain: number;
  /** On aperture. */
  efficiency: number;
  /** °C, mean. */
  plateTemperature: number;
  /** (τα)e on aperture, of all the sun. */
  opticalShare: number;
  /** W that the absorber keeps of the sun. */
  absorbed: number;
  /** W/m²K of absorber (U_L). */
  lossCoefficient: number;
  /** W/m² of absorber that leaves when it stands at air temperature: the sky takes it. */
  lossAtAir: number;
  /** Heat by where it went, W: they add up to the sun on the aperture. */
  paths: { water: number; optical: number; top: number; back: number; edge: number };
}

/** W/m². In less sun an efficiency says nothing. */
const darkest = 0.001;

/** K. Nearer to the air than this the loss is taken by its slopes to either side, so that nothing is divided by zero. */
const near = 0.5;

/**
 * W/m²K. Slope of the loss from the air to the absorber. Near the air it goes over from the slope on one side to that on the other
 * without a jump: at a jump there may be no working point to settle at.
 */
function slopeFromAir(
  total: (plate: number) => number,
  air: number,
  atAir: number,
  plate: number,
  lost: number,
): number {
  const rise = plate - air;
  if (Math.abs(rise) > near) return (lost - atAir) / rise;
  const above = (total(air + near) - atAir) / near;
  const below = (atAir - total(air - near)) / near;
  const share = (rise + near) / (2 * near);
  return below + (above - below) * share;
}

/**
 * Steady state of a flat absorber with water running through. Hottel, Whillier and Bliss as in D&B chapter 6, the loss taken straight
 * through the working point: Q_u = A_c F_R [S − q(ϑa) − U_L (ϑin − ϑa)]. The mean temperature of the absorber is the root of "absorbed
 * less lost is what the water takes"; it always lies between the inlet and the temperature at rest, so that no state is hotter than
 * stagnation. Throws NotConverged never in range.
 *
 * @param boundary with a flow above `leastFlow`
 * @param lost what the absorber loses there
 * @param transfer F, F', F_R and the film at a loss coefficient
 */
export function workingState<D extends FlatDescription>(
  built: Built<D>,
  boundary: OperatingConditions,
  lost: LossesAt,
  transfer: (query: TransferQuery) => Transferred,
): FlatState {
  const { absorberArea, apertureArea } = built.description;
  const sun = boundary.irradiance * built.sun;
  const optical = opticalShare(built, boundary);
  const absorbed = (optical * sun * apertureArea) / absorberArea;
  const { total } = lost;
  // With a sky colder than the air, heat leaves an absorber at air temperature: the line starts there and not at zero.
  const atAir = total(boundary.air);
  const chainFor = (plate: number, loss: number) => {
    const lossCoefficient = Math.max(0.05, slopeFromAir(total, boundary.air, atAir, plate, loss));
    const guess = absorberArea * (absorbed - loss);
    // The water never leaves the span between its inlet and the absorber's hottest: at a trickle the quotient alone would.
    const rise = guess / Math.max(1e-9, 2 * boundary.massFlow * 4190);
    const span = Math.abs(plate - boundary.inlet);
    const mean = boundary.inlet + Math.min(span, Math.max(-span, rise));
    const { heatCapacity } = fluidState(boundary.fluid ?? 'water', mean);
    const transferred = transfer({ lossCoefficient, heat: guess, mean, heatCapacity });
    const driving = absorbed - atAir - lossCoefficient * (boundary.inlet - boundary.air);
    return {
      transferred,
      heatCapacity,
      lossCoefficient,
      heat: absorberArea * transferred.heatRemovalFactor * driving,
    };
  };
  // What the water takes less what is left for it: rising with the absorber, zero at the working point.
  const excess = (plate: number) => {
    const loss = total(plate);
    return chainFor(plate, loss).heat / absorberArea - (absorbed - loss);
  };
  const plate = workingPoint(excess, boundary.inlet);
  const parts = lost.byWay(plate);
  const { transferred, heatCapacity, lossCoefficient, heat } = chainFor(plate, parts.top + parts.back + parts.edge);
  const gain = heat / (boundary.massFlow * heatCapacity);
  const top = parts.top * absorberArea;
  const back = parts.back * absorberArea;
  const edge = parts.edge * absorberArea;
  return {
    ...transferred,
    usefulHeat: heat,
    gain,
    outletTemperature: boundary.inlet + gain,
    efficiency: sun > darkest ? heat / (sun * apertureArea) : 0,
    plateTemperature: plate,
    opticalShare: optical,
    absorbed: absorbed * absorberArea,
    lossCoefficient,
    lossAtAir: atAir,
    paths: { water: heat, optical: sun * apertureArea - absorbed * absorberArea, top, back, edge },
  };
}

/**
 * °C. Where a function of the absorber's temperature that rises passes zero, looked for from the inlet outward: it is below zero at
 * the inlet when the absorber at rest would be warmer, and above when it would be colder.
 */
function workingPoint(excess: (plate: number) => number, inlet: number): number {
  const first = excess(inlet);
  if (first === 0) return inlet;
  const way = first < 0 ? 1 : -1;
  let close = inlet;
  for (let reach = 10; reach <= 1000; reach *= 2.5) {
    const far = inlet + way * Math.min(reach, way > 0 ? 600 : inlet + 200);
    if (excess(far) * way >= 0) return risingRoot(excess, Math.min(close, far), Math.max(close, far), 1e-7);
    close = far;
  }
  throw new NotConverged('workingState', 6, close);
}

/** °C. The absorber at rest with so much sun kept (W/m²): dry in full sun, or under the night sky without any. */
export function restTemperature(absorbed: number, { air }: OperatingConditions, { total }: LossesAt): number {
  // The loss only rises with the absorber, so there is one answer.
  return risingRoot((plate) => total(plate) - absorbed, air - 60, air + 500, 1e-4);
}
