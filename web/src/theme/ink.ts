/** A theme colour for use inside SVG, where style props do not reach. */
export function ink(name: string): string {
  return `var(--np-colors-${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)})`;
}
