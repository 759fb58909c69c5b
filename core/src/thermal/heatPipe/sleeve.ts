import { hemisphereDirections } from '../hemisphere';
import { absorptanceAtAngle, faceOptics, sheetTransmittance } from '../optics';

/** Strips of the tube's breadth that a beam is split into. */
const strips = 160;

/** Steps of the cosine of incidence at which the transmittance of a wall is worked out: asked for by every strip of every beam. */
const wallSteps = 256;

/** Transmittance of the wall of a sleeve by the cosine of incidence, at even steps from 0 to 1. */
export type WallTable = Float64Array;

/**
 * Tables of one refractive index by the optical depth of the wall, square on: reflectance at its faces and length of path by angle hang on the
 * index alone.
 */
export function wallTables(index: number): (depth: number) => WallTable {
  const cosines = Array.from({ length: wallSteps + 1 }, (_, step) => step / wallSteps);
  const faces = cosines.map((cosine) => faceOptics(index, cosine));
  return (depth) => Float64Array.from(faces, (face) => sheetTransmittance(face, depth));
}

/** Where a cosine lies in a wall table, in steps. */
function wallPlace(cosine: number): number {
  return Math.min(wallSteps - 1e-9, Math.max(0, cosine * wallSteps));
}

function wallAt(table: WallTable, place: number): number {
  const low = Math.floor(place);
  const transmittance = table[low] ?? 0;
  return transmittance + ((table[low + 1] ?? 0) - transmittance) * (place - low);
}

/** The section of what stands in sleeves, or bare, and catches the sun; m. */
export interface SleevedSection {
  /** Of the pipe. */
  diameter: number;
  /** Across, where it has a flat strip. */
  strip?: number;
  pitch: number;
  /** Of the sleeve, where it has one. */
  sleeve?: number;
}

/** A beam split into strips: what black paint takes up of each, and where its rays pass the walls. */
interface StripsOfBeam {
  /** Share of the beam on the plane of the pipes that meets one, on its own breadth. */
  hit: number;
  taken: Float64Array;
  /** Place of each strip in the wall table: of its own sleeve, and of the neighbour's that it passes, −1 where it passes none. */
  own: Float64Array;
  neighbour: Float64Array;
}

/** What the section does with light, whatever the paint and the wall are worth. */
export interface SleevedOptics {
  /** Share of a beam kept by its angles across the pipes and along them (degrees), with the wall's transmittance where there is a sleeve. */
  beam(absorptance: number, wall: WallTable | undefined, transversal: number, longitudinal: number): number;
  /** The same for light from all of the half of the world before the plane. */
  diffuse(absorptance: number, wall: WallTable | undefined): number;
}

/**
 * Share of a beam on the plane of the pipes that they keep, on their own breadth (the strip's where there is one), by its angles across them
 * and along them (degrees). A ray that hits s half-breadths from the middle, o = s d / 2 off it square to the beam (s W / 2 cos t for a strip),
 * meets the sleeve at sin i = 2 o / D in the section and leans along by ψ: its angle on the sleeve is acos(cos i cos ψ), on a pipe
 * acos(√(1 − s²) cos ψ), on a strip acos(cos t cos ψ) (derived). Neighbours shade a pipe from where p cos t falls under d; where a ray
 * passes a neighbour's sleeve it is dimmed twice more. Strips hang on the section alone and are kept: paint and wall are asked for at many values.
 */
export function sleevedOptics(section: SleevedSection): SleevedOptics {
  let last: { transversal: number; longitudinal: number; beam: StripsOfBeam } | undefined;
  let everywhere: StripsOfBeam[] | undefined;
  return {
    beam: (absorptance, wall, transversal, longitudinal) => {
      if (last?.transversal !== transversal || last.longitudinal !== longitudinal)
        last = { transversal, longitudinal, beam: stripsOf(section, transversal, longitudinal) };
      return absorptance * keptOf(last.beam, wall);
    },
    diffuse: (absorptance, wall) => {
      everywhere ??= hemisphereDirections({ rings: 9, ways: 8 }).map(({ transversal, longitudinal }) =>
        stripsOf(section, transversal, longitudinal),
      );
      let sum = 0;
      for (const beam of everywhere) sum += keptOf(beam, wall);
      return (absorptance * sum) / everywhere.length;
    },
  };
}

function stripsOf(
  { diameter, strip, pitch, sleeve }: SleevedSection,
  transversal: number,
  longitudinal: number,
): StripsOfBeam {
  const radians = Math.PI / 180;
  const [t, l] = [Math.min(89.5, Math.abs(transversal)) * radians, Math.min(89.5, Math.abs(longitudinal)) * radians];
  const lean = Math.cos(Math.atan(Math.tan(l) * Math.cos(t)));
  // From pipe to pipe, square to the beam in the section.
  const apart = pitch * Math.cos(t);
  const lit = strip === undefined ? Math.min(1, apart / diameter) : 1;
  const taken = new Float64Array(strips);
  const own = new Float64Array(strips);
  const neighbour = new Float64Array(strips).fill(-1);
  for (let index = 0; index < strips; index += 1) {
    const s = 1 - 2 * lit * ((index + 0.5) / strips);
    const offset = strip === undefined ? (s * diameter) / 2 : ((s * strip) / 2) * Math.cos(t);
    const cosine = (strip === undefined ? Math.sqrt(Math.max(0, 1 - s * s)) : Math.cos(t)) * lean;
    taken[index] = absorptanceAtAngle(Math.acos(Math.min(1, cosine)) / radians);
    if (sleeve === undefined) continue;
    own[index] = wallPlace(Math.sqrt(Math.max(0, 1 - ((2 * offset) / sleeve) ** 2)) * lean);
    // How far past the middle of the neighbour on the sun's side the ray goes.
    const past = Math.abs(apart - offset);
    if (past < sleeve / 2) neighbour[index] = wallPlace(Math.sqrt(Math.max(0, 1 - ((2 * past) / sleeve) ** 2)) * lean);
  }
  const hit = strip === undefined ? Math.min(1 / Math.cos(t), pitch / diameter) : 1;
  return { hit, taken, own, neighbour };
}

/** Share of a beam that paint which takes up all of it square on would keep. */
function keptOf({ hit, taken, own, neighbour }: StripsOfBeam, wall: WallTable | undefined): number {
  let kept = 0;
  for (let index = 0; index < strips; index += 1) {
    let light = taken[index] ?? 0;
    if (wall) {
      light *= wallAt(wall, own[index] ?? 0);
      const past = neighbour[index] ?? -1;
      if (past >= 0) {
        const through = wallAt(wall, past);
        light *= through * through;
      }
    }
    kept += light;
  }
  return (hit * kept) / strips;
}
