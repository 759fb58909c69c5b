/** A flat mirror along one edge of a pane. Lengths along the slope and across, m; angle between mirror and pane, degrees. */
export interface Mirror {
  hinge: 'low' | 'high';
  length: number;
  angle: number;
  pane: { length: number; width: number };
}

/** What a mirror does to a beam on its pane. */
export interface Mirrored {
  /** Share of a beam of the same strength, square on the whole pane, that it throws onto it, before its own losses. */
  added: number;
  /** Degrees from square at which that arrives. */
  incidence: number;
  /** Share of the pane that its shadow covers. */
  shaded: number;
}

const radians = Math.PI / 180;

/**
 * Light that a mirror along an edge of a pane throws onto it, and the shadow that it casts. Law of reflection in three dimensions: r = d − 2 (d·n) n.
 * Pane in the plane z = 0, its hinged edge along x at y = 0, y over the pane, z out of it; the mirror goes from that edge at its angle to
 * the pane. A strip of mirror lands as a strip of pane moved along x by the beam's slant, by as much as its middle is (derived).
 *
 * @param beam degrees from square across the heater and along it; along is above zero where the sun stands higher than square
 */
export function mirrored(mirror: Mirror, beam: { transversal: number; longitudinal: number }): Mirrored {
  const none = { added: 0, incidence: 90, shaded: 0 };
  const { length, pane } = mirror;
  const angle = mirror.angle * radians;
  // y points from the hinge over the pane: up the slope for a hinge at the low edge, down it for one at the high edge.
  const along = Math.tan(clamp(beam.longitudinal) * radians) * (mirror.hinge === 'low' ? 1 : -1);
  const across = Math.tan(clamp(beam.transversal) * radians);
  const scale = 1 / Math.hypot(along, across, 1);
  const sun = { x: across * scale, y: along * scale, z: scale };
  const normal = { y: Math.sin(angle), z: -Math.cos(angle) };
  const facing = sun.y * normal.y + sun.z * normal.z;
  const tip = { y: length * Math.cos(angle), z: length * Math.sin(angle) };
  if (facing <= 0) return { ...none, shaded: shadow(tip, sun, pane) };
  const ray = { x: -sun.x, y: -sun.y + 2 * facing * normal.y, z: -sun.z + 2 * facing * normal.z };
  if (ray.z >= -1e-9) return none;
  // Where the beam from the tip of the mirror comes down: strips between land between.
  const flight = -tip.z / ray.z;
  const reach = tip.y + flight * ray.y;
  if (reach <= 0) return none;
  const lit = Math.min(1, reach / pane.length);
  // Sideways every strip is moved by its own flight: the middle of those that land on the pane stands for all.
  const moved = Math.abs(ray.x) * flight * Math.min(1, pane.length / reach) * 0.5;
  const beside = Math.max(0, 1 - moved / pane.width);
  const cosine = -ray.z;
  return { added: lit * beside * cosine, incidence: Math.acos(Math.min(1, cosine)) / radians, shaded: 0 };
}

function clamp(degrees: number): number {
  return Math.max(-89.9, Math.min(89.9, degrees));
}

/** Share of the pane in the shadow of a mirror that stands between it and the sun. */
function shadow(tip: { y: number; z: number }, sun: { x: number; y: number; z: number }, pane: Mirror['pane']): number {
  const flight = tip.z / sun.z;
  const reach = tip.y - flight * sun.y;
  const long = Math.max(0, Math.min(pane.length, reach)) / pane.length;
  // The part of the shadow that falls on the pane is thrown by the part of the mirror nearest to it: its flight is shorter by as much.
  const moved = (Math.abs(sun.x) * flight * Math.min(1, pane.length / Math.max(reach, 1e-9))) / 2;
  return long * Math.max(0, 1 - moved / pane.width);
}
