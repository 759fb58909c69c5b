import { atan2, cos, radians, sin, turn } from './angles';
import { sunPath } from './path';

/** Degrees: how high hills, trees or roofs stand in a direction. Between points the skyline runs straight. */
export interface HorizonPoint {
  azimuth: number;
  elevation: number;
}

/** Degrees that the skyline stands high in a direction; 0 where nothing is drawn. */
export function horizonAt(points: readonly HorizonPoint[], azimuth: number): number {
  const sorted = sortedByAzimuth(points);
  const [first] = sorted;
  const last = sorted[sorted.length - 1];
  if (!first || !last) return 0;
  const direction = turn(azimuth);
  let before = { azimuth: last.azimuth - 360, elevation: last.elevation };
  for (const point of [...sorted, { azimuth: first.azimuth + 360, elevation: first.elevation }]) {
    if (point.azimuth >= direction) {
      const span = point.azimuth - before.azimuth;
      if (span === 0) return Math.max(point.elevation, before.elevation);
      return before.elevation + ((point.elevation - before.elevation) * (direction - before.azimuth)) / span;
    }
    before = point;
  }
  return before.elevation;
}

export function sortedByAzimuth(points: readonly HorizonPoint[]): HorizonPoint[] {
  return [...points].sort((a, b) => a.azimuth - b.azimuth);
}

/** The skyline at each whole degree, 0 to 360, for asking often. */
export type Skyline = Float64Array;

export function skylineOf(points: readonly HorizonPoint[]): Skyline {
  return Float64Array.from({ length: 361 }, (_, azimuth) => horizonAt(points, azimuth % 360));
}

/** Whether the skyline hides the sun; a sun under the level horizon is always hidden. */
export function hidesSun(skyline: Skyline, zenith: number, azimuth: number): boolean {
  if (zenith >= 90) return true;
  const direction = turn(azimuth);
  const below = Math.floor(direction);
  const share = direction - below;
  const high = (skyline[below] ?? 0) * (1 - share) + (skyline[below + 1] ?? 0) * share;
  return 90 - zenith < high;
}

const stepDegrees = 3;

/**
 * Share of what a pane sees that is sky hidden behind the skyline, on the scale on which the whole sky is
 * (1 + cos tilt)/2. Evenly bright sky, integrated over azimuth; the height is closed (derived).
 */
export function hiddenSky(skyline: Skyline, pane: { tilt: number; aim: number }): number {
  const { tilt, aim } = pane;
  const across = cos(tilt);
  const along = sin(tilt);
  let sum = 0;
  for (let azimuth = stepDegrees / 2; azimuth < 360; azimuth += stepDegrees) {
    const high = skyline[Math.round(azimuth)] ?? 0;
    if (high <= 0) continue;
    const toward = cos(azimuth - aim);
    // Behind the pane its own plane hides the sky up to here.
    const from = toward < 0 ? Math.max(0, atan2(-along * toward, across)) : 0;
    if (high <= from) continue;
    sum += seen(high, across, along * toward) - seen(from, across, along * toward);
  }
  return (sum * radians(stepDegrees)) / Math.PI;
}

/** Integral of cos(incidence)·cos(height) over height, from the level up. */
function seen(height: number, across: number, along: number): number {
  return (across * sin(height) ** 2) / 2 + along * (radians(height) / 2 + sin(2 * height) / 4);
}

const pathMinutes = 5;

/**
 * Hours on the 21st of each month, January first, in which the sun is above the level horizon and the skyline hides it; to
 * five minutes at either end.
 */
export function hiddenHours(
  points: readonly HorizonPoint[],
  site: { latitude: number; longitude: number },
  year: number,
): number[] {
  const skyline = skylineOf(points);
  return Array.from({ length: 12 }, (_, month) => {
    const near = new Date(Date.UTC(year, month, 21, 12) - (site.longitude / 15) * 3_600_000);
    const path = sunPath({ near, ...site, minutes: pathMinutes });
    return (path.filter(({ zenith, azimuth }) => hidesSun(skyline, zenith, azimuth)).length * pathMinutes) / 60;
  });
}

export type ParsedHorizon = { ok: true; points: HorizonPoint[] } | { ok: false; message: string; line: number };

/**
 * Reads a skyline as people paste it: a line a point, azimuth then elevation in degrees, parted by a space, comma,
 * semicolon or tab. Lines without any digit before the first point are passed over as headings. Nothing at all is an open skyline;
 * text in which there is no point is refused.
 */
export function parseHorizon(text: string): ParsedHorizon {
  const points: HorizonPoint[] = [];
  for (const [index, line] of text.split(/\r?\n/).entries()) {
    // A heading stands before the first point; words after it are none.
    if (!/\d/.test(line) && (points.length === 0 || line.trim() === '')) continue;
    const fail = (message: string): ParsedHorizon => ({
      ok: false,
      message: `Line ${index + 1}: ${message}`,
      line: index + 1,
    });
    const trimmed = line.trim();
    const cells = (/[\s;]/.test(trimmed) ? trimmed.split(/\s*;\s*|,\s+|\s+/) : trimmed.split(',')).map((cell) =>
      cell.replace('°', '').replace(',', '.').replace('−', '-'),
    );
    if (cells.length !== 2) return fail('two numbers belong here, azimuth and elevation.');
    const [azimuth, elevation] = cells.map(Number);
    if (azimuth === undefined || elevation === undefined || !Number.isFinite(azimuth + elevation))
      return fail(`“${line.trim()}” is not two numbers.`);
    if (azimuth < -180 || azimuth > 360) return fail('an azimuth is 0 to 360, clockwise from north.');
    if (elevation < 0 || elevation > 90) return fail('an elevation is 0 to 90.');
    points.push({ azimuth: turn(azimuth), elevation });
  }
  if (points.length === 0 && text.trim() !== '')
    return { ok: false, message: 'There is no point in this: two numbers a line, azimuth and elevation.', line: 1 };
  const sorted = sortedByAzimuth(points);
  const twice = sorted.find((point, index) => point.azimuth === sorted[index + 1]?.azimuth);
  if (twice) return { ok: false, message: `Azimuth ${twice.azimuth} stands there twice.`, line: 0 };
  return { ok: true, points: sorted };
}

/** Back to text, a line a point. */
export function writeHorizon(points: readonly HorizonPoint[]): string {
  return sortedByAzimuth(points)
    .map(({ azimuth, elevation }) => `${azimuth} ${elevation}`)
    .join('\n');
}

/**
 * The skyline with one more point in it. Far from its neighbours it gets a foot either side, so that one tree does not
 * lift the whole skyline.
 */
export function withHorizonPoint(points: readonly HorizonPoint[], point: HorizonPoint): HorizonPoint[] {
  const foot = 20;
  const feet = [-foot, foot]
    .map((off) => turn(point.azimuth + off))
    .filter(
      (azimuth) =>
        !points.some(
          (other) => apart(other.azimuth, azimuth) < foot / 2 || between(point.azimuth, azimuth, other.azimuth),
        ),
    )
    .map((azimuth) => ({ azimuth, elevation: Math.round(horizonAt(points, azimuth) * 10) / 10 }));
  const others = points.filter((other) => apart(other.azimuth, point.azimuth) > 0.5);
  return sortedByAzimuth([...others, ...feet, point]);
}

function apart(a: number, b: number): number {
  return Math.abs(((a - b + 540) % 360) - 180);
}

function between(from: number, to: number, middle: number): boolean {
  return apart(from, middle) + apart(middle, to) <= apart(from, to) + 1e-9 && apart(from, middle) > 0.5;
}
