import { absorptanceAtAngle } from '../optics';
import type { TroughSection } from './description';

/** Times that a ray is followed from mirror to mirror; what has not hit by then is lost. */
export const mostReflections = 6;

/** A point, or a way, in the section: x up the slope from the middle, y out of the mirror from its lowest line. */
export interface InSection {
  x: number;
  y: number;
}

/** One ray followed through the section of a trough. */
export interface TracedRay {
  /** How often the mirror threw it on. */
  reflections: number;
  end: 'pipe' | 'edge' | 'out';
  /** m from the opening to its end. */
  path: number;
  /** Of the angle at which it meets the pipe; 0 where it does not. */
  cosine: number;
}

/** y of the edges of a trough. */
export function rimHeight({ radius, opening }: TroughSection): number {
  return radius * (1 - Math.cos(opening));
}

/** m from edge to edge. */
export function openingWidth({ radius, opening }: TroughSection): number {
  return 2 * radius * Math.sin(opening);
}

/**
 * Follows a ray that comes in through the opening of a trough until it meets the pipe, the bare edge of the trough, or leaves. Law of
 * reflection on a circle: d − 2 (d·n) n.
 *
 * @param from x at which it passes the plane of the opening, m
 * @param angle radians of the ray from square; above 0 it moves toward larger x
 * @param visit is told where it came in, each place at which the mirror threw it on, and where it ended
 */
export function traceRay(
  section: TroughSection,
  from: number,
  angle: number,
  visit?: (at: InSection) => void,
): TracedRay {
  const { radius, opening, film, height } = section;
  const pipe = section.pipe / 2;
  const rim = radius * (1 - Math.cos(opening));
  // y where the film ends: over it the bare edge takes what comes.
  const bare = radius * (1 - Math.cos(film));
  let x = from;
  let y = rim;
  let dx = Math.sin(angle);
  let dy = -Math.cos(angle);
  visit?.({ x, y });
  let path = 0;
  for (let reflections = 0; ; reflections += 1) {
    // The pipe, where the ray meets it on its way.
    const toward = x * dx + (y - height) * dy;
    const inside = toward * toward - x * x - (y - height) * (y - height) + pipe * pipe;
    if (inside > 0) {
      const reach = -toward - Math.sqrt(inside);
      if (reach > 1e-9) {
        x += reach * dx;
        y += reach * dy;
        visit?.({ x, y });
        const cosine = Math.min(1, Math.abs(x * dx + (y - height) * dy) / pipe);
        return { reflections, end: 'pipe', path: path + reach, cosine };
      }
    }
    // From inside a circle there is one way on to it.
    const along = x * dx + (y - radius) * dy;
    const reach =
      -along + Math.sqrt(Math.max(0, along * along + radius * radius - x * x - (y - radius) * (y - radius)));
    x += reach * dx;
    y += reach * dy;
    path += reach;
    visit?.({ x, y });
    if (y > rim) return { reflections, end: 'out', path, cosine: 0 };
    if (y > bare || reflections === mostReflections) return { reflections, end: 'edge', path, cosine: 0 };
    const nx = -x / radius;
    const ny = (radius - y) / radius;
    const into = 2 * (dx * nx + dy * ny);
    dx -= into * nx;
    dy -= into * ny;
  }
}

/** What a pipe catches of rays that come in side by side at one angle. */
export interface Caught {
  /** Share of what comes in that meets the pipe, by how often it was thrown on. */
  shares: Float64Array;
  /** The same, each by what black paint takes up at the angle at which it meets the pipe, over square on. */
  taken: Float64Array;
  /** m from the opening to the pipe, mean of those that meet it. */
  path: number;
}

/** Rays side by side; and beyond so many degrees, where little is caught, so many. */
const rays = { square: 200, beyond: 30, slant: 60 } as const;

/** What black paint takes up by the cosine of the angle at which it is met, at even steps: asked for by every ray. */
const cosines = 128;
const takenAt = Float64Array.from({ length: cosines + 1 }, (_, index) =>
  absorptanceAtAngle((Math.acos(index / cosines) * 180) / Math.PI),
);

/** Traces rays side by side over the whole opening, at an angle in degrees from square. */
export function caughtAt(section: TroughSection, degrees: number, count = usualRays(degrees)): Caught {
  const width = openingWidth(section);
  const angle = (degrees * Math.PI) / 180;
  const shares = new Float64Array(mostReflections + 1);
  const taken = new Float64Array(mostReflections + 1);
  // Square on, one half of it is as the other.
  const traced = degrees === 0 ? Math.ceil(count / 2) : count;
  let path = 0;
  let hits = 0;
  for (let ray = 0; ray < traced; ray += 1) {
    const found = traceRay(section, width * ((ray + 0.5) / count - 0.5), angle);
    if (found.end !== 'pipe') continue;
    hits += 1;
    path += found.path;
    const { reflections } = found;
    shares[reflections] = (shares[reflections] as number) + 1 / traced;
    taken[reflections] =
      (taken[reflections] as number) + (takenAt[Math.round(found.cosine * cosines)] as number) / traced;
  }
  return { shares, taken, path: hits > 0 ? path / hits : 0 };
}

function usualRays(degrees: number): number {
  return Math.abs(degrees) > rays.beyond ? rays.slant : rays.square;
}
