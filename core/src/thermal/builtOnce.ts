import type { StandardNormals, Workmanship } from './contract';

function isLikely(deviates: StandardNormals): boolean {
  for (const _ in deviates) return false;
  return true;
}

/**
 * A description with a value for each uncertain input, built once for the likely values and once for each set of deviates in a row: a root
 * or a fit asks hundreds of times for the same. Deviates are compared by identity: they are never changed after they are made.
 *
 * @param build makes it
 */
export function builtOnce<B>(
  build: (deviates: StandardNormals, workmanship: Workmanship) => B,
): (deviates?: StandardNormals, workmanship?: Workmanship) => B {
  const likely = new Map<Workmanship, B>();
  let last: { deviates: StandardNormals; workmanship: Workmanship; built: B } | undefined;
  return (deviates = {}, workmanship = 'well made') => {
    if (isLikely(deviates)) {
      const built = likely.get(workmanship) ?? build(deviates, workmanship);
      likely.set(workmanship, built);
      return built;
    }
    if (last?.deviates !== deviates || last.workmanship !== workmanship)
      last = { deviates, workmanship, built: build(deviates, workmanship) };
    return last.built;
  };
}
