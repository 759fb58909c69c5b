import type { Step } from './step';

/** Steps that wait for each other, or for one that is not there: a fault of whoever wrote them. */
export class StepsDoNotFollow extends Error {
  constructor(readonly ids: readonly string[]) {
    super(`steps wait for each other or for none: ${ids.join(', ')}`);
    this.name = 'StepsDoNotFollow';
  }
}

/**
 * Steps in an order in which they can be done: each after those that it waits for, otherwise as they were given.
 * Throws StepsDoNotFollow.
 */
export function inOrder(steps: readonly Step[]): Step[] {
  const done = new Set<string>();
  const ordered: Step[] = [];
  let left = [...steps];
  while (left.length > 0) {
    const ready = left.find(({ after }) => after.every((id) => done.has(id)));
    if (!ready) throw new StepsDoNotFollow(left.map(({ id }) => id));
    done.add(ready.id);
    ordered.push(ready);
    left = left.filter((step) => step !== ready);
  }
  return ordered;
}
