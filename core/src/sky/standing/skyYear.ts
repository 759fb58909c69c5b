import { dayMilliseconds, zoneClock } from '../../time';
import { cos, sin } from '../angles';
import { type HorizonPoint, hiddenSky, hidesSun, type Skyline, skylineOf } from '../horizon';
import { type FrontRow, shadeToward, withFrontRow } from '../rows';
import { dayOfYear, hourAngle, sunPosition } from '../sun';
import { perezParts } from '../tilted';
import { middleOf, type WeatherSeries } from '../weather';

/** Cells of the month-by-hour table: month × 24 + hour. */
export const cellCount = 288;

/**
 * All that a year sends to a pane before it is known how the pane stands: for each interval with sun its direction and what
 * comes from there, and by month and hour what the whole sky and the ground send. Sky by Perez et al. (1990).
 */
export interface SkyYear {
  /** Intervals with the sun up. */
  count: number;
  /** s that each of them stands for. */
  step: number;
  /** Unit vector to the sun. */
  east: Float32Array;
  north: Float32Array;
  up: Float32Array;
  /** Degrees. */
  zenith: Float32Array;
  azimuth: Float32Array;
  /** J/m² square to the sun: beam and the bright sky about it. */
  sunward: Float32Array;
  /** Month × 24 + hour by the site's clock. */
  cell: Uint16Array;
  /** J/m² by cell: evenly bright sky, the bright band at the horizon, sun on the flat. */
  dome: Float64Array;
  band: Float64Array;
  global: Float64Array;
  /** s that the series spends in each cell. */
  seconds: Float64Array;
}

/** How a pane stands, and what stands before it. */
export interface PaneOrientation {
  tilt: number;
  aim: number;
}

export interface Surroundings {
  horizon: readonly HorizonPoint[];
  albedo: number;
  front?: FrontRow | undefined;
}

/**
 * Works a series up for asking about any pane. Intervals of which sun or sky is not known are left out, from the seconds
 * of their cell too, so that a mean over a cell stays a mean.
 *
 * @param options.evenHanded each interval counts half as it is and half mirrored at the meridian. For weather that is made
 *   up: chance would give it brighter mornings than afternoons, and turn the best aim by some degrees for nothing
 */
export function skyYear(
  series: WeatherSeries,
  site: { latitude: number; longitude: number; elevation: number; zone: string },
  options: { evenHanded?: boolean } = {},
): SkyYear {
  const { beamNormal, diffuse, global } = series.columns;
  const sides = options.evenHanded ? 2 : 1;
  const most = series.length * sides;
  const clock = zoneClock(site.zone);
  const cellOf = (at: number) => {
    const wall = at + clock.offsetAt(at);
    return new Date(wall).getUTCMonth() * 24 + Math.floor((wall % dayMilliseconds) / 3_600_000);
  };
  const sky: SkyYear = {
    count: 0,
    step: series.step / sides,
    east: new Float32Array(most),
    north: new Float32Array(most),
    up: new Float32Array(most),
    zenith: new Float32Array(most),
    azimuth: new Float32Array(most),
    sunward: new Float32Array(most),
    cell: new Uint16Array(most),
    dome: new Float64Array(cellCount),
    band: new Float64Array(cellCount),
    global: new Float64Array(cellCount),
    seconds: new Float64Array(cellCount),
  };
  const seconds = series.step / sides;
  const add = (sums: Float64Array, cell: number, value: number) => {
    sums[cell] = (sums[cell] ?? 0) + value * seconds;
  };
  for (let index = 0; index < series.length; index += 1) {
    const beam = beamNormal?.[index] ?? Number.NaN;
    const fromSky = diffuse?.[index] ?? Number.NaN;
    const flat = global?.[index] ?? Number.NaN;
    if (Number.isNaN(beam + fromSky + flat)) continue;
    const at = middleOf(series, index);
    const cell = cellOf(at);
    add(sky.seconds, cell, sides);
    if (flat <= 0 && beam <= 0) continue;
    const sun = litSun(series, index, site);
    if (!sun) {
      add(sky.global, cell, flat * sides);
      add(sky.dome, cell, fromSky * sides);
      continue;
    }
    const moment = new Date(at);
    const parts = perezParts({
      beamNormal: beam,
      diffuse: fromSky,
      zenith: sun.zenith,
      dayOfYear: dayOfYear(moment),
    });
    const up = cos(sun.zenith);
    for (let side = 0; side < sides; side += 1) {
      const azimuth = side === 0 ? sun.azimuth : 360 - sun.azimuth;
      const there = side === 0 ? cell : cellOf(at - (hourAngle(moment, site.longitude) / 7.5) * 3_600_000);
      add(sky.global, there, flat);
      // What is neither beam nor bright sky is dome: so a level pane gets what fell on the flat, to the joule.
      add(sky.dome, there, Math.max(0, flat - (beam + parts.circumsolar) * up));
      add(sky.band, there, parts.band);
      const place = sky.count;
      sky.east[place] = sin(sun.zenith) * sin(azimuth);
      sky.north[place] = sin(sun.zenith) * cos(azimuth);
      sky.up[place] = up;
      sky.zenith[place] = sun.zenith;
      sky.azimuth[place] = azimuth;
      sky.sunward[place] = (beam + parts.circumsolar) * seconds;
      sky.cell[place] = there;
      sky.count += 1;
    }
  }
  return sky;
}

/** The sun in the middle of an interval; of one that it rises or sets in, in the middle of its lit part. */
function litSun(
  series: WeatherSeries,
  index: number,
  site: { latitude: number; longitude: number; elevation: number },
) {
  const half = (series.step * 1000) / 2;
  const middle = middleOf(series, index);
  const { latitude, longitude, elevation } = site;
  const sunAt = (at: number) => sunPosition({ latitude, longitude, elevation, at: new Date(at) });
  const sun = sunAt(middle);
  // It climbs fifteen degrees an hour at most.
  const most = (series.step * 7.5) / 3600;
  if (sun.zenith + most < 90) return sun;
  if (sun.zenith - most > 91) return undefined;
  const edges = [sunAt(middle - half), sunAt(middle + half)];
  const lit = edges.filter((edge) => edge.zenith < 90);
  if (lit.length !== 1) return sun.zenith < 90 ? sun : undefined;
  const way = lit[0] === edges[1] ? half : -half;
  let dark = middle - way;
  let light = middle + way;
  for (let pass = 0; pass < 8; pass += 1) {
    const between = (dark + light) / 2;
    if (sunAt(between).zenith < 90) light = between;
    else dark = between;
  }
  const found = sunAt((light + middle + way) / 2);
  return found.zenith < 90 ? found : undefined;
}

/** What stands round a site, worked up for asking about many panes. */
export interface Around {
  skyline: Skyline;
  albedo: number;
  front: FrontRow | undefined;
  /** Intervals in which the sun is not hidden, by their cells: those of a cell begin at its entry of `starts`. */
  lit: Uint32Array;
  starts: Uint32Array;
  /** By cell, three numbers each: J/m² along east, north and up, summed; so much of it falls on a pane that sees all of them. */
  sums: Float64Array;
  /** By cell, three numbers each: unit vector to the middle of its suns. */
  middle: Float64Array;
  /** By cell: sine of the angle from the middle to the farthest of its suns; 1 where that tells nothing. */
  spread: Float64Array;
}

export function around(sky: SkyYear, { horizon, albedo, front }: Surroundings): Around {
  const skyline = skylineOf(horizon);
  const { count, cell: cells, east, north, up, sunward } = sky;
  const shown = (index: number) =>
    horizon.length === 0 || !hidesSun(skyline, sky.zenith[index] ?? 90, sky.azimuth[index] ?? 0);
  const inCells = Array.from({ length: cellCount }, (): number[] => []);
  for (let index = 0; index < count; index += 1) if (shown(index)) inCells[cells[index] ?? 0]?.push(index);
  const lit = Uint32Array.from(inCells.flat());
  const starts = new Uint32Array(cellCount + 1);
  const sums = new Float64Array(3 * cellCount);
  const middle = new Float64Array(3 * cellCount);
  const spread = new Float64Array(cellCount).fill(1);
  inCells.forEach((held, cell) => {
    starts[cell + 1] = (starts[cell] ?? 0) + held.length;
    const sum = [0, 0, 0] as [number, number, number];
    const whole = [0, 0, 0] as [number, number, number];
    for (const index of held) {
      const to = [east[index] ?? 0, north[index] ?? 0, up[index] ?? 0] as const;
      for (const axis of [0, 1, 2] as const) {
        whole[axis] += to[axis];
        sum[axis] += to[axis] * (sunward[index] ?? 0);
      }
    }
    const length = Math.hypot(...whole);
    const unit = whole.map((part) => (length > 0 ? part / length : 0));
    sums.set(sum, 3 * cell);
    middle.set(unit, 3 * cell);
    let least = 1;
    for (const index of held) {
      const [e = 0, n = 0, u = 0] = unit;
      least = Math.min(least, e * (east[index] ?? 0) + n * (north[index] ?? 0) + u * (up[index] ?? 0));
    }
    // Directions are kept in single precision.
    spread[cell] = least > 0 ? Math.min(1, Math.sqrt(1 - least * least) + 1e-6) : 1;
  });
  return { skyline, albedo, front, lit, starts, sums, middle, spread };
}

/** J/m² of beam on a pane in one cell, sun by sun. */
function beamOneByOne(sky: SkyYear, place: Around, { tilt, aim }: PaneOrientation, cell: number): number {
  const [cosTilt, sinTilt, sinAim, cosAim] = [cos(tilt), sin(tilt), sin(aim), cos(aim)];
  const { front, lit, starts } = place;
  let sum = 0;
  for (let at = starts[cell] ?? 0; at < (starts[cell + 1] ?? 0); at += 1) {
    const index = lit[at] ?? 0;
    const east = sky.east[index] ?? 0;
    const north = sky.north[index] ?? 0;
    const up = sky.up[index] ?? 0;
    const forward = east * sinAim + north * cosAim;
    const square = forward * sinTilt + up * cosTilt;
    if (square <= 0) continue;
    const share = front ? 1 - shadeToward(front, cosTilt, sinTilt, forward, east * cosAim - north * sinAim, up) : 1;
    sum += square * share * (sky.sunward[index] ?? 0);
  }
  return sum;
}

/**
 * J/m² on a pane, by month and hour. Beam behind the skyline or in the shadow of the row in front does not count; of the sky
 * only what the pane sees; the ground is taken as evenly lit.
 */
export function cellsOnPane(sky: SkyYear, place: Around, pane: PaneOrientation): Float64Array {
  const cells = new Float64Array(cellCount);
  const cosTilt = cos(pane.tilt);
  const sinTilt = sin(pane.tilt);
  const east = sinTilt * sin(pane.aim);
  const north = sinTilt * cos(pane.aim);
  const { front, sums, middle, spread } = place;
  /** The part of a cell's vector that is square to the pane. */
  const along = (of: Float64Array, cell: number) =>
    east * (of[3 * cell] ?? 0) + north * (of[3 * cell + 1] ?? 0) + cosTilt * (of[3 * cell + 2] ?? 0);
  for (let cell = 0; cell < cellCount; cell += 1) {
    const toMiddle = along(middle, cell);
    const wide = spread[cell] ?? 1;
    // The pane sees all suns of most cells, or none: then they are asked about as one.
    if (toMiddle < -wide) continue;
    cells[cell] = !front && toMiddle > wide ? along(sums, cell) : beamOneByOne(sky, place, pane, cell);
  }
  const skyline = front ? withFrontRow(place.skyline, front, pane) : place.skyline;
  const seen = Math.max(0, (1 + cosTilt) / 2 - hiddenSky(skyline, pane));
  const ground = (place.albedo * (1 - cosTilt)) / 2;
  for (let cell = 0; cell < cellCount; cell += 1) {
    const diffuse = (sky.dome[cell] ?? 0) * seen + (sky.band[cell] ?? 0) * sinTilt;
    cells[cell] = (cells[cell] ?? 0) + Math.max(0, diffuse) + (sky.global[cell] ?? 0) * ground;
  }
  return cells;
}

/** J/m² by month, for an average year: twelve sums, each for the days that the month has. */
export function monthsOf(sky: SkyYear, cells: Float64Array): number[] {
  return Array.from({ length: 12 }, (_, month) => {
    let sum = 0;
    for (let hour = 0; hour < 24; hour += 1) {
      const cell = month * 24 + hour;
      const seconds = sky.seconds[cell] ?? 0;
      if (seconds > 0) sum += ((cells[cell] ?? 0) / seconds) * 3600 * (daysInMonth[month] ?? 30);
    }
    return sum;
  });
}

/** Days of each month, February with its quarter. */
export const daysInMonth = [31, 28.25, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

/** W/m² by month and hour: means over the hours there are. */
export function meansOf(sky: SkyYear, cells: Float64Array): Float64Array {
  return cells.map((sum, cell) => ((sky.seconds[cell] ?? 0) > 0 ? sum / (sky.seconds[cell] ?? 1) : 0));
}

/** J/m² by month on a pane. */
export function monthsOnPane(sky: SkyYear, place: Around, pane: PaneOrientation): number[] {
  return monthsOf(sky, cellsOnPane(sky, place, pane));
}
