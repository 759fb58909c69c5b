/** Steps of a path as one JSON pointer (RFC 6901): `/heaters/panel-a/known`. */
export function pointerOf(path: readonly (string | number)[]): string {
  return path.map((step) => `/${String(step).replaceAll('~', '~0').replaceAll('/', '~1')}`).join('');
}

/** A JSON pointer as steps. */
export function stepsOf(pointer: string): string[] {
  return pointer
    .split('/')
    .slice(1)
    .map((step) => step.replaceAll('~1', '/').replaceAll('~0', '~'));
}
