import type { Characteristic, Reference } from './laboratory';

/** A fit that is made once for each reference: a day, a report and a comparison of the same heater ask for the same one. */
export function fittedOnce<C extends Characteristic>(fit: (reference: Reference) => C): (reference: Reference) => C {
  const known = new Map<string, C>();
  return (reference) => {
    const { tilt, specificFlow, fluid = 'water' } = reference;
    const key = JSON.stringify([tilt, specificFlow, fluid]);
    const found = known.get(key) ?? fit(reference);
    known.set(key, found);
    return found;
  };
}
