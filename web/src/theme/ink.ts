/** A theme colour for use inside SVG, where style props do not reach. */
export function ink(name: string): string {
  return `var(--np-colors-${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)})`;
}

/** The one scale from cold over pale to hot, 0 to 1: the same through the whole product, never the only cue. */
export function heatInk(share: number): string {
  const held = Math.min(1, Math.max(0, share));
  const [from, to, part] = held < 0.5 ? ['cold', 'pale', held * 2] : ['pale', 'hot', held * 2 - 1];
  return `color-mix(in oklab, ${ink(from)}, ${ink(to)} ${Math.round(part * 100)}%)`;
}
