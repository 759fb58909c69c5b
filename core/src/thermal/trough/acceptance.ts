import { hemisphereMean } from '../hemisphere';
import { absorptanceAtAngle } from '../optics';
import type { TroughSection } from './description';
import { type Caught, caughtAt, mostReflections } from './trace';

/**
 * rad. Root mean square of the sun's disc seen edge on: half of its half angle of 4.65 mrad. The haze round it is left out: less than a
 * mirror of film is off by.
 */
const sunDisc = 0.00465 / 2;
/** Degrees between two angles that are traced. */
const step = 0.5;
/** Standard deviations at which the spread of a source ends. */
const ends = 3;

/** What is not known of a mirror to the digit: share that it throws on, and rad by which its slope is off, root mean square. */
export interface MirrorQuality {
  reflectance: number;
  slope: number;
}

/** A trough as a beam in its section sees it. */
export interface SectionOptics {
  /** Share of a beam that the pipe takes up, over what its paint takes up square on, by degrees from square in the section. */
  taken(degrees: number, mirror: MirrorQuality): number;
  /** The same of a mirror whose slope is off nowhere. */
  plain(degrees: number, reflectance: number): number;
  /** Share of the rays of a beam that meet the pipe, however often they are thrown on, of a mirror that throws all on and is off nowhere. */
  hits(degrees: number): number;
  /** m from the opening to the pipe. */
  path(degrees: number): number;
}

/** Sections that were asked for last, by their shape: an edit asks for the same one many times. */
const known = new Map<string, SectionOptics>();
const mostKnown = 60;

/**
 * Share of a beam that the pipe in a trough catches. Rays are traced through a perfect mirror at even angles, by how often each is thrown on; a
 * mirror whose slope is off by σ sends a ray that is thrown on n times as if it came from a source spread by √(σ☉² + n (2σ)²), with which
 * what was traced is folded (effective source: Rabl 1985; Bendt, Rabl, Gaul and Reed 1979, SERI/TR-34-092).
 */
export function sectionOptics(section: TroughSection): SectionOptics {
  const key = Object.values(section).join(' ');
  const found = known.get(key);
  if (found) return found;
  const traced = new Map<number, Caught>();
  const at = (index: number): Caught => {
    const place = Math.min(Math.abs(index), 90 / step);
    const one = traced.get(place) ?? caughtAt(section, Math.min(89.9, place * step));
    traced.set(place, one);
    return one;
  };
  /** Between two angles that were traced. */
  const between = (degrees: number, of: (one: Caught) => number): number => {
    const place = Math.min(Math.abs(degrees), 89.9) / step;
    const low = Math.floor(place);
    const above = place - low;
    return (1 - above) * of(at(low)) + above * of(at(low + 1));
  };
  const spread = (degrees: number, reflections: number, slope: number): number => {
    const deviation = (Math.sqrt(sunDisc ** 2 + reflections * (2 * slope) ** 2) * 180) / Math.PI;
    const side = Math.max(1, Math.ceil((ends * deviation) / step));
    let [sum, weights] = [0, 0];
    for (let index = -side; index <= side; index += 1) {
      const off = (index / side) * ends * deviation;
      const weight = Math.exp(-0.5 * (off / deviation) ** 2);
      weights += weight;
      sum += weight * between(degrees + off, ({ taken }) => taken[reflections] ?? 0);
    }
    return sum / weights;
  };
  const optics: SectionOptics = {
    taken: (degrees, { reflectance, slope }) => {
      let sum = between(degrees, ({ taken }) => taken[0] ?? 0);
      for (let reflections = 1; reflections <= mostReflections; reflections += 1)
        sum += reflectance ** reflections * spread(degrees, reflections, slope);
      return sum;
    },
    plain: (degrees, reflectance) =>
      between(degrees, ({ taken }) =>
        taken.reduce((sum, share, reflections) => sum + share * reflectance ** reflections, 0),
      ),
    hits: (degrees) => between(degrees, ({ shares }) => shares.reduce((sum, share) => sum + share, 0)),
    path: (degrees) => between(degrees, ({ path }) => path),
  };
  if (known.size >= mostKnown) known.delete(known.keys().next().value as string);
  known.set(key, optics);
  return optics;
}

/**
 * Share of a beam on the opening of a trough that its pipe takes up, over what the paint takes up square on, by the beam's angles along the
 * pipe and across it (degrees). Along the pipe the beam leans by ψ, tan ψ = tan t cos l: it meets the paint at a slant, and moves along by
 * the path in the section times tan ψ until it meets the pipe or a cap. End loss as D&B section 7.8 has it, with the traced mean path.
 */
export function troughAcceptance(
  optics: SectionOptics,
  mirror: MirrorQuality,
  length: number,
  { along, across }: { along: number; across: number },
): number {
  const section = Math.min(89.5, Math.abs(across));
  const kept = alongPipe(optics, length, section, along);
  return kept === 0 ? 0 : kept * optics.taken(section, mirror);
}

/** Share of what is taken up in the section that is left of a beam which leans along the pipe: its slant on the paint, and the ends. */
function alongPipe(optics: SectionOptics, length: number, section: number, along: number): number {
  const radians = Math.PI / 180;
  const lean = Math.tan(Math.min(89.5, Math.abs(along)) * radians) * Math.cos(section * radians);
  const ends = Math.max(0, 1 - (optics.path(section) * lean) / length);
  return ends === 0 ? 0 : ends * absorptanceAtAngle(Math.atan(lean) / radians);
}

/**
 * The same of light from all of the half of the world before the opening. Light that comes from everywhere does so after it was spread too:
 * the slope of the mirror does not count.
 */
export function troughDiffuse(optics: SectionOptics, reflectance: number, length: number): number {
  return hemisphereMean(
    (along, across) =>
      alongPipe(optics, length, Math.min(89.5, across), along) * optics.plain(Math.min(89.5, across), reflectance),
    { rings: 14, ways: 14 },
  );
}

/** Degrees from square in the section at which half of what is taken square on is still taken. */
export function halfAngle(optics: SectionOptics, mirror: MirrorQuality): number {
  const square = optics.taken(0, mirror);
  let angle = 0;
  while (angle < 90 && optics.taken(angle, mirror) > square / 2) angle += step;
  return angle;
}

/** m of pipe heights that are looked at, as shares of the radius. */
const heights = { from: 0.1, to: 0.6, coarse: 0.04, fine: 0.005, rays: 90 } as const;

/** Best heights by shape: a shape is tried at many heights, and asked for at every edit. */
const bestKnown = new Map<string, number>();

/**
 * Height of the pipe's middle over the lowest line of the mirror at which a beam that is square on is taken up most, m. A half round has no
 * true focus: rays far from the middle cross far below half its radius.
 */
export function bestHeight(section: TroughSection, mirror: MirrorQuality): number {
  const { radius, opening, film, pipe } = section;
  const shape = [opening, film, pipe / radius, mirror.reflectance, mirror.slope].map((one) => one.toFixed(5)).join(' ');
  const found = bestKnown.get(shape);
  if (found !== undefined) return found * radius;
  const unit = { radius: 1, opening, film, pipe: pipe / radius };
  const low = Math.max(heights.from, unit.pipe / 2);
  const high = Math.min(heights.to, 1 - Math.cos(opening) - unit.pipe / 2);
  const bestOf = (from: number, to: number, each: number): number => {
    let [best, most] = [from, -1];
    for (let height = from; height <= to + 1e-9; height += each) {
      const taken = squareOn({ ...unit, height }, mirror);
      if (taken > most) [best, most] = [height, taken];
    }
    return best;
  };
  const near = bestOf(low, high, heights.coarse);
  const best = bestOf(Math.max(low, near - heights.coarse), Math.min(high, near + heights.coarse), heights.fine);
  bestKnown.set(shape, best);
  return best * radius;
}

/** What is taken up of a beam that is square on, from a few angles: enough to tell one height from the next. */
function squareOn(section: TroughSection, { reflectance, slope }: MirrorQuality): number {
  const deviation = (Math.sqrt(sunDisc ** 2 + (2 * slope) ** 2) * 180) / Math.PI;
  let [sum, weights] = [0, 0];
  for (const off of [0, 0.5, 1, 1.5, 2]) {
    const weight = (off === 0 ? 0.5 : 1) * Math.exp(-0.5 * off ** 2);
    const { taken } = caughtAt(section, off * deviation, heights.rays);
    weights += weight;
    sum += weight * taken.reduce((total, share, reflections) => total + share * reflectance ** reflections, 0);
  }
  return sum / weights;
}
