import type { OperatingConditions } from '../contract';
import { lossCurve } from '../curve';
import {
  annulus,
  annulusAir,
  annulusExchange,
  cylinderLongWave,
  cylinderLoss,
  cylinderToAir,
  type OpenCylinder,
  openCylinder,
} from '../cylinder';
import { fourthPower, stefan } from '../radiation';
import type { Built } from './build';
import type { HeatPipeDescription } from './description';

/** W/mK by which the loss of a cylinder in the open grows with its surface: air as it is, long wave by its third power. */
function outerSlope({ diameter, air }: OpenCylinder, surface: number, toAir: number): number {
  const apart = surface - air;
  const convection = Math.abs(apart) < 1e-6 ? 0 : toAir / apart;
  return convection + Math.PI * diameter * 4 * stefan * (surface + 273.15) ** 3;
}

/** What one tube loses. */
export interface TubeLoss {
  /** m across that catch the sun. */
  breadth: number;
  /** °C of its sleeve with its wall at a temperature (°C); of the wall where it has none. */
  sleeve(one: Built, boundary: OperatingConditions, wall: number): number;
  /** W by the temperature of the wall: worked out at some, drawn through them. */
  curve(one: Built, boundary: OperatingConditions): (wall: number) => number;
  /** Share of what a strip gathers that reaches the pipe. */
  gathered(loss: (wall: number) => number, air: number): number;
}

/** The losses of one tube of a description: through its sleeve by air and long wave, off that to air, sky and roof; or off the bare tube. */
export function tubeLoss({ tube, strip, sleeve }: HeatPipeDescription): TubeLoss {
  /** m across that catch the sun, and of a cylinder with as much surface: a strip has two faces. */
  const breadth = strip?.width ?? tube.diameter;
  // One that would not go into its sleeve clashes, and is worked out as if it just did.
  const round = Math.min(
    strip ? (2 * breadth) / Math.PI : tube.diameter,
    0.95 * (sleeve?.diameter ?? Number.POSITIVE_INFINITY),
  );
  const gap = annulus(round, sleeve?.diameter ?? 2 * round);
  /** What is in the open: the sleeve, or the bare tube. */
  const outside = (one: Built, { air, surroundings, wind }: OperatingConditions): OpenCylinder =>
    openCylinder({
      diameter: sleeve?.diameter ?? round,
      air,
      surroundings,
      wind: wind * one.wind,
      emittance: sleeve?.emittance ?? one.emittance,
    });
  /** °C of the sleeve with the wall of the tube at a temperature, by a few rounds over what hangs on it. */
  const sleeveAt = (one: Built, open: OpenCylinder, wall: number): number => {
    let at = (wall + 2 * open.air) / 3;
    for (let pass = 0; pass < 40; pass += 1) {
      const inner = innerConductance(one, wall, at);
      const toAir = cylinderToAir(open, at);
      // Newton on what comes in less what goes out, each by its own conductance: W/mK.
      const slope = inner + outerSlope(open, at, toAir);
      const moved = (inner * (wall - at) - toAir - cylinderLongWave(open, at)) / slope;
      at += moved;
      if (Math.abs(moved) < 1e-6) break;
    }
    return at;
  };
  /** W that one tube loses with its wall at a temperature. */
  const lost = (one: Built, open: OpenCylinder, wall: number): number => {
    if (!sleeve) return cylinderLoss(open, wall) * tube.heated;
    const at = sleeveAt(one, open, wall);
    return innerConductance(one, wall, at) * (wall - at) * tube.heated;
  };
  /** W/mK from the wall to its sleeve, air and long wave together. */
  const innerConductance = (one: Built, wall: number, at: number): number => {
    const apart = Math.abs(wall - at) < 1e-6 ? 1e-6 : wall - at;
    const longWave =
      annulusExchange(gap, one.emittance, sleeve?.emittance ?? 1) *
      stefan *
      (fourthPower(at + apart) - fourthPower(at));
    return annulusAir(gap, wall, at) + longWave / apart;
  };
  /**
   * Share of what a strip gathers that reaches the pipe: F of a fin on either side of it, tanh(mL) / mL, with the loss of a rise of 40 K
   * (D&B 6.5). 1 for a bare pipe.
   */
  const gathered = (loss: (wall: number) => number, air: number): number => {
    if (!strip) return 1;
    const coefficient = (loss(air + 40) - loss(air)) / 40 / (breadth * tube.heated);
    const reach = (strip.width - tube.diameter) / 2;
    const m = Math.sqrt(Math.max(0.01, coefficient) / strip.conductance) * reach;
    return (tube.diameter + 2 * reach * (Math.tanh(m) / m)) / strip.width;
  };
  return {
    breadth,
    sleeve: (one, boundary, wall) => (sleeve ? sleeveAt(one, outside(one, boundary), wall) : wall),
    curve: (one, boundary) => {
      const open = outside(one, boundary);
      return lossCurve(boundary.air, (wall) => lost(one, open, wall));
    },
    gathered,
  };
}
