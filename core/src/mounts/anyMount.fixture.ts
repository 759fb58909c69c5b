import * as fc from 'fast-check';
import { fieldMeta } from '../field';
import { mounts } from '.';

/** Parameters of a mount, each anywhere in its range. */
export function anyParameters(kind: keyof typeof mounts): fc.Arbitrary<Record<string, unknown>> {
  const fields = Object.entries(mounts[kind].schema.shape).map(([name, field]) => {
    const meta = fieldMeta(field as never);
    const value: fc.Arbitrary<unknown> =
      meta?.kind === 'length'
        ? fc.double({ min: meta.low ?? 0, max: meta.high ?? 1, noNaN: true })
        : meta?.kind === 'count'
          ? fc.integer({ min: meta.low ?? 0, max: meta.high ?? 9 })
          : fc.constantFrom(...(meta?.choices ?? []).map((one) => one.value));
    return value.map((one) => [name, one] as const);
  });
  return fc.tuple(...fields).map((values) => Object.fromEntries(values));
}
