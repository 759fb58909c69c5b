/** m/s². Standard gravity, ISO 80000-3, rounded. */
export const gravity = 9.81;

/** kg that weigh as much as a force in newtons pulls: how builders picture one. */
export function weighs(force: number): number {
  return force / gravity;
}
