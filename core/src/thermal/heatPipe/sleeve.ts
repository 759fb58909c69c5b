import { hemisphereMean } from '../hemisphere';
import { absorptanceAtAngle, type CoverSheet, coverOptics } from '../optics';

/** Strips of the tube's breadth that a beam is split into. */
const strips = 160;

/** Transmittance of a wall by the cosine of incidence, at even steps: asked for by every strip of every beam. */
const walls = new WeakMap<readonly CoverSheet[], Float64Array>();
const wallSteps = 256;

function wallAt(sheets: readonly CoverSheet[], cosine: number): number {
  let table = walls.get(sheets);
  if (!table) {
    table = Float64Array.from({ length: wallSteps + 1 }, (_, index) => {
      const incidence = (Math.acos(index / wallSteps) * 180) / Math.PI;
      return coverOptics({ covers: sheets, incidence }).transmittance;
    });
    walls.set(sheets, table);
  }
  const at = Math.min(wallSteps - 1e-9, Math.max(0, cosine * wallSteps));
  const low = Math.floor(at);
  return (table[low] ?? 0) + ((table[low + 1] ?? 0) - (table[low] ?? 0)) * (at - low);
}

/** What stands in a sleeve or bare, and catches the sun. */
export interface SleevedAbsorber {
  /** m. Of the pipe. */
  diameter: number;
  /** m across, where it has a flat strip. */
  strip?: number;
  pitch: number;
  absorptance: number;
  /** m, and what light passes in its wall. */
  sleeve?: { diameter: number; sheets: readonly CoverSheet[] };
}

/**
 * Share of a beam on the plane of the pipes that they keep, on their own breadth (the strip's where there is one), by its angles across them
 * and along them (degrees). A ray that hits s half-breadths from the middle, o = s d / 2 off it square to the beam (s W / 2 cos t for a strip),
 * meets the sleeve at sin i = 2 o / D in the section and leans along by ψ: its angle on the sleeve is acos(cos i cos ψ), on a pipe
 * acos(√(1 − s²) cos ψ), on a strip acos(cos t cos ψ) (derived). Neighbours shade a pipe from where p cos t falls under d; where a ray
 * passes a neighbour's sleeve it is dimmed twice more.
 */
export function sleevedAcceptance(
  { diameter, strip, pitch, absorptance, sleeve }: SleevedAbsorber,
  transversal: number,
  longitudinal: number,
): number {
  const radians = Math.PI / 180;
  const [t, l] = [Math.min(89.5, Math.abs(transversal)) * radians, Math.min(89.5, Math.abs(longitudinal)) * radians];
  const lean = Math.cos(Math.atan(Math.tan(l) * Math.cos(t)));
  // From pipe to pipe, square to the beam in the section.
  const apart = pitch * Math.cos(t);
  const lit = strip === undefined ? Math.min(1, apart / diameter) : 1;
  const through = (offset: number): number => {
    if (!sleeve) return 1;
    const cosine = Math.sqrt(Math.max(0, 1 - ((2 * offset) / sleeve.diameter) ** 2)) * lean;
    return wallAt(sleeve.sheets, cosine);
  };
  let kept = 0;
  for (let index = 0; index < strips; index += 1) {
    const s = 1 - 2 * lit * ((index + 0.5) / strips);
    const offset = strip === undefined ? (s * diameter) / 2 : ((s * strip) / 2) * Math.cos(t);
    const cosine = (strip === undefined ? Math.sqrt(Math.max(0, 1 - s * s)) : Math.cos(t)) * lean;
    let light = absorptanceAtAngle(Math.acos(Math.min(1, cosine)) / radians);
    if (sleeve) {
      light *= through(offset);
      // How far past the middle of the neighbour on the sun's side the ray goes.
      const past = Math.abs(apart - offset);
      if (past < sleeve.diameter / 2) light *= through(past) ** 2;
    }
    kept += light;
  }
  const hit = strip === undefined ? Math.min(1 / Math.cos(t), pitch / diameter) : 1;
  return (absorptance * hit * kept) / strips;
}

/** The same for light from all of the half of the world before the plane. */
export function sleevedDiffuse(query: SleevedAbsorber): number {
  return hemisphereMean((transversal, longitudinal) => sleevedAcceptance(query, transversal, longitudinal), {
    rings: 9,
    ways: 8,
  });
}
