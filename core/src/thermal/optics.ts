import { risingRoot } from './root';

/** One sheet that the sun passes. */
export interface CoverSheet {
  /** Refractive index. */
  index: number;
  /** 1/m. Extinction coefficient. */
  extinction: number;
  /** m. */
  thickness: number;
}

/** What happens to the sun at the covers, as shares of what arrives. */
export interface CoverOptics {
  transmittance: number;
  /** Sent back to the side the sun came from. */
  reflectance: number;
  absorptance: number;
}

interface Stack {
  through: number;
  front: number;
  back: number;
}

/** One sheet in one polarisation: ray tracing between its two faces, D&B equations 5.3.1 to 5.3.3. */
function slab(face: number, path: number): Stack {
  const pass = Math.exp(-path);
  const through = (pass * (1 - face) ** 2) / (1 - (face * pass) ** 2);
  const reflect = face * (1 + pass * through);
  return { through, front: reflect, back: reflect };
}

function join(outer: Stack, inner: Stack): Stack {
  const between = 1 - outer.back * inner.front;
  return {
    through: (outer.through * inner.through) / between,
    front: outer.front + (outer.through ** 2 * inner.front) / between,
    back: inner.back + (inner.through ** 2 * outer.back) / between,
  };
}

/**
 * Sun through any number of covers by Fresnel's equations and absorption, each polarisation traced alone and the two
 * averaged last (D&B sections 5.1 to 5.3).
 *
 * @param query.covers from the plate outward; none passes everything
 * @param query.incidence degrees from square, 0 to 90
 */
export function coverOptics(query: { covers: readonly CoverSheet[]; incidence: number }): CoverOptics {
  if (query.covers.length === 0) return { transmittance: 1, reflectance: 0, absorptance: 0 };
  // Within a thousandth of a degree of the glass nothing passes, and the series of reflections has no sum.
  if (Math.abs(query.incidence) > 89.999) return { transmittance: 0, reflectance: 1, absorptance: 0 };
  const angle = (Math.abs(query.incidence) * Math.PI) / 180;
  let across: Stack | undefined;
  let along: Stack | undefined;
  for (const cover of query.covers) {
    const inside = Math.asin(Math.sin(angle) / cover.index);
    const path = (cover.extinction * cover.thickness) / Math.cos(inside);
    const [s, p] = fresnel(angle, inside, cover.index);
    const perpendicular = slab(s, path);
    const parallel = slab(p, path);
    across = across ? join(perpendicular, across) : perpendicular;
    along = along ? join(parallel, along) : parallel;
  }
  const transmittance = ((across?.through ?? 0) + (along?.through ?? 0)) / 2;
  const reflectance = ((across?.front ?? 0) + (along?.front ?? 0)) / 2;
  return { transmittance, reflectance, absorptance: Math.max(0, 1 - transmittance - reflectance) };
}

/** Share sent back at one face, across and along the plane of the ray. */
function fresnel(angle: number, inside: number, index: number): [number, number] {
  if (angle < 1e-6) {
    const straight = ((index - 1) / (index + 1)) ** 2;
    return [straight, straight];
  }
  const across = (Math.sin(inside - angle) / Math.sin(inside + angle)) ** 2;
  const along = (Math.tan(inside - angle) / Math.tan(inside + angle)) ** 2;
  return [across, along];
}

/** What a face of a sheet does to a beam at one angle: shares sent back by polarisation, and the path through the sheet over its thickness. */
export interface FaceOptics {
  across: number;
  along: number;
  path: number;
}

/** @param cosine of the angle from square; none passes at 0 */
export function faceOptics(index: number, cosine: number): FaceOptics {
  if (cosine <= 0) return { across: 1, along: 1, path: 1 };
  const angle = Math.acos(Math.min(1, cosine));
  const inside = Math.asin(Math.sin(angle) / index);
  const [across, along] = fresnel(angle, inside, index);
  return { across, along, path: 1 / Math.cos(inside) };
}

/** Transmittance of a single sheet of an optical depth (square on) with such faces, both polarisations averaged (D&B 5.3.1). */
export function sheetTransmittance({ across, along, path }: FaceOptics, depth: number): number {
  const pass = Math.exp(-depth * path);
  return (slabTransmittance(across, pass) + slabTransmittance(along, pass)) / 2;
}

function slabTransmittance(face: number, pass: number): number {
  return face >= 1 ? 0 : (pass * (1 - face) ** 2) / (1 - (face * pass) ** 2);
}

/**
 * Sheets whose transmittance square on is the one asked for: a pane is sold by that figure and not by its extinction.
 * Held at what the faces alone let through. Thickness is 1, so that `extinction` is the optical depth.
 */
export function sheetsFor(pane: { index: number; sheets: number; transmittance: number }): CoverSheet[] {
  const of = (extinction: number): CoverSheet[] =>
    Array.from({ length: pane.sheets }, () => ({ index: pane.index, extinction, thickness: 1 }));
  const [face] = fresnel(0, 0, pane.index);
  // Square on both polarisations are alike: one stack tells.
  const missing = (depth: number) => {
    let stack = slab(face, depth);
    for (let sheet = 1; sheet < pane.sheets; sheet += 1) stack = join(slab(face, depth), stack);
    return pane.transmittance - stack.through;
  };
  return missing(0) >= 0 ? of(0) : of(risingRoot(missing, 0, 10, 1e-12));
}

/** Degrees. Incidence that stands for sky light and for ground light on a tilted pane. Brandemuehl and Beckman (1980). */
export function diffuseIncidence(tilt: number): { sky: number; ground: number } {
  return {
    sky: 59.7 - 0.1388 * tilt + 0.001497 * tilt ** 2,
    ground: 90 - 0.5788 * tilt + 0.002693 * tilt ** 2,
  };
}

/**
 * Absorptance of flat black paint at an angle, as a share of that square on. Beckman, Klein and Duffie (1977) as in
 * D&B figure 4.11.1, up to 80°, falling straight to zero at 90°.
 */
export function absorptanceAtAngle(incidence: number): number {
  if (incidence <= 80) return Math.min(1, blackPaint(Math.max(0, incidence)));
  return (blackPaintAt80 * (90 - Math.min(90, incidence))) / 10;
}

function blackPaint(angle: number): number {
  return (
    1 +
    angle *
      (-1.5879e-3 +
        angle *
          (2.7314e-4 +
            angle * (-2.3026e-5 + angle * (9.0244e-7 + angle * (-1.8e-8 + angle * (1.7734e-10 - angle * 6.9937e-13))))))
  );
}

const blackPaintAt80 = blackPaint(80);

/**
 * Incidence angle modifier: what covers and paint keep of beam at an angle, as a share of what they keep of it square on.
 * ISO 9806 calls it K.
 */
export function incidenceModifier(covers: readonly CoverSheet[], incidence: number, absorptance: number): number {
  return transmittanceAbsorptance(covers, incidence, absorptance) / transmittanceAbsorptance(covers, 0, absorptance);
}

/**
 * Sun that the plate keeps of the sun that arrives, with the light thrown back and forth under the covers. D&B 5.5.1.
 *
 * @param taken what its paint takes up at that angle, as a share of what it takes up square on; that of a flat plate where left out
 */
export function transmittanceAbsorptance(
  covers: readonly CoverSheet[],
  incidence: number,
  absorptance: number,
  taken = absorptanceAtAngle(incidence),
): number {
  const atAngle = absorptance * taken;
  if (covers.length === 0) return atAngle;
  const through = coverOptics({ covers, incidence }).transmittance;
  const back = diffuseReflectance(covers);
  return (through * atAngle) / (1 - (1 - atAngle) * back);
}

const reflectanceOf = new WeakMap<readonly CoverSheet[], number>();

/** Share of diffuse light from below that covers send back: that of beam at 60° (D&B 5.5). Kept for each stack, since every angle asks for it. */
function diffuseReflectance(covers: readonly CoverSheet[]): number {
  let reflectance = reflectanceOf.get(covers);
  if (reflectance === undefined) {
    reflectance = coverOptics({ covers: [...covers].reverse(), incidence: 60 }).reflectance;
    reflectanceOf.set(covers, reflectance);
  }
  return reflectance;
}
