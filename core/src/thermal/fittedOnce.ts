import type { Characteristic, FitEffort, Reference } from './laboratory';

/** A fit that is made once for each reference: a day, a report and a comparison of the same heater ask for the same one. */
export function fittedOnce<C extends Characteristic>(
  fit: (reference: Reference, effort: FitEffort) => C,
): (reference: Reference, effort?: FitEffort) => C {
  const known = new Map<string, C>();
  return (reference, effort = 'whole') => {
    const { tilt, specificFlow, fluid = 'water' } = reference;
    const keyOf = (asked: FitEffort) => JSON.stringify([asked, tilt, specificFlow, fluid]);
    // A whole fit serves who asks for less.
    const found = known.get(keyOf('whole')) ?? known.get(keyOf(effort)) ?? fit(reference, effort);
    known.set(keyOf(effort), found);
    return found;
  };
}
