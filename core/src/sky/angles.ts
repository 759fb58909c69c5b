const degree = Math.PI / 180;

export function sin(degrees: number): number {
  return Math.sin(degrees * degree);
}
export function cos(degrees: number): number {
  return Math.cos(degrees * degree);
}
export function tan(degrees: number): number {
  return Math.tan(degrees * degree);
}
/** Degrees, held within the arc's domain so that rounding cannot make it NaN. */
export function acos(value: number): number {
  return Math.acos(Math.min(1, Math.max(-1, value))) / degree;
}
export function asin(value: number): number {
  return Math.asin(Math.min(1, Math.max(-1, value))) / degree;
}
export function atan2(y: number, x: number): number {
  return Math.atan2(y, x) / degree;
}
export function radians(degrees: number): number {
  return degrees * degree;
}
/** The same direction between 0 and 360. */
export function turn(degrees: number): number {
  const rest = degrees % 360;
  return rest < 0 ? rest + 360 : rest;
}
