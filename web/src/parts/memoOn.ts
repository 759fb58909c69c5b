import { type ComponentType, memo } from 'react';

/** A component that is drawn again only when one of the things that it reads of its props is another one. */
export function memoOn<P extends object>(Component: ComponentType<P>, reads: (props: P) => readonly unknown[]) {
  return memo(Component, (before, after) => {
    const [a, b] = [reads(before), reads(after)];
    return a.length === b.length && a.every((one, index) => Object.is(one, b[index]));
  });
}
