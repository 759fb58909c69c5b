import { absorptanceAtAngle } from './optics';

/** Round tubes side by side in a plane, as the sun sees them; m. */
export interface RoundTubes {
  diameter: number;
  /** Middle to middle. */
  pitch: number;
}

/** What round tubes do with a beam. */
export interface TubesLit {
  /** Share of the beam on their plane that hits one of them; the rest falls through between. */
  hit: number;
  /** What black paint takes up of that, as a share of what it takes up square on. */
  taken: number;
}

/** Strips of a tube's width that a beam is split into. */
const strips = 24;

/**
 * A beam on round tubes side by side, by its angles from square across the tubes and along them (degrees). Across, a tube catches
 * its diameter of a beam that is p cos t wide from tube to tube, until its neighbour's shadow lies on it: hit = min(1, d / (p cos t)). Each
 * strip of what is lit is met at its own angle, cos i = √(1 − s²) cos ψ, with s its distance from the middle in radii and ψ the lean of the
 * beam along the tube (derived; absorptance by angle as `absorptanceAtAngle`). Light thrown from tube to tube is left out, which errs low by
 * less than a hundredth for black paint.
 */
export function tubesLit({ diameter, pitch }: RoundTubes, transversal: number, longitudinal: number): TubesLit {
  const radians = Math.PI / 180;
  const [t, l] = [Math.min(89.9, Math.abs(transversal)) * radians, Math.min(89.9, Math.abs(longitudinal)) * radians];
  const lean = Math.cos(Math.atan(Math.tan(l) * Math.cos(t)));
  // Share of a tube's width that no neighbour shades, from the side of the sun.
  const lit = Math.min(1, (pitch * Math.cos(t)) / diameter);
  let taken = 0;
  for (let strip = 0; strip < strips; strip += 1) {
    const s = 1 - 2 * lit * ((strip + 0.5) / strips);
    const cosine = Math.sqrt(Math.max(0, 1 - s * s)) * lean;
    taken += absorptanceAtAngle(Math.acos(Math.min(1, cosine)) / radians);
  }
  return { hit: Math.min(1, diameter / (pitch * Math.cos(t))), taken: taken / strips };
}

/** Degrees in the plane over which a beam's direction is averaged, where tubes run every way. */
const azimuths = [11.25, 33.75, 56.25, 78.75];

/** The same for tubes that run every way in their plane, as in a spiral: mean over all directions of a beam at one angle from square. */
export function tubesLitRound(tubes: RoundTubes, incidence: number): TubesLit {
  const tangent = Math.tan((Math.min(89.9, Math.max(0, incidence)) * Math.PI) / 180);
  const degrees = (value: number) => (Math.atan(value) * 180) / Math.PI;
  let hit = 0;
  let kept = 0;
  for (const azimuth of azimuths) {
    const turn = (azimuth * Math.PI) / 180;
    const lit = tubesLit(tubes, degrees(tangent * Math.sin(turn)), degrees(tangent * Math.cos(turn)));
    hit += lit.hit;
    kept += lit.hit * lit.taken;
  }
  return { hit: hit / azimuths.length, taken: hit > 0 ? kept / hit : 0 };
}
