import { elbowFor, type Tube } from '../../catalogue';
import type { Fitting } from '../../hydraulic';
import type { SerpentineParameters } from './parameters';

/** How one run turns into the next; m. */
export interface Bend {
  /** Fitting that it is to the water, and how many of it a turn has. */
  fitting: Fitting;
  fittings: number;
  /** Straight piece between two elbows, stop to stop; nothing for the other kinds. */
  stub: number | undefined;
  /** Pitch that the fitting sets by itself. */
  fixedPitch: number | undefined;
  /** Narrowest pitch at which it can be made. */
  leastPitch: number;
  /** From the end of a run to the far side of the bend. */
  reach: number;
  /** Tube and fitting that the water passes in one turn. */
  way: number;
  /** From the end of a run to where plate can begin. */
  bare: number;
  /** Soldered joints a turn. */
  joints: number;
  /** Middle of a bend to the stop in its socket. */
  laying: number;
  /** Whether the laying length comes from a dry fit. */
  calibrated: boolean;
}

/** Radius of a bend by hand over a spring, in tube diameters: less kinks. Makers of soft tube. */
const tightest = 4;

/**
 * Turns of a serpentine. Two elbows on a stub stand `2 × laying + stub` apart; an elbow with a street elbow
 * `laying + spigot`. A dry fit solves the laying length: pitch measured less the stub, halved.
 */
export function bendOf(parameters: SerpentineParameters, tube: Tube): Bend {
  const { bend, pitch, bendRadius, dryStub, dryPitch } = parameters;
  const elbow = elbowFor(tube.outerDiameter);
  const calibrated = dryPitch > 0 && dryPitch > dryStub;
  const byStub = calibrated && dryStub > 0;
  const laying = byStub ? (dryPitch - dryStub) / 2 : elbow.laying;
  const outside = elbow.across / 2;
  switch (bend) {
    case 'two-elbows': {
      const stub = pitch - 2 * laying;
      return {
        fitting: 'elbow-90',
        fittings: 2,
        stub,
        fixedPitch: undefined,
        leastPitch: 2 * (laying + elbow.socket),
        reach: laying + outside,
        way: Math.max(0, stub) + 4 * laying,
        bare: -elbow.socket,
        joints: 4,
        laying,
        calibrated: byStub,
      };
    }
    case 'elbow-street': {
      const fixed = calibrated && dryStub === 0 ? dryPitch : elbow.laying + elbow.spigot;
      return {
        fitting: 'elbow-90',
        fittings: 2,
        stub: undefined,
        fixedPitch: fixed,
        leastPitch: fixed,
        reach: laying + outside,
        way: fixed + 2 * laying,
        bare: -elbow.socket,
        joints: 3,
        laying,
        calibrated: calibrated && dryStub === 0,
      };
    }
    case 'formed-u':
      return {
        fitting: 'return-bend',
        fittings: 1,
        stub: undefined,
        fixedPitch: 2 * bendRadius,
        leastPitch: 2 * bendRadius,
        reach: bendRadius + tube.outerDiameter / 2,
        way: Math.PI * bendRadius,
        bare: -elbow.socket,
        joints: 2,
        laying: 0,
        calibrated: true,
      };
    case 'soft-coil': {
      const radius = Math.max(bendRadius, tightest * tube.outerDiameter);
      // A wider pitch has a straight piece between two quarter bends.
      return {
        fitting: 'return-bend',
        fittings: 1,
        stub: undefined,
        fixedPitch: undefined,
        leastPitch: 2 * radius,
        reach: Math.min(radius, pitch / 2) + tube.outerDiameter / 2,
        way: Math.PI * Math.min(radius, pitch / 2) + Math.max(0, pitch - 2 * radius),
        bare: 0,
        joints: 0,
        laying: 0,
        calibrated: true,
      };
    }
    default:
      return bend satisfies never;
  }
}
