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

/** Rays side by side over the opening, and times that the place between two of them that end otherwise is halved: to 1/60 000 of the opening. */
const usualRays = 128;
const halvings = 10;

/** What black paint takes up by the cosine of the angle at which it is met, at even steps: asked for by every ray. */
const cosines = 128;
const takenAt = Float64Array.from({ length: cosines + 1 }, (_, index) =>
  absorptanceAtAngle((Math.acos(index / cosines) * 180) / Math.PI),
);

/**
 * Traces rays side by side over the whole opening, at an angle in degrees from square. Each stands for the strip round it; where a ray and
 * the next end otherwise, the place between them at which that changes is sought, so that shares do not jump by whole rays from angle to angle.
 */
export function caughtAt(section: TroughSection, degrees: number, count = usualRays): Caught {
  const width = openingWidth(section);
  const angle = (degrees * Math.PI) / 180;
  const shares = new Float64Array(mostReflections + 1);
  const taken = new Float64Array(mostReflections + 1);
  /** How a ray ends: thrown on so often before it meets the pipe, −1 where it does not. */
  const endOf = (ray: TracedRay) => (ray.end === 'pipe' ? ray.reflections : -1);
  const trace = (share: number) => traceRay(section, width * (share - 0.5), angle);
  // Square on, one half of it is as the other.
  const whole = degrees === 0 ? 0.5 : 1;
  let path = 0;
  let hits = 0;
  let begin = 0;
  let ray = trace((0.5 * whole) / count);
  for (let index = 0; index < count; index += 1) {
    const next = index + 1 < count ? trace(((index + 1.5) * whole) / count) : undefined;
    let end = ((index + 1) * whole) / count;
    if (next && endOf(next) !== endOf(ray)) {
      let [low, high] = [((index + 0.5) * whole) / count, ((index + 1.5) * whole) / count];
      for (let halving = 0; halving < halvings; halving += 1) {
        const middle = (low + high) / 2;
        if (endOf(trace(middle)) === endOf(ray)) low = middle;
        else high = middle;
      }
      end = (low + high) / 2;
    }
    const strip = (end - begin) / whole;
    const { reflections } = ray;
    if (ray.end === 'pipe') {
      hits += strip;
      path += strip * ray.path;
      shares[reflections] = (shares[reflections] as number) + strip;
      taken[reflections] =
        (taken[reflections] as number) + strip * (takenAt[Math.round(ray.cosine * cosines)] as number);
    }
    begin = end;
    if (next) ray = next;
  }
  return { shares, taken, path: hits > 0 ? path / hits : 0 };
}
