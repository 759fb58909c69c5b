import type { Boundary } from '../contract';
import { lossCurve } from '../curve';
import { annulusAir, annulusLongWave, openCylinderLoss } from '../cylinder';
import { stefan } from '../radiation';
import type { Built } from './build';
import type { HeatPipeDescription } from './description';

/** W/mK by which the loss of a cylinder in the open grows with its surface: air as it is, long wave by its third power. */
function outerSlope(diameter: number, surface: number, air: number, lost: { air: number }): number {
  const apart = surface - air;
  const convection = Math.abs(apart) < 1e-6 ? 0 : lost.air / apart;
  return convection + Math.PI * diameter * 4 * stefan * (surface + 273.15) ** 3;
}

/** What one tube loses. */
export interface TubeLoss {
  /** m across that catch the sun. */
  breadth: number;
  /** W with its wall at a temperature (°C), and °C of its sleeve. */
  at(one: Built, boundary: Boundary, wall: number): { watts: number; sleeve: number };
  /** W by the temperature of the wall: worked out at some, drawn through them. */
  curve(one: Built, boundary: Boundary): (wall: number) => number;
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
  /** W that one tube loses with its wall at a temperature, and the sleeve's own, by a few rounds over what hangs on it. */
  const lossOf = (one: Built, boundary: Boundary, wall: number): { watts: number; sleeve: number } => {
    const { air, surroundings } = boundary;
    const open = (diameter: number, surface: number, emittance: number) =>
      openCylinderLoss({ diameter, surface, air, surroundings, wind: boundary.wind * one.wind, emittance });
    if (!sleeve) {
      const lost = open(round, wall, one.emittance);
      return { watts: (lost.air + lost.longWave) * tube.heated, sleeve: wall };
    }
    let at = (wall + 2 * air) / 3;
    for (let round = 0; round < 40; round += 1) {
      const inner = innerConductance(one, wall, at);
      const outer = open(sleeve.diameter, at, sleeve.emittance);
      // Newton on what comes in less what goes out, each by its own conductance: W/mK.
      const slope = inner + outerSlope(sleeve.diameter, at, air, outer);
      const moved = (inner * (wall - at) - outer.air - outer.longWave) / slope;
      at += moved;
      if (Math.abs(moved) < 1e-6) break;
    }
    return { watts: innerConductance(one, wall, at) * (wall - at) * tube.heated, sleeve: at };
  };
  /** W/mK from the wall to its sleeve, air and long wave together. */
  const innerConductance = (one: Built, wall: number, at: number): number => {
    const across = sleeve?.diameter ?? round;
    const air = annulusAir({ inner: round, outer: across, warm: wall, cold: at });
    const apart = Math.abs(wall - at) < 1e-6 ? 1e-6 : wall - at;
    const longWave = annulusLongWave({
      inner: round,
      outer: across,
      emittance: one.emittance,
      outerEmittance: sleeve?.emittance ?? 1,
      warm: at + apart,
      cold: at,
    });
    return air + longWave / apart;
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
    at: lossOf,
    curve: (one, boundary) => lossCurve(boundary.air, (wall) => lossOf(one, boundary, wall).watts),
    gathered,
  };
}
